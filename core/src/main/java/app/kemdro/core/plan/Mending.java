package app.kemdro.core.plan;

import app.kemdro.core.body.Capitals;
import app.kemdro.core.layer.Mend;
import app.kemdro.core.layer.Stack;
import app.kemdro.core.layer.Stack.Layer;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What would make layers hold: every mend is tried on the look and only offered where it helps. */
public final class Mending {
    private final Trade trade;
    private final LookPlanner planner;

    public Mending(Trade trade, LookPlanner planner) {
        this.trade = trade;
        this.planner = planner;
    }

    /**
     * One mend that was tried and helps.
     *
     * @param says what is done, as on the button
     * @param look the look with it
     */
    public record Offer(String says, String because, Look look) {}

    /** Mends for a boundary that does not hold: the lower one of the layer of this number, counted from the body. */
    public List<Offer> offers(Look look, Brief brief, String zone, int number) {
        Map<String, Stack> now = planner.stacks(look, brief);
        Stack stack = now.get(zone);
        if (stack == null || number < 0 || number >= stack.layers().size()) {
            return List.of();
        }
        Layer layer = stack.layers().get(number);
        if (layer.boundary().verdict().isFine()) {
            return List.of();
        }
        Optional<Layer> below =
                number == 0 ? Optional.empty() : Optional.of(stack.layers().get(number - 1));
        List<Offer> offers = new ArrayList<>();
        for (Offer tried : candidates(look, layer, below, alike(now, layer, below))) {
            if (helps(now, planner.stacks(tried.look(), brief), zone, layer)) {
                offers.add(tried);
            }
        }
        return offers;
    }

    /** Every zone on which these two layers meet in the same trouble, so that one press mends them all. */
    private static List<String> alike(Map<String, Stack> now, Layer layer, Optional<Layer> below) {
        List<String> zones = new ArrayList<>();
        now.forEach((zone, stack) -> {
            for (int k = 0; k < stack.layers().size(); k++) {
                Layer other = stack.layers().get(k);
                String under = k == 0 ? "" : stack.layers().get(k - 1).entry();
                if (other.entry().equals(layer.entry())
                        && other.material().equals(layer.material())
                        && !other.boundary().verdict().isFine()
                        && under.equals(below.map(Layer::entry).orElse(""))
                        && !zones.contains(zone)) {
                    zones.add(zone);
                }
            }
        });
        return zones;
    }

    private List<Offer> candidates(Look look, Layer layer, Optional<Layer> below, List<String> zones) {
        Mend mend = layer.boundary().mend();
        String because = layer.boundary().because();
        List<Offer> all = new ArrayList<>();
        for (String id : mend.lay()) {
            Technique technique = trade.technique(id);
            List<String> fit =
                    zones.stream().filter(technique.zones()::contains).toList();
            if (!fit.isEmpty()) {
                all.add(new Offer(
                        technique.name() + ", " + trade.body().say(fit), because, lay(look, technique, fit, below)));
            }
        }
        look.entry(LookPlanner.origin(layer.entry())).ifPresent(e -> all.addAll(swaps(look, e, because)));
        below.flatMap(b -> look.entry(LookPlanner.origin(b.entry()))).ifPresent(e -> {
            all.addAll(swaps(look, e, because));
            if (mend.turn() && look.entry(LookPlanner.origin(layer.entry())).isPresent()) {
                all.add(new Offer(
                        "Lay " + Capitals.low(trade.technique(e.techniqueId()).name()) + " over it instead",
                        because,
                        look.changing(e.id(), x -> x.above(LookPlanner.origin(layer.entry())))));
            }
        });
        return all;
    }

    private static Look lay(Look look, Technique technique, List<String> zones, Optional<Layer> below) {
        List<LookEntry> entries = new ArrayList<>(look.entries());
        String over = technique.between()
                ? below.map(b -> LookPlanner.origin(b.entry())).orElse(LookEntry.BODY)
                : "";
        entries.add(new LookEntry(look.freeId("mend-" + technique.id()), technique.id(), zones, 0).above(over));
        return look.with(entries);
    }

    private List<Offer> swaps(Look look, LookEntry entry, String because) {
        Technique now = trade.technique(entry.techniqueId());
        return trade.schoolsBeside(now, entry.zones()).stream()
                .map(t -> new Offer(
                        t.name() + " instead of " + Capitals.low(now.name()),
                        because,
                        look.changing(entry.id(), e -> e.by(t.id()))))
                .toList();
    }

    /** It helps if that layer now holds there, and the look as a whole got better. */
    private static boolean helps(Map<String, Stack> before, Map<String, Stack> after, String zone, Layer layer) {
        Stack stack = after.get(zone);
        if (stack == null) {
            return false;
        }
        boolean still = stack.troubles().stream()
                .anyMatch(l -> l.entry().equals(layer.entry()) && l.material().equals(layer.material()));
        return !still && weight(after) < weight(before);
    }

    /** Troubles of a whole look, worse ones counting for more. */
    private static int weight(Map<String, Stack> stacks) {
        return stacks.values().stream()
                .flatMap(s -> s.troubles().stream())
                .mapToInt(l -> switch (l.boundary().verdict()) {
                    case FORBIDDEN -> 100;
                    case FAILS -> 10;
                    case UNKNOWN -> 5;
                    default -> 2;
                })
                .sum();
    }
}
