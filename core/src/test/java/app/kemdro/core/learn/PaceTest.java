package app.kemdro.core.learn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.kemdro.core.learn.Pace.Run;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

class PaceTest {

    /** By hand: prior (0, 1, 2, 0.01) and two runs of logarithm 0.1 and 0.3: mean 0.4/3, 3, 3, 0.01 + 0.01 + 2·0.04/6. */
    @Test
    void twoRunsByHand() {
        Pace pace = Pace.LIBRARY.after(List.of(new Run(Math.exp(0.1), 1), new Run(Math.exp(0.3), 1)));
        assertThat(pace.mean()).isCloseTo(0.4 / 3, within(1e-12));
        assertThat(pace.runs()).isEqualTo(3);
        assertThat(pace.shape()).isEqualTo(3);
        assertThat(pace.rate()).isCloseTo(0.02 + 0.08 / 6, within(1e-12));
        assertThat(pace.spread()).isCloseTo(Math.sqrt((0.02 + 0.08 / 6) * 4 / 9), within(1e-12));
    }

    /** The same belief whether runs come one by one or all at once. */
    @Test
    void runsMayComeOneByOne() {
        List<Run> runs = List.of(new Run(110, 100), new Run(96, 100), new Run(131, 100));
        Pace one = Pace.LIBRARY;
        for (Run run : runs) {
            one = one.after(List.of(run));
        }
        Pace all = Pace.LIBRARY.after(runs);
        assertThat(one.mean()).isCloseTo(all.mean(), within(1e-12));
        assertThat(one.rate()).isCloseTo(all.rate(), within(1e-12));
    }

    /** The closed form against the posterior mean summed up over a fine grid of means and variances. */
    @Test
    void theMeanIsWhatSummingOverAllMeansAndVariancesGives() {
        double[] x = {0.05, 0.22, 0.14};
        double weight = 0;
        double sum = 0;
        for (double v = 0.0002; v < 0.4; v *= 1.02) {
            for (double m = -0.6; m < 0.8; m += 0.002) {
                double log = -3 * Math.log(v) - 0.01 / v - 0.5 * Math.log(v) - m * m / (2 * v);
                for (double xi : x) {
                    log += -0.5 * Math.log(v) - (xi - m) * (xi - m) / (2 * v);
                }
                double w = Math.exp(log) * v;
                weight += w;
                sum += w * m;
            }
        }
        Pace pace = Pace.LIBRARY.after(
                List.of(new Run(Math.exp(x[0]), 1), new Run(Math.exp(x[1]), 1), new Run(Math.exp(x[2]), 1)));
        assertThat(pace.mean()).isCloseTo(sum / weight, within(1e-3));
    }

    /** A simulated artist who is a fifth slower is believed to be within a twentieth of that after five mornings. */
    @Test
    void aSlowArtistIsLearntWithinFiveRuns() {
        SplittableRandom random = new SplittableRandom(5);
        List<Run> runs = new ArrayList<>();
        for (int k = 0; k < 5; k++) {
            runs.add(new Run(9000 * 1.2 * Math.exp(0.05 * random.nextGaussian()), 9000));
        }
        assertThat(Pace.LIBRARY.after(runs).factor()).isCloseTo(1.2, within(0.06));
        assertThat(Pace.LIBRARY.after(runs.subList(0, 1)).factor()).isBetween(1.02, 1.18);
    }

    @Test
    void oddRunsAndNoRunsTeachNothing() {
        assertThat(Pace.LIBRARY.after(List.of(new Run(9000, 1000), new Run(0, 100), new Run(100, 0))))
                .isEqualTo(Pace.LIBRARY);
        assertThat(Pace.LIBRARY.after(List.of()).factor()).isEqualTo(1);
    }

    @Test
    void moreRunsAreSurer() {
        List<Run> few = List.of(new Run(105, 100), new Run(98, 100));
        List<Run> many = new ArrayList<>();
        for (int k = 0; k < 10; k++) {
            many.addAll(few);
        }
        assertThat(Pace.LIBRARY.after(many).spread())
                .isLessThan(Pace.LIBRARY.after(few).spread());
    }
}
