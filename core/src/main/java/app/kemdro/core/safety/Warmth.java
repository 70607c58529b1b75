package app.kemdro.core.safety;

import app.kemdro.core.body.Capitals;
import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.material.Melt;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** What is laid warm, and what a dryer blows at. */
final class Warmth implements SafetyRule {
    private final Trade trade;
    private final DataNode rules;

    Warmth(Trade trade, DataNode rules) {
        this.trade = trade;
        this.rules = rules;
    }

    @Override
    public List<Finding> findings(SafetyCase of) {
        List<Finding> all = new ArrayList<>();
        Plan plan = of.plan();
        Map<String, Melt> warm = new TreeMap<>();
        for (PlannedStep step : plan.steps()) {
            step.material()
                    .filter(m -> step.zones().stream()
                            .anyMatch(z -> trade.body().zone(z).isSkin()))
                    .ifPresent(m -> {
                        if (m.setting() instanceof Melt melt) {
                            warm.put(m.name(), melt);
                        }
                    });
        }
        warm.forEach((name, melt) -> all.add(Finding.warn(
                "heat " + name,
                "%s melts at %.0f °C; skin takes %.0f °C at most."
                        .formatted(Capitals.capital(name), melt.from(), melt.safe()),
                "Test a drop on the wrist first, every time: no hotter than a warm bath.")));
        boolean dryer = plan.schedule().placed().stream()
                .anyMatch(p -> plan.network().task(p.task()).way(p.mode()).tool() > 0);
        if (dryer) {
            all.add(Finding.said("said dryer", rules.get("dryer").text()));
        }
        return all;
    }
}
