package app.kemdro.web.records.keeping;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.web.records.keeping.Backup.Why;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class DueTest {
    private static final ZoneId ZONE = ZoneId.of("Europe/Berlin");

    private static Instant at(String time) {
        return LocalDateTime.parse(time).atZone(ZONE).toInstant();
    }

    private static Optional<Why> due(String now, String last, String ended, boolean atWork) {
        return Due.at(
                at(now),
                ZONE,
                Optional.of(last).filter(l -> !l.isEmpty()).map(DueTest::at),
                Optional.of(ended).filter(e -> !e.isEmpty()).map(DueTest::at),
                atWork);
    }

    @Test
    void oneANight() {
        assertThat(due("2026-12-03T01:59", "2026-12-02T02:00", "", false)).isEmpty();
        assertThat(due("2026-12-03T02:00", "2026-12-02T02:00", "", false)).contains(Why.NIGHT);
        assertThat(due("2026-12-03T02:01", "2026-12-03T02:00", "", false)).isEmpty();
    }

    @Test
    void aMachineThatWasOffAtNightMakesItInTheMorning() {
        assertThat(due("2026-12-03T07:12", "2026-12-01T02:00", "", false)).contains(Why.NIGHT);
        assertThat(due("2026-12-03T01:12", "2026-12-01T02:00", "", false)).contains(Why.NIGHT);
        assertThat(due("2026-12-03T07:12", "", "", false)).contains(Why.NIGHT);
    }

    @Test
    void aRunThatIsOnPutsItOffForHalfADay() {
        assertThat(due("2026-12-03T07:12", "2026-12-02T02:00", "", true)).isEmpty();
        assertThat(due("2026-12-03T14:00", "2026-12-02T02:00", "", true)).isEmpty();
        assertThat(due("2026-12-03T14:01", "2026-12-02T02:00", "", true)).contains(Why.NIGHT);
    }

    @Test
    void theEndOfARunAsksForOneEvenWhereAnotherRunIsOn() {
        assertThat(due("2026-12-03T10:00", "2026-12-03T02:00", "2026-12-03T09:58", true))
                .contains(Why.RUN);
        assertThat(due("2026-12-03T10:00", "2026-12-03T09:59", "2026-12-03T09:58", false))
                .isEmpty();
        assertThat(due("2026-12-03T10:00", "2026-12-03T02:00", "2026-12-03T11:00", false))
                .isEmpty();
    }

    /** Two in the morning stands there twice in that night: one backup is made, not two; in spring it does not stand there at all. */
    @Test
    void nightsOfClockChangeHaveOne() {
        assertThat(Due.at(
                        Instant.parse("2026-10-25T00:00:00Z"),
                        ZONE,
                        Optional.of(at("2026-10-24T02:00")),
                        Optional.empty(),
                        false))
                .contains(Why.NIGHT);
        assertThat(Due.at(
                        Instant.parse("2026-10-25T01:00:30Z"),
                        ZONE,
                        Optional.of(Instant.parse("2026-10-25T00:00:20Z")),
                        Optional.empty(),
                        false))
                .isEmpty();
        assertThat(Due.at(
                        Instant.parse("2026-03-29T01:00:00Z"),
                        ZONE,
                        Optional.of(at("2026-03-28T02:00")),
                        Optional.empty(),
                        false))
                .contains(Why.NIGHT);
    }
}
