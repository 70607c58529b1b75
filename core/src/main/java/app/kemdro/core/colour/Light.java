package app.kemdro.core.colour;

import static app.kemdro.core.colour.Observer.BANDS;

/** A light under which colours are looked at. */
public enum Light {
    /** Daylight, CIE D65. */
    DAYLIGHT,
    /** A tungsten lamp, CIE A: 100·(560/λ)⁵·(exp(1.435e7/(2848·560)) − 1)/(exp(1.435e7/(2848·λ)) − 1), λ in nm (CIE 15, from memory). */
    WARM;

    /** Weights by which a reflectance sums up to X, Y, Z; a perfect white has Y = 1. */
    final double[][] weights = new double[3][BANDS];

    /** X, Y, Z of a perfect white. */
    final double[] white = new double[3];

    Light() {
        double[] power = new double[BANDS];
        double sum = 0;
        for (int i = 0; i < BANDS; i++) {
            int nm = Observer.FIRST_NM + i * Observer.STEP_NM;
            power[i] = name().equals("DAYLIGHT") ? Observer.STANDARD.daylight[i] : tungsten(nm);
            sum += power[i] * Observer.STANDARD.matching[1][i];
        }
        for (int c = 0; c < 3; c++) {
            for (int i = 0; i < BANDS; i++) {
                weights[c][i] = power[i] * Observer.STANDARD.matching[c][i] / sum;
                white[c] += weights[c][i];
            }
        }
    }

    private static double tungsten(int nm) {
        return 100
                * Math.pow(560.0 / nm, 5)
                * Math.expm1(1.435e7 / (2848.0 * 560))
                / Math.expm1(1.435e7 / (2848.0 * nm));
    }

    /** X, Y, Z of a surface under this light. */
    double[] xyz(double[] reflectance) {
        double[] xyz = new double[3];
        for (int c = 0; c < 3; c++) {
            double[] w = weights[c];
            double sum = 0;
            for (int i = 0; i < BANDS; i++) {
                sum += w[i] * reflectance[i];
            }
            xyz[c] = sum;
        }
        return xyz;
    }
}
