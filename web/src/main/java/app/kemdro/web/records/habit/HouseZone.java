package app.kemdro.web.records.habit;

import app.kemdro.core.hour.Wall;
import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.List;
import org.springframework.stereotype.Service;

/** Where the house is, and so when its clocks change. */
@Service
public class HouseZone {
    private final ZoneRepository zones;

    HouseZone(ZoneRepository zones) {
        this.zones = zones;
        zones.findById(ZoneRow.ONLY).map(ZoneRow::zone).ifPresent(Wall::zone);
    }

    /** All there are, by the names of their places. */
    public List<String> all() {
        return ZoneId.getAvailableZoneIds().stream()
                .filter(z ->
                        z.matches("(Africa|America|Antarctica|Asia|Atlantic|Australia|Europe|Indian|Pacific)/.*|UTC"))
                .sorted()
                .toList();
    }

    /**
     * The house is there from now on.
     *
     * @throws IllegalArgumentException where there is no such zone, as a sentence
     */
    public void choose(String name) {
        try {
            ZoneId zone = ZoneId.of(name.strip());
            zones.save(new ZoneRow(zone));
            Wall.zone(zone);
        } catch (DateTimeException e) {
            throw new IllegalArgumentException(
                    "The time zone is a place of the list, such as Europe/Berlin; there is none called " + name + ".");
        }
    }
}
