package app.kemdro.web.rooms.order;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.web.AsLead;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.Plans;
import java.util.Map;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MockMvcTester;

@DemoTest
class WaysRoomTest {
    private static final Pattern COSTS =
            Pattern.compile("After the cap</b>\\s*<span class=\"p\">(?:(same time)|(\\d+) min (later|sooner))</span>");

    @Autowired
    private Jobs jobs;

    @Autowired
    private Plans plans;

    @Autowired
    private MockMvcTester mvc;

    private Plan plan(Job job) {
        return plans.of(jobs.get(job.id())).plan().orElseThrow();
    }

    private static int last(Plan plan, Predicate<PlannedStep> some) {
        return plan.steps().stream()
                .filter(some)
                .map(s -> plan.schedule().of(s.id()))
                .mapToInt(ScheduledTask::end)
                .max()
                .orElseThrow();
    }

    private static int first(Plan plan, Predicate<PlannedStep> some) {
        return plan.steps().stream()
                .filter(some)
                .map(s -> plan.schedule().of(s.id()))
                .mapToInt(ScheduledTask::start)
                .min()
                .orElseThrow();
    }

    private static Predicate<PlannedStep> slot(String slot) {
        return s -> s.technique().slot().equals(slot);
    }

    private Job begun(AsLead lead, String title) {
        lead.post(
                "/jobs/new",
                "title",
                title,
                "performer",
                "Lio Marsh",
                "callDay",
                "2026-12-05",
                "callHour",
                "09:00",
                "temperature",
                "22",
                "humidity",
                "45",
                "dryers",
                "1",
                "costumeMinutes",
                "10",
                "crew[0].name",
                "Ines",
                "crew[0].skill",
                "LEAD");
        return DemoJobs.called(title, jobs);
    }

    /** The minutes that are said are those that a press brings, it is kept with the job and its file, and the way back leads back. */
    @Test
    void anotherWayIsPricedAndTakenAtAPress() throws Exception {
        AsLead lead = new AsLead(mvc);
        Job job = DemoJobs.like("Orrin Vask", "brows after the cap", jobs);
        String at = "/jobs/" + job.id() + "/order";
        assertThat(lead.get(at)).contains("Where artists differ");
        String page = lead.get(at + "/ways");
        assertThat(page).contains("Are brows blocked before the cap, or after it?", "close to the rim");
        Matcher costs = COSTS.matcher(page);
        assertThat(costs.find()).isTrue();
        int minutes = costs.group(1) != null
                ? 0
                : Integer.parseInt(costs.group(2)) * (costs.group(3).equals("later") ? 1 : -1);
        int before = plan(job).schedule().ready();
        lead.post(at + "/ways", "had", job.meant(), "school", "brows", "way", "after");
        Plan after = plan(job);
        assertThat(Math.round((after.schedule().ready() - before) / 60.0)).isEqualTo(minutes);
        assertThat(last(after, slot("cap"))).isLessThanOrEqualTo(first(after, slot("brow")));
        assertThat(lead.get("/jobs/" + job.id() + "/export.json")).contains("\"brows\" : \"after\"");
        assertThat(lead.get(at + "/ways")).containsPattern("After the cap</b>\\s*<em>as planned</em>");
        lead.post(at + "/ways", "had", jobs.get(job.id()).meant(), "school", "brows", "way", "either");
        assertThat(lead.get(at + "/ways")).containsPattern("As the day has it</b>\\s*<em>as planned</em>");
    }

    /** Who saw another version changes nothing, and neither does a way that there is not. */
    @Test
    void nothingIsTakenThatWasNotSeen() throws Exception {
        AsLead lead = new AsLead(mvc);
        Job job = DemoJobs.like("Orrin Vask", "no such way", jobs);
        String at = "/jobs/" + job.id() + "/order/ways";
        lead.post(at, "had", "0", "school", "brows", "way", "after");
        lead.post(at, "had", job.meant(), "school", "brows", "way", "sideways");
        lead.post(at, "had", job.meant(), "school", "none", "way", "after");
        assertThat(jobs.get(job.id()).brief().allowed().schools()).isEmpty();
    }

    /** What is one's own is taken by the jobs that one begins, and by nobody else's. */
    @Test
    void newJobsTakeTheOwnOrder() throws Exception {
        AsLead lead = new AsLead(mvc);
        lead.post("/house/schools/order", "school", "costume", "way", "border");
        assertThat(lead.get("/house/schools")).containsPattern("coloured to its border</b>\\s*<em>mine</em>");
        Job fresh = begun(lead, "own order");
        assertThat(fresh.brief().allowed().schools()).isEqualTo(Map.of("costume", "border"));
        lead.post("/house/schools/order", "school", "costume", "way", "border");
        assertThat(begun(lead, "no order of one's own").brief().allowed().schools())
                .isEmpty();
    }
}
