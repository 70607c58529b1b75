package app.kemdro.core.plan;

import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;

/** Times of day as they are said: on five-minute marks. */
final class FiveMinutes {
    private FiveMinutes() {}

    static LocalDateTime before(LocalDateTime time) {
        LocalDateTime minute = time.truncatedTo(ChronoUnit.MINUTES);
        return minute.minusMinutes(minute.getMinute() % 5);
    }
}
