package app.kemdro.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.reference.Reference;
import app.kemdro.web.records.reference.References;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Reference pictures in a real browser: brought, pinned, marked and cropped by pointer and by keys, and one key away beside the figure. */
class PicturesIT extends OnePage {
    @Autowired
    private Jobs jobs;

    @Autowired
    private References references;

    private Locator picture() {
        return page.locator("[data-picture]");
    }

    /** White on its left half, black on its right one. */
    @Test
    void aPictureIsBroughtPinnedMarkedAndCropped() {
        Job job = DemoJobs.ofInesOnly("Pictured in a browser", jobs);
        signIn("ines");
        go("/jobs/" + job.id() + "/pictures");
        accessible("pictures, none yet");
        page.locator("input[type=file]")
                .setInputFiles(new FilePayload("study.png", "image/png", TestPictures.png(400, 200)));
        assertThat(picture()).isVisible();
        Reference kept = references.of(job.id()).get(0);

        zone("nose").click();
        assertThat(page.locator(".p-pin")).containsText("nose");
        // by pointer: a quarter from the left is white
        var box = picture().boundingBox();
        picture().click(new Locator.ClickOptions().setPosition(box.width / 4, box.height / 2));
        assertThat(page.locator(".p-list li")).hasCount(1);
        assertThat(page.locator(".p-list svg").first()).hasAttribute("aria-label", "colour #ffffff");
        // by keys: from the middle to the right is black
        picture().focus();
        for (int k = 0; k < 5; k++) {
            page.keyboard().press("Shift+ArrowRight");
        }
        page.keyboard().press("Enter");
        assertThat(page.locator(".p-list li")).hasCount(2);
        assertThat(page.locator(".p-list svg").nth(1)).hasAttribute("aria-label", "colour #000000");
        // cropped to its right half, by two corners
        page.locator("[data-crop]").click();
        box = picture().boundingBox();
        picture().click(new Locator.ClickOptions().setPosition(box.width / 2 + 2, 2));
        assertThat(page.locator("[data-hint]")).containsText("opposite corner");
        picture().click(new Locator.ClickOptions().setPosition(box.width - 2, box.height - 2));
        assertThat(page.locator("button", new Page.LocatorOptions().setHasText("Show all of it")))
                .isVisible();
        assertThat(references.get(job.id(), kept.id()).shownWidth()).isBetween(185, 200);
        accessible("pictures");

        // beside the figure, by V; Esc closes
        go("/jobs/" + job.id() + "/look?zones=nose");
        page.keyboard().press("v");
        assertThat(page.locator(".beside")).isVisible();
        assertThat(page.locator(".beside h2")).hasText("nose");
        accessible("look with pictures beside");
        page.keyboard().press("Escape");
        assertThat(page.locator(".beside")).isHidden();
    }

    /** The demo's founder: what is pinned to what is pressed comes first, what is seen from where the figure is turned to takes over. */
    @Test
    void thePictureThatMattersHereComesFirst() {
        signIn("ines");
        go("/jobs/2/look?zones=cheek-left");
        page.keyboard().press("v");
        Locator title = page.locator(".beside h2");
        assertThat(title).hasText("how the crust breaks up");
        assertThat(page.locator(".beside-marks li")).hasCount(2);
        page.locator(".views button", new Page.LocatorOptions().setHasText("left"))
                .click();
        assertThat(title).hasText("first study, from the left");
        // left beside right: two halves of one width
        page.locator(".beside button", new Page.LocatorOptions().setHasText("left beside right"))
                .click();
        Locator halves = page.locator(".beside-stage > svg > svg");
        assertThat(halves).hasCount(2);
        assertThat(halves.first().getAttribute("width")).isEqualTo(halves.last().getAttribute("width"));
        page.keyboard().press("Tab");
        assertThat(page.locator(".beside-slider")).isVisible();
        go("/jobs/2/order");
        page.keyboard().press("v");
        assertThat(page.locator(".beside-stage svg").first()).isVisible();
        accessible("order with pictures beside");
    }
}
