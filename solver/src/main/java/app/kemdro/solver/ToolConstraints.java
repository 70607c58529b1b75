package app.kemdro.solver;

import app.kemdro.solver.ExactModel.Step;
import com.google.ortools.sat.CumulativeConstraint;
import com.google.ortools.sat.IntVar;

/** The tool that settles faster in a model: a way that needs it holds it to the end of its task. */
final class ToolConstraints {
    private final ExactModel exact;

    ToolConstraints(ExactModel exact) {
        this.exact = exact;
    }

    /** No more of it runs at once than lies in the room. */
    void add() {
        if (exact.network().tools() == 0) {
            return;
        }
        CumulativeConstraint shared =
                exact.model().addCumulative(exact.network().tools());
        for (Step step : exact.steps()) {
            for (int m = 0; m < step.modes().size(); m++) {
                int tool = step.task().modes().get(m).tool();
                if (tool > 0) {
                    IntVar from = exact.model()
                            .newIntVar(0, exact.horizon(), "t " + step.task().id());
                    shared.addDemand(
                            exact.model()
                                    .newOptionalIntervalVar(
                                            from,
                                            exact.model().newConstant(tool),
                                            step.end(),
                                            step.modes().get(m),
                                            "t" + step.task().id()),
                            1);
                }
            }
        }
    }
}
