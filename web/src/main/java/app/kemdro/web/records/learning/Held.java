package app.kemdro.web.records.learning;

import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.run.OnTheJob;
import app.kemdro.web.records.run.Run;
import app.kemdro.web.records.run.RunOf;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.run.Standings;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
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

    /** Days beside which a run can be laid: of the same character or the same performer, the latest first. */
    public List<Choice> beside(Run run, Authentication who) {
        Job own = jobs.get(run.jobId());
        List<RunOf> like = runs.like(own.title(), own.performer().id());
        Set<Long> seen = onTheJob.seen(who, like.stream().map(RunOf::job).collect(Collectors.toSet()));
        return like.stream()
                .filter(r -> r.run() != run.id() && seen.contains(r.job()))
                .map(r -> new Choice(r.run(), r.job(), says(r)))
                .toList();
    }

    private static String says(RunOf run) {
        return run.title() + ", " + Words.moment(run.beganAt()) + (run.pace() > 0 ? ", rehearsal" : "");
    }

    /** The day of a run this person may read about; empty where there is none, or it can no longer be planned. */
    public Optional<Day> day(long id, Authentication who) {
        return runs.find(id).flatMap(run -> {
            Job job = jobs.get(run.jobId());
            return job.setAside().isEmpty() && onTheJob.sees(who, job)
                    ? standings.stillPlanned(run).map(p -> Day.of(job, run, standings))
                    : Optional.empty();
        });
    }
}
