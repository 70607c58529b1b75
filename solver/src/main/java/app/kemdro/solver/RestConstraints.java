package app.kemdro.solver;

import app.kemdro.solver.ExactModel.Break;
import app.kemdro.solver.ExactModel.Step;
import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import java.util.ArrayList;
import java.util.List;

/** Breaks in a model. */
final class RestConstraints {
    private final ExactModel exact;

    RestConstraints(ExactModel exact) {
        this.exact = exact;
    }

    /** Breaks in turn, never further apart than the rule allows. That none lies inside hands-on work, hands see to. */
    List<Break> breaks() {
        int every = exact.network().breaks().every();
        IntVar lastWork = exact.model().newIntVar(0, exact.horizon(), "last work");
        exact.model()
                .addMaxEquality(lastWork, exact.steps().stream().map(Step::end).toArray(IntVar[]::new));
        int most = Math.min(60, exact.horizon() / Math.max(1, every) + 2);
        List<Break> all = new ArrayList<>();
        IntVar last = exact.model().newConstant(0);
        for (int k = 0; k < most; k++) {
            Break rest = rest(k);
            // one break is not followed by another at once
            LinearExprBuilder soonest = LinearExpr.newBuilder().add(last).add(k == 0 ? 0 : 1);
            exact.model().addGreaterOrEqual(rest.start(), soonest).onlyEnforceIf(rest.there());
            exact.model().addLessOrEqual(rest.start(), after(last, every)).onlyEnforceIf(rest.there());
            IntVar next = exact.model().newIntVar(0, exact.horizon() + 2L * length(k), "rested " + k);
            exact.model().addEquality(next, rest.end()).onlyEnforceIf(rest.there());
            exact.model().addEquality(next, last).onlyEnforceIf(rest.there().not());
            if (k > 0) {
                exact.model().addImplication(rest.there(), all.get(k - 1).there());
            }
            all.add(rest);
            last = next;
        }
        exact.model().addLessOrEqual(lastWork, after(last, every));
        return all;
    }

    private Break rest(int k) {
        BoolVar there = exact.model().newBoolVar("rest " + k);
        IntVar start = exact.model().newIntVar(0, exact.horizon() + 2L * length(k), "rs " + k);
        IntVar end = exact.model().newIntVar(0, exact.horizon() + 2L * length(k), "re " + k);
        IntVar length = exact.model().newConstant(length(k));
        return new Break(there, start, end, exact.model().newOptionalIntervalVar(start, length, end, there, "r " + k));
    }

    private int length(int k) {
        return exact.network().breaks().length(k);
    }

    private static LinearExprBuilder after(IntVar moment, int seconds) {
        return LinearExpr.newBuilder().add(moment).add(seconds);
    }
}
