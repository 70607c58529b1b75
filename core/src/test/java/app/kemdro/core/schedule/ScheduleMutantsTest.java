package app.kemdro.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.schedule.Outcome.Planned;
import app.kemdro.core.schedule.Task.Mode;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

/** Sound schedules in which one thing is made wrong that cannot be right: the check sees every one of them. */
class ScheduleMutantsTest {
    private enum Fault {
        CLOSES_LATER,
        USABLE_SOONER,
        SETTLED_SOONER,
        SHORTER,
        READY_SOONER,
        TASK_GONE,
        TASK_TWICE,
        STRANGE_HANDS,
        TOO_EARLY,
        AFTER_THE_WINDOW,
        ONE_ON_ANOTHER,
        NO_BREAK,
        BREAK_INTO_WORK
    }

    @Test
    void everyFaultIsSeen() {
        Map<Fault, Integer> put = new EnumMap<>(Fault.class);
        for (long seed = 0; seed < 300; seed++) {
            TaskNetwork network = Networks.random(seed, 30);
            if (!(Planner.trying(20).plan(network) instanceof Planned planned)) {
                continue;
            }
            SplittableRandom r = new SplittableRandom(seed);
            for (Fault fault : Fault.values()) {
                Optional<Schedule> wrong = with(fault, network, planned.schedule(), r);
                wrong.ifPresent(w -> {
                    put.merge(fault, 1, Integer::sum);
                    assertThat(ScheduleCheck.problems(network, w))
                            .as(fault.name())
                            .isNotEmpty();
                });
            }
        }
        assertThat(put).hasSize(Fault.values().length);
        assertThat(put.values()).allMatch(times -> times >= 20);
    }

    private static Optional<Schedule> with(Fault fault, TaskNetwork network, Schedule sound, SplittableRandom r) {
        List<ScheduledTask> all = new ArrayList<>(sound.placed());
        int at = r.nextInt(all.size());
        ScheduledTask p = all.get(at);
        return switch (fault) {
            case CLOSES_LATER ->
                pick(all, r, t -> t.closes() < Mode.NEVER)
                        .map(t -> changed(
                                sound, t, times(t, t.start(), t.end(), t.usable(), t.closes() + 60, t.settled())));
            case USABLE_SOONER ->
                pick(all, r, t -> t.usable() > t.end())
                        .map(t -> changed(
                                sound, t, times(t, t.start(), t.end(), t.usable() - 1, t.closes(), t.settled())));
            case SETTLED_SOONER ->
                pick(all, r, t -> t.settled() > t.end())
                        .map(t -> changed(
                                sound, t, times(t, t.start(), t.end(), t.usable(), t.closes(), t.settled() - 1)));
            case SHORTER ->
                Optional.of(changed(sound, p, times(p, p.start() + 1, p.end(), p.usable(), p.closes(), p.settled())));
            case READY_SOONER -> Optional.of(new Schedule(all, sound.rests(), sound.ready() - 1, 0));
            case TASK_GONE -> {
                all.remove(at);
                yield Optional.of(new Schedule(all, sound.rests(), sound.ready(), 0));
            }
            case TASK_TWICE -> {
                all.add(p.later(sound.ready()));
                yield Optional.of(new Schedule(all, sound.rests(), sound.ready(), 0));
            }
            case STRANGE_HANDS ->
                pick(all, r, t -> t.worker() != null)
                        .map(t -> changed(
                                sound,
                                t,
                                new ScheduledTask(
                                        t.task(),
                                        "nobody known",
                                        t.mode(),
                                        t.start(),
                                        t.end(),
                                        t.usable(),
                                        t.closes(),
                                        t.settled(),
                                        0)));
            case TOO_EARLY ->
                network.lags().stream()
                        .filter(l -> l.opens(sound.of(l.from())) > 0)
                        .skip(r.nextInt(3))
                        .findFirst()
                        .map(l -> {
                            ScheduledTask later = sound.of(l.to());
                            return changed(sound, later, later.later(l.opens(sound.of(l.from())) - 1 - later.start()));
                        });
            case AFTER_THE_WINDOW ->
                network.lags().stream()
                        .filter(l -> l.shuts(sound.of(l.from())) < Mode.NEVER)
                        .findFirst()
                        .map(l -> {
                            ScheduledTask later = sound.of(l.to());
                            return changed(sound, later, later.later(l.shuts(sound.of(l.from())) + 1 - later.start()));
                        });
            case ONE_ON_ANOTHER ->
                pick(
                                all,
                                r,
                                t -> t.worker() != null
                                        && all.stream()
                                                .anyMatch(o -> !o.task().equals(t.task())
                                                        && t.worker().equals(o.worker())))
                        .map(t -> {
                            ScheduledTask other = all.stream()
                                    .filter(o -> !o.task().equals(t.task())
                                            && t.worker().equals(o.worker()))
                                    .findFirst()
                                    .orElseThrow();
                            return changed(sound, t, t.later(other.start() - t.start()));
                        });
            case NO_BREAK ->
                sound.rests().isEmpty()
                        ? Optional.empty()
                        : Optional.of(new Schedule(all, List.of(), sound.ready(), 0));
            case BREAK_INTO_WORK ->
                sound.rests().isEmpty()
                        ? Optional.empty()
                        : pick(
                                        all,
                                        r,
                                        t -> t.worker() != null
                                                && t.end()
                                                        < sound.rests().get(0).start())
                                .map(t -> new Schedule(
                                        all, List.of(new Rest(t.start(), t.start() + 600)), sound.ready(), 0));
        };
    }

    private static Optional<ScheduledTask> pick(
            List<ScheduledTask> all, SplittableRandom r, java.util.function.Predicate<ScheduledTask> fits) {
        List<ScheduledTask> found = all.stream().filter(fits).toList();
        return found.isEmpty() ? Optional.empty() : Optional.of(found.get(r.nextInt(found.size())));
    }

    private static ScheduledTask times(ScheduledTask t, int start, int end, int usable, int closes, int settled) {
        return new ScheduledTask(
                t.task(), t.worker(), t.helper(), t.mode(), start, end, usable, closes, settled, t.missed());
    }

    /** The schedule with one task otherwise, and nothing else. */
    private static Schedule changed(Schedule sound, ScheduledTask from, ScheduledTask to) {
        List<ScheduledTask> all = new ArrayList<>(sound.placed());
        all.set(all.indexOf(from), to);
        return new Schedule(all, sound.rests(), sound.ready(), 0);
    }
}
