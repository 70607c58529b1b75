package app.kemdro.web.parts.figure;

import app.kemdro.core.body.Body;
import app.kemdro.core.body.Zone;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;

/**
 * What the figure shows on each zone.
 *
 * @param zones by id, in the order in which arrow keys walk from the crown down
 */
public record FigureModel(Map<String, Shown> zones) {

    /**
     * One zone as shown.
     *
     * @param tint what its fill says: one of the figure's tints, or empty for bare plaster
     * @param word the same in a word, so that colour never stands alone
     */
    public record Shown(String name, Set<String> neighbours, String tint, String word, boolean selected) {}

    /** What one zone's fill says. */
    public record Tint(String tint, String word) {
        public static final Tint NONE = new Tint("", "");
    }

    /** Builds the model of a whole body. */
    public static FigureModel of(Body body, Set<String> selected, Function<String, Tint> tint) {
        Map<String, Shown> zones = new LinkedHashMap<>();
        for (Zone zone : body.zones()) {
            Tint shown = tint.apply(zone.id());
            zones.put(
                    zone.id(),
                    new Shown(
                            zone.name(), zone.neighbours(), shown.tint(), shown.word(), selected.contains(zone.id())));
        }
        return new FigureModel(zones);
    }
}
