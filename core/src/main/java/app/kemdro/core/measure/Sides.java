package app.kemdro.core.measure;

import java.util.List;

/**
 * Left and right of a face on a photograph, compared in millimetres. The scale is that of the head's known width; the middle is the
 * line through two marks. Marks are pixels of the picture, from its upper left corner.
 *
 * @param widthMm how wide the head is between its two outer marks, mm
 * @param widthErrorMm how wrong that may be, mm
 * @param markErrorPx how far beside what was meant a mark may lie, pixels
 */
public record Sides(
        Mark edge,
        Mark otherEdge,
        Mark middle,
        Mark lowerMiddle,
        double widthMm,
        double widthErrorMm,
        double markErrorPx) {
    /**
     * Breadth of a head beside its girth, 154 of 575 mm and 148 of 562 mm in men and women of the 2012 survey of US Army personnel (from
     * memory); heads differ from it by 5 mm (judgement).
     */
    private static final double BREADTH = 0.267;

    private static final double BREADTH_ERROR_MM = 5;

    /** What lies on the middle of a face stands so far in front of what lies beside it, mm (judgement). */
    private static final double DEPTH_MM = 40;

    /** Marks nearer to each other than this say nothing of a scale, pixels. */
    private static final double LEAST_PX = 20;

    /** A place on the picture, pixels. */
    public record Mark(double x, double y) {
        private Mark less(Mark other) {
            return new Mark(x - other.x, y - other.y);
        }

        private double dot(Mark other) {
            return x * other.x + y * other.y;
        }

        private double length() {
            return Math.hypot(x, y);
        }
    }

    /** The same point of the face on both sides. */
    public record Pair(Mark one, Mark other) {}

    /**
     * How two sides differ.
     *
     * @param oneMm how far the first lies from the middle, mm
     * @param otherMm how far the second does, mm
     * @param lowerMm how much lower on the face the first lies, mm; below 0 where it lies higher
     * @param errorMm how wrong the difference of both distances, and of both heights, may be, mm
     */
    public record Difference(double oneMm, double otherMm, double lowerMm, double errorMm) {
        /** How much further out the first lies, mm; below 0 where the second does. */
        public double furtherMm() {
            return oneMm - otherMm;
        }

        /** Whether they differ by more than the picture can be wrong by. */
        public boolean isSure() {
            return Math.max(Math.abs(furtherMm()), Math.abs(lowerMm)) > errorMm;
        }
    }

    public Sides {
        if (otherEdge.less(edge).length() < LEAST_PX || lowerMiddle.less(middle).length() < LEAST_PX) {
            throw new IllegalArgumentException(
                    "Set the two edges of the head, and the two marks of its middle, further apart.");
        }
        if (widthMm < 100 || widthMm > 300) {
            throw new IllegalArgumentException("A head is 100 to 300 mm wide.");
        }
    }

    /** How wide a head of this girth usually is, mm. */
    public static double usualWidthMm(double girthCm) {
        return girthCm * 10 * BREADTH;
    }

    /** How wrong a width may be that was not measured, mm. */
    public static double usualErrorMm() {
        return BREADTH_ERROR_MM;
    }

    /** By how much a head that is turned by so many degrees lets the middle seem off, so that both sides differ by twice that; mm. */
    public static double turnedMm(double degrees) {
        return 2 * DEPTH_MM * Math.sin(Math.toRadians(degrees));
    }

    /** Millimetres in a pixel. */
    public double scale() {
        return widthMm / otherEdge.less(edge).length();
    }

    /** How the sides of each pair differ. */
    public List<Difference> of(List<Pair> pairs) {
        return pairs.stream().map(this::difference).toList();
    }

    private Difference difference(Pair pair) {
        Mark down = lowerMiddle.less(middle);
        double length = down.length();
        Mark along = new Mark(down.x / length, down.y / length);
        Mark across = new Mark(-along.y, along.x);
        Mark one = pair.one().less(middle);
        Mark other = pair.other().less(middle);
        double oneMm = Math.abs(one.dot(across)) * scale();
        double otherMm = Math.abs(other.dot(across)) * scale();
        double lower = (one.dot(along) - other.dot(along)) * scale();
        double most = Math.max(Math.abs(oneMm - otherMm), Math.abs(lower));
        // two marks, and the middle, which both distances are taken from and which counts twice
        double marks = scale() * markErrorPx * Math.sqrt(2 + 4);
        double wrongScale = Math.hypot(
                widthErrorMm / widthMm,
                Math.sqrt(2) * markErrorPx / otherEdge.less(edge).length());
        return new Difference(oneMm, otherMm, lower, Math.hypot(marks, most * wrongScale));
    }
}
