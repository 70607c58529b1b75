package app.kemdro.core.colour;

import static app.kemdro.core.colour.Observer.BANDS;

import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.CommonOps_DDRM;
import org.jspecify.annotations.Nullable;

/** How much of the light of each wavelength a surface throws back, 380 to 750 nm in steps of 10, each above 0 and below 1. */
public final class Reflectance {
    private static final double LEAST = 1e-4;
    private static final int MOST_STEPS = 60;
    private static final double EXACT = 1e-9;

    /** So many that were found are kept: the same colours are asked for again and again. */
    private static final int KEPT = 4000;

    private static final Map<Lab, Reflectance> FOUND =
            Collections.synchronizedMap(new LinkedHashMap<>(16, 0.75f, true) {
                @Override
                protected boolean removeEldestEntry(Map.Entry<Lab, Reflectance> eldest) {
                    return size() > KEPT;
                }
            });

    private final double[] bands;

    Reflectance(double[] bands) {
        this.bands = bands;
    }

    /** A grey that throws back the same share of everything. */
    public static Reflectance grey(double share) {
        double[] bands = new double[BANDS];
        Arrays.fill(bands, Math.max(LEAST, Math.min(1 - LEAST, share)));
        return new Reflectance(bands);
    }

    /**
     * The smoothest reflectance that has this colour in daylight: least slope of z where the reflectance is (tanh z + 1)/2, by
     * Newton's method (Burns 2020, "Numerical methods for smoothest reflectance reconstruction").
     *
     * @throws IllegalArgumentException if no surface that only throws back light can have this colour
     */
    public static Reflectance of(Lab colour) {
        Reflectance known = FOUND.get(colour);
        if (known == null) {
            known = found(colour);
            FOUND.put(colour, known);
        }
        return known;
    }

    private static Reflectance found(Lab colour) {
        double[] xyz = colour.xyz(Light.DAYLIGHT.white);
        if (xyz[1] < LEAST) {
            return grey(0);
        }
        if (colour.chroma() < 1e-6) {
            return grey(xyz[1]);
        }
        double[] found = smoothest(xyz);
        if (found == null) {
            throw new IllegalArgumentException(
                    "No painted surface has the colour L %.1f, a %.1f, b %.1f: it is too bright for so strong a colour."
                            .formatted(colour.l(), colour.a(), colour.b()));
        }
        return new Reflectance(found);
    }

    private static double @Nullable [] smoothest(double[] xyz) {
        double[][] w = Light.DAYLIGHT.weights;
        double[] z = new double[BANDS];
        double[] pull = new double[3];
        int n = BANDS + 3;
        DMatrixRMaj jacobian = new DMatrixRMaj(n, n);
        DMatrixRMaj miss = new DMatrixRMaj(n, 1);
        DMatrixRMaj step = new DMatrixRMaj(n, 1);
        for (int k = 0; k < MOST_STEPS; k++) {
            jacobian.zero();
            double worst = 0;
            for (int i = 0; i < BANDS; i++) {
                double tanh = Math.tanh(z[i]);
                double sech2 = 1 - tanh * tanh;
                double pulled = pull[0] * w[0][i] + pull[1] * w[1][i] + pull[2] * w[2][i];
                double bend = (i > 0 ? z[i] - z[i - 1] : 0) + (i < BANDS - 1 ? z[i] - z[i + 1] : 0);
                miss.set(i, 0, -(2 * bend + sech2 / 2 * pulled));
                worst = Math.max(worst, Math.abs(miss.get(i, 0)));
                jacobian.set(i, i, (i > 0 ? 2 : 0) + (i < BANDS - 1 ? 2 : 0) - sech2 * tanh * pulled);
                if (i > 0) {
                    jacobian.set(i, i - 1, -2);
                    jacobian.set(i - 1, i, -2);
                }
                for (int c = 0; c < 3; c++) {
                    jacobian.set(i, BANDS + c, sech2 / 2 * w[c][i]);
                    jacobian.set(BANDS + c, i, sech2 / 2 * w[c][i]);
                }
            }
            for (int c = 0; c < 3; c++) {
                double sum = 0;
                for (int i = 0; i < BANDS; i++) {
                    sum += w[c][i] * (Math.tanh(z[i]) + 1) / 2;
                }
                miss.set(BANDS + c, 0, xyz[c] - sum);
                worst = Math.max(worst, Math.abs(xyz[c] - sum));
            }
            if (worst < EXACT) {
                return reflectances(z);
            }
            if (!CommonOps_DDRM.solve(jacobian, miss, step)) {
                return null;
            }
            double longest = 0;
            for (int i = 0; i < BANDS; i++) {
                longest = Math.max(longest, Math.abs(step.get(i, 0)));
            }
            // a long step overshoots where tanh is flat
            double share = longest > 2 ? 2 / longest : 1;
            if (Double.isNaN(longest)) {
                return null;
            }
            for (int i = 0; i < BANDS; i++) {
                z[i] += share * step.get(i, 0);
            }
            for (int c = 0; c < 3; c++) {
                pull[c] += share * step.get(BANDS + c, 0);
            }
        }
        return null;
    }

    private static double[] reflectances(double[] z) {
        double[] bands = new double[BANDS];
        for (int i = 0; i < BANDS; i++) {
            bands[i] = Math.max(LEAST, Math.min(1 - LEAST, (Math.tanh(z[i]) + 1) / 2));
        }
        return bands;
    }

    double band(int i) {
        return bands[i];
    }

    /** The share of all light that is thrown back, as an eye weighs it: Y, 0 to 1. */
    public double luminance() {
        return Light.DAYLIGHT.xyz(bands)[1];
    }

    /** The colour in daylight. */
    public Lab lab() {
        return lab(Light.DAYLIGHT);
    }

    /** The colour in a light, to eyes that are used to it. */
    public Lab lab(Light light) {
        return Lab.of(light.xyz(bands), light.white);
    }

    /** How this surface and another look together from too far to tell them apart, as hairs on skin; the share of the other 0 to 1. */
    public Reflectance beside(Reflectance other, double share) {
        double[] both = new double[BANDS];
        for (int i = 0; i < BANDS; i++) {
            both[i] = bands[i] * (1 - share) + other.bands[i] * share;
        }
        return new Reflectance(both);
    }

    @Override
    public boolean equals(@Nullable Object other) {
        return other instanceof Reflectance r && Arrays.equals(bands, r.bands);
    }

    @Override
    public int hashCode() {
        return Objects.hashCode(Arrays.hashCode(bands));
    }
}
