package app.kemdro.core.schedule;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleSupplier;
import org.jspecify.annotations.Nullable;

/** Looks for a shorter order by working through the same morning again and again, each time wanting some things sooner than before. */
public final class EagerSearch {
    private static final int GRID = 60;

    /** By so many seconds a morning may be longer than the one before and still be gone on from, at first. */
    private static final double WARM = 60;

    private static final double COLD = 5;

    /** By how much a wish changes, seconds. */
    private static final double SHIFT = 4800;

    /** By so many minutes at most something is told to hold on, and so many are told again that they need not. */
    private static final int LONGEST_WAIT = 8;

    private static final int FORGOTTEN = 5;

    /** What a second of the mean end counts beside one of being ready. */
    private static final double MEAN = 1;

    private final IndexedNetwork net;
    private final EagerOrder order;
    private final SplittableRandom random;

    /** When everything begins in the morning that is gone on from. */
    private int[] starts = new int[0];

    /** When the morning was ready that was worked through last. */
    private long ready;

    /** Of a network from its beginning; the same seed goes the same way. */
    public EagerSearch(TaskNetwork network, long seed) {
        this.net = new IndexedNetwork(network, Progress.NOTHING);
        this.order = new EagerOrder(net);
        this.random = new SplittableRandom(seed);
    }

    /**
     * The shortest sound order found that is shorter than one that is known.
     *
     * @param shorterThan second of being ready of the one that is known
     * @param spent how much of what may be spent is, 0 to 1
     */
    public Optional<Schedule> look(int shorterThan, int least, DoubleSupplier spent, BooleanSupplier stop) {
        Encoding now = first();
        double cost = cost(now);
        starts = order.start.clone();
        int known = shorterThan;
        Optional<Schedule> best = Optional.empty();
        double used = spent.getAsDouble();
        while (used < 1 && known > least && !stop.getAsBoolean()) {
            Encoding other = now.copy();
            change(other);
            double next = cost(other);
            if (ready < known) {
                Schedule found = schedule(least);
                if (ScheduleCheck.problems(net.network, found).isEmpty()) {
                    known = found.ready();
                    best = Optional.of(found);
                }
            }
            double warm = Math.max(COLD, WARM * (1 - used));
            if (next <= cost || random.nextDouble() < Math.exp((cost - next) / warm)) {
                now = other;
                starts = order.start.clone();
                cost = next;
            }
            used = spent.getAsDouble();
        }
        return best;
    }

    /** Of two mornings that are ready as soon, the one in which more is done earlier is nearer to a shorter one. */
    private double cost(Encoding genes) {
        ready = order.work(genes);
        return ready + MEAN * order.meanEnd();
    }

    private Encoding first() {
        double[] wish = new double[net.n];
        int[] ways = new int[net.n];
        for (int i = 0; i < net.n; i++) {
            wish[i] = net.pull[i];
            ways[i] = net.ways[i][0];
        }
        int[] gaps = new int[net.bounds.mostRests()];
        Arrays.fill(gaps, net.network.breaks().every());
        return new Encoding(wish, ways, gaps, new int[net.n], new int[net.n]);
    }

    private void change(Encoding genes) {
        double[] wish = genes.priority();
        int[] ways = genes.mode();
        int[] gaps = genes.gap();
        int many = 1 + random.nextInt(3);
        for (int c = 0; c < many; c++) {
            int i = random.nextInt(net.n);
            switch (random.nextInt(10)) {
                case 0 -> {
                    int every = net.network.breaks().every();
                    gaps[random.nextInt(Math.min(8, gaps.length))] =
                            every - GRID * random.nextInt(Math.max(1, every / GRID / 3));
                }
                case 1, 2 -> {
                    int tries = 6;
                    while (net.ways[i].length < 2 && tries-- > 0) {
                        i = random.nextInt(net.n);
                    }
                    ways[i] = net.ways[i][random.nextInt(net.ways[i].length)];
                }
                case 3, 4, 5 -> {
                    int j = random.nextInt(net.n);
                    double w = wish[i];
                    wish[i] = wish[j];
                    wish[j] = w;
                }
                case 6 -> {
                    if (random.nextBoolean()) {
                        genes.from()[i] = starts[i] + GRID * (1 + random.nextInt(LONGEST_WAIT));
                    } else {
                        for (int k = 0; k < FORGOTTEN; k++) {
                            genes.from()[random.nextInt(net.n)] = 0;
                        }
                    }
                }
                case 7, 8 -> wish[i] = wish[random.nextInt(net.n)] + random.nextDouble() - 0.5;
                default -> wish[i] += (random.nextDouble() - 0.5) * SHIFT;
            }
        }
    }

    /** The morning that was worked through last, as an order. */
    private Schedule schedule(int least) {
        List<ScheduledTask> placed = new ArrayList<>();
        int last = 0;
        for (int i = 0; i < net.n; i++) {
            last = Math.max(last, order.end[i]);
            placed.add(new ScheduledTask(
                            net.tasks[i].id(),
                            called(order.worker[i]),
                            called(order.helper[i]),
                            order.mode[i],
                            order.start[i],
                            order.end[i],
                            order.end[i],
                            Task.Mode.NEVER,
                            order.end[i],
                            0)
                    .settling(net.tasks[i].modes().get(order.mode[i])));
        }
        int end = last;
        return new Schedule(
                placed, order.rests().stream().filter(r -> r.start() < end).toList(), (int) ready, Math.min(least, (int)
                        ready));
    }

    private @Nullable String called(int worker) {
        return worker < 0 ? null : net.network.workers().get(worker).id();
    }
}
