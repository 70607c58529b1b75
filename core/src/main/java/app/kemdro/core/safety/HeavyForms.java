package app.kemdro.core.safety;

import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.kit.CapLoad;
import app.kemdro.core.kit.Waste;
import app.kemdro.core.look.Brief;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Costs;
import java.util.ArrayList;
import java.util.List;

/** What is carried, for how long, and on what. */
final class HeavyForms implements SafetyRule {
    private final Trade trade;
    private final DataNode rules;
    private final Waste waste;

    HeavyForms(Trade trade, DataNode rules) {
        this.trade = trade;
        this.rules = rules;
        this.waste = Waste.standard(trade.body());
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
        List<Finding> all = new ArrayList<>();
        if (much) {
            all.add(Finding.warn(
                    "heavy",
                    "About %.0f g are carried for %d hours.".formatted(grams, lasts),
                    "Plan water, cooling and pauses; support the weight by the cap."));
        }
        for (CapLoad load : CapLoad.of(of.plan(), of.look(), trade, waste)) {
            if (load.isOver()) {
                all.add(Finding.warn(
                        "cap-load",
                        "About %.0f g hang on the %s, which carries about %.0f g."
                                .formatted(load.grams(), load.skin().name(), load.carries()),
                        load.advice()));
            }
        }
        return all;
    }
}
