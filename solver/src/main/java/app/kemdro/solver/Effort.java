package app.kemdro.solver;

import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverSolutionCallback;
import com.google.ortools.sat.CpSolverStatus;
import java.util.function.BooleanSupplier;
import org.jspecify.annotations.Nullable;

/**
 * How long a search may take: by the clock where somebody waits, by the solver's own count of its effort where the same input has to give
 * the same answer.
 */
final class Effort {
    /** So many threads work at one search, but for questions. */
    static final int THREADS = 2;

    /** Seconds of the solver's own count for each second asked for. */
    private static final double COUNTED = 0.3;

    /** The clock ends a counted search after so many times what was asked for, on a machine that is slow or busy. */
    private static final double PATIENCE = 40;

    private final boolean counted;
    private final double seconds;
    private final long began = System.nanoTime();
    private double spent;

    private Effort(boolean counted, double seconds) {
        this.counted = counted;
        this.seconds = seconds;
    }

    static Effort counted(double seconds) {
        return new Effort(true, seconds);
    }

    static Effort clock(double seconds) {
        return new Effort(false, seconds);
    }

    boolean isByClock() {
        return !counted;
    }

    /** All there was to spend when it began. */
    double seconds() {
        return seconds;
    }

    /** What is left of it. */
    double left() {
        double passed = (System.nanoTime() - began) / 1e9;
        return counted ? Math.min(seconds - spent, seconds * PATIENCE - passed) : seconds - passed;
    }

    boolean isSpent() {
        return left() <= 0;
    }

    /** A solver that works so many seconds, and no longer than there are left. */
    CpSolver solver(double turn) {
        CpSolver solver = new CpSolver();
        double most = Math.max(0.001, Math.min(turn, left()));
        solver.getParameters().setRandomSeed(1).setNumWorkers(THREADS);
        if (counted) {
            solver.getParameters().setInterleaveSearch(true).setMaxDeterministicTime(most * COUNTED);
        } else {
            solver.getParameters().setMaxTimeInSeconds(most);
        }
        return solver;
    }

    /** Lets it work, until its time is over or nobody wants it any more. */
    CpSolverStatus solve(
            CpSolver solver, CpModel model, BooleanSupplier over, @Nullable CpSolverSolutionCallback found) {
        Thread looks = new Thread(
                () -> {
                    try {
                        // said again and again: a search that has not quite begun does not hear it
                        while (true) {
                            if (over.getAsBoolean()) {
                                solver.stopSearch();
                            }
                            Thread.sleep(20);
                        }
                    } catch (InterruptedException e) {
                        Thread.currentThread().interrupt();
                    }
                },
                "exact-search-watch");
        looks.setDaemon(true);
        looks.start();
        try {
            return solver.solve(model, found);
        } finally {
            looks.interrupt();
            spent += Math.max(1e-4, solver.response().getDeterministicTime() / COUNTED);
        }
    }
}
