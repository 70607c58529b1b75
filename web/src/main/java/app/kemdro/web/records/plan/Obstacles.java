package app.kemdro.web.records.plan;

import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Problem;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.plan.Plans.Answer;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Everything that stands in the way of a job, gathered from all rooms: what stops comes first. */
@Component
public class Obstacles {
    private static final Logger LOG = LoggerFactory.getLogger(Obstacles.class);
    private static final int REMEMBERED = 300;

    /** What rooms said is asked for again after so long, because the day and the house go on without the job. */
    private static final Duration STANDS = Duration.ofSeconds(20);

    private final List<InTheWay> rooms;
    private final Clock clock;
    private final Map<Long, Known> known = new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Long, Known> eldest) {
            return size() > REMEMBERED;
        }
    };

    private record Known(String version, LocalDateTime at, List<Problem> lines) {}

    Obstacles(List<InTheWay> rooms, Clock clock) {
        this.rooms = rooms;
        this.clock = clock;
    }

    public List<Problem> of(Job job, Answer answer) {
        List<Problem> all = new ArrayList<>(answer.problems());
        answer.plan().ifPresent(p -> all.addAll(fromRooms(job, p)));
        all.sort(Comparator.comparing(p -> !p.stops()));
        return all;
    }

    private synchronized List<Problem> fromRooms(Job job, Plan plan) {
        LocalDateTime now = LocalDateTime.now(clock);
        Optional<Known> before = Optional.ofNullable(known.get(job.id()))
                .filter(k -> k.version().equals(job.version())
                        && !k.at().plus(STANDS).isBefore(now)
                        && !k.at().isAfter(now));
        if (before.isPresent()) {
            return before.get().lines();
        }
        List<Problem> lines = new ArrayList<>();
        for (InTheWay room : rooms) {
            try {
                lines.addAll(room.of(job, plan));
            } catch (RuntimeException e) {
                // one room that stumbles over a job takes neither the shelf nor the other jobs with it
                LOG.error("{} could not say what stands in the way of job {}", room.getClass(), job.id(), e);
                lines.add(Problem.obstacle(true, "One room could not be asked.", "Open the job's rooms.", List.of()));
            }
        }
        known.put(job.id(), new Known(job.version(), now, lines));
        return lines;
    }
}
