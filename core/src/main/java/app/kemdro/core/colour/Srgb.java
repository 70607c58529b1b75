package app.kemdro.core.colour;

import java.util.Locale;

/**
 * A colour as screens and pictures hold it, IEC 61966-2-1: three numbers from 0 to 1, not linear in light.
 *
 * @param r red
 * @param g green
 * @param b blue
 */
public record Srgb(double r, double g, double b) {
    /** Linear red, green, blue to X, Y, Z: the primaries of the standard, with the white of the table of daylight. */
    private static final double[][] TO_XYZ = primaries();

    private static final double[][] FROM_XYZ = inverse(TO_XYZ);

    public Srgb {
        if (!(inside(r) && inside(g) && inside(b))) {
            throw new IllegalArgumentException(
                    "Red, green and blue are from 0 to 1, and not " + r + ", " + g + ", " + b + ".");
        }
    }

    private static boolean inside(double value) {
        return value >= 0 && value <= 1;
    }

    /** Reads "#a05c30" or "a05c30". */
    public static Srgb hex(String text) {
        String digits = text.strip().replaceFirst("^#", "");
        if (!digits.matches("[0-9a-fA-F]{6}")) {
            throw new IllegalArgumentException("'" + text + "' is no colour; write it as #a05c30.");
        }
        return of(Integer.parseInt(digits, 16));
    }

    /** Eight bits each of red, green and blue, as 0x00rrggbb; what stands above them, such as opacity, does not count. */
    public static Srgb of(int rgb) {
        return new Srgb((rgb >> 16 & 255) / 255.0, (rgb >> 8 & 255) / 255.0, (rgb & 255) / 255.0);
    }

    /** As "#a05c30". */
    public String hex() {
        return String.format(
                Locale.ROOT, "#%02x%02x%02x", Math.round(r * 255), Math.round(g * 255), Math.round(b * 255));
    }

    /** The colour in daylight. */
    public Lab lab() {
        double[] linear = {linear(r), linear(g), linear(b)};
        return Lab.of(times(TO_XYZ, linear), Light.DAYLIGHT.white);
    }

    /** The colour on a screen; what a screen cannot show is brought to the nearest edge of what it can. */
    public static Srgb of(Lab lab) {
        double[] linear = times(FROM_XYZ, lab.xyz(Light.DAYLIGHT.white));
        return new Srgb(coded(linear[0]), coded(linear[1]), coded(linear[2]));
    }

    private static double linear(double v) {
        return v <= 0.04045 ? v / 12.92 : Math.pow((v + 0.055) / 1.055, 2.4);
    }

    private static double coded(double v) {
        double inside = Math.max(0, Math.min(1, v));
        return Math.max(
                0, Math.min(1, inside <= 0.0031308 ? inside * 12.92 : 1.055 * Math.pow(inside, 1 / 2.4) - 0.055));
    }

    private static double[][] primaries() {
        double[][] xy = {{0.64, 0.33}, {0.30, 0.60}, {0.15, 0.06}};
        double[][] m = new double[3][3];
        for (int k = 0; k < 3; k++) {
            m[0][k] = xy[k][0] / xy[k][1];
            m[1][k] = 1;
            m[2][k] = (1 - xy[k][0] - xy[k][1]) / xy[k][1];
        }
        double[] share = times(inverse(m), Light.DAYLIGHT.white);
        for (double[] row : m) {
            for (int k = 0; k < 3; k++) {
                row[k] *= share[k];
            }
        }
        return m;
    }

    private static double[] times(double[][] m, double[] v) {
        double[] result = new double[3];
        for (int i = 0; i < 3; i++) {
            result[i] = m[i][0] * v[0] + m[i][1] * v[1] + m[i][2] * v[2];
        }
        return result;
    }

    private static double[][] inverse(double[][] m) {
        double[][] result = new double[3][3];
        double all = 0;
        for (int k = 0; k < 3; k++) {
            all += m[0][k] * minor(m, 0, k);
        }
        for (int i = 0; i < 3; i++) {
            for (int j = 0; j < 3; j++) {
                result[j][i] = minor(m, i, j) / all;
            }
        }
        return result;
    }

    private static double minor(double[][] m, int row, int column) {
        int r1 = (row + 1) % 3;
        int r2 = (row + 2) % 3;
        int c1 = (column + 1) % 3;
        int c2 = (column + 2) % 3;
        return m[r1][c1] * m[r2][c2] - m[r1][c2] * m[r2][c1];
    }
}
