package app.kemdro.core.cure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.kemdro.core.climate.Blow;
import app.kemdro.core.climate.Evaporation.Ground;
import app.kemdro.core.climate.HumidAir;
import app.kemdro.core.material.Film;
import app.kemdro.core.material.Materials;
import app.kemdro.core.material.Setting;
import java.util.Objects;
import org.junit.jupiter.api.Test;

class DryingTest {
    private static final Materials MATERIALS = Materials.standard();
    private static final HumidAir ROOM = new HumidAir(22, 0.45);
    private static final HumidAir HOT_AND_HUMID = new HumidAir(30, 0.8);

    /**
     * Geankoplis, Transport Processes, worked solid (from memory): L_s/A 21.5 kg/m², R_c 1.51 kg/(m²·h), Xc 0.195: from
     * 0.38 to 0.195 in 2.63 h, on to 0.04 by the linear falling rate in 4.4 h more.
     */
    @Test
    void constantAndFallingRateMatchTheWorkedSolid() {
        double constant = Drying.time(21.5, 1.51, 0.38, 0.195, 0.195);
        double whole = Drying.time(21.5, 1.51, 0.38, 0.195, 0.04);
        assertThat(constant).isCloseTo(2.63, within(0.01));
        assertThat(whole - constant).isCloseTo(4.4, within(0.01));
    }

    @Test
    void aFilmBelowItsCriticalMoistureOnlyFalls() {
        assertThat(Drying.time(1, 1, 0.1, 0.2, 0.05)).isCloseTo(0.2 * Math.log(2), within(1e-9));
    }

    /** Common practice: a few minutes, faster with cool air. */
    @Test
    void adhesiveClearsInAFewMinutesAndSoonerUnderCoolAir() {
        double still = clear("acrylic-adhesive", 1, ROOM, Blow.STILL);
        double cool = clear("acrylic-adhesive", 1, ROOM, Blow.COOL);
        assertThat(still).isBetween(3.0, 8.0);
        assertThat(cool).isLessThan(still * 0.65);
    }

    /** [F21] common practice: a thin edge coat in a couple of minutes, a build ten times as heavy ten times as long. */
    @Test
    void aThinLatexEdgeCoatTakesACoupleOfMinutesAndAHeavyBuildTenTimesAsLong() {
        double thin = clear("liquid-latex", 1, ROOM, Blow.STILL);
        assertThat(thin).isBetween(1.5, 3.5);
        assertThat(clear("liquid-latex", 10, ROOM, Blow.STILL) / thin).isCloseTo(10, within(0.5));
    }

    @Test
    void aHotHumidRoomSlowsWaterBorneFilmsButHardlySolventOnes() {
        for (String family : new String[] {"acrylic-adhesive", "liquid-latex", "glue-stick", "water-paint"}) {
            double factor = clear(family, 1, HOT_AND_HUMID, Blow.STILL) / clear(family, 1, ROOM, Blow.STILL);
            assertThat(factor).as(family).isBetween(1.4, 3.0);
        }
        double gum = clear("spirit-gum", 1, HOT_AND_HUMID, Blow.STILL) / clear("spirit-gum", 1, ROOM, Blow.STILL);
        assertThat(gum).isBetween(0.7, 1.1);
    }

    @Test
    void spiritGumGrabsBeforeItCloses() {
        DryingTimes times = times("spirit-gum", 1, ROOM, Blow.STILL);
        assertThat(times.tacky().getAsDouble()).isLessThan(times.closes().getAsDouble());
        assertThat(times.closes().getAsDouble()).isLessThan(times.clear().getAsDouble());
    }

    @Test
    void acrylicAdhesiveNeverClosesByItself() {
        assertThat(times("acrylic-adhesive", 1, ROOM, Blow.STILL).closes()).isEmpty();
    }

    @Test
    void latexNeverHasATackyWindow() {
        assertThat(times("liquid-latex", 1, ROOM, Blow.STILL).tacky()).isEmpty();
    }

    @Test
    void aMoistureTheRoomGivesBackIsNeverReached() {
        Film sponge = new Film(Film.Carrier.WATER, 40, 0.4, 0.5, null, null, 0.1, 0.3);
        assertThat(Drying.of(sponge, new HumidAir(22, 0.9), Ground.SKIN, Blow.STILL)
                        .clear())
                .isEmpty();
        assertThat(Drying.of(sponge, new HumidAir(22, 0.2), Ground.SKIN, Blow.STILL)
                        .clear())
                .isPresent();
    }

    private static DryingTimes times(String family, double coats, HumidAir air, Blow blow) {
        Setting setting = Objects.requireNonNull(MATERIALS.family(family).setting());
        return Drying.of(setting.times(coats), air, Ground.SKIN, blow);
    }

    private static double clear(String family, double coats, HumidAir air, Blow blow) {
        return times(family, coats, air, blow).clear().orElseThrow() / 60;
    }
}
