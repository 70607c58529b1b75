package app.kemdro.core.method;

import app.kemdro.core.material.Material;
import app.kemdro.core.material.MaterialRole;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A rule of order that is not a state: what {@code before} picks is finished before what {@code after} picks begins.
 *
 * @param id by which it is asked for
 * @param near how near to one another both have to be for the rule to hold
 * @param alone whether it only holds for somebody who works on themselves
 * @param only the way of a school in which alone it holds
 */
public record Rule(
        String id,
        Pick before,
        Pick after,
        Near near,
        boolean alone,
        Optional<OrderSchool.Taken> only,
        String because) {

    /**
     * Whether it holds for work on somebody else, or on oneself.
     *
     * @param ways the way that is taken, by school
     */
    public boolean holds(boolean selfApplied, Map<String, String> ways) {
        return (!alone || selfApplied)
                && only.filter(o -> !o.way().equals(ways.get(o.school()))).isEmpty();
    }

    /** How near two pieces of work are. */
    public enum Near {
        /** Wherever each of them is. */
        ANYWHERE,
        /** On the same zone, or on zones that lie side by side. */
        TOUCHING,
        /** On zones that lie side by side and on none that both share. */
        BESIDE
    }

    /** Where the costume lies, seen from a piece of work. */
    public enum Costume {
        ANYWHERE,
        /** Over some of it. */
        OVER,
        /** Over none of it. */
        BESIDE
    }

    /**
     * Work of these kinds, wholly; or of it only the steps that lay something.
     *
     * @param slots kinds of work
     * @param regions regions of the body; none means the whole body
     * @param gives states of which it leaves one; none means whatever it leaves
     * @param lays roles of materials, of which a step has to lay one to be picked; none means every step
     * @param wholly whether all of it has to lie in those regions
     * @param costume where the costume has to lie, seen from it
     */
    public record Pick(
            Set<String> slots,
            Set<String> regions,
            Set<String> gives,
            Set<MaterialRole> lays,
            boolean wholly,
            Costume costume) {
        /**
         * Whether work of this technique is picked, as far as it is not said by steps.
         *
         * @param touchedRegions where it lies
         * @param underCostume whether the costume covers some of it
         */
        public boolean fits(Technique technique, Set<String> touchedRegions, boolean underCostume) {
            return slots.contains(technique.slot())
                    && (regions.isEmpty() || touchedRegions.stream().anyMatch(regions::contains))
                    && (gives.isEmpty() || technique.gives().stream().anyMatch(gives::contains))
                    && (!wholly || regions.containsAll(touchedRegions))
                    && (costume == Costume.ANYWHERE || underCostume == (costume == Costume.OVER));
        }

        /** Whether a step that uses this is picked. */
        public boolean fits(Material material) {
            return lays.stream().anyMatch(material::is);
        }

        /** Whether single steps are picked and not the whole of it. */
        public boolean picksSteps() {
            return !lays.isEmpty();
        }
    }
}
