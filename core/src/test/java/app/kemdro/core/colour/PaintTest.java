package app.kemdro.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PaintTest {
    private static final Paint OCHRE = paint("#c08a3c", "#8a5f2a");
    private static final Paint BLACK = paint("#1d1b1a", "#151413");

    private static Paint paint(String overWhite, String overBlack) {
        return Paint.fromSwatches(reflectance(overWhite), reflectance(overBlack), 20);
    }

    private static Reflectance reflectance(String hex) {
        return Reflectance.of(Srgb.hex(hex).lab());
    }

    /**
     * The closed form against the two differential equations of Kubelka and Munk 1931, integrated through the film in small steps
     * by Runge and Kutta: dR/dX = S − 2(K+S)R + S·R².
     */
    @ParameterizedTest
    @CsvSource({
        "0.02, 0.05, 10, 0.04",
        "0.3, 0.1, 25, 0.8",
        "0.001, 0.4, 8, 0.2",
        "0.5, 0.0, 4, 0.8",
        "0.0, 0.2, 15, 0.04",
        "2, 1, 0.3, 0.6"
    })
    void aFilmIsWhatItsDifferentialEquationSays(double k, double s, double weight, double ground) {
        double r = ground;
        int steps = 20_000;
        double h = weight / steps;
        for (int i = 0; i < steps; i++) {
            double k1 = slope(k, s, r);
            double k2 = slope(k, s, r + h / 2 * k1);
            double k3 = slope(k, s, r + h / 2 * k2);
            double k4 = slope(k, s, r + h * k3);
            r += h / 6 * (k1 + 2 * k2 + 2 * k3 + k4);
        }
        assertThat(Paint.film(k, s, weight, ground)).isCloseTo(Math.max(1e-4, r), within(1e-6));
    }

    private static double slope(double k, double s, double r) {
        return s - 2 * (k + s) * r + s * r * r;
    }

    @Test
    void noFilmIsTheGroundAndAThickOneIsTheMasstone() {
        Reflectance skin = reflectance("#c9a88c");
        assertThat(OCHRE.over(skin, 0).lab()).isEqualTo(skin.lab());
        assertThat(OCHRE.over(skin, 5000).lab().distance(OCHRE.masstone().lab()))
                .isLessThan(0.01);
        assertThat(OCHRE.over(Reflectance.grey(0), 5000)
                        .lab()
                        .distance(OCHRE.masstone().lab()))
                .isLessThan(0.01);
    }

    @Test
    void aPaintMixedWithItselfIsItself() {
        Paint twice = Paint.mix(List.of(new Paint.Share(OCHRE, 3), new Paint.Share(OCHRE, 5)));
        Reflectance skin = reflectance("#c9a88c");
        assertThat(twice.over(skin, 17).lab().distance(OCHRE.over(skin, 17).lab()))
                .isLessThan(1e-9);
    }

    /** Two coats in one film or one after the other: the second lies on what the first made. */
    @Test
    void coatsAddUp() {
        Reflectance skin = reflectance("#8d5a3c");
        Reflectance one = OCHRE.over(OCHRE.over(skin, 12), 8);
        assertThat(one.lab().distance(OCHRE.over(skin, 20).lab())).isLessThan(1e-6);
    }

    @ParameterizedTest
    @CsvSource({
        "#c08a3c, #8a5f2a",
        "#e8e4da, #9d9a95",
        "#7c1420, #4a0f15",
        "#2c5c4a, #1c4a3a",
        "#b0c4cc, #32404a",
        "#1d1b1a, #151413"
    })
    void aSwatchIsFoundAgainOnItsCard(String overWhite, String overBlack) {
        Paint paint = paint(overWhite, overBlack);
        assertThat(paint.over(Paint.CARD_WHITE, 20)
                        .lab()
                        .difference(reflectance(overWhite).lab()))
                .isLessThan(0.5);
        assertThat(paint.over(Paint.CARD_BLACK, 20)
                        .lab()
                        .difference(reflectance(overBlack).lab()))
                .isLessThan(0.5);
    }

    @Test
    void aPaintKnownByItsColourOnlyHides() {
        Paint base = Paint.opaque(reflectance("#c09070"), 20);
        assertThat(base.over(Reflectance.grey(0.02), 20)
                        .lab()
                        .difference(reflectance("#c09070").lab()))
                .isLessThan(1);
        assertThat(base.contrastRatio(20)).isGreaterThan(0.98);
        assertThat(base.contrastRatio(2)).isLessThan(0.98);
    }

    /** At every table: equal parts of a white and a black that hide make a middling to dark grey, never nearly white. */
    @Test
    void whiteAndBlackInEqualPartsAreADarkGrey() {
        Paint white = Paint.opaque(reflectance("#f2f0ea"), 20);
        Paint black = Paint.opaque(reflectance("#1a1919"), 20);
        assertThat(half(white, black).l()).isBetween(30.0, 60.0);
        Paint whiteSwatch = paint("#f2f0ea", "#f2f0ea");
        Paint blackSwatch = paint("#1a1919", "#1a1919");
        assertThat(half(whiteSwatch, blackSwatch).l()).isBetween(30.0, 60.0);
    }

    /** And blue and yellow make a green: hue between yellow (about 90) and blue (about 270) by way of green. */
    @Test
    void blueAndYellowMakeGreen() {
        for (String[] pair : new String[][] {{"#f0c818", "#1f4fa0"}, {"#e8d22a", "#1c6fb0"}}) {
            Lab opaque = half(Paint.opaque(reflectance(pair[0]), 20), Paint.opaque(reflectance(pair[1]), 20));
            Lab swatch = half(paint(pair[0], pair[0]), paint(pair[1], pair[1]));
            for (Lab mixed : List.of(opaque, swatch)) {
                assertThat(mixed.hue()).as(pair[0] + " and " + pair[1]).isBetween(110.0, 220.0);
                assertThat(mixed.chroma()).isGreaterThan(8);
            }
        }
    }

    /** A swatch that hides all but for one step of an 8-bit screen mixes much as one that hides: no cliff between them. */
    @Test
    void aSwatchThatNearlyHidesMixesAsOneThatDoes() {
        Paint white = paint("#f2f0ea", "#f2f0ea");
        Lab hides = half(white, paint("#1a1919", "#1a1919"));
        Lab nearly = half(white, paint("#1a1919", "#191818"));
        assertThat(nearly.difference(hides)).isLessThan(6);
    }

    private static Lab half(Paint a, Paint b) {
        return Paint.mix(List.of(new Paint.Share(a, 1), new Paint.Share(b, 1)))
                .masstone()
                .lab();
    }

    /** Handbook section 8: burgundy from red and black, darker and duller than the red and still red. */
    @Test
    void redAndALittleBlackIsBurgundy() {
        Paint red = paint("#b01822", "#7c1420");
        Lab mixed = Paint.mix(List.of(new Paint.Share(red, 12), new Paint.Share(BLACK, 1)))
                .masstone()
                .lab();
        Lab pure = red.masstone().lab();
        assertThat(mixed.l()).isLessThan(pure.l() - 3);
        assertThat(mixed.chroma()).isLessThan(pure.chroma());
        assertThat(mixed.hue())
                .satisfiesAnyOf(
                        h -> assertThat(h).isLessThan(45), h -> assertThat(h).isGreaterThan(340));
    }

    @Test
    void brokenMixesAndSwatchesAreRefused() {
        assertThatThrownBy(() -> Paint.mix(List.of())).hasMessageContaining("parts above 0");
        assertThatThrownBy(() -> Paint.mix(List.of(new Paint.Share(OCHRE, -1), new Paint.Share(BLACK, 2))))
                .hasMessageContaining("parts above 0");
        assertThatThrownBy(() -> Paint.fromSwatches(Paint.CARD_WHITE, Paint.CARD_BLACK, 0))
                .hasMessageContaining("more than nothing");
    }

    @Test
    void washesHideABrowSoonerTheMoreTheyCover() {
        Reflectance skin = reflectance("#c9a88c");
        Reflectance brow = skin.beside(reflectance("#3b2417"), 0.6);
        Paint cream = Paint.opaque(reflectance("#c09070"), 40);
        Paint wash = paint("#c9966c", "#3a2a20");
        int few = Covering.coats(cream, 20, brow, skin, Covering.UNSEEN).orElseThrow();
        assertThat(few).isBetween(1, 4);
        assertThat(Covering.coats(wash, 4, brow, skin, Covering.UNSEEN)).isEmpty();
        assertThat(Covering.coats(cream, 20, skin, skin, Covering.UNSEEN)).hasValue(0);
    }

    /** Handbook section 4: orange or peach over a blue-black shadow. */
    @Test
    void orangeTakesTheBlueOutOfAShadow() {
        Reflectance skin = reflectance("#c9a88c");
        Reflectance shadow = reflectance("#8d8a92");
        List<Paint> kit =
                List.of(paint("#3c6e8c", "#1e3c50"), paint("#d88a4a", "#8c5228"), paint("#4c7a4a", "#2a4a2a"));
        Neutral.Corrector corrector =
                Neutral.of(kit, new double[] {10, 10, 10}, shadow, skin).orElseThrow();
        assertThat(corrector.paint()).isEqualTo(1);
        assertThat(corrector.left()).isLessThan(corrector.cast() / 2);
        assertThat(Neutral.of(List.of(kit.get(0)), new double[] {10}, shadow, skin))
                .isEmpty();
    }

    /** Handbook section 8: powder greys a black, and brings highlight and shadow nearer to one another. */
    @Test
    void powderGreysABlackAndDullsAContrast() {
        Paint powder = paint("#d6d3cd", "#5c5b59");
        Reflectance black = BLACK.masstone();
        assertThat(powder.over(black, 5).lab().l()).isGreaterThan(black.lab().l() + 3);
        Contrast contrast = Contrast.of(reflectance("#e0c4a8"), reflectance("#6a4430"), powder, 5);
        assertThat(contrast.powdered()).isLessThan(contrast.bare());
        assertThat(contrast.warm()).isPositive();
    }
}
