package app.kemdro.solver;

import app.kemdro.core.schedule.EagerSearch;
import app.kemdro.core.schedule.Grid;
import app.kemdro.core.schedule.Prover.Proof;
import app.kemdro.core.schedule.Prover.Watch;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.TaskNetwork;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverSolutionCallback;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.SatParameters;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * One search for the best order of a network. By the clock two go on beside each other: one asks whether there is an order that is ready
 * by some second, the other works through mornings and repairs the best that is known. By counted effort they take turns.
 */
final class Hunt {
    private static final int A_DAY = 24 * 3600;

    /** What share of all there is to spend the first turn takes, and seconds between which it lies; each is longer than the one before. */
    private static final double FIRST = 0.3;

    private static final double SHORTEST = 0.4;
    private static final double LONGEST = 2;
    private static final double LONGER = 1.5;

    /** For so many steps a second of one way of looking is enough at first; a second at least. */
    private static final double STEPS_A_SECOND = 60;

    /** No more than this share of the clock for one way of looking at first. */
    private static final double AT_FIRST = 0.6;

    /** Minimising goes on for so many times as long as other attempts. */
    private static final double IN_ONE_GO = 10;

    private static final UnaryOperator<SatParameters.Builder> REPAIRS = p -> p.setUseLnsOnly(true);
    private static final UnaryOperator<SatParameters.Builder> BUILDS = p -> p.addSubsolvers("fixed");

    private final TaskNetwork network;
    private final Effort effort;
    private final Standing standing;
    private final Questions questions;
    private long seed;

    /** One way of getting further, for so many seconds. */
    private interface Attempt {
        /** Whether it had an answer, so that it should be asked again. */
        boolean answers(double seconds);
    }

    Hunt(TaskNetwork network, Optional<Schedule> known, int least, Effort effort, Watch watch) {
        this.network = network;
        this.effort = effort;
        this.standing = new Standing(known, least, Grid.of(network).step(), effort, watch);
        this.questions = new Questions(network, effort, standing);
    }

    /** Goes on until nothing shorter exists, the effort is spent, or nobody wants it any more. */
    Proof run() {
        if (standing.best().isEmpty()) {
            find(Double.MAX_VALUE, Effort.THREADS, BUILDS);
        }
        if (standing.best().isPresent() && effort.isByClock()) {
            besideEachOther();
        } else if (standing.best().isPresent()) {
            inTurn();
        }
        return standing.proof();
    }

    private void besideEachOther() {
        List<Attempt> asks = List.of(
                t -> questions.askByLeast(0, t), t -> questions.askByLeast(1, t), t -> questions.askHalfWay(2, t));
        List<Attempt> asksOn = List.of(t -> minimise(IN_ONE_GO * t), t -> questions.askByLeast(3, t));
        Questions others = new Questions(network, effort, standing);
        List<Attempt> looks =
                List.of(this::eager, t -> others.askHalfWay(2, t), this::repair, this::build, this::eager);
        List<Attempt> looksOn = List.of(this::build, this::repair, t -> others.askByLeast(0, t));
        FutureTask<Void> beside = new FutureTask<>(() -> goOn(looks, looksOn), null);
        new Thread(beside, "exact-search-looks").start();
        goOn(asks, asksOn);
        try {
            beside.get();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } catch (ExecutionException e) {
            throw new IllegalStateException("The search that repairs broke off", e);
        }
    }

    /** One attempt after another until the search is over; from the first again after an answer, the others and for longer after a round without. */
    private void goOn(List<Attempt> first, List<Attempt> then) {
        double turn = Math.min(Math.max(1, network.tasks().size() / STEPS_A_SECOND), AT_FIRST * effort.seconds());
        List<Attempt> attempts = first;
        for (int k = 0; !standing.isOver(); k++) {
            if (k == attempts.size()) {
                k = 0;
                turn *= LONGER;
                attempts = then;
            }
            if (attempts.get(k).answers(turn)) {
                k = -1;
            }
        }
    }

    private void inTurn() {
        double turn = Math.min(LONGEST, Math.max(SHORTEST, FIRST * effort.seconds()));
        for (boolean repairs = true; !standing.isOver(); repairs = !repairs) {
            find(turn, Effort.THREADS, repairs ? REPAIRS : BUILDS);
            double until = effort.left() - turn;
            while (!standing.isOver() && effort.left() > until) {
                questions.askInTurn(Math.max(SHORTEST, (effort.left() - until) / 2));
            }
            turn *= LONGER;
        }
    }

    /** Works through the morning again and again: at first nothing comes further so soon. */
    private boolean eager(double turn) {
        double from = effort.left();
        double most = Math.min(turn, from);
        new EagerSearch(network, ++seed)
                .look(standing.ready(), standing.least(), () -> (from - effort.left()) / most, standing::isOver)
                .ifPresent(standing::better);
        return false;
    }

    /** Repairs the best that is known. */
    private boolean repair(double turn) {
        find(turn, 1, p -> REPAIRS.apply(p.setInterleaveSearch(true)));
        return false;
    }

    /** Also builds from the beginning; that finds other things. */
    private boolean build(double turn) {
        find(turn, 1, p -> BUILDS.apply(p.setInterleaveSearch(true)));
        return false;
    }

    /** Makes it shorter step by step in one go: what it learns on the way is worth more than another beginning. */
    private boolean minimise(double turn) {
        find(turn, 1, p -> p);
        return false;
    }

    /** Looks for a shorter order beside the best that is known. */
    private void find(double turn, int threads, UnaryOperator<SatParameters.Builder> way) {
        if (standing.isOver()) {
            return;
        }
        Optional<Schedule> known = standing.best();
        ExactModel exact = new ExactModel(network, known.map(Schedule::ready).orElse(A_DAY), standing.least());
        known.ifPresent(exact::hint);
        CpSolver solver = effort.solver(turn);
        SatParameters.Builder parameters = solver.getParameters();
        way.apply(parameters.setNumWorkers(threads).setInterleaveSearch(!effort.isByClock()))
                .setLinearizationLevel(0)
                .setUseDynamicPrecedenceInDisjunctive(true)
                .setUseDynamicPrecedenceInCumulative(true);
        AtomicReference<@Nullable RuntimeException> unread = new AtomicReference<>();
        CpSolverStatus status = effort.solve(solver, exact.model(), standing::isOver, new CpSolverSolutionCallback() {
            @Override
            public void onSolutionCallback() {
                // whatever is thrown into the solver ends the whole program
                try {
                    standing.better(exact.schedule(v -> (int) value(v), this::booleanValue, standing.least()));
                } catch (RuntimeException e) {
                    unread.set(e);
                }
            }
        });
        if (unread.get() != null) {
            throw new IllegalStateException("What was found cannot be read as an order", unread.get());
        }
        if (status == CpSolverStatus.OPTIMAL) {
            standing.proven(standing.best().map(Schedule::ready).orElse(0), "nothing shorter is left to look at");
        } else if (status == CpSolverStatus.INFEASIBLE && known.isEmpty()) {
            standing.impossible();
        } else if (status == CpSolverStatus.INFEASIBLE) {
            standing.proven(known.get().ready(), "nothing shorter is left to look at");
        }
    }
}
