package app.kemdro.core.learn;

import java.util.List;

/**
 * What is believed of how much longer somebody takes than was planned: a normal-inverse-gamma belief about the mean and the
 * variance of the logarithm of actual by planned (Murphy 2007, "Conjugate Bayesian analysis of the Gaussian distribution", from
 * memory). With few runs it stays near the library, with many it is the artist's own.
 *
 * @param mean believed mean of the logarithm
 * @param runs weight of that mean, counted in runs
 * @param shape shape of the belief about the variance
 * @param rate rate of the belief about the variance
 */
public record Pace(double mean, double runs, double shape, double rate) {
    /** One imagined run that went as planned, and mornings that differ by about a tenth (judgement). */
    public static final Pace LIBRARY = new Pace(0, 1, 2, 0.01);

    /** Two imagined times as in the library for a single step or film, which differ by about a sixth (judgement). */
    public static final Pace STEP = new Pace(0, 2, 2, 0.05);

    /** A run in which somebody took so many times as long as planned is no morning of theirs but something else. */
    private static final double ODD = 2.5;

    /** One run: seconds that the steps somebody did took, and were planned to take, at the library's pace. */
    public record Run(double actual, double planned) {
        double log() {
            return Math.log(actual / planned);
        }

        /** Whether it is no outlier: interrupted, redone, or no time at all. */
        boolean counts() {
            return actual > 0 && planned > 0 && Math.abs(log()) < Math.log(ODD);
        }
    }

    /** The belief after these runs; outliers are left out. */
    public Pace after(List<Run> held) {
        double[] x = held.stream().filter(Run::counts).mapToDouble(Run::log).toArray();
        int n = x.length;
        if (n == 0) {
            return this;
        }
        double sum = 0;
        for (double v : x) {
            sum += v;
        }
        double own = sum / n;
        double squares = 0;
        for (double v : x) {
            squares += (v - own) * (v - own);
        }
        return new Pace(
                (runs * mean + n * own) / (runs + n),
                runs + n,
                shape + n / 2.0,
                rate + squares / 2 + runs * n * (own - mean) * (own - mean) / (2 * (runs + n)));
    }

    /** How many times as long as the library somebody takes, as is most likely. */
    public double factor() {
        return Math.exp(mean);
    }

    /** Spread of the logarithm of the next morning: scale of its Student-t with 2·shape degrees of freedom. */
    public double spread() {
        return Math.sqrt(rate * (runs + 1) / (shape * runs));
    }
}
