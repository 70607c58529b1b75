package app.kemdro.core.hour;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import org.junit.jupiter.api.Test;

/** Nights of clock change; transitions as the tz database has them: Berlin 2026-03-29 and 2026-10-25 at 01:00 UTC, New York 2026-11-01 at 06:00 UTC. */
class HouseLineTest {
    private static final ZoneId BERLIN = ZoneId.of("Europe/Berlin");
    private static final ZoneId NEW_YORK = ZoneId.of("America/New_York");

    private static LocalDateTime t(String text) {
        return LocalDateTime.parse(text);
    }

    /** Call at seven on the Sunday in spring: six hours before it, the wall says midnight, and not one o'clock. */
    @Test
    void inSpringTheNightIsAnHourShorterOnTheWall() {
        HouseLine line = HouseLine.of(BERLIN, t("2026-03-29T07:00"));
        assertThat(line.wall(t("2026-03-29T01:00"))).isEqualTo(t("2026-03-29T00:00"));
        assertThat(line.wall(t("2026-03-29T03:00"))).isEqualTo(t("2026-03-29T03:00"));
        assertThat(line.wall(t("2026-03-29T02:59"))).isEqualTo(t("2026-03-29T01:59"));
        assertThat(line.line(t("2026-03-29T00:00"))).isEqualTo(t("2026-03-29T01:00"));
        assertThat(Duration.between(line.line(t("2026-03-28T23:00")), t("2026-03-29T07:00")))
                .isEqualTo(Duration.ofHours(7));
    }

    @Test
    void inAutumnTheNightIsAnHourLongerAndAnHourThatComesTwiceIsNamed() {
        HouseLine line = HouseLine.of(BERLIN, t("2026-10-25T07:00"));
        assertThat(line.wall(t("2026-10-25T01:00"))).isEqualTo(t("2026-10-25T02:00"));
        assertThat(line.hour(t("2026-10-25T01:10"))).isEqualTo("02:10 CEST");
        assertThat(line.hour(t("2026-10-25T02:10"))).isEqualTo("02:10 CET");
        assertThat(line.hour(t("2026-10-25T03:10"))).isEqualTo("03:10");
        assertThat(line.hour(t("2026-10-25T00:50"))).isEqualTo("01:50");
        assertThat(Duration.between(line.line(t("2026-10-24T23:00")), t("2026-10-25T07:00")))
                .isEqualTo(Duration.ofHours(9));
    }

    @Test
    void acrossTheOceanTheNightIsAnother() {
        HouseLine line = HouseLine.of(NEW_YORK, t("2026-11-01T06:00"));
        assertThat(line.wall(t("2026-10-31T23:30"))).isEqualTo(t("2026-11-01T00:30"));
        assertThat(line.instant(t("2026-11-01T06:00"))).isEqualTo(Instant.parse("2026-11-01T11:00:00Z"));
        assertThat(line.hour(t("2026-11-01T00:30"))).isEqualTo("01:30 EDT");
        HouseLine that = HouseLine.of(NEW_YORK, t("2026-10-25T07:00"));
        assertThat(that.wall(t("2026-10-25T01:00"))).isEqualTo(t("2026-10-25T01:00"));
    }

    /** Hour for hour through a year: on the line every point is one instant, back and forth. */
    @Test
    void everyPointIsOneInstant() {
        LocalDateTime call = t("2026-01-01T07:00");
        for (int day = 0; day < 365; day++) {
            HouseLine line = HouseLine.of(BERLIN, call.plusDays(day));
            for (int h = -20; h <= 10; h++) {
                LocalDateTime point = call.plusDays(day).plusHours(h);
                assertThat(line.at(line.instant(point))).isEqualTo(point);
                assertThat(line.instant(point))
                        .isEqualTo(call.plusDays(day).atZone(BERLIN).toInstant().plus(Duration.ofHours(h)));
            }
        }
    }

    @Test
    void anHourThatNeverComesOrComesTwiceIsAskedBack() {
        assertThat(HouseLine.doubt(BERLIN, t("2026-03-29T02:30")))
                .hasValueSatisfying(d -> assertThat(d)
                        .startsWith("02:30 does not come that night: the clocks go from 02:00 on to 03:00."));
        assertThat(HouseLine.doubt(BERLIN, t("2026-10-25T02:30")))
                .hasValueSatisfying(d -> assertThat(d)
                        .startsWith("02:30 comes twice that night: the clocks go from 03:00 back to 02:00. Say 01:59"));
        assertThat(HouseLine.doubt(BERLIN, t("2026-10-25T03:00"))).isEmpty();
        assertThat(HouseLine.doubt(BERLIN, t("2026-03-29T03:00"))).isEmpty();
        assertThat(HouseLine.doubt(NEW_YORK, t("2026-11-01T01:30"))).isPresent();
        assertThat(HouseLine.doubt(NEW_YORK, t("2026-10-25T02:30"))).isEmpty();
        assertThat(HouseLine.doubt(ZoneId.of("Asia/Tokyo"), t("2026-03-29T02:30")))
                .isEmpty();
    }

    @Test
    void nowIsOfTheJobThatIsNearAndOfTheWallOtherwise() {
        Instant now = Instant.parse("2026-03-28T23:00:00Z");
        assertThat(HouseLine.now(BERLIN, t("2026-03-29T07:00"), now)).isEqualTo(t("2026-03-29T01:00"));
        assertThat(HouseLine.now(BERLIN, t("2026-03-28T20:00"), now)).isEqualTo(t("2026-03-29T00:00"));
        assertThat(HouseLine.now(BERLIN, t("2026-07-01T07:00"), now)).isEqualTo(t("2026-03-29T00:00"));
    }

    @Test
    void theChangeIsSaidOnlyOnItsNight() {
        HouseLine spring = HouseLine.of(BERLIN, t("2026-03-29T07:00"));
        assertThat(spring.changes(t("2026-03-29T00:00"), t("2026-03-29T07:00")))
                .contains("The clocks change that night: 02:00 becomes 03:00.");
        assertThat(spring.changes(t("2026-03-29T04:00"), t("2026-03-29T07:00"))).isEmpty();
        assertThat(HouseLine.of(ZoneId.of("Asia/Tokyo"), t("2026-03-29T07:00"))
                        .changes(t("2026-03-28T00:00"), t("2026-03-30T07:00")))
                .isEmpty();
    }
}
