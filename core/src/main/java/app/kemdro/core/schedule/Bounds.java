package app.kemdro.core.schedule;

import java.util.Comparator;
import java.util.function.IntPredicate;
import java.util.function.IntUnaryOperator;
import java.util.stream.IntStream;

/** What no schedule of a network falls short of, and what none goes beyond. */
final class Bounds {
    private static final int FEW_RESTS = 10;
    private static final int MOST_RESTS = 200;

    private final IndexedNetwork net;

    Bounds(IndexedNetwork net) {
        this.net = net;
    }

    /** The least seconds of work in any way by any hands. */
    int quickest(int i) {
        int best = Integer.MAX_VALUE;
        for (int m : net.ways[i]) {
            best = Math.min(best, quickest(i, net.tasks[i].modes().get(m)));
        }
        return best;
    }

    private int quickest(int i, Task.Mode mode) {
        if (net.tasks[i].needs() == Task.Needs.NOBODY || net.network.workers().isEmpty()) {
            return net.tasks[i].work();
        }
        int best = Integer.MAX_VALUE;
        for (Worker w : net.network.workers()) {
            if (w.can(net.tasks[i])) {
                best = Math.min(best, w.seconds(net.tasks[i], mode));
            }
        }
        return best == Integer.MAX_VALUE ? net.tasks[i].work() : best;
    }

    /** The least seconds of work by all hands together: with help it takes each of two at least half of them. */
    private int leastWork(int i) {
        return quickest(i, net.tasks[i].modes().get(0));
    }

    int leastAfter(int i, Lag lag) {
        int least = Integer.MAX_VALUE;
        for (int m : net.ways[i]) {
            Task.Mode mode = net.tasks[i].modes().get(m);
            least = Math.min(least, mode.tool() + lag.opensAfter(mode));
        }
        return least;
    }

    int leastSettled(int i) {
        int least = Integer.MAX_VALUE;
        for (int m : net.ways[i]) {
            least = Math.min(
                    least,
                    net.tasks[i].modes().get(m).tool()
                            + net.tasks[i].modes().get(m).settled());
        }
        return least;
    }

    /** Longest way from the start of each task to the end of everything, in seconds. */
    int[] tails() {
        int[] result = new int[net.n];
        int[] order = net.topological();
        for (int k = net.n - 1; k >= 0; k--) {
            int i = order[k];
            int longest = net.workedInto[i] ? 0 : leastSettled(i);
            for (IndexedNetwork.Arc arc : net.after[i]) {
                longest = Math.max(longest, leastAfter(i, arc.lag()) + result[arc.to()]);
            }
            result[i] = quickest(i) + longest;
        }
        return result;
    }

    /** Seconds from the beginning before which each task cannot begin. */
    private int[] heads() {
        int[] result = net.release.clone();
        for (int i : net.topological()) {
            for (IndexedNetwork.Arc arc : net.after[i]) {
                result[arc.to()] = Math.max(result[arc.to()], result[i] + quickest(i) + leastAfter(i, arc.lag()));
            }
        }
        return result;
    }

    /**
     * No schedule can be ready before: the longest chain; the work shared by all hands, and that shared by the leads, with breaks; and the
     * same of whatever cannot begin before some second and has so much after it, between the two. Nobody works while everything is held
     * by a task without hands; that such a task may itself come before or after is why it counts only where everything does.
     */
    int leastReady() {
        if (net.progress.isUnderWay() || net.n == 0) {
            return 0;
        }
        int chain = 0;
        long work = 0;
        long leadWork = 0;
        int alone = 0;
        int[] heads = heads();
        for (int i = 0; i < net.n; i++) {
            chain = Math.max(chain, heads[i] + net.tail[i]);
            switch (net.tasks[i].needs()) {
                case LEAD -> {
                    work += leastWork(i);
                    leadWork += quickest(i);
                }
                case ANYONE -> work += leastWork(i);
                case NOBODY -> alone += holdsEverything(i) ? quickest(i) : 0;
            }
        }
        long leads = net.network.workers().stream().filter(Worker::lead).count();
        int hands = net.network.workers().size();
        int all = withRests(share(work, hands) + alone);
        int led = withRests(share(leadWork, leads) + alone);
        int allBetween = between(heads, hands, i -> net.tasks[i].needs() != Task.Needs.NOBODY, this::leastWork);
        int ledBetween = between(heads, leads, i -> net.tasks[i].needs() == Task.Needs.LEAD, this::quickest);
        int most = IntStream.of(chain, all, led, allBetween, ledBetween).max().orElse(0);
        Grid grid = Grid.of(net.network);
        return grid.seconds(grid.reaching(most));
    }

    /** What cannot begin before some second, and has so much after it, its hands have to do between the two; with breaks. */
    private int between(int[] heads, long hands, IntPredicate theirs, IntUnaryOperator work) {
        int[] latest = IntStream.range(0, net.n)
                .filter(theirs)
                .boxed()
                .sorted(Comparator.comparing(i -> -heads[i]))
                .mapToInt(i -> i)
                .toArray();
        int[] works = IntStream.of(latest).map(work).toArray();
        int[] afterwards =
                IntStream.of(latest).map(i -> net.tail[i] - quickest(i)).toArray();
        int most = 0;
        for (int after : IntStream.of(afterwards).distinct().toArray()) {
            long sum = 0;
            for (int k = 0; k < latest.length; k++) {
                if (afterwards[k] >= after) {
                    sum += works[k];
                    most = Math.max(most, heads[latest[k]] + withRests(share(sum, hands)) + after);
                }
            }
        }
        return most;
    }

    private boolean holdsEverything(int i) {
        for (Task other : net.tasks) {
            if (other != net.tasks[i] && !net.shares[i][net.index.get(other.id())]) {
                return false;
            }
        }
        return true;
    }

    private static int share(long work, long hands) {
        return (int) (work / Math.max(1, hands));
    }

    /** How long it lasts at the very most: everything one after another by the slowest hands, and time to spare, seconds. */
    private long longest() {
        long longest = 0;
        for (int i = 0; i < net.n; i++) {
            longest = Math.max(
                    longest + Worker.slowest(net.network.workers(), net.tasks[i]) + leastSettled(i), net.release[i]);
        }
        for (Worker w : net.network.workers()) {
            longest += Math.max(0, w.from());
        }
        return Math.max(0, net.progress.now()) + longest;
    }

    /** So many breaks are chosen one by one; what comes after them follows the rule. */
    int mostRests() {
        return (int) Math.min(
                MOST_RESTS,
                FEW_RESTS + longest() / Math.max(1, net.network.breaks().every()));
    }

    /**
     * The second after which all that fits between two breaks has ended in any order of one step after another: breaks make it
     * longer, and before each step a stretch between two breaks may be left empty because it does not fit there.
     */
    int horizon() {
        BreakRule breaks = net.network.breaks();
        double stretched = longest() * (1 + (double) breaks.meal() / breaks.every());
        return (int) Math.min(Integer.MAX_VALUE / 8, stretched + (net.n + 2L) * (breaks.every() + breaks.meal()));
    }

    private int withRests(int seconds) {
        return seconds + net.network.breaks().within(seconds);
    }
}
