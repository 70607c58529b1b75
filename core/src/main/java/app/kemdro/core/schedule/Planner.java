package app.kemdro.core.schedule;

import app.kemdro.core.schedule.Outcome.NoHands;
import app.kemdro.core.schedule.Outcome.NoWindow;
import app.kemdro.core.schedule.Outcome.Planned;
import app.kemdro.core.schedule.Outcome.Ring;
import app.kemdro.core.schedule.Outcome.TooLate;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * Finds a short, sound schedule: a first one by longest remaining chain, then better ones by trying changed priorities,
 * ways of drying and breaks. The same input gives the same answer; nothing depends on the speed of the machine.
 */
public final class Planner {
    private static final long SEED = 20_261_125L;

    /** In the middle of things an order is changed only where that saves at least so much, seconds (judgement). */
    private static final int WORTH_A_CHANGE = 90;

    /** Before it begins, an order that people have in mind is left for one that is ready so much sooner, seconds (judgement). */
    private static final int WORTH_ANOTHER = 59;

    /** What is ready no later than this after it was thought to be is looked at less hard, seconds. */
    private static final int AS_THOUGHT = 30;

    private static final int GRID = 60;
    private static final int SPARE = 240;

    /** Of a network with more tasks than this, fewer placements are tried, so that an answer comes in time. */
    private static final int LARGE = 200;

    /** By so many seconds a placement may be worse and still be gone on from, at first. */
    private static final int WORSE = 120;

    /** The same for sense, seconds that one would give. */
    private static final int CALM = 30;

    private final int attempts;
    private final SenseWeights weights;

    private Planner(int attempts, SenseWeights weights) {
        this.attempts = attempts;
        this.weights = weights;
    }

    /** Tries this many placements. */
    public static Planner trying(int attempts) {
        if (attempts < 1) {
            throw new IllegalArgumentException("At least one placement must be tried");
        }
        return new Planner(attempts, SenseWeights.NONE);
    }

    /** The same that, of orders that are ready as soon, looks for one that makes more sense by these weights. */
    public Planner minding(SenseWeights sense) {
        return new Planner(attempts, sense);
    }

    /** Tries ten times as many placements. */
    public Planner harder() {
        return new Planner(attempts * 10, weights);
    }

    /** No schedule of this network can be ready before this second; a quick bound, not a proof of much. */
    public int least(TaskNetwork network) {
        return new IndexedNetwork(network, Progress.NOTHING).bounds.leastReady();
    }

    /** Plans a network from its beginning. */
    public Outcome plan(TaskNetwork network) {
        return plan(network, Progress.NOTHING, Optional.empty());
    }

    /**
     * Plans what is left, starting from the order people have in mind if there is one.
     *
     * @param before the schedule that was followed until now
     */
    public Outcome plan(TaskNetwork network, Progress progress, Optional<Schedule> before) {
        return plan(network, progress, before, false);
    }

    /**
     * Plans what is left where nothing has changed but the time: an order that goes as it was thought is kept without looking
     * for another.
     *
     * @param before the schedule that was followed until now
     */
    public Outcome follow(TaskNetwork network, Progress progress, Schedule before) {
        return plan(network, progress, Optional.of(before), true);
    }

    /**
     * The order people have in mind with its times moved to where they fall now, and nothing else changed: quick, for saying how
     * late it gets while nobody presses.
     *
     * @return empty where it cannot go on like that
     */
    public Optional<Schedule> drift(TaskNetwork network, Progress progress, Schedule before) {
        TaskNetwork left = network.from(progress);
        return left.cycle().isPresent() ? Optional.empty() : KeptOrder.of(left, progress, before);
    }

    private Outcome plan(TaskNetwork whole, Progress progress, Optional<Schedule> before, boolean follow) {
        TaskNetwork network = whole.from(progress);
        Optional<List<String>> ring = network.cycle();
        if (ring.isPresent()) {
            return new Ring(ring.get());
        }
        IndexedNetwork layout = new IndexedNetwork(network, progress);
        Optional<Schedule> kept = before.flatMap(b -> KeptOrder.of(network, progress, b));
        boolean underWay = progress.now() > 0 || !progress.past().isEmpty();
        int late = kept.isPresent() ? kept.get().ready() - before.get().ready() : Integer.MAX_VALUE;
        if (follow && late <= 0) {
            return new Planned(kept.get());
        }
        int tries = follow && late <= AS_THOUGHT ? attempts / 4 : attempts;
        Outcome found = new Search(layout, Math.max(1, tries * LARGE / Math.max(LARGE, layout.n)), weights).run(before);
        int worth = underWay ? WORTH_A_CHANGE : WORTH_ANOTHER;
        return kept.isPresent()
                        && !(found instanceof Planned p
                                && p.schedule().ready() < kept.get().ready() - worth)
                ? new Planned(kept.get())
                : found;
    }

    private static final class Search {
        private final IndexedNetwork net;
        private final SerialPlacement placement;
        private final PlacedTimes times;
        private final SplittableRandom random = new SplittableRandom(SEED);
        private final int attempts;
        private final int[] free;
        private Encoding best;
        private long bestCost = Long.MAX_VALUE;
        private final Sense sense;
        private final boolean minds;
        private int stuckAt = -1;
        private boolean stuckForHands;

        Search(IndexedNetwork net, int attempts, SenseWeights weights) {
            this.net = net;
            this.attempts = attempts;
            this.sense = new Sense(net.network, weights);
            this.minds = !weights.of().isEmpty();
            this.placement = new SerialPlacement(net);
            this.times = new PlacedTimes(placement);
            this.free = java.util.stream.IntStream.range(0, net.n)
                    .filter(i -> !net.fixed[i])
                    .toArray();
            this.best = first(new int[net.n], 0);
        }

        Outcome run(Optional<Schedule> before) {
            before.ifPresent(this::tryOrder);
            int[] none = new int[net.n];
            int[] lavish = filled(net.n, SPARE);
            for (Encoding start : List.of(first(none, 0), first(none, 1), first(lavish, 0), first(lavish, 1))) {
                if (attempt(start) < Long.MAX_VALUE) {
                    attempt(tightened(start));
                }
            }
            sweep();
            Encoding current = best;
            long currentCost = bestCost;
            List<Integer> chain = chainOf(current);
            for (int k = 0; k < attempts && free.length > 0; k++) {
                Encoding next = changed(current, chain);
                long cost = attempt(next);
                if (cost < currentCost) {
                    for (UnaryOperator<Encoding> better :
                            List.<UnaryOperator<Encoding>>of(this::urgent, this::tightened)) {
                        placement.place(next);
                        Encoding other = better.apply(next);
                        long otherCost = attempt(other);
                        if (otherCost < cost) {
                            next = other;
                            cost = otherCost;
                        }
                    }
                }
                // a little worse is let through, less and less, so that the search does not stay in a corner
                long worse = (long) (WORSE * random.nextDouble() * (attempts - k) / attempts) * SerialPlacement.SECOND;
                if (cost < currentCost + worse || cost <= currentCost) {
                    boolean moved = cost != currentCost;
                    current = next;
                    currentCost = cost;
                    chain = moved ? chainOf(current) : chain;
                }
            }
            if (bestCost == Long.MAX_VALUE) {
                String task = net.tasks[stuckAt].id();
                return stuckForHands ? new NoHands(task) : new NoWindow(task);
            }
            calm();
            if (minds) {
                calmer();
            }
            placement.place(best);
            int late = times.latest();
            if (late >= 0 && net.progress.now() == 0) {
                return new TooLate(net.tasks[late].id(), times.overdue(late));
            }
            return new Planned(times.schedule(net.bounds.leastReady()));
        }

        /** The same with what is most urgent in the order as it is going first. */
        private Encoding urgent(Encoding genes) {
            Encoding urgent = genes.copy();
            System.arraycopy(times.urgency(), 0, urgent.priority(), 0, net.n);
            return urgent;
        }

        /** The same with breaks that begin as soon as hands are free before them. */
        private Encoding tightened(Encoding genes) {
            Encoding tight = genes.copy();
            System.arraycopy(times.tightGaps(), 0, tight.gap(), 0, tight.gap().length);
            return tight;
        }

        private long attempt(Encoding genes) {
            if (!placement.place(genes)) {
                if (stuckAt < 0 || !stuckForHands) {
                    stuckAt = placement.failedAt < 0 ? free[0] : placement.failedAt;
                    stuckForHands = placement.failedForHands;
                }
                return Long.MAX_VALUE;
            }
            long cost = times.cost();
            if (cost < bestCost) {
                bestCost = cost;
                best = genes.copy();
            }
            return cost;
        }

        /** Tries every way of every task once, of those first that make it ready so late, and no more of them than placements may be tried. */
        private void sweep() {
            Set<Integer> tasks = new LinkedHashSet<>(chainOf(best));
            Arrays.stream(free).forEach(tasks::add);
            int left = attempts;
            for (int i : tasks) {
                for (int way : net.ways[i]) {
                    if (best.mode()[i] != way && left-- > 0) {
                        Encoding other = best.copy();
                        other.mode()[i] = way;
                        attempt(other);
                    }
                }
            }
        }

        /** Looks among orders that are ready as soon for one that makes more sense. */
        private void calmer() {
            placement.place(best);
            long latest = times.lateness();
            long currentCost = sense(best, latest);
            long least = currentCost;
            Encoding current = best;
            int[] wanted = sense.later(placement);
            for (int k = 0; k < attempts && free.length > 0; k++) {
                Encoding next = rearranged(current, wanted);
                long cost = sense(next, latest);
                long worse = (long) (CALM * random.nextDouble() * (attempts - k) / attempts);
                if (cost < least) {
                    least = cost;
                    best = next.copy();
                }
                if (cost < currentCost + worse || cost <= currentCost) {
                    current = next;
                    currentCost = cost;
                    wanted = sense.later(placement);
                }
            }
        }

        /** What this costs of sense, or as much as can be where it is ready later than it may be. */
        private long sense(Encoding genes, long latest) {
            return placement.place(genes) && times.lateness() <= latest
                    ? sense.cost(placement, times.ready())
                    : Long.MAX_VALUE / 2;
        }

        /** One task beside another it belongs to, later where the rest of its work is later, or as soon as it can be again. */
        private Encoding rearranged(Encoding from, int[] wanted) {
            Encoding next = from.copy();
            int i = free[random.nextInt(free.length)];
            int[] late = Arrays.stream(free).filter(k -> wanted[k] > 0).toArray();
            switch (random.nextInt(6)) {
                case 0, 1, 2 -> {
                    int j = late.length > 0 ? late[random.nextInt(late.length)] : i;
                    next.from()[j] = wanted[j];
                }
                case 3 -> next.from()[i] = 0;
                case 4 -> next.priority()[i] = next.priority()[free[random.nextInt(free.length)]] + 1;
                default -> next.spare()[i] = SPARE * (random.nextInt(5) - 2);
            }
            return next;
        }

        /** Takes tool and help away wherever they save nothing. */
        private void calm() {
            for (int i : free) {
                if (best.mode()[i] > 0) {
                    Encoding without = best.copy();
                    without.mode()[i] = 0;
                    attempt(without);
                }
            }
        }

        /** What has most to come goes first. */
        private Encoding first(int[] spare, int mode) {
            double[] priority = new double[net.n];
            int[] modes = new int[net.n];
            for (int i = 0; i < net.n; i++) {
                priority[i] = net.pull[i];
                modes[i] = mode < net.ways[i].length
                                && !net.tasks[i].modes().get(net.ways[i][mode]).helped()
                        ? net.ways[i][mode]
                        : net.ways[i][0];
            }
            int every = net.network.breaks().every();
            return new Encoding(priority, modes, filled(net.bounds.mostRests(), every), spare.clone(), new int[net.n]);
        }

        private static int[] filled(int length, int value) {
            int[] result = new int[length];
            Arrays.fill(result, value);
            return result;
        }

        /** Tasks of the chain that makes it ready so late, as far as they are still free. */
        private List<Integer> chainOf(Encoding genes) {
            if (!placement.place(genes)) {
                return List.of();
            }
            return times.chain().stream().filter(i -> !net.fixed[i]).toList();
        }

        /** The order people have in mind, as priorities, and who does what in it. */
        private void tryOrder(Schedule before) {
            Encoding genes = first(new int[net.n], 0);
            int latest = before.ready();
            for (ScheduledTask p : before.placed()) {
                Integer i = net.index.get(p.task());
                if (i != null) {
                    genes.priority()[i] = latest - p.start();
                    int way = p.mode();
                    genes.mode()[i] = Arrays.stream(net.ways[i]).anyMatch(m -> m == way) ? way : net.ways[i][0];
                    genes.spare()[i] = isLead(p.worker()) ? -2 * SPARE : 2 * SPARE;
                }
            }
            int done = net.progress.rests().size();
            int from = net.progress.rests().stream().mapToInt(Rest::end).max().orElse(0);
            for (int k = done; k < before.rests().size() && k - done < genes.gap().length; k++) {
                genes.gap()[k - done] = Math.max(
                        0,
                        Math.min(
                                before.rests().get(k).start() - from,
                                net.network.breaks().every()));
                from = before.rests().get(k).end();
            }
            attempt(genes);
        }

        private boolean isLead(@Nullable String worker) {
            return net.network.workers().stream().anyMatch(w -> w.lead() && w.id().equals(worker));
        }

        /** A few changes, most of them to the chain that makes it ready so late. */
        private Encoding changed(Encoding from, List<Integer> chain) {
            Encoding next = from.copy();
            int changes = 1 + random.nextInt(3);
            for (int c = 0; c < changes; c++) {
                boolean onChain = !chain.isEmpty() && random.nextInt(3) > 0;
                int i = onChain ? chain.get(random.nextInt(chain.size())) : free[random.nextInt(free.length)];
                switch (random.nextInt(12)) {
                    case 0, 1, 2 -> next.mode()[i] = net.ways[i][random.nextInt(net.ways[i].length)];
                    case 3 -> moveRest(next);
                    case 4, 5 -> next.spare()[i] = SPARE * random.nextInt(3);
                    case 6, 7 -> {
                        int j = free[random.nextInt(free.length)];
                        double p = next.priority()[i];
                        next.priority()[i] = next.priority()[j];
                        next.priority()[j] = p;
                    }
                    default ->
                        next.priority()[i] = net.pull[i] * (0.5 + random.nextDouble()) + random.nextInt(600) - 300;
                }
            }
            return next;
        }

        private void moveRest(Encoding genes) {
            int every = net.network.breaks().every();
            int k = random.nextInt(3);
            genes.gap()[k] = every - GRID * random.nextInt(Math.max(1, every / GRID / 2));
        }
    }
}
