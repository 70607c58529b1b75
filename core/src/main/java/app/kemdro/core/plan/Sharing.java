package app.kemdro.core.plan;

import app.kemdro.core.body.Body;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Who does which part of a step that two share: one side each where it is done on both, else the upper and the lower rows, else front
 * and back of what is large. Never two at one half of a face.
 *
 * @param first the part of whoever begins it, in words
 * @param second the part of whoever helps
 */
public record Sharing(String first, String second) {
    /** In one row of the body two do not get in each other's way from so many cm² on (judgement): front and back of a head, not a cheek. */
    private static final double LARGE = 300;

    /**
     * Parts of these zones.
     *
     * @return empty where they cannot be shared
     */
    static Optional<Sharing> of(List<String> zones, Body body) {
        Optional<String> side = zones.stream()
                .filter(z -> !body.mirror(z).equals(z) && zones.contains(body.mirror(z)))
                .findFirst();
        if (side.isPresent()) {
            return Optional.of(new Sharing(sideOf(side.get(), body), sideOf(body.mirror(side.get()), body)));
        }
        List<String> rows =
                zones.stream().map(z -> body.zone(z).row()).distinct().toList();
        if (rows.size() > 1) {
            List<String> upper = rows.subList(0, (rows.size() + 1) / 2);
            List<String> above = new ArrayList<>(zones);
            above.removeIf(z -> !upper.contains(body.zone(z).row()));
            List<String> below = new ArrayList<>(zones);
            below.removeAll(above);
            return Optional.of(new Sharing(body.say(above), body.say(below)));
        }
        int last = zones.size() - 1;
        return last > 0 && body.areaCm2(zones) >= LARGE
                ? Optional.of(new Sharing(body.say(zones.subList(0, last)), body.say(zones.subList(last, last + 1))))
                : Optional.empty();
    }

    /** Names of what is on one side begin with that side. */
    private static String sideOf(String zone, Body body) {
        return body.zone(zone).name().split(" ")[0];
    }
}
