package app.kemdro.core.habit;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Numbers in fields: shown as somebody is used to, and understood whichever unit they name. */
public final class Entered {
    private static final Pattern TYPED = Pattern.compile("([-−]?\\d*[.,]?\\d+)\\s*([^\\d\\s].*)?");
    private static final Pattern FEET =
            Pattern.compile("(\\d)\\s*(?:ft|feet|foot|'|′)\\.?\\s*(?:(\\d{1,2}(?:[.,]\\d+)?)\\s*(?:in|inches|\"|″)?)?");
    private static final int INCHES = 12;

    private Entered() {}

    /** A number that is kept in this unit, as a field shows it; what is no number stays as it is. */
    public static String shown(String kept, Unit unit, Habit habit) {
        return unit.isOther(habit) ? number(kept).map(unit::shown).orElse(kept) : kept;
    }

    /**
     * The number in this unit that was typed; what cannot be meant stays as it was typed.
     *
     * @param other whether a number without a unit means the other one
     */
    public static String kept(String typed, Unit unit, boolean other) {
        String text = typed.strip();
        Matcher feet = FEET.matcher(text);
        if (unit == Unit.CM && feet.matches()) {
            double inches =
                    feet.group(2) == null ? 0 : Double.parseDouble(feet.group(2).replace(',', '.'));
            return unit.keptText(INCHES * Double.parseDouble(feet.group(1)) + inches);
        }
        Matcher m = TYPED.matcher(text);
        if (!m.matches()) {
            return typed;
        }
        String word = m.group(2) == null ? unit.symbol(other) : m.group(2).strip();
        Optional<Double> number = number(m.group(1));
        if (number.isEmpty()) {
            return typed;
        }
        if (word.equals(unit.symbol()) || unit == Unit.CELSIUS && word.equals("C")) {
            return m.group(1);
        }
        return unit.isOther(word) ? unit.keptText(number.get()) : typed;
    }

    private static Optional<Double> number(String text) {
        try {
            return Optional.of(Double.parseDouble(text.strip().replace(',', '.').replace('−', '-')));
        } catch (NumberFormatException e) {
            return Optional.empty();
        }
    }
}
