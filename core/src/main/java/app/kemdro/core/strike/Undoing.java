package app.kemdro.core.strike;

import app.kemdro.core.run.RunState;
import app.kemdro.core.run.StepState;
import app.kemdro.core.run.StepState.Status;
import app.kemdro.core.schedule.Lag;
import app.kemdro.core.schedule.Outcome;
import app.kemdro.core.schedule.Planner;
import app.kemdro.core.schedule.Progress;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.core.schedule.Task;
import app.kemdro.core.schedule.Task.Mode;
import app.kemdro.core.strike.Removal.Step;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** A removal in the middle of being carried out. */
public final class Undoing {
    /** A step that runs over is expected to need at least this much longer, seconds. */
    private static final int AT_LEAST = 30;

    private final Removal removal;
    private final LocalDateTime began;
    private final RunState state;

    /** Joins a removal with what has happened since it began. */
    public Undoing(Removal removal, LocalDateTime began, RunState state) {
        this.removal = removal;
        this.began = began;
        this.state = state;
    }

    /** Plans the rest from now, near the order before. */
    public Schedule again(Planner planner, Schedule before, LocalDateTime now) {
        return planner.plan(removal.network(), progress(now), Optional.of(before)) instanceof Outcome.Planned p
                ? p.schedule()
                : before;
    }

    private Progress progress(LocalDateTime now) {
        List<ScheduledTask> past = new ArrayList<>();
        for (Step step : removal.steps()) {
            StepState s = state.step(step.id());
            if (s.status() == Status.RUNNING || s.status() == Status.DONE) {
                past.add(placed(step, s, now));
            }
        }
        return new Progress(Math.max(0, second(now)), past, List.of(), List.of());
    }

    private ScheduledTask placed(Step step, StepState s, LocalDateTime now) {
        Task task = removal.network().task(step.id());
        int start = second(s.started());
        int end = s.status() == Status.DONE
                ? second(s.ended())
                : Math.max(
                        start + (int) Math.round(removal.network().seconds(task, task.way(0), s.hands())),
                        second(now) + AT_LEAST);
        int settled = s.status() == Status.DONE ? Math.max(end, second(looseAt(step))) : end + step.soakSeconds();
        String hands = task.needs() == Task.Needs.NOBODY ? null : s.hands();
        return new ScheduledTask(step.id(), hands, 0, start, end, settled, Mode.NEVER, settled, 0);
    }

    /** When what was flooded should let go: by the clock, or as somebody who looked has said. */
    public LocalDateTime looseAt(Step flood) {
        StepState s = state.step(flood.id());
        LocalDateTime flooded = s.ended() == null ? began : s.ended();
        if (s.clearedAt() != null) {
            return s.clearedAt();
        }
        LocalDateTime thought = flooded.plusSeconds(flood.soakSeconds());
        return s.lookAgainAt() != null && s.lookAgainAt().isAfter(thought) ? s.lookAgainAt() : thought;
    }

    /** What is flooded and not lifted yet, the first to let go coming first. */
    public List<Step> soaking() {
        return removal.steps().stream()
                .filter(s -> s.soakSeconds() > 0 && state.step(s.id()).status() == Status.DONE)
                .filter(s -> removal.network().lags().stream()
                        .filter(l -> l.from().equals(s.id()) && l.kind() == Lag.Kind.SETTLED)
                        .anyMatch(l -> state.step(l.to()).status() == Status.WAITING))
                .sorted(Comparator.comparing(this::looseAt))
                .toList();
    }

    /** What these hands do now. */
    public Optional<Step> doing(String hands) {
        return state.runningBy(hands).map(removal::step);
    }

    /** What these hands are to do next, in order. */
    public List<ScheduledTask> ahead(Schedule schedule, String hands) {
        return schedule.placed().stream()
                .filter(p -> hands.equals(Removal.by(p)))
                .filter(p -> state.step(p.task()).status() == Status.WAITING)
                .toList();
    }

    /** Why this step cannot begin yet, in words; empty where it can. */
    public Optional<String> keeps(String step, LocalDateTime now) {
        for (Lag lag : removal.network().lags()) {
            if (!lag.to().equals(step)) {
                continue;
            }
            Step from = removal.step(lag.from());
            if (state.step(from.id()).status() != Status.DONE) {
                return Optional.of("first: " + from.title() + ", " + from.where());
            }
            if (lag.kind() == Lag.Kind.SETTLED && looseAt(from).isAfter(now)) {
                return Optional.of("it still soaks: look, and say when it lets go");
            }
        }
        return Optional.empty();
    }

    /** Zones on which something still lies. */
    public Set<String> covered() {
        Set<String> zones = new HashSet<>();
        removal.steps().stream()
                .filter(s -> state.step(s.id()).status() != Status.DONE)
                .forEach(s -> zones.addAll(s.takes().keySet()));
        return zones;
    }

    /** Whether everything is off, washed and soothed. */
    public boolean over() {
        return removal.steps().stream().allMatch(s -> state.step(s.id()).status() == Status.DONE);
    }

    private int second(@Nullable LocalDateTime at) {
        return at == null ? 0 : (int) Duration.between(began, at).getSeconds();
    }
}
