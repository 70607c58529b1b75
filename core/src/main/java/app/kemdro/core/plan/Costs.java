package app.kemdro.core.plan;

import app.kemdro.core.look.Brief.Performer;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.material.Material;
import app.kemdro.core.method.StepTemplate;
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
            sum += euros(step, performer, trade);
        }
        return sum
                + things.values().stream()
                        .mapToDouble(t -> t.profile().eachTime())
                        .sum();
    }

    /** Money for what one step lays, €; what is thrown away with its technique is not in it. */
    public static double euros(PlannedStep step, Performer performer, Trade trade) {
        return step.material()
                .map(m -> price(m) * Areas.laid(m, step, performer, trade.body()))
                .orElse(0.0);
    }

    /**
     * Money for what an entry would lay on some of its zones if it were done by this technique, €, without what is thrown away with it.
     * Coats are counted as if each were as thick, and strips as if they were areas: it is for comparing schools without planning them.
     */
    public static double about(
            Technique technique, LookEntry entry, Collection<String> zones, Performer performer, Trade trade) {
        double sum = 0;
        for (StepTemplate step : technique.steps()) {
            if (step.material() != null) {
                List<String> on = zones.stream()
                        .filter(z -> step.zones().isEmpty() || step.zones().contains(z))
                        .toList();
                boolean asked = entry.coats() > 0 && entry.techniqueId().equals(technique.id());
                int coats = asked ? entry.coats() : technique.coats().usual();
                int times = switch (step.coats()) {
                    case ONCE -> 1;
                    case EVERY -> coats;
                    case ALL_BUT_LAST -> coats - 1;
                };
                Material film = trade.materials().family(step.material());
                sum += price(film)
                        * film.gramsPerCm2()
                        * step.coatWeight()
                        * times
                        * Areas.of(on, performer, trade.body());
            }
        }
        return sum * entry.coverage() / 100 * entry.strength().coat();
    }

    private static double price(Material material) {
        return material.pricePer100g() / 100 * (1 + LOST);
    }

    /** Weight that the performer carries in the forms of one entry, g. */
    public static double carried(LookEntry entry, Performer performer, Trade trade) {
        Technique technique = trade.technique(entry.techniqueId());
        List<String> zones = technique.covers().isEmpty() ? entry.zones() : List.copyOf(technique.covers());
        return technique.make().gramsPerCm2() * Areas.of(zones, performer, trade.body()) * entry.coverage() / 100;
    }
}
