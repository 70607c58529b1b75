package app.kemdro.core.schedule;

import app.kemdro.core.schedule.Outcome.NoHands;
import app.kemdro.core.schedule.Outcome.NoWindow;
import app.kemdro.core.schedule.Outcome.Planned;
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
 * Looks for a better order by placing again and again: changed priorities, ways, breaks and hands; then, among orders that are ready as
 * soon, for one that makes more sense. The same input gives the same answer.
 */
final class OrderSearch {
    private static final long SEED = 20_261_125L;

    private static final int GRID = 60;

    private static final int SPARE = 240;

    /** By so many seconds a placement may be worse and still be gone on from, at first. */
    private static final int WORSE = 120;

    /** The same for sense, seconds that one would give. */
    private static final int CALM = 30;

    /** Where fewer placements are tried than this, there is no time for mornings. */
    private static final int LIVE = 40;

    /** So many mornings of one task: of more tasks fewer, since each takes longer. */
    private static final int MORNINGS = 28_000;

    private final IndexedNetwork net;
    private final SerialPlacement placement;
    private final PlacedTimes times;
    private final SplittableRandom random = new SplittableRandom(SEED);
    private final int attempts;
    private final int sensible;
    private final int[] free;
    private final boolean alone;
    private Encoding best;
    private long bestCost = Long.MAX_VALUE;
    private final SenseWeights weights;
    private final int grace;
    private int soonest;
    private int stuckAt = -1;
    private boolean stuckForHands;

    /**
     * Of this network.
     *
     * @param sensible so many placements are tried for sense
     * @param grace seconds by which it may be ready later than it could be for that
     */
    OrderSearch(IndexedNetwork net, int attempts, int sensible, SenseWeights weights, int grace) {
        this.sensible = sensible;
        this.grace = grace;
        this.net = net;
        this.attempts = attempts;
        this.weights = weights;
        this.alone = net.network.workers().size() < 2;
        this.placement = new SerialPlacement(net);
        this.times = new PlacedTimes(placement);
        this.free = java.util.stream.IntStream.range(0, net.n)
                .filter(i -> !net.fixed[i])
                .toArray();
        this.best = first(new int[net.n], 0);
    }

    Outcome run(Optional<Schedule> before) {
        return run(before, Integer.MAX_VALUE);
    }

    /**
     * The same for whoever has another order and leaves it only for a shorter one.
     *
     * @param wanted only where it is ready before this second, sense is looked for as well
     */
    Outcome run(Optional<Schedule> before, int wanted) {
        before.ifPresent(b -> tryOrder(b, false));
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
            // a little worse is let through, less and less, so that the search does not stay in a corner
            long worse = (long) (WORSE * random.nextDouble() * (attempts - k) / attempts) * SerialPlacement.SECOND;
            if (next.isLike(current, alone)) {
                continue;
            }
            long cost = attempt(next, currentCost == Long.MAX_VALUE ? currentCost : currentCost + worse);
            if (cost < currentCost) {
                for (UnaryOperator<Encoding> better : List.<UnaryOperator<Encoding>>of(this::urgent, this::tightened)) {
                    placement.place(next);
                    Encoding other = better.apply(next);
                    long otherCost = attempt(other, cost);
                    if (otherCost < cost) {
                        next = other;
                        cost = otherCost;
                    }
                }
            }
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
        eager();
        calm();
        placement.place(best);
        soonest = times.ready();
        if (!weights.of().isEmpty() && soonest < wanted) {
            calmer(new Sense(net.network, weights));
        }
        placement.place(best);
        int late = times.latest();
        if (late >= 0 && net.progress.now() == 0) {
            return new TooLate(net.tasks[late].id(), times.overdue(late));
        }
        return new Planned(times.schedule(net.bounds.leastReady()));
    }

    /**
     * In the middle of things, works through what is left again and again as somebody does, and takes the best of it. Before they begin
     * there is no time for it at a press, and the order settles afterwards.
     */
    private void eager() {
        if (!net.progress.isUnderWay() || bestCost == Long.MAX_VALUE || attempts < LIVE) {
            return;
        }
        placement.place(best);
        Remaining left = Remaining.of(net.network, net.progress);
        int mornings = MORNINGS / Math.max(1, left.network().tasks().size());
        int[] done = {0};
        new EagerSearch(left.network(), SEED)
                .look(times.ready() - left.base(), 0, () -> done[0]++ / (double) mornings, () -> false)
                .map(s -> left.whole(s, net.progress))
                .filter(s ->
                        ScheduleCheck.problems(net.network, net.progress, s).isEmpty())
                .ifPresent(s -> {
                    tryOrder(s, false);
                    tryOrder(s, true);
                });
    }

    /** The second of being ready of the shortest order that was found, before any was looked for that makes more sense. */
    int soonest() {
        return soonest;
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
        return attempt(genes, Long.MAX_VALUE);
    }

    /** What it costs, or as much as can be where that is more than is of use, or no such placement is. */
    private long attempt(Encoding genes, long most) {
        if (!placement.place(genes, most / SerialPlacement.SECOND)) {
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
                    attempt(other, bestCost);
                }
            }
        }
    }

    /** Looks among orders that are ready as soon for one that makes more sense. */
    private void calmer(Sense sense) {
        placement.place(best);
        long latest = times.lateness() + grace;
        long missed = times.lateness() - times.ready();
        long currentCost = sense.cost(placement, times.ready());
        long least = currentCost;
        Encoding current = best;
        int[] wanted = sense.later(placement);
        for (int k = 0; k < sensible && least > 0 && free.length > 0; k++) {
            Encoding next = rearranged(current, wanted);
            long worse = (long) (CALM * random.nextDouble() * (sensible - k) / sensible);
            if (next.isLike(current, alone)) {
                continue;
            }
            long cost = cost(sense, next, latest, missed);
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
    private long cost(Sense sense, Encoding genes, long latest, long missed) {
        return placement.place(genes, latest)
                        && times.lateness() <= latest
                        && times.lateness() - times.ready() <= missed
                ? sense.cost(placement, times.ready())
                : Long.MAX_VALUE;
    }

    /** One task beside another it belongs to, later where the rest of its work is later, or as soon as it can be again. */
    private Encoding rearranged(Encoding from, int[] wanted) {
        Encoding next = from.copy();
        int i = free[random.nextInt(free.length)];
        int[] late = Arrays.stream(free).filter(k -> wanted[k] > 0).toArray();
        switch (random.nextInt(7)) {
            case 0, 1, 2 -> {
                int j = late.length > 0 ? late[random.nextInt(late.length)] : i;
                next.from()[j] = wanted[j];
            }
            case 3 -> next.from()[i] = 0;
            case 4 -> next.priority()[i] = next.priority()[free[random.nextInt(free.length)]] + 1;
            case 5 -> next.mode()[i] = net.ways[i][random.nextInt(net.ways[i].length)];
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
                attempt(without, bestCost);
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

    /** An order as priorities, and who does what in it; exactly: each task begins no sooner than it did. */
    private void tryOrder(Schedule before, boolean exactly) {
        Encoding genes = first(new int[net.n], 0);
        int latest = before.ready();
        for (ScheduledTask p : before.placed()) {
            Integer i = net.index.get(p.task());
            if (i != null) {
                genes.priority()[i] = latest - p.start();
                int way = p.mode();
                genes.mode()[i] = Arrays.stream(net.ways[i]).anyMatch(m -> m == way) ? way : net.ways[i][0];
                genes.from()[i] = exactly ? p.start() : 0;
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
                default -> next.priority()[i] = net.pull[i] * (0.5 + random.nextDouble()) + random.nextInt(600) - 300;
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
