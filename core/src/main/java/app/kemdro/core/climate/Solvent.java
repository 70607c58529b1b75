package app.kemdro.core.climate;

/** Solvents of spirit gum, alcohol colours and silicone adhesive. */
public enum Solvent {
    /** Antoine constants in mmHg and °C (from memory; checked at 25 °C against 7.9 kPa). */
    ETHANOL(8.20417, 1642.89, 230.300, 0.04607, 0.47, 920),
    /** Checked at 25 °C against 6.0 kPa (from memory). */
    ISOPROPANOL(8.11778, 1580.92, 219.610, 0.06010, 0.40, 745),
    /** Hexamethyldisiloxane; checked at 25 °C against 5.6 kPa (from memory). */
    HEXAMETHYLDISILOXANE(6.773, 1203.5, 208.4, 0.16238, 0.22, 230);

    private static final double PASCAL_PER_MMHG = 133.322;

    private final double a;
    private final double b;
    private final double c;
    private final double molarMassKg;
    private final double diffusivityToWater;
    private final double latentHeat;

    Solvent(double a, double b, double c, double molarMassKg, double diffusivityToWater, double latentHeat) {
        this.a = a;
        this.b = b;
        this.c = c;
        this.molarMassKg = molarMassKg;
        this.diffusivityToWater = diffusivityToWater;
        this.latentHeat = latentHeat;
    }

    /** Vapour pressure over the pure solvent by Antoine's equation, Pa; 0 to 60 °C. */
    public double vapourPressure(double celsius) {
        return Math.pow(10, a - b / (c + celsius)) * PASCAL_PER_MMHG;
    }

    double molarMassKg() {
        return molarMassKg;
    }

    /** Diffusivity in air as a multiple of water vapour's. */
    double diffusivityToWater() {
        return diffusivityToWater;
    }

    /** kJ/kg. */
    double latentHeat() {
        return latentHeat;
    }
}
