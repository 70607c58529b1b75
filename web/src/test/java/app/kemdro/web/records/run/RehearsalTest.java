package app.kemdro.web.records.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.Stamp;
import app.kemdro.core.run.StepState.Status;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.TestClock;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MockMvcTester;

@DemoTest
class RehearsalTest {
    @Autowired
    private Standings standings;

    @Autowired
    private Seats seats;

    @Autowired
    private Reports reports;

    @Autowired
    private Runs runs;

    @Autowired
    private RehearsalPlayer player;

    @Autowired
    private Jobs jobs;

    @Autowired
    private TestClock clock;

    @Autowired
    private MockMvcTester mvc;

    private Run played(Job job) {
        Run run = seats.rehearse(job.id(), "ines", 60);
        for (int k = 0; k < 3000 && runs.open(job.id()).isPresent(); k++) {
            clock.pass(Duration.ofMillis(500));
            while (player.playOne(run)) {
                // one thing after another
            }
        }
        return runs.of(job.id()).get(0);
    }

    /** Copies of the demo's jobs: what is rehearsed here is in nobody else's book. */
    private List<Job> demoJobs() {
        return DemoJobs.all(jobs).stream()
                .filter(j -> j.production().equals("Cold Casting"))
                .map(j -> DemoJobs.like(j.title(), j.title() + ", rehearsed", jobs))
                .toList();
    }

    /** Every character of the demo is played through without a dead end, and every day has its review. */
    @Test
    void everyDemoCharacterIsRehearsedToItsEnd() {
        for (Job job : demoJobs()) {
            Run run = played(job);
            assertThat(run.endedAt()).as(job.title()).isNotNull();
            RunNow s = standings.of(run);
            assertThat(s.allDone()).isTrue();
            assertThat(s.state().steps().values()).noneMatch(x -> x.status() == Status.RUNNING);
            assertThat(mvc.get()
                            .uri("/jobs/" + job.id() + "/chair/review")
                            .with(user("ines").roles("LEAD")))
                    .hasStatus(200)
                    .bodyText()
                    .contains("Where minutes went")
                    .contains("the planner, had it known");
        }
    }

    @Test
    void theSameRehearsalHasTheSameFateAndADriverIsNotPlayedOver() {
        Job job = demoJobs().get(0);
        Run run = seats.rehearse(job.id(), "ines", 60);
        clock.pass(Duration.ofSeconds(1));
        while (player.playOne(run)) {
            // until the hands are busy
        }
        RunNow s = standings.of(run);
        String hands = s.plan().network().workers().get(0).id();
        String step = s.state().runningBy(hands).orElseThrow();
        reports.take(
                job.id(),
                new RunEvent.Drive(new Stamp("drive-0001", runs.now(run), hands, "tablet"), "tablet"),
                "ines");
        clock.pass(Duration.ofSeconds(60));
        while (player.playOne(run)) {
            // the others go on
        }
        assertThat(standings.of(run).state().step(step).status())
                .as("what a person drives waits for that person")
                .isEqualTo(Status.RUNNING);
        var placed = s.schedule().of(step);
        assertThat(RehearsalDraw.ends(7, s.plan(), placed, s.plan().chairIn()))
                .isEqualTo(RehearsalDraw.ends(7, s.plan(), placed, s.plan().chairIn()))
                .isNotEqualTo(RehearsalDraw.ends(8, s.plan(), placed, s.plan().chairIn()));
        reports.take(job.id(), new RunEvent.End(new Stamp("end-00001", runs.now(run), "")), "ines");
    }
}
