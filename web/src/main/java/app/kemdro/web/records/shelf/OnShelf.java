package app.kemdro.web.records.shelf;

import app.kemdro.core.hour.Wall;
import app.kemdro.web.parts.words.Words;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A job as it stands on the shelf.
 *
 * @param running whether somebody sits for it now
 * @param startBy empty, as the next two, where there is no plan
 * @param figure what is on the body, as JSON for the drawing
 * @param ribbon the strip, as JSON
 * @param inTheWay what stands in its way, what stops first; empty where its day is over
 */
public record OnShelf(
        long id,
        String title,
        String production,
        String performer,
        LocalDateTime call,
        boolean running,
        @Nullable LocalDateTime startBy,
        @Nullable LocalDateTime chairIn,
        @Nullable LocalDateTime ready,
        String figure,
        String ribbon,
        List<Way> inTheWay) {

    /** The same for those who do not work on it: its times, and nothing of what is on the body or what stands in the way. */
    OnShelf timesOnly(String who, String blank, String strip) {
        return new OnShelf(id, title, production, who, call, running, startBy, chairIn, ready, blank, strip, List.of());
    }

    /** What stands in the way, room by room. */
    public List<InRoom> rooms() {
        return InRoom.of(inTheWay);
    }

    /** When to start at the latest, as an hour. */
    public String startsBy() {
        return startBy == null ? "–" : hour(startBy);
    }

    /** The call, as an hour. */
    public String calls() {
        return hour(call);
    }

    private String hour(LocalDateTime time) {
        Wall.of(call);
        return Words.hour(time);
    }

    /** What its plan comes to. */
    public String says() {
        if (chairIn == null || ready == null) {
            return "No plan yet.";
        }
        long inHand = Math.floorDiv(Duration.between(ready, call).getSeconds(), 60);
        return "Chair-in stands at " + hour(chairIn) + ": ready " + Words.ready(ready) + ", " + Words.inHand(inHand)
                + ".";
    }
}
