package app.kemdro.core.habit;

/**
 * What somebody is used to.
 *
 * @param dates which comes first in a date
 * @param week with which day a week begins
 */
public record Habit(Length length, Weight weight, Warmth warmth, Hours hours, Dates dates, Week week, Paper paper) {
    /** As everything is reckoned, stored and written into files for other programs. */
    public static final Habit STANDARD =
            new Habit(Length.METRIC, Weight.GRAM, Warmth.CELSIUS, Hours.H24, Dates.DAY_FIRST, Week.MONDAY, Paper.A4);

    /** Lengths and surfaces. */
    public enum Length {
        METRIC,
        INCH
    }

    /** Weights, and volumes with them. */
    public enum Weight {
        GRAM,
        OUNCE
    }

    /** Temperatures. */
    public enum Warmth {
        CELSIUS,
        FAHRENHEIT
    }

    /** Hours of the day: 16:30, or 4:30 pm. */
    public enum Hours {
        H24,
        H12
    }

    /** 3 December, or December 3; so of 3/12 and 12/3. */
    public enum Dates {
        DAY_FIRST,
        MONTH_FIRST
    }

    /** The first day of a week. */
    public enum Week {
        MONDAY,
        SUNDAY,
        SATURDAY
    }

    /** Size of sheets. */
    public enum Paper {
        A4,
        LETTER
    }
}
