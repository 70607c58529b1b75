package app.kemdro.web.records.learning;

import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.StepState;
import app.kemdro.core.run.StepState.Status;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.run.Run;
import app.kemdro.web.records.run.RunNow;
import app.kemdro.web.records.run.Standings;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/**
 * A day in the chair as it went, step by step.
 *
 * @param steps by id, in the order of the plan
 * @param took seconds from chair-in to the end of the last step
 * @param planned seconds from chair-in to being ready, as it was planned
 */
public record Day(Job job, Run run, Plan plan, Map<String, Step> steps, int took, int planned) {

    /**
     * A step as it went.
     *
     * @param planned from and until when hands were to be at it, seconds; empty where it came in on the way
     * @param hands whose hands did it, or were to
     * @param start seconds after chair-in, where it was done
     * @param end seconds after chair-in
     * @param looks how often somebody looked too soon
     */
    public record Step(
            String title,
            String hands,
            Optional<Planned> planned,
            int start,
            int end,
            Status status,
            long looks,
            boolean given,
            String reason) {
        public int took() {
            return end - start;
        }

        public boolean done() {
            return status == Status.DONE;
        }

        /** Why there is no time to tell. */
        public String undone() {
            return reason.isEmpty() ? "not done" : "left out: " + reason;
        }
    }

    /** When hands were to be at a step, seconds after chair-in. */
    public record Planned(int start, int end) {
        public int takes() {
            return end - start;
        }
    }

    public static Day of(Job job, Run run, Standings standings) {
        return of(job, standings.of(run), standings.planned(run));
    }

    /** The day of a run that stands so and was first planned so. */
    public static Day of(Job job, RunNow s, Plan first) {
        Map<String, Step> steps = new LinkedHashMap<>();
        for (ScheduledTask p : first.schedule().placed()) {
            steps.put(p.task(), step(first.step(p.task()), s, Optional.of(p)));
        }
        s.plan().steps().stream()
                .filter(p -> !steps.containsKey(p.id()))
                .sorted(Comparator.comparing(p -> begun(s, p)))
                .forEach(p -> steps.put(p.id(), step(p, s, Optional.empty())));
        int took = steps.values().stream()
                .filter(Step::done)
                .mapToInt(Step::end)
                .max()
                .orElse(0);
        return new Day(job, s.run(), s.plan(), steps, took, first.schedule().ready());
    }

    private static Step step(PlannedStep step, RunNow s, Optional<ScheduledTask> placed) {
        StepState state = s.state().step(step.id());
        boolean done = state.status() == Status.DONE && state.started() != null && state.ended() != null;
        long looks = s.state().events().stream()
                .filter(e -> e instanceof RunEvent.NotYet n && n.step().equals(step.id()))
                .count();
        return new Step(
                step.titleWithPlace(),
                state.hands().isEmpty() ? placed.map(Words::hands).orElse("") : state.hands(),
                placed.map(p -> new Planned(p.start(), p.end())),
                done ? second(s, state.started()) : 0,
                done ? second(s, state.ended()) : 0,
                done ? Status.DONE : state.status() == Status.DONE ? Status.WAITING : state.status(),
                looks,
                state.addedSeconds() > 0,
                state.reason());
    }

    private static LocalDateTime begun(RunNow s, PlannedStep step) {
        LocalDateTime started = s.state().step(step.id()).started();
        return started == null ? LocalDateTime.MAX : started;
    }

    private static int second(RunNow s, @org.jspecify.annotations.Nullable LocalDateTime at) {
        return at == null ? 0 : (int) Duration.between(s.run().beganAt(), at).getSeconds();
    }

    /** "Tuesday 24 November, rehearsal". */
    public String name() {
        return Words.day(run.beganAt()) + (run.isRehearsal() ? ", rehearsal" : "");
    }

    public LocalDateTime ready() {
        return run.beganAt().plusSeconds(took);
    }

    public static String minutes(int seconds) {
        return Math.round(seconds / 60.0) + " min";
    }
}
