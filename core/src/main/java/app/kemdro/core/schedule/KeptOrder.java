package app.kemdro.core.schedule;

import app.kemdro.core.schedule.Task.Mode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The order people have in mind, with its times moved to where they fall now: who does what after what, in which way and
 * between which breaks stays as it was.
 */
final class KeptOrder {
    private final TaskNetwork network;
    private final Progress progress;
    private final Schedule before;
    private final Map<String, Task> tasks;
    private final Map<String, ScheduledTask> was = new HashMap<>();
    private final Map<String, ScheduledTask> now = new HashMap<>();
    private final List<ScheduledTask> placed = new ArrayList<>();
    private final List<Rest> rests = new ArrayList<>();
    private final Map<String, List<Lag>> lagsTo = new HashMap<>();
    private final Map<String, Integer> free = new HashMap<>();
    private final int[] toolFree;
    private final int sooner;
    private int lastEnd;
    private int restedUntil;

    private KeptOrder(TaskNetwork network, Progress progress, Schedule before, int sooner) {
        this.sooner = sooner;
        this.network = network;
        this.progress = progress;
        this.before = before;
        this.tasks = network.byId();
        this.toolFree = new int[network.tools()];
        before.placed().forEach(p -> was.put(p.task(), p));
        network.lags()
                .forEach(l ->
                        lagsTo.computeIfAbsent(l.to(), k -> new ArrayList<>()).add(l));
    }

    /** The order with its new times, ready as soon as it can be. */
    static Optional<Schedule> of(TaskNetwork network, Progress progress, Schedule before) {
        return of(network, progress, before, 0);
    }

    /**
     * The order with its new times; empty where steps are other ones or where it would not be sound any more. What was held back, as
     * work that is better begun when the rest of it can follow, is held back still where all is ready as soon.
     *
     * @param grace seconds by which it may be ready later than it could be, so that what was held back for them stays so
     */
    static Optional<Schedule> of(TaskNetwork network, Progress progress, Schedule before, int grace) {
        Optional<Schedule> early = moved(network, progress, before, Integer.MAX_VALUE / 2);
        int sooner =
                early.map(e -> Math.max(0, before.ready() - e.ready() - grace)).orElse(0);
        return moved(network, progress, before, sooner)
                .filter(held -> early.isEmpty() || held.ready() <= early.get().ready() + grace)
                .or(() -> early);
    }

    /** The same with nothing begun by more than these seconds sooner than it was thought to be. */
    private static Optional<Schedule> moved(TaskNetwork network, Progress progress, Schedule before, int sooner) {
        KeptOrder shift = new KeptOrder(network, progress, before, sooner);
        if (!shift.sameSteps() || !shift.move()) {
            return Optional.empty();
        }
        Schedule moved = shift.schedule();
        return ScheduleCheck.problems(network, progress, moved).isEmpty() ? Optional.of(moved) : Optional.empty();
    }

    private boolean sameSteps() {
        Set<String> needed = new HashSet<>(tasks.keySet());
        progress.dropped().forEach(needed::remove);
        progress.past().forEach(p -> needed.remove(p.task()));
        return was.keySet().containsAll(needed)
                && needed.stream()
                        .allMatch(
                                id -> tasks.get(id).modes().size() > was.get(id).mode());
    }

    private boolean move() {
        for (ScheduledTask p : progress.past()) {
            if (tasks.containsKey(p.task())) {
                keep(p);
            }
        }
        for (Rest rest : progress.rests()) {
            rests.add(rest);
            restedUntil = Math.max(restedUntil, rest.end());
        }
        List<ScheduledTask> open = before.placed().stream()
                .filter(p -> tasks.containsKey(p.task()) && !now.containsKey(p.task()))
                .filter(p -> !progress.dropped().contains(p.task()))
                .sorted(Comparator.comparingInt(ScheduledTask::start))
                .toList();
        int next = progress.rests().size();
        for (ScheduledTask p : open) {
            while (next < before.rests().size() && before.rests().get(next).end() <= p.start()) {
                if (!rest(next++)) {
                    return false;
                }
            }
            if (!place(p)) {
                return false;
            }
        }
        return lastEnd - restedUntil <= network.breaks().every() || open.isEmpty();
    }

    private void keep(ScheduledTask p) {
        now.put(p.task(), p);
        placed.add(p);
        lastEnd = Math.max(lastEnd, p.end());
        p.hands().forEach(h -> free.merge(h, p.end(), Math::max));
    }

    /**
     * A break begins as soon as all that comes before it has ended. Where nobody has worked since the one before, it stays where it
     * was, or falls away where that is over.
     */
    private boolean rest(int number) {
        boolean worked = lastEnd > restedUntil || rests.isEmpty();
        int start = Math.max(
                progress.now(), worked ? lastEnd : before.rests().get(number).start());
        if (!worked && start <= restedUntil) {
            return true;
        }
        if (start - restedUntil > network.breaks().every()) {
            return false;
        }
        restedUntil = start + network.breaks().length(rests.size());
        rests.add(new Rest(start, restedUntil));
        return true;
    }

    private boolean place(ScheduledTask p) {
        Task task = tasks.get(p.task());
        Mode mode = task.modes().get(p.mode());
        int work = task.work();
        int start = Math.max(Math.max(progress.now(), restedUntil), p.start() - sooner);
        for (Pin pin : network.pins()) {
            start = pin.task().equals(p.task()) ? Math.max(start, pin.from()) : start;
        }
        if (task.needs() != Task.Needs.NOBODY) {
            Optional<Worker> hands = network.workers().stream()
                    .filter(w -> w.id().equals(p.worker()))
                    .findFirst();
            if (hands.isEmpty()) {
                return false;
            }
            work = hands.get().seconds(task, mode);
            start = Math.max(start, hands.get().from());
            for (String taken : p.hands()) {
                start = Math.max(start, free.getOrDefault(taken, 0));
            }
        }
        for (Lag lag : lagsTo.getOrDefault(p.task(), List.of())) {
            ScheduledTask earlier = now.get(lag.from());
            start = earlier == null ? start : Math.max(start, lag.opens(earlier));
        }
        start = Math.max(start, zonesFree(p, task));
        if (mode.tool() > 0) {
            if (toolFree.length == 0) {
                return false;
            }
            Arrays.sort(toolFree);
            start = Math.max(start, toolFree[0] - work);
            toolFree[0] = start + work + mode.tool();
        }
        int end = start + work + mode.tool();
        keep(new ScheduledTask(
                p.task(),
                p.worker(),
                p.helper(),
                p.mode(),
                start,
                end,
                end + mode.usable(),
                mode.closes() >= Mode.NEVER ? Mode.NEVER : end + mode.closes(),
                end + mode.settled(),
                0));
        return true;
    }

    /** When all that was in the same places before, or wanted another posture, is over; dry where it was waited for to dry. */
    private int zonesFree(ScheduledTask p, Task task) {
        int at = 0;
        for (ScheduledTask q : placed) {
            if (tasks.get(q.task()).sharesZone(task)) {
                ScheduledTask old = was.get(q.task());
                boolean waited = old == null || p.start() >= old.settled();
                at = Math.max(at, waited && !into(q.task(), p.task()) ? q.settled() : q.end());
            } else if (tasks.get(q.task()).otherPosture(task)) {
                at = Math.max(at, q.end());
            }
        }
        return at;
    }

    private boolean into(String from, String to) {
        return lagsTo.getOrDefault(to, List.of()).stream()
                .anyMatch(l -> l.into() && l.from().equals(from));
    }

    private Schedule schedule() {
        int ready = 0;
        for (ScheduledTask p : placed) {
            boolean workedInto = network.lags().stream()
                    .anyMatch(l -> l.into() && l.from().equals(p.task()) && now.containsKey(l.to()));
            ready = Math.max(ready, workedInto ? p.end() : p.settled());
        }
        int last = lastEnd;
        return new Schedule(
                placed,
                rests.stream().filter(r -> r.start() < last).toList(),
                ready,
                Math.min(ready, before.leastReady()));
    }
}
