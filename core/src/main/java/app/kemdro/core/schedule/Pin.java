package app.kemdro.core.schedule;

import org.jspecify.annotations.Nullable;

/**
 * What was decided about a task by hand.
 *
 * @param from second before which it may not begin, 0 where it does not matter
 * @param until second by which it must have begun, or {@link Task.Mode#NEVER}
 * @param worker whose hands it takes, or none where anybody's who can
 */
public record Pin(
        String task, int from, int until, @Nullable String worker) {
    /** The same, so many seconds later. */
    Pin moved(int by) {
        return new Pin(task, Math.max(0, from + by), until >= Task.Mode.NEVER ? until : until + by, worker);
    }
}
