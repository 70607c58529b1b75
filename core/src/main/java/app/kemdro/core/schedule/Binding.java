package app.kemdro.core.schedule;

import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What keeps a task from beginning sooner.
 *
 * @param kind which sort of thing binds
 * @param task the other task, where there is one
 * @param lag the lag that binds, where it is one
 */
public record Binding(
        Kind kind, @Nullable String task, @Nullable Lag lag) {

    /** Sorts of reasons. */
    public enum Kind {
        /** It begins as soon as work may begin. */
        FIRST,
        /** It follows another task. */
        FOLLOWS,
        /** A zone is being worked on or has not settled. */
        ZONE,
        /** The hands are busy. */
        HANDS,
        /** The one who is worked on has to keep still in another way. */
        POSTURE,
        /** The hands are not there yet. */
        HOURS,
        /** A break. */
        REST,
        /** It was wished no earlier. */
        WISH,
        /** It waits so that a later task meets its window. */
        WINDOW,
        /** Nothing binds it: it could begin sooner without making anything ready sooner. */
        SLACK
    }

    /** Finds what binds this task in this schedule. */
    public static Binding of(TaskNetwork network, Schedule schedule, String taskId) {
        Task task = network.task(taskId);
        ScheduledTask at = schedule.of(taskId);
        if (at.start() == 0) {
            return new Binding(Kind.FIRST, null, null);
        }
        return follows(network, schedule, at)
                .or(() -> hands(schedule, at))
                .or(() -> zone(network, schedule, task, at))
                .or(() -> posture(network, schedule, task, at))
                .or(() -> schedule.rests().stream()
                        .filter(r -> r.end() == at.start())
                        .findFirst()
                        .map(r -> new Binding(Kind.REST, null, null)))
                .or(() -> network.pins().stream()
                        .filter(p -> p.task().equals(taskId) && p.from() == at.start())
                        .findFirst()
                        .map(p -> new Binding(Kind.WISH, null, null)))
                .or(() -> network.workers().stream()
                        .filter(w -> w.id().equals(at.worker()) && w.from() == at.start())
                        .findFirst()
                        .map(w -> new Binding(Kind.HOURS, null, null)))
                .or(() -> network.lags().stream()
                        .filter(l -> l.from().equals(taskId) && l.ties())
                        .findFirst()
                        .map(l -> new Binding(Kind.WINDOW, l.to(), l)))
                .orElseGet(() -> new Binding(Kind.SLACK, null, null));
    }

    private static Optional<Binding> follows(TaskNetwork network, Schedule schedule, ScheduledTask at) {
        return network.lags().stream()
                .filter(l -> l.to().equals(at.task()))
                .filter(l ->
                        schedule.placed().stream().anyMatch(p -> p.task().equals(l.from()) && l.opens(p) == at.start()))
                .findFirst()
                .map(l -> new Binding(Kind.FOLLOWS, l.from(), l));
    }

    private static Optional<Binding> hands(Schedule schedule, ScheduledTask at) {
        return schedule.placed().stream()
                .filter(p -> p.sharesHands(at) && p.end() == at.start())
                .findFirst()
                .map(p -> new Binding(Kind.HANDS, p.task(), null));
    }

    private static Optional<Binding> posture(TaskNetwork network, Schedule schedule, Task task, ScheduledTask at) {
        return schedule.placed().stream()
                .filter(p -> p.end() == at.start() && task.otherPosture(network.task(p.task())))
                .findFirst()
                .map(p -> new Binding(Kind.POSTURE, p.task(), null));
    }

    private static Optional<Binding> zone(TaskNetwork network, Schedule schedule, Task task, ScheduledTask at) {
        return schedule.placed().stream()
                .filter(p -> p.end() == at.start() || p.settled() == at.start())
                .filter(p -> !p.task().equals(at.task()) && task.sharesZone(network.task(p.task())))
                .findFirst()
                .map(p -> new Binding(Kind.ZONE, p.task(), null));
    }
}
