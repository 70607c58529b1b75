package app.kemdro.core.schedule;

import java.util.Collection;
import java.util.EnumMap;
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

    /** The same with these terms weighing so many times as much. */
    public SenseWeights stressing(Collection<Term> terms, double times) {
        Map<Term, Weight> stressed = new EnumMap<>(Term.class);
        of.forEach((term, w) ->
                stressed.put(term, terms.contains(term) ? new Weight(w.free(), w.weight() * times) : w));
        return new SenseWeights(stressed);
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
        /** Times that something is taken up again for the same layer. */
        AGAIN,
        /** Times that something else is taken up. */
        CHANGES,
        /** Times that dust, mist or a dryer's air comes beside what has not settled and is no part of the same work. */
        OPEN,
        /** Seconds of one bout in which a part of the body is kept one way, beyond what is nothing to speak of. */
        HELD,
        /** What is a strain, from when it is on until all is ready. */
        WORN,
        /** Times that hands go back up the body. */
        FLOW;

        /** Whether times are counted, and not seconds. */
        public boolean isCounted() {
            return this == HANDOVERS || this == AGAIN || this == CHANGES || this == OPEN || this == FLOW;
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
