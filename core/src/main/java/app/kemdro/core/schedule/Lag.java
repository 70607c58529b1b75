package app.kemdro.core.schedule;

import org.jspecify.annotations.Nullable;

/**
 * One task follows another.
 *
 * @param kind what of the earlier task it waits for
 * @param within seconds after that moment by which it must have begun, or none
 * @param because why, in words
 */
public record Lag(
        String from, String to, Kind kind, @Nullable Integer within, String because) {

    /** The moment of the earlier task that is waited for. */
    public enum Kind {
        /** Its end; the later task may work into what has not settled. */
        END,
        /** When it can be worked into, and before it closes. */
        USABLE,
        /** When it has settled. */
        SETTLED,
        /** Its end, and before it becomes usable: it must be worked into while fresh. */
        FRESH,
        /** Its end, and nothing more: the later task does not work into what the earlier one left. */
        AFTER
    }

    /** Whether the later task works into what the earlier one left. */
    public boolean into() {
        return kind != Kind.SETTLED && kind != Kind.AFTER;
    }

    /** Seconds after the earlier task's end at which the later may begin. */
    public int opensAfter(Task.Mode mode) {
        return switch (kind) {
            case END, FRESH, AFTER -> 0;
            case USABLE -> mode.usable();
            case SETTLED -> mode.settled();
        };
    }

    /** Seconds after the earlier task's end by which the later must have begun. */
    public int shutsAfter(Task.Mode mode) {
        int limit = switch (kind) {
            case END, SETTLED, AFTER -> Task.Mode.NEVER;
            case USABLE -> mode.closes();
            case FRESH -> Math.min(mode.usable(), mode.closes());
        };
        return within == null ? limit : Math.min(limit, opensAfter(mode) + within);
    }

    /** The second by which the later task must have begun after an earlier one that ended then, settling in this way. */
    public long latest(int end, Task.Mode mode) {
        return (long) end + shutsAfter(mode);
    }

    /** The second at which the later task may begin, once the earlier one has its times. */
    public int opens(ScheduledTask earlier) {
        return switch (kind) {
            case END, FRESH, AFTER -> earlier.end();
            case USABLE -> earlier.usable();
            case SETTLED -> earlier.settled();
        };
    }

    /** The second by which the later task must have begun, or {@link Task.Mode#NEVER} where there is no such moment. */
    public int shuts(ScheduledTask earlier) {
        int limit = switch (kind) {
            case END, SETTLED, AFTER -> Task.Mode.NEVER;
            case USABLE -> earlier.closes();
            case FRESH -> Math.min(earlier.usable(), earlier.closes());
        };
        return within == null ? limit : Math.min(limit, opens(earlier) + within);
    }

    /** Whether both belong together so closely that nothing else may come between. */
    public boolean ties() {
        return within != null || kind == Kind.USABLE || kind == Kind.FRESH;
    }
}
