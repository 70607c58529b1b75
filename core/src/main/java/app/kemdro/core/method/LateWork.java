package app.kemdro.core.method;

import app.kemdro.core.datafile.DataNode;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What can still be put on while a run is on.
 *
 * @param bare technique that wipes a shape bare where colour lies already; empty where there is none
 * @param kinds by kind of work
 * @param edged kinds whose edges are blended as those of the look are
 */
public record LateWork(String bare, Map<String, Kind> kinds, Set<String> edged) {
    /**
     * A kind of work.
     *
     * @param needsBare whether it holds on bare skin only
     * @param asks what is asked before it is pressed
     */
    public record Kind(boolean needsBare, List<String> asks) {
        public Kind {
            asks = List.copyOf(asks);
        }
    }

    /** Whether a technique can still be put on. */
    public boolean allows(Technique technique) {
        return kinds.containsKey(technique.slot()) && !technique.implied() && !technique.between();
    }

    static LateWork read(DataNode file, List<Technique> techniques, Set<String> slots) {
        file.onlyKeys(Set.of("bare", "kinds", "edges-of"));
        String bare = file.text("bare", "");
        if (!bare.isEmpty()) {
            TradeReader.named(file.get("bare"), techniques);
        }
        Map<String, Kind> kinds = new LinkedHashMap<>();
        if (file.find("kinds") != null) {
            file.get("kinds").entries().forEach((slot, node) -> {
                if (!slots.contains(slot)) {
                    throw node.broken("no technique has the slot '" + slot + "'");
                }
                node.onlyKeys(Set.of("bare", "asks"));
                kinds.put(slot, new Kind(node.flag("bare"), node.words("asks")));
            });
        }
        return new LateWork(bare, kinds, file.known("edges-of", slots::contains, "no technique has the slot"));
    }
}
