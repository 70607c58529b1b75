package app.kemdro.solver;

import app.kemdro.solver.ExactModel.Step;
import app.kemdro.solver.ExactModel.Way;
import com.google.ortools.sat.IntervalVar;
import java.util.ArrayList;
import java.util.List;

/** The tool that settles faster in a model: a way that needs it holds it to the end of its task. */
final class ToolConstraints {
    private final ExactModel exact;

    ToolConstraints(ExactModel exact) {
        this.exact = exact;
    }

    /** No more of it runs at once than lies in the room. */
    void add() {
        List<IntervalVar> runs = new ArrayList<>();
        for (Step step : exact.steps()) {
            for (Way way : step.ways()) {
                int tool = exact.grid().steps(exact.mode(step, way).tool());
                if (tool > 0) {
                    runs.add(exact.model()
                            .newOptionalFixedSizeIntervalVar(
                                    ExactModel.plus(step.start(), way.length() - (long) tool),
                                    tool,
                                    way.is(),
                                    "t " + step.task().id()));
                }
            }
        }
        if (exact.network().tools() == 1) {
            exact.model().addNoOverlap(runs);
        } else if (exact.network().tools() > 1) {
            var shared = exact.model().addCumulative(exact.network().tools());
            runs.forEach(r -> shared.addDemand(r, 1));
        }
    }
}
