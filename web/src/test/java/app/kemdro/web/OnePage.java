package app.kemdro.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;

/** Tests on one page of a real browser, which must complain of nothing and fetch nothing from outside. */
abstract class OnePage extends InBrowser {
    Page page;
    final List<String> complaints = new ArrayList<>();
    private BrowserContext context;

    @BeforeEach
    void open() {
        context = browser.newContext(new Browser.NewContextOptions().setViewportSize(1280, 800));
        page = context.newPage();
        complaints.clear();
        page.onPageError(complaints::add);
        page.onConsoleMessage(m -> {
            if (m.type().equals("error") && !m.text().contains("409")) {
                complaints.add(m.text());
            }
        });
        page.onRequest(r -> {
            if (!r.url().startsWith("http://127.0.0.1:" + port)
                    && !r.url().startsWith("data:")
                    && !r.url().startsWith("blob:")) {
                complaints.add("fetched from outside: " + r.url());
            }
        });
    }

    @AfterEach
    void quiet() {
        context.close();
        assertThat(complaints).as("what the browser complained about").isEmpty();
    }

    final void go(String path) {
        RealBrowser.go(page, port, path);
    }

    final void signIn(String name) {
        RealBrowser.signIn(page, port, name);
    }

    final void accessible(String room) {
        RealBrowser.accessible(page, room);
    }

    final Locator zone(String id) {
        return page.locator(".figure-part .zone[data-zone='" + id + "']").first();
    }
}
