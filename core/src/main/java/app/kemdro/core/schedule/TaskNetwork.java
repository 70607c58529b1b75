package app.kemdro.core.schedule;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Tasks, what follows what, and who and what there is to do them. Times are seconds from the moment work may begin.
 *
 * @param tools how many shared tools there are
 */
public record TaskNetwork(
        List<Task> tasks, List<Lag> lags, List<Worker> workers, int tools, BreakRule breaks, List<Pin> pins) {
    /** A network in which nothing was decided by hand. */
    public TaskNetwork(List<Task> tasks, List<Lag> lags, List<Worker> workers, int tools, BreakRule breaks) {
        this(tasks, lags, workers, tools, breaks, List.of());
    }

    public TaskNetwork {
        pins = List.copyOf(pins);
        tasks = List.copyOf(tasks);
        lags = List.copyOf(lags);
        workers = List.copyOf(workers);
        Set<String> ids = new HashSet<>();
        for (Task task : tasks) {
            if (!ids.add(task.id())) {
                throw new IllegalArgumentException("Two tasks are called " + task.id());
            }
        }
        for (Pin pin : pins) {
            if (!ids.contains(pin.task())) {
                throw new IllegalArgumentException("A pin holds a task that is not there: " + pin);
            }
        }
        for (Lag lag : lags) {
            if (!ids.contains(lag.from()) || !ids.contains(lag.to())) {
                throw new IllegalArgumentException("A lag joins a task that is not there: " + lag);
            }
        }
    }

    /**
     * The same for the same network and another for any other, whatever order sets are walked in. Traits are left out: what is
     * proven of being ready does not hang on them.
     */
    public String fingerprint() {
        StringBuilder text = new StringBuilder();
        tasks.forEach(t -> text.append(t.id())
                .append('|')
                .append(t.work())
                .append(new TreeSet<>(t.zones()))
                .append(new TreeSet<>(t.holds()))
                .append(new TreeMap<>(t.posture()))
                .append(t.needs())
                .append(t.modes()));
        lags.stream()
                .map(l -> l.from() + l.to() + l.kind() + l.within())
                .sorted()
                .forEach(text::append);
        text.append(workers).append(tools).append(breaks).append(pins);
        try {
            byte[] digest =
                    MessageDigest.getInstance("SHA-256").digest(text.toString().getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(digest);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every Java has SHA-256", e);
        }
    }

    /** Tasks by id, for whoever asks often. */
    Map<String, Task> byId() {
        Map<String, Task> result = new HashMap<>();
        tasks.forEach(t -> result.put(t.id(), t));
        return result;
    }

    /** The task of this id. */
    public Task task(String id) {
        return tasks.stream()
                .filter(t -> t.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("No task is called " + id));
    }

    /** How much longer these hands take than is usual; 1 for hands that are not of it. */
    public double pace(@Nullable String hands) {
        return workers.stream()
                .filter(w -> w.id().equals(hands))
                .mapToDouble(Worker::pace)
                .findFirst()
                .orElse(1);
    }

    /** Seconds of work that a task in one of its ways takes these hands, without the tool. */
    public double seconds(Task task, Task.Mode mode, @Nullable String hands) {
        return task.work() * (mode.helped() ? mode.together() : 1) * pace(hands);
    }

    /** Whether there is more work than there are hours of those who may do it, whoever does what: then no order of it is found. */
    public boolean isShortOfHands() {
        long work = 0;
        long leads = 0;
        for (Task task : tasks) {
            // with help it takes each of two at least half of what it takes one alone
            int least = workers.stream()
                    .filter(w -> w.can(task))
                    .mapToInt(w -> w.seconds(task, task.modes().get(0)))
                    .min()
                    .orElse(0);
            work += task.needs() == Task.Needs.NOBODY ? 0 : least;
            leads += task.needs() == Task.Needs.LEAD ? least : 0;
        }
        return work > hours(workers)
                || leads > hours(workers.stream().filter(Worker::lead).toList());
    }

    private static long hours(List<Worker> hands) {
        return hands.stream()
                .mapToLong(w -> Math.max(0, w.until() - Math.max(0, w.from())))
                .sum();
    }

    /** The same for what is left: what has begun waits for nothing that has not. */
    TaskNetwork from(Progress progress) {
        if (progress.past().isEmpty()) {
            return this;
        }
        Set<String> past = progress.past().stream().map(ScheduledTask::task).collect(Collectors.toSet());
        return new TaskNetwork(
                tasks,
                lags.stream()
                        .filter(l -> past.contains(l.from()) || !past.contains(l.to()))
                        .toList(),
                workers,
                tools,
                breaks,
                pins);
    }

    /**
     * The same as far as anything can be kept at all: windows never close, nothing is pinned, hands may do everything and stay as
     * long as it takes, and what would wait for itself does not.
     */
    public TaskNetwork loosest() {
        List<Lag> kept = new ArrayList<>(lags.stream()
                .map(l -> new Lag(l.from(), l.to(), l.kind(), null, l.because()))
                .toList());
        TaskNetwork loose = loose(kept);
        for (Optional<List<String>> ring = loose.cycle(); ring.isPresent(); ring = loose.cycle()) {
            String last = ring.get().get(ring.get().size() - 1);
            String first = ring.get().get(0);
            kept.removeIf(l -> l.from().equals(last) && l.to().equals(first));
            loose = loose(kept);
        }
        return loose;
    }

    private TaskNetwork loose(List<Lag> kept) {
        return new TaskNetwork(
                tasks.stream().map(Task::neverClosing).toList(),
                kept,
                workers.stream()
                        .map(w -> new Worker(w.id(), true, w.pace(), 0, Integer.MAX_VALUE / 4))
                        .toList(),
                tools,
                breaks);
    }

    /** A ring of tasks each of which waits for the one before, if there is one. */
    public Optional<List<String>> cycle() {
        Map<String, List<String>> next = new HashMap<>();
        lags.forEach(
                lag -> next.computeIfAbsent(lag.from(), k -> new ArrayList<>()).add(lag.to()));
        Set<String> finished = new HashSet<>();
        for (Task task : tasks) {
            List<String> path = new ArrayList<>();
            Optional<List<String>> found = walk(task.id(), next, path, finished);
            if (found.isPresent()) {
                return found;
            }
        }
        return Optional.empty();
    }

    private static Optional<List<String>> walk(
            String at, Map<String, List<String>> next, List<String> path, Set<String> finished) {
        if (finished.contains(at)) {
            return Optional.empty();
        }
        int seen = path.indexOf(at);
        if (seen >= 0) {
            return Optional.of(List.copyOf(path.subList(seen, path.size())));
        }
        path.add(at);
        for (String to : next.getOrDefault(at, List.of())) {
            Optional<List<String>> found = walk(to, next, path, finished);
            if (found.isPresent()) {
                return found;
            }
        }
        path.remove(path.size() - 1);
        finished.add(at);
        return Optional.empty();
    }
}
