package app.kemdro.web.rooms.floor;

import app.kemdro.core.hour.Wall;
import app.kemdro.core.run.RunEvent;
import app.kemdro.web.parts.json.Json;
import app.kemdro.web.parts.live.Screens;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.run.Follower;
import app.kemdro.web.records.run.Run;
import app.kemdro.web.records.run.RunNow;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.run.Standings;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What the floor may know of a job, as JSON. */
@Component
class Floor implements Follower {
    private final Jobs jobs;
    private final Plans plans;
    private final Runs runs;
    private final Standings standings;
    private final Json json;
    private final Screens screens;
    private final Clock clock;

    Floor(Jobs jobs, Plans plans, Runs runs, Standings standings, Json json, Screens screens, Clock clock) {
        this.jobs = jobs;
        this.plans = plans;
        this.runs = runs;
        this.standings = standings;
        this.json = json;
        this.screens = screens;
        this.clock = clock;
    }

    /** What screens of the floor listen to. */
    String channel(long jobId) {
        return "floor " + jobId;
    }

    @Override
    public String name() {
        return "floor";
    }

    /** Nothing is worked out where nobody looks. */
    @Override
    public boolean follows(RunEvent event, Run run) {
        return screens.anybody(channel(run.jobId()));
    }

    @Override
    public void follow(RunNow now, String press) {
        screens.tell(channel(now.run().jobId()), "now", json.text(FloorView.of(now, runs.now(now.run()))));
    }

    /** How it stands: the run that is on, or the last one of today, or the plan. */
    String now(long jobId) {
        Job job = jobs.get(jobId);
        LocalDateTime now = Wall.now(clock.instant());
        Optional<Run> run = runs.open(jobId)
                .or(() -> runs.of(jobId).stream()
                        .filter(r -> r.callAt().equals(job.brief().call()) && !r.isRehearsal())
                        .findFirst());
        if (run.isPresent()) {
            return json.text(FloorView.of(standings.of(run.get()), runs.now(run.get())));
        }
        Plans.Answer answer = plans.of(job);
        return answer.plan()
                .map(p -> json.text(FloorView.planned(p, answer.confidence().orElseThrow(), now)))
                .orElse("null");
    }
}
