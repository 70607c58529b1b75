package app.kemdro.web.roam;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.web.DemoTest;
import app.kemdro.web.RealBrowser;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.Plans;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.TestPropertySource;
import tools.jackson.databind.json.JsonMapper;

/** Jobs drawn by chance in a real browser: no script stumbles over any of them, and what is drawn is the plan. */
@DemoTest
@TestPropertySource(
        properties = "spring.application.name=kemdro-roamed") // a house of its own: nobody else meets these jobs
class DrawnIT {
    private static final int JOBS = 6;
    private static final List<String> ROOMS =
            List.of("look", "bench", "kit", "colour", "safety", "chair", "strike", "book", "brief", "floor");

    @LocalServerPort
    private int port;

    @Autowired
    private Trade trade;

    @Autowired
    private Jobs jobs;

    @Autowired
    private Plans plans;

    @Autowired
    private JsonMapper json;

    @Test
    void everyJobIsDrawnAsItIsPlannedAndNoScriptStumbles() {
        List<String> complaints = new ArrayList<>();
        try (Playwright playwright = Playwright.create();
                Browser browser = RealBrowser.launch(playwright)) {
            Page page = browser.newPage(new Browser.NewPageOptions().setViewportSize(1280, 800));
            page.onPageError(complaints::add);
            RealBrowser.signIn(page, port, "ines");
            for (long seed = 1; seed <= JOBS; seed++) {
                String file = json.writeValueAsString(new Draw(trade, new SplittableRandom(seed)).job(seed));
                RealBrowser.go(page, port, "/import");
                page.locator("input[type=file]")
                        .setInputFiles(
                                new FilePayload("job.json", "application/json", file.getBytes(StandardCharsets.UTF_8)));
                page.locator("main button[type=submit], form button[type=submit]")
                        .last()
                        .click();
                page.waitForURL("**/jobs/*/**");
                long id = Long.parseLong(page.url().replaceAll(".*/jobs/(\\d+).*", "$1"));
                drawn(page, id);
                for (String room : ROOMS) {
                    RealBrowser.go(page, port, "/jobs/" + id + "/" + room);
                    assertThat(page.locator("body")).not().containsText("stumbled");
                }
            }
            assertThat(complaints).as("what scripts stumbled over").isEmpty();
        }
    }

    private void drawn(Page page, long id) {
        RealBrowser.go(page, port, "/jobs/" + id + "/order");
        int steps =
                plans.of(jobs.get(id)).plan().map(Plan::steps).map(List::size).orElse(0);
        assertThat(page.locator(".or-step")).hasCount(steps);
        assertThat(page.locator("svg path[d*=undefined], svg path[d*=NaN]").count())
                .isZero();
    }
}
