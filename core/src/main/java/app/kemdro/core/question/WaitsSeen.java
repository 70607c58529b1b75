package app.kemdro.core.question;

import app.kemdro.core.question.Answer.Fault;
import app.kemdro.core.question.OrderAsDone.Done;
import app.kemdro.core.schedule.Rest;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduleCheck;
import app.kemdro.core.schedule.ScheduledTask;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Stretches in which nobody works, though something could be done that comes later. */
final class WaitsSeen {
    private final OrderAsDone order;
    private final Schedule schedule;

    WaitsSeen(OrderAsDone order) {
        this.order = order;
        this.schedule = order.plan().schedule();
    }

    private record Gap(int from, int until) {}

    List<Fault> faults(double mostMinutes) {
        List<Fault> faults = new ArrayList<>();
        for (Gap gap : gaps((int) (mostMinutes * 60))) {
            possible(gap)
                    .ifPresent(d -> faults.add(new Fault(
                            "nobody works for %d min, and %s could be done"
                                    .formatted(OrderAsDone.minutes(gap.until() - gap.from()), d.title()),
                            List.of(d.step().id()),
                            gap.until() - gap.from())));
        }
        return faults;
    }

    private List<Gap> gaps(int most) {
        List<Gap> busy = new ArrayList<>();
        order.steps().stream()
                .filter(d -> d.byHands()
                        || d.step().zones().isEmpty()
                        || !d.task().zones().isEmpty())
                .forEach(d -> busy.add(new Gap(d.at().start(), d.at().end())));
        schedule.rests().forEach((Rest r) -> busy.add(new Gap(r.start(), r.end())));
        busy.sort(Comparator.comparingInt(Gap::from));
        List<Gap> gaps = new ArrayList<>();
        int until = 0;
        for (Gap b : busy) {
            if (b.from() - until >= most) {
                gaps.add(new Gap(until, b.from()));
            }
            until = Math.max(until, b.until());
        }
        return gaps;
    }

    /** What is done later and could be done now, whole, with all else as it is. */
    private Optional<Done> possible(Gap gap) {
        return order.steps().stream()
                .filter(Done::byHands)
                .filter(d -> d.at().start() >= gap.until())
                .filter(d -> d.at().end() - d.at().start() <= gap.until() - gap.from())
                .filter(d -> isSound(d, gap.from()))
                .findFirst();
    }

    private boolean isSound(Done done, int from) {
        int by = done.at().start() - from;
        ScheduledTask was = done.at();
        ScheduledTask sooner = new ScheduledTask(
                was.task(),
                was.worker(),
                was.helper(),
                was.mode(),
                from,
                was.end() - by,
                was.usable() - by,
                was.closes() >= app.kemdro.core.schedule.Task.Mode.NEVER ? was.closes() : was.closes() - by,
                was.settled() - by,
                0);
        List<ScheduledTask> all = schedule.placed().stream()
                .map(p -> p.task().equals(was.task()) ? sooner : p)
                .toList();
        return ScheduleCheck.problems(
                        order.plan().network(),
                        new Schedule(all, schedule.rests(), schedule.ready(), schedule.leastReady()))
                .isEmpty();
    }
}
