package app.kemdro.core.schedule;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Work that nobody puts down: a task, together with those before it that leave no time for a break until it must have begun, as a
 * film does that is to be powdered within three minutes.
 */
public final class Unbroken {
    private Unbroken() {}

    /**
     * By task, how long the piece of work that ends with it takes the slowest hands, seconds.
     *
     * @param rest the shortest break, seconds
     */
    public static Map<String, Integer> seconds(List<Task> tasks, List<Lag> lags, List<Worker> workers, int rest) {
        Map<String, Task> byId = new HashMap<>();
        tasks.forEach(t -> byId.put(t.id(), t));
        Map<String, List<Lag>> tied = new HashMap<>();
        for (Lag lag : lags) {
            Task from = byId.get(lag.from());
            if (from != null && from.modes().stream().allMatch(m -> lag.shutsAfter(m) < rest)) {
                tied.computeIfAbsent(lag.to(), k -> new ArrayList<>()).add(lag);
            }
        }
        Map<String, Integer> seconds = new LinkedHashMap<>();
        tasks.forEach(t -> seconds.put(t.id(), upTo(t, byId, tied, workers)));
        return seconds;
    }

    private static int upTo(Task last, Map<String, Task> byId, Map<String, List<Lag>> tied, List<Worker> workers) {
        Set<String> counted = new HashSet<>(Set.of(last.id()));
        Deque<Task> open = new ArrayDeque<>(List.of(last));
        int seconds = 0;
        while (!open.isEmpty()) {
            Task task = open.pop();
            seconds += longest(task, workers);
            for (Lag lag : tied.getOrDefault(task.id(), List.of())) {
                if (counted.add(lag.from())) {
                    Task from = byId.get(lag.from());
                    seconds += from.modes().stream()
                            .mapToInt(lag::opensAfter)
                            .max()
                            .orElse(0);
                    open.push(from);
                }
            }
        }
        return seconds;
    }

    /** How long it takes the slowest hands, in the longest of its ways. */
    private static int longest(Task task, List<Worker> workers) {
        int tool = task.modes().stream().mapToInt(Task.Mode::tool).max().orElse(0);
        return Worker.slowest(workers, task) + tool;
    }
}
