package app.kemdro.core.plan;

import app.kemdro.core.layer.Stack;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.method.Repair;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Composition.Entry;
import app.kemdro.core.plan.Expansion.Expanded;
import app.kemdro.core.schedule.Lag;
import app.kemdro.core.schedule.Task;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Puts work that came in while a plan was being carried out among the steps that are still to come. */
final class UnderWay {
    /** Stands between the name of a step and the number of times it was done before. */
    private static final String ONCE_MORE = "~";

    private final Trade trade;
    private final PuttingRight right;
    private final Map<String, Stack> stacks;
    private final Set<String> reactsTo;
    private final Expansion expansion;
    private final List<PlannedStep> steps;
    private final List<Task> tasks;
    private final List<Lag> lags;

    UnderWay(
            Trade trade,
            PuttingRight right,
            Map<String, Stack> stacks,
            Set<String> reactsTo,
            Expansion expansion,
            List<Expanded> expanded,
            List<Lag> lags) {
        this.trade = trade;
        this.right = right;
        this.stacks = stacks;
        this.reactsTo = reactsTo;
        this.expansion = expansion;
        this.steps = new ArrayList<>(expanded.stream().map(Expanded::step).toList());
        this.tasks = new ArrayList<>(expanded.stream().map(Expanded::task).toList());
        this.lags = new ArrayList<>(lags);
    }

    List<PlannedStep> steps() {
        return steps;
    }

    List<Task> tasks() {
        return tasks;
    }

    List<Lag> lags() {
        return lags;
    }

    void add(Extra extra) {
        if (tasks.stream().noneMatch(t -> t.id().equals(extra.step()))) {
            return;
        }
        if (extra.repair().isEmpty()) {
            onceMore(extra);
        } else {
            repair(extra, trade.repair(extra.repair()));
        }
    }

    /** The same step on the same zones; what was to follow the first follows this one in the same way. */
    private void onceMore(Extra extra) {
        PlannedStep was = step(extra.step());
        Task done = task(extra.step());
        int times = 1;
        while (has(extra.step() + ONCE_MORE + times)) {
            times++;
        }
        String id = extra.step() + ONCE_MORE + times;
        List<Lag> after = lags.stream()
                .filter(l -> l.from().equals(extra.step()) && !extra.past().contains(l.to()))
                .map(l -> new Lag(id, l.to(), l.kind(), l.within(), l.because()))
                .toList();
        steps.add(was.called(id));
        tasks.add(done.called(id));
        lags.add(new Lag(extra.step(), id, Lag.Kind.AFTER, null, "it is done once more"));
        lags.addAll(after);
    }

    private void repair(Extra extra, Repair repair) {
        PlannedStep reported = step(extra.step());
        Optional<PuttingRight.Chosen> way = right.way(
                repair,
                reported.entryId(),
                extra.zones().isEmpty() ? reported.zones() : extra.zones(),
                stacks,
                id -> extra.past().contains(id) || id.equals(extra.step()),
                reactsTo);
        if (way.isEmpty()) {
            return;
        }
        List<String> zones = way.get().zones();
        LookEntry asked = new LookEntry(extra.id(), way.get().how().id(), zones, 0);
        List<Expanded> work =
                expansion.expand(Entry.of(extra.id(), asked, way.get().how(), zones, false));
        Set<String> mended = new HashSet<>(zones);
        String first = work.get(0).step().id();
        lags.add(new Lag(extra.step(), first, Lag.Kind.AFTER, null, "what happened is put right first"));
        for (int k = 1; k < work.size(); k++) {
            Expanded before = work.get(k - 1);
            PlannedStep step = work.get(k).step();
            Lag.Kind kind = Precedence.kind(step.template().begins(), before);
            lags.add(new Lag(before.step().id(), step.id(), kind, null, "one after the other puts it right"));
        }
        String last = work.get(work.size() - 1).step().id();
        // what the mended work itself still waits for is not held up by it: a report may outlive what was taken back
        Set<String> leading = leadingTo(extra.step());
        for (Task task : tasks) {
            boolean there = task.zones().stream().anyMatch(mended::contains);
            if (there && !extra.past().contains(task.id()) && !leading.contains(task.id())) {
                lags.add(new Lag(last, task.id(), Lag.Kind.SETTLED, null, "it is put right before more is laid there"));
            }
        }
        work.forEach(e -> {
            steps.add(e.step());
            tasks.add(e.task());
        });
    }

    /** A step and all that comes before it. */
    private Set<String> leadingTo(String step) {
        Set<String> leading = new HashSet<>(Set.of(step));
        Deque<String> open = new ArrayDeque<>(leading);
        while (!open.isEmpty()) {
            String to = open.pop();
            for (Lag lag : lags) {
                if (lag.to().equals(to) && leading.add(lag.from())) {
                    open.push(lag.from());
                }
            }
        }
        return leading;
    }

    private boolean has(String id) {
        return tasks.stream().anyMatch(t -> t.id().equals(id));
    }

    private PlannedStep step(String id) {
        return steps.stream().filter(s -> s.id().equals(id)).findFirst().orElseThrow();
    }

    private Task task(String id) {
        return tasks.stream().filter(t -> t.id().equals(id)).findFirst().orElseThrow();
    }
}
