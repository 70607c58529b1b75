package app.kemdro.web.records.shelf;

import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Problem;
import app.kemdro.web.parts.mishap.Unsaid;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.plan.InTheWay;
import app.kemdro.web.records.plan.Plans.Answer;
import app.kemdro.web.records.shelf.Way.Mark;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Everything that stands in the way of a job, gathered from all rooms: what stops comes first. */
@Component
class Obstacles {
    private static final Logger LOG = LoggerFactory.getLogger(Obstacles.class);

    /** A room that could not be asked is asked again at the next look. */
    private static final LocalDateTime AT_ONCE = LocalDate.EPOCH.atStartOfDay();

    private final List<InTheWay> rooms;

    Obstacles(List<InTheWay> rooms) {
        this.rooms = rooms;
    }

    /** What was gathered, and from when on something else may stand in the way because time has passed. */
    record Gathered(List<Way> lines, Optional<LocalDateTime> until) {
        /** Whether no time has passed since that puts something else in the way. */
        boolean isStill(LocalDateTime now) {
            return until.map(now::isBefore).orElse(true);
        }
    }

    Gathered of(Job job, Answer answer) {
        List<Way> lines = new ArrayList<>();
        List<LocalDateTime> until = new ArrayList<>();
        answer.problems()
                .forEach(p -> lines.add(way(p.zones().isEmpty() && p.entries().isEmpty() ? "order" : "look", p)));
        answer.plan().flatMap(Obstacles::late).ifPresent(lines::add);
        answer.plan()
                .ifPresent(plan -> rooms.forEach(room -> {
                    try {
                        InTheWay.Said said = room.of(job, plan);
                        said.lines()
                                .forEach(l -> lines.add(new Way(
                                        room.room(),
                                        l.late() ? Mark.LATE : mark(l.problem()),
                                        l.problem().what(),
                                        l.problem().remedy(),
                                        l.brief())));
                        said.until().ifPresent(until::add);
                    } catch (RuntimeException e) {
                        // one room that stumbles over a job takes neither the shelf nor the other jobs with it
                        LOG.error(
                                "{} could not say what stands in the way of job {}",
                                room.getClass(),
                                job.id(),
                                Unsaid.of(e));
                        lines.add(new Way(
                                room.room(),
                                Mark.FAILS,
                                "One room could not be asked.",
                                "Open the job's rooms.",
                                "not asked"));
                        until.add(AT_ONCE);
                    }
                }));
        lines.sort(Comparator.comparing(Way::mark));
        return new Gathered(lines, until.stream().min(Comparator.naturalOrder()));
    }

    private static Way way(String room, Problem p) {
        return new Way(room, mark(p), p.what(), p.remedy(), "");
    }

    private static Mark mark(Problem p) {
        return p.stops() ? Mark.FAILS : Mark.NEEDS;
    }

    /** A plan that is ready after the call is late. */
    private static Optional<Way> late(Plan plan) {
        long inHand = Words.minutesInHand(plan);
        return inHand >= 0
                ? Optional.empty()
                : Optional.of(new Way(
                        "order",
                        Mark.LATE,
                        "Ready " + Words.ready(plan.ready()) + ", " + Words.inHand(inHand) + ".",
                        "Order shows what brings minutes back.",
                        Words.inHand(inHand)));
    }
}
