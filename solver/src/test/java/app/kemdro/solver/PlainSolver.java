package app.kemdro.solver;

import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.TaskNetwork;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import java.time.Duration;
import java.util.Optional;

/** The constraint solver by itself on the same model: no order to begin from, no turns, its own settings, two threads. */
public final class PlainSolver {
    private static final int A_DAY = 24 * 3600;
    private static final int THREADS = 2;

    private PlainSolver() {}

    /** What it finds in so much time by the clock. */
    public static Optional<Schedule> solve(TaskNetwork network, Duration clock) {
        ExactModel exact = new ExactModel(network, A_DAY, 0);
        CpSolver solver = new CpSolver();
        solver.getParameters()
                .setNumWorkers(THREADS)
                .setRandomSeed(1)
                .setLinearizationLevel(0)
                .setUseDynamicPrecedenceInDisjunctive(true)
                .setUseDynamicPrecedenceInCumulative(true)
                .setMaxTimeInSeconds(clock.toMillis() / 1000.0);
        CpSolverStatus status = solver.solve(exact.model());
        return status == CpSolverStatus.OPTIMAL || status == CpSolverStatus.FEASIBLE
                ? Optional.of(exact.schedule(v -> (int) solver.value(v), solver::booleanValue, 0))
                : Optional.empty();
    }
}
