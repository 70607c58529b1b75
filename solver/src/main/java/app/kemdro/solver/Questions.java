package app.kemdro.solver;

import app.kemdro.core.schedule.Grid;
import app.kemdro.core.schedule.TaskNetwork;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.SatParameters;
import com.google.ortools.sat.SatParameters.SearchBranching;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * Asks whether there is an order that is ready by some second: by the very second before which nothing can be ready, for there everything is
 * tightest; or half-way to the best that is known, or just before it. A yes is a better order, a no a better bound.
 */
final class Questions {
    /** How far between what is proven and what is known to ask. */
    private static final double LEAST = 0;

    private static final double HALF_WAY = 0.5;
    private static final double BEST = 1;

    /** One question after another. */
    private static final double[] IN_TURN = {LEAST, LEAST, HALF_WAY, BEST};

    /** One way of looking for an answer after another; each finds what others do not. */
    private static final List<UnaryOperator<SatParameters.Builder>> WAYS = List.of(
            p -> p.setLinearizationLevel(0),
            p -> p.setLinearizationLevel(0).setSearchBranching(SearchBranching.PORTFOLIO_WITH_QUICK_RESTART_SEARCH),
            p -> p.setLinearizationLevel(0).setUseTimetableEdgeFindingInCumulative(false),
            p -> p.setLinearizationLevel(2));

    /** The same ways by the solver's own names, for where it tries them in turn by itself. */
    private static final List<String> ALL_WAYS = List.of("no_lp", "quick_restart_no_lp", "max_lp");

    private final TaskNetwork network;
    private final Effort effort;
    private final Standing standing;
    private final int grid;
    private int asked;

    /** So many steps of the grid beyond the least second it asks next by the least: further after each no, from the beginning otherwise. */
    private int ahead;

    Questions(TaskNetwork network, Effort effort, Standing standing) {
        this.network = network;
        this.effort = effort;
        this.standing = standing;
        this.grid = Grid.of(network).step();
    }

    /** Asks with one thread in one of the ways by the second before which nothing can be ready, or a little later; whether there was an answer. */
    boolean askByLeast(int way, double turn) {
        int before = standing.least();
        boolean answered = ask(LEAST, turn, p -> WAYS.get(way).apply(p.setNumWorkers(1)));
        ahead = standing.least() > before ? Math.max(1, 2 * ahead) : 0;
        return answered;
    }

    /** The same half-way to the best that is known. */
    boolean askHalfWay(int way, double turn) {
        return ask(HALF_WAY, turn, p -> WAYS.get(way).apply(p.setNumWorkers(1)));
    }

    /** Asks once, in all ways at the same time. */
    void askInTurn(double turn) {
        ask(
                IN_TURN[asked++ % IN_TURN.length],
                turn,
                p -> p.setNumWorkers(ALL_WAYS.size()).addAllSubsolvers(ALL_WAYS));
    }

    /** Whether there was an answer. */
    private boolean ask(double where, double turn, UnaryOperator<SatParameters.Builder> way) {
        int least = standing.least();
        int open = (standing.ready() - grid - least) / grid;
        if (open < 0) {
            return false;
        }
        int by = least + (where > LEAST ? (int) (open * where) : Math.min(open, ahead)) * grid;
        ExactModel exact = new ExactModel(network, by, -1);
        CpSolver solver = effort.solver(turn);
        way.apply(solver.getParameters()
                .setUseDynamicPrecedenceInDisjunctive(true)
                .setUseDynamicPrecedenceInCumulative(true)
                .setUseOverloadCheckerInCumulative(true)
                .setUseTimetableEdgeFindingInCumulative(true));
        CpSolverStatus status =
                effort.solve(solver, exact.model(), () -> standing.isOver() || standing.ready() <= by, null);
        switch (status) {
            case OPTIMAL, FEASIBLE ->
                standing.better(exact.schedule(v -> (int) solver.value(v), solver::booleanValue, least));
            case INFEASIBLE -> standing.proven(by + 1, "no order is ready by " + by / 60 + " min");
            default -> {
                return false;
            }
        }
        return true;
    }
}
