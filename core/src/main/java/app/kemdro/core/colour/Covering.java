package app.kemdro.core.colour;

import java.util.OptionalInt;

/** How many coats until something below no longer shows. */
public final class Covering {
    /** A difference that nobody sees side by side (judgement from common practice with CIEDE2000). */
    public static final double UNSEEN = 1.0;

    /** More coats than this are no answer. */
    public static final int MOST = 12;

    private Covering() {}

    /**
     * The least number of coats after which what is below shows no more beside its surroundings under the same coats.
     *
     * @param below what is to vanish, as a brow
     * @param around what lies beside it, as skin
     * @param limit difference that may be left, CIEDE2000
     * @return empty where {@link #MOST} coats do not do it
     */
    public static OptionalInt coats(
            Paint paint, double gramsPerCoat, Reflectance below, Reflectance around, double limit) {
        for (int n = 0; n <= MOST; n++) {
            if (left(paint, gramsPerCoat * n, below, around) <= limit) {
                return OptionalInt.of(n);
            }
        }
        return OptionalInt.empty();
    }

    /** How much of the difference is still seen through a film of this weight, CIEDE2000. */
    public static double left(Paint paint, double gramsPerM2, Reflectance below, Reflectance around) {
        return paint.over(below, gramsPerM2)
                .lab()
                .difference(paint.over(around, gramsPerM2).lab());
    }
}
