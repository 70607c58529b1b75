package app.kemdro.core.schedule;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * One piece of work.
 *
 * @param work seconds for hands of pace 1
 * @param zones places it works on and may leave unsettled
 * @param holds places that must be free while it goes on, but that it leaves as they are
 * @param needs whose hands it takes
 * @param posture how the one who is worked on keeps each part meanwhile, where it matters, as "closed" for "eyes"
 * @param modes ways to do it and to let it settle, at least one; the first is the one by one pair of hands without a tool
 * @param trait what an artist sees in it
 */
public record Task(
        String id,
        int work,
        Set<String> zones,
        Set<String> holds,
        Map<String, String> posture,
        Needs needs,
        List<Mode> modes,
        Trait trait) {
    /** A task for which it does not matter how anybody sits. */
    public Task(String id, int work, Set<String> zones, Set<String> holds, Needs needs, List<Mode> modes) {
        this(id, work, zones, holds, Map.of(), needs, modes);
    }

    /** A task in which nothing more is seen. */
    public Task(
            String id,
            int work,
            Set<String> zones,
            Set<String> holds,
            Map<String, String> posture,
            Needs needs,
            List<Mode> modes) {
        this(id, work, zones, holds, posture, needs, modes, Trait.NONE);
    }

    public Task {
        if (work <= 0) {
            throw new IllegalArgumentException(id + ": work must be longer than nothing");
        }
        if (modes.isEmpty()) {
            throw new IllegalArgumentException(id + ": at least one way to settle is needed");
        }
        zones = Set.copyOf(zones);
        holds = Set.copyOf(holds);
        posture = Map.copyOf(posture);
        modes = List.copyOf(modes);
    }

    /** The same under another name. */
    public Task called(String other) {
        return new Task(other, work, zones, holds, posture, needs, modes, trait);
    }

    /** The same with as much work as it takes in one of its ways, seconds for hands of pace 1 that do it in that way. */
    public Task lasting(int seconds, Mode mode) {
        int alone = (int) Math.round(seconds / (mode.helped() ? mode.together() : 1));
        return new Task(id, Math.max(1, alone), zones, holds, posture, needs, modes, trait);
    }

    /** The same, done in these ways. */
    public Task in(List<Mode> others) {
        return new Task(id, work, zones, holds, posture, needs, others, trait);
    }

    /** The same, that can be worked into for as long as one likes. */
    public Task neverClosing() {
        return new Task(
                id,
                work,
                zones,
                holds,
                posture,
                needs,
                modes.stream().map(Mode::neverClosing).toList(),
                trait);
    }

    /** The way of this number, or the last where there are not so many. */
    public Mode way(int number) {
        return modes.get(Math.min(number, modes.size() - 1));
    }

    /** Whether both take or hold the same place at some time. */
    boolean sharesZone(Task other) {
        return zones.stream().anyMatch(other::takes) || holds.stream().anyMatch(other::takes);
    }

    /** Whether nobody can sit for both at once. */
    public boolean otherPosture(Task other) {
        return posture.entrySet().stream()
                .anyMatch(p -> !p.getValue().equals(other.posture.getOrDefault(p.getKey(), p.getValue())));
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
     * @param together share of the time alone that the work takes with a second pair of hands, 0.5 to below 1; 0 where
     *     one pair does it
     */
    public record Mode(int tool, int usable, int closes, int settled, double together) {
        public Mode {
            if (together != 0 && !(together >= 0.5 && together < 1)) {
                throw new IllegalArgumentException("Two pairs of hands take 0.5 to 1 of the time of one: " + together);
            }
        }

        /** A way for one pair of hands. */
        public Mode(int tool, int usable, int closes, int settled) {
            this(tool, usable, closes, settled, 0);
        }

        /** The same, open for as long as one likes. */
        Mode neverClosing() {
            return new Mode(tool, usable, NEVER, settled, together);
        }

        /** The same, open for so many seconds after the end and no longer. */
        public Mode openFor(int seconds) {
            return new Mode(tool, usable, Math.min(closes, seconds), settled, together);
        }

        /** The same done by two pairs of hands. */
        public Mode together(double share) {
            return new Mode(tool, usable, closes, settled, share);
        }

        /** Whether it takes a second pair of hands. */
        public boolean helped() {
            return together > 0;
        }

        /** No such moment. */
        public static final int NEVER = Integer.MAX_VALUE / 4;

        /** Leaves nothing that needs to settle. */
        public static final Mode NOTHING = new Mode(0, 0, NEVER, 0);
    }
}
