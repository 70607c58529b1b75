package app.kemdro.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import org.junit.jupiter.api.Test;

/** The list of keys holds what can be pressed in this room and nothing else. */
class KeysIT extends OnePage {
    private Locator line(String says) {
        return page.locator("#keys dl div", new Page.LocatorOptions().setHasText(says));
    }

    @Test
    void onlyKeysThatAreTrueHereAreListed() {
        signIn("ines");
        page.keyboard().press("Shift+?");
        assertThat(line("a blank head")).isVisible();
        assertThat(line("walk the steps")).isHidden();
        assertThat(page.locator("[data-letters]")).hasText("S H P");

        go("/jobs/2/order");
        page.keyboard().press("Shift+?");
        assertThat(line("walk the steps")).isVisible();
        assertThat(line("a blank head")).isHidden();
        assertThat(page.locator("[data-letters]")).hasText("S H P B L C O N I Y R T F K");
        accessible("the keys of the order");
        page.keyboard().press("Escape");

        // a letter of that list goes there
        page.keyboard().press("b");
        page.waitForURL("**/brief");
    }
}
