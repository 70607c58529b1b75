package app.kemdro.core.colour;

import static app.kemdro.core.colour.Observer.BANDS;

import java.util.List;

/**
 * A paint as Kubelka and Munk describe it: how much a film of it swallows (K) and throws back (S) of each wavelength, per g/m².
 * No claim is made for metallic, pearl or glitter, which throw light back in a direction.
 */
public final class Paint {
    /** Share of light that the white half of a card for swatches throws back, and the black half (common practice). */
    public static final Reflectance CARD_WHITE = Reflectance.grey(0.80);

    public static final Reflectance CARD_BLACK = Reflectance.grey(0.04);

    /** A film that hides everything hides by at least so many times its own b·S·X. */
    private static final double HIDES = 4;

    /**
     * S·X of a film that hides everything. Such a swatch tells K/S and not how much of either there is; assumed is one scattering
     * for all wavelengths: as much as the lightest of them needs so as to hide, and no less than this. Then black swallows a white
     * as it does at the table, and blue and yellow make green (judgement, held to that by tests).
     */
    private static final double HIDING_SCATTER = 4;

    /** Differences of cube roots between both grounds from which a swatch begins to tell how much it scatters, and from which it fully does. */
    private static final double BEGINS_TO_TELL = 0.006;

    private static final double TELLS = 0.018;

    /** Bands for which the assumption counts beside those that tell. */
    private static final double DOUBT = 6;

    private static final double NOTHING = 1e-9;

    final double[] k;
    final double[] s;

    private Paint(double[] k, double[] s) {
        this.k = k;
        this.s = s;
    }

    /** A share of a mix, by weight. */
    public record Share(Paint paint, double parts) {}

    /**
     * Reads a paint from one film of known weight over the white and the black half of a card.
     *
     * @param gramsPerM2 weight of the film, above 0
     * @throws IllegalArgumentException if the film weighs nothing
     */
    public static Paint fromSwatches(Reflectance overWhite, Reflectance overBlack, double gramsPerM2) {
        return fromSwatches(overWhite, CARD_WHITE, overBlack, CARD_BLACK, gramsPerM2);
    }

    /**
     * The same over any light and dark ground. From R = (1 − Rg(a − b·coth bSX))/(a − Rg + b·coth bSX), a = 1 + K/S, written for
     * both grounds (Kubelka 1948).
     */
    static Paint fromSwatches(
            Reflectance overWhite, Reflectance white, Reflectance overBlack, Reflectance black, double gramsPerM2) {
        if (!(gramsPerM2 > 0)) {
            throw new IllegalArgumentException("A swatch weighs more than nothing: g/m² is above 0.");
        }
        double[] k = new double[BANDS];
        double[] s = new double[BANDS];
        double[] ratio = new double[BANDS];
        double[] told = new double[BANDS];
        double log = DOUBT * Math.log(HIDING_SCATTER / gramsPerM2);
        double sum = DOUBT;
        double needed = 0;
        for (int i = 0; i < BANDS; i++) {
            double rw = overWhite.band(i);
            double rb = Math.min(overBlack.band(i), rw - NOTHING);
            double gw = white.band(i);
            double gb = black.band(i);
            double top = (1 + rw * gw) * (rb - gb) - (1 + rb * gb) * (rw - gw);
            double bottom = (rw + gw) * (rb - gb) - (rb + gb) * (rw - gw);
            if (rb / gb <= rw / gw * (1 + 1e-6)) {
                // what adds no light over black only swallows: R = Rg·exp(−2KX)
                k[i] = Math.max(0, Math.log(gw / rw) / 2) / gramsPerM2;
                told[i] = -1;
                continue;
            }
            double a = Math.max(1 + NOTHING, Math.abs(bottom) < NOTHING ? 1 : top / bottom);
            double b = Math.sqrt(a * a - 1);
            boolean onWhite = Math.abs(rw - gw) > Math.abs(rb - gb);
            double r = onWhite ? rw : rb;
            double g = onWhite ? gw : gb;
            double coth = (1 - a * (r + g) + r * g) / (b * (r - g));
            double sx = coth > 1 + 1e-12 ? 0.5 * Math.log((coth + 1) / (coth - 1)) / b : HIDES / b;
            ratio[i] = a - 1;
            s[i] = Math.max(NOTHING, sx) / gramsPerM2;
            told[i] = smooth((Math.cbrt(rw) - Math.cbrt(rb) - BEGINS_TO_TELL) / (TELLS - BEGINS_TO_TELL));
            if (told[i] < 1) {
                needed = Math.max(needed, HIDES / Math.max(b, 0.05) / gramsPerM2);
            }
            log += told[i] * Math.log(s[i]);
            sum += told[i];
        }
        double hiding = Math.max(Math.exp(log / sum), needed);
        for (int i = 0; i < BANDS; i++) {
            if (told[i] >= 0) {
                s[i] = Math.exp(told[i] * Math.log(s[i]) + (1 - told[i]) * Math.log(hiding));
                k[i] = s[i] * ratio[i];
            }
        }
        return new Paint(k, s);
    }

    /** From 0 to 1 without a corner. */
    private static double smooth(double x) {
        double t = Math.max(0, Math.min(1, x));
        return t * t * (3 - 2 * t);
    }

    /** A paint that hides fully in a film of this weight, known by its colour only; how much it scatters is assumed (see there). */
    public static Paint opaque(Reflectance colour, double gramsPerM2) {
        double[] k = new double[BANDS];
        double[] s = new double[BANDS];
        double scatter = HIDING_SCATTER;
        for (int i = 0; i < BANDS; i++) {
            double r = colour.band(i);
            k[i] = (1 + r * r) / (2 * r) - 1;
            scatter = Math.max(scatter, HIDES / Math.max(Math.sqrt(Math.max(0, k[i] * (k[i] + 2))), 0.05));
        }
        for (int i = 0; i < BANDS; i++) {
            s[i] = scatter / gramsPerM2;
            k[i] *= s[i];
        }
        return new Paint(k, s);
    }

    /** A mix: K and S add up by weight. */
    public static Paint mix(List<Share> shares) {
        double all = shares.stream().mapToDouble(Share::parts).sum();
        if (shares.isEmpty() || !(all > 0) || shares.stream().anyMatch(p -> !(p.parts() >= 0))) {
            throw new IllegalArgumentException("A mix needs parts above 0.");
        }
        double[] k = new double[BANDS];
        double[] s = new double[BANDS];
        for (Share share : shares) {
            for (int i = 0; i < BANDS; i++) {
                k[i] += share.paint().k[i] * share.parts() / all;
                s[i] += share.paint().s[i] * share.parts() / all;
            }
        }
        return new Paint(k, s);
    }

    /** What a film of it over a ground looks like. */
    public Reflectance over(Reflectance ground, double gramsPerM2) {
        double[] r = new double[BANDS];
        for (int i = 0; i < BANDS; i++) {
            r[i] = film(k[i], s[i], gramsPerM2, ground.band(i));
        }
        return new Reflectance(r);
    }

    /** A film so thick that nothing shows through. */
    public Reflectance masstone() {
        double[] r = new double[BANDS];
        for (int i = 0; i < BANDS; i++) {
            r[i] = masstone(k[i], s[i]);
        }
        return new Reflectance(r);
    }

    static double masstone(double k, double s) {
        if (s <= 0) {
            return k <= 0 ? 1 - 1e-4 : 1e-4;
        }
        double ratio = k / s;
        return Math.max(1e-4, 1 + ratio - Math.sqrt(ratio * ratio + 2 * ratio));
    }

    /** R of a film of this weight over a ground, with S·b·coth written so that K or S may be 0. */
    static double film(double k, double s, double weight, double ground) {
        if (weight <= 0) {
            return ground;
        }
        double p = Math.sqrt(k * (k + 2 * s));
        double q = p * weight;
        double pCoth;
        if (q < 1e-5) {
            pCoth = (1 + q * q / 3) / weight;
        } else if (q > 18) {
            pCoth = p;
        } else {
            double e = Math.exp(-2 * q);
            pCoth = p * (1 + e) / (1 - e);
        }
        double r = (s - ground * (s + k - pCoth)) / (s + k - ground * s + pCoth);
        return Math.max(1e-4, Math.min(1 - 1e-4, r));
    }

    /** How well a film hides: luminance over black by luminance over white (ISO 6504-1 calls 0.98 hidden, from memory). */
    public double contrastRatio(double gramsPerM2) {
        return over(CARD_BLACK, gramsPerM2).luminance()
                / over(CARD_WHITE, gramsPerM2).luminance();
    }
}
