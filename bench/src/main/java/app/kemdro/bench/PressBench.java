package app.kemdro.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicLong;

/** Times presses in a real browser on a running demo, and weighs the first page on the wire. */
public final class PressBench {
    private static final int WARM_UP = 8;
    private static final int PRESSES = 20;

    /** After so many milliseconds nothing goes on behind a press any more, and after so many the order is just settling. */
    private static final int QUIET = 2500;

    private static final int SETTLING = 900;

    /** As long as somebody's pointer rests on a button before they press it, milliseconds. */
    private static final int POINTED = 250;

    /** From the press until the room that was drawn anew has been painted. */
    private static final String TIMED_PRESS = """
            () => new Promise((done) => {
              const pressed = %s;
              const from = performance.now();
              const watch = new MutationObserver(() => {
                if (!document.body.contains(pressed)) {
                  watch.disconnect();
                  // behind the frame: the room has been laid out and painted
                  requestAnimationFrame(() => {
                    const painted = new MessageChannel();
                    painted.port1.onmessage = () => done(performance.now() - from);
                    painted.port2.postMessage(0);
                  });
                }
              });
              watch.observe(document.body, { childList: true, subtree: true });
              pressed.click();
            })
            """;

    /** Coats, strengths and shares in turn, so that hardly a look comes again: one that did would be planned already. */
    private static final String CHOICE = """
            (() => {
              const all = [...document.querySelectorAll('.coats button[name]')].filter((b) => !b.classList.contains('on'));
              return all[(window.turn * 5) % all.length];
            })()""";

    /** Another step each time; one that is held already would change nothing. */
    private static final String WISH = """
            (() => {
              const drop = document.querySelector('form[action$="/order/wishes/drop"] button');
              if (drop) return drop;
              const steps = [...document.querySelectorAll('.or-step')];
              steps[(window.turn * 5) % steps.length].dispatchEvent(new MouseEvent('click', { bubbles: true }));
              return document.querySelector('[data-wish] [value=HOLD]');
            })()""";

    private record Press(String room, String says, String button) {}

    /** One press in each room, each of which can be pressed again and again. */
    private static final List<Press> PRESSES_IN_ROOMS = List.of(
            new Press("look?zones=brow-left,brow-right", "Look, another number of coats, strength or share", CHOICE),
            new Press(
                    "brief",
                    "Brief, another production kept",
                    field("callHour", "production", "'Night ' + Math.round(Math.random() * 99)", "button.go")),
            new Press("order", "Order, a step held where it is, or it dropped again", WISH),
            new Press(
                    "colour",
                    "Colour, another skin",
                    "[...document.querySelectorAll('form[action$=\"/colour/skin\"] button')]"
                            + ".find((b) => b.getAttribute('aria-pressed') !== 'true')"),
            new Press("kit", "Kit, counted again", "document.querySelector('form[action$=\"/kit\"] button')"),
            new Press(
                    "safety",
                    "Safety, hours of lenses kept",
                    field("lensHours", "lensHours", "String(3 + Math.floor(Math.random() * 4))", "button.act")),
            new Press(
                    "bench",
                    "Bench, other hands",
                    field("hands", "hands", "String(1 + Math.floor(Math.random() * 2))", "button.act")),
            new Press(
                    "book",
                    "Book, planned by one's own pace",
                    "document.querySelector('form[action$=\"/book/pace\"] button')"));

    private static String field(String known, String name, String value, String button) {
        return "(() => { const form = document.querySelector('[name=%s]').form; form.elements.%s.value = %s; return form.querySelector('%s'); })()"
                .formatted(known, name, value, button);
    }

    private PressBench() {}

    /** Takes the address of a running demo. */
    public static void main(String[] arguments) {
        String base = arguments[0];
        try (Playwright playwright = Playwright.create()) {
            Browser browser = playwright
                    .chromium()
                    .launch(new BrowserType.LaunchOptions()
                            .setExecutablePath(
                                    Path.of(System.getenv().getOrDefault("KEMDRO_CHROMIUM", "/usr/bin/chromium")))
                            .setArgs(List.of("--no-sandbox", "--disable-gpu", "--disable-background-networking")));
            weigh(browser, base);
            Page page = signedIn(browser, base);
            for (Press press : PRESSES_IN_ROOMS) {
                press(page, base, press, "nothing else goes on", QUIET, POINTED);
            }
            press(page, base, PRESSES_IN_ROOMS.get(0), "nothing else goes on, not pointed at before", QUIET, 0);
            press(page, base, PRESSES_IN_ROOMS.get(0), "the order still settles", SETTLING, POINTED);
        }
    }

    private static void weigh(Browser browser, String base) {
        Page page = browser.newPage();
        AtomicLong bytes = new AtomicLong();
        page.onRequestFinished(r -> bytes.addAndGet(r.sizes().responseBodySize + r.sizes().responseHeadersSize));
        page.navigate(base + "/sign-in");
        page.waitForTimeout(1500);
        System.out.printf("first page on the wire, everything it loads   %d kB%n", bytes.get() / 1000);
        page.locator("input[name=username]").first().fill("ines");
        page.locator("input[name=password]").first().fill("bell-founder");
        page.locator("button.go").click();
        page.waitForTimeout(1500);
        System.out.printf("and the shelf after it, altogether            %d kB%n", bytes.get() / 1000);
        page.context().storageState();
        page.close();
    }

    private static Page signedIn(Browser browser, String base) {
        Page page = browser.newPage();
        page.navigate(base + "/sign-in");
        page.locator("input[name=username]").first().fill("ines");
        page.locator("input[name=password]").first().fill("bell-founder");
        page.locator("button.go").click();
        page.waitForURL("**/shelf");
        return page;
    }

    private static void press(Page page, String base, Press press, String meanwhile, int pause, int pointed) {
        page.navigate(base + "/jobs/2/" + press.room());
        List<Timed> times = new ArrayList<>();
        for (int k = -WARM_UP; k < PRESSES; k++) {
            page.waitForTimeout(pause);
            page.evaluate("(turn) => (window.turn = turn)", k + WARM_UP);
            if (pointed > 0) {
                page.evaluateHandle("() => " + press.button()).asElement().hover();
                page.waitForTimeout(pointed);
            }
            Timed.Start from = Timed.Start.now();
            double took = ((Number) page.evaluate(TIMED_PRESS.formatted(press.button()))).doubleValue();
            if (k >= 0) {
                times.add(from.passed(took));
            }
        }
        Timed.print("press until the room is painted anew, " + press.says() + ", while " + meanwhile, times);
    }
}
