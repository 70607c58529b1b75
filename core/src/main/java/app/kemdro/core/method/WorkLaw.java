package app.kemdro.core.method;

/**
 * How long work takes as it grows, in minutes of an artist on another person.
 *
 * @param start minutes however small it is
 * @param area minutes for 1 cm² to the power
 * @param power how it grows with the surface, 0 to 1
 * @param edge minutes for each cm of free edge
 * @param alone how much longer it takes on one's own face, or 0 where nothing is said of that
 * @param together share of the time that two take who share it, each on their own part; 0 where it cannot be shared
 */
public record WorkLaw(double start, double area, double power, double edge, double alone, double together) {
    /** The free edge of a region, cm, is its root by so much: an oval twice as long as wide (4.0), not a circle (3.5). */
    private static final double EDGE = 4;

    /** Free edge of a surface of so many cm², cm. */
    public static double edgeOf(double areaCm2) {
        return EDGE * Math.sqrt(areaCm2);
    }

    /** What of it grows with the work, minutes on this surface and edge. */
    public double growing(double areaCm2, double edgeCm) {
        return area * Math.pow(areaCm2, power) + edge * edgeCm;
    }

    /** Minutes on a region of so many cm². */
    public double on(double areaCm2) {
        return start + growing(areaCm2, edgeOf(areaCm2));
    }

    /** The same several times over. */
    WorkLaw times(double times) {
        return new WorkLaw(start * times, area * times, power, edge * times, alone, together);
    }

    /** The same with some minutes more, however small it is. */
    WorkLaw and(double minutes) {
        return new WorkLaw(start + minutes, area, power, edge, alone, together);
    }
}
