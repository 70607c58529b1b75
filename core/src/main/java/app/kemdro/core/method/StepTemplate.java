package app.kemdro.core.method;

import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * One step of a technique before it meets a body and a crew.
 *
 * @param minutes hands-on minutes however small the zone
 * @param minutesPer100Cm2 hands-on minutes for each 100 cm²
 * @param zones where it works, empty for the zones of the entry
 * @param each whether every zone is a step of its own
 * @param holds zones that must keep still or free meanwhile
 * @param after steps it follows, empty for the one before
 * @param within seconds after it may begin by which it must have begun, if there is such a window
 * @param material family it lays, if any
 * @param coatWeight multiple of the family's normal coat
 */
public record StepTemplate(
        String id,
        String name,
        Coats coats,
        double minutes,
        double minutesPer100Cm2,
        List<String> zones,
        boolean each,
        Set<String> holds,
        List<String> after,
        Begins begins,
        @Nullable Integer within,
        @Nullable String material,
        double coatWeight,
        boolean thinnerEachCoat,
        boolean dryer,
        Skill skill,
        String lookFor,
        String performer) {

    /** How a step follows the film of the one before. */
    public enum Begins {
        /** At once, film or not: both are one movement of work. */
        DONE,
        /** When the film is clear. */
        CLEAR,
        /** When the film grabs, and before it closes. */
        TACKY,
        /** While the film is still wet. */
        WET
    }

    /** Which coats a step is repeated for. */
    public enum Coats {
        ONCE,
        EVERY,
        ALL_BUT_LAST
    }

    /** Whose hands it takes. */
    public enum Skill {
        LEAD,
        ANY,
        NONE
    }
}
