package app.kemdro.solver;

import app.kemdro.core.schedule.Lag;
import app.kemdro.core.schedule.Pin;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.core.schedule.Task;
import app.kemdro.core.schedule.Task.Mode;
import app.kemdro.core.schedule.TaskNetwork;
import app.kemdro.core.schedule.Worker;
import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CumulativeConstraint;
import com.google.ortools.sat.DecisionStrategyProto;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.IntervalVar;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import com.google.ortools.sat.Literal;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.ToLongFunction;

/**
 * A network as a model of constraint programming: a start and an end for each task, a choice of hands and of a way to settle,
 * lags, what hands, zones and the tool can do at once, and breaks for everybody.
 */
final class ExactModel {
    private final TaskNetwork network;
    private final CpModel model = new CpModel();
    private final Map<String, Step> steps = new HashMap<>();
    private final List<Break> breaks = new ArrayList<>();
    private final IntVar ready;
    private final int horizon;

    /** A task as variables. */
    record Step(
            Task task,
            IntVar start,
            IntVar end,
            IntVar length,
            IntervalVar work,
            BoolVar[] hands,
            BoolVar[] helpers,
            BoolVar[] modes) {}

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
        network.lags().forEach(this::lag);
        network.pins().forEach(this::pin);
        rests();
        hands();
        new ZoneConstraints(this).add();
        postures();
        tool();
        for (Step step : steps.values()) {
            model.addGreaterOrEqual(ready, workedInto(step.task()) ? step.end() : moment(step, Mode::settled));
        }
        model.minimize(ready);
        model.addDecisionStrategy(
                network.tasks().stream().map(t -> steps.get(t.id()).start()).toArray(IntVar[]::new),
                DecisionStrategyProto.VariableSelectionStrategy.CHOOSE_LOWEST_MIN,
                DecisionStrategyProto.DomainReductionStrategy.SELECT_MIN_VALUE);
    }

    CpModel model() {
        return model;
    }

    private Step variables(Task task) {
        IntVar start = model.newIntVar(0, horizon, "s " + task.id());
        IntVar end = model.newIntVar(0, horizon, "e " + task.id());
        IntVar length = model.newIntVar(0, horizon, "d " + task.id());
        List<Worker> workers = network.workers();
        BoolVar[] hands = new BoolVar[workers.size()];
        List<Literal> able = new ArrayList<>();
        BoolVar[] modes = modes(task);
        LinearExprBuilder duration = LinearExpr.newBuilder();
        if (task.needs() == Task.Needs.NOBODY) {
            duration.add(task.work());
        } else {
            for (int w = 0; w < hands.length; w++) {
                Worker worker = workers.get(w);
                hands[w] = model.newBoolVar(worker.id() + " " + task.id());
                if (task.needs() == Task.Needs.LEAD && !worker.lead()) {
                    model.addEquality(hands[w], 0);
                } else {
                    able.add(hands[w]);
                    duration.addTerm(hands[w], Math.round(task.work() * worker.pace()));
                    model.addGreaterOrEqual(start, Math.max(0, worker.from())).onlyEnforceIf(hands[w]);
                    model.addLessOrEqual(end, worker.until()).onlyEnforceIf(hands[w]);
                }
            }
            model.addExactlyOne(able.toArray(Literal[]::new));
        }
        for (int m = 0; m < modes.length; m++) {
            duration.addTerm(modes[m], task.modes().get(m).tool());
        }
        IntervalVar work = model.newIntervalVar(start, length, end, "w " + task.id());
        Step step = new Step(task, start, end, length, work, hands, new BoolVar[hands.length], modes);
        if (task.needs() == Task.Needs.NOBODY || task.modes().stream().noneMatch(Mode::helped)) {
            model.addEquality(length, duration);
        } else {
            help(step);
        }
        return step;
    }

    /** The ways of a task; those that cannot be are never chosen. */
    private BoolVar[] modes(Task task) {
        BoolVar[] modes = new BoolVar[task.modes().size()];
        for (int m = 0; m < modes.length; m++) {
            modes[m] = model.newBoolVar("m" + m + " " + task.id());
            Mode mode = task.modes().get(m);
            boolean noTool = m > 0 && mode.tool() > 0 && network.tools() == 0;
            boolean noHelp = mode.helped() && network.workers().size() < 2;
            if (noTool || noHelp) {
                model.addEquality(modes[m], 0);
            }
        }
        model.addExactlyOne(modes);
        return modes;
    }

    /** Who helps in the ways that take two pairs of hands, and how long each way takes each pair. */
    private void help(Step step) {
        Task task = step.task();
        LinearExprBuilder helped = LinearExpr.newBuilder();
        for (int m = 0; m < step.modes().length; m++) {
            if (task.modes().get(m).helped()) {
                helped.add(step.modes()[m]);
            }
            for (int w = 0; w < step.hands().length; w++) {
                Mode mode = task.modes().get(m);
                model.addEquality(step.length(), network.workers().get(w).seconds(task, mode) + (long) mode.tool())
                        .onlyEnforceIf(new Literal[] {step.modes()[m], step.hands()[w]});
            }
        }
        for (int w = 0; w < step.hands().length; w++) {
            Worker worker = network.workers().get(w);
            BoolVar helps = model.newBoolVar(worker.id() + " helps " + task.id());
            step.helpers()[w] = helps;
            model.addImplication(helps, step.hands()[w].not());
            model.addGreaterOrEqual(step.start(), Math.max(0, worker.from())).onlyEnforceIf(helps);
            model.addLessOrEqual(step.end(), worker.until()).onlyEnforceIf(helps);
        }
        model.addEquality(LinearExpr.sum(step.helpers()), helped);
    }

    /** Whoever is worked on cannot sit in two ways at once. */
    private void postures() {
        List<Step> all = steps.values().stream()
                .filter(s -> !s.task().posture().isEmpty())
                .toList();
        for (int i = 0; i < all.size(); i++) {
            for (Step other : all.subList(i + 1, all.size())) {
                if (all.get(i).task().otherPosture(other.task())) {
                    model.addNoOverlap(List.of(all.get(i).work(), other.work()));
                }
            }
        }
    }

    /** The end of a task and so many seconds, as its mode says. */
    static LinearExprBuilder moment(Step step, ToLongFunction<Mode> seconds) {
        LinearExprBuilder sum = LinearExpr.newBuilder().add(step.end());
        for (int m = 0; m < step.modes().length; m++) {
            sum.addTerm(step.modes()[m], seconds.applyAsLong(step.task().modes().get(m)));
        }
        return sum;
    }

    private void lag(Lag lag) {
        Step from = steps.get(lag.from());
        Step to = steps.get(lag.to());
        switch (lag.kind()) {
            case END, FRESH, AFTER -> model.addGreaterOrEqual(to.start(), from.end());
            case USABLE -> model.addGreaterOrEqual(to.start(), moment(from, Mode::usable));
            case SETTLED -> model.addGreaterOrEqual(to.start(), moment(from, Mode::settled));
        }
        for (int m = 0; m < from.modes().length; m++) {
            Mode mode = from.task().modes().get(m);
            int most = most(lag, mode);
            if (most < Mode.NEVER) {
                model.addLessOrEqual(
                                to.start(),
                                LinearExpr.newBuilder().add(from.end()).add(most))
                        .onlyEnforceIf(from.modes()[m]);
            }
        }
    }

    private void pin(Pin pin) {
        Step step = steps.get(pin.task());
        model.addGreaterOrEqual(step.start(), pin.from());
        if (pin.until() < Mode.NEVER) {
            model.addLessOrEqual(step.start(), pin.until());
        }
        for (int w = 0; w < step.hands().length && pin.worker() != null; w++) {
            if (network.workers().get(w).id().equals(pin.worker())) {
                model.addEquality(step.hands()[w], 1);
            }
        }
    }

    private static int most(Lag lag, Mode mode) {
        int opens = switch (lag.kind()) {
            case END, FRESH, AFTER -> 0;
            case USABLE -> mode.usable();
            case SETTLED -> mode.settled();
        };
        int limit = switch (lag.kind()) {
            case END, SETTLED, AFTER -> Mode.NEVER;
            case USABLE -> mode.closes();
            case FRESH -> Math.min(mode.usable(), mode.closes());
        };
        return lag.within() == null ? limit : Math.min(limit, opens + lag.within());
    }

    /** Breaks in turn, never further apart than the rule allows, none of them inside hands-on work. */
    private void rests() {
        int every = network.breaks().every();
        IntVar lastWork = model.newIntVar(0, horizon, "last work");
        model.addMaxEquality(lastWork, steps.values().stream().map(Step::end).toArray(IntVar[]::new));
        int most = Math.min(60, horizon / Math.max(1, every) + 2);
        IntVar last = model.newConstant(0);
        for (int k = 0; k < most; k++) {
            int length = network.breaks().length(k);
            BoolVar there = model.newBoolVar("rest " + k);
            IntVar start = model.newIntVar(0, horizon + 2L * length, "rs " + k);
            IntVar end = model.newIntVar(0, horizon + 2L * length, "re " + k);
            IntervalVar span = model.newOptionalIntervalVar(start, model.newConstant(length), end, there, "r " + k);
            // one break is not followed by another at once
            model.addGreaterOrEqual(start, LinearExpr.newBuilder().add(last).add(k == 0 ? 0 : 1))
                    .onlyEnforceIf(there);
            model.addLessOrEqual(start, LinearExpr.newBuilder().add(last).add(every))
                    .onlyEnforceIf(there);
            IntVar next = model.newIntVar(0, horizon + 2L * length, "rested " + k);
            model.addEquality(next, end).onlyEnforceIf(there);
            model.addEquality(next, last).onlyEnforceIf(there.not());
            if (k > 0) {
                model.addImplication(there, breaks.get(k - 1).there());
            }
            breaks.add(new Break(there, start, end, span));
            last = next;
        }
        model.addLessOrEqual(lastWork, LinearExpr.newBuilder().add(last).add(every));
    }

    private void hands() {
        for (int w = 0; w < network.workers().size(); w++) {
            List<IntervalVar> line =
                    new ArrayList<>(breaks.stream().map(Break::span).toList());
            for (Step step : steps.values()) {
                if (step.hands().length > w && step.task().needs() != Task.Needs.NOBODY) {
                    line.add(model.newOptionalIntervalVar(
                            step.start(),
                            step.length(),
                            step.end(),
                            step.hands()[w],
                            "h" + w + step.task().id()));
                    if (step.helpers()[w] != null) {
                        line.add(model.newOptionalIntervalVar(
                                step.start(),
                                step.length(),
                                step.end(),
                                step.helpers()[w],
                                "l" + w + step.task().id()));
                    }
                }
            }
            model.addNoOverlap(line);
        }
        for (Step step : steps.values()) {
            if (step.task().needs() == Task.Needs.NOBODY) {
                List<IntervalVar> line =
                        new ArrayList<>(breaks.stream().map(Break::span).toList());
                line.add(step.work());
                model.addNoOverlap(line);
            }
        }
    }

    private void tool() {
        if (network.tools() == 0) {
            return;
        }
        CumulativeConstraint shared = model.addCumulative(network.tools());
        for (Step step : steps.values()) {
            for (int m = 0; m < step.modes().length; m++) {
                int tool = step.task().modes().get(m).tool();
                if (tool > 0) {
                    IntVar from = model.newIntVar(0, horizon, "t " + step.task().id());
                    shared.addDemand(
                            model.newOptionalIntervalVar(
                                    from,
                                    model.newConstant(tool),
                                    step.end(),
                                    step.modes()[m],
                                    "t" + step.task().id()),
                            1);
                }
            }
        }
    }

    boolean workedInto(Task task) {
        return network.lags().stream().anyMatch(l -> l.from().equals(task.id()) && l.into());
    }

    /** Begins the search from a schedule that is known. */
    void hint(Schedule known) {
        for (ScheduledTask p : known.placed()) {
            Step step = steps.get(p.task());
            model.addHint(step.start(), p.start());
            model.addHint(step.end(), p.end());
            model.addHint(step.length(), p.end() - p.start());
            for (int m = 0; m < step.modes().length; m++) {
                model.addHint(step.modes()[m], m == p.mode() ? 1 : 0);
            }
            for (int w = 0; w < step.hands().length; w++) {
                if (step.task().needs() != Task.Needs.NOBODY) {
                    String id = network.workers().get(w).id();
                    model.addHint(step.hands()[w], id.equals(p.worker()) ? 1 : 0);
                    if (step.helpers()[w] != null) {
                        model.addHint(step.helpers()[w], id.equals(p.helper()) ? 1 : 0);
                    }
                }
            }
        }
        for (int k = 0; k < breaks.size(); k++) {
            boolean there = k < known.rests().size();
            model.addHint(breaks.get(k).there(), there ? 1 : 0);
            if (there) {
                model.addHint(breaks.get(k).start(), known.rests().get(k).start());
                model.addHint(breaks.get(k).end(), known.rests().get(k).end());
            }
        }
        model.addHint(ready, known.ready());
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
