package app.kemdro.web.records.strike;

import app.kemdro.core.hour.Wall;
import app.kemdro.core.look.Brief;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Planning;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.strike.Removal;
import app.kemdro.web.parts.mishap.NotPossible;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.plan.Removals;
import app.kemdro.web.records.plan.Snapshots;
import app.kemdro.web.records.run.Course;
import app.kemdro.web.records.run.EventLog;
import app.kemdro.web.records.run.JobLocks;
import app.kemdro.web.records.run.Reports;
import app.kemdro.web.records.run.Run;
import app.kemdro.web.records.run.RunNow;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.run.Standings;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Strikes as they are found: which is on, which were, what comes off and where that stands. */
@Service
public class Strikes {
    /** A day in the chair that ended longer ago than this has come off by now, hours. */
    private static final int WORN_AT_MOST = 36;

    /** Of so many it is kept at hand what comes off. */
    private static final int AT_HAND = 60;

    private final StrikeRunRepository strikes;
    private final EventLog log;
    private final Standings standings;
    private final JobLocks locks;
    private final Removals removals;
    private final Jobs jobs;
    private final Runs runs;
    private final Reports reports;
    private final Plans plans;
    private final Snapshots snapshots;
    private final Clock clock;
    private final Cache<Long, Base> made =
            Caffeine.newBuilder().maximumSize(AT_HAND).build();

    /** What comes off, and how that was first planned. */
    public record Base(Plan plan, Removal removal) {}

    Strikes(
            StrikeRunRepository strikes,
            EventLog log,
            Standings standings,
            JobLocks locks,
            Removals removals,
            Jobs jobs,
            Runs runs,
            Reports reports,
            Plans plans,
            Snapshots snapshots,
            Clock clock) {
        this.strikes = strikes;
        this.log = log;
        this.standings = standings;
        this.locks = locks;
        this.removals = removals;
        this.jobs = jobs;
        this.runs = runs;
        this.reports = reports;
        this.plans = plans;
        this.snapshots = snapshots;
        this.clock = clock;
    }

    /** Now, as the job that was opened reckons. */
    public LocalDateTime now() {
        return Wall.now(clock.instant()).truncatedTo(ChronoUnit.SECONDS);
    }

    /** The strike of this job that has begun and not ended. */
    public Optional<StrikeRun> open(long jobId) {
        return strikes.findFirstByJobIdAndEndedAtIsNullOrderByIdDesc(jobId);
    }

    /** All strikes of a job, the latest first. */
    public List<StrikeRun> of(long jobId) {
        return strikes.findAllByJobIdOrderByIdDesc(jobId);
    }

    /** How long what was laid in a run took to come off, in words; empty where it has not. */
    public Optional<String> of(Run run) {
        return of(run.jobId()).stream()
                .filter(s -> Long.valueOf(run.id()).equals(s.runId()) && s.endedAt() != null)
                .findFirst()
                .map(s -> "Came off in "
                        + Words.span(Duration.between(s.beganAt(), s.endedAt()).toMinutes()) + ", planned "
                        + Words.span(Math.round(standing(s).removal().seconds() / 60.0)) + ".");
    }

    /** The day in the chair whose layers are still on. */
    public Optional<Run> worn(long jobId) {
        return runs.of(jobId).stream()
                .filter(r -> !r.isRehearsal())
                .findFirst()
                .filter(r -> r.endedAt() == null || r.endedAt().isAfter(now().minusHours(WORN_AT_MOST)))
                .filter(r -> of(jobId).stream()
                        .noneMatch(s -> Long.valueOf(r.id()).equals(s.runId())
                                && standing(s).undoing().over()));
    }

    /** Says no longer who this person is that it was taken off, or what they react to; where a run says it, there. */
    public void forgetHealth(long performer, UnaryOperator<Brief.Performer> as) {
        strikes.findAllByPerformerId(performer).stream()
                .filter(s -> !s.brief().isEmpty())
                .forEach(s -> {
                    Brief brief = snapshots.brief(s.brief());
                    s.forget(snapshots.write(brief.on(as.apply(brief.performer()))));
                    strikes.saveAndFlush(s);
                    made.invalidate(s.id());
                });
    }

    /**
     * Begins to take off what was laid in the latest run, which ends with this; without one, all of the job's look.
     *
     * @param urgent whether mouth, nose and eyes come first
     */
    public StrikeRun begin(long jobId, boolean urgent, String account) {
        synchronized (locks.of(jobId)) {
            Optional<StrikeRun> already = open(jobId);
            if (already.isPresent()) {
                return already.get();
            }
            Job job = jobs.get(jobId);
            Optional<Run> worn = worn(jobId);
            StrikeRun fresh = worn.map(r -> new StrikeRun(jobId, r.id(), now(), urgent, "", ""))
                    .orElseGet(() -> new StrikeRun(
                            jobId, null, now(), urgent, snapshots.write(job.look()), snapshots.write(job.brief())));
            fresh.takenOff(job.performer().id());
            Base base = base(fresh);
            if (base.removal().steps().isEmpty()) {
                throw new NotPossible("Nothing has been laid yet: there is nothing to take off.");
            }
            worn.filter(r -> r.endedAt() == null).ifPresent(r -> reports.end(r, "strike-" + r.id(), account));
            fresh.stand(snapshots.write(base.removal().schedule()));
            StrikeRun run = strikes.saveAndFlush(fresh);
            made.put(run.id(), base);
            return run;
        }
    }

    /** How what was laid in a run comes off; what was begun and put down is on the skin as well. */
    public Base worn(Run run, boolean urgent) {
        RunNow standing = standings.of(run);
        Set<String> begun = standing.state().events().stream()
                .filter(e -> e instanceof RunEvent.Start || e instanceof RunEvent.Finish)
                .map(e -> ((RunEvent.AtStep) e).step())
                .collect(Collectors.toSet());
        return new Base(standing.plan(), removals.of(standing.plan(), begun::contains, urgent));
    }

    private Base base(StrikeRun strike) {
        if (strike.runId() != null) {
            Run run = runs.of(strike.jobId()).stream()
                    .filter(r -> strike.runId().equals(r.id()))
                    .findFirst()
                    .orElseThrow(() -> new NotPossible("The run that this takes off is gone."));
            return worn(run, strike.urgent());
        }
        Planning planning = plans.fresh(snapshots.look(strike.look()), snapshots.brief(strike.brief()));
        if (!(planning instanceof Planning.Done done)) {
            throw new NotPossible("The look has no plan: nobody can have laid it. See to it in Look.");
        }
        return new Base(done.plan(), removals.of(done.plan(), step -> true, strike.urgent()));
    }

    /** Where this strike stands. */
    public StrikeNow standing(StrikeRun strike) {
        Base base = made.get(strike.id(), k -> base(strike));
        List<RunEvent> happened = log.of(Course.ofStrike(strike.id()));
        return StrikeNow.of(strike, base, happened, snapshots.schedule(strike.standing()));
    }
}
