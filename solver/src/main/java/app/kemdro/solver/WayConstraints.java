package app.kemdro.solver;

import app.kemdro.core.schedule.Task;
import app.kemdro.core.schedule.Task.Mode;
import app.kemdro.core.schedule.Worker;
import app.kemdro.solver.ExactModel.Step;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import com.google.ortools.sat.Literal;
import java.util.List;

/** Ways to do a task in a model: one of them is chosen, and with the hands it says how long the task takes. */
final class WayConstraints {
    private final ExactModel exact;

    WayConstraints(ExactModel exact) {
        this.exact = exact;
    }

    void add() {
        for (Step step : exact.steps()) {
            one(step);
            if (step.helpers().isEmpty()) {
                alone(step);
            } else {
                helped(step);
            }
        }
    }

    /** One way, and none that cannot be: no tool in the room, or nobody to help. */
    private void one(Step step) {
        for (int m = 0; m < step.modes().size(); m++) {
            Mode mode = step.task().modes().get(m);
            boolean noTool = m > 0 && mode.tool() > 0 && exact.network().tools() == 0;
            boolean noHelp = mode.helped() && exact.network().workers().size() < 2;
            if (noTool || noHelp) {
                exact.model().addEquality(step.modes().get(m), 0);
            }
        }
        exact.model().addExactlyOne(step.modes().toArray(Literal[]::new));
    }

    /** What the hands that do it need, and what the tool adds. */
    private void alone(Step step) {
        Task task = step.task();
        LinearExprBuilder length = LinearExpr.newBuilder();
        if (step.hands().isEmpty()) {
            length.add(task.work());
        }
        for (int w = 0; w < step.hands().size(); w++) {
            Worker worker = exact.network().workers().get(w);
            length.addTerm(step.hands().get(w), Math.round(task.work() * worker.pace()));
        }
        for (int m = 0; m < step.modes().size(); m++) {
            length.addTerm(step.modes().get(m), task.modes().get(m).tool());
        }
        exact.model().addEquality(step.length(), length);
    }

    /** Where there is a way for two pairs of hands, each way takes each pair its own time. */
    private void helped(Step step) {
        List<Mode> modes = step.task().modes();
        for (int m = 0; m < modes.size(); m++) {
            for (int w = 0; w < step.hands().size(); w++) {
                Worker worker = exact.network().workers().get(w);
                exact.model()
                        .addEquality(
                                step.length(),
                                worker.seconds(step.task(), modes.get(m))
                                        + (long) modes.get(m).tool())
                        .onlyEnforceIf(
                                new Literal[] {step.modes().get(m), step.hands().get(w)});
            }
        }
    }
}
