package app.kemdro.web.chair;

import app.kemdro.web.job.Job;
import app.kemdro.web.job.Jobs;
import app.kemdro.web.plans.Plans;
import app.kemdro.web.room.Json;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What the floor may know of a job, as JSON. */
@Component
public class Floor {
    private final Jobs jobs;
    private final Plans plans;
    private final Runs runs;
    private final Json json;
    private final Clock clock;

    Floor(Jobs jobs, Plans plans, Runs runs, Json json, Clock clock) {
        this.jobs = jobs;
        this.plans = plans;
        this.runs = runs;
        this.json = json;
        this.clock = clock;
    }

    /** What screens of the floor listen to. */
    public String channel(long jobId) {
        return Announcer.floor(jobId);
    }

    /** How it stands: the run that is on, or the last one of today, or the plan. */
    public String now(long jobId) {
        Job job = jobs.get(jobId);
        LocalDateTime now = LocalDateTime.now(clock);
        Optional<Run> run = runs.open(jobId)
                .or(() -> runs.of(jobId).stream()
                        .filter(r -> r.callAt().equals(job.brief().call()) && !r.isRehearsal())
                        .findFirst());
        if (run.isPresent()) {
            return json.text(FloorView.of(runs.standing(run.get()), runs.now(run.get())));
        }
        Plans.Answer answer = plans.of(job);
        return answer.plan()
                .map(p -> json.text(FloorView.planned(p, answer.confidence().orElseThrow(), now)))
                .orElse("null");
    }
}
