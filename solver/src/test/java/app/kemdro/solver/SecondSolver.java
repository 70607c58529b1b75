package app.kemdro.solver;

import app.kemdro.core.schedule.Lag;
import app.kemdro.core.schedule.Pin;
import app.kemdro.core.schedule.Task;
import app.kemdro.core.schedule.Task.Mode;
import app.kemdro.core.schedule.TaskNetwork;
import app.kemdro.core.schedule.Worker;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import org.chocosolver.solver.Model;
import org.chocosolver.solver.constraints.Constraint;
import org.chocosolver.solver.expression.discrete.arithmetic.ArExpression;
import org.chocosolver.solver.search.strategy.Search;
import org.chocosolver.solver.variables.BoolVar;
import org.chocosolver.solver.variables.IntVar;

/**
 * A second opinion from another solver, written pair by pair and sharing nothing with the first: any two tasks that want the
 * same hands, place or tool come one after the other.
 */
final class SecondSolver {
    private final TaskNetwork network;
    private final Model model = new Model();
    private final int n;
    private final int horizon;
    private final IntVar[] start;
    private final IntVar[] end;
    private final IntVar[] mode;
    private final IntVar[] hands;
    private final IntVar[] helper;
    private final IntVar[] settled;
    private final List<IntVar> all = new ArrayList<>();

    private SecondSolver(TaskNetwork network, int horizon) {
        this.network = network;
        this.horizon = horizon;
        this.n = network.tasks().size();
        start = new IntVar[n];
        end = new IntVar[n];
        mode = new IntVar[n];
        hands = new IntVar[n];
        helper = new IntVar[n];
        settled = new IntVar[n];
    }

    /**
     * The shortest time in which all is ready; empty where it was not found and proven before so many dead ends, which are counted
     * and not timed, so that the answer does not depend on the machine.
     */
    static OptionalInt shortest(TaskNetwork network, int horizon, long deadEnds) {
        return new SecondSolver(network, horizon).solve(deadEnds);
    }

    private OptionalInt solve(long deadEnds) {
        for (int i = 0; i < n; i++) {
            task(i);
        }
        network.lags().forEach(this::lag);
        network.pins().forEach(this::pin);
        IntVar last = model.intVar("last", 0, horizon, true);
        model.max(last, end).post();
        IntVar[][] rests = rests(last);
        for (int i = 0; i < n; i++) {
            for (IntVar[] rest : rests) {
                apart(rest[2].eq(0).boolVar(), end[i], start[i], rest[1], rest[0]);
            }
            for (int j = i + 1; j < n; j++) {
                pair(i, j);
            }
        }
        IntVar ready = model.intVar("ready", 0, horizon, true);
        IntVar[] over = new IntVar[n];
        for (int i = 0; i < n; i++) {
            over[i] = workedInto(i) ? end[i] : settled[i];
        }
        model.max(ready, over).post();
        model.setObjective(Model.MINIMIZE, ready);
        List<IntVar> choices = new ArrayList<>(List.of(mode));
        choices.addAll(List.of(hands));
        choices.addAll(List.of(helper));
        choices.addAll(all);
        model.getSolver()
                .setSearch(
                        Search.lastConflict(Search.domOverWDegSearch(choices.toArray(IntVar[]::new))),
                        Search.inputOrderLBSearch(start),
                        Search.inputOrderLBSearch(model.retrieveIntVars(true)));
        model.getSolver().limitFail(deadEnds);
        int best = -1;
        while (model.getSolver().solve()) {
            best = ready.getValue();
        }
        return model.getSolver().isStopCriterionMet() || best < 0 ? OptionalInt.empty() : OptionalInt.of(best);
    }

    private void task(int i) {
        Task task = network.tasks().get(i);
        start[i] = model.intVar("s" + i, 0, horizon, true);
        end[i] = model.intVar("e" + i, 0, horizon, true);
        settled[i] = model.intVar("f" + i, 0, 2 * horizon, true);
        int[] ways = IntStream.range(0, task.modes().size())
                .filter(m ->
                        m == 0 || network.tools() > 0 || task.modes().get(m).tool() == 0)
                .filter(m ->
                        task.modes().get(m).together() == 0 || network.workers().size() > 1)
                .toArray();
        mode[i] = model.intVar("m" + i, ways);
        List<Integer> able = new ArrayList<>();
        int nobody = network.workers().size();
        int[] work = new int[(nobody + 1) * task.modes().size()];
        for (int w = 0; w < nobody; w++) {
            Worker worker = network.workers().get(w);
            for (int m = 0; m < task.modes().size(); m++) {
                double share = task.modes().get(m).together();
                work[m * (nobody + 1) + w] = (int) Math.round(task.work() * (share == 0 ? 1 : share) * worker.pace());
            }
            if (task.needs() != Task.Needs.NOBODY && (task.needs() != Task.Needs.LEAD || worker.lead())) {
                able.add(w);
            }
        }
        for (int m = 0; m < task.modes().size(); m++) {
            work[m * (nobody + 1) + nobody] = task.work();
        }
        if (task.needs() == Task.Needs.NOBODY) {
            able.add(nobody);
        }
        hands[i] = model.intVar("h" + i, able.stream().mapToInt(k -> k).toArray());
        IntVar worked = model.intVar("w" + i, 0, horizon, true);
        IntVar which = mode[i].mul(nobody + 1).add(hands[i]).intVar();
        model.element(worked, work, which).post();
        helper[i] = model.intVar("l" + i, 0, nobody);
        int[] helped =
                task.modes().stream().mapToInt(m -> m.together() > 0 ? 1 : 0).toArray();
        IntVar help = model.intVar("help" + i, 0, 1);
        model.element(help, helped, mode[i]).post();
        helper[i].ne(nobody).boolVar().eq(help).post();
        if (task.needs() != Task.Needs.NOBODY) {
            helper[i].ne(hands[i]).or(help.eq(0)).post();
        }
        end[i].eq(start[i].add(worked).add(of(i, Mode::tool))).post();
        settled[i].eq(end[i].add(of(i, Mode::settled))).post();
    }

    private IntVar of(int i, java.util.function.ToIntFunction<Mode> what) {
        int[] values = network.tasks().get(i).modes().stream().mapToInt(what).toArray();
        IntVar value = model.intVar(model.generateName("v"), 0, Mode.NEVER, true);
        model.element(value, values, mode[i]).post();
        return value;
    }

    private int number(String id) {
        for (int i = 0; i < n; i++) {
            if (network.tasks().get(i).id().equals(id)) {
                return i;
            }
        }
        throw new IllegalArgumentException(id);
    }

    private void pin(Pin pin) {
        int i = number(pin.task());
        start[i].ge(pin.from()).post();
        start[i].le(Math.min(pin.until(), horizon)).post();
        for (int w = 0; w < network.workers().size(); w++) {
            if (network.workers().get(w).id().equals(pin.worker())) {
                hands[i].eq(w).post();
            }
        }
    }

    private void lag(Lag lag) {
        int a = number(lag.from());
        int b = number(lag.to());
        ArExpression opens = switch (lag.kind()) {
            case END, FRESH, AFTER -> end[a];
            case USABLE -> end[a].add(of(a, Mode::usable));
            case SETTLED -> settled[a];
        };
        start[b].ge(opens).post();
        if (lag.within() != null) {
            start[b].le(opens.add(lag.within())).post();
        }
        if (lag.kind() == Lag.Kind.USABLE) {
            start[b].le(end[a].add(of(a, Mode::closes))).post();
        }
        if (lag.kind() == Lag.Kind.FRESH) {
            start[b].le(end[a].add(of(a, Mode::usable))).post();
            start[b].le(end[a].add(of(a, Mode::closes))).post();
        }
    }

    private boolean workedInto(int i) {
        return network.lags().stream()
                .anyMatch(
                        l -> l.into() && l.from().equals(network.tasks().get(i).id()));
    }

    private void pair(int i, int j) {
        Task a = network.tasks().get(i);
        Task b = network.tasks().get(j);
        if (a.needs() != Task.Needs.NOBODY && b.needs() != Task.Needs.NOBODY) {
            BoolVar others = hands[i].ne(hands[j])
                    .and(hands[i].ne(helper[j]))
                    .and(helper[i].ne(hands[j]))
                    .and(helper[i]
                            .ne(helper[j])
                            .or(helper[i].eq(network.workers().size())))
                    .boolVar();
            apart(others, end[i], start[i], end[j], start[j]);
        }
        boolean sitsOtherwise = a.posture().keySet().stream()
                .anyMatch(part -> b.posture().containsKey(part)
                        && !a.posture().get(part).equals(b.posture().get(part)));
        if (sitsOtherwise) {
            apart(model.boolVar(false), end[i], start[i], end[j], start[j]);
        }
        for (String zone : touched(a)) {
            if (touched(b).contains(zone)) {
                apart(model.boolVar(false), busy(i, zone), start[i], busy(j, zone), start[j]);
            }
        }
        BoolVar noTool = of(i, Mode::tool).eq(0).or(of(j, Mode::tool).eq(0)).boolVar();
        apart(
                noTool,
                end[i],
                end[i].sub(of(i, Mode::tool)).intVar(),
                end[j],
                end[j].sub(of(j, Mode::tool)).intVar());
    }

    private static List<String> touched(Task task) {
        List<String> all = new ArrayList<>(task.zones());
        task.holds().stream().filter(z -> !all.contains(z)).forEach(all::add);
        return all;
    }

    /** Until when a task keeps a zone. */
    private IntVar busy(int i, String zone) {
        Task task = network.tasks().get(i);
        if (!task.zones().contains(zone)) {
            return end[i];
        }
        List<Lag> into = network.lags().stream()
                .filter(l -> l.into() && l.from().equals(task.id()))
                .filter(l -> touched(network.tasks().get(number(l.to()))).contains(zone))
                .toList();
        if (into.isEmpty()) {
            return settled[i];
        }
        List<IntVar> moments = new ArrayList<>();
        into.forEach(l -> moments.add(start[number(l.to())]));
        if (into.stream().noneMatch(Lag::ties)) {
            moments.add(settled[i]);
        }
        IntVar until = model.intVar(model.generateName("u"), 0, 2 * horizon, true);
        model.min(until, moments.toArray(IntVar[]::new)).post();
        return until;
    }

    /** One comes after the other, unless the first argument says that they need not. */
    private void apart(BoolVar free, IntVar endA, IntVar startA, IntVar endB, IntVar startB) {
        BoolVar first = startB.ge(endA).boolVar();
        BoolVar second = startA.ge(endB).boolVar();
        model.addClausesBoolOrArrayEqualTrue(new BoolVar[] {free, first, second});
        all.add(first);
        all.add(second);
    }

    /** Breaks as start, end and whether they are taken; none later than the rule allows. */
    private IntVar[][] rests(IntVar last) {
        int every = network.breaks().every();
        int most = horizon / every + 1;
        IntVar[][] rests = new IntVar[most][];
        ArExpression before = model.intVar(0);
        for (int k = 0; k < most; k++) {
            IntVar from = model.intVar("rs" + k, 0, 2 * horizon, true);
            IntVar to = model.intVar("re" + k, 0, 3 * horizon, true);
            BoolVar taken = model.boolVar("rt" + k);
            to.eq(from.add(taken.mul(network.breaks().length(k)))).post();
            from.ge(before).post();
            from.le(before.add(every)).post();
            if (k > 0) {
                taken.le(rests[k - 1][2]).post();
            }
            Constraint idle = from.eq(before).decompose();
            model.ifThen(taken.eq(0).boolVar(), idle);
            rests[k] = new IntVar[] {from, to, taken};
            before = to;
            all.add(taken);
            all.add(from);
        }
        last.le(before.add(every)).post();
        return rests;
    }
}
