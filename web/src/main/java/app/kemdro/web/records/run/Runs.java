package app.kemdro.web.records.run;

import app.kemdro.core.hour.HouseLine;
import app.kemdro.core.hour.Wall;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.RunState;
import app.kemdro.web.parts.mishap.NotPossible;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;

/** Runs as they are found: which is on, which were, and what their clocks say. */
@Service
public class Runs {
    private static final int LIKE = 100;

    private final RunRepository runs;
    private final EventLog log;
    private final Clock clock;
    private volatile boolean seenThrough;

    Runs(RunRepository runs, EventLog log, Clock clock) {
        this.runs = runs;
        this.log = log;
        this.clock = clock;
    }

    /** Whether anybody has seen a run through in this house; once it is so, it is not asked again. */
    public boolean wereSeenThrough() {
        seenThrough = seenThrough || runs.existsByEndedAtIsNotNull();
        return seenThrough;
    }

    /** The run of this job that has begun and not ended. */
    public Optional<Run> open(long jobId) {
        return runs.findFirstByJobIdAndEndedAtIsNullOrderByIdDesc(jobId);
    }

    /**
     * The run of this job that is on.
     *
     * @throws NotPossible where none is
     */
    public Run running(long jobId) {
        return open(jobId).orElseThrow(() -> new NotPossible("No run is on. Begin one in the chair."));
    }

    /** Jobs of which a run is on. */
    public Set<Long> openJobs() {
        return runs.openJobs();
    }

    /** All runs of a job, the latest first. */
    public List<Run> of(long jobId) {
        return runs.findAllByJobIdOrderByIdDesc(jobId);
    }

    /** The run of this number. */
    public Optional<Run> find(long id) {
        return runs.findById(id);
    }

    /** The latest runs of jobs that are called so or for which this person sits. */
    public List<RunOf> like(String title, long performer) {
        return runs.like(title, performer, Limit.of(LIKE));
    }

    /** Rehearsals that have begun and not ended. */
    List<Run> rehearsals() {
        return runs.findAllByEndedAtIsNullAndPaceGreaterThan(0);
    }

    /** Runs that have begun and not ended and are no rehearsals. */
    public List<Run> atWork() {
        return runs.findAllByEndedAtIsNullAndPace(0);
    }

    /** When the latest run ended that was no rehearsal. */
    public Optional<LocalDateTime> lastEnd() {
        return runs.lastEnd();
    }

    /** The latest runs of the house that are over and were no rehearsals. */
    public List<Run> held() {
        return runs.findTop30ByEndedAtIsNotNullAndPaceOrderByIdDesc(0);
    }

    /** Hands that have joined the run of this job that is on, and have not left it. */
    public Set<String> joined(long jobId) {
        Set<String> here = new HashSet<>();
        open(jobId).stream()
                .flatMap(r -> RunState.of(log.of(Course.ofRun(r.id()))).events().stream())
                .forEach(e -> {
                    if (e instanceof RunEvent.Join) {
                        here.add(e.hands());
                    } else if (e instanceof RunEvent.Leave) {
                        here.remove(e.hands());
                    }
                });
        return here;
    }

    /**
     * Refuses to change what is being carried out.
     *
     * @throws NotPossible while a run of this job is open
     */
    public void refuseWhileRunning(long jobId) {
        if (open(jobId).isPresent()) {
            throw new NotPossible(
                    "The run is on: look and brief stay as they are until it has ended. End it in the chair first.");
        }
    }

    /** Now, as a job with this call reckons. */
    LocalDateTime real(LocalDateTime call) {
        return HouseLine.now(Wall.zone(), call, clock.instant()).truncatedTo(ChronoUnit.MILLIS);
    }

    /** What the clock of this run says; its own clock where it is a rehearsal. */
    public LocalDateTime now(Run run) {
        return run.time(real(run.callAt())).truncatedTo(ChronoUnit.SECONDS);
    }
}
