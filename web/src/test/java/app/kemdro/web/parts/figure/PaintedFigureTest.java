package app.kemdro.web.parts.figure;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Set;
import java.util.function.Function;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PaintedFigureTest {
    private static final int HEIGHT = 240;

    private static BufferedImage drawn(String view, Function<String, String> paint) throws IOException {
        return ImageIO.read(new ByteArrayInputStream(PaintedFigure.png(view, HEIGHT, paint)));
    }

    private static int green(BufferedImage image, int x, int y) {
        return image.getRGB(x, y) >> 8 & 0xff;
    }

    private static int red(BufferedImage image, int x, int y) {
        return image.getRGB(x, y) >> 16 & 0xff;
    }

    /** White takes nothing from the plaster; red takes green and leaves red, in that zone alone, and shading stays. */
    @ParameterizedTest
    @ValueSource(strings = {"front", "three-quarter", "back"})
    void aZoneIsPaintedAndItsShadingStays(String view) throws IOException {
        String painted = view.equals("back") ? "back-of-head" : "forehead";
        BufferedImage plain = drawn(view, zone -> "#ffffff");
        BufferedImage red = drawn(view, zone -> zone.equals(painted) ? "#ff0000" : "#ffffff");
        int inside = 0;
        Set<Integer> shades = new java.util.HashSet<>();
        for (int y = 0; y < HEIGHT; y++) {
            for (int x = 0; x < plain.getWidth(); x++) {
                assertThat(red(red, x, y)).isEqualTo(red(plain, x, y));
                if (green(red, x, y) != green(plain, x, y)) {
                    assertThat(green(red, x, y)).isLessThan(green(plain, x, y));
                    if (green(red, x, y) == 0) {
                        inside++;
                        shades.add(red(red, x, y));
                    }
                }
            }
        }
        assertThat(inside).isBetween(200, HEIGHT * HEIGHT / 8);
        assertThat(shades).hasSizeGreaterThan(4);
    }

    @Test
    void theDrawingHoldsEveryColourThatWasGiven() {
        String drawing = PaintedFigure.draw("front", "A & <b>", zone -> zone.equals("nose") ? "#123456" : "#ffffff");
        assertThat(drawing).containsOnlyOnce("#123456").contains("A &amp; &lt;b>");
    }
}
