package app.kemdro.core.schedule;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A network with times.
 *
 * @param placed every task, by start
 * @param ready second at which all is done and settled
 * @param leastReady no schedule of this network can be ready before this second
 */
public record Schedule(List<ScheduledTask> placed, List<Rest> rests, int ready, int leastReady) {
    public Schedule {
        placed = placed.stream()
                .sorted(Comparator.comparingInt(ScheduledTask::start).thenComparing(ScheduledTask::task))
                .toList();
        rests = List.copyOf(rests);
    }

    /** The same where it is proven that nothing is ready before this second. */
    public Schedule provenNotBefore(int second) {
        int proven = Math.max(leastReady, Math.min(second, ready));
        return proven == leastReady ? this : new Schedule(placed, rests, ready, proven);
    }

    /** The placement of this task; empty where it is left out. */
    public Optional<ScheduledTask> find(String task) {
        return placed.stream().filter(p -> p.task().equals(task)).findFirst();
    }

    /** The placement of this task, which must be there. */
    public ScheduledTask of(String task) {
        return find(task).orElseThrow(() -> new IllegalArgumentException("No task is called " + task));
    }

    /** The same starts and ends with everything else as this network has it, for an order that came from elsewhere. */
    public Schedule in(TaskNetwork network) {
        Map<String, Task> tasks = network.byId();
        return new Schedule(
                placed.stream()
                        .filter(p -> tasks.containsKey(p.task()))
                        .map(p -> p.settling(tasks.get(p.task()).way(p.mode())))
                        .toList(),
                rests,
                ready,
                leastReady);
    }
}
