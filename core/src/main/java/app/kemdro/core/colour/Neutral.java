package app.kemdro.core.colour;

import java.util.List;
import java.util.Optional;

/** What takes the cast out of a shadow or a stain, so that a thin base is enough over it. */
public final class Neutral {
    /** A paint nearer to the surroundings than this covers, it does not neutralise (judgement). */
    private static final double A_BASE = 12;

    private static final double[] FILMS = {0.25, 0.5, 0.75, 1, 1.5, 2, 3};

    private Neutral() {}

    /**
     * A paint that neutralises.
     *
     * @param paint its place in the list that was asked about
     * @param gramsPerM2 weight of its film
     * @param cast how far the hue was off before, as distance of a and b
     * @param left how far it is off with it
     * @param after the colour with it
     */
    public record Corrector(int paint, double gramsPerM2, double cast, double left, Lab after) {}

    /**
     * The thinnest film that brings a and b of a shadow nearest to its surroundings, whatever it does to lightness.
     *
     * @param gramsPerCoat weight of one coat of each paint
     * @return empty where none takes away a third of the cast
     */
    public static Optional<Corrector> of(
            List<Paint> paints, double[] gramsPerCoat, Reflectance shadow, Reflectance around) {
        double cast = off(shadow.lab(), around.lab());
        Corrector best = null;
        for (int p = 0; p < paints.size(); p++) {
            if (paints.get(p).masstone().lab().difference(around.lab()) < A_BASE) {
                continue;
            }
            for (double film : FILMS) {
                Lab after = paints.get(p).over(shadow, film * gramsPerCoat[p]).lab();
                double left = off(after, around.lab());
                // half a unit less is not worth a thicker film
                if (best == null || left < best.left() - 0.5) {
                    best = new Corrector(p, film * gramsPerCoat[p], cast, left, after);
                }
            }
        }
        return Optional.ofNullable(best).filter(b -> b.left() < cast * 2 / 3);
    }

    private static double off(Lab one, Lab other) {
        return Math.hypot(one.a() - other.a(), one.b() - other.b());
    }
}
