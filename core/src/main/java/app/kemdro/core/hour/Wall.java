package app.kemdro.core.hour;

import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The clock on the house's wall, as whoever says an hour reads it. Which job an hour belongs to is said once, where the job is
 * opened, for the thread that works on it; where no job was opened, an hour is said as it stands.
 */
public final class Wall {
    private static final ThreadLocal<Opened> OPENED = new ThreadLocal<>();
    private static volatile ZoneId zone = ZoneId.systemDefault();

    private Wall() {}

    private record Opened(HouseLine line, LocalDateTime call) {}

    /** Where the house is. */
    public static ZoneId zone() {
        return zone;
    }

    /** The house is there from now on. */
    public static void zone(ZoneId other) {
        zone = other;
    }

    /** From now on hours are those of a job with this call. */
    public static void of(LocalDateTime call) {
        OPENED.set(new Opened(HouseLine.of(zone, call), call));
    }

    /** Hours are nobody's any more. */
    public static void clear() {
        OPENED.remove();
    }

    /** What the wall says at a point of the job's line. */
    public static LocalDateTime at(LocalDateTime time) {
        return near(time).map(line -> line.wall(time)).orElse(time);
    }

    /** The point of the job's line at which the wall says this. */
    public static LocalDateTime line(LocalDateTime wall) {
        return near(wall).map(line -> line.line(wall)).orElse(wall);
    }

    /** Now, as the job reckons; what the wall says where its call is far off, or no job was opened. */
    public static LocalDateTime now(Instant now) {
        @Nullable Opened job = OPENED.get();
        return job == null ? LocalDateTime.ofInstant(now, zone) : HouseLine.now(zone, job.call(), now);
    }

    /** The instant of a point of the job's line. */
    public static Instant instant(LocalDateTime time) {
        return near(time)
                .map(line -> line.instant(time))
                .orElseGet(() -> time.atZone(zone).toInstant());
    }

    /** What is wrong with an hour of the wall that never comes, or comes twice, and what to say instead; empty where it comes once. */
    public static Optional<String> doubt(LocalDateTime wall) {
        return HouseLine.doubt(zone, wall);
    }

    /** 07:41, as the wall says it. */
    public static String hour(LocalDateTime time) {
        return near(time).map(line -> line.hour(time)).orElseGet(() -> HouseLine.HOUR.format(time));
    }

    /** The line of the job that was opened. */
    public static Optional<HouseLine> line() {
        return Optional.ofNullable(OPENED.get()).map(Opened::line);
    }

    /** The line of the job that was opened, where a time is of its night; what was long before or comes long after is the wall's. */
    private static Optional<HouseLine> near(LocalDateTime time) {
        return Optional.ofNullable(OPENED.get())
                .filter(job -> HouseLine.isNear(time, job.call()))
                .map(Opened::line);
    }
}
