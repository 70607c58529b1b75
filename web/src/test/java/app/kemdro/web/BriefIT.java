package app.kemdro.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import org.junit.jupiter.api.Test;

/** What is typed into a brief in a real browser, by one or by two, is not lost. */
class BriefIT extends OnePage {
    private void idea(String typed) {
        page.locator("summary", new Page.LocatorOptions().setHasText("The character"))
                .click();
        page.locator("[name=idea]").fill(typed);
    }

    /** What was typed into a brief and not saved outlives leaving it by a letter. */
    @Test
    void whatWasTypedIntoABriefIsStillThereAfterAnotherRoom() {
        signIn("ines");
        go("/jobs/2/brief");
        idea("typed and not saved");
        page.locator("h1").first().click();
        page.keyboard().press("o");
        page.waitForURL("**/order");
        go("/jobs/2/brief");
        assertThat(page.locator("[name=idea]")).hasValue("typed and not saved");
        assertThat(page.locator("[name=idea]")).isVisible();
        page.locator("text=Throw it away").click();
        assertThat(page.locator("[name=idea]")).not().hasValue("typed and not saved");
    }

    /** Nor is it lost where the server does not answer when it is saved; once it is saved nothing is said any more. */
    @Test
    void whatWasSentWithoutAnAnswerIsStillThere() {
        signIn("ines");
        go("/jobs/2/brief");
        page.route("**/jobs/2/brief", route -> {
            if (route.request().method().equals("POST")) {
                route.abort();
            } else {
                route.resume();
            }
        });
        idea("sent into the void");
        page.locator("form[data-typed] button[type=submit]").last().click();
        assertThat(page.locator("#sentence")).containsText("does not answer");
        complaints.removeIf(c -> c.contains("ERR_FAILED"));
        page.unroute("**/jobs/2/brief");
        go("/jobs/2/brief");
        assertThat(page.locator("[name=idea]")).hasValue("sent into the void");
        page.locator("form[data-typed] button[type=submit]").last().click();
        assertThat(page.locator(".unsaved")).hasCount(0);
        go("/jobs/2/brief");
        assertThat(page.locator("[name=idea]")).hasValue("sent into the void");
        assertThat(page.locator(".unsaved")).hasCount(0);
    }

    /** What was typed over what stood there then is not taken for a change of what another has done since. */
    @Test
    void whatTwoTypeIsLaidTogetherAndWhatBothTypedIsChosen() {
        signIn("ines");
        go("/jobs/3/brief");
        idea("typed first, kept on this screen");
        go("/shelf");
        Page other = page.context().newPage();
        RealBrowser.go(other, port, "/jobs/3/brief");
        other.locator("[name=callHour]").fill("08:35");
        other.locator("form[data-typed] button[type=submit]").last().click();
        assertThat(other.locator("#sentence")).containsText("ready");

        go("/jobs/3/brief");
        assertThat(page.locator(".unsaved")).isVisible();
        page.locator("form[data-typed] button[type=submit]").last().click();
        assertThat(page.locator("#sentence")).containsText("Changed on another screen meanwhile, and kept: Call");
        assertThat(page.locator("[name=callHour]")).hasValue("08:35");
        assertThat(page.locator("[name=idea]")).hasValue("typed first, kept on this screen");

        RealBrowser.go(other, port, "/jobs/3/brief");
        other.locator("[name=callHour]").fill("08:40");
        page.locator("[name=callHour]").fill("08:50");
        other.locator("form[data-typed] button[type=submit]").last().click();
        assertThat(other.locator("[name=callHour]")).hasValue("08:40");
        page.locator("form[data-typed] button[type=submit]").last().click();
        assertThat(page.locator("#room h1")).hasText("Two have changed this");
        complaints.removeIf(c -> c.contains("409"));
        accessible("/jobs/3/brief");
        page.locator("input[value=now]").check();
        page.locator("#room .go").click();
        assertThat(page.locator("[name=callHour]")).hasValue("08:40");
        other.close();
    }

    @Test
    void pressingWhatTheCostumeCoversTicksItInTheForm() {
        signIn("ines");
        go("/jobs/2/brief");
        zone("throat").waitFor();
        zone("throat").dispatchEvent("click");
        assertThat(page.locator("input[name=covers][value=throat]")).isChecked();
        assertThat(zone("throat")).hasAttribute("aria-pressed", "true");
    }
}
