package app.kemdro.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.fail;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Everything can be done without a mouse, and the list of keys holds what can be pressed in this room and nothing else. */
class KeysIT extends OnePage {
    private static final int FAR = 120;

    /** Presses Tab until what has the focus is this, as somebody does who sees where they are. */
    private void tabTo(String selector) {
        for (int k = 0; k < FAR; k++) {
            if (Boolean.TRUE.equals(page.evaluate("s => !!document.activeElement?.matches(s)", selector))) {
                return;
            }
            page.keyboard().press("Tab");
        }
        fail("Tab never comes to " + selector + " on " + page.url());
    }

    /** Walks over the figure with the arrow keys, each time the way that leads nearer. */
    private void walkTo(String zone) {
        for (int k = 0; k < FAR; k++) {
            String way = String.valueOf(page.evaluate("""
                    (zone) => {
                      const here = document.activeElement;
                      if (here.dataset.zone === zone) return '';
                      const middle = (e) => { const b = e.getBoundingClientRect(); return [b.x + b.width / 2, b.y + b.height / 2]; };
                      const [x, y] = middle(here), [tx, ty] = middle(document.querySelector(`.zone[data-zone="${zone}"]`));
                      return Math.abs(tx - x) > Math.abs(ty - y) ? (tx > x ? 'ArrowRight' : 'ArrowLeft') : ty > y ? 'ArrowDown' : 'ArrowUp';
                    }""", zone));
            if (way.isEmpty()) {
                return;
            }
            page.keyboard().press(way);
        }
        fail("The arrow keys never come to " + zone);
    }

    private void room(String key, String address) {
        page.keyboard().press(key);
        page.waitForURL(Pattern.compile(".*" + address));
        page.waitForSelector("html[data-alive]");
    }

    @Test
    void fromABlankHeadToARunWithoutAMouse() {
        go("/sign-in");
        page.keyboard().type("ines");
        tabTo("input[name=password]");
        page.keyboard().type("bell-founder");
        page.keyboard().press("Enter");
        page.waitForURL("**/shelf");
        page.waitForSelector("html[data-alive]");
        room("n", "/jobs/new");
        tabTo("input[name=title]");
        page.keyboard().type("Reed Keeper");
        tabTo("input[name=performer]");
        page.keyboard().type("Noa Bell");
        page.keyboard().press("Enter");
        page.waitForURL(Pattern.compile(".*/jobs/\\d+/look"));
        page.waitForSelector("html[data-alive]");
        page.waitForSelector(".figure-part .zone");
        tabTo(".zone");
        walkTo("brow-left");
        page.keyboard().press("Enter");
        page.waitForSelector(".ring");
        assertThat(page.locator("#room")).containsText("Left brow");
        tabTo("form.offer button");
        page.keyboard().press("Enter");
        assertThat(page.locator("article.chosen")).isVisible();
        assertThat(page.locator("main")).containsText("Take back");
        room("o", "/order");
        assertThat(page.locator("[data-why]")).containsText("1. ");
        room("r", "/chair");
        page.keyboard().press(" ");
        assertThat(page.locator("body")).containsText(Pattern.compile("0 of \\d+ steps"));
        page.waitForSelector("html[data-alive]");
        // the same key takes a step up and says that it is done
        Locator somethingDone = page.getByText(Pattern.compile("[1-9] of \\d+ steps"));
        for (int k = 0; k < 3 && somethingDone.count() == 0; k++) {
            page.keyboard().press(" ");
            page.waitForTimeout(1500);
        }
        assertThat(somethingDone.first()).isVisible();
    }

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
