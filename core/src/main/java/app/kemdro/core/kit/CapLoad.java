package app.kemdro.core.kit;

import app.kemdro.core.layer.Stack.Layer;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.material.Material;
import app.kemdro.core.method.StepTemplate;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Areas;
import app.kemdro.core.plan.Plan;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * What hangs on a bald cap that is glued by its edge, and what the cap carries before it splits.
 *
 * @param cap entry of the look
 * @param skin what the cap is made of
 * @param grams weight of what lies on the cap's own zones, g; what of a form lies on skin beside it is not counted
 * @param carries g that it carries, by its material, its thickness and the edge that is glued; less where the hair below is not flat
 * @param gluedCm length of the edge that is glued, cm
 * @param flat whether the hair below it is flattened
 * @param hanging techniques that hang on it, by name
 */
public record CapLoad(
        LookEntry cap, Material skin, double grams, double carries, double gluedCm, boolean flat, Set<String> hanging) {
    /** Whether more hangs on it than it carries. */
    public boolean isOver() {
        return grams > carries;
    }

    /** Whether little is left. */
    public boolean isNear() {
        return !isOver() && grams >= GlueLine.NEAR * carries;
    }

    /** What there is to do about it, in words; empty where it is well. */
    public String advice() {
        if (isOver()) {
            return "It splits while it is pressed or worn: lighter forms, a tie or strap below it, "
                    + (flat ? "a thicker cap, and a second person who holds." : "hair flattened first, a thicker cap.");
        }
        return isNear() ? "Near what it carries: a clip takes up tension, and a second person holds the weight." : "";
    }

    /** Every cap of a plan on which something hangs: what is only worn rests on the head and pulls at nothing; caps that are not glued by a strip are held by what lies over them. */
    public static List<CapLoad> of(Plan plan, Look look, Trade trade, Waste waste) {
        Map<String, Double> grams = new TreeMap<>();
        Map<String, Set<String>> hanging = new TreeMap<>();
        plan.stacks().forEach((zone, stack) -> {
            Optional<String> cap = Optional.empty();
            Set<String> weighed = new HashSet<>();
            for (Layer layer : stack.layers()) {
                double perCm2 = layer.technique().make().gramsPerCm2();
                if (isCap(layer.material(), waste)) {
                    cap = Optional.of(layer.entry());
                } else if (cap.isPresent()
                        && perCm2 > 0
                        && GlueLine.glue(layer.technique(), waste).isPresent()
                        && weighed.add(layer.entry())) {
                    double area = Areas.of(List.of(zone), plan.brief().performer(), trade.body());
                    double share = look.entry(layer.entry())
                            .map(e -> e.coverage() / 100.0 * e.strength().coat())
                            .orElse(1.0);
                    grams.merge(cap.get(), perCm2 * area * share, Double::sum);
                    hanging.computeIfAbsent(cap.get(), c -> new TreeSet<>())
                            .add(layer.technique().name());
                }
            }
        });
        boolean flat = look.entries().stream()
                .anyMatch(e -> trade.has(e.techniqueId())
                        && trade.technique(e.techniqueId())
                                .gives()
                                .contains(waste.caps().flat()));
        List<CapLoad> loads = new ArrayList<>();
        grams.forEach((id, carried) -> {
            LookEntry cap = look.entry(id).orElseThrow();
            Technique technique = trade.technique(cap.techniqueId());
            double glued = glued(technique);
            if (glued > 0) {
                Material skin = skin(technique, trade, waste);
                double carries = waste.caps().perCm().get(skin.id())
                        * glued
                        * cap.strength().coat()
                        * (flat ? 1 : waste.caps().loose());
                loads.add(new CapLoad(cap, skin, carried, carries, glued, flat, hanging.get(id)));
            }
        });
        return List.copyOf(loads);
    }

    private static boolean isCap(Material material, Waste waste) {
        return waste.caps().perCm().containsKey(material.id());
    }

    private static Material skin(Technique technique, Trade trade, Waste waste) {
        return technique.steps().stream()
                .map(StepTemplate::sets)
                .filter(m -> m != null && waste.caps().perCm().containsKey(m))
                .findFirst()
                .map(trade.materials()::family)
                .orElseThrow();
    }

    /** Strips of glue up to the last step that presses the cap on; what is glued later is only its edge, once more. */
    private static double glued(Technique technique) {
        List<StepTemplate> steps = technique.steps();
        int last = 0;
        for (int i = 0; i < steps.size(); i++) {
            last = steps.get(i).sets() == null ? last : i;
        }
        return steps.subList(0, last).stream()
                .map(StepTemplate::strip)
                .filter(s -> s != null)
                .mapToDouble(StepTemplate.Strip::lengthCm)
                .sum();
    }
}
