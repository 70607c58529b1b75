package app.kemdro.core.cure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.kemdro.core.climate.Blow;
import app.kemdro.core.climate.Evaporation.Ground;
import app.kemdro.core.climate.HumidAir;
import app.kemdro.core.material.Bulk;
import app.kemdro.core.material.Material;
import app.kemdro.core.material.Materials;
import app.kemdro.core.material.Melt;
import app.kemdro.core.material.Reacting;
import app.kemdro.core.material.Setting;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class DryingForecastTest {
    private static final Materials MATERIALS = Materials.standard();
    private static final HumidAir ROOM = new HumidAir(22, 0.45);
    private static final HumidAir HOT_AND_HUMID = new HumidAir(30, 0.8);

    private static Setting setting(String family) {
        return Objects.requireNonNull(MATERIALS.family(family).setting());
    }

    /**
     * Crank's slab, one face open, slowest mode: with D = 1·10⁻⁹ m²/s, 4 mm and a tenth of the moisture left,
     * t = 4L²/(π²D)·ln(8/π²·10) = 13 570 s (worked by hand from the formula in Crank, The Mathematics of Diffusion, from memory).
     */
    @Test
    void diffusionEmptiesASlabAsCrankSays() {
        assertThat(Drying.diffusion(0.004, 1e-9, 1, 0.1)).isCloseTo(13570, within(20.0));
        assertThat(Drying.diffusion(0.004, 1e-9, 1, 0.9)).isZero();
    }

    /** Twice as thick takes four times as long inside; two open faces take a quarter. */
    @Test
    void aThickBodyDriesWithTheSquareOfItsThickness() {
        Bulk thin = new Bulk(5, 1, 0.02, 500, 2, 0.2, 0.05);
        double once = clear(thin);
        assertThat(clear(thin.times(2)) / once).isCloseTo(4, within(0.01));
        assertThat(clear(new Bulk(5, 2, 0.02, 500, 2, 0.2, 0.05)) / once).isCloseTo(0.25, within(0.01));
    }

    private static double clear(Setting setting) {
        return Drying.of(setting, ROOM, Ground.bench(ROOM), Blow.STILL).clear().orElseThrow();
    }

    /** Newton's law of cooling, by hand: it is laid at the 40 °C that skin takes, never at the 58 of its pot. */
    @Test
    void aMeltCoolsByNewtonsLawFromWhatSkinTakes() {
        Melt gel = new Melt(58, 40, 35, 33, 2, 3.6);
        DryingTimes bench = Drying.of(gel, ROOM, Ground.bench(ROOM), Blow.STILL);
        assertThat(bench.tacky()).hasValue(0);
        double ratio = Math.log((40 - 22.0) / (35 - 22)) / Math.log((40 - 22.0) / (33 - 22));
        assertThat(bench.closes().getAsDouble() / bench.clear().getAsDouble()).isCloseTo(ratio, within(1e-6));
    }

    /** Nothing that is read closes before it can be used. */
    @Test
    void whatGrabsGrabsBeforeItCloses() {
        for (Material material : Materials.standard().all()) {
            if (material.setting() == null) {
                continue;
            }
            DryingTimes times = Drying.of(material.setting(), ROOM, Ground.bench(ROOM), Blow.STILL);
            if (times.tacky().isPresent() && times.closes().isPresent()) {
                assertThat(times.tacky().getAsDouble())
                        .as(material.id())
                        .isLessThan(times.closes().getAsDouble());
            }
        }
    }

    @Test
    void aMixtureSetsTwiceAsFastTenDegreesWarmer() {
        Reacting silicone = new Reacting(6, 60, 4);
        double at22 = clear(silicone);
        HumidAir warm = new HumidAir(32, 0.45);
        assertThat(Drying.of(silicone, warm, Ground.bench(warm), Blow.STILL)
                        .clear()
                        .orElseThrow())
                .isCloseTo(at22 / 2, within(1.0));
    }

    @Test
    void warmAirHelpsMoreThanCoolAndNeverBurns() {
        Setting latex = setting("liquid-latex");
        DryingForecast forecast = DryingForecast.of(latex, ROOM, Ground.SKIN, Blow.STILL);
        assertThat(forecast.savedByCool().orElseThrow()).isPositive();
        assertThat(forecast.savedByWarm().orElseThrow())
                .isGreaterThan(forecast.savedByCool().orElseThrow());
        assertThat(Blow.WARM.from(ROOM).temperatureC()).isEqualTo(Blow.SKIN_LIMIT);
        assertThat(Blow.SKIN_LIMIT).isLessThan(43);
    }

    @Test
    void aFormBelowKeepsTheWarmthOfSkinAway() {
        Setting cream = setting("water-paint");
        double skin = Drying.of(cream, ROOM, Ground.SKIN, Blow.STILL).clear().orElseThrow();
        double worn = Drying.of(cream, ROOM, Ground.worn(4), Blow.STILL).clear().orElseThrow();
        double bench = clear(cream);
        assertThat(skin).isLessThan(worn);
        assertThat(worn).isLessThan(bench);
    }

    @Test
    void theBandHasTwoSidesAndTheReasonIsInWords() {
        DryingForecast forecast = DryingForecast.of(setting("acrylic-adhesive"), ROOM, Ground.SKIN, Blow.STILL);
        DryingForecast.Moment clear = forecast.clear();
        assertThat(clear.early().orElseThrow()).isLessThan(clear.likely().orElseThrow());
        assertThat(clear.late().orElseThrow() * clear.early().orElseThrow())
                .isCloseTo(Math.pow(clear.likely().orElseThrow(), 2), within(1e-6 * 1e6));
        assertThat(forecast.because()).contains("22 °C and 45 %");
        assertThat(DryingForecast.of(setting("spirit-gum"), HOT_AND_HUMID, Ground.SKIN, Blow.STILL)
                        .because())
                .contains("hardly matters");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"acrylic-adhesive", "spirit-gum", "latex-paste", "scar-gel", "platinum-silicone", "water-paint"})
    void everyCurveFallsFromFreshToRest(String family) {
        Ground ground = family.equals("scar-gel") ? Ground.bench(ROOM) : Ground.SKIN;
        DryingCurve curve = DryingCurve.of(setting(family), ROOM, ground, Blow.STILL);
        assertThat(curve.points()).hasSizeGreaterThan(20);
        assertThat(curve.points().get(0).left()).isCloseTo(1, within(0.25));
        assertThat(curve.points().get(curve.points().size() - 1).left()).isCloseTo(0, within(0.02));
        for (int k = 1; k < curve.points().size(); k++) {
            assertThat(curve.points().get(k).left())
                    .isLessThanOrEqualTo(curve.points().get(k - 1).left() + 1e-9);
        }
    }

    @Test
    void aRoomThatNeverLetsItDryHasNoCurve() {
        HumidAir steam = new HumidAir(22, 1);
        assertThat(DryingCurve.of(setting("water-paint"), steam, Ground.bench(steam), Blow.STILL)
                        .points())
                .isEmpty();
    }
}
