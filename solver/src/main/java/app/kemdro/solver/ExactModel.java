package app.kemdro.solver;

import app.kemdro.core.schedule.Grid;
import app.kemdro.core.schedule.Lag;
import app.kemdro.core.schedule.Pin;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.Task;
import app.kemdro.core.schedule.Task.Mode;
import app.kemdro.core.schedule.TaskNetwork;
import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.DecisionStrategyProto;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.IntervalVar;
import com.google.ortools.sat.LinearArgument;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.Literal;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import java.util.function.ToIntFunction;
import java.util.stream.IntStream;

/**
 * A network as a model of constraint programming, counted in steps of its grid: a start for each task and a choice of the way it is
 * done, lags, what hands, zones and the tool can do at once, and breaks for everybody.
 */
final class ExactModel {
    private final TaskNetwork network;
    private final Grid grid;
    private final List<Crew> crews;
    private final CpModel model = new CpModel();
    private final Map<String, Step> steps = new LinkedHashMap<>();
    private final List<Rested> rests;
    private final int horizon;
    private final IntVar ready;

    /**
     * A task as variables.
     *
     * @param ways ways it can be done in, one of which is chosen
     */
    record Step(Task task, IntVar start, List<Way> ways) {
        boolean handsOn() {
            return task.needs() != Task.Needs.NOBODY;
        }
    }

    /**
     * One way to do a task.
     *
     * @param is whether it is this one
     * @param mode number of the task's mode
     * @param crew number of the crew that does it, -1 where nobody does
     * @param helper number of the crew that helps, -1 where nobody does
     * @param length steps of the grid until hands and tool let go
     */
    record Way(Literal is, int mode, int crew, int helper, int length) {
        int takes(int of) {
            return (crew == of ? 1 : 0) + (helper == of ? 1 : 0);
        }
    }

    /** A break as variables; a break that is not needed is not there. */
    record Rested(Literal there, IntVar start, int length, IntervalVar span) {}

    /**
     * Builds the model of what is ready within so many seconds.
     *
     * @param within second by which all is over in the schedules that are looked for
     * @param least second before which nothing is ready, if the soonest is looked for; else below 0, and any is as good
     */
    ExactModel(TaskNetwork network, int within, int least) {
        this.network = network;
        this.grid = Grid.of(network);
        this.crews = Crew.of(network);
        this.horizon = grid.within(within);
        Reach reach = new Reach(network, grid, crews);
        network.tasks().forEach(t -> steps.put(t.id(), variables(t, reach)));
        this.ready = model.newIntVar(Math.max(0, grid.reaching(Math.max(0, least))), Math.max(0, horizon), "ready");
        steps.values().forEach(this::ready);
        network.lags().forEach(this::lag);
        network.pins().forEach(this::pin);
        this.rests = new RestConstraints(this).add();
        new HandConstraints(this).add();
        new ZoneConstraints(this).add();
        new PostureConstraints(this).add();
        new ToolConstraints(this).add();
        if (least >= 0) {
            model.minimize(ready);
        }
        model.addDecisionStrategy(
                steps.values().stream().map(Step::start).toArray(IntVar[]::new),
                DecisionStrategyProto.VariableSelectionStrategy.CHOOSE_LOWEST_MIN,
                DecisionStrategyProto.DomainReductionStrategy.SELECT_MIN_VALUE);
    }

    private Step variables(Task task, Reach reach) {
        List<Way> ways = new ArrayList<>();
        for (int m = 0; m < task.modes().size(); m++) {
            Mode mode = task.modes().get(m);
            boolean noTool = m > 0 && mode.tool() > 0 && network.tools() == 0;
            if (!noTool) {
                ways.addAll(ways(task, m, mode));
            }
        }
        int head = reach.head(task.id());
        int last = horizon - reach.tail(task.id());
        // a task that has no way, or is over too late even if it begins as soon as it can: there is no such schedule
        IntVar start = model.newIntVar(head, Math.max(head, last), task.id());
        if (last < head || ways.isEmpty()) {
            model.addBoolOr(new Literal[0]);
        }
        return new Step(task, start, chosen(task, ways));
    }

    private List<Way> ways(Task task, int m, Mode mode) {
        List<Way> ways = new ArrayList<>();
        if (task.needs() == Task.Needs.NOBODY) {
            ways.add(new Way(model.trueLiteral(), m, -1, -1, grid.steps(task.work() + mode.tool())));
            return ways;
        }
        for (int c = 0; c < crews.size(); c++) {
            Crew crew = crews.get(c);
            if (!crew.can(task)) {
                continue;
            }
            int length = grid.steps(crew.any().seconds(task, mode) + mode.tool());
            if (!mode.helped()) {
                ways.add(new Way(model.trueLiteral(), m, c, -1, length));
                continue;
            }
            for (int h = 0; h < crews.size(); h++) {
                if (h != c || crew.size() > 1) {
                    ways.add(new Way(model.trueLiteral(), m, c, h, length));
                }
            }
        }
        return ways;
    }

    /** The same with a choice: none where there is one way, one variable where there are two. */
    private List<Way> chosen(Task task, List<Way> ways) {
        if (ways.size() < 2) {
            return ways;
        }
        List<Literal> is = new ArrayList<>();
        if (ways.size() == 2) {
            BoolVar first = model.newBoolVar("w " + task.id());
            is.add(first);
            is.add(first.not());
        } else {
            IntStream.range(0, ways.size()).forEach(k -> is.add(model.newBoolVar("w" + k + " " + task.id())));
            model.addExactlyOne(is);
        }
        return IntStream.range(0, ways.size())
                .mapToObj(k -> {
                    Way w = ways.get(k);
                    return new Way(is.get(k), w.mode(), w.crew(), w.helper(), w.length());
                })
                .toList();
    }

    /** Everything is ready when it has ended and, where nothing is worked into it, settled. */
    private void ready(Step step) {
        boolean into = workedInto(step.task());
        boolean followed = network.lags().stream()
                .anyMatch(l -> l.from().equals(step.task().id()) && (into || l.kind() == Lag.Kind.SETTLED));
        if (!followed) {
            after(step, w -> w.length() + (into ? 0 : settled(step, w)), ready);
        }
    }

    /** That a moment of a step, so many steps of the grid after its start, comes no later than this. */
    private void after(Step step, ToIntFunction<Way> moment, LinearArgument later) {
        int least = step.ways().stream().mapToInt(moment).min().orElse(0);
        model.addGreaterOrEqual(later, plus(step.start(), least));
        step.ways().stream()
                .filter(w -> moment.applyAsInt(w) > least)
                .forEach(w -> model.addGreaterOrEqual(later, plus(step.start(), moment.applyAsInt(w)))
                        .onlyEnforceIf(w.is()));
    }

    private void lag(Lag lag) {
        Step from = step(lag.from());
        Step to = step(lag.to());
        after(from, w -> w.length() + grid.steps(lag.opensAfter(mode(from, w))), to.start());
        for (Way way : from.ways()) {
            int most = lag.shutsAfter(mode(from, way));
            if (most < Mode.NEVER) {
                var kept = model.addLessOrEqual(to.start(), plus(from.start(), way.length() + grid.within(most)));
                if (from.ways().size() > 1) {
                    kept.onlyEnforceIf(way.is());
                }
            }
        }
    }

    private void pin(Pin pin) {
        Step step = step(pin.task());
        model.addGreaterOrEqual(step.start(), grid.reaching(pin.from()));
        if (pin.until() < Mode.NEVER) {
            model.addLessOrEqual(step.start(), grid.within(pin.until()));
        }
        if (pin.worker() != null) {
            step.ways().stream()
                    .filter(w ->
                            w.crew() >= 0 && !crews.get(w.crew()).any().id().equals(pin.worker()))
                    .forEach(w -> model.addBoolAnd(new Literal[] {w.is().not()}));
        }
    }

    /**
     * A step's own stretches of time, from its start to a moment: one that is always there for as long as every way takes as much, and
     * one more for what a way takes longer; where ways take more or less at once, one for each way in which it is there.
     */
    List<Stretch> stretches(Step step, ToIntFunction<Way> length, ToIntFunction<Way> takes) {
        List<Stretch> all = new ArrayList<>();
        boolean same = step.ways().stream().mapToInt(takes).distinct().count() == 1;
        int always = same ? step.ways().stream().mapToInt(length).min().orElse(0) : 0;
        if (always > 0 && takes.applyAsInt(step.ways().get(0)) > 0) {
            all.add(new Stretch(
                    model.newFixedSizeIntervalVar(
                            step.start(), always, "i " + step.task().id()),
                    takes.applyAsInt(step.ways().get(0))));
        }
        for (Way way : step.ways()) {
            if (takes.applyAsInt(way) > 0 && (!same || length.applyAsInt(way) > always)) {
                all.add(new Stretch(
                        model.newOptionalFixedSizeIntervalVar(
                                plus(step.start(), always),
                                length.applyAsInt(way) - always,
                                way.is(),
                                "i " + step.task().id()),
                        takes.applyAsInt(way)));
            }
        }
        return all;
    }

    /** A stretch of time and how much of something it takes. */
    record Stretch(IntervalVar span, int takes) {}

    static LinearExpr plus(IntVar start, long steps) {
        return LinearExpr.affine(start, 1, steps);
    }

    Mode mode(Step step, Way way) {
        return step.task().modes().get(way.mode());
    }

    int settled(Step step, Way way) {
        return grid.steps(mode(step, way).settled());
    }

    boolean workedInto(Task task) {
        return network.lags().stream().anyMatch(l -> l.from().equals(task.id()) && l.into());
    }

    /** Begins the search from a schedule that is known. */
    void hint(Schedule known) {
        new ExactHint(this).from(known);
    }

    /** Reads the schedule that was found. */
    Schedule schedule(ToIntFunction<IntVar> value, Predicate<Literal> is, int leastReady) {
        return new ExactReading(this, value, is).schedule(leastReady);
    }

    CpModel model() {
        return model;
    }

    TaskNetwork network() {
        return network;
    }

    Grid grid() {
        return grid;
    }

    List<Crew> crews() {
        return crews;
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

    List<Rested> rests() {
        return rests;
    }

    IntVar ready() {
        return ready;
    }
}
