package app.kemdro.core.plan;

import app.kemdro.core.look.Brief.Performer;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** What a look uses up and weighs, from reference prices and thicknesses (judgements, until the house's own products say more). */
public final class Costs {
    /** What stays in cup, sponge and brush, as a share of what reaches the skin (judgement). */
    private static final double LOST = 0.3;

    private Costs() {}

    /** Money for what is used up on one day by these steps of a plan, €. */
    public static double euros(Collection<PlannedStep> steps, Performer performer, Trade trade) {
        Map<String, Technique> things = new TreeMap<>();
        double sum = 0;
        for (PlannedStep step : steps) {
            things.put(step.entryId(), step.technique());
            sum += step.material()
                    .map(m -> m.pricePer100g() / 100 * Areas.laid(m, step, performer, trade.body()) * (1 + LOST))
                    .orElse(0.0);
        }
        return sum
                + things.values().stream()
                        .mapToDouble(t -> t.profile().eachTime())
                        .sum();
    }

    /** Weight that the performer carries in the forms of one entry, g. */
    public static double carried(LookEntry entry, Performer performer, Trade trade) {
        Technique technique = trade.technique(entry.techniqueId());
        List<String> zones = technique.covers().isEmpty() ? entry.zones() : List.copyOf(technique.covers());
        return technique.make().gramsPerCm2() * Areas.of(zones, performer, trade.body()) * entry.coverage() / 100;
    }
}
