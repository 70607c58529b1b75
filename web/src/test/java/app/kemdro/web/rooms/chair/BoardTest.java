package app.kemdro.web.rooms.chair;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.core.plan.Plan;
import app.kemdro.core.schedule.Rest;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.web.AsLead;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.plan.Plans;
import java.time.Duration;
import java.time.format.DateTimeFormatter;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What others see of a run: the floor board, the hour of ready, the continuity sheet. */
class BoardTest extends Seated {
    @Autowired
    private Plans plans;

    /** The floor sees when and how sure, behind a secret that can be taken back, and nothing of who or of health. */
    @Test
    void theBoardSaysWhenAndNothingElse() throws Exception {
        String secret = address(job);
        String board = board(secret);
        String who = job.brief().performer().name();
        assertThat(board)
                .contains("O. " + who.charAt(3) + ".")
                .contains("\"ready\"")
                .contains("\"ofTen\"");
        assertThat(board)
                .doesNotContain(who)
                .doesNotContain("Orrin")
                .doesNotContain("resin")
                .doesNotContain("Ines")
                .doesNotContain("cap");
        mvc.post()
                .uri("/jobs/" + job.id() + "/floor/revoke")
                .param("secret", secret)
                .with(csrf())
                .with(user("ines").roles("LEAD"))
                .exchange();
        assertThat(mvc.get().uri("/board/" + secret))
                .bodyText()
                .contains("This address is closed")
                .doesNotContain("\"ready\"");
        assertThat(mvc.get().uri("/board/" + secret + "/stream")).hasStatus(410);
    }

    private String address(Job of) throws Exception {
        AsLead lead = new AsLead(mvc);
        lead.post("/jobs/" + of.id() + "/floor");
        Matcher secret = Pattern.compile("/board/([0-9a-f]{32})").matcher(lead.get("/jobs/" + of.id() + "/floor"));
        assertThat(secret.find()).isTrue();
        return secret.group(1);
    }

    private String board(String secret) throws Exception {
        return mvc.get().uri("/board/" + secret).exchange().getResponse().getContentAsString();
    }

    /** Breaks are said before anybody sits as well: the first pause of the plan that has not come yet. */
    @Test
    void theBoardSaysTheNextBreakBeforeItBegins() throws Exception {
        Job later = DemoJobs.like("Orrin Vask", "Not begun", jobs);
        Plan plan = plans.of(later).plan().orElseThrow();
        int first = plan.schedule().rests().stream().mapToInt(Rest::start).min().orElseThrow();
        String hour = plan.chairIn().plusSeconds(first).format(DateTimeFormatter.ofPattern("HH:mm"));
        assertThat(board(address(later))).contains("\"rest\":\"" + hour + ", ");
    }

    /** Late work moves ready with the clock, whether or not anybody presses. */
    @Test
    void readyMovesWhileNobodyPresses() throws Exception {
        ScheduledTask first = next("Ines");
        press("START", first.task(), "Ines", "");
        long before = readyAt();
        clock.pass(Duration.ofMinutes(90));
        long after = readyAt();
        assertThat(after - before).isGreaterThan(60 * 60_000);
        clock.pass(Duration.ofMinutes(10));
        assertThat(readyAt() - after).isBetween(9 * 60_000L, 11 * 60_000L);
    }

    private long readyAt() throws Exception {
        Matcher ready = Pattern.compile("\"ready\":(\\d+)").matcher(get("state"));
        assertThat(ready.find()).isTrue();
        return Long.parseLong(ready.group(1));
    }

    /** What was lived through must be readable afterwards, whatever was left out. */
    @Test
    void theContinuitySheetOfARunThatLeftOutAStepIsAPdf() throws Exception {
        carryOut(Duration.ofMinutes(20));
        press("SKIP", next("Ines").task(), "Ines", "not needed");
        press("END", "", "Ines", "");
        var sheet = mvc.get()
                .uri("/jobs/" + job.id() + "/continuity.pdf")
                .with(user("ines").roles("LEAD"))
                .exchange()
                .getResponse();
        assertThat(sheet.getStatus()).isEqualTo(200);
        assertThat(sheet.getContentType()).startsWith("application/pdf");
    }
}
