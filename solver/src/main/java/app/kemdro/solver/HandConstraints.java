package app.kemdro.solver;

import app.kemdro.core.schedule.Task;
import app.kemdro.core.schedule.Worker;
import app.kemdro.solver.ExactModel.Break;
import app.kemdro.solver.ExactModel.Step;
import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.IntervalVar;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import com.google.ortools.sat.Literal;
import java.util.ArrayList;
import java.util.List;

/** Hands in a model: who may do a task and who helps, within their hours, one thing at a time and nothing while they rest. */
final class HandConstraints {
    private final ExactModel exact;

    HandConstraints(ExactModel exact) {
        this.exact = exact;
    }

    void add() {
        exact.steps().forEach(this::does);
        exact.steps().forEach(this::helps);
        for (int w = 0; w < exact.network().workers().size(); w++) {
            oneAtATime(w);
        }
        exact.steps().stream()
                .filter(s -> s.hands().isEmpty())
                .forEach(s -> exact.model().addNoOverlap(withBreaks(List.of(s.work()))));
    }

    /** One pair of hands; a lead's where it needs one. */
    private void does(Step step) {
        if (step.task().needs() == Task.Needs.NOBODY) {
            return;
        }
        List<Literal> able = new ArrayList<>();
        for (int w = 0; w < step.hands().size(); w++) {
            Worker worker = exact.network().workers().get(w);
            if (step.task().needs() == Task.Needs.LEAD && !worker.lead()) {
                exact.model().addEquality(step.hands().get(w), 0);
            } else {
                able.add(step.hands().get(w));
                withinHours(step, worker, step.hands().get(w));
            }
        }
        exact.model().addExactlyOne(able.toArray(Literal[]::new));
    }

    /** A second pair where the way takes two, never the same. */
    private void helps(Step step) {
        if (step.helpers().isEmpty()) {
            return;
        }
        LinearExprBuilder takesTwo = LinearExpr.newBuilder();
        for (int m = 0; m < step.modes().size(); m++) {
            if (step.task().modes().get(m).helped()) {
                takesTwo.add(step.modes().get(m));
            }
        }
        for (int w = 0; w < step.helpers().size(); w++) {
            BoolVar helps = step.helpers().get(w);
            exact.model().addImplication(helps, step.hands().get(w).not());
            withinHours(step, exact.network().workers().get(w), helps);
        }
        exact.model().addEquality(LinearExpr.sum(step.helpers().toArray(BoolVar[]::new)), takesTwo);
    }

    private void withinHours(Step step, Worker worker, BoolVar is) {
        exact.model()
                .addGreaterOrEqual(step.start(), Math.max(0, worker.from()))
                .onlyEnforceIf(is);
        exact.model().addLessOrEqual(step.end(), worker.until()).onlyEnforceIf(is);
    }

    private void oneAtATime(int w) {
        List<IntervalVar> line = new ArrayList<>();
        for (Step step : exact.steps()) {
            if (!step.hands().isEmpty()) {
                line.add(busy(step, step.hands().get(w), "h" + w));
            }
            if (!step.helpers().isEmpty()) {
                line.add(busy(step, step.helpers().get(w), "l" + w));
            }
        }
        exact.model().addNoOverlap(withBreaks(line));
    }

    private IntervalVar busy(Step step, BoolVar is, String name) {
        return exact.model()
                .newOptionalIntervalVar(
                        step.start(),
                        step.length(),
                        step.end(),
                        is,
                        name + step.task().id());
    }

    private List<IntervalVar> withBreaks(List<IntervalVar> line) {
        List<IntervalVar> all =
                new ArrayList<>(exact.breaks().stream().map(Break::span).toList());
        all.addAll(line);
        return all;
    }
}
