package app.kemdro.web.rooms.order;

import app.kemdro.core.method.SenseOf;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.SenseOfTrade;
import app.kemdro.core.schedule.Sense;
import app.kemdro.core.schedule.Sense.Found;
import app.kemdro.core.schedule.SenseWeights.Term;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/** What of an order goes against an artist's sense, in words. */
final class SenseWords {
    private SenseWords() {}

    /**
     * One thing that goes against sense.
     *
     * @param says how much of it
     * @param at where most of it is, or empty
     * @param because why one would have it otherwise
     */
    record Against(String says, String at, String because) {}

    /** All of it, what weighs most first; what is less than a minute is not said. */
    static List<Against> of(Plan plan, Trade trade) {
        Map<Term, SenseOf> said = said(trade);
        return new Sense(plan.network(), SenseOfTrade.weights(trade))
                .of(plan.schedule()).stream()
                        .filter(f -> amount(f) > 0)
                        .sorted(Comparator.comparingDouble(f -> -f.cost()))
                        .map(f -> against(f, said.get(f.term()), plan))
                        .toList();
    }

    private static Against against(Found found, SenseOf said, Plan plan) {
        boolean nowhere = found.worst().isEmpty() || found.term().isCounted();
        String where = found.term() == Term.WORN ? "from “%s” on" : "most of it before “%s”";
        return new Against(
                amount(found) + " " + (amount(found) == 1 ? said.says().replaceFirst("^times ", "time ") : said.says()),
                nowhere ? "" : where.formatted(plan.step(found.worst()).titleWithPlace()),
                said.because());
    }

    /** How each term is said. */
    static Map<Term, SenseOf> said(Trade trade) {
        return trade.sense().stream().collect(Collectors.toMap(SenseOfTrade::term, Function.identity()));
    }

    /** Minutes of it, or times. */
    static int amount(Found found) {
        return found.term().isCounted() ? found.amount() : found.amount() / 60;
    }
}
