package app.kemdro.core.schedule;

import java.util.List;

/**
 * What has already happened, for planning the rest.
 *
 * @param now second before which nothing new can begin
 * @param past tasks done or under way, with the end they have or are expected to have
 * @param rests breaks taken or under way
 * @param dropped tasks that will not be done
 */
public record Progress(int now, List<ScheduledTask> past, List<Rest> rests, List<String> dropped) {
    /** Nothing has happened yet. */
    public static final Progress NOTHING = new Progress(0, List.of(), List.of(), List.of());

    public Progress {
        past = List.copyOf(past);
        rests = List.copyOf(rests);
        dropped = List.copyOf(dropped);
    }

    /** Whether anything has happened yet, if only that time has gone by. */
    boolean isUnderWay() {
        return now > 0 || !past.isEmpty();
    }

    /** Until this second somebody is at something, and nobody can rest. */
    int busy() {
        return Math.max(now, past.stream().mapToInt(ScheduledTask::end).max().orElse(0));
    }
}
