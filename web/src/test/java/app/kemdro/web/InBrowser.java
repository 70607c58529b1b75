package app.kemdro.web;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Playwright;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.TestInstance;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Tests in a real browser, all of them on one server. */
@DemoTest
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
abstract class InBrowser {
    @LocalServerPort
    int port;

    @Autowired
    TestClock clock;

    Browser browser;
    private Playwright playwright;

    @BeforeAll
    void launch() {
        playwright = Playwright.create();
        browser = RealBrowser.launch(playwright);
    }

    @AfterAll
    void close() {
        playwright.close();
    }
}
