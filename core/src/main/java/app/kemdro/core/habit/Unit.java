package app.kemdro.core.habit;

import app.kemdro.core.habit.Habit.Length;
import app.kemdro.core.habit.Habit.Warmth;
import app.kemdro.core.habit.Habit.Weight;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Arrays;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.IntStream;

/**
 * A unit in which Kemdro reckons, and the one that others are used to. Factors: an inch is 2.54 cm, a pound 453.59237 g, both exactly (the
 * international yard and pound agreement of 1959); a fluid ounce is the American one, 29.5735 ml; °F = 1.8 °C + 32.
 */
public enum Unit {
    CELSIUS("°C", "°F", 1.8, 32, h -> h.warmth() == Warmth.FAHRENHEIT),
    SQUARE_CM("cm²", "in²", 1 / 6.4516, 0, Unit::inches),
    CM("cm", "in", 1 / 2.54, 0, Unit::inches),
    MM("mm", "in", 1 / 25.4, 0, Unit::inches),
    KG("kg", "lb", 1 / 0.45359237, 0, Unit::ounces),
    GRAM("g", "oz", 16 / 453.59237, 0, Unit::ounces),
    ML("ml", "fl oz", 1 / 29.5735, 0, Unit::ounces);

    /** Of a number that is kept, and at most of the other unit in a field. */
    private static final int PLACES = 1;

    private static final int MOST_PLACES = 4;

    /** What is said has so many figures, one less below 1, unless there are more before the point. */
    private static final int FIGURES = 3;

    private final String symbol;
    private final String other;
    private final double factor;
    private final double zero;
    private final Predicate<Habit> otherIn;

    Unit(String symbol, String other, double factor, double zero, Predicate<Habit> otherIn) {
        this.symbol = symbol;
        this.other = other;
        this.factor = factor;
        this.zero = zero;
        this.otherIn = otherIn;
    }

    private static boolean inches(Habit habit) {
        return habit.length() == Length.INCH;
    }

    private static boolean ounces(Habit habit) {
        return habit.weight() == Weight.OUNCE;
    }

    /** The unit with this symbol. */
    public static Optional<Unit> of(String symbol) {
        return Arrays.stream(values()).filter(u -> u.symbol.equals(symbol)).findFirst();
    }

    public String symbol() {
        return symbol;
    }

    /** How somebody with this habit calls it. */
    public String in(Habit habit) {
        return symbol(isOther(habit));
    }

    String symbol(boolean ofOther) {
        return ofOther ? other : symbol;
    }

    /** Whether somebody with this habit uses the other unit. */
    public boolean isOther(Habit habit) {
        return otherIn.test(habit);
    }

    /** A number of this unit as the other one says it, no more exact than it was. */
    String said(String number) {
        return said(number, others(Double.parseDouble(number)));
    }

    /** The same of a difference between two values. */
    String saidDifference(String number) {
        return said(number, factor * Double.parseDouble(number));
    }

    /** What a value is in the other unit. */
    double others(double value) {
        return factor * value + zero;
    }

    private String said(String number, double others) {
        BigDecimal exact = BigDecimal.valueOf(others);
        int places = number.indexOf('.') < 0 ? 0 : number.length() - number.indexOf('.') - 1;
        // a step of the number is so large in the other unit
        int needed = (int) Math.max(0, Math.ceil(places - Math.log10(factor) - 0.01));
        int before = exact.precision() - exact.scale();
        int figures = exact.abs().compareTo(BigDecimal.ONE) < 0 ? FIGURES - 1 : FIGURES;
        return plain(exact, Math.min(needed, Math.max(0, figures - before)));
    }

    /** The same in a field that comes back: just so exact that it is the same number again. */
    String shown(double value) {
        BigDecimal exact = BigDecimal.valueOf(others(value));
        String kept = plain(BigDecimal.valueOf(value), PLACES);
        return IntStream.rangeClosed(0, MOST_PLACES)
                .mapToObj(places -> plain(exact, places))
                .filter(text -> keptText(Double.parseDouble(text)).equals(kept))
                .findFirst()
                .orElseGet(exact::toPlainString);
    }

    /** What a number of the other unit is in this one. */
    public double kept(double others) {
        return Double.parseDouble(keptText(others));
    }

    String keptText(double others) {
        return plain(BigDecimal.valueOf((others - zero) / factor), PLACES);
    }

    /** Whether somebody may have meant the other unit by this word. */
    boolean isOther(String word) {
        return word.equals(other) || word.equals(other.replace("°", "")) || word.equals(other + "s") || alias(word);
    }

    private boolean alias(String word) {
        return switch (this) {
            case CM, MM -> word.equals("\"") || word.equals("″") || word.equals("inch") || word.equals("inches");
            case KG -> word.equals("pounds");
            default -> false;
        };
    }

    private static String plain(BigDecimal value, int places) {
        BigDecimal round = value.setScale(places, RoundingMode.HALF_UP);
        return round.signum() == 0 ? "0" : round.stripTrailingZeros().toPlainString();
    }
}
