package app.kemdro.web.rooms.order;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.schedule.ScheduleCheck;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.web.AsLead;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.Plans;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MockMvcTester;

@DemoTest
class OrderRoomTest {
    @Autowired
    private Jobs jobs;

    @Autowired
    private Plans plans;

    @Autowired
    private Trade trade;

    @Autowired
    private MockMvcTester mvc;

    @Test
    void everyDemoJobIsPlannedSoundly() {
        List<Job> demo = DemoJobs.all(jobs).stream().filter(j -> j.id() <= 5).toList();
        assertThat(demo).hasSize(5).allSatisfy(job -> {
            Plan plan = plans.of(job).plan().orElseThrow();
            assertThat(ScheduleCheck.problems(plan.network(), plan.schedule())).isEmpty();
        });
    }

    @Test
    void theBellFounderHas45To80StepsAndMakesTheCall() {
        Job job = DemoJobs.called("Orrin Vask", jobs);
        Plan plan = plans.of(job).plan().orElseThrow();
        assertThat(plan.steps()).hasSizeBetween(45, 80);
        assertThat(plan.inHand()).isGreaterThanOrEqualTo(0);
    }

    @Test
    void everyStepSaysWhyItStandsWhereItStands() {
        Plan plan = plans.of(jobs.get(2)).plan().orElseThrow();
        OrderModel order = OrderModel.of(plan, trade);
        assertThat(order.steps())
                .allSatisfy(s -> assertThat(s.why()).hasSizeGreaterThan(20).endsWith("."));
        assertThat(order.steps()).anyMatch(OrderModel.Step::critical);
    }

    private Job copy(String title) {
        return DemoJobs.like(title, "copy", jobs);
    }

    /** A search finds an order that is sound and not longer, and the order stays when the job is read again. */
    @Test
    void aBetterOrderIsFoundAndKept() throws Exception {
        Job job = copy("Sprue");
        int before = plans.of(job).plan().orElseThrow().schedule().ready();
        assertThat(mvc.post()
                        .uri("/jobs/" + job.id() + "/order/search")
                        .param("seconds", "3")
                        .with(csrf())
                        .with(user("ines").roles("LEAD")))
                .hasStatus(302);
        String state = "true";
        for (int wait = 0; wait < 300 && state.contains("true"); wait++) {
            Thread.sleep(100);
            state = mvc.get()
                    .uri("/jobs/" + job.id() + "/order/search")
                    .with(user("ines").roles("LEAD"))
                    .exchange()
                    .getResponse()
                    .getContentAsString();
        }
        assertThat(state).contains("\"looking\":false").containsAnyOf("sooner than before", "Nothing shorter");
        var plan = plans.of(jobs.get(job.id())).plan().orElseThrow();
        assertThat(plan.schedule().ready()).isLessThanOrEqualTo(before);
        assertThat(ScheduleCheck.problems(plan.network(), plan.schedule())).isEmpty();
        assertThat(plan.schedule().leastReady()).isGreaterThan(0);
    }

    @Test
    void leversAreSaidInMinutesAndPulled() throws Exception {
        Job job = copy("The Night Shift, first founder");
        String levers = mvc.get()
                .uri("/jobs/" + job.id() + "/order/levers")
                .with(user("ines").roles("LEAD"))
                .exchange()
                .getResponse()
                .getContentAsString();
        assertThat(levers).contains("−").contains("min");
        String says = levers.substring(levers.indexOf("name=\"says\" value=\"") + 19);
        var pulled = mvc.post()
                .uri("/jobs/" + job.id() + "/order/levers")
                .param("says", says.substring(0, says.indexOf('"')))
                .with(csrf())
                .with(user("ines").roles("LEAD"))
                .exchange();
        assertThat(String.valueOf(pulled.getMvcResult().getFlashMap().get("change")))
                .contains("ready");
        var odd = mvc.post()
                .uri("/jobs/" + job.id() + "/order/levers")
                .param("says", "Stop the clock")
                .with(csrf())
                .with(user("ines").roles("LEAD"))
                .exchange();
        assertThat(String.valueOf(odd.getMvcResult().getFlashMap().get("change")))
                .contains("Nothing was changed");
    }

    private String bench(long id, String... parameters) {
        return String.valueOf(
                new AsLead(mvc).post("/jobs/" + id + "/bench", parameters).get("change"));
    }

    @Test
    void theBenchIsLaidForWhoWorksAtItAndWithoutWhatIsMade() throws Exception {
        Job job = DemoJobs.like("Orrin Vask", "bench", jobs);
        String one = bench(job.id(), "from", "09:00", "until", "17:00", "hands", "1");
        String two = bench(job.id(), "from", "8:77", "until", "17:00", "hands", "2");
        assertThat(two).contains("'8:77' is no hour").contains("Nothing was changed");
        two = bench(job.id(), "from", "09:00", "until", "17:00", "hands", "2", "off", "SUNDAY");
        assertThat(one).startsWith("Begin ");
        assertThat(two).startsWith("Begin ").isNotEqualTo(one);
        assertThat(bench(job.id(), "from", "17:00", "until", "09:00", "hands", "1"))
                .contains("an hour a day");
        String[] made = job.look().entries().stream()
                .flatMap(e -> Stream.of("made", e.id()))
                .toArray(String[]::new);
        String[] all = Stream.concat(Stream.of("from", "09:00", "until", "17:00", "hands", "1"), Stream.of(made))
                .toArray(String[]::new);
        assertThat(bench(job.id(), all)).isEqualTo("Nothing is left to make.");
        assertThat(jobs.get(job.id()).made()).hasSize(job.look().entries().size());
    }

    @Test
    void benchDaysAreShownAndWrittenAsACalendar() throws Exception {
        assertThat(mvc.get().uri("/jobs/2/bench").with(user("ines").roles("LEAD")))
                .hasStatus(200)
                .bodyText()
                .contains("Sculpt on the cast")
                .contains("dry and on the table at chair-in");
        var ics = mvc.get()
                .uri("/jobs/2/days.ics")
                .with(user("ines").roles("LEAD"))
                .exchange()
                .getResponse();
        var calendar = biweekly.Biweekly.parse(ics.getContentAsString()).first();
        assertThat(calendar.getEvents()).hasSizeGreaterThan(6);
        assertThat(calendar.getEvents())
                .filteredOn(e -> e.getSummary().getValue().startsWith("Comes off: "))
                .singleElement()
                .satisfies(e -> assertThat(java.time.Duration.between(
                                        e.getDateStart().getValue().toInstant(),
                                        e.getDateEnd().getValue().toInstant())
                                .toMinutes())
                        .isBetween(30L, 70L));
        assertThat(calendar.getEvents())
                .anyMatch(e -> e.getSummary().getValue().startsWith("Chair: "))
                .anyMatch(e -> e.getSummary().getValue().startsWith("Call: "));
        assertThat(ics.getContentAsString()).contains("DTSTART:20").doesNotContain("DTSTART;TZID");
    }

    /** The drawing has a row for everywhere the look is, arms, belly and legs as well, and as many steps as the plan. */
    @Test
    void everyStepHasARowToBeDrawnIn() throws Exception {
        Job job = DemoJobs.like("Orrin Vask", "all over", jobs);
        jobs.change(
                job.id(),
                j -> j.setLook(new Look(List.of(new LookEntry(
                        "base",
                        "base-cream",
                        trade.body().sorted(trade.technique("base-cream").zones()),
                        0)))));
        Plan plan = plans.of(jobs.get(job.id())).plan().orElseThrow();
        OrderModel order = OrderModel.of(plan, trade);
        assertThat(order.steps()).hasSameSizeAs(plan.steps());
        assertThat(order.rows()).contains("body", "arms", "legs");
        assertThat(order.steps()).allSatisfy(s -> assertThat(order.rows()).containsAll(s.rows()));
    }

    /** Taking the last change back brings the order back as well. */
    @Test
    void takingBackBringsTheSameOrder() throws Exception {
        Job job = DemoJobs.like("Orrin Vask", "there and back", jobs);
        Plan before = plans.of(job).plan().orElseThrow();
        AsLead lead = new AsLead(mvc);
        lead.post("/jobs/" + job.id() + "/look/coats", "entry", "crust-edges", "coats", "3", "zones", "cheek-left");
        lead.post("/jobs/" + job.id() + "/look/back", "zones", "cheek-left");
        Plan after = plans.of(jobs.get(job.id())).plan().orElseThrow();
        assertThat(after.schedule().placed()).isEqualTo(before.schedule().placed());
        assertThat(after.chairIn()).isEqualTo(before.chairIn());
    }

    /** What goes against sense is said beside the order, with as many changes as its steps have, counted here once more. */
    @Test
    void whatGoesAgainstSenseIsSaid() throws Exception {
        Job job = DemoJobs.called("Orrin Vask", jobs);
        Plan plan = plans.of(job).plan().orElseThrow();
        Map<String, String> inHand = new HashMap<>();
        int changes = 0;
        for (ScheduledTask p : plan.schedule().placed()) {
            if (p.worker() != null) {
                String next = plan.step(p.task()).material().map(m -> m.id()).orElse("");
                String before = inHand.put(p.worker(), next);
                changes += before != null && !next.isEmpty() && !next.equals(before) ? 1 : 0;
            }
        }
        assertThat(changes).isGreaterThan(10);
        String page = new AsLead(mvc).get("/jobs/" + job.id() + "/order");
        assertThat(page).contains("Against an artist's sense", changes + " times something else is taken up");
    }

    /** Where it is only that somebody is busy, the trade's own reason stands first. */
    @Test
    void theTradesReasonComesBeforeWhoseHands() {
        Job job = DemoJobs.called("Orrin Vask", jobs);
        Plan plan = plans.of(job).plan().orElseThrow();
        List<OrderModel.Step> busy = OrderModel.of(plan, trade).steps().stream()
                .filter(s -> s.why().matches("(?s).* is at “.*” until .*"))
                .toList();
        assertThat(busy).isNotEmpty();
        assertThat(busy)
                .filteredOn(s -> plan.network().lags().stream()
                        .anyMatch(l -> l.to().equals(s.id())
                                && !plan.step(l.from())
                                        .entryId()
                                        .equals(plan.step(s.id()).entryId())))
                .isNotEmpty()
                .allSatisfy(s -> assertThat(plan.network().lags())
                        .filteredOn(l -> l.to().equals(s.id()))
                        .anyMatch(l -> s.why()
                                .toLowerCase(Locale.ROOT)
                                .startsWith(l.because().toLowerCase(Locale.ROOT))));
    }
}
