package app.kemdro.web.records.run;

import app.kemdro.core.method.Repair;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.schedule.Confidence;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.core.schedule.Task;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;

/** What happens in a rehearsal: how long work really takes and what goes wrong, drawn once for each run and step. */
public final class RehearsalDraw {
    /** Of a hundred steps to which something can happen, so many have it happen (judgement). */
    private static final double MISHAP = 0.05;

    private RehearsalDraw() {}

    private static SplittableRandom dice(long run, String step) {
        return new SplittableRandom(31 * run + step.hashCode());
    }

    /** When work that began then is done. */
    public static LocalDateTime ends(long run, Plan plan, ScheduledTask placed, LocalDateTime began) {
        double day = Math.exp(Confidence.DAY * dice(run, "the day").nextGaussian());
        double own = Math.exp(Confidence.TASK * dice(run, placed.task()).nextGaussian());
        Task task = plan.network().task(placed.task());
        Task.Mode way = task.way(placed.mode());
        double planned = plan.network().seconds(task, way, placed.worker());
        return began.plusSeconds(Math.round(planned * day * own) + way.tool());
    }

    /** What goes wrong with a step when it is done, if anything does. */
    static Optional<Repair> mishap(long run, PlannedStep step, Trade trade) {
        SplittableRandom dice = dice(run, step.id() + " mishap");
        List<Repair> can = trade.repairs().stream()
                .filter(r -> !r.spare() && r.happensTo(step.technique()))
                .filter(r -> step.zones().stream().anyMatch(r::mayBeOn))
                .toList();
        return can.isEmpty() || dice.nextDouble() > MISHAP
                ? Optional.empty()
                : Optional.of(can.get(dice.nextInt(can.size())));
    }

    /** Whether a film is found not yet clear at the first look. */
    static boolean notYet(long run, String step) {
        return dice(run, step + " film").nextInt(7) == 0;
    }
}
