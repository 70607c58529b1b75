package app.kemdro.web.parts.picture;

import jakarta.persistence.Embeddable;

/**
 * What is shown of a picture, as shares of it from 0 to 1.
 *
 * @param fromLeft where it begins
 * @param fromTop where it begins
 * @param wide how much of the width it shows, at least {@value #LEAST}
 * @param high how much of the height it shows, at least {@value #LEAST}
 */
@Embeddable
public record Frame(double fromLeft, double fromTop, double wide, double high) {
    /** Less than this is no picture any more. */
    public static final double LEAST = 0.05;

    private static final double ROUNDED = 1e-9;

    public static final Frame WHOLE = new Frame(0, 0, 1, 1);

    /**
     * @throws IllegalArgumentException where it lies outside the picture or shows next to nothing of it
     */
    public Frame {
        boolean inside =
                fromLeft >= 0 && fromTop >= 0 && fromLeft + wide <= 1 + ROUNDED && fromTop + high <= 1 + ROUNDED;
        if (!inside || !(wide >= LEAST - ROUNDED && high >= LEAST - ROUNDED)) {
            throw new IllegalArgumentException(
                    "A frame lies inside the picture and shows at least a twentieth of its width and of its height.");
        }
    }

    /** A frame between two corners, whichever comes first. */
    public static Frame between(double x1, double y1, double x2, double y2) {
        return new Frame(Math.min(x1, x2), Math.min(y1, y2), Math.abs(x2 - x1), Math.abs(y2 - y1));
    }

    public boolean isWhole() {
        return wide >= 1 && high >= 1;
    }

    /** A frame inside this one, as a frame of the whole picture. */
    public Frame inside(Frame other) {
        return new Frame(
                fromLeft + other.fromLeft * wide,
                fromTop + other.fromTop * high,
                Math.max(LEAST, other.wide * wide),
                Math.max(LEAST, other.high * high));
    }

    /** A place of what is shown, from the left of the whole picture. */
    public double x(double shown) {
        return fromLeft + shown * wide;
    }

    /** A place of what is shown, from the top of the whole picture. */
    public double y(double shown) {
        return fromTop + shown * high;
    }

    /** A place of the whole picture, from the left of what is shown; below 0 or above 1 where it is cut away. */
    public double shownX(double x) {
        return (x - fromLeft) / wide;
    }

    /** A place of the whole picture, from the top of what is shown. */
    public double shownY(double y) {
        return (y - fromTop) / high;
    }
}
