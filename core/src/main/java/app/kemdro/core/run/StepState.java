package app.kemdro.core.run;

import java.time.Duration;
import java.time.LocalDateTime;
import org.jspecify.annotations.Nullable;

/**
 * Where a step stands.
 *
 * @param clearedAt when the artist said its film is clear, if so
 * @param lookAgainAt when to look again after a "not yet", if there was one
 * @param driedSeconds how long its film was under the dryer, until it was taken away last
 * @param dryerSince since when the dryer blows at its film, if it does
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
        @Nullable LocalDateTime lookAgainAt,
        int driedSeconds,
        @Nullable LocalDateTime dryerSince) {
    static final StepState WAITING = new StepState(Status.WAITING, "", 0, null, null, 0, "", null, null, 0, null);

    /** Stages of a step. */
    public enum Status {
        WAITING,
        RUNNING,
        DONE,
        SKIPPED
    }

    StepState begun(RunEvent.Start e) {
        return new StepState(Status.RUNNING, e.hands(), e.mode(), e.at(), null, 0, "", null, null, 0, null);
    }

    StepState finished(RunEvent.Finish e) {
        LocalDateTime start = started == null ? e.at() : started;
        return new StepState(Status.DONE, e.hands(), mode, start, e.at(), addedSeconds, "", null, null, 0, null);
    }

    /** The dryer is turned on its film, or taken away. */
    StepState dryer(LocalDateTime at) {
        boolean on = dryerSince == null;
        return new StepState(
                status,
                hands,
                mode,
                started,
                ended,
                addedSeconds,
                reason,
                clearedAt,
                lookAgainAt,
                dried(at),
                on ? at : null);
    }

    /** Seconds under the dryer until now. */
    int dried(LocalDateTime now) {
        return driedSeconds
                + (dryerSince == null
                        ? 0
                        : (int) Math.max(0, Duration.between(dryerSince, now).getSeconds()));
    }

    /** Left unfinished: whoever takes it up begins anew. */
    StepState putDown() {
        return WAITING;
    }

    StepState skipped(RunEvent.Skip e) {
        return new StepState(
                Status.SKIPPED, e.hands(), mode, started, e.at(), addedSeconds, e.text(), null, null, 0, null);
    }

    StepState longer(int seconds) {
        return new StepState(
                status,
                hands,
                mode,
                started,
                ended,
                addedSeconds + seconds,
                reason,
                clearedAt,
                lookAgainAt,
                driedSeconds,
                dryerSince);
    }

    StepState clear(LocalDateTime at) {
        return new StepState(
                status, hands, mode, started, ended, addedSeconds, reason, at, null, driedSeconds, dryerSince);
    }

    StepState notYet(LocalDateTime at, int seconds) {
        LocalDateTime from = lookAgainAt != null && lookAgainAt.isAfter(at) ? lookAgainAt : at;
        return new StepState(
                status,
                hands,
                mode,
                started,
                ended,
                addedSeconds,
                reason,
                null,
                from.plusSeconds(Math.max(60, seconds)),
                driedSeconds,
                dryerSince);
    }
}
