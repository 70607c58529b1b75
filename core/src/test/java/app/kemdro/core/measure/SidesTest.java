package app.kemdro.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.kemdro.core.measure.Sides.Difference;
import app.kemdro.core.measure.Sides.Mark;
import app.kemdro.core.measure.Sides.Pair;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** [T51] Both sides compared by marks on a photograph; worked by hand. */
class SidesTest {
    private static Sides upright(double errorPx) {
        return new Sides(
                new Mark(100, 200), new Mark(400, 200), new Mark(250, 100), new Mark(250, 500), 150, 0, errorPx);
    }

    /** 300 px are 150 mm, so a pixel is 0.5 mm: 80 px beside 90 px are 40 and 45 mm, and 12 px lower are 6 mm. */
    @Test
    void anUprightHeadByHand() {
        Difference d = upright(0)
                .of(List.of(new Pair(new Mark(170, 212), new Mark(340, 200))))
                .get(0);
        assertThat(upright(0).scale()).isCloseTo(0.5, within(1e-12));
        assertThat(d.oneMm()).isCloseTo(40, within(1e-9));
        assertThat(d.otherMm()).isCloseTo(45, within(1e-9));
        assertThat(d.furtherMm()).isCloseTo(-5, within(1e-9));
        assertThat(d.lowerMm()).isCloseTo(6, within(1e-9));
        assertThat(d.errorMm()).isZero();
        assertThat(d.isSure()).isTrue();
    }

    /** Tilting the camera changes nothing: everything turned by any angle about any point says the same. */
    @Test
    void aTiltedCameraSaysTheSame() {
        Difference upright = upright(0)
                .of(List.of(new Pair(new Mark(170, 212), new Mark(340, 200))))
                .get(0);
        for (double degrees : new double[] {-40, 7, 90, 181}) {
            Difference turned = new Sides(
                            turned(100, 200, degrees),
                            turned(400, 200, degrees),
                            turned(250, 100, degrees),
                            turned(250, 500, degrees),
                            150,
                            0,
                            0)
                    .of(List.of(new Pair(turned(170, 212, degrees), turned(340, 200, degrees))))
                    .get(0);
            assertThat(turned.furtherMm()).isCloseTo(upright.furtherMm(), within(1e-9));
            assertThat(turned.lowerMm()).isCloseTo(upright.lowerMm(), within(1e-9));
        }
    }

    private static Mark turned(double x, double y, double degrees) {
        double a = Math.toRadians(degrees);
        return new Mark(33 + x * Math.cos(a) - y * Math.sin(a), 71 + x * Math.sin(a) + y * Math.cos(a));
    }

    /** Ten thousand sets of marks, each beside what was meant by chance: two thirds lie within the error that is said, and 95 of 100 within twice that. */
    @Test
    void theErrorIsWhatMarksBesideTheirPlaceDo() {
        Random dice = new Random(4);
        double px = 3;
        int within = 0;
        int withinTwice = 0;
        int all = 10_000;
        for (int k = 0; k < all; k++) {
            Difference d = new Sides(
                            beside(100, 200, px, dice),
                            beside(400, 200, px, dice),
                            beside(250, 100, px, dice),
                            beside(250, 500, px, dice),
                            150,
                            0,
                            px)
                    .of(List.of(new Pair(beside(170, 200, px, dice), beside(340, 200, px, dice))))
                    .get(0);
            double wrong = Math.abs(d.furtherMm() - -5);
            within += wrong <= d.errorMm() ? 1 : 0;
            withinTwice += wrong <= 2 * d.errorMm() ? 1 : 0;
        }
        assertThat(within / (double) all).isBetween(0.62, 0.85);
        assertThat(withinTwice / (double) all).isGreaterThan(0.94);
    }

    private static Mark beside(double x, double y, double px, Random dice) {
        return new Mark(x + px * dice.nextGaussian(), y + px * dice.nextGaussian());
    }

    /** A head of 56 cm is about 15 cm wide; turned by two degrees its sides seem to differ by about 3 mm: 2 times 40 mm times 0.0349. */
    @Test
    void headsAndTurns() {
        assertThat(Sides.usualWidthMm(56)).isBetween(145.0, 155.0);
        assertThat(Sides.turnedMm(2)).isCloseTo(2.79, within(0.01));
        assertThatThrownBy(() -> new Sides(new Mark(1, 1), new Mark(2, 2), new Mark(0, 0), new Mark(0, 99), 150, 5, 1))
                .hasMessageContaining("further apart");
        assertThatThrownBy(() -> new Sides(new Mark(1, 1), new Mark(99, 2), new Mark(0, 0), new Mark(0, 99), 15, 5, 1))
                .hasMessageContaining("100 to 300 mm");
    }
}
