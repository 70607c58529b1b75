package app.kemdro.core.run;

import java.time.LocalDateTime;
import org.jspecify.annotations.Nullable;

/**
 * Where a step stands.
 *
 * @param clearedAt when the artist said its film is clear, if so
 * @param lookAgainAt when to look again after a "not yet", if there was one
 */
public record StepState(
        Status status,
        String hands,
        int mode,
        @Nullable LocalDateTime started,
        @Nullable LocalDateTime ended,
        int addedSeconds,
        String reason,
        @Nullable LocalDateTime clearedAt,
        @Nullable LocalDateTime lookAgainAt) {
    static final StepState WAITING = new StepState(Status.WAITING, "", 0, null, null, 0, "", null, null);

    /** Stages of a step. */
    public enum Status {
        WAITING,
        RUNNING,
        DONE,
        SKIPPED
    }

    StepState begun(RunEvent e) {
        return new StepState(Status.RUNNING, e.hands(), e.mode(), e.at(), null, 0, "", null, null);
    }

    StepState finished(RunEvent e) {
        LocalDateTime start = started == null ? e.at() : started;
        return new StepState(Status.DONE, e.hands(), mode, start, e.at(), addedSeconds, "", null, null);
    }

    /** Left unfinished: whoever takes it up begins anew. */
    StepState putDown() {
        return WAITING;
    }

    StepState skipped(RunEvent e) {
        return new StepState(Status.SKIPPED, e.hands(), mode, started, e.at(), addedSeconds, e.text(), null, null);
    }

    StepState longer(RunEvent e) {
        return new StepState(
                status, hands, mode, started, ended, addedSeconds + e.seconds(), reason, clearedAt, lookAgainAt);
    }

    StepState clear(RunEvent e) {
        return new StepState(status, hands, mode, started, ended, addedSeconds, reason, e.at(), null);
    }

    StepState notYet(RunEvent e) {
        LocalDateTime from = lookAgainAt != null && lookAgainAt.isAfter(e.at()) ? lookAgainAt : e.at();
        return new StepState(
                status,
                hands,
                mode,
                started,
                ended,
                addedSeconds,
                reason,
                null,
                from.plusSeconds(Math.max(60, e.seconds())));
    }
}
