package app.kemdro.core.schedule;

import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * One piece of work.
 *
 * @param work seconds for hands of pace 1
 * @param zones places it works on and may leave unsettled
 * @param holds places that must be free while it goes on, but that it leaves as they are
 * @param needs whose hands it takes
 * @param modes ways to let it settle, at least one; the first is the one without a tool
 */
public record Task(String id, int work, Set<String> zones, Set<String> holds, Needs needs, List<Mode> modes) {
    public Task {
        if (work <= 0) {
            throw new IllegalArgumentException(id + ": work must be longer than nothing");
        }
        if (modes.isEmpty()) {
            throw new IllegalArgumentException(id + ": at least one way to settle is needed");
        }
        zones = Set.copyOf(zones);
        holds = Set.copyOf(holds);
        modes = List.copyOf(modes);
    }

    /** Whether both take or hold the same place at some time. */
    boolean sharesZone(Task other) {
        return zones.stream().anyMatch(other::takes) || holds.stream().anyMatch(other::takes);
    }

    /** Places it works on or holds. */
    Set<String> touched() {
        if (holds.isEmpty()) {
            return zones;
        }
        Set<String> all = new HashSet<>(zones);
        all.addAll(holds);
        return all;
    }

    private boolean takes(String zone) {
        return zones.contains(zone) || holds.contains(zone);
    }

    /** Whose hands a task takes. */
    public enum Needs {
        LEAD,
        ANYONE,
        NOBODY
    }

    /**
     * What happens after the work, in seconds.
     *
     * @param tool seconds for which the same hands hold the one shared tool right after the work
     * @param usable from the end until it can be worked into
     * @param closes from the end until it can no longer be worked into; {@link #NEVER} if it always can
     * @param settled from the end until its zones are free for anything
     */
    public record Mode(int tool, int usable, int closes, int settled) {
        /** No such moment. */
        public static final int NEVER = Integer.MAX_VALUE / 4;

        /** Leaves nothing that needs to settle. */
        public static final Mode NOTHING = new Mode(0, 0, NEVER, 0);
    }
}
