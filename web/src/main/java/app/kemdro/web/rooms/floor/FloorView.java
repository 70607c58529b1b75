package app.kemdro.web.rooms.floor;

import app.kemdro.core.hour.Wall;
import app.kemdro.core.method.Technique.Effect;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.run.StepState.Status;
import app.kemdro.core.schedule.Confidence;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.run.RunNow;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;

/**
 * What the floor may know: when, how sure, what sort of work, the next break. Nothing about health, and nobody by name.
 *
 * @param ofTen of ten such mornings, how many make the call from here
 */
record FloorView(
        long now,
        int pace,
        String ready,
        String call,
        String inHand,
        boolean late,
        int ofTen,
        String sure,
        String doing,
        String rest,
        boolean ended,
        int done,
        int steps) {
    static FloorView of(RunNow s, LocalDateTime now) {
        Plan plan = s.plan().with(s.schedule());
        Wall.of(plan.brief().call());
        long done = s.state().steps().values().stream()
                .filter(x -> x.status() == Status.DONE || x.status() == Status.SKIPPED)
                .count();
        int pace = s.run().isRehearsal() ? s.run().pace() : 1;
        boolean ended = s.run().endedAt() != null;
        return of(plan, s.confidence(now), now, pace, doing(s, plan), rest(s.schedule(), plan, now), ended, (int) done);
    }

    /** Before the performer sits down. */
    static FloorView planned(Plan plan, Confidence confidence, LocalDateTime now) {
        return of(
                plan,
                confidence,
                now,
                1,
                "chair-in at " + Words.hour(plan.chairIn()),
                rest(plan.schedule(), plan, now),
                false,
                0);
    }

    private static FloorView of(
            Plan plan,
            Confidence confidence,
            LocalDateTime now,
            int pace,
            String doing,
            String rest,
            boolean ended,
            int done) {
        long minutes = Words.minutesInHand(plan);
        long untilCall =
                java.time.Duration.between(plan.chairIn(), plan.brief().call()).getSeconds();
        long made = java.util.Arrays.stream(confidence.ready())
                .filter(r -> r <= untilCall)
                .count();
        return new FloorView(
                Wall.instant(now).toEpochMilli(),
                pace,
                Words.ready(plan.ready()),
                Words.hour(plan.brief().call()),
                Words.inHand(minutes),
                minutes < 0,
                (int) Math.round(10.0 * made / confidence.ready().length),
                Words.ready(plan.clock(confidence.by(0.9))),
                doing,
                rest,
                ended,
                done,
                plan.steps().size());
    }

    /** The sort of work that is done now, in words that give nothing away. */
    private static String doing(RunNow s, Plan plan) {
        if (s.run().endedAt() != null) {
            return "out of the chair";
        }
        if (s.state().onBreak()) {
            return "a pause";
        }
        List<String> running = plan.steps().stream()
                .filter(x -> s.state().step(x.id()).status() == Status.RUNNING)
                .map(FloorView::sort)
                .distinct()
                .toList();
        Optional<String> next = s.schedule().placed().stream()
                .filter(p -> s.state().step(p.task()).status() == Status.WAITING)
                .map(p -> sort(plan.step(p.task())))
                .findFirst();
        return running.isEmpty()
                ? next.map(n -> "about to begin: " + n).orElse("finished")
                : String.join(", ", running);
    }

    private static String sort(PlannedStep step) {
        return step.technique().performerOnly()
                ? "costume"
                : word(step.technique().effect());
    }

    private static String word(Effect effect) {
        return switch (effect) {
            case PREPARE -> "preparing";
            case VANISH -> "smoothing";
            case RESHAPE -> "pieces and forms";
            case TEXTURE -> "texture";
            case COLOUR -> "colour";
            case ADD -> "adding the last things";
            case FINISH -> "finishing";
        };
    }

    private static String rest(Schedule schedule, Plan plan, LocalDateTime now) {
        return schedule.rests().stream()
                .filter(r -> plan.clock(r.start()).isAfter(now))
                .findFirst()
                .map(r -> Words.hour(plan.clock(r.start())) + ", " + Words.span((r.end() - r.start()) / 60))
                .orElse("");
    }
}
