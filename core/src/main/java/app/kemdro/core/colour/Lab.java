package app.kemdro.core.colour;

/**
 * A colour as CIELAB says it, beside the white of the light it is seen in.
 *
 * @param l lightness, 0 black to 100 white
 * @param a green below 0 to red above, −128 to 128
 * @param b blue below 0 to yellow above, −128 to 128
 */
public record Lab(double l, double a, double b) {
    private static final double EPSILON = 216.0 / 24389;
    private static final double KAPPA = 24389.0 / 27;
    private static final double MOST = 128;

    public Lab {
        if (!(l >= 0 && l <= 100.0001)) {
            throw new IllegalArgumentException("L is from 0 to 100, and not " + l + ".");
        }
        if (!(Math.abs(a) <= MOST && Math.abs(b) <= MOST)) {
            throw new IllegalArgumentException("a and b are from −128 to 128, and not " + a + " and " + b + ".");
        }
    }

    /** The colour of these X, Y, Z beside this white. */
    static Lab of(double[] xyz, double[] white) {
        double x = f(xyz[0] / white[0]);
        double y = f(xyz[1] / white[1]);
        double z = f(xyz[2] / white[2]);
        return new Lab(
                clamp(116 * y - 16, 0, 100), clamp(500 * (x - y), -MOST, MOST), clamp(200 * (y - z), -MOST, MOST));
    }

    private static double clamp(double value, double least, double most) {
        return Math.max(least, Math.min(most, value));
    }

    private static double f(double t) {
        return t > EPSILON ? Math.cbrt(t) : (KAPPA * t + 16) / 116;
    }

    private static double back(double f) {
        double cube = f * f * f;
        return cube > EPSILON ? cube : (116 * f - 16) / KAPPA;
    }

    /** X, Y, Z beside this white. */
    double[] xyz(double[] white) {
        double y = (l + 16) / 116;
        return new double[] {back(y + a / 500) * white[0], back(y) * white[1], back(y - b / 200) * white[2]};
    }

    /** Distance from grey. */
    public double chroma() {
        return Math.hypot(a, b);
    }

    /** Direction from grey in degrees, 0 red, 90 yellow, 180 green, 270 blue. */
    public double hue() {
        return (Math.toDegrees(Math.atan2(b, a)) + 360) % 360;
    }

    /** Straight distance; quick, and good enough to compare candidates. */
    double distance(Lab other) {
        return Math.sqrt((l - other.l) * (l - other.l) + (a - other.a) * (a - other.a) + (b - other.b) * (b - other.b));
    }

    /**
     * How different two colours look: CIEDE2000 (Luo, Cui and Rigg 2001, as written out by Sharma, Wu and Dalal 2005). Below
     * about 1 nobody sees it side by side; beyond about 3 everybody does.
     */
    public double difference(Lab other) {
        double meanC = (chroma() + other.chroma()) / 2;
        double g = 0.5 * (1 - Math.sqrt(Math.pow(meanC, 7) / (Math.pow(meanC, 7) + Math.pow(25, 7))));
        double a1 = (1 + g) * a;
        double a2 = (1 + g) * other.a;
        double c1 = Math.hypot(a1, b);
        double c2 = Math.hypot(a2, other.b);
        double h1 = angle(a1, b);
        double h2 = angle(a2, other.b);
        double dh = c1 * c2 == 0 ? 0 : turn(h2 - h1);
        double dH = 2 * Math.sqrt(c1 * c2) * Math.sin(Math.toRadians(dh / 2));
        double dL = other.l - l;
        double dC = c2 - c1;
        double meanL = (l + other.l) / 2;
        double meanC1 = (c1 + c2) / 2;
        double meanH = meanHue(h1, h2, c1 * c2 == 0);
        double t = 1
                - 0.17 * cos(meanH - 30)
                + 0.24 * cos(2 * meanH)
                + 0.32 * cos(3 * meanH + 6)
                - 0.20 * cos(4 * meanH - 63);
        double away = (meanL - 50) * (meanL - 50);
        double sL = 1 + 0.015 * away / Math.sqrt(20 + away);
        double sC = 1 + 0.045 * meanC1;
        double sH = 1 + 0.015 * meanC1 * t;
        double blue = 30 * Math.exp(-Math.pow((meanH - 275) / 25, 2));
        double rC = 2 * Math.sqrt(Math.pow(meanC1, 7) / (Math.pow(meanC1, 7) + Math.pow(25, 7)));
        double rT = -rC * Math.sin(Math.toRadians(2 * blue));
        double tL = dL / sL;
        double tC = dC / sC;
        double tH = dH / sH;
        return Math.sqrt(tL * tL + tC * tC + tH * tH + rT * tC * tH);
    }

    private static double angle(double a, double b) {
        return a == 0 && b == 0 ? 0 : (Math.toDegrees(Math.atan2(b, a)) + 360) % 360;
    }

    /** The same turn, not more than half a circle. */
    private static double turn(double degrees) {
        return degrees > 180 ? degrees - 360 : degrees < -180 ? degrees + 360 : degrees;
    }

    private static double meanHue(double h1, double h2, boolean grey) {
        if (grey) {
            return h1 + h2;
        }
        if (Math.abs(h1 - h2) <= 180) {
            return (h1 + h2) / 2;
        }
        return h1 + h2 < 360 ? (h1 + h2 + 360) / 2 : (h1 + h2 - 360) / 2;
    }

    private static double cos(double degrees) {
        return Math.cos(Math.toRadians(degrees));
    }
}
