package app.kemdro.core.plan;

import app.kemdro.core.body.Zone;
import app.kemdro.core.layer.Laid;
import app.kemdro.core.layer.LayerRules;
import app.kemdro.core.layer.Stack;
import app.kemdro.core.layer.Surface;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Hair;
import app.kemdro.core.material.Material;
import app.kemdro.core.method.Strata;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Composition.Entry;
import app.kemdro.core.plan.Expansion.Expanded;
import app.kemdro.core.schedule.Lag;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.Set;
import java.util.stream.Collectors;

/** What lies on every zone once all steps are done: the order on one zone follows from what must come before what. */
final class Layering {
    private static final int WHOLE = 100;

    private Layering() {}

    /** The stack of every zone on which something is laid, from the crown down. */
    static Map<String, Stack> of(List<Expanded> steps, List<Lag> lags, Brief brief, Trade trade, LayerRules rules) {
        Map<String, List<Laid>> laid = new HashMap<>();
        Map<String, Set<String>> beside = beside(steps, trade.strata());
        for (Expanded step : inOrder(steps, lags, trade)) {
            Set<String> others = beside.getOrDefault(step.entry().id(), Set.of());
            step.step().material().ifPresent(m -> lay(step, m, step.step().zones(), others, laid));
            step.step().form().ifPresent(m -> lay(step, m, step.step().formZones(), others, laid));
        }
        Map<String, Stack> stacks = new LinkedHashMap<>();
        for (Zone zone : trade.body().zones()) {
            if (laid.containsKey(zone.id())) {
                stacks.put(zone.id(), Stack.of(ground(zone, brief, trade), laid.get(zone.id()), rules));
            }
        }
        return stacks;
    }

    /** By id of an entry, the ids of those that lie beside it. */
    private static Map<String, Set<String>> beside(List<Expanded> steps, Strata strata) {
        Map<String, Entry> entries = new LinkedHashMap<>();
        steps.forEach(s -> entries.putIfAbsent(s.entry().id(), s.entry()));
        List<Entry> fields = entries.values().stream()
                .filter(e -> e.asked().coverage() < WHOLE)
                .toList();
        Map<String, Set<String>> beside = new HashMap<>();
        for (Entry entry : fields) {
            beside.put(
                    entry.id(),
                    fields.stream()
                            .filter(e -> Beside.are(entry, e, strata))
                            .map(Entry::id)
                            .collect(Collectors.toSet()));
        }
        return beside;
    }

    private static void lay(
            Expanded step, Material material, List<String> zones, Set<String> beside, Map<String, List<Laid>> laid) {
        Laid one = new Laid(
                step.step().id(),
                step.entry().id(),
                step.entry().technique(),
                step.step().title(),
                material,
                step.step().thickness(),
                beside);
        zones.forEach(z -> laid.computeIfAbsent(z, k -> new ArrayList<>()).add(one));
    }

    /** The body's own surface. */
    static Surface ground(Zone zone, Brief brief, Trade trade) {
        return Surface.body(
                switch (zone.place()) {
                    case EYE -> "lid";
                    case LIPS -> "lip";
                    case TOOTH -> "tooth";
                    case NAIL -> "nail";
                    case SKIN -> isHairy(zone, brief, trade) ? "hairy" : "skin";
                });
    }

    private static boolean isHairy(Zone zone, Brief brief, Trade trade) {
        return trade.fineHair().meetsHair(zone.id(), brief.performer().fineHair())
                || zone.hairy()
                        && (brief.performer().hair() != Hair.NONE
                                || !zone.region().equals("head"));
    }

    /** Steps so that each comes after all it waits for; what is left open goes from the body outwards. */
    private static List<Expanded> inOrder(List<Expanded> steps, List<Lag> lags, Trade trade) {
        Map<String, Integer> waits = new HashMap<>();
        Map<String, List<String>> next = new HashMap<>();
        for (Lag lag : lags) {
            waits.merge(lag.to(), 1, Integer::sum);
            next.computeIfAbsent(lag.from(), k -> new ArrayList<>()).add(lag.to());
        }
        Map<String, Integer> rank = new HashMap<>();
        Map<String, Expanded> byId = new HashMap<>();
        for (Expanded step : steps) {
            int height = trade.strata().level(step.entry().technique().slot()).height();
            rank.put(step.step().id(), height * steps.size() + byId.size());
            byId.put(step.step().id(), step);
        }
        PriorityQueue<String> ready = new PriorityQueue<>(Comparator.comparingInt(rank::get));
        byId.keySet().stream().filter(id -> !waits.containsKey(id)).forEach(ready::add);
        List<Expanded> ordered = new ArrayList<>();
        while (!ready.isEmpty()) {
            String id = ready.remove();
            ordered.add(byId.get(id));
            for (String later : next.getOrDefault(id, List.of())) {
                if (waits.merge(later, -1, Integer::sum) == 0) {
                    ready.add(later);
                }
            }
        }
        return ordered;
    }
}
