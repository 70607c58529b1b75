package app.kemdro.web.parts.typed;

import java.time.LocalTime;
import java.time.format.DateTimeParseException;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Hours of the day as people type them: 07:45, 7.45, 745, 0745, 7h45, 7, 7am, 7.45 pm, noon. */
public final class TypedHour {
    private static final Pattern TYPED =
            Pattern.compile("(\\d{1,2})\\s*(?:[:.,h]?\\s*(\\d{2}))?\\s*(h|am|a\\.m\\.|pm|p\\.m\\.)?");

    private static final int NOON = 12;

    private TypedHour() {}

    /** The hour that is meant; empty if none can be. */
    public static Optional<LocalTime> read(String typed) {
        String text = typed.strip().toLowerCase(Locale.ROOT);
        if (text.equals("noon")) {
            return Optional.of(LocalTime.NOON);
        }
        if (text.equals("midnight")) {
            return Optional.of(LocalTime.MIDNIGHT);
        }
        Matcher m = TYPED.matcher(text);
        if (!m.matches()) {
            return Optional.empty();
        }
        int hour = Integer.parseInt(m.group(1));
        int minute = m.group(2) == null ? 0 : Integer.parseInt(m.group(2));
        String half =
                m.group(3) == null || m.group(3).equals("h") ? "" : m.group(3).substring(0, 1);
        if (!half.isEmpty()) {
            if (hour < 1 || hour > NOON) {
                return Optional.empty();
            }
            hour = hour % NOON + (half.equals("p") ? NOON : 0);
        }
        return hour < 24 && minute < 60 ? Optional.of(LocalTime.of(hour, minute)) : Optional.empty();
    }

    /**
     * The hour that is meant.
     *
     * @throws DateTimeParseException if none can be
     */
    public static LocalTime meant(String typed) {
        return read(typed).orElseThrow(() -> new DateTimeParseException("No such hour", typed, 0));
    }
}
