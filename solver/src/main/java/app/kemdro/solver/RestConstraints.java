package app.kemdro.solver;

import app.kemdro.core.schedule.BreakRule;
import app.kemdro.core.schedule.Grid;
import app.kemdro.solver.ExactModel.Rested;
import app.kemdro.solver.ExactModel.Step;
import app.kemdro.solver.ExactModel.Way;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.Literal;
import java.util.ArrayList;
import java.util.List;

/** Breaks in a model. */
final class RestConstraints {
    private static final int MOST = 60;

    private final ExactModel exact;
    private final BreakRule rule;

    RestConstraints(ExactModel exact) {
        this.exact = exact;
        this.rule = exact.network().breaks();
    }

    /** Breaks in turn, never further apart than the rule allows. That none lies inside hands-on work, hands see to. */
    List<Rested> add() {
        Grid grid = exact.grid();
        int every = grid.within(rule.every());
        List<Rested> all = new ArrayList<>();
        int most = most(every);
        int least = least(every);
        IntVar lastWork = exact.model().newIntVar(0, Math.max(0, exact.horizon()), "last work");
        for (Step step : exact.steps()) {
            for (Way way : step.ways()) {
                var ends = exact.model().addGreaterOrEqual(lastWork, ExactModel.plus(step.start(), way.length()));
                if (step.ways().size() > 1) {
                    ends.onlyEnforceIf(way.is());
                }
            }
        }
        for (int k = 0; k < most; k++) {
            Rested rest = rest(k, all, every);
            if (k < least) {
                exact.model().addBoolAnd(new Literal[] {rest.there()});
            }
            enough(lastWork, every, all).onlyEnforceIf(rest.there().not());
            all.add(rest);
        }
        enough(lastWork, every, all);
        return all;
    }

    /** No more work after the last break than may be without one. */
    private com.google.ortools.sat.Constraint enough(IntVar lastWork, int every, List<Rested> before) {
        if (before.isEmpty()) {
            return exact.model().addLessOrEqual(lastWork, every);
        }
        Rested last = before.get(before.size() - 1);
        return exact.model().addLessOrEqual(lastWork, ExactModel.plus(last.start(), last.length() + (long) every));
    }

    private Rested rest(int k, List<Rested> before, int every) {
        int length = exact.grid().steps(rule.length(k));
        Literal there = exact.model().newBoolVar("rest " + k);
        IntVar start = exact.model().newIntVar(0, (long) exact.horizon() + length, "rs " + k);
        if (before.isEmpty()) {
            exact.model().addLessOrEqual(start, every);
        } else {
            Rested last = before.get(before.size() - 1);
            LinearExpr over = ExactModel.plus(last.start(), last.length() + 1L);
            exact.model().addGreaterOrEqual(start, over).onlyEnforceIf(there);
            exact.model()
                    .addLessOrEqual(start, ExactModel.plus(last.start(), last.length() + (long) every))
                    .onlyEnforceIf(there);
            exact.model().addImplication(there, last.there());
        }
        return new Rested(
                there, start, length, exact.model().newOptionalFixedSizeIntervalVar(start, length, there, "r " + k));
    }

    /**
     * So many breaks at most. Where all last as long, a break between two stretches of work that together, and with the break, are no longer than one may be
     * can be left out where it stands; so of any two stretches in a row, and the break between them, the sum is more. And what all
     * hands have to do at the very least has to go beside the breaks.
     */
    private int most(int every) {
        int shortest = exact.grid().steps(rule.length());
        long work = shortestWork();
        int hands = exact.network().workers().size();
        int most = 0;
        long rested = 0;
        while (most < MOST
                && (rule.meal() > rule.length()
                        || (most + 1) / 2 * (long) Math.max(1, every - shortest) + most * (long) shortest
                                <= exact.horizon())
                && work <= hands * (exact.horizon() - rested - exact.grid().steps(rule.length(most)))) {
            rested += exact.grid().steps(rule.length(most));
            most++;
        }
        return most;
    }

    /** So many breaks at least: without them what is to be done would not fit between them. */
    private int least(int every) {
        int hands = Math.max(1, exact.network().workers().size());
        int least = 0;
        while (shortestWork() > (long) hands * every * (least + 1L) && least < MOST) {
            least++;
        }
        return least;
    }

    /** Steps of work by all hands together, each task in the way that takes least. */
    private long shortestWork() {
        return exact.steps().stream()
                .filter(Step::handsOn)
                .mapToLong(s -> s.ways().stream()
                        .mapToLong(w -> w.length() * (w.helper() < 0 ? 1L : 2L))
                        .min()
                        .orElse(0))
                .sum();
    }
}
