package app.kemdro.core.plan;

import app.kemdro.core.method.SenseOf;
import app.kemdro.core.method.Trade;
import app.kemdro.core.schedule.SenseWeights;
import app.kemdro.core.schedule.SenseWeights.Term;
import app.kemdro.core.schedule.SenseWeights.Weight;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;

/** What the trade's data says makes sense, in the planner's seconds. */
public final class SenseOfTrade {
    private SenseOfTrade() {}

    /**
     * The weights of this trade.
     *
     * @throws IllegalArgumentException where the data names what nobody counts
     */
    public static SenseWeights weights(Trade trade) {
        Map<Term, Weight> weights = new EnumMap<>(Term.class);
        trade.sense().forEach(s -> {
            Term term = term(s);
            weights.put(
                    term, new Weight((int) Math.round(s.free() * 60), term.isCounted() ? s.weight() * 60 : s.weight()));
        });
        return new SenseWeights(weights);
    }

    /** What is counted under this name. */
    public static Term term(SenseOf sense) {
        return Term.valueOf(sense.term().toUpperCase(Locale.ROOT));
    }
}
