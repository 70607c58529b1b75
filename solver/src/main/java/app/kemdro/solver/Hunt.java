package app.kemdro.solver;

import app.kemdro.core.schedule.EagerSearch;
import app.kemdro.core.schedule.Prover.Proof;
import app.kemdro.core.schedule.Prover.Watch;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.TaskNetwork;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverSolutionCallback;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.Literal;
import com.google.ortools.sat.SatParameters;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.function.ToIntFunction;
import org.jspecify.annotations.Nullable;

/**
 * One search for the best order of a network, in turns: repairing the best that is known, and asking whether there is an order that is
 * ready by some second. A yes is a better order, a no a better bound; asked so, with everything cut to that second, a no is found where
 * minimising hardly moves its bound.
 */
final class Hunt {
    private static final int A_DAY = 24 * 3600;

    /** What share of all there is to spend the first turn takes, and seconds between which it lies; each is longer than the one before. */
    private static final double FIRST = 0.3;

    private static final double SHORTEST = 0.4;
    private static final double LONGEST = 2;
    private static final double LONGER = 1.5;

    /** What share of the clock working through mornings has first at most, and for how many steps a second of it is enough. */
    private static final double EAGER = 0.6;

    private static final double STEPS_A_SECOND = 50;

    /** Strategies that answer questions: the linear one at once where it can, the others by what they learn. */
    private static final List<String> ASKING = List.of("max_lp", "no_lp", "quick_restart_no_lp");

    private final TaskNetwork network;
    private final Effort effort;
    private final Watch watch;
    private final int grid;
    private volatile @Nullable Schedule best;
    private int least;
    private boolean impossible;
    private long seed = 1;
    private int turns;

    /** Whether the next turn only repairs what is known, or also builds from the beginning; they find different things. */
    private boolean repairs = true;

    /** The least second of which it is not known whether an order by it exists, though it was asked. */
    private int unanswered = Integer.MAX_VALUE;

    Hunt(TaskNetwork network, Optional<Schedule> known, int least, Effort effort, Watch watch) {
        this.network = network;
        this.effort = effort;
        this.watch = watch;
        this.grid = Grid.of(network).step();
        this.best = known.orElse(null);
        this.least = least;
    }

    /** Goes on until nothing shorter exists, the effort is spent, or nobody wants it any more. */
    Proof run() {
        if (best == null) {
            find(Double.MAX_VALUE);
        }
        if (effort.isByClock() && best != null && !isOver()) {
            eager(Math.min(network.tasks().size() / STEPS_A_SECOND, EAGER * effort.seconds()));
        }
        double turn = Math.min(LONGEST, Math.max(SHORTEST, FIRST * effort.seconds()));
        while (!isOver() && best != null) {
            if (effort.isByClock() && turns++ % 3 == 2) {
                eager(turn);
            } else {
                find(turn);
            }
            double until = effort.left() - turn;
            while (!isOver() && effort.left() > until) {
                ask(Math.max(SHORTEST, (effort.left() - until) / 2));
            }
            turn *= LONGER;
        }
        Schedule found = best;
        int proven = found == null ? least : Math.min(least, found.ready());
        return new Proof(Optional.ofNullable(found).map(s -> s.provenNotBefore(proven)), proven, impossible);
    }

    /** Works through the morning again and again, each thread in its own way: at first nothing comes further so soon. */
    private void eager(double turn) {
        double from = effort.left();
        double most = Math.min(turn, from);
        List<Thread> threads = new ArrayList<>();
        for (int t = 0; t < Effort.THREADS; t++) {
            EagerSearch search = new EagerSearch(network, seed++);
            Schedule known = best;
            threads.add(new Thread(
                    () -> search.look(known.ready(), least, () -> (from - effort.left()) / most, this::isOver)
                            .ifPresent(this::better),
                    "eager-search"));
        }
        threads.forEach(Thread::start);
        for (Thread thread : threads) {
            try {
                thread.join();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return;
            }
        }
    }

    private boolean isOver() {
        return impossible || best != null && best.ready() <= least || effort.isSpent() || watch.isStopped();
    }

    /** Looks for a shorter order beside the best that is known. */
    private void find(double turn) {
        ExactModel exact = new ExactModel(network, best == null ? A_DAY : best.ready(), least);
        Optional.ofNullable(best).ifPresent(exact::hint);
        CpSolver solver = effort.solver(turn);
        SatParameters.Builder parameters = solver.getParameters();
        parameters
                .setLinearizationLevel(0)
                .setUseDynamicPrecedenceInDisjunctive(true)
                .setUseDynamicPrecedenceInCumulative(true);
        if (best != null && repairs) {
            parameters.setUseLnsOnly(true);
        } else {
            parameters.addSubsolvers("fixed");
        }
        repairs = !repairs;
        CpSolverStatus status = effort.solve(solver, exact.model(), watch, new CpSolverSolutionCallback() {
            @Override
            public void onSolutionCallback() {
                read(exact, v -> (int) value(v), this::booleanValue);
            }
        });
        if (status == CpSolverStatus.OPTIMAL) {
            proven(Optional.ofNullable(best).map(Schedule::ready).orElse(least), "nothing shorter is left to look at");
        } else if (status == CpSolverStatus.INFEASIBLE && best == null) {
            impossible = true;
        } else if (status == CpSolverStatus.INFEASIBLE) {
            proven(best.ready(), "nothing shorter is left to look at");
        }
    }

    /** Asks whether there is an order by a second between what is proven and what is known. */
    private void ask(double turn) {
        int high = Math.min(best.ready() - grid, unanswered - grid);
        if (high < least) {
            // everything was asked; once more, and longer, from the top
            unanswered = Integer.MAX_VALUE;
            high = best.ready() - grid;
        }
        int by = least + (high - least) / 2 / grid * grid;
        ExactModel exact = new ExactModel(network, by, -1);
        CpSolver solver = effort.solver(turn);
        solver.getParameters()
                .setNumWorkers(ASKING.size())
                .addAllSubsolvers(ASKING)
                .setUseDynamicPrecedenceInDisjunctive(true)
                .setUseDynamicPrecedenceInCumulative(true)
                .setUseOverloadCheckerInCumulative(true)
                .setUseTimetableEdgeFindingInCumulative(true);
        CpSolverStatus status = effort.solve(solver, exact.model(), watch, null);
        switch (status) {
            case OPTIMAL, FEASIBLE -> read(exact, v -> (int) solver.value(v), solver::booleanValue);
            case INFEASIBLE -> proven(by + 1, "no order is ready by " + by / 60 + " min");
            default -> unanswered = by;
        }
    }

    private void read(ExactModel exact, ToIntFunction<IntVar> value, Predicate<Literal> is) {
        better(exact.schedule(value, is, least));
    }

    private synchronized void better(Schedule found) {
        if (best == null || found.ready() < best.ready()) {
            best = found;
            watch.found(found);
        }
    }

    private void proven(int second, String because) {
        int rounded = (second + grid - 1) / grid * grid;
        if (rounded > least) {
            least = rounded;
            watch.proven(least, because);
        }
    }
}
