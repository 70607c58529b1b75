package app.kemdro.web.rooms.brief;

import app.kemdro.core.hour.Wall;
import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.util.DateTimeComponents;
import biweekly.util.ICalDate;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Finds a call in a calendar file: the next event that is still to come. */
final class CallFile {
    private static final int LONGEST = 1_000_000;

    private CallFile() {}

    /** An event that a call can be taken from. */
    record Found(String title, LocalDateTime at) {}

    /** The next event after this moment; empty where the text is no calendar or has none. */
    static Optional<Found> next(String text, LocalDateTime after) {
        if (text.length() > LONGEST) {
            return Optional.empty();
        }
        List<ICalendar> calendars = Biweekly.parse(text).all();
        return calendars.stream()
                .flatMap(c -> c.getEvents().stream()
                        .filter(e ->
                                e.getDateStart() != null && e.getDateStart().getValue() != null)
                        .map(e -> found(e, c)))
                .filter(f -> f.at().isAfter(after))
                .min(Comparator.comparing(Found::at));
    }

    private static Found found(VEvent event, ICalendar calendar) {
        String title = event.getSummary() == null ? "" : event.getSummary().getValue();
        LocalDateTime at = calendar.getTimezoneInfo().isFloating(event.getDateStart())
                ? written(event.getDateStart().getValue())
                : event.getDateStart()
                        .getValue()
                        .toInstant()
                        .atZone(Wall.zone())
                        .toLocalDateTime();
        return new Found(title == null ? "" : title, at.truncatedTo(ChronoUnit.MINUTES));
    }

    /** An hour without a zone is one of the wall of whoever reads it; the 31st of a month of thirty days is the first of the next. */
    private static LocalDateTime written(ICalDate date) {
        DateTimeComponents as = date.getRawComponents();
        return LocalDate.of(as.getYear(), 1, 1)
                .plusMonths(as.getMonth() - 1L)
                .plusDays(as.getDate() - 1L)
                .atStartOfDay()
                .plusHours(as.getHour())
                .plusMinutes(as.getMinute());
    }
}
