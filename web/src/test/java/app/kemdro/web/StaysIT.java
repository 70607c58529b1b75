package app.kemdro.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** After a press only what says something new is put into the page: then it says what it says when it is opened anew. */
class StaysIT extends OnePage {
    /** Everything somebody can read, press or be sent by in a room, line by line. */
    private static final String ALL = """
            () => {
              const seen = (e) => e.checkVisibility();
              const line = (e) => [e.localName, e.className, e.textContent.trim(), e.value, e.checked, e.disabled, e.getAttribute('aria-pressed'),
                e.getAttribute('href'), e.form?.getAttribute('action')].join(' ');
              const room = document.querySelector('#room');
              return [document.querySelector('.work-line').innerText, room.innerText, ...[...room.querySelectorAll('a, button, input, select, textarea, summary')]
                .filter(seen).map(line)].join('\\n').replace(/\\s*\\n\\s*/g, '\\n');
            }""";

    private static final String STRENGTH = ".coats button[name=strength][aria-pressed=false]";

    /** What a room still waits for. */
    private static final String AWAITED = "[data-costs], [data-ways], [data-signing], [data-levers], [data-instead]";

    @Autowired
    private Jobs jobs;

    /** What it says once nothing comes in any more. */
    private String settled() {
        String before = "";
        for (int k = 0; k < 100; k++) {
            page.waitForTimeout(300);
            String now = String.valueOf(page.evaluate(ALL));
            if (now.equals(before) && page.locator(AWAITED).count() == 0) {
                return now;
            }
            before = now;
        }
        return before;
    }

    private void press(String button) {
        page.waitForResponse(
                r -> r.request().headers().containsKey("x-live"),
                () -> page.locator(button).first().click());
    }

    private void saysTheSameAnew(String where) {
        String swapped = settled();
        page.reload();
        page.waitForSelector("html[data-alive]");
        assertThat(swapped).as(where).isEqualTo(settled());
    }

    private Job own(String called) {
        Job job = DemoJobs.ofInesOnly(called, jobs);
        signIn("ines");
        return job;
    }

    @Test
    void aRoomThatWasPressedSaysWhatItSaysWhenItIsOpenedAnew() {
        String at = "/jobs/" + own("Says the same").id();
        go(at + "/look?zones=cheek-left");
        for (String button : List.of(
                STRENGTH,
                ".offers-of[open] .offer button:not(:disabled), .alt button:not(:disabled)",
                ".alt button:not(:disabled)",
                "text=Take off here",
                ".takeback button")) {
            press(button);
            saysTheSameAnew("look, " + button);
        }
        go(at + "/order");
        for (String button :
                List.of("[data-wish] button[value=HOLD]", ".wishlist button", ".wishes button", ".certain button")) {
            press(button);
            saysTheSameAnew("order, " + button);
        }
        go(at + "/colour");
        press("form[action$='/colour/skin'] button[aria-pressed=false]");
        saysTheSameAnew("colour");
        go(at + "/kit");
        press("form[action$='/kit'] button");
        saysTheSameAnew("kit");
        go(at + "/safety");
        page.locator("[name=lensHours]").fill("3");
        press("form:has([name=lensHours]) button.act");
        saysTheSameAnew("safety");
        go("/jobs/" + DemoJobs.like("Sprue", "Bench says the same", jobs).id() + "/bench");
        page.locator("[name=hands]").selectOption("2");
        press("form:has([name=hands]) button.act");
        saysTheSameAnew("bench");
        go(at + "/brief");
        page.locator("[name=callHour]").fill("23.30");
        press("form:has([name=callHour]) button.go");
        saysTheSameAnew("brief");
    }

    @Test
    void anotherZoneIsReadFromItsBeginningAndSaysOnlyWhatIsItsOwn() {
        String at = "/jobs/" + own("Other zones").id();
        go(at + "/look?zones=brow-left,brow-right");
        settled();
        page.evaluate("() => (document.querySelector('.l-choice').scrollTop = 200)");
        for (String zone : List.of("cheek-left", "chin", "forehead", "chin")) {
            zone(zone).click();
            page.waitForURL("**zones=" + zone + "*");
            assertThat(page.evaluate("() => document.querySelector('.l-choice').scrollTop"))
                    .isEqualTo(0);
            saysTheSameAnew(zone);
        }
    }

    @Test
    void whatSaysNothingNewIsNotPutInAgainAndWhatIsTypedStays() {
        go("/jobs/" + own("Stays there").id() + "/look?zones=cheek-left");
        settled();
        // what came whole has families of offers that a press leaves out
        press(STRENGTH);
        settled();
        page.evaluate("() => { for (const e of document.querySelectorAll('#room *')) e.stood = true; }");
        press(STRENGTH);
        settled();
        Number stood =
                (Number) page.evaluate("() => [...document.querySelectorAll('#room *')].filter((e) => e.stood).length");
        Number all = (Number) page.evaluate("() => document.querySelectorAll('#room *').length");
        assertThat(stood.intValue()).isGreaterThan(all.intValue() * 2 / 5);
        page.locator("input[name=coverage]").first().fill("33");
        press(STRENGTH);
        settled();
        assertThat(page.locator("input[name=coverage]").first()).hasValue("33");
        assertThat(page.locator("input[name=_csrf]")).hasCount(0);
    }

    /** The head beside an order stays, and the order itself is drawn anew. */
    @Test
    void anOrderIsDrawnAnewBesideTheHeadThatStays() {
        go("/jobs/" + own("Drawn beside").id() + "/order");
        settled();
        page.waitForSelector(".profile svg");
        page.evaluate("() => document.querySelectorAll('.order svg').forEach((svg) => (svg.stood = true))");
        press("[data-wish] button[value=HOLD]");
        settled();
        assertThat(page.evaluate("() => document.querySelector('.profile svg').stood"))
                .isEqualTo(true);
        assertThat(
                        page.evaluate(
                                "() => [...document.querySelectorAll('.order-art svg, [data-startby] svg')].map((s) => s.stood ?? false)"))
                .isEqualTo(List.of(false, false));
        page.setViewportSize(1000, 700);
        page.waitForFunction(
                "() => document.querySelector('.order-art svg').getAttribute('width') === String(document.querySelector('[data-order]').clientWidth)");
    }

    /** A form that loads a page sends the token of its page although no field says it. */
    @Test
    void aFormThatNoScriptSendsIsBelieved() {
        Job job = own("Believed");
        go("/jobs/" + job.id() + "/look?zones=chin");
        zone("chin").click();
        page.waitForURL(u -> !u.contains("zones="));
        page.locator(".keep-start summary").click();
        page.locator(".keep-start [name=name]").fill("Kept as a start");
        page.locator(".keep-start button").click();
        page.waitForLoadState();
        go("/jobs/starts");
        assertThat(page.locator("main")).containsText("Kept as a start");
    }
}
