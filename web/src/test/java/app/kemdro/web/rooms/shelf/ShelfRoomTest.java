package app.kemdro.web.rooms.shelf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.LookEntry;
import app.kemdro.web.AsLead;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.TestClock;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.run.Seats;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.assertj.MockMvcTester;

@DemoTest
class ShelfRoomTest {
    @Autowired
    private Jobs jobs;

    @Autowired
    private Plans plans;

    @Autowired
    private Seats seats;

    @Autowired
    private Runs runs;

    @Autowired
    private TestClock clock;

    @Autowired
    private JdbcTemplate database;

    @Autowired
    private MockMvcTester mvc;

    private AsLead lead;

    @BeforeEach
    void asLead() {
        lead = new AsLead(mvc);
    }

    @Test
    void aJobIsSetAsideForThirtyDaysAndPutBackAsItWas() throws Exception {
        Job job = DemoJobs.like("Orrin Vask", "set aside", jobs);
        lead.post("/jobs/" + job.id() + "/remove");
        assertThat(DemoJobs.all(jobs)).noneMatch(j -> j.id() == job.id());
        assertThat(lead.get("/shelf")).contains("set aside");
        lead.post("/jobs/" + job.id() + "/put-back");
        assertThat(DemoJobs.all(jobs)).anyMatch(j -> j.id() == job.id());
        assertThat(jobs.get(job.id()).look()).isEqualTo(job.look());
        assertThat(plans.of(jobs.get(job.id())).plan()).isPresent();
    }

    @Test
    void noJobIsTakenOffTheShelfWhileSomebodySitsForIt() throws Exception {
        Job job = DemoJobs.like("Orrin Vask", "sat for", jobs);
        seats.begin(job.id(), "ines");
        lead.post("/jobs/" + job.id() + "/remove");
        assertThat(DemoJobs.all(jobs)).anyMatch(j -> j.id() == job.id());
        assertThat(runs.open(job.id())).isPresent();
    }

    /** Breaks every 20 minutes, then every 240, the order kept each time: every room goes on, and so does every other job. */
    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void noRuleOfBreaksTakesTheShelfDown(boolean selfApplied) throws Exception {
        Job job = DemoJobs.like("Sprue", "breaks " + selfApplied, jobs);
        for (int every : List.of(20, 240, 20)) {
            Brief b = jobs.get(job.id()).brief();
            Brief rule = new Brief(
                    b.call(),
                    b.chairIn(),
                    b.performer(),
                    List.of(b.crew().get(0)),
                    b.room(),
                    b.costumeCovers(),
                    b.costumeMinutes(),
                    selfApplied,
                    b.purpose(),
                    new Brief.Breaks(every, 10, 25));
            plans.change(jobs.get(job.id()), j -> j.describe(j.title(), "", "", rule));
            for (String path : List.of("/shelf", "/jobs/" + job.id() + "/look", "/jobs/" + job.id() + "/order")) {
                assertThat(lead.answer(path).getStatus())
                        .as(path + " every " + every)
                        .isEqualTo(200);
            }
        }
    }

    /** Whoever types a performer's name learns of no job by it, unless they may know who sits. */
    @Test
    void aPerformersNameFindsJobsForLeadsOnly() throws Exception {
        String name = DemoJobs.called("Sprue", jobs).brief().performer().name().replaceFirst(" .*", "");
        assertThat(lead.get("/shelf?find=" + name)).contains("Sprue");
        for (String role : List.of("HANDS", "FLOOR")) {
            assertThat(mvc.get()
                            .uri("/shelf?find=" + name)
                            .with(user("somebody").roles(role)))
                    .bodyText()
                    .doesNotContain("Sprue");
            assertThat(mvc.get().uri("/shelf?find=sprue").with(user("somebody").roles(role)))
                    .bodyText()
                    .contains("Sprue");
        }
    }

    /** What cannot even be read stands on the shelf with words, and the others stay what they are. */
    @Test
    void aJobThatCannotBeReadNeverStopsAnother() throws Exception {
        Job broken = DemoJobs.like("Sprue", "unreadable", jobs);
        database.update(
                "update job set order_before = 'not an order', look_before = 'no look' where id = ?", broken.id());
        assertThat(lead.get("/shelf?find=Orrin")).contains("Orrin Vask");
        assertThat(lead.get("/shelf?find=unreadable")).contains("unreadable");
        assertThat(lead.answer("/jobs/" + broken.id() + "/look").getStatus()).isEqualTo(200);
        jobs.setAside(broken.id(), java.time.LocalDateTime.now(clock));
    }

    @Test
    void whatStandsInTheWayInAnyRoomIsSaidOnTheShelf() throws Exception {
        Job job = DemoJobs.like("Orrin Vask", "many things missing", jobs);
        jobs.change(job.id(), j -> {
            List<LookEntry> more = new ArrayList<>(j.look().entries());
            more.add(new LookEntry("edge-of-nothing", "edge-latex", List.of("chin"), 0));
            j.setLook(j.look().with(more));
        });
        clock.pass(Duration.ofSeconds(1));
        assertThat(mvc.get()
                        .uri("/shelf")
                        .param("find", "many things missing")
                        .with(user("ines").roles("LEAD")))
                .bodyText()
                .contains("chin needs");
    }
}
