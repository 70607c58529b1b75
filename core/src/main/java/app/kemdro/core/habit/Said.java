package app.kemdro.core.habit;

import app.kemdro.core.habit.Habit.Dates;
import app.kemdro.core.habit.Habit.Hours;
import java.util.function.UnaryOperator;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Sentences as somebody is used to read them. Everything that Kemdro says is said in one notation ("21 °C", "45 to 70 cm", "16:30", "3
 * December"), so its values can be told in a text and said in another one, wherever the text comes from: rules, trade data, notes.
 */
public final class Said {
    private static final String NUMBER = "\\d+(?:\\.\\d+)?";

    /** "12 g", "45 to 70 cm", "−4 °C"; what is per something ("g/cm²") has no common other form and stays. */
    private static final Pattern VALUE = Pattern.compile("(?<![\\w.:/−-])(−?" + NUMBER + ")(?:( to | and | or |–)(−?"
            + NUMBER + "))?([ \u00a0]?)(°C|cm²|cm|mm|kg|g|ml)(?![\\w/²³-])(?: (warmer|cooler|tall)\\b)?");

    /** 16:30, but neither minutes and seconds (4:30) nor a part of 2026-11-26T16:30. */
    private static final Pattern HOUR = Pattern.compile("(?<![\\d:.T])([01]\\d|2[0-3]):([0-5]\\d)(?![\\d:])");

    private static final Pattern DATE = Pattern.compile(
            "(?<![\\d.])(\\d{1,2}) ((?:January|February|March|April|May|June|July|August|September|October|November|December)"
                    + "|(?:Jan|Feb|Mar|Apr|Jun|Jul|Aug|Sep|Oct|Nov|Dec))\\b(?: (\\d{4})\\b)?");

    private static final int NOON = 12;
    private static final int INCHES = 12;

    private Said() {}

    /** The text as this habit says it. */
    public static String by(Habit habit, String text) {
        if (habit.equals(Habit.STANDARD) || text.isBlank()) {
            return text;
        }
        String said = VALUE.matcher(text).replaceAll(m -> Matcher.quoteReplacement(value(m, habit)));
        if (habit.hours() == Hours.H12) {
            said = HOUR.matcher(said).replaceAll(m -> twelve(Integer.parseInt(m.group(1)), m.group(2)));
        }
        if (habit.dates() == Dates.MONTH_FIRST) {
            said = DATE.matcher(said)
                    .replaceAll(m -> m.group(2) + " " + m.group(1) + (m.group(3) == null ? "" : ", " + m.group(3)));
        }
        return said;
    }

    private static String value(MatchResult m, Habit habit) {
        Unit unit = Unit.of(m.group(5)).orElseThrow();
        if (!unit.isOther(habit)) {
            return m.group();
        }
        String by = m.group(6);
        if ("tall".equals(by) && unit == Unit.CM && m.group(3) == null) {
            long inches = Math.round(unit.others(Double.parseDouble(m.group(1).replace('−', '-'))));
            return inches / INCHES + " ft " + inches % INCHES + " in tall";
        }
        // what is warmer or cooler is a difference, not a temperature
        UnaryOperator<String> say = by != null && unit == Unit.CELSIUS ? unit::saidDifference : unit::said;
        String second = m.group(3) == null ? "" : m.group(2) + number(m.group(3), say);
        return number(m.group(1), say) + second + m.group(4) + unit.in(habit) + (by == null ? "" : " " + by);
    }

    private static String number(String number, UnaryOperator<String> say) {
        String said = say.apply(number.replace('−', '-'));
        return said.startsWith("-") ? "−" + said.substring(1) : said;
    }

    /** "4:30 pm" of an hour from 0 to 23. */
    static String twelve(int hour, String minutes) {
        return (hour % NOON == 0 ? NOON : hour % NOON) + ":" + minutes + (hour < NOON ? " am" : " pm");
    }
}
