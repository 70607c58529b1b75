package app.kemdro.core.method;

import app.kemdro.core.body.Capitals;
import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.method.OrderSchool.Way;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Turns the file of schools of order into values. */
final class OrderSchools {
    private OrderSchools() {}

    static List<OrderSchool> read(DataNode file, List<Technique> techniques) {
        return file.entries().entrySet().stream()
                .map(e -> school(e.getKey(), e.getValue(), techniques))
                .toList();
    }

    private static OrderSchool school(String id, DataNode node, List<Technique> techniques) {
        node.onlyKeys(Set.of("asks", "by-hand", "ways"));
        List<Way> ways = node.get("ways").entries().entrySet().stream()
                .map(w -> way(w.getKey(), w.getValue(), techniques))
                .toList();
        if (ways.size() < 2) {
            throw node.get("ways").broken("a school of order has two ways or more");
        }
        if (ways.stream().map(w -> w.technique().isPresent()).distinct().count() > 1) {
            throw node.get("ways").broken("either every way is a technique, or none is");
        }
        return new OrderSchool(id, node.get("asks").text(), node.flag("by-hand"), ways);
    }

    private static Way way(String id, DataNode node, List<Technique> techniques) {
        if (node.find("technique") != null) {
            node.onlyKeys(Set.of("technique"));
            Technique t = TradeReader.named(node.get("technique"), techniques);
            return new Way(id, Capitals.low(t.name()), t.because(), t.profile().risk(), Optional.of(t.id()));
        }
        node.onlyKeys(Set.of("says", "because", "risk"));
        return new Way(
                id, node.get("says").text(), node.get("because").text(), node.text("risk", ""), Optional.empty());
    }
}
