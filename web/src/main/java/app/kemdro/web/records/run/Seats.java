package app.kemdro.web.records.run;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Planning;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.Stamp;
import app.kemdro.web.parts.mishap.NotPossible;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.plan.Snapshots;
import app.kemdro.web.records.run.Standings.Base;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** How runs begin: the performer sits down, now or in a rehearsal. */
@Service
public class Seats {
    private final RunRepository rows;
    private final Runs runs;
    private final Standings standings;
    private final EventLog log;
    private final Jobs jobs;
    private final Plans plans;
    private final Snapshots snapshots;
    private final JobLocks locks;
    private final TransactionTemplate transaction;

    Seats(
            RunRepository rows,
            Runs runs,
            Standings standings,
            EventLog log,
            Jobs jobs,
            Plans plans,
            Snapshots snapshots,
            JobLocks locks,
            TransactionTemplate transaction) {
        this.rows = rows;
        this.runs = runs;
        this.standings = standings;
        this.log = log;
        this.jobs = jobs;
        this.plans = plans;
        this.snapshots = snapshots;
        this.locks = locks;
        this.transaction = transaction;
    }

    /** Seats the performer now; the plan is made for the chair-in that really was. */
    public Run begin(long jobId, String account) {
        synchronized (locks.of(jobId)) {
            Optional<Run> already = runs.open(jobId);
            if (already.isPresent()) {
                return already.get();
            }
            Job job = jobs.get(jobId);
            LocalDateTime at = runs.real(job.brief().call()).truncatedTo(ChronoUnit.SECONDS);
            Base base = planned(job, Seating.brief(job.brief(), at, callFor(job, at)));
            return transaction.execute(t -> seat(job, base, account, 0));
        }
    }

    /** Begins a rehearsal at the planned chair-in, on a clock of its own. */
    public Run rehearse(long jobId, String account, int pace) {
        synchronized (locks.of(jobId)) {
            Optional<Run> already = runs.open(jobId);
            if (already.isPresent()) {
                return already.get();
            }
            Job job = jobs.get(jobId);
            Plan plan = plans.of(job).plan().orElseGet(() -> NotPossible.unlessPlanned(plans.near(job, job.brief())));
            Base base =
                    new Base(plan.carriedOut(plans.of(job).look()), plan.brief().seated(plan.chairIn()), plan);
            return transaction.execute(t -> seat(job, base, account, pace));
        }
    }

    /** Sets the pace of a rehearsal. */
    public void pace(long jobId, int pace) {
        synchronized (locks.of(jobId)) {
            runs.open(jobId).filter(Run::isRehearsal).ifPresent(run -> {
                LocalDateTime real = runs.real(run.callAt());
                run.pace(real, run.time(real), pace);
                rows.saveAndFlush(run);
            });
        }
    }

    /** The call that a run begun at this time works towards: the job's own, or one moved along for a rehearsal. */
    public LocalDateTime callFor(Job job, LocalDateTime at) {
        Optional<Plan> plan = plans.of(job).plan();
        return plan.isEmpty() ? job.brief().call() : Seating.call(plan.get(), at);
    }

    /** The plan a run at this time would follow. */
    public Plan planAt(Job job, LocalDateTime chairIn) {
        return planned(job, Seating.brief(job.brief(), chairIn, job.brief().call()))
                .plan();
    }

    /**
     * Stores a run that followed this plan and is over; for runs that were not held here.
     *
     * @param pace minutes that passed in one, where it was a rehearsal; else 0
     */
    public void storeFinished(Job job, Plan plan, List<RunEvent> reports, String account, int pace) {
        transaction.executeWithoutResult(t -> {
            Run run = seat(job, new Base(plan.carriedOut(job.look()), plan.brief(), plan), account, pace);
            log.add(Course.ofRun(run.id()), reports, account);
            run.end(reports.get(reports.size() - 1).at());
        });
    }

    private Base planned(Job job, Brief seated) {
        Planning planning = plans.near(job, seated);
        // what stands aside is not begun
        Look look = plans.of(job).look();
        if (planning instanceof Planning.Refused && !look.wishes().isEmpty()) {
            // a wish that this chair-in does not allow must not keep anybody from beginning
            look = look.wishing(List.of());
            planning = plans.fresh(look, seated);
        }
        Plan plan = NotPossible.unlessPlanned(planning);
        return new Base(plan.carriedOut(look), seated, plan);
    }

    private Run seat(Job job, Base base, String account, int pace) {
        Plan plan = base.plan();
        Run fresh = new Run(
                job.id(),
                plan.chairIn(),
                plan.brief().call(),
                snapshots.write(base.look()),
                snapshots.write(base.brief()),
                snapshots.write(plan.schedule()));
        fresh.satBy(job.performer().id());
        if (pace > 0) {
            fresh.pace(runs.real(fresh.callAt()), plan.chairIn(), pace);
        }
        Run run = rows.saveAndFlush(fresh);
        Stamp first = new Stamp("begin-" + run.id(), plan.chairIn(), "");
        log.add(Course.ofRun(run.id()), List.of(new RunEvent.Begin(first)), account);
        standings.begins(run.id(), base);
        return run;
    }
}
