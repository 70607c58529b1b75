package app.kemdro.core.schedule;

import java.util.Map;

/**
 * What an artist would give to have an order otherwise, where both orders keep every rule.
 *
 * @param of by term; what is not named weighs nothing
 */
public record SenseWeights(Map<Term, Weight> of) {
    /** Nothing counts but being ready. */
    public static final SenseWeights NONE = new SenseWeights(Map.of());

    public SenseWeights {
        of = Map.copyOf(of);
    }

    /** The weight of a term. */
    public Weight weight(Term term) {
        return of.getOrDefault(term, Weight.NOTHING);
    }

    /** What goes against sense. Names are those of the trade's data, in capitals. */
    public enum Term {
        /** Idle stretches within one piece of work, beyond what it has to wait for. */
        TORN,
        /** From the end of one side to the start of the other, beyond what belongs together. */
        TWINS,
        /** Times that other hands go on with a piece of work. */
        HANDOVERS,
        /** Times that something else is taken up. */
        CHANGES,
        /** What is a strain, from when it is on until all is ready. */
        WORN,
        /** Times that hands go back up the body. */
        FLOW;

        /** Whether times are counted, and not seconds. */
        public boolean isCounted() {
            return this == HANDOVERS || this == CHANGES || this == FLOW;
        }
    }

    /**
     * What of a term is nothing to speak of, and what the rest of it is worth.
     *
     * @param free seconds of each stretch, or 0
     * @param weight seconds that a second of it is worth, or that one time of it is
     */
    public record Weight(int free, double weight) {
        private static final Weight NOTHING = new Weight(0, 0);
    }
}
