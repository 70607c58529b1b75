package app.kemdro.web.rooms.order;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.core.look.Wish;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.Plans;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MockMvcTester;

@DemoTest
class WishRoomTest {
    @Autowired
    private Jobs jobs;

    @Autowired
    private Plans plans;

    @Autowired
    private MockMvcTester mvc;

    private Job job;
    private Plan plan;

    @BeforeEach
    void aJobOfItsOwn() {
        job = DemoJobs.like("Sprue", "copy", jobs);
        plan = plans.of(job).plan().orElseThrow();
    }

    private String press(String path, String... parameters) {
        var request = mvc.post()
                .uri("/jobs/" + job.id() + "/order/" + path)
                .with(csrf())
                .with(user("ines").roles("LEAD"));
        for (int k = 0; k < parameters.length; k += 2) {
            request.param(parameters[k], parameters[k + 1]);
        }
        var said = request.exchange().getMvcResult().getFlashMap().get("change");
        job = jobs.get(job.id());
        return String.valueOf(said);
    }

    private String page() throws Exception {
        return mvc.get()
                .uri("/jobs/" + job.id() + "/order")
                .with(user("ines").roles("LEAD"))
                .exchange()
                .getResponse()
                .getContentAsString();
    }

    @Test
    void aStepThatIsOnlyDoneIfThereIsTimeSaysWhetherThereIs() throws Exception {
        PlannedStep own = plan.steps().stream()
                .filter(s -> !s.implied())
                .reduce((a, b) -> b)
                .orElseThrow();
        press("wishes", "press", "IF_TIME", "step", own.id());
        assertThat(job.look().ifTime()).containsExactly(own.entryId());
        assertThat(page()).contains("only if there is time", "there is time");
        PlannedStep needed =
                plan.steps().stream().filter(PlannedStep::implied).findFirst().orElseThrow();
        assertThat(press("wishes", "press", "IF_TIME", "step", needed.id())).contains("needed by the rest");
    }

    private ScheduledTask late() {
        List<ScheduledTask> all = plan.schedule().placed();
        return all.get(all.size() - 1);
    }

    @Test
    void aHeldStepStaysWhereItIsWhileOthersMove() {
        ScheduledTask held = plan.schedule().placed().stream()
                .filter(p -> p.worker() != null && p.start() > 1200)
                .findFirst()
                .orElseThrow();
        assertThat(press("wishes", "press", "HOLD", "step", held.task())).contains("ready");
        assertThat(job.look().wishes()).hasSize(3);
        Plan now = plans.of(job).plan().orElseThrow();
        assertThat(now.clock(now.schedule().of(held.task()).start()))
                .isBetween(
                        plan.clock(held.start()).minusMinutes(1),
                        plan.clock(held.start()).plusMinutes(1));
        assertThat(now.schedule().of(held.task()).worker()).isEqualTo(held.worker());
    }

    @Test
    void eachWishSaysWhatItCostsAndIsTakenBackAndDoneAgain() throws Exception {
        String said = press("wishes", "press", "NOT_BEFORE", "step", late().task(), "at", hourOf(plan, 25));
        assertThat(said).contains("+").contains("ready");
        assertThat(page()).containsPattern("<span>\\+\\d+ min</span>");
        int costs = plans.of(job).wishes().all().values().iterator().next();
        assertThat(costs).isGreaterThan(240);
        press("back");
        assertThat(job.look().wishes()).isEmpty();
        press("back");
        assertThat(job.look().wishes()).hasSize(1);
    }

    /** A script is answered with the room at once; minutes that are not known yet are asked for, and then it says them. */
    @Test
    void aScriptDoesNotWaitForWhatAWishCosts() throws Exception {
        String answer = live("NOT_BEFORE", late().task(), hourOf(plan, 25));
        assertThat(answer).contains("class=\"change\"").containsPattern("<span>(…|\\+\\d+ min)</span>");
        assertThat(answer.contains("data-costs")).isEqualTo(answer.contains("<span>…</span>"));
        assertThat(jobs.get(job.id()).look().wishes()).hasSize(1);
        mvc.get()
                .uri("/jobs/" + job.id() + "/order/wishes/costs")
                .with(user("ines").roles("LEAD"))
                .assertThat()
                .hasStatus(204);
        assertThat(page())
                .containsPattern("<span>\\+\\d+ min</span>")
                .containsPattern("\"costs\":\"\\+\\d+\"")
                .doesNotContain("data-costs");
    }

    @Test
    void formsOfALiveAnswerBearNoTokenAndItsHeadDoes() throws Exception {
        assertThat(page()).contains("name=\"_csrf\"");
        assertThat(live("HOLD", late().task(), ""))
                .contains("<form")
                .doesNotContain("name=\"_csrf\"")
                .containsPattern("name=\"csrf-token\" content=\"[^\"]{20,}\"");
    }

    private String live(String press, String step, String at) throws Exception {
        return mvc.post()
                .uri("/jobs/" + job.id() + "/order/wishes")
                .param("press", press)
                .param("step", step)
                .param("at", at)
                .header("X-Live", "1")
                .with(csrf())
                .with(user("ines").roles("LEAD"))
                .exchange()
                .getResponse()
                .getContentAsString();
    }

    /** So many minutes after ready. */
    private static String hourOf(Plan plan, int minutes) {
        return plan.ready().plusMinutes(minutes).isAfter(plan.brief().call())
                ? plan.brief().call().toLocalTime().toString()
                : plan.ready().plusMinutes(minutes).toLocalTime().withSecond(0).toString();
    }

    @Test
    void aClashIsSaidAndOnePressSolvesIt() throws Exception {
        String first = plan.network().lags().get(0).from();
        String then = plan.network().lags().get(0).to();
        press(
                "wishes",
                "press",
                "BY_HANDS",
                "step",
                first,
                "to",
                plan.brief().crew().get(0).name());
        assertThat(press("wishes", "press", "BEFORE", "step", then, "to", first))
                .contains("No plan: see below.");
        assertThat(page()).contains("This wish cannot be kept").contains("class=\"clash\"");
        assertThat(press("wishes/drop", "kind", "BEFORE", "step", then, "to", first))
                .contains("ready");
        assertThat(job.look().wishes()).hasSize(1);
    }

    @Test
    void anHourThatIsNoneIsSaidAndNothingIsLost() {
        assertThat(press("wishes", "press", "BEGUN_BY", "step", late().task(), "at", "half five"))
                .contains("'half five' is no hour");
        assertThat(press("wishes", "press", "BEFORE", "step", late().task(), "to", "no such step"))
                .contains("not in the order");
        assertThat(job.look().wishes()).isEmpty();
    }

    @Test
    void wishesTravelWithTheFileOfTheJob() throws Exception {
        press("wishes", "press", "NOT_BEFORE", "step", late().task(), "at", "05:00");
        String file = mvc.get()
                .uri("/jobs/" + job.id() + "/export.json")
                .with(user("ines").roles("LEAD"))
                .exchange()
                .getResponse()
                .getContentAsString();
        assertThat(file).contains("NOT_BEFORE").contains(late().task()).contains("mealMinutes");
        assertThat(job.look().wishes().get(0).kind()).isEqualTo(Wish.Kind.NOT_BEFORE);
    }

    @Test
    void theChosenCertaintySitsThePerformerDown() {
        assertThat(press("chair-in", "often", "9 times of 10")).contains("Chair-in");
        Plan now = plans.of(job).plan().orElseThrow();
        assertThat(job.brief().chairIn()).isPresent();
        long late = plans.of(job).confidence().orElseThrow().by(0.88);
        assertThat(now.clock((int) late)).isBefore(now.brief().call().plusMinutes(3));
    }

    /** Read at arm's length by a mirror: no line of steps is smaller than 10 points, and no step is missing. */
    @Test
    void everyRunningOrderIsReadableOnPaper() throws Exception {
        List<Job> demo = DemoJobs.all(jobs).stream()
                .filter(j -> j.production().equals("Cold Casting"))
                .filter(j -> plans.of(j).plan().isPresent())
                .toList();
        assertThat(demo).hasSizeGreaterThanOrEqualTo(3);
        for (Job each : demo) {
            byte[] sheet = mvc.get()
                    .uri("/jobs/" + each.id() + "/order.pdf")
                    .with(user("ines").roles("LEAD"))
                    .exchange()
                    .getResponse()
                    .getContentAsByteArray();
            try (var document = Loader.loadPDF(sheet)) {
                Sizes sizes = new Sizes();
                String text = sizes.getText(document).replaceAll("\\s+", " ");
                int sides = document.getNumberOfPages();
                assertThat(text)
                        .contains(each.title())
                        .contains("call")
                        .contains("Product labels")
                        .contains(sides + " of " + sides);
                Plan plan = plans.of(each).plan().orElseThrow();
                for (PlannedStep step : plan.steps()) {
                    assertThat(text).contains(step.title().split(",")[0]);
                }
                assertThat(sizes.ofHours)
                        .hasSizeGreaterThanOrEqualTo(plan.steps().size())
                        .allMatch(s -> s >= 10);
                assertThat(sides).isLessThanOrEqualTo(1 + plan.steps().size() / 20);
            }
        }
    }

    /** Reads in which size the hours are printed, points. */
    private static final class Sizes extends PDFTextStripper {
        private final List<Float> ofHours = new ArrayList<>();

        @Override
        protected void writeString(String text, List<TextPosition> letters) throws IOException {
            if (text.matches("\\d\\d:\\d\\d")) {
                ofHours.add(letters.get(0).getFontSizeInPt());
            }
            super.writeString(text, letters);
        }
    }
}
