package app.kemdro.core.climate;

/**
 * Air in the room.
 *
 * @param temperatureC air temperature, °C, 5 to 45
 * @param relativeHumidity share of saturation, 0.05 to 1
 */
public record HumidAir(double temperatureC, double relativeHumidity) {

    /** Checks the ranges in which people work and the formulas hold. */
    public HumidAir {
        if (!(temperatureC >= 5 && temperatureC <= 45)) {
            throw new IllegalArgumentException(
                    "Room temperature must lie between 5 and 45 °C; %.0f does not".formatted(temperatureC));
        }
        if (!(relativeHumidity >= 0.05 && relativeHumidity <= 1)) {
            throw new IllegalArgumentException(
                    "Humidity must lie between 5 and 100 %%; %.0f %% does not".formatted(relativeHumidity * 100));
        }
    }

    /**
     * Saturation pressure of water in Pa, Magnus form with the coefficients of Alduchov and Eskridge (1996).
     *
     * @param celsius −40 to 50 °C
     */
    public static double saturationPressure(double celsius) {
        return 610.94 * Math.exp(17.625 * celsius / (celsius + 243.04));
    }

    /** Partial pressure of the water vapour in this air, Pa. */
    public double vapourPressure() {
        return relativeHumidity * saturationPressure(temperatureC);
    }
}
