package app.kemdro.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import com.microsoft.playwright.Page;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.annotation.Import;
import org.springframework.test.context.TestPropertySource;

/** An order that settles by itself, in a real browser: it flows in, and never into what somebody is at. */
@Import(HeldProver.Instead.class)
@TestPropertySource(properties = "kemdro.settling=1s")
class SettleIT extends OnePage {
    @Autowired
    private HeldProver prover;

    @Autowired
    private Jobs jobs;

    private void unfold(String part) {
        page.locator("summary", new Page.LocatorOptions().setHasText(part)).click();
    }

    @Test
    void whatIsFoundFlowsInOnceNobodyTypesAndWhatIsTypedStays() {
        Job job = DemoJobs.like("Orrin Vask", "Settles here", jobs);
        prover.hold();
        signIn("ines");
        go("/jobs/" + job.id() + "/brief");
        unfold("The room");
        page.locator("[name=humidity]").fill("63");
        page.locator("form[data-typed] button[type=submit]").last().click();
        assertThat(page.locator("#sentence .change")).isVisible();
        assertThat(page.locator("[data-settles]")).hasCount(1);
        unfold("The character");
        page.locator("[name=idea]").pressSequentially("a bell that");
        page.mouse().move(6, 640);
        page.mouse().down();
        prover.letGo();
        // as long as a hand is down, nothing moves under it
        page.waitForTimeout(2500);
        assertThat(page.locator("#sentence .found")).hasCount(0);
        page.mouse().up();
        assertThat(page.locator("#sentence .found")).containsText("min found");
        assertThat(page.locator("[name=idea]")).hasValue(java.util.regex.Pattern.compile(".*a bell that.*"));
        accessible("brief, settled");
    }

    @Test
    void whoAsksSeesHowFarItIsAndStopsIt() {
        Job job = DemoJobs.like("Orrin Vask", "Asked for", jobs);
        prover.hold();
        signIn("ines");
        go("/jobs/" + job.id() + "/order");
        page.locator("text=Look 10 s for a better one").click();
        assertThat(page.locator("[data-search-bar]")).containsText("best so far");
        assertThat(page.locator("[data-search-bar]")).containsText("still open");
        accessible("order, looking");
        page.locator("text=Stop, take the best").click();
        assertThat(page.locator("#sentence .found")).containsText("min found");
        assertThat(page.locator("[data-search-bar]")).hasCount(0);
    }
}
