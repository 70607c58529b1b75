package app.kemdro.web.records.habit;

import app.kemdro.core.habit.Habit;
import app.kemdro.core.habit.Habit.Dates;
import app.kemdro.core.habit.Habit.Hours;
import app.kemdro.core.habit.Habit.Length;
import app.kemdro.core.habit.Habit.Paper;
import app.kemdro.core.habit.Habit.Warmth;
import app.kemdro.core.habit.Habit.Week;
import app.kemdro.core.habit.Habit.Weight;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import org.jspecify.annotations.Nullable;

/** What somebody chose; what is not chosen is as somebody else has it. */
@Embeddable
public record Choice(
        @Enumerated(EnumType.STRING) @Nullable Length length,
        @Enumerated(EnumType.STRING) @Nullable Weight weight,
        @Enumerated(EnumType.STRING) @Nullable Warmth warmth,
        @Enumerated(EnumType.STRING) @Nullable Hours hours,
        @Enumerated(EnumType.STRING) @Nullable Dates dates,
        @Enumerated(EnumType.STRING) @Nullable Week week,
        @Enumerated(EnumType.STRING) @Nullable Paper paper) {
    public static final Choice NONE = new Choice(null, null, null, null, null, null, null);

    Habit over(Habit habit) {
        return new Habit(
                first(length, habit.length()),
                first(weight, habit.weight()),
                first(warmth, habit.warmth()),
                first(hours, habit.hours()),
                first(dates, habit.dates()),
                first(week, habit.week()),
                first(paper, habit.paper()));
    }

    private static <T> T first(@Nullable T chosen, T other) {
        return chosen == null ? other : chosen;
    }
}
