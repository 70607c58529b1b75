package app.kemdro.core.schedule;

import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * When a schedule is really ready, if its order and hands are kept while work and settling take other times than planned.
 * Times are log-normal; a slow day slows every task and a damp room every film together, because independent errors would
 * cancel and flatter the result. A missed window costs the earlier task once more.
 *
 * @param ready simulated ready times in seconds, ascending
 * @param carries by task, the share of mornings in which being ready hung on it (the criticality index), 0 to 1
 */
public record Confidence(int[] ready, Map<String, Double> carries) {
    /** Spread of one task's time (standard deviation of the log; a judgement, as the two below). */
    public static final double TASK = 0.18;

    /** Spread of a whole day. */
    public static final double DAY = 0.05;

    /** Spread of a room's drying. */
    private static final double ROOM = 0.15;

    private static final long SEED = 41L;

    /** Simulates this many mornings. */
    public static Confidence of(TaskNetwork network, Schedule schedule, int mornings) {
        return of(network, schedule, Progress.NOTHING, mornings);
    }

    /** Simulates what is left; what is past stays as it was, and what is under way takes about as long as is expected. */
    public static Confidence of(TaskNetwork network, Schedule schedule, Progress progress, int mornings) {
        Model model = new Model(network, schedule, progress);
        SplittableRandom random = new SplittableRandom(SEED);
        int[] ready = new int[mornings];
        for (int k = 0; k < mornings; k++) {
            ready[k] = model.morning(random);
        }
        Arrays.sort(ready);
        return new Confidence(ready, model.carries(mornings));
    }

    /** The second by which this share of mornings is ready; 0.9 means 9 of 10, one-sided. */
    public int by(double share) {
        int k = (int) Math.ceil(share * ready.length) - 1;
        return ready[Math.max(0, Math.min(ready.length - 1, k))];
    }

    /** A lag into a task, looked up once: after which place it is, when it opens and shuts after that one's end. */
    private record Before(int from, int opens, int shuts) {}

    private static final class Model {
        private final List<ScheduledTask> order;
        private final int n;
        private final Before[][] befores;
        private final int[] starts;
        private final int[] work;
        private final int[] dries;
        private final int[][] waits;
        private final boolean[][] settles;
        private final boolean[] workedInto;
        private final int[] rests;
        private final int[] restLength;
        private final int[] release;
        private final int now;
        private final boolean[] past;
        private final int[] hung;
        private final int[] waitedFor;

        Model(TaskNetwork network, Schedule schedule, Progress progress) {
            order = schedule.placed();
            n = order.size();
            Map<String, Integer> index = new HashMap<>();
            for (int i = 0; i < n; i++) {
                index.put(order.get(i).task(), i);
            }
            Map<String, Task> tasks = network.byId();
            befores = new Before[n][];
            starts = order.stream().mapToInt(ScheduledTask::start).toArray();
            work = order.stream().mapToInt(p -> p.end() - p.start()).toArray();
            dries = order.stream().mapToInt(p -> p.settled() - p.end()).toArray();
            waits = new int[n][];
            settles = new boolean[n][];
            workedInto = new boolean[n];
            Map<String, List<Lag>> lagsTo = network.lags().stream()
                    .filter(l -> index.containsKey(l.from()) && index.containsKey(l.to()))
                    .collect(Collectors.groupingBy(Lag::to));
            lagsTo.values().stream()
                    .flatMap(List::stream)
                    .filter(Lag::into)
                    .forEach(l -> workedInto[index.get(l.from())] = true);
            for (int i = 0; i < n; i++) {
                befores[i] = lagsTo.getOrDefault(order.get(i).task(), List.of()).stream()
                        .map(l -> before(l, index.get(l.from())))
                        .toArray(Before[]::new);
                queues(tasks, i);
            }
            now = progress.now();
            past = new boolean[n];
            progress.past().stream()
                    .filter(p -> index.containsKey(p.task()))
                    .forEach(p -> past[index.get(p.task())] = true);
            release = new int[n];
            hung = new int[n];
            waitedFor = new int[n];
            network.pins().stream()
                    .filter(p -> index.containsKey(p.task()))
                    .forEach(p -> release[index.get(p.task())] = p.from());
            rests = schedule.rests().stream().mapToInt(Rest::start).toArray();
            restLength =
                    schedule.rests().stream().mapToInt(r -> r.end() - r.start()).toArray();
        }

        /**
         * What was planned last before this task on the same hands and on each of its zones comes before it in every
         * morning; what came earlier still is before that one in turn.
         */
        private void queues(Map<String, Task> tasks, int i) {
            ScheduledTask placed = order.get(i);
            Task task = tasks.get(placed.task());
            Map<Integer, Boolean> before = new TreeMap<>();
            for (String hands : placed.hands()) {
                lastBefore(i, other -> other.takes(hands)).ifPresent(j -> before.put(j, false));
            }
            lastBefore(i, other -> task.otherPosture(tasks.get(other.task()))).ifPresent(j -> before.put(j, false));
            for (String zone : task.touched()) {
                lastBefore(i, other -> tasks.get(other.task()).touched().contains(zone))
                        .ifPresent(j ->
                                before.put(j, placed.start() >= order.get(j).settled()));
            }
            waits[i] = before.keySet().stream().mapToInt(Integer::intValue).toArray();
            settles[i] = new boolean[waits[i].length];
            for (int k = 0; k < waits[i].length; k++) {
                settles[i][k] = before.get(waits[i][k]);
            }
        }

        private Before before(Lag lag, int from) {
            ScheduledTask q = order.get(from);
            boolean closes = lag.kind() == Lag.Kind.USABLE && q.closes() < Task.Mode.NEVER;
            return new Before(from, lag.opens(q) - q.end(), closes ? q.closes() - q.end() : Task.Mode.NEVER);
        }

        private OptionalInt lastBefore(int i, Predicate<ScheduledTask> fits) {
            for (int j = i - 1; j >= 0; j--) {
                if (fits.test(order.get(j))) {
                    return OptionalInt.of(j);
                }
            }
            return OptionalInt.empty();
        }

        private static double chance(SplittableRandom random, double day) {
            return day * Math.exp(TASK * random.nextGaussian() - TASK * TASK / 2);
        }

        int morning(SplittableRandom random) {
            double day = Math.exp(DAY * random.nextGaussian());
            double room = Math.exp(ROOM * random.nextGaussian());
            double[] end = new double[n];
            double[] rest = new double[rests.length];
            int nextRest = 0;
            double latest = 0;
            int last = -1;
            double afterRest = 0;
            int restedAfter = -1;
            double ready = 0;
            int lastOfAll = -1;
            for (int i = 0; i < n; i++) {
                if (nextRest < rests.length && starts[i] >= rests[nextRest] + restLength[nextRest]) {
                    rest[nextRest] = rests[nextRest] < now
                            ? rests[nextRest] + restLength[nextRest]
                            : latest + restLength[nextRest];
                    afterRest = rest[nextRest++];
                    restedAfter = last;
                }
                if (past[i]) {
                    end[i] = starts[i] + work[i] <= now
                            ? starts[i] + work[i]
                            : Math.max(now, starts[i] + work[i] * chance(random, day));
                    waitedFor[i] = -1;
                    double over = end[i] + (workedInto[i] ? 0 : dries[i] * room);
                    latest = Math.max(latest, end[i]);
                    ready = Math.max(ready, over);
                    continue;
                }
                double start = Math.max(Math.max(now, afterRest), release[i]);
                int by = afterRest >= release[i] ? restedAfter : -1;
                for (int k = 0; k < waits[i].length; k++) {
                    int earlier = waits[i][k];
                    double free = end[earlier] + (settles[i][k] ? dries[earlier] * room : 0);
                    if (free > start) {
                        start = free;
                        by = earlier;
                    }
                }
                double takes = work[i] * chance(random, day);
                for (Before one : befores[i]) {
                    double opens = meet(one, start, end, room);
                    if (opens > start) {
                        start = opens;
                        by = one.from();
                    }
                }
                end[i] = start + takes;
                waitedFor[i] = by;
                if (end[i] > latest) {
                    latest = end[i];
                    last = i;
                }
                double over = end[i] + (workedInto[i] ? 0 : dries[i] * room);
                if (over > ready) {
                    ready = over;
                    lastOfAll = i;
                }
            }
            for (int i = lastOfAll; i >= 0; i = waitedFor[i]) {
                hung[i]++;
            }
            return (int) Math.round(ready);
        }

        Map<String, Double> carries(int mornings) {
            Map<String, Double> shares = new LinkedHashMap<>();
            for (int i = 0; i < n; i++) {
                shares.put(order.get(i).task(), hung[i] / (double) mornings);
            }
            return shares;
        }

        /** When the lag lets the task begin; if its window has closed by then, the earlier coat is laid again first. */
        private double meet(Before one, double start, double[] end, double room) {
            double ended = end[one.from()];
            boolean missed = one.shuts() < Task.Mode.NEVER && start > ended + one.shuts() * room;
            return (missed ? start + work[one.from()] : ended) + one.opens() * room;
        }
    }
}
