package app.kemdro.core.schedule;

import java.util.Arrays;

/**
 * What a search may choose: from it, a serial placement makes one schedule.
 *
 * @param priority who goes first among tasks that could begin, higher first
 * @param mode which way to settle, by task
 * @param gap seconds of work before each break
 * @param spare seconds by which a lead must be quicker to be given what anyone can do, by task; below 0 the lead is preferred
 * @param from second before which a task is not begun though it could be, by task
 */
record Encoding(double[] priority, int[] mode, int[] gap, int[] spare, int[] from) {
    Encoding copy() {
        return new Encoding(
                Arrays.copyOf(priority, priority.length),
                Arrays.copyOf(mode, mode.length),
                Arrays.copyOf(gap, gap.length),
                Arrays.copyOf(spare, spare.length),
                Arrays.copyOf(from, from.length));
    }

    /**
     * Whether the same is placed by both.
     *
     * @param alone whether there is nobody to choose between, so that it does not matter who is spared
     */
    boolean isLike(Encoding other, boolean alone) {
        return Arrays.equals(priority, other.priority)
                && Arrays.equals(mode, other.mode)
                && Arrays.equals(gap, other.gap)
                && Arrays.equals(from, other.from)
                && (alone || Arrays.equals(spare, other.spare));
    }
}
