package app.kemdro.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.web.records.account.DemoAccounts;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.nio.file.Path;
import java.util.List;

/** What every test in a real browser does. */
public final class RealBrowser {
    /** Milliseconds for which something may take to appear: a busy machine is slow, not wrong. */
    private static final double PATIENCE = 90_000;

    private RealBrowser() {}

    public static Browser launch(Playwright playwright) {
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE);
        String chromium = System.getenv().getOrDefault("KEMDRO_CHROMIUM", "/usr/bin/chromium");
        return playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of(chromium))
                        .setArgs(List.of(
                                "--no-sandbox",
                                "--disable-gpu",
                                "--disable-quic",
                                "--no-first-run",
                                "--disable-background-networking",
                                "--disable-component-update",
                                "--disable-sync")));
    }

    /** Opens a page and waits until its scripts are there. */
    public static void go(Page page, int port, String path) {
        page.setDefaultTimeout(PATIENCE);
        page.navigate("http://127.0.0.1:" + port + path);
        page.waitForSelector("html[data-alive]");
    }

    public static void signIn(Page page, int port, String who) {
        go(page, port, "/sign-in");
        page.locator("input[name=username]").first().fill(who);
        page.locator("input[name=password]").first().fill(DemoAccounts.PASSWORD);
        page.locator("button.go").click();
        page.waitForURL("**/shelf");
        page.waitForSelector("html[data-alive]");
    }

    /** Nothing that keeps people from using this page (WCAG 2.2 AA, serious or worse). */
    public static void accessible(Page page, String what) {
        List<Rule> serious = new AxeBuilder(page)
                        .withTags(List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"))
                        .analyze()
                        .getViolations()
                        .stream()
                        .filter(v -> List.of("serious", "critical").contains(v.getImpact()))
                        .toList();
        assertThat(serious)
                .as(what + ": "
                        + serious.stream()
                                .map(v -> v.getId() + " " + v.getNodes().get(0).getHtml())
                                .toList())
                .isEmpty();
    }
}
