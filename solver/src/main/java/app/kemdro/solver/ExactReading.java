package app.kemdro.solver;

import app.kemdro.core.schedule.Rest;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.core.schedule.Task;
import app.kemdro.core.schedule.Task.Mode;
import app.kemdro.solver.ExactModel.Step;
import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CpSolver;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What a solver found, read back from the variables of a model. */
final class ExactReading {
    private final ExactModel exact;
    private final CpSolver solver;

    ExactReading(ExactModel exact, CpSolver solver) {
        this.exact = exact;
        this.solver = solver;
    }

    /** Reads the schedule that was found. */
    Schedule schedule(int leastReady) {
        List<ScheduledTask> placed = new ArrayList<>();
        int latest = 0;
        int lastEnd = 0;
        for (Task task : exact.network().tasks()) {
            ScheduledTask p = placed(exact.step(task.id()));
            placed.add(p);
            lastEnd = Math.max(lastEnd, p.end());
            latest = Math.max(latest, exact.workedInto(task) ? p.end() : p.settled());
        }
        int last = lastEnd;
        List<Rest> rests = exact.breaks().stream()
                .filter(b -> solver.booleanValue(b.there()))
                .map(b -> new Rest((int) solver.value(b.start()), (int) solver.value(b.end())))
                .filter(r -> r.start() < last)
                .toList();
        return new Schedule(placed, rests, latest, Math.min(latest, leastReady));
    }

    private ScheduledTask placed(Step step) {
        int m = chosen(step.modes());
        Mode mode = step.task().modes().get(m);
        int end = (int) solver.value(step.end());
        return new ScheduledTask(
                step.task().id(),
                worker(step),
                mode.helped()
                        ? exact.network().workers().get(chosen(step.helpers())).id()
                        : null,
                m,
                (int) solver.value(step.start()),
                end,
                end + mode.usable(),
                mode.closes() >= Mode.NEVER ? Mode.NEVER : end + mode.closes(),
                end + mode.settled(),
                0);
    }

    private @Nullable String worker(Step step) {
        return step.task().needs() == Task.Needs.NOBODY
                ? null
                : exact.network().workers().get(chosen(step.hands())).id();
    }

    private int chosen(List<BoolVar> ways) {
        for (int k = 0; k < ways.size(); k++) {
            if (solver.booleanValue(ways.get(k))) {
                return k;
            }
        }
        throw new IllegalStateException("Nothing was chosen");
    }
}
