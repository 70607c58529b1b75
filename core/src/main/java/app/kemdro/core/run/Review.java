package app.kemdro.core.run;

import app.kemdro.core.plan.LookPlanner;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.run.StepState.Status;
import app.kemdro.core.schedule.Lag;
import app.kemdro.core.schedule.Outcome;
import app.kemdro.core.schedule.Progress;
import app.kemdro.core.schedule.Rest;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.core.schedule.Task;
import app.kemdro.core.schedule.TaskNetwork;
import app.kemdro.core.schedule.Worker;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeMap;

/** What a run that is over can teach: where minutes went, and what could have been done with what is known now. */
public final class Review {
    private Review() {}

    /** A step and how many seconds longer than planned it took; below 0 where it was quicker. */
    public record Over(PlannedStep step, int planned, int took) {
        public int seconds() {
            return took - planned;
        }
    }

    /** Steps of the first plan by how much longer they took, the longest over first. */
    public static List<Over> over(Plan first, RunState state) {
        List<Over> all = new ArrayList<>();
        for (ScheduledTask p : first.schedule().placed()) {
            StepState s = state.step(p.task());
            if (s.status() == Status.DONE && s.started() != null && s.ended() != null) {
                all.add(new Over(first.step(p.task()), p.end() - p.start(), (int)
                        Duration.between(s.started(), s.ended()).getSeconds()));
            }
        }
        all.sort(Comparator.comparingInt(Over::seconds).reversed());
        return List.copyOf(all);
    }

    /** Seconds in which hands had nothing in them between the first and the last thing they did, pauses left out. */
    public static Map<String, Integer> idle(Plan plan, RunState state) {
        Map<String, Integer> idle = new TreeMap<>();
        for (Worker worker : plan.network().workers()) {
            List<StepState> theirs = state.steps().values().stream()
                    .filter(s -> s.hands().equals(worker.id()) && s.started() != null && s.ended() != null)
                    .sorted(Comparator.comparing(StepState::started))
                    .toList();
            int seconds = 0;
            for (int k = 1; k < theirs.size(); k++) {
                var from = theirs.get(k - 1).ended();
                var to = theirs.get(k).started();
                if (from == null || to == null) {
                    continue;
                }
                long gap = Duration.between(from, to).getSeconds();
                long paused = state.pauses().stream()
                        .filter(p -> p.until() != null
                                && !p.from().isBefore(from)
                                && !p.until().isAfter(to))
                        .mapToLong(p -> Duration.between(p.from(), p.until()).getSeconds())
                        .sum();
                seconds += (int) Math.max(0, gap - paused);
            }
            idle.put(worker.id(), seconds);
        }
        return idle;
    }

    /** When all had ended, in seconds after chair-in. */
    public static int took(Plan plan, RunState state) {
        return state.steps().values().stream()
                .filter(s -> s.ended() != null)
                .mapToInt(s -> (int) Duration.between(plan.chairIn(), s.ended()).getSeconds())
                .max()
                .orElse(0);
    }

    /**
     * In how many seconds the planner would have been ready, had it known from the beginning how long everything would take
     * and what would come in; empty where it finds no order.
     */
    public static OptionalInt hindsight(Plan plan, RunState state, LookPlanner planner) {
        List<Task> tasks = new ArrayList<>();
        List<String> dropped = new ArrayList<>();
        for (Task task : plan.network().tasks()) {
            StepState s = state.step(task.id());
            if (s.status() != Status.DONE || s.started() == null || s.ended() == null) {
                dropped.add(task.id());
                tasks.add(task);
            } else {
                tasks.add(lasting(task, s, plan));
            }
        }
        Progress nothing = new Progress(0, List.of(), List.of(), dropped);
        Schedule was = asItWas(plan, state);
        Outcome outcome =
                planner.again(plan.with(with(plan, tasks, plan.network().lags())), nothing, was);
        if (!(outcome instanceof Outcome.Planned)) {
            outcome = planner.again(plan.with(forgiving(plan, tasks, was)), nothing, was);
        }
        return outcome instanceof Outcome.Planned p
                ? OptionalInt.of(p.schedule().ready())
                : OptionalInt.empty();
    }

    private static TaskNetwork with(Plan plan, List<Task> tasks, List<Lag> lags) {
        return new TaskNetwork(
                tasks,
                lags,
                plan.network().workers(),
                plan.network().tools(),
                plan.network().breaks());
    }

    /** Windows that were missed on the day and forgiven need not be kept by what is compared with it; their waits still are. */
    private static TaskNetwork forgiving(Plan plan, List<Task> tasks, Schedule was) {
        Set<String> open = new HashSet<>();
        List<Lag> lags = new ArrayList<>();
        for (Lag lag : plan.network().lags()) {
            Optional<ScheduledTask> from = was.find(lag.from());
            Optional<ScheduledTask> to = was.find(lag.to());
            boolean missed = from.isPresent()
                    && to.isPresent()
                    && to.get().start()
                            > lag.latest(
                                    from.get().end(),
                                    plan.network()
                                            .task(lag.from())
                                            .way(from.get().mode()));
            if (missed && lag.kind() == Lag.Kind.USABLE) {
                open.add(lag.from());
            }
            lags.add(
                    missed
                            ? new Lag(
                                    lag.from(),
                                    lag.to(),
                                    lag.kind() == Lag.Kind.FRESH ? Lag.Kind.END : lag.kind(),
                                    null,
                                    lag.because())
                            : lag);
        }
        return with(
                plan,
                tasks.stream()
                        .map(t -> open.contains(t.id()) ? t.neverClosing() : t)
                        .toList(),
                lags);
    }

    /** The order that was really followed. */
    private static Schedule asItWas(Plan plan, RunState state) {
        List<ScheduledTask> placed = new ArrayList<>();
        for (PlannedStep step : plan.steps()) {
            StepState s = state.step(step.id());
            if (s.status() == Status.DONE && s.started() != null && s.ended() != null) {
                int start = (int) Duration.between(plan.chairIn(), s.started()).getSeconds();
                int end = (int) Duration.between(plan.chairIn(), s.ended()).getSeconds();
                String hands = s.hands().isEmpty() ? null : s.hands();
                placed.add(new ScheduledTask(step.id(), hands, s.mode(), start, end, end, Task.Mode.NEVER, end, 0));
            }
        }
        List<Rest> rests = state.pauses().stream()
                .filter(p -> p.until() != null)
                .map(p -> new Rest(
                        (int) Duration.between(plan.chairIn(), p.from()).getSeconds(),
                        (int) Duration.between(plan.chairIn(), p.until()).getSeconds()))
                .toList();
        return new Schedule(placed, rests, took(plan, state), 0);
    }

    /** The task with the time it really took, as work for hands of pace 1. */
    private static Task lasting(Task task, StepState s, Plan plan) {
        Task.Mode way = task.way(s.mode());
        long took = s.started() == null || s.ended() == null
                ? Math.round(plan.network().seconds(task, way, s.hands())) + way.tool()
                : Duration.between(s.started(), s.ended()).getSeconds();
        return task.lasting(
                (int) Math.round((took - way.tool()) / plan.network().pace(s.hands())), way);
    }

    /** An event after which ready was at another time than before. */
    public record Turn(RunEvent event, int seconds) {}

    /** The events that moved ready most. */
    public static List<Turn> turns(List<RunEvent> events, List<Schedule> after, Schedule first, int most) {
        List<Turn> turns = new ArrayList<>();
        int ready = first.ready();
        for (int k = 0; k < events.size(); k++) {
            int now = after.get(k).ready();
            if (Math.abs(now - ready) >= 60) {
                turns.add(new Turn(events.get(k), now - ready));
            }
            ready = now;
        }
        turns.sort(Comparator.comparingInt((Turn t) -> -Math.abs(t.seconds())));
        return List.copyOf(turns.subList(0, Math.min(most, turns.size())));
    }
}
