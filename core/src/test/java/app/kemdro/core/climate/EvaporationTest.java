package app.kemdro.core.climate;

import static app.kemdro.core.climate.Evaporation.COOL_DRYER;
import static app.kemdro.core.climate.Evaporation.STILL_AIR;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.kemdro.core.climate.Evaporation.Ground;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;

class EvaporationTest {
    private static final HumidAir ROOM = new HumidAir(22, 0.45);

    /** With no heat from below a film settles at the wet bulb; reference made with the npm package psychrolib. */
    @ParameterizedTest
    @CsvFileSource(resources = "/humid-air.csv", numLinesToSkip = 3)
    void aFilmWithoutHeatFromBelowSettlesAtTheWetBulb(
            double celsius, double humidity, double pascal, double dewPoint, double wetBulb) {
        double film = Evaporation.water(new HumidAir(celsius, humidity), new Ground(celsius, 0), STILL_AIR)
                .filmC();
        assertThat(film).isCloseTo(wetBulb, within(0.4));
    }

    /** Values of the model's own description, g/(m²·min): 5 and 10 on skin, 1.6 and 4.4 on the bench. */
    @Test
    void skinAndBenchGiveOffWaterAsTheModelSays() {
        assertThat(flux(Ground.SKIN, STILL_AIR)).isCloseTo(5, within(0.6));
        assertThat(flux(Ground.SKIN, COOL_DRYER)).isCloseTo(10, within(1.2));
        assertThat(flux(Ground.bench(ROOM), STILL_AIR)).isCloseTo(1.6, within(0.25));
        assertThat(flux(Ground.bench(ROOM), COOL_DRYER)).isCloseTo(4.4, within(0.6));
    }

    @Test
    void nothingLeavesAFilmThatIsNoWarmerThanSaturatedAir() {
        HumidAir fog = new HumidAir(22, 1);
        assertThat(Evaporation.water(fog, Ground.bench(fog), STILL_AIR).fluxGramsPerSquareMetreMinute())
                .isCloseTo(0, within(0.01));
    }

    @Test
    void humidityPlaysNoPartForSolvents() {
        double dry = Evaporation.solvent(new HumidAir(22, 0.1), Ground.SKIN, STILL_AIR, Solvent.ETHANOL)
                .fluxGramsPerSquareMetreMinute();
        double damp = Evaporation.solvent(new HumidAir(22, 0.95), Ground.SKIN, STILL_AIR, Solvent.ETHANOL)
                .fluxGramsPerSquareMetreMinute();
        assertThat(damp).isEqualTo(dry);
        assertThat(dry).as("ethanol leaves faster than water").isGreaterThan(flux(Ground.SKIN, STILL_AIR));
    }

    private static double flux(Ground ground, double airSpeed) {
        return Evaporation.water(ROOM, ground, airSpeed).fluxGramsPerSquareMetreMinute();
    }
}
