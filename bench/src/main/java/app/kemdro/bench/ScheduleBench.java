package app.kemdro.bench;

import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Levers;
import app.kemdro.core.plan.LookPlanner;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Samples;
import app.kemdro.core.schedule.BreakRule;
import app.kemdro.core.schedule.Confidence;
import app.kemdro.core.schedule.Lag;
import app.kemdro.core.schedule.Networks;
import app.kemdro.core.schedule.Outcome;
import app.kemdro.core.schedule.Planner;
import app.kemdro.core.schedule.Prover.Proof;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduleCheck;
import app.kemdro.core.schedule.TaskNetwork;
import app.kemdro.core.schedule.Worker;
import app.kemdro.solver.ExactProver;
import app.kemdro.solver.JobShop;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;

/** How fast and how good orders are, by size of network and pairs of hands; and the textbook shops. */
public final class ScheduleBench {
    private static final long SEED = 20_261_126L;
    private static final int FAR = 1_000_000;
    private static final int LARGE = 500;
    private static final ExactProver PROVER = new ExactProver();

    private ScheduleBench() {}

    /**
     * Prints one line a network, then the textbook shops, then what the order room computes beside the order.
     *
     * @param args the longest search to ask for, in seconds: 5 if nothing is said, 30 for the longest there is
     */
    public static void main(String[] args) {
        double longest = args.length > 0 ? Double.parseDouble(args[0]) : 5;
        double[] asked =
                DoubleStream.of(0.2, 1, 5, 30).filter(s -> s <= longest).toArray();
        System.out.println("exact search works here: " + PROVER.works());
        for (int steps : new int[] {40, 80, 150}) {
            for (int hands = 1; hands <= 3; hands++) {
                network(steps, hands, asked);
            }
        }
        network(1000, 8, 1);
        beside();
        shops();
    }

    private static void network(int steps, int hands, double... seconds) {
        long seed = SEED + steps;
        while (steps <= LARGE && !(Planner.trying(1).plan(Networks.random(seed, steps)) instanceof Outcome.Planned)) {
            // windows drawn by chance may contradict each other
            seed++;
        }
        TaskNetwork base = Networks.random(seed, steps);
        List<Worker> crew = new ArrayList<>();
        for (int w = 0; w < hands; w++) {
            crew.add(new Worker("hands " + w, w == 0, w == 0 ? 1 : 1.1, 0, FAR));
        }
        // windows drawn by chance contradict each other in so large a network
        List<Lag> lags = steps <= LARGE
                ? base.lags()
                : base.lags().stream()
                        .map(l -> new Lag(l.from(), l.to(), Lag.Kind.SETTLED, null, l.because()))
                        .toList();
        TaskNetwork network = new TaskNetwork(base.tasks(), lags, crew, 1, BreakRule.USUAL);
        long from = System.nanoTime();
        Outcome first = Planner.trying(1).plan(network);
        double firstMillis = millis(from);
        if (!(first instanceof Outcome.Planned p)) {
            System.out.printf("%3d steps, %d hands: no plan, %s%n", steps, hands, first);
            return;
        }
        from = System.nanoTime();
        Schedule planned =
                ((Outcome.Planned) Planner.trying(steps > 500 ? 20 : 800).plan(network)).schedule();
        System.out.printf(
                "%3d steps, %d hands: first %d min in %.1f ms, planner %d min in %.0f ms%n",
                steps, hands, p.schedule().ready() / 60, firstMillis, planned.ready() / 60, millis(from));
        for (double asked : seconds) {
            from = System.nanoTime();
            Proof proof =
                    PROVER.prove(network, Optional.of(planned), Duration.ofMillis((long) (asked * 1000)), () -> false);
            double took = millis(from);
            from = System.nanoTime();
            Proof plain =
                    PROVER.prove(network, Optional.empty(), Duration.ofMillis((long) (asked * 1000)), () -> false);
            double plainTook = millis(from);
            Schedule found = proof.schedule().orElse(planned);
            System.out.printf(
                    "    asked %4.1f s: %d min%s, %.1f %% from the bound, took %.1f s%s; the plain model: %s, time ×%.1f; most memory %d MB%n",
                    asked,
                    found.ready() / 60,
                    proof.isBest() ? " proven best" : "",
                    100.0 * (found.ready() - proof.leastReady()) / found.ready(),
                    took / 1000,
                    ScheduleCheck.problems(network, found).isEmpty() ? "" : " UNSOUND",
                    plain.schedule()
                            .map(s -> "length ×%.3f".formatted(s.ready() / (double) found.ready()))
                            .orElse("nothing found"),
                    plainTook / took,
                    OrdersBench.megabytes());
            if (proof.isBest()) {
                return;
            }
        }
    }

    /** What is simulated and planned again beside an order. */
    private static void beside() {
        LookPlanner planner = new LookPlanner(Trade.standard(), Planner.trying(80));
        var brief = Samples.brief(Samples.lead("Ines"), Samples.assistant("Pell"));
        Plan plan = Samples.planned(Samples.bellFounder(), brief);
        for (int k = 0; k < 5; k++) {
            Confidence.of(plan.network(), plan.schedule(), 10_000);
        }
        long from = System.nanoTime();
        Confidence.of(plan.network(), plan.schedule(), 10_000);
        System.out.printf("10,000 mornings of the bell-founder simulated in %.0f ms%n", millis(from));
        Levers levers = new Levers(Trade.standard(), new LookPlanner(Trade.standard(), Planner.trying(8)));
        levers.of(Samples.bellFounder(), brief);
        from = System.nanoTime();
        int found = levers.of(Samples.bellFounder(), brief).size();
        System.out.printf("%d levers of the bell-founder found in %.0f ms%n", found, millis(from));
        from = System.nanoTime();
        planner.plan(Samples.bellFounder(), brief);
        System.out.printf("the bell-founder planned in %.0f ms%n", millis(from));
    }

    private static void shops() {
        int reached = 0;
        int proven = 0;
        int below = 0;
        List<JobShop> shops = JobShop.called(".*");
        for (JobShop shop : shops) {
            Optional<Schedule> known = Planner.trying(200).plan(shop.network()) instanceof Outcome.Planned p
                    ? Optional.of(p.schedule())
                    : Optional.empty();
            long from = System.nanoTime();
            Proof proof = PROVER.prove(shop.network(), known, Duration.ofSeconds(3), () -> false);
            int found = proof.schedule().map(Schedule::ready).orElse(FAR);
            reached += found == shop.optimum() ? 1 : 0;
            proven += proof.isBest() ? 1 : 0;
            below += found < shop.optimum() ? 1 : 0;
            System.out.printf(
                    "%-5s optimum %d, found %d, bound %d%s in %.1f s%n",
                    shop.name(),
                    shop.optimum(),
                    found,
                    proof.leastReady(),
                    proof.isBest() ? ", proven" : "",
                    millis(from) / 1000);
        }
        System.out.printf(
                "%d shops: %d reached, %d proven, %d below their optimum%n", shops.size(), reached, proven, below);
    }

    private static double millis(long from) {
        return (System.nanoTime() - from) / 1e6;
    }
}
