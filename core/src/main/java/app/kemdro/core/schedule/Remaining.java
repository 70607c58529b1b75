package app.kemdro.core.schedule;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What is left to do in the middle of things, as a network that begins anew: what is past shows in when each task may begin and by when it
 * must have. It begins with the end of the last break, or of what is under way; tools in use are not known to it.
 *
 * @param network what has not begun
 * @param whole what it is left of
 * @param base the second, of the whole, at which it begins
 */
public record Remaining(TaskNetwork network, TaskNetwork whole, int base) {

    /** Nobody can rest in what is past: this is how it is there. */
    private static final String UNTIL_NOW = "until now";

    /** What is left of a network. */
    public static Remaining of(TaskNetwork whole, Progress progress) {
        int base = progress.rests().stream().mapToInt(Rest::end).max().orElse(0);
        Map<String, ScheduledTask> past = new LinkedHashMap<>();
        progress.past().forEach(p -> past.put(p.task(), p));
        Set<String> gone = new HashSet<>(progress.dropped());
        gone.addAll(past.keySet());
        Map<String, Task> byId = whole.byId();
        List<Task> tasks = new ArrayList<>(
                whole.tasks().stream().filter(t -> !gone.contains(t.id())).toList());
        List<Pin> pins = tasks.stream()
                .map(t -> pin(t, whole, progress, past, byId).moved(-base))
                .collect(Collectors.toCollection(ArrayList::new));
        int busy = progress.busy() - base;
        if (busy > 0) {
            tasks.add(new Task(UNTIL_NOW, busy, Set.of(), Set.of(), Task.Needs.NOBODY, List.of(Task.Mode.NOTHING)));
            pins.add(new Pin(UNTIL_NOW, 0, 0, null));
        }
        List<Worker> workers = whole.workers().stream()
                .map(w -> new Worker(
                        w.id(),
                        w.lead(),
                        w.pace(),
                        Math.max(0, free(w, progress) - base),
                        w.until() >= Task.Mode.NEVER ? w.until() : w.until() - base))
                .toList();
        List<Lag> lags = whole.lags().stream()
                .filter(l -> !gone.contains(l.from()) && !gone.contains(l.to()))
                .toList();
        return new Remaining(new TaskNetwork(tasks, lags, workers, whole.tools(), whole.breaks(), pins), whole, base);
    }

    private static int free(Worker worker, Progress progress) {
        return Stream.concat(
                        Stream.of(worker.from(), progress.now()),
                        progress.past().stream()
                                .filter(p -> p.takes(worker.id()))
                                .map(ScheduledTask::end))
                .mapToInt(Integer::intValue)
                .max()
                .orElse(0);
    }

    private static Pin pin(
            Task task, TaskNetwork whole, Progress progress, Map<String, ScheduledTask> past, Map<String, Task> byId) {
        int from = progress.now();
        int until = Task.Mode.NEVER;
        @Nullable String worker = null;
        for (Pin pin : whole.pins()) {
            if (pin.task().equals(task.id())) {
                from = Math.max(from, pin.from());
                until = Math.min(until, pin.until());
                worker = pin.worker();
            }
        }
        Set<String> into = new HashSet<>();
        for (Lag lag : whole.lags()) {
            ScheduledTask before = past.get(lag.from());
            if (before != null && lag.into() && past.containsKey(lag.to())) {
                // what it left was worked into: what is on its place now is the other's
                into.add(lag.from());
            }
            if (before != null && lag.to().equals(task.id())) {
                from = Math.max(from, lag.opens(before));
                until = Math.min(until, lag.shuts(before));
                if (lag.into()) {
                    into.add(lag.from());
                }
            }
        }
        for (ScheduledTask before : past.values()) {
            Task earlier = byId.get(before.task());
            if (earlier != null && !into.contains(before.task())) {
                if (task.sharesZone(earlier) && task.touched().stream().anyMatch(earlier.zones()::contains)) {
                    from = Math.max(from, before.settled());
                } else if (task.sharesZone(earlier) || task.otherPosture(earlier)) {
                    from = Math.max(from, before.end());
                }
            }
        }
        return new Pin(task.id(), from, until, worker);
    }

    /** What is left in an order of the whole that goes on from there. */
    public Schedule of(Schedule order, Progress progress) {
        Set<String> past = progress.past().stream().map(ScheduledTask::task).collect(Collectors.toSet());
        List<ScheduledTask> placed = new ArrayList<>();
        int busy = progress.busy() - base;
        if (busy > 0) {
            placed.add(new ScheduledTask(UNTIL_NOW, null, 0, 0, busy, busy, Task.Mode.NEVER, busy, 0));
        }
        order.placed().stream().filter(p -> !past.contains(p.task())).forEach(p -> placed.add(p.later(-base)));
        List<Rest> rests = order.rests().stream()
                .skip(progress.rests().size())
                .map(r -> new Rest(r.start() - base, r.end() - base))
                .toList();
        return new Schedule(placed, rests, ready(network, placed), 0);
    }

    /** When these tasks have ended, and what nobody works into has settled. */
    private static int ready(TaskNetwork network, List<ScheduledTask> placed) {
        Set<String> workedInto =
                network.lags().stream().filter(Lag::into).map(Lag::from).collect(Collectors.toSet());
        return placed.stream()
                .mapToInt(p -> workedInto.contains(p.task()) ? p.end() : p.settled())
                .max()
                .orElse(0);
    }

    /** An order of what is left, with what is past before it: its times are those of the whole again. */
    public Schedule whole(Schedule found, Progress progress) {
        List<ScheduledTask> placed = new ArrayList<>(progress.past());
        found.placed().stream().filter(p -> !p.task().equals(UNTIL_NOW)).forEach(p -> placed.add(p.later(base)));
        List<Rest> rests = new ArrayList<>(progress.rests());
        found.rests().forEach(r -> rests.add(new Rest(r.start() + base, r.end() + base)));
        return new Schedule(placed, rests, Math.max(found.ready() + base, ready(whole, progress.past())), 0);
    }
}
