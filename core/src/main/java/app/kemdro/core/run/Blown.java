package app.kemdro.core.run;

import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import java.time.Duration;
import java.time.LocalDateTime;

/**
 * Drying with a dryer now and then: each second under it counts as so many in still air.
 *
 * @param times how many
 * @param seconds how long it blew until now
 * @param on whether it blows now
 */
record Blown(Plan plan, double times, int seconds, boolean on, LocalDateTime now) {
    /** How much sooner a film is where it has got to because the dryer blew at it. */
    static Blown of(Plan plan, PlannedStep step, StepState s, LocalDateTime now) {
        boolean helps = step.drying().map(d -> d.clear().isPresent()).orElse(false)
                && step.dryingCool().map(d -> d.clear().isPresent()).orElse(false);
        if (!helps || s.dried(now) == 0) {
            return new Blown(plan, 1, 0, false, now);
        }
        double still = step.drying().orElseThrow().clear().orElseThrow();
        double cool = step.dryingCool().orElseThrow().clear().orElseThrow();
        return new Blown(plan, Math.max(1, still / cool), s.dried(now), s.dryerSince() != null, now);
    }

    /** When what takes so long in still air is reached. */
    LocalDateTime at(int end, double stillSeconds) {
        LocalDateTime laid = plan.clock(end);
        if (seconds == 0) {
            return laid.plusSeconds(Math.round(stillSeconds));
        }
        double passed = Duration.between(laid, now).getSeconds() + seconds * (times - 1);
        return now.plusSeconds(Math.round((stillSeconds - passed) / (on ? times : 1)));
    }
}
