package app.kemdro.web.records.run;

import app.kemdro.core.method.Trade;
import app.kemdro.core.run.EventGuard;
import app.kemdro.core.run.Ruling;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.Stamp;
import app.kemdro.web.parts.mishap.NotPossible;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.plan.Snapshots;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Takes in what is reported of a run, wherever it was pressed: guarded, once, stored before it is answered. */
@Service
public class Reports {
    private final RunRepository rows;
    private final Runs runs;
    private final Standings standings;
    private final Replanning replanning;
    private final EventLog log;
    private final Snapshots snapshots;
    private final Outbox outbox;
    private final JobLocks locks;
    private final TransactionTemplate transaction;
    private final EventGuard guard;

    Reports(
            RunRepository rows,
            Runs runs,
            Standings standings,
            Replanning replanning,
            EventLog log,
            Snapshots snapshots,
            Outbox outbox,
            JobLocks locks,
            TransactionTemplate transaction,
            Trade trade,
            Plans plans) {
        this.rows = rows;
        this.runs = runs;
        this.standings = standings;
        this.replanning = replanning;
        this.log = log;
        this.snapshots = snapshots;
        this.outbox = outbox;
        this.locks = locks;
        this.transaction = transaction;
        this.guard = new EventGuard(trade, plans.live());
    }

    /**
     * Takes in a report, plans the rest again, and says where the run stands then. The same id again changes nothing.
     *
     * @throws NotPossible when what is reported cannot be
     * @throws Asked where it can, but somebody who means it should say so
     */
    public RunNow take(long jobId, RunEvent event, String account) {
        synchronized (locks.of(jobId)) {
            RunNow before = standings.of(runs.running(jobId));
            if (before.happened().stream().anyMatch(e -> e.id().equals(event.id()))) {
                return before;
            }
            RunNow after = after(event, before);
            List<RunEvent> added = after.happened()
                    .subList(before.happened().size(), after.happened().size());
            Stored stored = transaction.execute(t -> store(after, before, added, account));
            log.keep(Course.ofRun(stored.now().run().id()), stored.now().happened());
            outbox.deliver(stored.due(), stored.now());
            return stored.now();
        }
    }

    /**
     * Where the run would stand after a report that nobody has made yet. Nothing is stored.
     *
     * @throws NotPossible when that cannot be
     */
    public RunNow would(Run run, RunEvent event) {
        return after(event, standings.of(run));
    }

    private RunNow after(RunEvent event, RunNow before) {
        return replanning.after(allowed(guard.check(event, before.stands())), before);
    }

    private record Stored(RunNow now, List<FollowUp> due) {}

    private Stored store(RunNow after, RunNow before, List<RunEvent> added, String account) {
        Run run = after.run();
        log.add(Course.ofRun(run.id()), added, account);
        added.stream().filter(RunEvent.End.class::isInstance).forEach(e -> run.end(e.at()));
        run.stand(snapshots.write(after.schedule()), after.trouble());
        RunNow now = after.reported(rows.saveAndFlush(run), before);
        return new Stored(now, outbox.add(now.run(), added.get(0)));
    }

    /**
     * What is written down where a report was allowed.
     *
     * @throws NotPossible where it was not
     * @throws Asked where somebody who means it should say so
     */
    public static RunEvent allowed(Ruling ruling) {
        if (ruling instanceof Ruling.Can can) {
            return can.event();
        }
        throw ruling instanceof Ruling.Asks asks
                ? new Asked(asks.question())
                : new NotPossible(((Ruling.Cannot) ruling).why());
    }

    /** Ends a run from elsewhere. */
    public void end(Run run, String press, String account) {
        take(run.jobId(), new RunEvent.End(new Stamp(press, runs.now(run), "")), account);
    }
}
