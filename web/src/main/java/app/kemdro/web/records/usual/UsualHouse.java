package app.kemdro.web.records.usual;

import app.kemdro.core.look.Brief.Breaks;
import app.kemdro.core.look.Brief.Room;
import app.kemdro.core.look.Brief.Skill;
import java.time.LocalTime;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a house usually has.
 *
 * @param call hour at which performers usually are called
 * @param atSensor whether work is usually done in the room whose air is measured
 * @param costumeMinutes for costume, drink and toilet
 * @param benchDays days to make pieces
 */
public record UsualHouse(
        LocalTime call,
        Room room,
        boolean atSensor,
        int costumeMinutes,
        int benchDays,
        Breaks breaks,
        List<Hands> hands) {

    /**
     * Hands that usually work there.
     *
     * @param from hour from which they can; none where they always can
     */
    public record Hands(
            String name,
            Skill skill,
            @Nullable LocalTime from,
            @Nullable LocalTime until) {}
}
