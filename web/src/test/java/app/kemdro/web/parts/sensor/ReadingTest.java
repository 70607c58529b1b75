package app.kemdro.web.parts.sensor;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class ReadingTest {
    private static final Instant FIVE = Instant.parse("2026-12-03T05:00:00Z");

    @Test
    void aLineIsReadAndWrittenTheSame() {
        Reading reading = Reading.of("KR1 2026-12-03T05:00:00Z T=21.4 RH=47.2").orElseThrow();
        assertThat(reading).isEqualTo(new Reading(FIVE, 21.4, 47.2));
        assertThat(reading.line()).isEqualTo("KR1 2026-12-03T05:00:00Z T=21.4 RH=47.2");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "KR1",
                "KR2 2026-12-03T05:00:00Z T=21.4 RH=47.2",
                "KR1 today T=21.4 RH=47.2",
                "KR1 2026-12-03T05:00:00Z T=210 RH=47.2",
                "KR1 2026-12-03T05:00:00Z T=99 RH=47.2",
                "KR1 2026-12-03T05:00:00Z T=21.4 RH=147",
                "KR1 -- T=NaN RH=",
                "GET / HTTP/1.1"
            })
    void nonsenseIsPassedOver(String line) {
        assertThat(Reading.of(line)).isEmpty();
    }

    /** A clock that a test turns. */
    private static final class Hands extends Clock {
        private Instant now = FIVE;

        @Override
        public ZoneId getZone() {
            return ZoneOffset.UTC;
        }

        @Override
        public Clock withZone(ZoneId zone) {
            return this;
        }

        @Override
        public Instant instant() {
            return now;
        }
    }

    @Test
    void aSensorThatFallsSilentIsNoLongerBelieved() {
        Hands clock = new Hands();
        RoomSensor sensor = new RoomSensor("", clock);
        assertThat(sensor.now()).isEmpty();
        sensor.hear("KR1 2026-12-03T05:00:00Z T=21.4 RH=47.2");
        sensor.hear("KR1 -- T=NaN RH=");
        assertThat(sensor.now()).isPresent();
        clock.now = FIVE.plusSeconds(120);
        assertThat(sensor.now()).isEmpty();
    }

    @ParameterizedTest
    @EnumSource(SimulatedSensor.Scenario.class)
    void everyScenarioSaysSomethingARoomCanBeLike(SimulatedSensor.Scenario scenario) throws Exception {
        RoomSensor listener = new RoomSensor("", new Hands());
        SimulatedSensor stand = new SimulatedSensor(listener, new Hands(), true);
        int heard = 0;
        for (int minute = 0; minute < 120; minute++) {
            heard += Reading.of(stand.line(scenario, Duration.ofMinutes(minute).plusSeconds(minute)))
                            .isPresent()
                    ? 1
                    : 0;
        }
        assertThat(heard).isGreaterThan(60);
        stand.destroy();
        listener.destroy();
    }

    @Test
    void theStandInIsHeard() throws Exception {
        RoomSensor listener = new RoomSensor("", Clock.systemUTC());
        SimulatedSensor stand = new SimulatedSensor(listener, Clock.systemUTC(), true);
        for (int wait = 0; wait < 200 && listener.now().isEmpty(); wait++) {
            Thread.sleep(25);
        }
        assertThat(listener.now()).isPresent();
        stand.destroy();
        listener.destroy();
    }
}
