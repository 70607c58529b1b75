package app.kemdro.core.schedule;

import java.util.List;

/**
 * Rest for everybody at once. With a break at least every two hours, every third of them is the meal that falls due within
 * six.
 *
 * @param every longest stretch of work without one, seconds
 * @param length how long one lasts, seconds
 * @param meal how long every third one lasts, seconds
 */
public record BreakRule(int every, int length, int meal) {
    /** 10 minutes in any 120, half an hour for a meal. */
    public static final BreakRule USUAL = new BreakRule(120 * 60, 10 * 60, 30 * 60);

    /** Which of the breaks is a meal. */
    private static final int MEAL = 3;

    public BreakRule {
        if (every < 60 || length < 1 || meal < length) {
            throw new IllegalArgumentException(
                    "Breaks come at least a minute apart, and a meal is no shorter than one");
        }
    }

    /**
     * The same as far as it can be kept: work that nobody puts down is worked through, however long it takes the slowest hands, and
     * breaks fall before and after it.
     */
    public BreakRule around(List<Task> tasks, List<Lag> lags, List<Worker> workers) {
        int longest = Unbroken.seconds(tasks, lags, workers, length).values().stream()
                .mapToInt(Integer::intValue)
                .max()
                .orElse(0);
        return longest <= every ? this : new BreakRule(longest, length, meal);
    }

    /** How long the break after so many others lasts, seconds. */
    public int length(int after) {
        return isMeal(after) ? meal : length;
    }

    /** Whether the break after so many others is a meal. */
    public boolean isMeal(int after) {
        return after % MEAL == MEAL - 1;
    }

    /** Seconds of all breaks that so many seconds of work cannot do without. */
    int within(int work) {
        int total = 0;
        for (int k = 0; k < Math.max(0, (work - 1) / every); k++) {
            total += length(k);
        }
        return total;
    }
}
