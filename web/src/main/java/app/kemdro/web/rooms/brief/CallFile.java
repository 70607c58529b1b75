package app.kemdro.web.rooms.brief;

import app.kemdro.core.hour.Wall;
import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import java.time.LocalDateTime;
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
                .flatMap(c -> c.getEvents().stream())
                .filter(e -> e.getDateStart() != null && e.getDateStart().getValue() != null)
                .map(CallFile::found)
                .filter(f -> f.at().isAfter(after))
                .min(Comparator.comparing(Found::at));
    }

    private static Found found(VEvent event) {
        String title = event.getSummary() == null ? "" : event.getSummary().getValue();
        LocalDateTime at = event.getDateStart()
                .getValue()
                .toInstant()
                .atZone(Wall.zone())
                .toLocalDateTime()
                .withSecond(0)
                .withNano(0);
        return new Found(title == null ? "" : title, at);
    }
}
