package app.kemdro.web.parts.habit;

import app.kemdro.core.habit.Habit;
import app.kemdro.core.habit.Money;
import app.kemdro.core.habit.Said;

/** How somebody reads: by their habit, in the money of the house. */
public record Reader(Habit habit, Money money) {
    public static final Reader STANDARD = new Reader(Habit.STANDARD, Money.EURO);

    private static final ThreadLocal<Reader> NOW = ThreadLocal.withInitial(() -> STANDARD);

    /** Whoever this thread answers; where nobody asked, the standard. */
    public static Reader now() {
        return NOW.get();
    }

    static void set(Reader reader) {
        NOW.set(reader);
    }

    static void clear() {
        NOW.remove();
    }

    /** A text as it is read. */
    public String said(String text) {
        return Said.by(habit, money.said(text));
    }
}
