package app.kemdro.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.atomic.AtomicLong;

/** Times presses in a real browser on a running demo, and weighs the first page on the wire. */
public final class PressBench {
    private static final int WARM_UP = 20;
    private static final int PRESSES = 30;

    /** After so many milliseconds nothing goes on behind a press any more, and after so many the order is just settling. */
    private static final int QUIET = 2500;

    private static final int SETTLING = 900;

    /** From the press until the ribbon that was drawn anew stands in the page. */
    private static final String TIMED_PRESS = """
            () => new Promise((done) => {
              const buttons = [...document.querySelectorAll('.coats button')];
              const other = buttons.find((b) => !b.classList.contains('on'));
              const from = performance.now();
              const watch = new MutationObserver(() => {
                if (document.querySelector('[data-ribbon=""] svg') && !document.body.contains(other)) {
                  watch.disconnect();
                  requestAnimationFrame(() => done(performance.now() - from));
                }
              });
              watch.observe(document.body, { childList: true, subtree: true });
              other.click();
            })
            """;

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
            press(browser, base, "nothing else goes on", QUIET);
            press(browser, base, "the order still settles", SETTLING);
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

    private static void press(Browser browser, String base, String meanwhile, int pause) {
        Page page = browser.newPage();
        page.navigate(base + "/sign-in");
        page.locator("input[name=username]").first().fill("ines");
        page.locator("input[name=password]").first().fill("bell-founder");
        page.locator("button.go").click();
        page.navigate(base + "/jobs/2/look?zones=brow-left,brow-right");
        page.waitForSelector(".coats button");
        double[] millis = new double[PRESSES];
        for (int k = -WARM_UP; k < PRESSES; k++) {
            page.waitForTimeout(pause);
            double took = ((Number) page.evaluate(TIMED_PRESS)).doubleValue();
            if (k >= 0) {
                millis[k] = took;
            }
        }
        Arrays.sort(millis);
        System.out.printf(
                "press of a choice until the ribbon re-flowed, while %s: median %.0f ms, 19 of 20 under %.0f ms%n",
                meanwhile, millis[PRESSES / 2], millis[PRESSES * 19 / 20]);
    }
}
