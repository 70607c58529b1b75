package app.kemdro.core.schedule;

import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A task with its times, seconds from the moment work may begin.
 *
 * @param worker whose hands, or none
 * @param helper whose hands help, or none
 * @param start when hands begin
 * @param end when hands, and the tool if one is used, let go
 * @param usable when it can be worked into
 * @param closes when it can no longer be, or {@link Task.Mode#NEVER}
 * @param settled when its zones are free for anything
 * @param missed seconds by which it comes after its window closed, 0 when it keeps it
 */
public record ScheduledTask(
        String task,
        @Nullable String worker,
        @Nullable String helper,
        int mode,
        int start,
        int end,
        int usable,
        int closes,
        int settled,
        int missed) {
    /** A task that one pair of hands does, or none. */
    public ScheduledTask(
            String task,
            @Nullable String worker,
            int mode,
            int start,
            int end,
            int usable,
            int closes,
            int settled,
            int missed) {
        this(task, worker, null, mode, start, end, usable, closes, settled, missed);
    }

    /** The same, settling in this way. */
    ScheduledTask settling(Task.Mode way) {
        return new ScheduledTask(
                task,
                worker,
                helper,
                mode,
                start,
                end,
                end + way.usable(),
                way.closes() >= Task.Mode.NEVER ? Task.Mode.NEVER : end + way.closes(),
                end + way.settled(),
                missed);
    }

    /** The same, so many seconds later. */
    public ScheduledTask later(int by) {
        return new ScheduledTask(
                task,
                worker,
                helper,
                mode,
                start + by,
                end + by,
                usable + by,
                closes >= Task.Mode.NEVER ? closes : closes + by,
                settled + by,
                missed);
    }

    /** Whether these hands do it or help in it. */
    public boolean takes(@Nullable String hands) {
        return hands != null && (hands.equals(worker) || hands.equals(helper));
    }

    /** Those whose hands it takes. */
    List<String> hands() {
        return Stream.of(worker, helper).filter(Objects::nonNull).toList();
    }

    /** Whether both take the same pair of hands. */
    boolean sharesHands(ScheduledTask other) {
        return takes(other.worker) || takes(other.helper);
    }
}
