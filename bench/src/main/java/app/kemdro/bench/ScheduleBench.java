package app.kemdro.bench;

import app.kemdro.core.schedule.BreakRule;
import app.kemdro.core.schedule.Networks;
import app.kemdro.core.schedule.Outcome;
import app.kemdro.core.schedule.Planner;
import app.kemdro.core.schedule.Prover.Proof;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduleCheck;
import app.kemdro.core.schedule.TaskNetwork;
import app.kemdro.core.schedule.Worker;
import app.kemdro.solver.ExactProver;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** How fast and how good orders are, by size of network and pairs of hands. */
public final class ScheduleBench {
    private static final long SEED = 20_261_126L;
    private static final int FAR = 1_000_000;

    private ScheduleBench() {}

    /** Prints one line a network: first plan, planner at its best, exact search after one and five seconds. */
    public static void main(String[] args) {
        ExactProver prover = new ExactProver();
        System.out.println("exact search works here: " + prover.works());
        for (int steps : new int[] {20, 40, 80, 150}) {
            for (int hands = 1; hands <= 3; hands++) {
                line(prover, steps, hands);
            }
        }
    }

    private static void line(ExactProver prover, int steps, int hands) {
        TaskNetwork base = Networks.random(SEED + steps, steps);
        List<Worker> crew = new ArrayList<>();
        for (int w = 0; w < hands; w++) {
            crew.add(new Worker("hands " + w, w == 0, w == 0 ? 1 : 1.1, 0, FAR));
        }
        TaskNetwork network = new TaskNetwork(base.tasks(), base.lags(), crew, 1, BreakRule.USUAL);
        long from = System.nanoTime();
        Outcome first = Planner.trying(1).plan(network);
        double firstMillis = (System.nanoTime() - from) / 1e6;
        if (!(first instanceof Outcome.Planned p)) {
            System.out.printf("%3d steps, %d hands: no plan, %s%n", steps, hands, first);
            return;
        }
        Schedule planned = ((Outcome.Planned) Planner.trying(800).plan(network)).schedule();
        StringBuilder exact = new StringBuilder();
        for (int seconds : new int[] {1, 5}) {
            Proof proof = prover.prove(network, Optional.of(planned), Duration.ofSeconds(seconds), () -> false);
            Schedule found = proof.schedule().orElse(planned);
            exact.append("  %d s: %d min%s, bound %d%s"
                    .formatted(
                            seconds,
                            found.ready() / 60,
                            proof.isBest() ? " proven" : "",
                            proof.leastReady() / 60,
                            ScheduleCheck.problems(network, found).isEmpty() ? "" : " UNSOUND"));
        }
        System.out.printf(
                "%3d steps, %d hands: first %d min in %.1f ms, planner %d min,%s%n",
                steps, hands, p.schedule().ready() / 60, firstMillis, planned.ready() / 60, exact);
    }
}
