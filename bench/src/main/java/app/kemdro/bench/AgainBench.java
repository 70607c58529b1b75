package app.kemdro.bench;

import app.kemdro.core.plan.CharactersTest;
import app.kemdro.core.plan.LookPlanner;
import app.kemdro.core.plan.Planning;
import app.kemdro.core.plan.Samples;
import app.kemdro.core.schedule.Outcome;
import app.kemdro.core.schedule.Planner;
import app.kemdro.core.schedule.Progress;
import app.kemdro.core.schedule.Prover.Proof;
import app.kemdro.core.schedule.Prover.Watch;
import app.kemdro.core.schedule.Remaining;
import app.kemdro.core.schedule.Rest;
import app.kemdro.core.schedule.RunsOver;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduleCheck;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.core.schedule.TaskNetwork;
import app.kemdro.solver.ExactProver;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/** How good planning again is in the middle of mornings in which something runs over, beside the exact search of what is left. */
public final class AgainBench {
    private static final int STATES = 30;
    private static final int LARGE = 30;
    private static final int LEFT = 8;
    private static final int LIVE = 40;
    private static final int LATEST = 12;
    private static final ExactProver PROVER = new ExactProver();

    private AgainBench() {}

    /**
     * Prints a line a state.
     *
     * @param args seconds of clock for the exact search, 10 if none are said
     */
    public static void main(String[] args) {
        Duration clock = Duration.ofSeconds(args.length == 0 ? 10 : Integer.parseInt(args[0]));
        LookPlanner planner = new LookPlanner(Samples.TRADE, Planner.trying(800));
        List<Planning.Done> plans = CharactersTest.characters()
                .map(c -> planner.plan(c.look(), c.brief()))
                .filter(Planning.Done.class::isInstance)
                .map(Planning.Done.class::cast)
                .filter(d -> d.plan().steps().size() >= LARGE)
                .toList();
        PROVER.works();
        Random random = new Random(5);
        List<Double> gaps = new ArrayList<>();
        List<Double> millis = new ArrayList<>();
        for (int k = 0; gaps.size() < STATES; k++) {
            TaskNetwork network = plans.get(k % plans.size()).plan().network();
            Schedule order = plans.get(k % plans.size()).plan().schedule();
            state(network, order, random, clock, gaps, millis);
        }
        gaps.sort(null);
        millis.sort(null);
        System.out.printf(
                "%d states: median %.2f %%, worst %.2f %%, within 0.5 %% %d; planning again median %.0f ms, longest %.0f ms%n",
                STATES,
                gaps.get(STATES / 2),
                gaps.get(STATES - 1),
                gaps.stream().filter(g -> g <= 0.5).count(),
                millis.get(STATES / 2),
                millis.get(STATES - 1));
    }

    private static void state(
            TaskNetwork network,
            Schedule order,
            Random random,
            Duration clock,
            List<Double> gaps,
            List<Double> millis) {
        int now = (int) (order.ready() * (0.15 + 0.6 * random.nextDouble()));
        Progress progress = progress(order, now, 60 * random.nextInt(LATEST));
        Planner live = Planner.trying(LIVE);
        for (int warm = 0; warm < 3; warm++) {
            live.plan(network, progress, Optional.of(order));
        }
        long from = System.nanoTime();
        Outcome outcome = live.plan(network, progress, Optional.of(order));
        double took = (System.nanoTime() - from) / 1e6;
        Remaining left = Remaining.of(network, progress);
        if (!(outcome instanceof Outcome.Planned planned)
                || left.network().tasks().size() < LEFT
                || !ScheduleCheck.problems(network, progress, planned.schedule())
                        .isEmpty()) {
            return;
        }
        Schedule again = planned.schedule();
        Proof proof =
                PROVER.settle(left.network(), Optional.of(left.of(again, progress)), clock, Watch.until(() -> false));
        Schedule best = left.whole(proof.schedule().orElseThrow(), progress);
        if (!ScheduleCheck.problems(network, progress, best).isEmpty()) {
            System.out.println("    what the exact search found is unsound here");
            return;
        }
        gaps.add(100.0 * (again.ready() - best.ready()) / best.ready());
        millis.add(took);
        System.out.printf(
                "%3d of %3d steps left: %.1f min, exact %.1f%s, %.0f ms%n",
                network.tasks().size() - progress.past().size(),
                network.tasks().size(),
                again.ready() / 60.0,
                best.ready() / 60.0,
                proof.isBest() ? " proven" : "",
                took);
    }

    /** What is past at some second, where what is under way last takes so much longer than planned. */
    private static Progress progress(Schedule order, int now, int late) {
        Optional<String> over = order.placed().stream()
                .filter(p -> p.start() < now && p.end() >= now)
                .map(ScheduledTask::task)
                .reduce((a, b) -> b);
        List<ScheduledTask> past = order.placed().stream()
                .filter(p -> p.start() < now)
                .map(p -> over.filter(p.task()::equals).isPresent() ? RunsOver.by(late, p) : p)
                .toList();
        List<Rest> rests = order.rests().stream().filter(r -> r.start() < now).toList();
        return new Progress(now, past, rests, List.of());
    }
}
