package app.kemdro.core.run;

import app.kemdro.core.body.Capitals;
import app.kemdro.core.material.MaterialRole;
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
import app.kemdro.core.schedule.Task.Mode;
import app.kemdro.core.schedule.TaskNetwork;
import app.kemdro.core.schedule.Worker;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** A plan in the middle of being carried out. */
public final class Chair {
    /** Stands for hands in what the performer does alone. */
    public static final String NOBODY = "";

    /** A step that runs over is expected to need at least this much longer, seconds. */
    private static final int AT_LEAST = 30;

    /** Nobody is asked about so few seconds. */
    private static final int A_MOMENT = 10;

    /** Of the time thought of, work may take this share and be done all the same. */
    private static final double QUICK = 0.5;

    private final Plan plan;
    private final RunState state;

    /** Joins the plan that was made for this chair-in with what has happened since. */
    public Chair(Plan plan, RunState state) {
        this.plan = plan;
        this.state = state;
    }

    /** Plans the rest from now; what is done stays, what runs is let finish, and the order stays close to the one before. */
    public Again planAgain(LookPlanner planner, Schedule before, LocalDateTime now) {
        return outcome(planner.again(plan, progress(now), before), planner, before, now);
    }

    /** The same where nothing has changed but the time: what goes as it was thought is kept without looking further. */
    public Again planOn(LookPlanner planner, Schedule before, LocalDateTime now) {
        return outcome(planner.follow(plan, progress(now), before), planner, before, now);
    }

    private Again outcome(Outcome outcome, LookPlanner planner, Schedule before, LocalDateTime now) {
        Progress progress = progress(now);
        if (outcome instanceof Outcome.Planned p) {
            return new Again(p.schedule(), "");
        }
        Outcome relaxed = planner.again(plan.with(lenient(plan.network())), progress, before);
        if (relaxed instanceof Outcome.Planned p) {
            return new Again(p.schedule(), trouble(outcome));
        }
        Outcome loosest = planner.again(plan.with(plan.network().loosest()), progress, before);
        return new Again(loosest instanceof Outcome.Planned p ? p.schedule() : before, trouble(outcome));
    }

    /**
     * The order in mind at this time, with nothing changed but how late it is: what has not begun moves along with what runs over
     * or was not begun.
     */
    public Schedule asItGoes(LookPlanner planner, Schedule before, LocalDateTime now) {
        Progress progress = progress(now);
        return planner.drift(plan, progress, before).orElseGet(() -> moved(before, progress));
    }

    /** All that is still to come, later by as much as the latest of what is late. */
    private Schedule moved(Schedule before, Progress progress) {
        int late = 0;
        for (ScheduledTask p : before.placed()) {
            Status status = state.step(p.task()).status();
            int end = progress.past().stream()
                    .filter(x -> x.task().equals(p.task()))
                    .mapToInt(ScheduledTask::end)
                    .findFirst()
                    .orElse(p.end());
            late = Math.max(
                    late,
                    status == Status.RUNNING
                            ? end - p.end()
                            : status == Status.WAITING ? progress.now() - p.start() : 0);
        }
        if (late <= 0) {
            return before;
        }
        int by = late;
        return new Schedule(
                before.placed().stream()
                        .map(p -> state.step(p.task()).status() == Status.WAITING ? p.later(by) : p)
                        .toList(),
                before.rests().stream()
                        .map(r -> r.start() >= progress.now() ? new Rest(r.start() + by, r.end() + by) : r)
                        .toList(),
                before.ready() + by,
                before.leastReady());
    }

    /**
     * Why a step should not begin yet, as a question to whoever presses: something that comes before it is not done, or what lies
     * there has not grabbed, is not clear, or has closed.
     *
     * @return empty where nothing speaks against it
     */
    public Optional<String> keeps(String step, LocalDateTime now) {
        Optional<String> open = plan.network().lags().stream()
                .filter(l -> l.to().equals(step))
                .map(Lag::from)
                .filter(from -> state.step(from).status() == Status.WAITING
                        || state.step(from).status() == Status.RUNNING)
                .map(from -> "“" + plan.step(from).titleWithPlace() + "” comes before it and is "
                        + (state.step(from).status() == Status.RUNNING ? "still under way." : "not done."))
                .findFirst();
        return open.or(() -> plan.network().lags().stream()
                .filter(l -> l.to().equals(step) && state.step(l.from()).status() == Status.DONE)
                .flatMap(l -> film(l, now).stream())
                .findFirst());
    }

    /** What keeps a step from beginning on the film of another, in words. */
    private Optional<String> film(Lag lag, LocalDateTime now) {
        PlannedStep from = plan.step(lag.from());
        StepState s = state.step(lag.from());
        boolean cleaner = from.material().map(m -> m.is(MaterialRole.CLEANS)).orElse(false);
        if (from.drying().isEmpty() || s.clearedAt() != null || cleaner) {
            return Optional.empty();
        }
        ScheduledTask placed = placed(from, s, now);
        int second = second(now);
        String film = from.material().map(m -> m.name()).orElse("What lies there");
        int opens = Math.max(lag.opens(placed), blownUntil(from, s));
        if (second + A_MOMENT < opens) {
            return Optional.of(Capitals.capital(film) + ", " + from.where() + ", is not ready for another "
                    + Math.max(1, Math.round((opens - second) / 60.0)) + " min by the clock.");
        }
        return lag.shuts(placed) < second
                ? Optional.of("The window has closed: " + film + ", " + from.where()
                        + ", no longer grabs by the clock. Lay it again, or test it and go on.")
                : Optional.empty();
    }

    /** Where the dryer was in hand: when it would have blown long enough, had all of it been done. */
    private int blownUntil(PlannedStep from, StepState s) {
        Task task = plan.network().task(from.id());
        Mode mode = task.way(s.mode());
        return mode.tool() == 0
                ? 0
                : second(s.started()) + (int) (plan.network().seconds(task, mode, s.hands()) * QUICK) + mode.tool();
    }

    /**
     * The rest, planned again.
     *
     * @param trouble why it can be kept only by more or other hands, empty where it can be kept
     */
    public record Again(Schedule schedule, String trouble) {}

    /** The same network with hands that may do everything and stay as long as it takes. */
    private static TaskNetwork lenient(TaskNetwork network) {
        return new TaskNetwork(
                network.tasks(),
                network.lags(),
                network.workers().stream()
                        .map(w -> new Worker(w.id(), true, w.pace(), 0, Integer.MAX_VALUE / 4))
                        .toList(),
                network.tools(),
                network.breaks());
    }

    private String trouble(Outcome outcome) {
        if (outcome instanceof Outcome.NoHands none) {
            return "“" + plan.step(none.task()).titleWithPlace()
                    + "” has no hands: it is a lead's work, or everybody has gone home by then. Somebody must join.";
        }
        if (outcome instanceof Outcome.NoWindow none) {
            return "“" + plan.step(none.task()).titleWithPlace()
                    + "” cannot be begun before its window closes: lay again what closed, or test it and go on.";
        }
        if (outcome instanceof Outcome.Ring ring) {
            return "“" + plan.step(ring.tasks().get(0)).titleWithPlace()
                    + "” and others wait for one another; it is planned as if the last of them did not wait.";
        }
        return "What is left cannot all be kept as it was wished; it is planned as if those wishes were dropped.";
    }

    /** What has happened, in the planner's seconds. */
    public Progress progress(LocalDateTime now) {
        List<ScheduledTask> past = new ArrayList<>();
        List<String> dropped = new ArrayList<>();
        for (PlannedStep step : plan.steps()) {
            StepState s = state.step(step.id());
            switch (s.status()) {
                case WAITING -> {}
                case SKIPPED -> dropped.add(step.id());
                case RUNNING, DONE -> past.add(placed(step, s, now));
            }
        }
        List<Rest> rests = new ArrayList<>();
        for (RunState.Pause p : state.pauses()) {
            int end = p.until() == null ? Math.max(second(expected(p, rests.size())), second(now)) : second(p.until());
            rests.add(new Rest(second(p.from()), end));
        }
        return new Progress(Math.max(0, second(now)), past, rests, dropped);
    }

    /** When the pause that is on should be over: as was said, else after as long as that break of the day is. */
    public Optional<LocalDateTime> breakEnds() {
        return state.pause().map(p -> expected(p, state.pauses().size() - 1));
    }

    private LocalDateTime expected(RunState.Pause pause, int number) {
        return pause.from()
                .plusSeconds(
                        pause.expected() > 0
                                ? pause.expected()
                                : plan.network().breaks().length(number));
    }

    private ScheduledTask placed(PlannedStep step, StepState s, LocalDateTime now) {
        Task task = plan.network().task(step.id());
        Mode mode = task.way(s.mode());
        int start = second(s.started());
        int end = s.status() == Status.DONE
                ? second(s.ended())
                : Math.max(
                        start + length(task, mode, s) + s.addedSeconds() + paused(start, now), second(now) + AT_LEAST);
        Blown blown = Blown.of(plan, step, s, now);
        int settled = second(blown.at(end, mode.settled()));
        int usable = second(blown.at(end, mode.usable()));
        int closes = mode.closes() >= Mode.NEVER ? Mode.NEVER : second(blown.at(end, mode.closes()));
        if (s.clearedAt() != null) {
            settled = Math.max(end, second(s.clearedAt()));
            usable = Math.min(usable, settled);
        } else if (s.lookAgainAt() != null) {
            int late = Math.max(0, second(s.lookAgainAt()) - settled);
            settled += late;
            usable = step.drying().map(d -> d.tacky().isPresent()).orElse(false) ? usable : settled;
        }
        return new ScheduledTask(
                step.id(),
                s.hands().isEmpty() ? null : s.hands(),
                mode.helped() ? helper(step.id(), s.hands()).orElse(null) : null,
                s.mode(),
                start,
                end,
                usable,
                closes,
                settled,
                0);
    }

    /** Who helps these hands with a step: whoever was to, or whoever else is there. */
    private Optional<String> helper(String step, String hands) {
        return plan.schedule()
                .find(step)
                .map(ScheduledTask::helper)
                .filter(h -> !h.equals(hands))
                .or(() -> plan.network().workers().stream()
                        .map(Worker::id)
                        .filter(w -> !w.equals(hands))
                        .findFirst());
    }

    /** What these hands help with that is still to begin or that is on, in order. */
    public List<ScheduledTask> helping(Schedule schedule, String hands) {
        return schedule.placed().stream()
                .filter(p -> hands.equals(p.helper()))
                .filter(p -> state.step(p.task()).status() == Status.WAITING
                        || state.step(p.task()).status() == Status.RUNNING)
                .toList();
    }

    /** Seconds since then in which nobody worked. */
    private int paused(int since, LocalDateTime now) {
        return state.pauses().stream()
                .mapToInt(p -> Math.max(
                        0, (p.until() == null ? second(now) : second(p.until())) - Math.max(since, second(p.from()))))
                .sum();
    }

    /** How long the step was planned to take these hands, seconds. */
    private int length(Task task, Mode mode, StepState s) {
        return (int) Math.round(plan.network().seconds(task, mode, s.hands())) + mode.tool();
    }

    private int second(@Nullable LocalDateTime at) {
        return at == null ? 0 : (int) Duration.between(plan.chairIn(), at).getSeconds();
    }

    /** Films that are still open, the ones to look at first coming first. */
    public List<LiveFilm> films(LocalDateTime now) {
        return new Films(plan, state).at(now);
    }

    /** What these hands, or {@link #NOBODY}, are to do, in order: what runs is left out. */
    public List<ScheduledTask> ahead(Schedule schedule, String hands) {
        return schedule.placed().stream()
                .filter(p -> hands.equals(p.worker() == null ? NOBODY : p.worker()))
                .filter(p -> state.step(p.task()).status() == Status.WAITING)
                .toList();
    }

    /** The film that keeps this step from beginning, if one does. */
    public Optional<PlannedStep> waitsFor(Schedule schedule, ScheduledTask next) {
        return plan.network().lags().stream()
                .filter(l -> l.to().equals(next.task()))
                .filter(l -> state.step(l.from()).status() == Status.DONE)
                .filter(l -> {
                    ScheduledTask from = schedule.of(l.from());
                    int opens = l.opens(from);
                    return opens >= next.start() - 1 && opens > from.end();
                })
                .map(l -> plan.step(l.from()))
                .findFirst();
    }
}
