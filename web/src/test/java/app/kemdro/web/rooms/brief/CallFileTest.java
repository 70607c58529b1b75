package app.kemdro.web.rooms.brief;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.hour.Wall;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.Random;
import org.junit.jupiter.api.Test;

class CallFileTest {
    private static final LocalDateTime NOW = LocalDateTime.of(2026, 11, 26, 9, 0);
    private static final String CALENDAR = String.join(
            "\r\n",
            "BEGIN:VCALENDAR",
            "VERSION:2.0",
            "PRODID:-//Test//EN",
            "BEGIN:VEVENT",
            "UID:1",
            "DTSTAMP:20261101T000000Z",
            "DTSTART:20261125T074500",
            "SUMMARY:Yesterday",
            "END:VEVENT",
            "BEGIN:VEVENT",
            "UID:2",
            "DTSTAMP:20261101T000000Z",
            "DTSTART:20261205T061500",
            "SUMMARY:Unit call",
            "END:VEVENT",
            "BEGIN:VEVENT",
            "UID:3",
            "DTSTAMP:20261101T000000Z",
            "DTSTART:20261203T074500",
            "SUMMARY:Camera test",
            "END:VEVENT",
            "END:VCALENDAR",
            "");

    @Test
    void theNextEventToComeIsTheCall() {
        assertThat(CallFile.next(CALENDAR, NOW))
                .contains(new CallFile.Found("Camera test", LocalDateTime.of(2026, 12, 3, 7, 45)));
        assertThat(CallFile.next(CALENDAR, NOW.plusYears(1))).isEmpty();
    }

    /** Wherever the machine is: an hour without a zone is that of the house's wall, one with a zone is that instant. */
    @Test
    void hoursAreThoseOfTheHouse() {
        ZoneId home = Wall.zone();
        try {
            Wall.zone(ZoneId.of("America/New_York"));
            assertThat(CallFile.next(CALENDAR, NOW))
                    .contains(new CallFile.Found("Camera test", LocalDateTime.of(2026, 12, 3, 7, 45)));
            assertThat(CallFile.next(CALENDAR.replace("20261203T074500", "20261203T124500Z"), NOW))
                    .contains(new CallFile.Found("Camera test", LocalDateTime.of(2026, 12, 3, 7, 45)));
        } finally {
            Wall.zone(home);
        }
    }

    @Test
    void whatIsNoCalendarHasNoCall() {
        assertThat(CallFile.next("", NOW)).isEmpty();
        assertThat(CallFile.next("GIF89a", NOW)).isEmpty();
        assertThat(CallFile.next("x".repeat(2_000_000), NOW)).isEmpty();
    }

    /** Mutated files: an answer or none, never an exception. */
    @Test
    void noFileBreaksTheReader() {
        Random dice = new Random(3);
        for (int k = 0; k < 1000; k++) {
            StringBuilder odd = new StringBuilder(CALENDAR);
            for (int m = 0; m < 1 + dice.nextInt(6); m++) {
                odd.setCharAt(dice.nextInt(odd.length()), ":;=\n\r\"T9-\u0000B".charAt(dice.nextInt(11)));
            }
            assertThat(CallFile.next(odd.toString(), NOW)).isNotNull();
        }
    }
}
