package app.kemdro.core.strike;

import app.kemdro.core.material.Material;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.TaskNetwork;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * How everything comes off, with its times.
 *
 * @param steps in the order in which they begin
 * @param schedule seconds from the moment it may begin
 * @param unknown layers that nothing known takes off from where they lie, in words; empty where all is well
 */
public record Removal(List<Step> steps, TaskNetwork network, Schedule schedule, List<String> unknown) {

    /** What is done in a step. */
    public enum Sort {
        /** Remover is worked under; then it soaks. */
        FLOOD,
        /** Something is lifted, wiped or rolled off. */
        LIFT,
        /** Once, at the end. */
        CARE
    }

    /**
     * A step of removal.
     *
     * @param zones where it happens, from the crown down
     * @param remover what it is done with, if anything
     * @param takes layers that come off in it, by zone, the outermost first
     * @param grams g of the remover
     * @param soakSeconds how long it soaks afterwards
     */
    public record Step(
            String id,
            Sort sort,
            String title,
            List<String> zones,
            String where,
            Optional<Material> remover,
            Map<String, List<Material>> takes,
            double grams,
            int soakSeconds,
            List<String> cautions,
            String because) {}

    /** Seconds until all is off, washed and soothed. */
    public int seconds() {
        return schedule.ready();
    }

    /** The step of this id. */
    public Step step(String id) {
        return steps.stream().filter(s -> s.id().equals(id)).findFirst().orElseThrow();
    }
}
