package app.kemdro.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.look.Brief;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import com.deque.html.axecore.args.AxeRuleOptions;
import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Page;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Every room on a laptop, a tablet, a phone and a large screen: nothing scrolls sideways, is cut or lies over another, and nothing keeps anybody out. */
class SizesIT extends OnePage {
    @Autowired
    private Jobs jobs;

    private static final int[][] SIZES = {{1280, 800}, {1024, 768}, {390, 844}, {1920, 1080}};

    private static final String COLLISIONS = read("collisions.js");

    private static final List<String> ROOMS = List.of(
            "/shelf",
            "/jobs/new",
            "/jobs/2/brief",
            "/jobs/2/look",
            "/jobs/2/look?zones=cheek-left",
            "/jobs/2/look?zones=cheek-left,nose&show=risk",
            "/jobs/2/colour?mix=1:3,2:1&aim=%23a05c30",
            "/jobs/2/pictures",
            "/jobs/2/order",
            "/jobs/2/order/list",
            "/jobs/2/bench",
            "/jobs/2/kit?days=60",
            "/jobs/2/kit/mixes",
            "/jobs/2/kit/bag",
            "/jobs/2/safety",
            "/jobs/2/chair",
            "/jobs/2/strike",
            "/jobs/2/floor",
            "/jobs/3/book",
            "/jobs/1/book",
            "/jobs/1/chair/review",
            "/people",
            "/people/1",
            "/people/record",
            "/password",
            "/house/keeping",
            "/house",
            "/house/paints",
            "/house/materials",
            "/house/card",
            "/house/schools",
            "/house/usual",
            "/house/words",
            "/house/units",
            "/house/room",
            "/house/products/new",
            "/book?find=edge");

    private static String read(String script) {
        try {
            return Files.readString(Path.of("src/test/resources", script));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Test
    void everyRoomFitsEveryScreen() {
        signIn("ines");
        List<String> wrong = new ArrayList<>();
        for (int[] size : SIZES) {
            page.setViewportSize(size[0], size[1]);
            for (String room : ROOMS) {
                go(room);
                collisions(room, wrong);
            }
        }
        assertThat(wrong).isEmpty();
    }

    /** Moderate findings count too, what is good practice without being a rule, and names that are not what stands on a button. */
    @Test
    void nothingKeepsAnybodyOut() {
        signIn("ines");
        List<String> found = ROOMS.stream()
                .flatMap(room -> {
                    go(room);
                    return new AxeBuilder(page)
                            .options(names()).analyze().getViolations().stream()
                                    .filter(v -> !"minor".equals(v.getImpact()))
                                    .flatMap(v -> Stream.of(room + " " + v.getId() + " "
                                            + v.getNodes().stream()
                                                    .map(n -> n.getHtml())
                                                    .toList()));
                })
                .toList();
        assertThat(found).isEmpty();
    }

    private static AxeRunOptions names() {
        AxeRuleOptions on = new AxeRuleOptions();
        on.setEnabled(true);
        AxeRunOptions options = new AxeRunOptions();
        options.setRules(Map.of("label-content-name-mismatch", on));
        return options;
    }

    /** Whether a place is whole on the screen and nothing lies over its middle. */
    private static final String SEEN = """
            (selector) => {
              const e = document.querySelector(selector);
              if (!e) return 'is not there';
              const b = e.getBoundingClientRect();
              if (b.top < -1 || b.left < -1 || b.bottom > innerHeight + 1 || b.right > innerWidth + 1)
                return `lies at ${Math.round(b.top)} to ${Math.round(b.bottom)} of ${innerHeight}, ${Math.round(b.left)} to ${Math.round(b.right)} of ${innerWidth}`;
              const at = document.elementFromPoint((b.left + b.right) / 2, (b.top + b.bottom) / 2);
              return at && (e.contains(at) || at.contains(e)) ? '' : `is covered by ${at?.outerHTML.slice(0, 60)}`;
            }""";

    /** With three pairs of hands and the call in danger: what is now, until when, and the key for it are never cut off. */
    @Test
    void inDangerWithThreePairsOfHandsTheStepItsClockAndItsKeyAreSeen() {
        Job from = DemoJobs.like("Orrin Vask", "In danger with three", jobs);
        Job job = jobs.change(from.id(), j -> j.describe(j.title(), "", "", withThree(j.brief())));
        signIn("ines");
        go("/jobs/" + job.id() + "/chair");
        page.locator("button.go").click();
        page.waitForSelector(".c-hands.three");
        page.keyboard().press("Space");
        com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat(page.locator(".c-keys .done"))
                .containsText("done");
        for (int k = 0; k < 40 && page.locator(".c-levers").count() == 0; k++) {
            page.keyboard().press("a");
            page.waitForTimeout(120);
        }
        page.waitForSelector(".c-levers");
        List<String> wrong = new ArrayList<>();
        for (int[] size : SIZES) {
            page.setViewportSize(size[0], size[1]);
            page.waitForTimeout(300);
            for (String vital : List.of(
                    "[data-c=now]",
                    "[data-c=ready]",
                    "[data-c=call]",
                    ".c-hand.mine .step",
                    ".c-hand.mine .c-left b",
                    ".c-keys .done")) {
                Object said = page.evaluate(SEEN, vital);
                if (!"".equals(said)) {
                    wrong.add(size[0] + " " + vital + " " + said);
                }
            }
            collisions("the chair in danger", wrong);
        }
        assertThat(wrong).isEmpty();
    }

    /** What of the words beside the figure lies on what is drawn of it, or of the views under it. */
    private static final String ON_THE_FIGURE = """
            () => [...document.querySelectorAll('.modes a, .modes button, .legend li, .views button')].filter((e) => {
              const words = document.createRange();
              words.selectNodeContents(e);
              const b = words.getBoundingClientRect();
              const isOn = (x, y) => document.elementsFromPoint(x, y).some((at) => at.localName === 'path' && at.closest('.figure-art'));
              for (let x = b.left; x <= b.right; x += 3)
                for (const y of [b.top + 1, (b.top + b.bottom) / 2, b.bottom - 1]) if (isOn(x, y)) return true;
              return false;
            }).map((e) => e.textContent.trim())""";

    /** With the longest of its legends. */
    @Test
    void nothingLiesOnTheFigureInAnyOfItsViews() {
        signIn("ines");
        go("/jobs/2/look?zones=nose&show=layers");
        page.waitForSelector(".views button");
        List<String> wrong = new ArrayList<>();
        int views = page.locator(".views button").count();
        for (int view = 0; view < views; view++) {
            page.setViewportSize(1280, 800);
            page.locator(".views button").nth(view).click();
            for (int[] size : SIZES) {
                page.setViewportSize(size[0], size[1]);
                page.waitForTimeout(300);
                ((List<?>) page.evaluate(ON_THE_FIGURE))
                        .forEach(w -> wrong.add(size[0] + " "
                                + page.locator(".views [aria-pressed=true]").textContent() + ": " + w));
            }
        }
        assertThat(views).isEqualTo(9);
        assertThat(wrong).isEmpty();
    }

    /** The board of the floor, a form that two have changed, and what comes off, while it comes off. */
    @Test
    void whatStandsOpenForAMomentFitsToo() {
        Job job = DemoJobs.ofInesOnly("Seen in passing", jobs);
        signIn("ines");
        go("/jobs/" + job.id() + "/floor");
        page.locator("form button.go").click();
        String board = page.locator(".floorlinks a").first().getAttribute("href");
        go("/jobs/" + job.id() + "/brief");
        Page other = page.context().newPage();
        RealBrowser.go(other, port, "/jobs/" + job.id() + "/brief");
        for (Page each : List.of(other, page)) {
            each.evaluate("() => document.querySelectorAll('details').forEach((d) => (d.open = true))");
            each.locator("[name=temperature]").fill(each == other ? "25" : "24");
            each.getByText("Keep this brief").click();
            each.waitForSelector(each == other ? ".putback" : ".meanwhile");
        }
        other.close();
        List<String> wrong = new ArrayList<>();
        everySize("what two have changed", wrong);
        go(board);
        everySize("the board", wrong);
        go("/jobs/" + job.id() + "/strike");
        page.locator(".strike-begin button").first().click();
        page.waitForSelector("body[data-strike]");
        everySize("it comes off", wrong);
        assertThat(wrong).isEmpty();
    }

    private void everySize(String what, List<String> wrong) {
        for (int[] size : SIZES) {
            page.setViewportSize(size[0], size[1]);
            page.waitForTimeout(300);
            collisions(what, wrong);
        }
    }

    private void collisions(String what, List<String> wrong) {
        page.evaluate("() => document.fonts.ready");
        ((List<?>) page.evaluate(COLLISIONS))
                .forEach(f -> wrong.add(page.viewportSize().width + " " + what + ": " + f));
    }

    private static Brief withThree(Brief brief) {
        List<Brief.Hands> crew = new ArrayList<>(brief.crew());
        Brief.Hands second = crew.get(1);
        crew.add(new Brief.Hands("Wim", Brief.Skill.TRAINEE, second.from(), second.until(), 1));
        return brief.with(crew);
    }
}
