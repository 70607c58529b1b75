package app.kemdro.core.climate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;
import org.junit.jupiter.params.provider.CsvSource;

class HumidAirTest {

    /** IAPWS steam tables, from memory. */
    @ParameterizedTest
    @CsvSource({"20, 2339", "25, 3169", "30, 4247", "35, 5628"})
    void saturationPressureMatchesSteamTables(double celsius, double pascal) {
        assertThat(HumidAir.saturationPressure(celsius)).isCloseTo(pascal, within(pascal * 0.005));
    }

    /** Reference table made with the npm package psychrolib; how stands in the file. */
    @ParameterizedTest
    @CsvFileSource(resources = "/humid-air.csv", numLinesToSkip = 3)
    void saturationPressureMatchesTheReferencePackage(
            double celsius, double humidity, double pascal, double dewPoint, double wetBulb) {
        assertThat(HumidAir.saturationPressure(celsius)).isCloseTo(pascal, within(pascal * 0.005));
        if (dewPoint < 0) {
            return; // the package gives the frost point there
        }
        assertThat(HumidAir.saturationPressure(dewPoint))
                .as("vapour pressure is the saturation pressure at the dew point")
                .isCloseTo(new HumidAir(celsius, humidity).vapourPressure(), within(pascal * 0.012));
    }

    @ParameterizedTest
    @CsvSource({"22, 0", "22, 1.4", "-10, 0.5", "80, 0.5", "22, NaN"})
    void airNobodyWorksInIsRefused(double celsius, double humidity) {
        assertThatThrownBy(() -> new HumidAir(celsius, humidity)).isInstanceOf(IllegalArgumentException.class);
    }

    /** Vapour pressures at 25 °C, from memory: ethanol 7.9, isopropanol 6.0, hexamethyldisiloxane 5.6 kPa. */
    @Test
    void solventsHaveTheirKnownVapourPressure() {
        assertThat(Solvent.ETHANOL.vapourPressure(25)).isCloseTo(7900, within(160.0));
        assertThat(Solvent.ISOPROPANOL.vapourPressure(25)).isCloseTo(6000, within(120.0));
        assertThat(Solvent.HEXAMETHYLDISILOXANE.vapourPressure(25)).isCloseTo(5600, within(120.0));
    }
}
