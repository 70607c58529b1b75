package app.kemdro.core.climate;

/**
 * How fast a wet surface gives off its liquid, with the film's temperature found from an energy balance: heat from the
 * room and from below against the heat that evaporation takes.
 */
public final class Evaporation {
    /** Air speed in a still room, m/s (common practice in indoor climate). */
    public static final double STILL_AIR = 0.15;

    /** Air speed under a hand dryer on cool, m/s; a judgement, and outside the range the flux formula was made for. */
    public static final double COOL_DRYER = 3.0;

    /** Latent heat of water near skin temperature, kJ/kg. */
    private static final double LATENT_HEAT_WATER = 2430;

    /** Psychrometric constant at sea level, Pa/K: ties heat transfer to mass transfer (heat-mass analogy). */
    private static final double PSYCHROMETRIC_CONSTANT = 66.5;

    private static final double GAS_CONSTANT = 8.314;

    private Evaporation() {}

    /** What the film lies on: its temperature in °C and how well it passes heat, W/(m²·K). */
    public record Ground(double temperatureC, double conductance) {
        /** Living skin: 33 °C, about 30 W/(m²·K) (a judgement of the models' authors). */
        public static final Ground SKIN = new Ground(33, 30);

        /** A form worn on skin, which keeps some of its warmth away; rubber foam passes about 0.05 W/(m·K) (judgement). */
        public static Ground worn(double thicknessMm) {
            return new Ground(SKIN.temperatureC, 1 / (1 / SKIN.conductance + thicknessMm / 1000 / 0.05));
        }

        /** A cast or a bench at room temperature, a poor conductor. */
        public static Ground bench(HumidAir air) {
            return new Ground(air.temperatureC(), 5);
        }
    }

    /** A film at rest: its temperature in °C and what it loses, g/(m²·min). */
    public record Balance(double filmC, double fluxGramsPerSquareMetreMinute) {}

    /**
     * Loss of water from a free film. Flux after the ASHRAE form for free surfaces (HVAC Applications, from memory):
     * J = (0.089 + 0.0782 v)(p_w − p_a)/Y with pressures in kPa; never below zero.
     *
     * @param airSpeed m/s at the film, 0 to 5
     */
    public static Balance water(HumidAir air, Ground ground, double airSpeed) {
        double permeance = waterPermeance(airSpeed);
        double heatTransfer = heatTransfer(airSpeed);
        double vapour = air.vapourPressure();
        double film = settle(
                air.temperatureC(),
                ground,
                heatTransfer,
                t -> Math.max(0, permeance * (HumidAir.saturationPressure(t) - vapour)) * LATENT_HEAT_WATER * 1000);
        double flux = Math.max(0, permeance * (HumidAir.saturationPressure(film) - vapour));
        return new Balance(film, flux * 1000 * 60);
    }

    /** Loss of solvent from a free film; the air holds none of it, so humidity plays no part. */
    public static Balance solvent(HumidAir air, Ground ground, double airSpeed, Solvent solvent) {
        double kelvin = air.temperatureC() + 273.15;
        double massTransferWater = waterPermeance(airSpeed) * GAS_CONSTANT * kelvin / 0.018015;
        double massTransfer = massTransferWater * Math.pow(solvent.diffusivityToWater(), 2.0 / 3);
        double permeance = massTransfer * solvent.molarMassKg() / (GAS_CONSTANT * kelvin);
        double heatTransfer = heatTransfer(airSpeed);
        double film = settle(
                air.temperatureC(),
                ground,
                heatTransfer,
                t -> permeance * solvent.vapourPressure(t) * solvent.latentHeat() * 1000);
        return new Balance(film, permeance * solvent.vapourPressure(film) * 1000 * 60);
    }

    /** Heat passed between air and a surface, W/(m²·K), by the heat-mass analogy. */
    public static double heatTransfer(double airSpeed) {
        return waterPermeance(airSpeed) * LATENT_HEAT_WATER * 1000 * PSYCHROMETRIC_CONSTANT;
    }

    /** kg/(m²·s·Pa). */
    private static double waterPermeance(double airSpeed) {
        if (!(airSpeed >= 0 && airSpeed <= 5)) {
            throw new IllegalArgumentException("Air speed must lie between 0 and 5 m/s; " + airSpeed + " does not");
        }
        return (0.089 + 0.0782 * airSpeed) / 1000 / LATENT_HEAT_WATER;
    }

    private interface HeatLoss {
        double wattsPerSquareMetre(double celsius);
    }

    /** The temperature at which heat gained equals heat lost; the balance falls with temperature, so halving finds it. */
    private static double settle(double roomC, Ground ground, double heatTransfer, HeatLoss loss) {
        double low = -30;
        double high = Math.max(roomC, ground.temperatureC()) + 1;
        for (int i = 0; i < 60; i++) {
            double t = (low + high) / 2;
            double gained = heatTransfer * (roomC - t) + ground.conductance() * (ground.temperatureC() - t);
            if (gained > loss.wattsPerSquareMetre(t)) {
                low = t;
            } else {
                high = t;
            }
        }
        return (low + high) / 2;
    }
}
