package app.kemdro.core.schedule;

import org.jspecify.annotations.Nullable;

/**
 * A task with its times, seconds from the moment work may begin.
 *
 * @param worker whose hands, or none
 * @param start when hands begin
 * @param end when hands, and the tool if one is used, let go
 * @param usable when it can be worked into
 * @param closes when it can no longer be, or {@link Task.Mode#NEVER}
 * @param settled when its zones are free for anything
 * @param missed seconds by which it comes after its window closed, 0 when it keeps it
 */
public record Placed(
        String task,
        @Nullable String worker,
        int mode,
        int start,
        int end,
        int usable,
        int closes,
        int settled,
        int missed) {}
