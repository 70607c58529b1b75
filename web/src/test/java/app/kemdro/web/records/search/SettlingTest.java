package app.kemdro.web.records.search;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import app.kemdro.core.look.Brief.Room;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduleCheck;
import app.kemdro.web.AsLead;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.HeldProver;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.PlannedAhead;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.run.Seats;
import java.time.Duration;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.annotation.Import;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.assertj.MockMvcTester;

/** An order settles by itself after a change; what is searched with is held here, so that a slow machine changes nothing. */
@DemoTest
@Import(HeldProver.Instead.class)
@TestPropertySource(properties = {"kemdro.settling=1s", "kemdro.pointing=1d"})
class SettlingTest {
    private static final Duration PATIENCE = Duration.ofMinutes(2);

    @Autowired
    private Jobs jobs;

    @Autowired
    private Plans plans;

    @Autowired
    private Seats seats;

    @Autowired
    private Searches searches;

    @Autowired
    private HeldProver prover;

    @Autowired
    private ApplicationEventPublisher events;

    @Autowired
    private MockMvcTester mvc;

    @BeforeEach
    void holds() {
        prover.hold();
    }

    @AfterEach
    void letsGo() {
        prover.letGo();
    }

    private Plan plan(Job job) {
        return plans.of(jobs.get(job.id())).plan().orElseThrow();
    }

    private void isOver(Job job) {
        await().atMost(PATIENCE).until(() -> !searches.state(job.id()).looking());
    }

    /** In damper air everything dries more slowly. */
    private Job changed(Job job) {
        Room room = job.brief().room();
        Room damper = new Room(room.temperatureC(), room.humidityPercent() + 5, room.dryers());
        return plans.pull(job, job.look(), job.brief().in(damper)).job();
    }

    @Test
    void whatIsFoundAfterAChangeFlowsInAndWhatWasMeantStands() throws Exception {
        Job job = DemoJobs.like("Orrin Vask", "Settles", jobs);
        Job changed = changed(job);
        Plan before = plan(job);
        assertThat(searches.state(job.id()).looking()).isTrue();
        AsLead lead = new AsLead(mvc);
        assertThat(lead.get("/jobs/" + job.id() + "/look")).contains("data-settles");
        assertThat(lead.get("/jobs/" + job.id() + "/chair")).doesNotContain("data-settles");
        prover.letGo();
        isOver(job);
        Plan after = plan(job);
        int saved = before.schedule().ready() - after.schedule().ready();
        assertThat(saved).as("this look's order can be bettered").isGreaterThanOrEqualTo(60);
        assertThat(ScheduleCheck.problems(after.network(), after.schedule())).isEmpty();
        assertThat(searches.found(jobs.get(job.id()))).isEqualTo(Math.round(saved / 60.0) + " min found.");
        assertThat(lead.get("/jobs/" + job.id() + "/order"))
                .contains(" min found.")
                .doesNotContain("data-settles");
        // whoever has the page of before open still presses what is meant
        assertThat(jobs.get(job.id()).version()).isNotEqualTo(changed.version());
        assertThat(jobs.get(job.id()).meant()).isEqualTo(changed.meant());
        Map<String, Object> told =
                lead.post("/jobs/" + job.id() + "/order/chair-in", "had", changed.meant(), "often", "9 times of 10");
        assertThat(told.toString()).doesNotContain("another screen");
    }

    @Test
    void theNextChangeLooksAnewAndWhatWasFoundForTheOneBeforeIsDropped() {
        Job job = DemoJobs.like("Orrin Vask", "Twice", jobs);
        Job once = changed(job);
        await().atMost(PATIENCE).until(() -> prover.begun() > 0);
        Job twice = changed(once);
        Schedule then = plan(twice).schedule();
        assertThat(searches.state(job.id()).looking()).isTrue();
        assertThat(plan(twice).schedule()).isEqualTo(then);
        prover.letGo();
        isOver(job);
        assertThat(plan(twice).network())
                .isEqualTo(plans.of(twice).plan().orElseThrow().network());
        assertThat(plan(twice).schedule().ready()).isLessThanOrEqualTo(then.ready());
    }

    @Test
    void oneIsLookedForAtATimeAndTheNextSaysThatItWaits() {
        Job first = DemoJobs.like("Sprue", "First in line", jobs);
        Job second = DemoJobs.like("Cinder", "Second in line", jobs);
        searches.ask(first, Duration.ofSeconds(5));
        searches.ask(second, Duration.ofSeconds(5));
        assertThat(searches.state(second.id()).says())
                .isEqualTo("Another order is looked for first; this one is next.");
        searches.stop(first.id());
        isOver(first);
        assertThat(searches.state(second.id()).looking()).isTrue();
        prover.letGo();
        isOver(second);
        assertThat(searches.state(second.id()).says()).isNotEmpty();
    }

    @Test
    void whatIsFoundWaitsWhileSomebodyPointsAtAPressAndIsDroppedByIt() {
        Job job = DemoJobs.like("Orrin Vask", "Pointed at", jobs);
        Job once = changed(job);
        Schedule then = plan(once).schedule();
        int answered = prover.answered();
        // as a pointer that rests on a button has it planned
        events.publishEvent(new PlannedAhead(plans.of(once), once));
        prover.letGo();
        await().atMost(PATIENCE).until(() -> prover.answered() > answered);
        await().during(Duration.ofSeconds(3))
                .atMost(PATIENCE)
                .until(() -> searches.state(job.id()).looking());
        assertThat(plan(once).schedule()).isEqualTo(then);
        Job twice = changed(once);
        isOver(job);
        assertThat(plan(twice).network())
                .isEqualTo(plans.of(twice).plan().orElseThrow().network());
    }

    @Test
    void whileSomebodySitsTheOrderStays() {
        Job job = DemoJobs.like("Orrin Vask", "Sits", jobs);
        Job changed = changed(job);
        await().atMost(PATIENCE).until(() -> searches.state(job.id()).looking());
        Schedule then = plan(changed).schedule();
        seats.begin(job.id(), "ines");
        prover.letGo();
        isOver(job);
        assertThat(plan(changed).schedule()).isEqualTo(then);
        assertThat(searches.found(jobs.get(job.id()))).isEmpty();
    }
}
