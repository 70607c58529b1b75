package app.kemdro.web.records.account;

import static org.assertj.core.api.Assertions.assertThat;

import io.github.bucket4j.TimeMeter;
import java.time.Duration;
import org.junit.jupiter.api.Test;

class ThrottleTest {
    private long now = Duration.ofHours(1).toNanos();

    private final Throttle throttle = new Throttle(new TimeMeter() {
        @Override
        public long currentTimeNanos() {
            return now;
        }

        @Override
        public boolean isWallClockBased() {
            return false;
        }
    });

    private void wrong(String name, String address, int times) {
        for (int k = 0; k < times; k++) {
            throttle.wrong(name, address);
        }
    }

    @Test
    void aNameIsLockedForAWhileAndOpensByItself() {
        wrong("ines", "10.0.0.1", Throttle.TRIES - 1);
        assertThat(throttle.seconds("ines", "10.0.0.1")).isZero();
        throttle.wrong("ines", "10.0.0.1");
        assertThat(throttle.seconds("ines", "10.0.0.1")).isBetween(1L, 31L);
        // from elsewhere too, for it is the name that is guessed at; another name is free
        assertThat(throttle.seconds("ines", "10.0.0.2")).isBetween(1L, 31L);
        assertThat(throttle.seconds("pell", "10.0.0.1")).isZero();
        now += Duration.ofSeconds(31).toNanos();
        assertThat(throttle.seconds("ines", "10.0.0.1")).isZero();
        // one try only
        throttle.wrong("ines", "10.0.0.1");
        assertThat(throttle.seconds("ines", "10.0.0.1")).isBetween(1L, 31L);
    }

    @Test
    void anAddressIsLockedWhateverNamesItTries() {
        for (int k = 0; k < Throttle.FROM_ONE_PLACE; k++) {
            throttle.wrong("name" + k, "10.0.0.9");
        }
        assertThat(throttle.seconds("somebody", "10.0.0.9")).isPositive();
        assertThat(throttle.seconds("somebody", "10.0.0.8")).isZero();
    }

    @Test
    void whoeverKnowsItIsNoLongerCounted() {
        wrong("ines", "10.0.0.1", Throttle.TRIES);
        throttle.right("ines");
        assertThat(throttle.seconds("ines", "10.0.0.1")).isZero();
    }
}
