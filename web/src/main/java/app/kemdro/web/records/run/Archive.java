package app.kemdro.web.records.run;

import app.kemdro.core.look.Brief;
import app.kemdro.core.run.RunEvent;
import app.kemdro.web.records.plan.Snapshots;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Service;

/** Runs as they are kept: who sat in which, and what is taken out of them when somebody asks to be forgotten. */
@Service
public class Archive {
    private static final String TAKEN_OUT = "taken out";

    private final RunRepository rows;
    private final EventLog log;
    private final Standings standings;
    private final Snapshots snapshots;
    private final JobLocks locks;

    Archive(RunRepository rows, EventLog log, Standings standings, Snapshots snapshots, JobLocks locks) {
        this.rows = rows;
        this.log = log;
        this.standings = standings;
        this.snapshots = snapshots;
        this.locks = locks;
    }

    /** Runs in which this person sat, whoever sits for their jobs now and whatever they were called then. */
    public List<Run> satBy(long performer) {
        return rows.findAllByPerformerIdOrderById(performer);
    }

    /**
     * Takes the performer's health out of what is kept of a run.
     *
     * @param as who is to have sat instead, with the same measures
     */
    public void forgetHealth(Run run, UnaryOperator<Brief.Performer> as) {
        synchronized (locks.of(run.jobId())) {
            Brief brief = snapshots.brief(run.brief());
            run.forget(snapshots.write(brief.on(as.apply(brief.performer()))));
            rows.saveAndFlush(run);
            log.reword(
                    Course.ofRun(run.id()),
                    e -> e instanceof RunEvent.Reaction
                            ? Optional.of(new RunEvent.Reaction(e.stamp(), TAKEN_OUT))
                            : Optional.empty());
            standings.forget(run.id());
        }
    }
}
