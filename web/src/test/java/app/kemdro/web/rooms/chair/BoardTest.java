package app.kemdro.web.rooms.chair;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.core.schedule.ScheduledTask;
import java.time.Duration;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** What others see of a run: the floor board, the hour of ready, the continuity sheet. */
class BoardTest extends Seated {
    /** The floor sees when and how sure, behind a secret that can be taken back, and nothing of who or of health. */
    @Test
    void theBoardSaysWhenAndNothingElse() throws Exception {
        mvc.post()
                .uri("/jobs/" + job.id() + "/floor")
                .with(csrf())
                .with(user("ines").roles("LEAD"))
                .exchange();
        String room = mvc.get()
                .uri("/jobs/" + job.id() + "/floor")
                .with(user("ines").roles("LEAD"))
                .exchange()
                .getResponse()
                .getContentAsString();
        Matcher secret = Pattern.compile("/board/([0-9a-f]{32})").matcher(room);
        assertThat(secret.find()).isTrue();
        String board = mvc.get()
                .uri("/board/" + secret.group(1))
                .exchange()
                .getResponse()
                .getContentAsString();
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
                .param("secret", secret.group(1))
                .with(csrf())
                .with(user("ines").roles("LEAD"))
                .exchange();
        assertThat(mvc.get().uri("/board/" + secret.group(1)))
                .bodyText()
                .contains("This address is closed")
                .doesNotContain("\"ready\"");
        assertThat(mvc.get().uri("/board/" + secret.group(1) + "/stream")).hasStatus(410);
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
