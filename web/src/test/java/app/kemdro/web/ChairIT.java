package app.kemdro.web;

import static app.kemdro.web.RealBrowser.accessible;
import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.web.records.account.DemoAccounts;
import app.kemdro.web.records.job.Jobs;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** The chair in real browsers, two at once: what one presses, the other shows; what is cut off is kept. */
class ChairIT extends InBrowser {
    @Autowired
    private Jobs jobs;

    private final List<BrowserContext> contexts = new ArrayList<>();
    private long job;

    @BeforeEach
    void aJobOfItsOwn() {
        job = DemoJobs.like("Orrin Vask", "In the chair", jobs).id();
    }

    @AfterEach
    void leave() {
        contexts.forEach(BrowserContext::close);
        contexts.clear();
    }

    private Page screen(String who, int width, int height) {
        BrowserContext context = browser.newContext(new Browser.NewContextOptions().setViewportSize(width, height));
        contexts.add(context);
        Page page = context.newPage();
        RealBrowser.signIn(page, port, who);
        return page;
    }

    private void go(Page page, String path) {
        RealBrowser.go(page, port, path);
    }

    private Page[] twoScreens() {
        Page tablet = screen("ines", 1280, 800);
        go(tablet, "/jobs/" + job + "/chair");
        tablet.locator("button.go").click();
        tablet.waitForSelector(".c-hand");
        Page phone = screen("pell", 390, 844);
        go(phone, "/jobs/" + job + "/chair");
        phone.waitForSelector(".c-hand");
        return new Page[] {tablet, phone};
    }

    @Test
    void whatOneScreenPressesTheOtherShowsAndHandsAreDrivenByOne() {
        Page[] two = twoScreens();
        two[0].keyboard().press("Space");
        assertThat(two[0].locator(".c-keys .done")).containsText("done");
        assertThat(two[1].locator(".c-hand.mine .c-who span")).containsText("now");
        assertThat(two[1].locator(".c-keys .done")).containsText("take control here");
        two[1].keyboard().press("Space");
        assertThat(two[1].locator(".c-keys .done")).containsText("done");
        assertThat(two[0].locator(".c-keys .done")).containsText("take control here");
        clock.pass(Duration.ofMinutes(1));
        two[1].keyboard().press("Space");
        assertThat(two[0].locator("[data-c=progress]")).containsText("1 of");
        accessible(two[0], "chair");
        accessible(two[1], "chair on a phone");
        // the list of keys is what can be pressed at this moment
        two[1].keyboard().press("Shift+?");
        assertThat(two[1].locator("#keys [data-actions]")).containsText("take back");
        assertThat(two[1].locator("#keys [data-actions] dt").first()).hasText("Space");
    }

    @Test
    void aScreenThatIsCutOffKeepsItsPressesAndDeliversThemOnce() {
        Page[] two = twoScreens();
        Page tablet = two[0];
        tablet.keyboard().press("Space");
        assertThat(tablet.locator(".c-keys .done")).containsText("done");
        contexts.get(0).setOffline(true);
        tablet.keyboard().press("Space");
        assertThat(tablet.locator("[data-c=lost]")).containsText("1 press is kept");
        assertThat(tablet.locator(".c-keys .done")).containsText("begin");
        tablet.keyboard().press("Space");
        assertThat(tablet.locator("[data-c=lost]")).containsText("2 presses are kept");
        accessible(tablet, "chair cut off");
        BoundingBox cutOff = tablet.locator("[data-c=lost]").boundingBox();
        for (String stays : List.of("now", "ready", "call")) {
            assertThat(tablet.locator("[data-c=" + stays + "]").boundingBox().y)
                    .as(stays + " is not covered")
                    .isGreaterThanOrEqualTo(cutOff.y + cutOff.height);
        }
        assertThat(two[1].locator("[data-c=progress]")).containsText("0 of");
        // what was begun more than three seconds ago has begun: it is not asked about any more
        tablet.waitForTimeout(3500);
        contexts.get(0).setOffline(false);
        tablet.locator("[data-c=retry]").click();
        assertThat(tablet.locator("[data-c=lost]")).isHidden();
        assertThat(two[1].locator("[data-c=progress]")).containsText("1 of");
        tablet.reload();
        tablet.waitForSelector(".c-hand");
        assertThat(tablet.locator("[data-c=progress]")).containsText("1 of");
        assertThat(tablet.locator(".c-keys .done")).containsText("done");
    }

    /** The session has ended behind the page: whoever stands there signs in without leaving, and nothing pressed is lost. */
    @Test
    void whoeverIsSignedOutSignsInHereWithoutLeavingTheChair() {
        Page[] two = twoScreens();
        Page tablet = two[0];
        tablet.evaluate("window.stillHere = true");
        contexts.get(0).clearCookies();
        tablet.keyboard().press("Space");
        assertThat(tablet.locator("#door")).isVisible();
        assertThat(tablet.locator("[data-c=lost]")).containsText("1 press is kept");
        accessible(tablet, "chair signed out");
        tablet.locator("#door [name=username]").fill("ines");
        tablet.locator("#door [name=password]").fill("wrong-one");
        tablet.locator("#door .go").click();
        assertThat(tablet.locator("#door .wrong")).containsText("do not belong together");
        tablet.locator("#door [name=password]").fill(DemoAccounts.PASSWORD);
        tablet.locator("#door .go").click();
        assertThat(tablet.locator("#door")).isHidden();
        assertThat(tablet.locator("[data-c=lost]")).isHidden();
        assertThat(tablet.locator(".c-keys .done")).containsText("done");
        // what somebody else presses is heard again
        assertThat(two[1].locator(".c-keys .done")).containsText("take control here");
        two[1].keyboard().press("Space");
        assertThat(two[1].locator(".c-keys .done")).containsText("done");
        clock.pass(Duration.ofMinutes(1));
        two[1].keyboard().press("Space");
        assertThat(tablet.locator("[data-c=progress]")).containsText("1 of");
        org.assertj.core.api.Assertions.assertThat(tablet.evaluate("window.stillHere"))
                .isEqualTo(true);
    }

    @Test
    void troubleHandsAndReactionsAreReportedWithKeysAlone() {
        Page tablet = twoScreens()[0];
        tablet.keyboard().press("h");
        assertThat(tablet.locator("#ask h2")).hasText("Hands");
        tablet.keyboard().press("3");
        tablet.locator("[data-c=askinput]").fill("Marit");
        tablet.keyboard().press("Enter");
        assertThat(tablet.locator(".c-hand")).hasCount(3);
        accessible(tablet, "three pairs of hands");
        tablet.keyboard().press("l");
        assertThat(tablet.locator("#ask h2")).hasText("Where is the trouble?");
        accessible(tablet, "what went wrong");
        tablet.locator(".c-choices button", new Page.LocatorOptions().setHasText("Skin reacts"))
                .click();
        tablet.locator("[data-c=askinput]").fill("left cheek, redness");
        tablet.keyboard().press("Enter");
        assertThat(tablet.locator(".c-notice.stop")).containsText("Skin reacts");
        accessible(tablet, "a reaction");
        tablet.keyboard().press("Space");
        assertThat(tablet.locator(".c-notice.stop")).hasCount(0);
    }

    @Test
    void leversAreOfferedWhenTheCallIsInDangerAndTheBoardFollows() {
        Page tablet = twoScreens()[0];
        go(contexts.get(1).pages().get(0), "/jobs/" + job + "/chair");
        Page lead = contexts.get(0).newPage();
        go(lead, "/jobs/" + job + "/floor");
        lead.locator("form button.go").click();
        String board = lead.locator(".floorlinks a").first().getAttribute("href");
        BrowserContext stranger = browser.newContext(new Browser.NewContextOptions().setViewportSize(390, 844));
        contexts.add(stranger);
        Page floor = stranger.newPage();
        go(floor, board);
        assertThat(floor.locator("[data-b=hand]")).containsText("in hand");
        accessible(floor, "board on a phone");
        tablet.keyboard().press("Space");
        assertThat(tablet.locator(".c-keys .done")).containsText("done");
        for (int k = 0; k < 20; k++) {
            tablet.keyboard().press("a");
            tablet.waitForTimeout(120);
        }
        assertThat(tablet.locator(".c-levers")).containsText("These bring minutes back");
        assertThat(floor.locator("[data-b=hand]")).containsText("late");
        accessible(tablet, "chair in danger");
        lead.locator(".floorlinks button").click();
        floor.reload();
        assertThat(floor.locator("h1")).containsText("closed");
    }

    @Test
    void thePedalIsSpaceOnTheScreenThatDrives() {
        Page[] two = twoScreens();
        Page pedal = contexts.get(1).newPage();
        go(pedal, "/jobs/" + job + "/chair/pedal");
        accessible(pedal, "pedal");
        two[0].keyboard().press("Space");
        assertThat(two[0].locator(".c-keys .done")).containsText("done");
        clock.pass(Duration.ofMinutes(1));
        pedal.locator(".tread").first().click();
        assertThat(two[0].locator("[data-c=progress]")).containsText("1 of");
    }

    @Test
    void aRehearsalIsWatchedAndReviewed() {
        Page tablet = screen("ines", 1280, 800);
        go(tablet, "/jobs/" + job + "/chair");
        tablet.locator("button[name=pace]").click();
        tablet.waitForSelector(".c-hand");
        assertThat(tablet.locator("[data-c=rehearsal]")).isVisible();
        tablet.locator(".c-pace button[value='120']").click();
        for (int k = 0; k < 20; k++) {
            clock.pass(Duration.ofSeconds(1));
            tablet.waitForTimeout(100);
        }
        assertThat(tablet.locator("[data-c=progress]")).not().containsText(" 0 of");
        accessible(tablet, "rehearsal");
        go(tablet, "/jobs/" + job + "/chair/review");
        assertThat(tablet.locator(".review")).containsText("Where minutes went");
        accessible(tablet, "review");
    }
}
