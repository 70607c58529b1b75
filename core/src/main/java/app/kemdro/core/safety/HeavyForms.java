package app.kemdro.core.safety;

import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.look.Brief;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Costs;
import java.util.List;

/** What is carried, and for how long. */
final class HeavyForms implements SafetyRule {
    private final Trade trade;
    private final DataNode rules;

    HeavyForms(Trade trade, DataNode rules) {
        this.trade = trade;
        this.rules = rules;
    }

    @Override
    public List<Finding> findings(SafetyCase of) {
        Brief brief = of.plan().brief();
        double grams = of.look().entries().stream()
                .filter(e -> trade.has(e.techniqueId()))
                .mapToDouble(e -> Costs.carried(e, brief.performer(), trade))
                .sum();
        DataNode heavy = rules.get("heavy");
        int lasts = brief.purpose().lastsHours();
        boolean much = grams >= heavy.get("grams").number(1, 10_000)
                && lasts > heavy.get("hours").number(1, 24);
        return much
                ? List.of(Finding.warn(
                        "heavy",
                        "About %.0f g are carried for %d hours.".formatted(grams, lasts),
                        "Plan water, cooling and pauses; support the weight by the cap."))
                : List.of();
    }
}
