package app.kemdro.core.hour;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.zone.ZoneOffsetTransition;
import java.util.Locale;
import java.util.Optional;

/**
 * The line of time on which a job is reckoned. All of it lies in the offset that holds at its call, so that an hour on it is an hour,
 * and every point of it is one instant. On all but two nights a year it says what the clock on the wall says; on those it differs
 * by the change on the far side of it.
 *
 * @param zone where the house is
 * @param offset the offset in which a job is reckoned
 */
public record HouseLine(ZoneId zone, ZoneOffset offset) {
    /** So far from its call nothing of a job is. */
    private static final Duration NEAR = Duration.ofHours(36);

    private static final DateTimeFormatter NAMED = DateTimeFormatter.ofPattern("HH:mm zzz", Locale.ENGLISH);

    static final DateTimeFormatter HOUR = DateTimeFormatter.ofPattern("HH:mm");

    /** The line of a job with this call, which is what the wall says then; of an hour that comes twice the first. */
    public static HouseLine of(ZoneId zone, LocalDateTime call) {
        return new HouseLine(zone, zone.getRules().getOffset(call));
    }

    /** The instant of a point of the line. */
    public Instant instant(LocalDateTime line) {
        return line.toInstant(offset);
    }

    /** The point of the line at an instant. */
    public LocalDateTime at(Instant instant) {
        return LocalDateTime.ofInstant(instant, offset);
    }

    /** What the wall says at a point of the line. */
    public LocalDateTime wall(LocalDateTime line) {
        return LocalDateTime.ofInstant(instant(line), zone);
    }

    /** The point of the line at which the wall says this; where it says so twice the first, where never as long after the change. */
    public LocalDateTime line(LocalDateTime wall) {
        return at(wall.atZone(zone).toInstant());
    }

    /** What the wall says there, 07:41; with the zone's name where it says so twice that night. */
    public String hour(LocalDateTime line) {
        LocalDateTime wall = wall(line);
        return zone.getRules().getValidOffsets(wall).size() > 1
                ? NAMED.format(instant(line).atZone(zone))
                : HOUR.format(wall);
    }

    /** Now, as a job with this call reckons; what the wall says where the call is far off. */
    public static LocalDateTime now(ZoneId zone, LocalDateTime call, Instant now) {
        LocalDateTime wall = LocalDateTime.ofInstant(now, zone);
        return isNear(wall, call) ? of(zone, call).at(now) : wall;
    }

    /** Whether a time can be one of a job with this call. */
    static boolean isNear(LocalDateTime time, LocalDateTime call) {
        return Duration.between(time, call).abs().compareTo(NEAR) <= 0;
    }

    /** What is wrong with an hour that never comes, or comes twice, and what to say instead; empty where it comes once. */
    public static Optional<String> doubt(ZoneId zone, LocalDateTime wall) {
        ZoneOffsetTransition change = zone.getRules().getTransition(wall);
        if (change == null) {
            return Optional.empty();
        }
        LocalDateTime before = change.getDateTimeBefore();
        LocalDateTime after = change.getDateTimeAfter();
        return Optional.of(
                change.isGap()
                        ? "%s does not come that night: the clocks go from %s on to %s. Say an hour before or after."
                                .formatted(HOUR.format(wall), HOUR.format(before), HOUR.format(after))
                        : "%s comes twice that night: the clocks go from %s back to %s. Say %s or earlier, or %s or later, so that nobody waits an hour."
                                .formatted(
                                        HOUR.format(wall),
                                        HOUR.format(before),
                                        HOUR.format(after),
                                        HOUR.format(after.minusMinutes(1)),
                                        HOUR.format(before)));
    }

    /**
     * A change of the clocks.
     *
     * @param at point of the line at which they change
     * @param minutes by which the wall is ahead of before
     */
    public record Turn(LocalDateTime at, int minutes) {}

    /** The first change of the clocks between two points of the line. */
    public Optional<Turn> turn(LocalDateTime from, LocalDateTime until) {
        return next(from, until)
                .map(t -> new Turn(at(t.getInstant()), (int) t.getDuration().toMinutes()));
    }

    /** That the clocks change between two points of the line, in words; empty where they do not. */
    public Optional<String> changes(LocalDateTime from, LocalDateTime until) {
        return next(from, until)
                .map(t -> "The clocks change that night: %s becomes %s."
                        .formatted(HOUR.format(t.getDateTimeBefore()), HOUR.format(t.getDateTimeAfter())));
    }

    private Optional<ZoneOffsetTransition> next(LocalDateTime from, LocalDateTime until) {
        return Optional.ofNullable(zone.getRules().nextTransition(instant(from)))
                .filter(t -> t.getInstant().isBefore(instant(until)));
    }
}
