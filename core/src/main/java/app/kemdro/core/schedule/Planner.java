package app.kemdro.core.schedule;

import app.kemdro.core.schedule.Outcome.Planned;
import app.kemdro.core.schedule.Outcome.Ring;
import java.util.List;
import java.util.Optional;

/**
 * Finds a short, sound schedule: a first one by longest remaining chain, then better ones by trying changed priorities,
 * ways of drying and breaks. The same input gives the same answer; nothing depends on the speed of the machine.
 */
public final class Planner {
    /** In the middle of things an order is changed only where that saves at least so much, seconds (judgement). */
    private static final int WORTH_A_CHANGE = 90;

    /** Before it begins, an order that people have in mind is left for one that is ready so much sooner, seconds (judgement). */
    public static final int WORTH_ANOTHER = 59;

    /** What is ready no later than this after it was thought to be is looked at less hard, seconds. */
    private static final int AS_THOUGHT = 30;

    /** Of a network with more tasks than this, fewer placements are tried, so that an answer comes in time. */
    private static final int LARGE = 200;

    private final int attempts;
    private final int hard;
    private final SenseWeights weights;
    private final int grace;

    private Planner(int attempts, int hard, SenseWeights weights, int grace) {
        this.attempts = attempts;
        this.hard = hard;
        this.weights = weights;
        this.grace = grace;
    }

    /** Tries this many placements, and ten times as many where it has to look harder. */
    public static Planner trying(int attempts) {
        return trying(attempts, 10 * attempts);
    }

    /**
     * Tries this many placements.
     *
     * @param hard so many where it has to look harder
     */
    public static Planner trying(int attempts, int hard) {
        if (attempts < 1) {
            throw new IllegalArgumentException("At least one placement must be tried");
        }
        return new Planner(attempts, hard, SenseWeights.NONE, 0);
    }

    /** The same that, of orders that are ready as soon, looks for one that makes more sense by these weights. */
    public Planner minding(SenseWeights sense) {
        return new Planner(attempts, hard, sense, grace);
    }

    /** The same that may be ready so many seconds later than it could be, where that makes more sense. */
    public Planner allowing(int seconds) {
        return new Planner(attempts, hard, weights, seconds);
    }

    /** The same that looks harder. */
    public Planner harder() {
        return new Planner(hard, 10 * hard, weights, grace);
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

    /** Plans a network from its beginning, starting from an order but not holding on to it. */
    public Outcome anew(TaskNetwork network, Schedule from) {
        int tries = tries(network, false);
        return new OrderSearch(new IndexedNetwork(network, Progress.NOTHING), tries, 2 * tries, weights, grace)
                .run(Optional.of(from));
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
        return left.cycle().isPresent() ? Optional.empty() : KeptOrder.of(left, progress, before, grace);
    }

    private Outcome plan(TaskNetwork whole, Progress progress, Optional<Schedule> before, boolean follow) {
        TaskNetwork network = whole.from(progress);
        Optional<List<String>> ring = network.cycle();
        if (ring.isPresent()) {
            return new Ring(ring.get());
        }
        IndexedNetwork layout = new IndexedNetwork(network, progress);
        Optional<Schedule> kept = before.flatMap(b -> KeptOrder.of(network, progress, b, grace));
        boolean underWay = progress.isUnderWay();
        int late = kept.isPresent() ? kept.get().ready() - before.get().ready() : Integer.MAX_VALUE;
        if (follow && late <= 0) {
            return new Planned(kept.get());
        }
        int tries = tries(network, follow && late <= AS_THOUGHT);
        OrderSearch search = new OrderSearch(layout, tries, tries, weights, grace);
        int worth = underWay ? WORTH_A_CHANGE : WORTH_ANOTHER;
        int wanted = kept.map(k -> k.ready() - grace - worth).orElse(Integer.MAX_VALUE);
        Outcome found = search.run(before, wanted);
        return kept.isPresent() && !(found instanceof Planned && search.soonest() < wanted)
                ? new Planned(kept.get())
                : found;
    }

    /** Where there are not the hours for the work, there is nothing to look for. */
    private int tries(TaskNetwork network, boolean asThought) {
        if (network.isShortOfHands()) {
            return 1;
        }
        int tries = asThought ? attempts / 4 : attempts;
        return Math.max(1, tries * LARGE / Math.max(LARGE, network.tasks().size()));
    }
}
