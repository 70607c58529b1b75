package app.kemdro.core.method;

import java.util.List;
import java.util.Set;

/**
 * A way of doing something to the body, as the trade does it.
 *
 * @param family name shared by the schools between which an artist chooses
 * @param slot two techniques of one slot cannot both lie on a zone
 * @param zones zones it may be used on
 * @param covers zones it always takes, empty where it takes those that were pressed
 * @param implied whether Kemdro inserts it by itself where a need is not met
 * @param gives states its zones have afterwards
 * @param givesAround states that the other zones its steps work on have afterwards
 * @param spoils states that no longer hold where it was done
 * @param performerOnly whether the performer leaves and no hands work
 */
public record Technique(
        String id,
        String name,
        String family,
        String slot,
        Effect effect,
        Set<String> zones,
        Set<String> covers,
        boolean implied,
        boolean performerOnly,
        CoatRange coats,
        List<Need> needs,
        Set<String> gives,
        Set<String> givesAround,
        Set<String> spoils,
        String because,
        List<String> cautions,
        List<StepTemplate> steps) {

    /** What happens in a zone, as drawn on the figure. */
    public enum Effect {
        PREPARE,
        VANISH,
        RESHAPE,
        TEXTURE,
        COLOUR,
        FINISH
    }

    /** How many coats are usual and allowed. */
    public record CoatRange(int usual, int least, int most) {
        static final CoatRange ONE = new CoatRange(1, 1, 1);

        public boolean isChoice() {
            return most > least;
        }
    }

    /** Families of material its steps lay. */
    public List<String> materials() {
        return steps.stream()
                .map(StepTemplate::material)
                .filter(m -> m != null)
                .distinct()
                .toList();
    }
}
