package app.kemdro.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.util.Arrays;
import org.junit.jupiter.api.Test;

class ReflectanceTest {

    /** Colour to reflectance and back, all of them dull enough to be a paint's. */
    @Test
    void aColourComesBackFromItsReflectance() throws IOException {
        for (String[] row : ColourFiles.rows("srgb-lab.csv").subList(2, 60)) {
            Lab out = Srgb.hex(row[0]).lab();
            assertThat(Reflectance.of(out).lab().distance(out)).as(row[0]).isLessThan(1e-4);
        }
    }

    /** Reflectances of a registry package, seen by our observer, have the colour that package says. */
    @Test
    void reflectancesAreSeenAsAnotherProgramSeesThem() throws IOException {
        for (String[] row : ColourFiles.rows("reflectance-lab.csv")) {
            double[] bands = Arrays.stream(row[3].split(" "))
                    .mapToDouble(Double::parseDouble)
                    .toArray();
            Srgb own = Srgb.of(new Reflectance(bands).lab());
            assertThat(own.r() * 255).isCloseTo(Double.parseDouble(row[0]), within(0.6));
            assertThat(own.g() * 255).isCloseTo(Double.parseDouble(row[1]), within(0.6));
            assertThat(own.b() * 255).isCloseTo(Double.parseDouble(row[2]), within(0.6));
        }
    }

    @Test
    void smoothMeansThatNoBandStandsOut() {
        Reflectance clay = Reflectance.of(Srgb.hex("#a05c30").lab());
        for (int i = 1; i < Observer.BANDS; i++) {
            assertThat(Math.abs(clay.band(i) - clay.band(i - 1))).isLessThan(0.08);
        }
    }

    @Test
    void greyIsFlatAndBlackIsBlack() {
        assertThat(Reflectance.of(new Lab(50, 0, 0)).band(3))
                .isEqualTo(Reflectance.of(new Lab(50, 0, 0)).band(30));
        assertThat(Reflectance.of(new Lab(0, 0, 0)).lab().l()).isLessThan(0.2);
    }

    @Test
    void aColourNoSurfaceCanHaveIsRefused() {
        assertThatThrownBy(() -> Reflectance.of(new Lab(97, 90, 0))).hasMessageContaining("No painted surface");
    }

    /** A lamp makes warm colours lighter beside white than daylight does: red throws back what a lamp has most of. */
    @Test
    void redIsLighterUnderALamp() {
        Reflectance red = Reflectance.of(Srgb.hex("#a02020").lab());
        assertThat(red.lab(Light.WARM).l()).isGreaterThan(red.lab().l() + 2);
        assertThat(Reflectance.grey(0.4)
                        .lab(Light.WARM)
                        .distance(Reflectance.grey(0.4).lab()))
                .isCloseTo(0, within(1e-9));
    }
}
