package app.kemdro.web.rooms.chair;

import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.core.run.Stamp;
import app.kemdro.core.run.StepState.Status;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.TestClock;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.run.Reports;
import app.kemdro.web.records.run.RunNow;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.run.Seats;
import app.kemdro.web.records.run.Standings;
import app.kemdro.web.records.run.Told;
import java.time.Duration;
import java.time.LocalDateTime;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.assertj.MockMvcTester;

/** A job of its own in the chair, and what devices send and ask there. */
@DemoTest
abstract class Seated {
    @Autowired
    Standings standings;

    @Autowired
    Seats seats;

    @Autowired
    Runs runs;

    @Autowired
    Jobs jobs;

    @Autowired
    TestClock clock;

    @Autowired
    Reports reports;

    @Autowired
    MockMvcTester mvc;

    Job job;

    int pressed;

    @BeforeEach
    void seat() {
        clock.pass(Duration.ofMinutes(1));
        job = DemoJobs.like("Orrin Vask", "In the chair", jobs);
        seats.begin(job.id(), "ines");
    }

    record Said(int status, String body) {}

    Said press(String device, String type, String step, String hands, String text, int seconds, long ago)
            throws Exception {
        String body =
                "{\"id\":\"live-%06d\",\"device\":\"%s\",\"type\":\"%s\",\"step\":\"%s\",\"hands\":\"%s\",\"text\":\"%s\",\"seconds\":%d,\"ago\":%d}"
                        .formatted(pressed++, device, type, step, hands, text, seconds, ago);
        var response = mvc.post()
                .uri("/jobs/" + job.id() + "/chair/events")
                .contentType(MediaType.APPLICATION_JSON)
                .content(body)
                .with(csrf())
                .with(user("ines").roles("LEAD"))
                .exchange()
                .getResponse();
        return new Said(response.getStatus(), response.getContentAsString());
    }

    Said press(String type, String step, String hands, String text) throws Exception {
        return press("tablet", type, step, hands, text, 0, 0);
    }

    String get(String path) throws Exception {
        return mvc.get()
                .uri("/jobs/" + job.id() + "/chair/" + path)
                .with(user("ines").roles("LEAD"))
                .exchange()
                .getResponse()
                .getContentAsString();
    }

    RunNow now() {
        return standings.of(runs.open(job.id()).orElseThrow());
    }

    ScheduledTask next(String hands) {
        RunNow s = now();
        return s.schedule().placed().stream()
                .filter(p ->
                        hands.equals(p.worker()) && s.state().step(p.task()).status() == Status.WAITING)
                .findFirst()
                .orElseThrow();
    }

    /** Carries out the plan for so long. */
    void carryOut(Duration time) {
        LocalDateTime end = LocalDateTime.now(clock).plus(time);
        while (LocalDateTime.now(clock).isBefore(end)) {
            RunNow s = now();
            LocalDateTime at = runs.now(s.run());
            s.plan().network().workers().forEach(w -> finishWhatIsOver(at, w.id()));
            s.plan().network().workers().forEach(w -> beginWhatIsDue(at, w.id()));
            clock.pass(Duration.ofSeconds(20));
        }
    }

    private void finishWhatIsOver(LocalDateTime at, String hands) {
        RunNow s = now();
        s.state()
                .runningBy(hands)
                .filter(step -> !s.plan().clock(s.schedule().of(step).end()).isAfter(at))
                .ifPresent(step -> report(at, hands, "FINISH", step));
    }

    private void beginWhatIsDue(LocalDateTime at, String hands) {
        RunNow s = now();
        if (s.state().runningBy(hands).isEmpty()) {
            s.schedule().placed().stream()
                    .filter(p -> hands.equals(p.worker()))
                    .filter(p -> s.state().step(p.task()).status() == Status.WAITING)
                    .findFirst()
                    .filter(p -> !s.plan().clock(p.start()).isAfter(at))
                    .ifPresent(p -> report(at, hands, "START", p.task()));
        }
    }

    void report(LocalDateTime at, String hands, String type, String step) {
        reports.take(job.id(), Told.event(new Stamp("carry-" + pressed++, at, hands), type, step, 0, ""), "ines");
    }
}
