package app.kemdro.web.records.shelf;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Optional;

/**
 * A place on the shelf, in the order of calls.
 *
 * @param job number of the job, 0 before all of that moment
 */
public record Place(LocalDateTime at, long job) {
    /** Behind every job. */
    public static final Place LAST = new Place(LocalDate.of(9999, 12, 31).atStartOfDay(), 0);

    private static final String BESIDE = "~";

    /** Where a day begins, or just where a job stands; empty where the text says neither. */
    public static Optional<Place> of(String text) {
        try {
            String[] parts = text.strip().split(BESIDE, 2);
            if (parts.length == 1) {
                return Optional.of(new Place(LocalDate.parse(parts[0]).atStartOfDay(), 0));
            }
            return Optional.of(new Place(LocalDateTime.parse(parts[0]), Long.parseLong(parts[1])));
        } catch (DateTimeException | NumberFormatException e) {
            return Optional.empty();
        }
    }

    @Override
    public String toString() {
        return at + BESIDE + job;
    }
}
