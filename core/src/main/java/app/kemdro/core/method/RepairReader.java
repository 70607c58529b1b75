package app.kemdro.core.method;

import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.material.Materials;
import java.util.Map;
import java.util.Set;
import java.util.function.BiFunction;

/**
 * Turns the file of what goes wrong into values.
 *
 * @param techniques reads a technique, of this name
 */
record RepairReader(
        Materials materials,
        Set<String> slots,
        Set<String> placed,
        BiFunction<String, DataNode, Technique> techniques) {

    /** One thing that goes wrong. */
    Repair repair(String id, DataNode node) {
        node.onlyKeys(Set.of("says", "on", "at", "spare", "ways"));
        Set<String> on = node.known("on", slots::contains, "no technique is of the kind");
        Map<String, DataNode> ways = node.get("ways").entries();
        return new Repair(
                id,
                node.get("says").text(),
                on,
                node.known("at", placed::contains, "there is no small place"),
                node.flag("spare"),
                ways.entrySet().stream()
                        .map(w -> way(id + "-" + w.getKey(), w.getValue(), ways))
                        .toList());
    }

    private Repair.Way way(String id, DataNode node, Map<String, DataNode> ways) {
        Set<String> own = Set.of("of", "under");
        Set<String> of = node.known("of", materials::has, "there is no material");
        return new Repair.Way(
                of,
                node.flag("under"),
                techniques.apply(
                        id, TradeReader.likeAnother(id, node.without(own), ways).without(own)));
    }
}
