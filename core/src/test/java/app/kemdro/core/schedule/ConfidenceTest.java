package app.kemdro.core.schedule;

import static app.kemdro.core.schedule.Networks.INES;
import static app.kemdro.core.schedule.Networks.lag;
import static app.kemdro.core.schedule.Networks.of;
import static app.kemdro.core.schedule.Networks.plan;
import static app.kemdro.core.schedule.Networks.task;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class ConfidenceTest {

    /**
     * One chain of 20 equal tasks: the ready time is a sum of independent log-normals with a shared factor. Mean and
     * spread follow from the moments: task times of standard deviation 0.18 of the log and mean one, days of 0.05.
     */
    @Test
    void aSingleChainSpreadsAsItsMomentsSay() {
        List<Task> tasks = new ArrayList<>();
        List<Lag> lags = new ArrayList<>();
        for (int i = 0; i < 20; i++) {
            tasks.add(task("t" + i, 300, "z"));
            if (i > 0) {
                lags.add(lag("t" + (i - 1), "t" + i, Lag.Kind.END));
            }
        }
        TaskNetwork network = of(tasks, lags, INES);
        int[] ready = Confidence.of(network, plan(network), 20_000).ready();
        double mean = java.util.Arrays.stream(ready).average().orElseThrow();
        double variance = java.util.Arrays.stream(ready)
                .mapToDouble(r -> (r - mean) * (r - mean))
                .average()
                .orElseThrow();
        double day = Math.exp(0.05 * 0.05 / 2);
        double taskSquare = 20 * 300.0 * 300 * (Math.exp(0.18 * 0.18) - 1);
        double daySquare = (6000.0 * 6000) * (Math.exp(0.05 * 0.05) - 1);
        assertThat(mean).isCloseTo(6000 * day, within(15.0));
        assertThat(Math.sqrt(variance)).isCloseTo(Math.sqrt(taskSquare + daySquare), within(12.0));
    }

    /** Of two chains side by side the longer carries the risk; a step on both carries all of it. */
    @Test
    void whatReadyHangsOnIsSaidAsAShareOfMornings() {
        TaskNetwork network = of(
                List.of(task("long", 900, "a"), task("short", 700, "b"), task("join", 60, "c")),
                List.of(lag("long", "join", Lag.Kind.END), lag("short", "join", Lag.Kind.END)),
                INES,
                new Worker("Pell", true, 1, 0, 100_000));
        Map<String, Double> carries =
                Confidence.of(network, plan(network), 4000).carries();
        assertThat(carries.get("join")).isEqualTo(1.0);
        assertThat(carries.get("long") + carries.get("short")).isCloseTo(1.0, within(1e-9));
        // the log of their ratio is normal with spread 0.18·√2, its mean ln(900/700): Φ(0.2513/0.2546) = 0.838
        assertThat(carries.get("long")).isCloseTo(0.838, within(0.02));
    }

    @Test
    void nineOfTenIsOneSided() {
        Confidence hundred =
                new Confidence(java.util.stream.IntStream.rangeClosed(1, 100).toArray(), Map.of());
        assertThat(hundred.by(0.9)).isEqualTo(90);
        assertThat(hundred.by(0.5)).isEqualTo(50);
    }
}
