package app.kemdro.web.records.learning;

import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.run.OnTheJob;
import app.kemdro.web.records.run.Run;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.run.Standings;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Component;

/** Days in the chair that somebody may read about. */
@Component
public class Held {
    private final Jobs jobs;
    private final Runs runs;
    private final OnTheJob onTheJob;
    private final Standings standings;

    Held(Jobs jobs, Runs runs, OnTheJob onTheJob, Standings standings) {
        this.standings = standings;
        this.jobs = jobs;
        this.runs = runs;
        this.onTheJob = onTheJob;
    }

    /** A day to choose. */
    record Choice(long run, long job, String says) {}

    public List<Job> jobs(Authentication who) {
        return jobs.byCall().stream().filter(j -> onTheJob.sees(who, j)).toList();
    }

    /** Days beside which a run can be laid: of the same character or the same performer, the latest first. */
    public List<Choice> beside(Run run, Authentication who) {
        Job own = jobs.get(run.jobId());
        return jobs(who).stream()
                .filter(j -> j.title().equalsIgnoreCase(own.title())
                        || j.performer().id() == own.performer().id())
                .flatMap(j -> runs.of(j.id()).stream()
                        .filter(r -> r.id() != run.id())
                        .map(r -> new Choice(r.id(), j.id(), says(j, r))))
                .sorted(Comparator.comparing(Choice::run).reversed())
                .toList();
    }

    private static String says(Job job, Run run) {
        return job.title() + ", " + Words.moment(run.beganAt()) + (run.isRehearsal() ? ", rehearsal" : "");
    }

    /** The day of a run this person may read about; empty where there is none, or it can no longer be planned. */
    public Optional<Day> day(long run, Authentication who) {
        return jobs(who).stream()
                .flatMap(
                        j -> runs.of(j.id()).stream().filter(r -> r.id() == run).map(r -> day(j, r)))
                .findFirst()
                .flatMap(d -> d);
    }

    private Optional<Day> day(Job job, Run run) {
        return standings.stillPlanned(run).map(p -> Day.of(job, run, standings));
    }
}
