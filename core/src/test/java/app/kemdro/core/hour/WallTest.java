package app.kemdro.core.hour;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

class WallTest {
    private final ZoneId home = Wall.zone();

    private static LocalDateTime t(String text) {
        return LocalDateTime.parse(text);
    }

    @AfterEach
    void backHome() {
        Wall.clear();
        Wall.zone(home);
    }

    /** A job of the summer is open; a patch test of the winter before was put on at six, and is said so. */
    @Test
    void whatIsNotOfTheJobsNightIsSaidAsItStands() {
        Wall.zone(ZoneId.of("Europe/Berlin"));
        Wall.of(t("2026-07-01T07:00"));
        assertThat(Wall.hour(t("2026-01-10T18:00"))).isEqualTo("18:00");
        assertThat(Wall.at(t("2026-12-24T06:30"))).isEqualTo(t("2026-12-24T06:30"));
        assertThat(Wall.line(t("2026-01-10T18:00"))).isEqualTo(t("2026-01-10T18:00"));
        assertThat(Wall.instant(t("2026-01-10T18:00"))).isEqualTo(Instant.parse("2026-01-10T17:00:00Z"));
        assertThat(Wall.now(Instant.parse("2026-01-10T17:00:00Z"))).isEqualTo(t("2026-01-10T18:00"));
    }

    @Test
    void onItsNightItIsSaidAsTheWallSaysIt() {
        Wall.zone(ZoneId.of("Europe/Berlin"));
        Wall.of(t("2026-03-29T07:00"));
        assertThat(Wall.hour(t("2026-03-29T02:30"))).isEqualTo("01:30");
        assertThat(Wall.line(t("2026-03-29T01:30"))).isEqualTo(t("2026-03-29T02:30"));
        assertThat(Wall.now(Instant.parse("2026-03-29T00:30:00Z"))).isEqualTo(t("2026-03-29T02:30"));
        Wall.clear();
        assertThat(Wall.hour(t("2026-03-29T02:30"))).isEqualTo("02:30");
    }
}
