package app.kemdro.web.parts.typed;

import app.kemdro.core.habit.Habit.Dates;
import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.Month;
import java.time.Year;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.Comparator;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Days as people type them: 2026-12-03, 3.12., 3/12/26, 3 Dec, December 3, Thu 3 Dec 2026, Thursday, today, tomorrow. Without a year the
 * nearest such day is meant; a day of the week is the next one; of two numbers the first is the day, unless only the other can be.
 */
public final class TypedDay {
    private static final DateTimeFormatter SHOWN = DateTimeFormatter.ofPattern("EEE d MMM yyyy", Locale.ENGLISH);
    private static final Pattern ISO = Pattern.compile("(\\d{4})-(\\d{1,2})-(\\d{1,2})");
    private static final Pattern NUMBERS =
            Pattern.compile("(\\d{1,2})\\s*[./ -]\\s*(\\d{1,2})\\.?(?:\\s*[./ -]?\\s*(\\d{4}|\\d{2}))?");
    private static final Pattern DAY_FIRST =
            Pattern.compile("(\\d{1,2})(?:st|nd|rd|th|\\.)?\\s*([a-z]{3,9})\\.?,?(?:\\s*(\\d{4}|\\d{2}))?");
    private static final Pattern MONTH_FIRST =
            Pattern.compile("([a-z]{3,9})\\.?\\s*(\\d{1,2})(?:st|nd|rd|th)?,?(?:\\s+(\\d{4}|\\d{2}))?");
    private static final int CENTURY = 2000;
    private static final int SHORT = 3;

    private TypedDay() {}

    /** As fields show a day: "Thu 3 Dec 2026". */
    public static String shown(LocalDate day) {
        return SHOWN.format(day);
    }

    /** The same of a day that is written as 2026-12-03; whatever else was typed stays as it is. */
    public static String shown(String typed) {
        try {
            return shown(LocalDate.parse(typed));
        } catch (DateTimeParseException e) {
            return typed;
        }
    }

    /**
     * The day that is meant.
     *
     * @throws DateTimeParseException if none can be
     */
    public static LocalDate meant(String typed, LocalDate today) {
        return read(typed, today).orElseThrow(() -> new DateTimeParseException("No such day", typed, 0));
    }

    /** The day that is meant; empty if none can be. */
    public static Optional<LocalDate> read(String typed, LocalDate today) {
        return read(typed, today, Dates.DAY_FIRST);
    }

    /**
     * The same for somebody to whom of two numbers another may come first.
     *
     * @param dates which of two numbers is the day, where both can be
     */
    public static Optional<LocalDate> read(String typed, LocalDate today, Dates dates) {
        String text = typed.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
        Optional<LocalDate> said = said(text, today);
        if (said.isPresent()) {
            return said;
        }
        // a day of the week before a date says nothing more
        String date = text.replaceFirst("^(mon|tue|wed|thu|fri|sat|sun)[a-z]*\\.?,? ", "");
        try {
            return date(date, today, dates);
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }

    /** A day and an hour behind it, such as "yesterday 18:00", or 2026-11-25T18:00; empty if none can be meant. */
    public static Optional<LocalDateTime> moment(String typed, LocalDate today) {
        return moment(typed, today, Dates.DAY_FIRST);
    }

    /** The same for somebody to whom of two numbers another may come first. */
    public static Optional<LocalDateTime> moment(String typed, LocalDate today, Dates dates) {
        String text = typed.strip();
        try {
            return Optional.of(LocalDateTime.parse(text));
        } catch (DateTimeParseException e) {
            // as people type it, then
        }
        for (int at = text.lastIndexOf(' '); at > 0; at = text.lastIndexOf(' ', at - 1)) {
            Optional<LocalDate> day = read(text.substring(0, at).replaceFirst(",$", ""), today, dates);
            Optional<LocalTime> hour = TypedHour.read(text.substring(at + 1));
            if (day.isPresent() && hour.isPresent()) {
                return Optional.of(day.get().atTime(hour.get()));
            }
        }
        return Optional.empty();
    }

    private static Optional<LocalDate> said(String text, LocalDate today) {
        return switch (text) {
            case "today" -> Optional.of(today);
            case "tomorrow" -> Optional.of(today.plusDays(1));
            case "yesterday" -> Optional.of(today.minusDays(1));
            default ->
                Stream.of(DayOfWeek.values())
                        .filter(d -> begins(d.name(), text))
                        .findFirst()
                        .map(d -> today.with(TemporalAdjusters.next(d)));
        };
    }

    private static Optional<LocalDate> date(String text, LocalDate today, Dates dates) {
        Matcher iso = ISO.matcher(text);
        if (iso.matches()) {
            return Optional.of(LocalDate.of(number(iso.group(1)), number(iso.group(2)), number(iso.group(3))));
        }
        Matcher numbers = NUMBERS.matcher(text);
        if (numbers.matches()) {
            int one = number(numbers.group(1));
            int two = number(numbers.group(2));
            boolean dayFirst = dates == Dates.DAY_FIRST ? two <= 12 : one > 12;
            return Optional.of(of(dayFirst ? one : two, dayFirst ? two : one, numbers.group(3), today));
        }
        Matcher dayFirst = DAY_FIRST.matcher(text);
        if (dayFirst.matches()) {
            return month(dayFirst.group(2)).map(m -> of(number(dayFirst.group(1)), m, dayFirst.group(3), today));
        }
        Matcher monthFirst = MONTH_FIRST.matcher(text);
        return monthFirst.matches()
                ? month(monthFirst.group(1)).map(m -> of(number(monthFirst.group(2)), m, monthFirst.group(3), today))
                : Optional.empty();
    }

    private static LocalDate of(int day, int month, @Nullable String year, LocalDate today) {
        if (year != null) {
            int given = number(year);
            return LocalDate.of(given < 100 ? CENTURY + given : given, month, day);
        }
        return Stream.of(-1, 0, 1)
                .map(y -> today.getYear() + y)
                .filter(y -> Month.of(month).length(Year.isLeap(y)) >= day)
                .map(y -> LocalDate.of(y, month, day))
                .min(Comparator.comparingLong(d -> Math.abs(ChronoUnit.DAYS.between(today, d))))
                .orElseThrow(() -> new DateTimeException("No such day"));
    }

    private static Optional<Integer> month(String word) {
        return Stream.of(Month.values())
                .filter(m -> begins(m.name(), word))
                .findFirst()
                .map(Month::getValue);
    }

    /** Whether a word is the name, or its first letters, three at least. */
    private static boolean begins(String name, String word) {
        return word.length() >= SHORT && name.toLowerCase(Locale.ROOT).startsWith(word);
    }

    private static int number(String digits) {
        return Integer.parseInt(digits);
    }
}
