package app.kemdro.web.records.keeping;

import app.kemdro.web.records.keeping.Backup.Why;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.Optional;

/** When a backup is due. */
final class Due {
    /** When hardly anybody works. */
    private static final LocalTime NIGHT = LocalTime.of(2, 0);

    /** So long a run that is on may put the nightly one off. */
    private static final Duration PUT_OFF = Duration.ofHours(12);

    private Due() {}

    /**
     * Whether one is to be made now.
     *
     * @param last moment of the latest there is
     * @param ended moment the latest run that was no rehearsal ended
     * @param atWork whether a run is on
     */
    static Optional<Why> at(Instant now, ZoneId zone, Optional<Instant> last, Optional<Instant> ended, boolean atWork) {
        Instant night = latestNight(now, zone);
        boolean older = last.isEmpty() || last.get().isBefore(night);
        if (older && (!atWork || now.isAfter(night.plus(PUT_OFF)))) {
            return Optional.of(Why.NIGHT);
        }
        return ended.filter(end ->
                        !end.isAfter(now) && (last.isEmpty() || last.get().isBefore(end)))
                .map(end -> Why.RUN);
    }

    private static Instant latestNight(Instant now, ZoneId zone) {
        ZonedDateTime here = now.atZone(zone);
        ZonedDateTime night = here.toLocalDate().atTime(NIGHT).atZone(zone);
        return (night.isAfter(here)
                        ? here.toLocalDate().minusDays(1).atTime(NIGHT).atZone(zone)
                        : night)
                .toInstant();
    }
}
