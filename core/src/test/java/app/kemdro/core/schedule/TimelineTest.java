package app.kemdro.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;

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
}
