package app.kemdro.core.schedule;

import java.util.Arrays;

/**
 * The free choices of a placement.
 *
 * @param priority who goes first among tasks that could begin, higher first
 * @param mode which way to settle, by task
 * @param gap seconds of work before each break
 * @param spare seconds by which a lead must be quicker to be given what anyone can do, by task; below 0 the lead is preferred
 */
record Genes(double[] priority, int[] mode, int[] gap, int[] spare) {
    Genes copy() {
        return new Genes(
                Arrays.copyOf(priority, priority.length),
                Arrays.copyOf(mode, mode.length),
                Arrays.copyOf(gap, gap.length),
                Arrays.copyOf(spare, spare.length));
    }
}
