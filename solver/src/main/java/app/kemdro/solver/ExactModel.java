package app.kemdro.solver;

import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.Task;
import app.kemdro.core.schedule.Task.Mode;
import app.kemdro.core.schedule.TaskNetwork;
import app.kemdro.core.schedule.Worker;
import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.DecisionStrategyProto;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.IntervalVar;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.ToLongFunction;
import java.util.stream.IntStream;

/**
 * A network as a model of constraint programming: a start and an end for each task, a choice of hands and of a way to settle,
 * lags, what hands, zones and the tool can do at once, and breaks for everybody.
 */
final class ExactModel {
    private final TaskNetwork network;
    private final CpModel model = new CpModel();
    private final Map<String, Step> steps = new HashMap<>();
    private final List<Break> breaks;
    private final IntVar ready;
    private final int horizon;

    /**
     * A task as variables.
     *
     * @param hands one for each of the network's workers, in their order; none where nobody has hands on it
     * @param helpers likewise, for the ways that take two pairs of hands; none where it has no such way
     * @param modes one for each way of the task, in their order
     */
    record Step(
            Task task,
            IntVar start,
            IntVar end,
            IntVar length,
            IntervalVar work,
            List<BoolVar> hands,
            List<BoolVar> helpers,
            List<BoolVar> modes) {}

    /** A break as variables; a break that is not needed is not there. */
    record Break(BoolVar there, IntVar start, IntVar end, IntervalVar span) {}

    /**
     * Builds the model.
     *
     * @param horizon second by which all is over in the schedules that are looked for
     */
    ExactModel(TaskNetwork network, int horizon) {
        this.network = network;
        this.horizon = horizon;
        this.ready = model.newIntVar(0, horizon, "ready");
        network.tasks().forEach(t -> steps.put(t.id(), variables(t)));
        new WayConstraints(this).add();
        new LagConstraints(this).add();
        this.breaks = new RestConstraints(this).breaks();
        new HandConstraints(this).add();
        new ZoneConstraints(this).add();
        new PostureConstraints(this).add();
        new ToolConstraints(this).add();
        for (Step step : steps.values()) {
            model.addGreaterOrEqual(ready, workedInto(step.task()) ? step.end() : moment(step, Mode::settled));
        }
        model.minimize(ready);
        model.addDecisionStrategy(
                network.tasks().stream().map(t -> steps.get(t.id()).start()).toArray(IntVar[]::new),
                DecisionStrategyProto.VariableSelectionStrategy.CHOOSE_LOWEST_MIN,
                DecisionStrategyProto.DomainReductionStrategy.SELECT_MIN_VALUE);
    }

    /** A start and an end, who could have hands on it, who could help, and the ways it could be done. */
    private Step variables(Task task) {
        IntVar start = model.newIntVar(0, horizon, "s " + task.id());
        IntVar end = model.newIntVar(0, horizon, "e " + task.id());
        IntVar length = model.newIntVar(0, horizon, "d " + task.id());
        boolean handsOn = task.needs() != Task.Needs.NOBODY;
        List<String> crew = handsOn ? network.workers().stream().map(Worker::id).toList() : List.of();
        boolean helped = task.modes().stream().anyMatch(Mode::helped);
        return new Step(
                task,
                start,
                end,
                length,
                model.newIntervalVar(start, length, end, "w " + task.id()),
                crew.stream().map(w -> model.newBoolVar(w + " " + task.id())).toList(),
                helped
                        ? crew.stream()
                                .map(w -> model.newBoolVar(w + " helps " + task.id()))
                                .toList()
                        : List.of(),
                IntStream.range(0, task.modes().size())
                        .mapToObj(m -> model.newBoolVar("m" + m + " " + task.id()))
                        .toList());
    }

    CpModel model() {
        return model;
    }

    /** The end of a task and so many seconds, as its mode says. */
    static LinearExprBuilder moment(Step step, ToLongFunction<Mode> seconds) {
        LinearExprBuilder sum = LinearExpr.newBuilder().add(step.end());
        for (int m = 0; m < step.modes().size(); m++) {
            sum.addTerm(
                    step.modes().get(m), seconds.applyAsLong(step.task().modes().get(m)));
        }
        return sum;
    }

    boolean workedInto(Task task) {
        return network.lags().stream().anyMatch(l -> l.from().equals(task.id()) && l.into());
    }

    /** Begins the search from a schedule that is known. */
    void hint(Schedule known) {
        new ExactHint(this).from(known);
    }

    /** Reads the schedule that was found. */
    Schedule schedule(CpSolver solver, int leastReady) {
        return new ExactReading(this, solver).schedule(leastReady);
    }

    TaskNetwork network() {
        return network;
    }

    Collection<Step> steps() {
        return steps.values();
    }

    IntVar ready() {
        return ready;
    }

    int horizon() {
        return horizon;
    }

    Step step(String task) {
        return steps.get(task);
    }

    List<Break> breaks() {
        return breaks;
    }
}
