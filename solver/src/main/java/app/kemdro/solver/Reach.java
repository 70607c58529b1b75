package app.kemdro.solver;

import app.kemdro.core.schedule.Grid;
import app.kemdro.core.schedule.Lag;
import app.kemdro.core.schedule.Task;
import app.kemdro.core.schedule.Task.Mode;
import app.kemdro.core.schedule.TaskNetwork;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.ToIntFunction;

/** How long what comes before a task and what comes after it take at the very least, in steps of the grid. */
final class Reach {
    private final TaskNetwork network;
    private final Grid grid;
    private final List<Crew> crews;
    private final Map<String, Integer> heads = new HashMap<>();
    private final Map<String, Integer> tails = new HashMap<>();

    Reach(TaskNetwork network, Grid grid, List<Crew> crews) {
        this.network = network;
        this.grid = grid;
        this.crews = crews;
        Map<String, Task> byId = new HashMap<>();
        network.tasks().forEach(t -> byId.put(t.id(), t));
        // a ring of lags would go round for ever; no longer way leads through more lags than there are tasks
        for (Task task : network.tasks()) {
            heads.put(task.id(), 0);
            tails.put(task.id(), shortest(task, m -> 0));
        }
        boolean changed = true;
        for (int round = 0; changed && round <= network.tasks().size(); round++) {
            changed = false;
            for (Lag lag : network.lags()) {
                Task from = byId.get(lag.from());
                int step = shortest(from, lag::opensAfter);
                int head = heads.get(lag.from()) + step;
                int tail = tails.get(lag.to()) + step;
                changed |= head > heads.get(lag.to()) || tail > tails.get(lag.from());
                heads.merge(lag.to(), head, Math::max);
                tails.merge(lag.from(), tail, Math::max);
            }
        }
    }

    /** Steps from the beginning to the start of a task. */
    int head(String task) {
        return heads.get(task);
    }

    /** Steps from the start of a task until all is ready. */
    int tail(String task) {
        return tails.get(task);
    }

    private int shortest(Task task, ToIntFunction<Mode> after) {
        int best = Integer.MAX_VALUE;
        for (Mode mode : task.modes()) {
            int work = crews.stream()
                    .filter(c -> task.needs() != Task.Needs.NOBODY && c.can(task))
                    .mapToInt(c -> c.any().seconds(task, mode))
                    .min()
                    .orElse(task.work());
            best = Math.min(best, work + mode.tool() + after.applyAsInt(mode));
        }
        return grid.within(best);
    }
}
