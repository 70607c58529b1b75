package app.kemdro.core.kit;

import app.kemdro.core.look.Brief.Performer;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.material.Material;
import app.kemdro.core.method.StepTemplate;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Costs;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * How heavily a piece hangs on its glue.
 *
 * @param entry entry of the look
 * @param grams weight of the piece, g
 * @param load g on each square centimetre that is glued
 * @param glue what holds it
 * @param limit g/cm² that this glue carries all day
 * @param better families that would carry it, the least strong first; empty where it is well or where none would
 */
public record GlueLine(LookEntry entry, double grams, double load, Material glue, double limit, List<Material> better) {
    /** From this share of the limit on a support is advised. */
    static final double NEAR = 0.85;

    /** Whether it hangs on more than the glue carries. */
    public boolean isOver() {
        return load > limit;
    }

    /** Whether little is left. */
    public boolean isNear() {
        return !isOver() && load >= NEAR * limit;
    }

    /** The glue lines of a look, the most heavily loaded first; pieces whose weight is not worth counting are left out. */
    public static List<GlueLine> of(Look look, Performer performer, Trade trade, Waste waste) {
        List<GlueLine> lines = new ArrayList<>();
        for (LookEntry entry : look.entries()) {
            if (!trade.has(entry.techniqueId())) {
                continue;
            }
            Technique technique = trade.technique(entry.techniqueId());
            double load = technique.make().gramsPerCm2() * entry.strength().coat();
            Optional<Material> glue = glue(technique, waste).map(trade.materials()::family);
            if (load > 0 && glue.isPresent()) {
                double limit = waste.holds().get(glue.get().id());
                lines.add(new GlueLine(
                        entry,
                        Costs.carried(entry, performer, trade)
                                * entry.strength().coat(),
                        load,
                        glue.get(),
                        limit,
                        load > limit ? better(load, trade, waste) : List.of()));
            }
        }
        lines.sort((a, b) -> Double.compare(b.load() / b.limit(), a.load() / a.limit()));
        return List.copyOf(lines);
    }

    /** The family that holds what a technique puts on; none where it is only worn. */
    static Optional<String> glue(Technique technique, Waste waste) {
        return technique.steps().stream()
                .map(StepTemplate::material)
                .filter(m -> m != null && waste.holds().containsKey(m))
                .findFirst();
    }

    private static List<Material> better(double load, Trade trade, Waste waste) {
        return waste.holds().entrySet().stream()
                .filter(e -> e.getValue() >= load)
                .sorted(Map.Entry.comparingByValue())
                .map(e -> trade.materials().family(e.getKey()))
                .toList();
    }
}
