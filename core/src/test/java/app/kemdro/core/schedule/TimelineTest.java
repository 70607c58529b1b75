package app.kemdro.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.Map;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

/** What is taken of a pair of hands, a place or a tool, by hand. */
class TimelineTest {
    private static Timeline taken() {
        Timeline line = new Timeline();
        line.take(200, 300, 2);
        line.take(0, 100, 1);
        line.take(400, 500, 3);
        return line;
    }

    @Test
    void theFirstGapThatIsLongEnoughIsFree() {
        assertThat(taken().free(0, 100, null)).isEqualTo(100);
        assertThat(taken().free(0, 101, null)).isEqualTo(500);
        assertThat(taken().free(150, 50, null)).isEqualTo(150);
        assertThat(taken().free(150, 51, null)).isEqualTo(300);
        assertThat(taken().free(500, 10, null)).isEqualTo(500);
    }

    @Test
    void someOwnersAreOverlooked() {
        boolean[] second = {false, false, true, false};
        assertThat(taken().free(100, 300, second)).isEqualTo(100);
        assertThat(taken().free(100, 301, second)).isEqualTo(500);
        assertThat(taken().free(150, 200, second)).isEqualTo(150);
        Timeline rest = new Timeline();
        rest.take(100, 200, -1);
        assertThat(rest.free(50, 100, second)).isEqualTo(200);
    }

    @Test
    void whatIsReleasedIsFreeAndEndsCanBeMoved() {
        Timeline line = taken();
        assertThat(line.endOf(2, -1)).isEqualTo(300);
        assertThat(line.endOf(7, -1)).isEqualTo(-1);
        line.endAt(2, 350);
        assertThat(line.endOf(2, -1)).isEqualTo(350);
        assertThat(line.endOf(1, -1)).isEqualTo(100);
        assertThat(line.free(250, 10, null)).isEqualTo(350);
        line.release(2);
        assertThat(line.endOf(2, -1)).isEqualTo(-1);
        assertThat(line.free(100, 300, null)).isEqualTo(100);
        line.clear();
        assertThat(line.free(0, 1000, null)).isZero();
    }

    @Test
    void itGrows() {
        Timeline line = new Timeline();
        for (int k = 40; k > 0; k--) {
            line.take(10 * k, 10 * k + 10, k);
        }
        assertThat(line.free(10, 1, null)).isEqualTo(410);
        assertThat(line.endOf(17, -1)).isEqualTo(180);
    }

    /** Beside a list that is walked from its beginning, second by second. */
    @Test
    void itSaysWhatAListOfStretchesSays() {
        SplittableRandom random = new SplittableRandom(5);
        for (int round = 0; round < 200; round++) {
            Timeline line = new Timeline();
            Map<Integer, int[]> taken = new HashMap<>();
            for (int k = 0; k < 25; k++) {
                int task = random.nextInt(12);
                switch (taken.containsKey(task) ? random.nextInt(2) : 2) {
                    case 0 -> {
                        line.release(task);
                        taken.remove(task);
                    }
                    case 1 -> {
                        taken.get(task)[1] = taken.get(task)[0] + random.nextInt(30);
                        line.endAt(task, taken.get(task)[1]);
                    }
                    default -> {
                        int from = random.nextInt(100);
                        taken.put(task, new int[] {from, from + random.nextInt(30)});
                        line.take(from, taken.get(task)[1], task);
                    }
                }
                boolean[] overlooked = new boolean[12];
                overlooked[random.nextInt(12)] = true;
                int from = random.nextInt(110);
                int length = 1 + random.nextInt(20);
                assertThat(line.free(from, length, overlooked)).isEqualTo(free(taken, from, length, overlooked));
                assertThat(line.endOf(task, -1)).isEqualTo(taken.containsKey(task) ? taken.get(task)[1] : -1);
            }
        }
    }

    private static int free(Map<Integer, int[]> taken, int from, int length, boolean[] overlooked) {
        int t = from;
        while (true) {
            int at = t;
            if (taken.entrySet().stream()
                    .noneMatch(e -> !overlooked[e.getKey()] && e.getValue()[0] < at + length && e.getValue()[1] > at)) {
                return t;
            }
            t++;
        }
    }
}
