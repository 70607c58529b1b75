package app.kemdro.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Response;
import java.time.Duration;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The journey in a real browser: from an empty place on the shelf to the book. */
class JourneyIT extends OnePage {
    private void pressZone(String id) {
        zone(id).waitFor();
        zone(id).dispatchEvent("click");
        page.waitForSelector(".ring");
    }

    private void add(String technique) {
        page.evalOnSelectorAll("details.offers-of", "all => all.forEach((d) => { d.open = true; })");
        page.locator(
                        "form.offer",
                        new Page.LocatorOptions()
                                .setHas(page.locator("button[name=technique][value='" + technique + "']")))
                .locator("button")
                .click();
        page.waitForSelector("article.chosen");
    }

    @Test
    void everyRoomCanBeUsedByEverybody() {
        go("/sign-in");
        accessible("sign in");
        signIn("ines");
        accessible("shelf");
        for (String room : new String[] {
            "/jobs/new",
            "/import",
            "/people",
            "/people/1",
            "/book",
            "/book?find=cheek",
            "/jobs/1/book/compare?run=2&with=1",
            "/jobs/2/strike/skin",
            "/jobs/2/book/times",
            "/jobs/2/brief",
            "/jobs/2/look",
            "/jobs/2/look?zones=cheek-left",
            "/jobs/2/look?show=minutes",
            "/jobs/2/look?show=bare",
            "/jobs/2/order",
            "/jobs/2/order/list",
            "/jobs/2/bench",
            "/jobs/2/kit",
            "/jobs/2/kit/bag",
            "/jobs/2/kit?without=acrylic-adhesive",
            "/jobs/2/kit/mixes",
            "/jobs/2/colour?aim=%23a05c30&shadow=%238d8a92",
            "/jobs/2/strike",
            "/jobs/2/safety",
            "/jobs/2/floor",
            "/jobs/1/chair/review",
            "/jobs/1/chair/off",
            "/jobs/2/chair",
            "/jobs/1/book",
            "/jobs/2/book"
        }) {
            go(room);
            accessible(room);
        }
    }

    /** Begun with Space, carried on with Space, ended, and the skin looked at by pressing the figure. */
    @Test
    void itComesOffWithSpaceAndTheSkinIsLookedAt() {
        signIn("ines");
        go("/jobs/3/strike");
        page.keyboard().press(" ");
        page.waitForURL("**/strike/live");
        page.waitForSelector("html[data-alive]");
        accessible("strike, live");
        assertThat(page.locator(".inhand span")).hasText(Pattern.compile("0 of \\d+ done"));
        page.keyboard().press(" ");
        assertThat(page.locator(".s-left").first()).containsText("left");
        // nor does the answer to one's own press that comes late, which was sent to the same address
        page.evaluate("""
                () => {
                  const real = window.fetch;
                  window.fetch = async (...asked) => {
                    const answer = await real(...asked);
                    if (asked[1]?.method === 'POST') await new Promise((goOn) => (window.goOn = goOn));
                    window.fetch = asked[1]?.method === 'POST' ? real : window.fetch;
                    return answer;
                  };
                }""");
        page.keyboard().press(" ");
        assertThat(page.locator(".inhand span")).hasText(Pattern.compile("1 of \\d+ done"));
        page.locator("input[name=text]").fill("Edge came up");
        page.waitForFunction("() => window.goOn");
        page.evaluate("async () => { window.goOn(); await new Promise((later) => setTimeout(later, 1500)); }");
        assertThat(page.locator("input[name=text]")).hasValue("Edge came up");
        // what somebody presses on another screen does not take away what is being typed here
        Page other = page.context().newPage();
        RealBrowser.go(other, port, "/jobs/3/strike/live");
        other.keyboard().press(" ");
        assertThat(other.locator(".s-left").first()).containsText("left");
        other.keyboard().press(" ");
        assertThat(page.locator(".inhand span")).hasText(Pattern.compile("2 of \\d+ done"));
        assertThat(page.locator("input[name=text]")).hasValue("Edge came up");
        other.close();
        page.keyboard().type(" by itself.");
        page.locator("input[name=text]").press("Enter");
        assertThat(page.locator(".s-notes")).containsText("Edge came up by itself.");
        page.onceDialog(d -> d.accept());
        page.getByText("End it here").click();
        page.waitForURL("**/strike/skin");
        page.waitForSelector("html[data-alive]");
        zone("cheek-left").waitFor();
        zone("cheek-left").dispatchEvent("click");
        page.locator("input[name=note]").fill("red where the edge was");
        page.getByText("Red or sore there").click();
        assertThat(page.locator(".skinroom .plain .red")).containsText("left cheek");
        go("/jobs/3/safety");
        assertThat(page.locator("#room")).containsText("Skin was red at the left cheek");
    }

    @Test
    void aNewJobTypedByHandGoesFromTheShelfToTheBook() {
        signIn("ines");
        page.keyboard().press("n");
        page.waitForURL("**/jobs/new");
        page.waitForSelector("html[data-alive]");
        page.getByLabel("Who the character is").fill("Ash Warden");
        page.getByLabel("Performer").fill("Lio Marsh");
        assertThat(page.locator("input[name='crew[0].name']")).hasValue("Ines Dorval");
        page.locator("summary", new Page.LocatorOptions().setHasText("Whose hands"))
                .click();
        page.locator("input[name='crew[0].name']").fill("Ines");
        page.locator("summary", new Page.LocatorOptions().setHasText("The room"))
                .click();
        page.locator("input[name=humidity]").fill("0");
        page.locator("button.go").click();
        assertThat(page.locator("[role=alert]")).containsText("Humidity of 0 %");
        assertThat(page.getByLabel("Who the character is")).hasValue("Ash Warden");
        page.locator("input[name=humidity]").fill("45");
        page.locator("button.go").click();
        page.waitForURL(Pattern.compile(".*/jobs/\\d+/look"));
        String job = page.url().replaceAll(".*/jobs/(\\d+)/.*", "$1");
        go("/jobs/" + job + "/look");
        describe();
        inTheOrder(job);
        inTheChair(job);
        inTheBook(job);
    }

    private void describe() {
        pressZone("cheek-left");
        page.evaluate("window.stayed = true");
        add("foam-piece");
        assertThat(page.locator("#sentence .change")).containsText("First plan: ready");
        add("edge-latex");
        assertThat(page.locator("#sentence .change")).containsText(Pattern.compile("\\+\\d+ min: ready \\d\\d:\\d\\d"));
        assertThat(page.evaluate("window.stayed"))
                .as("the ribbon re-flowed without a page reload")
                .isEqualTo(true);
        assertThat(page.locator(".bare-says")).containsText("zones bare");
        page.locator("button[name=coats][value='2']").click();
        assertThat(page.locator("#sentence .change")).containsText("−");
        page.locator(".head [data-room=o]").click();
    }

    private void inTheOrder(String job) {
        page.waitForURL("**/order");
        page.waitForSelector(".or-step");
        assertThat(page.locator("[data-why] h3")).containsText(Pattern.compile("\\d+\\. "));
        page.locator(".order-art svg").focus();
        String before = page.locator("[data-why] h3").innerText();
        page.keyboard().press("ArrowRight");
        page.keyboard().press("ArrowRight");
        assertThat(page.locator("[data-why] h3").innerText()).isNotEqualTo(before);
        go("/jobs/" + job + "/order/list");
        assertThat(page.locator("table.steps")).containsText("Press the piece on");
    }

    /** A step is held, given an order by pressing two steps, and let go of again; nothing is lost on the way. */
    @Test
    void stepsAreHeldAndPutInOrderByHand() {
        signIn("ines");
        go("/jobs/3/order");
        page.waitForSelector(".or-step");
        page.locator(".order-art svg").focus();
        page.keyboard().press("ArrowRight");
        page.locator("button[value=HOLD]").click();
        assertThat(page.locator(".wishlist li")).hasCount(3);
        assertThat(page.locator(".tapebox .rb-nail").first()).isVisible();
        accessible("order with wishes");
        page.locator("text=Drop all wishes").click();
        assertThat(page.locator(".wishlist li")).hasCount(0);
        page.locator("[data-pick=BEFORE]").click();
        assertThat(page.locator("[data-picking]")).containsText("press the step");
        for (int k = 0; k < 4; k++) {
            page.keyboard().press("ArrowRight");
        }
        assertThat(page.locator("[data-picking]")).containsText("Enter takes it");
        page.keyboard().press("Enter");
        assertThat(page.locator(".wishlist li")).hasCount(1);
        assertThat(page.locator(".wishlist li")).containsText("before");
        page.locator("text=Take the last change back").first().click();
        assertThat(page.locator(".wishlist li")).hasCount(0);
    }

    private void inTheChair(String job) {
        go("/jobs/" + job + "/chair");
        page.locator("button.go").click();
        page.waitForSelector(".c-hand");
        accessible("chair");
        page.keyboard().press("Space");
        assertThat(page.locator(".c-keys .done")).containsText("done");
        String first = page.locator(".c-hand.mine .step").innerText();
        clock.pass(Duration.ofMinutes(1));
        page.keyboard().press("Space");
        assertThat(page.locator("[data-c=progress]")).containsText("1 of");
        page.keyboard().press("u");
        assertThat(page.locator("[data-c=progress]")).containsText("0 of");
        assertThat(page.locator(".c-hand.mine .step")).hasText(first.replace("\n", " "));
        for (int k = 0; k < 40 && page.locator(".c-clock.wet").count() == 0; k++) {
            clock.pass(Duration.ofSeconds(50));
            String says = page.locator(".c-keys .done").innerText();
            page.keyboard().press("Space");
            page.waitForTimeout(120);
            assertThat(says).doesNotContain("nothing");
        }
        assertThat(page.locator(".c-clock.wet").first()).containsText("wet");
        accessible("chair with something wet");
        page.keyboard().press("m");
        page.keyboard().press("1");
        page.locator("[data-c=askinput]").fill("Left cheek: glue went on thick.");
        page.locator("#ask button.go").click();
        page.waitForTimeout(200);
        page.reload();
        page.waitForSelector(".c-clock");
        page.setViewportSize(1024, 768);
        accessible("chair on a tablet");
        page.setViewportSize(1280, 800);
    }

    private void inTheBook(String job) {
        go("/jobs/" + job + "/book");
        assertThat(page.locator(".notes").first()).containsText("glue went on thick");
        assertThat(page.locator("tr.done").first()).isVisible();
    }

    @Test
    void zonesAreWalkedAndPressedByKey() {
        signIn("ines");
        go("/jobs/2/look?zones=nose");
        zone("nose").waitFor();
        zone("nose").focus();
        page.keyboard().press("ArrowDown");
        String below = String.valueOf(page.evaluate("document.activeElement.dataset.zone"));
        assertThat(below).isIn("upper-lip", "mouth");
        page.keyboard().press("Enter");
        page.waitForURL("**zones=" + below + "**");
        assertThat(page.locator("#zone-title")).hasText(Pattern.compile("(Upper lip|Mouth)"));
        page.keyboard().press("4");
        assertThat(page.locator(".views [aria-pressed=true]")).hasText("back");
    }

    @Test
    void theFloorSeesTheShelfAndNothingElse() {
        signIn("floor");
        assertThat(page.locator("h2").first()).containsText("Orrin Vask");
        assertThat(page.locator(".newjob")).hasCount(0);
    }

    /** A job that has just been set on the shelf is alive in Look at once. */
    @Test
    void aSampleSetOnTheShelfIsWorkedOnWithoutLoadingAgain() {
        signIn("ines");
        page.keyboard().press("e");
        page.waitForURL("**/look*");
        page.waitForSelector("html[data-alive]");
        pressZone("chin");
        assertThat(page.locator("#zone-title")).hasText("Chin");
        assertThat(page.locator(".offers-of").first()).isAttached();
    }

    /** The whole look by hand: a layer that fails, mended and unmended; what is proposed; every part of the house. */
    @Test
    void layersAreMendedAndTheHouseIsUsed() {
        signIn("ines");
        go("/jobs/4/look?zones=forehead&show=layers");
        page.waitForSelector(".figure-part .ring");
        add("prepaint-wash");
        page.waitForSelector(".strata .fail");
        accessible("look with a layer that fails");
        page.locator(".strata .fail button").first().click();
        assertThat(page.locator(".strata .fail")).hasCount(0);
        page.locator(".takeback button").click();
        page.waitForSelector(".strata .fail");
        page.locator(".takeback button").click();
        assertThat(page.locator(".strata .fail")).hasCount(0);
        for (String show : new String[] {"minutes", "risk", "bare"}) {
            page.locator(".modes a", new Page.LocatorOptions().setHasText(show)).click();
            page.waitForSelector(".modes a.on:has-text('" + show + "')");
        }
        page.keyboard().press("7");
        zone("belly").waitFor();
        page.keyboard().press("9");
        zone("teeth-upper").waitFor();
        page.keyboard().press("1");
        for (String part : new String[] {
            "",
            "/materials",
            "/card?of=acrylic-adhesive",
            "/schools",
            "/room",
            "/products/new",
            "/products/quay-acrylic"
        }) {
            go("/house" + part);
            accessible("house" + part);
        }
        go("/jobs/2/look");
        page.keyboard().press("h");
        page.waitForURL("**/house");
    }

    @Test
    void aPressIsWorkedOutWhileSomebodyPointsAtItAndNothingHasHappenedYet() {
        signIn("ines");
        go("/jobs/2/look?zones=brow-left,brow-right");
        Locator on =
                page.locator(".coats button[name=coats][aria-pressed=true]").first();
        Locator other =
                page.locator(".coats button[name=coats][aria-pressed=false]").first();
        String stands = on.textContent();
        String meant = other.textContent();
        Response ahead = page.waitForResponse(r -> r.request().headers().containsKey("x-ahead"), other::hover);
        assertThat(ahead.status()).isEqualTo(204);
        assertThat(on).hasText(stands);
        go("/jobs/2/look?zones=brow-left,brow-right");
        assertThat(on).hasText(stands);
        Locator figure = page.locator(".figure-art svg");
        figure.evaluate("f => { f.dataset.drawn = 'once'; }");
        // by keyboard as by pointer
        page.waitForResponse(r -> r.request().headers().containsKey("x-ahead"), other::focus);
        page.keyboard().press("Enter");
        assertThat(on).hasText(meant);
        assertThat(page.locator("#sentence .change")).isVisible();
        // the room was swapped around its figure
        assertThat(figure).hasAttribute("data-drawn", "once");
        assertThat(page.locator(".ring")).hasCount(2);
    }
}
