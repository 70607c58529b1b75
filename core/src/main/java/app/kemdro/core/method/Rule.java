package app.kemdro.core.method;

import app.kemdro.core.material.Material;
import app.kemdro.core.material.MaterialRole;
import java.util.Set;

/**
 * A rule of order that is not a state: what {@code before} picks is finished before what {@code after} picks begins.
 *
 * @param id by which it is asked for
 * @param near how near to one another both have to be for the rule to hold
 * @param alone whether it only holds for somebody who works on themselves
 */
public record Rule(String id, Pick before, Pick after, Near near, boolean alone, String because) {

    /** Whether it holds for work on somebody else, or on oneself. */
    public boolean holds(boolean selfApplied) {
        return !alone || selfApplied;
    }

    /** How near two pieces of work are. */
    public enum Near {
        /** Wherever each of them is. */
        ANYWHERE,
        /** On the same zone, or on zones that lie side by side. */
        TOUCHING
    }

    /**
     * Work of these kinds, wholly; or of it only the steps that lay something.
     *
     * @param slots kinds of work
     * @param regions regions of the body; none means the whole body
     * @param gives states of which it leaves one; none means whatever it leaves
     * @param lays roles of materials, of which a step has to lay one to be picked; none means every step
     */
    public record Pick(Set<String> slots, Set<String> regions, Set<String> gives, Set<MaterialRole> lays) {
        /** Whether work of this technique, which touches these regions, is picked, as far as it is not said by steps. */
        public boolean fits(Technique technique, Set<String> touchedRegions) {
            return slots.contains(technique.slot())
                    && (regions.isEmpty() || touchedRegions.stream().anyMatch(regions::contains))
                    && (gives.isEmpty() || technique.gives().stream().anyMatch(gives::contains));
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
