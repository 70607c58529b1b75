package app.kemdro.core.layer;

import java.util.List;

/**
 * What would make a boundary hold.
 *
 * @param lay techniques to put between
 * @param above natures to use instead on top
 * @param below natures to use instead beneath
 * @param turn whether laying them the other way round would do
 */
public record Mend(List<String> lay, List<String> above, List<String> below, boolean turn) {
    public static final Mend NONE = new Mend(List.of(), List.of(), List.of(), false);

    public Mend {
        lay = List.copyOf(lay);
        above = List.copyOf(above);
        below = List.copyOf(below);
    }

    public boolean isNone() {
        return lay.isEmpty() && above.isEmpty() && below.isEmpty() && !turn;
    }
}
