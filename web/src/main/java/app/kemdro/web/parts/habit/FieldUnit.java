package app.kemdro.web.parts.habit;

import app.kemdro.core.habit.Entered;
import app.kemdro.core.habit.Habit;
import app.kemdro.core.habit.Habit.Dates;
import app.kemdro.core.habit.Said;
import app.kemdro.core.habit.Unit;
import app.kemdro.web.parts.typed.TypedDay;
import app.kemdro.web.parts.typed.TypedHour;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.thymeleaf.model.IProcessableElementTag;

/**
 * What a field holds. A field, always an {@code input}, says it with {@code data-unit} or {@code data-day}; beside it goes a hidden one that says in which form it was shown, so that it
 * is understood even if the habit has changed since.
 */
final class FieldUnit {
    /** The end of the name of the hidden field. */
    static final String END = ".unit";

    private static final String ATTRIBUTE = "data-unit";

    /** Of a field for a day, or for a day and an hour. */
    private static final String DAY_ATTRIBUTE = "data-day";

    private static final String HOUR = "hour";
    private static final String DAY = "day";
    private static final String MOMENT = "moment";
    private static final String OTHER = "!";
    private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("HH:mm");

    private FieldUnit() {}

    /** What a field holds; null where it holds nothing of the kind. */
    static @Nullable String of(IProcessableElementTag field) {
        if (!"input".equals(field.getElementCompleteName())) {
            return null;
        }
        if (!field.hasAttribute(DAY_ATTRIBUTE)) {
            return field.getAttributeValue(ATTRIBUTE);
        }
        return MOMENT.equals(field.getAttributeValue(DAY_ATTRIBUTE)) ? MOMENT : DAY;
    }

    /** A value as a field shows it. */
    static String shown(String value, String unit, Habit habit) {
        return Unit.of(unit).map(u -> Entered.shown(value, u, habit)).orElseGet(() -> Said.by(habit, value));
    }

    /** What the hidden field says. */
    static String form(String unit, Habit habit) {
        boolean other = Unit.of(unit).map(u -> u.isOther(habit)).orElseGet(() -> switch (unit) {
            case HOUR -> habit.hours() != Habit.STANDARD.hours();
            default -> habit.dates() != Habit.STANDARD.dates();
        });
        return other ? unit + OTHER : unit;
    }

    /** What was typed, as it is reckoned; what cannot be meant stays as it was typed. */
    static String kept(String typed, String form, LocalDate today) {
        boolean other = form.endsWith(OTHER);
        String unit = other ? form.substring(0, form.length() - 1) : form;
        Optional<Unit> measured = Unit.of(unit);
        if (measured.isPresent()) {
            return Entered.kept(typed, measured.get(), other);
        }
        if (!other) {
            return typed;
        }
        return switch (unit) {
            case HOUR -> TypedHour.read(typed).map(CLOCK::format).orElse(typed);
            case DAY ->
                TypedDay.read(typed, today, Dates.MONTH_FIRST)
                        .map(TypedDay::shown)
                        .orElse(typed);
            case MOMENT ->
                TypedDay.moment(typed, today, Dates.MONTH_FIRST)
                        .map(m -> TypedDay.shown(m.toLocalDate()) + " " + CLOCK.format(m))
                        .orElse(typed);
            default -> typed;
        };
    }
}
