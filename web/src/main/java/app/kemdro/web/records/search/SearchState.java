package app.kemdro.web.records.search;

/**
 * How a search for a better order stands, in words and for a bar.
 *
 * @param looking whether it goes on, or waits for others
 * @param asked whether somebody asked for it
 * @param says what has come of it so far
 * @param was how long the order takes that it began from
 * @param ready how long the best found so far takes
 * @param soonest no order takes less
 * @param open how much shorter one could still be
 * @param saved how much of what lies between where it began and what is proven is saved, of a hundred
 * @param spent how much of its time is over, 0 to 1
 */
public record SearchState(
        boolean looking,
        boolean asked,
        String says,
        String was,
        String ready,
        String soonest,
        String open,
        int saved,
        double spent) {
    static final SearchState NONE = new SearchState(false, false, "", "", "", "", "", 0, 0);
}
