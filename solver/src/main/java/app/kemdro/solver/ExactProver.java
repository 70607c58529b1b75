package app.kemdro.solver;

import app.kemdro.core.schedule.Prover;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.TaskNetwork;
import com.google.ortools.Loader;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.SatParameters;
import java.time.Duration;
import java.util.Optional;
import java.util.function.BooleanSupplier;

/** The exact search with a constraint solver; where its native library cannot be loaded it says so and does nothing. */
public final class ExactProver implements Prover {
    /** Strategies looked through in turn; more of them prove more. */
    private static final int STRATEGIES = 8;

    private static final int A_DAY = 24 * 3600;

    /** Seconds of the solver's own count of effort for each second asked for; the count, not the clock, ends a search. */
    private static final double EFFORT = 0.02;

    /** The clock ends it after so many times what was asked for, on a machine that is slow or busy. */
    private static final double PATIENCE = 6;

    private static final class Native {
        private static final boolean LOADED = load();

        private static boolean load() {
            try {
                Loader.loadNativeLibraries();
                return true;
            } catch (RuntimeException | UnsatisfiedLinkError e) {
                return false;
            }
        }
    }

    @Override
    public boolean works() {
        return Native.LOADED;
    }

    @Override
    public Proof prove(TaskNetwork network, Optional<Schedule> known, Duration limit, BooleanSupplier stop) {
        int least = known.map(Schedule::leastReady).orElse(0);
        if (!works() || network.tasks().isEmpty() || network.workers().isEmpty()) {
            return new Proof(known, least, false);
        }
        ExactModel exact = new ExactModel(network, known.map(Schedule::ready).orElse(A_DAY));
        known.ifPresent(exact::hint);
        CpSolver solver = new CpSolver();
        double seconds = limit.toMillis() / 1000.0;
        SatParameters.Builder parameters = solver.getParameters();
        parameters
                .setNumWorkers(STRATEGIES)
                .setInterleaveSearch(true)
                .setMaxDeterministicTime(seconds * EFFORT)
                .setMaxTimeInSeconds(seconds * PATIENCE)
                .setRandomSeed(1)
                .setUseDynamicPrecedenceInDisjunctive(true)
                .setUseDynamicPrecedenceInCumulative(true);
        Thread watch = watch(solver, stop);
        try {
            CpSolverStatus status = solver.solve(exact.model());
            return proof(status, solver, exact, known, least);
        } finally {
            watch.interrupt();
        }
    }

    private static Proof proof(
            CpSolverStatus status, CpSolver solver, ExactModel exact, Optional<Schedule> known, int least) {
        if (status == CpSolverStatus.OPTIMAL || status == CpSolverStatus.FEASIBLE) {
            int proven = Math.max(least, (int) Math.ceil(solver.bestObjectiveBound() - 1e-6));
            Schedule found = exact.schedule(solver, proven);
            Schedule better = known.filter(k -> k.ready() <= found.ready()).orElse(found);
            return new Proof(
                    Optional.of(new Schedule(
                            better.placed(), better.rests(), better.ready(), Math.min(better.ready(), proven))),
                    Math.min(better.ready(), proven),
                    false);
        }
        boolean impossible = status == CpSolverStatus.INFEASIBLE && known.isEmpty();
        int proven = status == CpSolverStatus.INFEASIBLE
                ? known.map(Schedule::ready).orElse(least)
                : Math.max(least, (int) Math.ceil(Math.max(0, solver.bestObjectiveBound()) - 1e-6));
        return new Proof(known, known.map(k -> Math.min(k.ready(), proven)).orElse(proven), impossible);
    }

    /** Ends the search when somebody no longer wants it. */
    private static Thread watch(CpSolver solver, BooleanSupplier stop) {
        Thread thread = new Thread(
                () -> {
                    try {
                        // said again and again: a search that has not quite begun does not hear it
                        while (true) {
                            if (stop.getAsBoolean()) {
                                solver.stopSearch();
                            }
                            Thread.sleep(50);
                        }
                    } catch (InterruptedException e) {
                        Thread.currentThread().interrupt();
                    }
                },
                "exact-search-watch");
        thread.setDaemon(true);
        thread.start();
        return thread;
    }
}
