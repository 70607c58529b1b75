package app.kemdro.core.strike;

import app.kemdro.core.material.Material;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.core.schedule.Task;
import app.kemdro.core.schedule.TaskNetwork;
import app.kemdro.core.schedule.Worker;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * How everything comes off, with its times.
 *
 * @param steps in the order in which they begin
 * @param schedule seconds from the moment it may begin
 * @param unknown layers that nothing known takes off from where they lie, in words; empty where all is well
 */
public record Removal(List<Step> steps, TaskNetwork network, Schedule schedule, List<String> unknown) {

    /** How the one in the chair is called where they do something alone. */
    public static final String PERFORMER = "the performer";

    /** Who does something: the crew, and the performer where something is left to them. */
    public List<String> hands() {
        Stream<String> crew = network.workers().stream().map(Worker::id);
        boolean alone = network.tasks().stream().anyMatch(t -> t.needs() == Task.Needs.NOBODY);
        return Stream.concat(crew, alone ? Stream.of(PERFORMER) : Stream.of()).toList();
    }

    /** Whose hands do it. */
    public static String by(ScheduledTask placed) {
        return placed.worker() == null ? PERFORMER : placed.worker();
    }

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
