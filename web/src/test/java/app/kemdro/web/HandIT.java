package app.kemdro.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Small things of the hand in a real browser: a walk, a day picked by keys, a word that says what it means, a list that is filtered, jobs that are ticked. */
class HandIT extends OnePage {
    @Autowired
    private Jobs jobs;

    private Locator with(String selector, String text) {
        return page.locator(selector, new Page.LocatorOptions().setHasText(text));
    }

    @Test
    void theWalkGoesOnByItselfWhereWhatItAsksIsDone() {
        Job founder = DemoJobs.like("Orrin Vask", "Walked through", jobs);
        signIn("ines");
        go("/jobs/" + founder.id() + "/look#walk");
        Locator at = page.locator(".walk b");
        assertThat(at).hasText("1 of 8");
        accessible("look with the walk");
        zone("cheek-left").click();
        assertThat(at).hasText("2 of 8");
        with(".walk button", "Next").click();
        with(".walk button", "Next").click();
        page.waitForURL("**/order");
        assertThat(at).hasText("4 of 8");
        with(".walk button", "Leave").click();
        assertThat(page.locator(".walk")).hasCount(0);
        go("/jobs/" + founder.id() + "/look");
        assertThat(page.locator(".walk")).hasCount(0);
    }

    /** Picked by keys alone; the arrow down is a week later. */
    @Test
    void aDayIsPickedFromAMonth() {
        Job job = DemoJobs.ofInesOnly("Picked by its day", jobs);
        LocalDate call = job.brief().call().toLocalDate();
        signIn("ines");
        go("/jobs/" + job.id() + "/brief");
        Locator field = page.locator("[name=callDay]");
        page.locator(".cal-open").focus();
        page.keyboard().press("Enter");
        assertThat(page.locator(".cal [aria-pressed=true]")).isFocused();
        accessible("brief with a month");
        page.keyboard().press("ArrowDown");
        page.keyboard().press("Enter");
        assertThat(page.locator(".cal")).hasCount(0);
        assertThat(page.locator(".cal-open")).isFocused();
        with("button", "Keep this brief").click();
        assertThat(page.locator("#sentence .change")).isVisible();
        assertThat(jobs.get(job.id()).brief().call().toLocalDate()).isEqualTo(call.plusWeeks(1));

        // and as it is said
        field.fill(call.plusDays(1).getDayOfMonth() + "/" + call.plusDays(1).getMonthValue() + "/"
                + call.plusDays(1).getYear());
        with("button", "Keep this brief").click();
        assertThat(page.locator("[name=callDay]"))
                .not()
                .hasValue(call.plusDays(1).getDayOfMonth() + "/"
                        + call.plusDays(1).getMonthValue() + "/"
                        + call.plusDays(1).getYear());
        assertThat(jobs.get(job.id()).brief().call().toLocalDate()).isEqualTo(call.plusDays(1));
    }

    @Test
    void whatIsTypedFindsWhatMakesIt() {
        signIn("ines");
        go("/jobs/2/look");
        page.locator("[data-find]").fill("barnacles");
        assertThat(page.locator(".found-list li").first()).containsText("Texture patches");
        accessible("look, found by what it makes");
        with(".found-list li:first-child a", "forehead").click();
        assertThat(page.locator("#zone-title")).hasText("Forehead");
        page.locator("[data-filter]").fill("barnacles");
        assertThat(page.locator(".offer:not([hidden])").first()).isVisible();
        // what an offer costs is said before it is pressed
        assertThat(page.locator(".offer:not([hidden]) [data-addition]").first())
                .hasText(java.util.regex.Pattern.compile(
                        "min|same|will not do", java.util.regex.Pattern.CASE_INSENSITIVE));
        page.locator("[data-filter]").fill("xylophone");
        assertThat(page.locator("[data-filter-none]")).isVisible();
        // a family that was left out of the answer comes when it is opened, with what it costs
        go("/jobs/2/look");
        page.locator(".zone[data-zone='forehead']").first().press("Enter");
        assertThat(page.locator("#zone-title")).hasText("Forehead");
        com.microsoft.playwright.Locator later =
                page.locator(".offers-of[data-later]").first();
        String family = later.getAttribute("data-group");
        com.microsoft.playwright.Locator opened = page.locator(".offers-of[data-group='" + family + "']");
        int said = Integer.parseInt(opened.locator("summary em").innerText());
        assertThat(opened.locator(".offer")).hasCount(0);
        opened.locator("summary").click();
        assertThat(opened.locator(".offer-family")).hasCount(said);
        assertThat(opened.locator("[data-addition]").first())
                .hasText(java.util.regex.Pattern.compile(
                        "min|same|will not do", java.util.regex.Pattern.CASE_INSENSITIVE));

        go("/house/materials");
        page.locator("[data-filter]").fill("latex");
        assertThat(with(".families article h3", "Liquid latex")).isVisible();
        assertThat(with(".families article h3", "Oil clay")).isHidden();
        accessible("materials, filtered");
    }

    @Test
    void aWordSaysWhatItMeansWhereItStands() {
        signIn("ines");
        go("/jobs/2/safety");
        with(".word", "Patch tests").click();
        assertThat(page.locator(".word-says")).containsText("reacts is a no");
        accessible("safety with a word");
        page.keyboard().press("Escape");
        assertThat(page.locator(".word-says")).hasCount(0);
        page.keyboard().press("Shift+?");
        page.locator("#keys .words summary").click();
        assertThat(with("#keys .words dt", "barred")).isVisible();
        accessible("words of a room");
    }

    @Test
    void jobsAreTickedAndMovedTogether() {
        Job job = DemoJobs.ofInesOnly("Ticked and moved", jobs);
        LocalDate call = job.brief().call().toLocalDate();
        signIn("ines");
        go("/shelf?find=Ticked");
        assertThat(page.locator(".several")).isHidden();
        page.locator(".pick input").first().check();
        accessible("shelf with a job ticked");
        page.locator(".several [name=days]").fill("2");
        with(".several button", "Move by").click();
        assertThat(page.locator(".change")).containsText("Moved by 2 days: Ticked and moved");
        assertThat(jobs.get(job.id()).brief().call().toLocalDate()).isEqualTo(call.plusDays(2));
    }

    /** What these hands are at, its clock and its key are whole on the screens of the trade. */
    @Test
    void theCurrentStepAndItsClockAreNeverCutOff() {
        Job job = DemoJobs.like("Orrin Vask", "Never cut off", jobs);
        signIn("ines");
        go("/jobs/" + job.id() + "/chair");
        with("button", "Rehearse").first().click();
        page.waitForSelector("body[data-chair]");
        page.keyboard().press("Space");
        for (int[] size : new int[][] {{1280, 800}, {1024, 768}}) {
            page.setViewportSize(size[0], size[1]);
            assertThat(page.locator(".c-hand.mine .c-left b").first()).isVisible();
            Map<String, List<Number>> edges = edges(
                    ".c-hands",
                    ".c-hand.mine .step",
                    ".c-hand.mine .c-left",
                    ".c-hand:not(.mine) .c-who",
                    ".c-figure .figure-art",
                    ".c-figure .views");
            double foot = edges.get(".c-hands").get(1).doubleValue();
            for (String part : List.of(".c-hand.mine .step", ".c-hand.mine .c-left", ".c-hand:not(.mine) .c-who")) {
                assertThat(edges.get(part).get(1).doubleValue())
                        .as(part + " at " + size[0])
                        .isLessThanOrEqualTo(foot + 1);
            }
            // views stand below the figure, never on it
            assertThat(edges.get(".c-figure .views").get(0).doubleValue())
                    .isGreaterThanOrEqualTo(
                            edges.get(".c-figure .figure-art").get(1).doubleValue() - 1);
            assertThat(Double.parseDouble(page.locator(".c-hands")
                            .evaluate(
                                    "h => { const p = document.createElement('p'); p.className = 'c-caution'; h.append(p);"
                                            + " const s = getComputedStyle(p).fontSize; p.remove(); return s; }")
                            .toString()
                            .replace("px", "")))
                    .isGreaterThanOrEqualTo(22);
        }
    }

    /** Head and foot of each of these as they stand at one moment: a chair is drawn anew while one looks. */
    @SuppressWarnings("unchecked")
    private Map<String, List<Number>> edges(String... parts) {
        return (Map<String, List<Number>>)
                page.waitForFunction("""
                (parts) => {
                  const boxes = parts.map((part) => document.querySelector(part)?.getBoundingClientRect());
                  return boxes.every((box) => box?.height) && Object.fromEntries(parts.map((part, k) => [part, [boxes[k].top, boxes[k].bottom]]));
                }""", List.of(parts)).jsonValue();
    }

    /** What is pushed to a screen while it stands open is said by its reader's habit, and by nobody else's. */
    @Test
    void inchesAndAmAndPmAreForWhoeverChoseThem() {
        Job job = DemoJobs.ofInesOnly("Read in two ways", jobs);
        signIn("ines");
        go("/house/units");
        accessible("units");
        page.locator("label", new Page.LocatorOptions().setHasText("am and pm"))
                .first()
                .click();
        page.locator("label", new Page.LocatorOptions().setHasText("inches"))
                .first()
                .click();
        page.getByText("Keep mine").click();
        assertThat(page.locator(".units-say")).containsText("22.4 in, 12 g, 21 °C, 4:30 pm");
        try {
            go("/jobs/" + job.id() + "/chair");
            page.keyboard().press("Space");
            Locator ready = page.locator("[data-c=ready]");
            assertThat(page.locator("[data-c=now]")).hasText(Pattern.compile("\\d{1,2}:\\d\\d [ap]m"));
            assertThat(ready).containsText(Pattern.compile("\\d{1,2}:\\d\\d [ap]m"));
            try (BrowserContext second = browser.newContext()) {
                Page pells = second.newPage();
                RealBrowser.signIn(pells, port, "pell");
                RealBrowser.go(pells, port, "/shelf");
                Locator board = pells.locator("#room");
                assertThat(board).not().containsText(Pattern.compile("\\d [ap]m\\b"));
            }
            page.keyboard().press("Space");
            assertThat(ready).containsText(Pattern.compile("\\d{1,2}:\\d\\d [ap]m"));
            accessible("chair by am and pm");
        } finally {
            go("/house/units");
            page.locator("label", new Page.LocatorOptions().setHasText("as the house: 24 hours"))
                    .click();
            page.locator("label", new Page.LocatorOptions().setHasText("as the house: cm"))
                    .click();
            page.getByText("Keep mine").click();
            assertThat(page.locator(".units-say")).containsText("57 cm, 12 g, 21 °C, 16:30");
        }
    }
}
