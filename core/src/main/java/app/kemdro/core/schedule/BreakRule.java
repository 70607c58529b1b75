package app.kemdro.core.schedule;

/**
 * Rest for everybody at once.
 *
 * @param every longest stretch of work without one, seconds
 * @param length how long one lasts, seconds
 */
public record BreakRule(int every, int length) {
    /** 10 minutes in any 120 (a house default; local codes come first). */
    public static final BreakRule USUAL = new BreakRule(120 * 60, 10 * 60);
}
