package app.kemdro.core.schedule;

import java.util.Comparator;
import java.util.List;

/**
 * A network with times.
 *
 * @param placed every task, by start
 * @param ready second at which all is done and settled
 * @param leastReady no schedule of this network can be ready before this second
 */
public record Schedule(List<Placed> placed, List<Rest> rests, int ready, int leastReady) {
    public Schedule {
        placed = placed.stream()
                .sorted(Comparator.comparingInt(Placed::start).thenComparing(Placed::task))
                .toList();
        rests = List.copyOf(rests);
    }

    /** The placement of this task. */
    public Placed of(String task) {
        return placed.stream()
                .filter(p -> p.task().equals(task))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("No task is called " + task));
    }
}
