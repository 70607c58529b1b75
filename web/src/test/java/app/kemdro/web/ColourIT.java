package app.kemdro.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The paint table in a real browser. */
class ColourIT extends OnePage {
    @BeforeEach
    void asLead() {
        signIn("ines");
    }

    @Test
    void paintsAreMixedAndTheNearestRecipeIsTakenUp() {
        go("/jobs/2/colour");
        page.locator(".paintshelf a", new Page.LocatorOptions().setHasText("Bell cream, ochre"))
                .click();
        assertThat(page.locator(".mixparts strong")).hasText("1");
        page.locator("a[aria-label='One part more of Bell cream, ochre']").click();
        assertThat(page.locator(".mixparts strong")).hasText("2");
        assertThat(page.locator(".coats a")).hasCount(6);
        accessible("the paint table");
        page.locator("input[name=aim]:visible").fill("#9c5428");
        page.locator("text=Find the mix").click();
        assertThat(page.locator(".nears li").first()).containsText("nobody sees the difference");
        page.locator(".nears li a").first().click();
        assertThat(page.locator(".mixparts")).not().containsText("Bell cream, ochre");
    }

    /** The swatch that is shown is a colour to be found, whether or not anybody touched it. */
    @Test
    void theMixOfTheSwatchThatIsShownIsFound() {
        go("/jobs/2/colour");
        page.locator("text=Find the mix").click();
        assertThat(page.locator(".nears li").first()).isVisible();
    }

    @Test
    void theSliderWalksTheFaceFromBareSkinToFinished() {
        go("/jobs/2/colour");
        Locator crown = page.locator(".paintface .zone[data-zone=crown]");
        String finished = crown.getAttribute("fill");
        page.locator("[data-face]").fill("0");
        assertThat(page.locator("[data-face-says]")).containsText("bare skin");
        assertThat(crown.getAttribute("fill")).isNotEqualTo(finished).startsWith("#");
        page.locator("[data-face]").press("End");
        assertThat(crown).hasAttribute("fill", finished);
    }

    /** A made-up card: a grey that leans to red, and the paint over white and over black. */
    private static byte[] card() throws IOException {
        BufferedImage image = new BufferedImage(300, 100, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = image.createGraphics();
        int[] stripes = {0x80, 0x76, 0x76, 0xa0, 0x5c, 0x30, 0x60, 0x38, 0x20};
        for (int k = 0; k < 3; k++) {
            g.setColor(new Color(stripes[3 * k], stripes[3 * k + 1], stripes[3 * k + 2]));
            g.fillRect(100 * k, 0, 100, 100);
        }
        g.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        return out.toByteArray();
    }

    @Test
    void coloursArePickedFromAPictureThatStaysHere() throws IOException {
        go("/house/paints");
        page.locator("[data-card]")
                .setInputFiles(
                        new FilePayload("notes.png", "image/png", "no picture".getBytes(StandardCharsets.UTF_8)));
        assertThat(page.locator("[data-card-says]")).containsText("no picture this browser can open");
        page.locator("[data-card]").setInputFiles(new FilePayload("card.png", "image/png", card()));
        assertThat(page.locator("[data-card-says]")).containsText("Press the grey");
        Locator view = page.locator("[data-card-view]");
        double third = view.boundingBox().width / 3;
        for (int k = 0; k < 3; k++) {
            view.click(new Locator.ClickOptions().setPosition(third * (k + 0.5), 20));
        }
        assertThat(page.locator("[data-card-says]")).containsText("Both colours are picked");
        String white = page.locator("input[name=over_white]").inputValue();
        assertThat(white).matches(Pattern.compile("#[0-9a-f]{6}"));
        assertThat(Integer.parseInt(white.substring(1, 3), 16))
                .as("the lean to red is taken out of it")
                .isLessThan(0xa0);
        accessible("the paints of the house");
    }
}
