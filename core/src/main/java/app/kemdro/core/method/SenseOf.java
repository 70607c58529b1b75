package app.kemdro.core.method;

import app.kemdro.core.datafile.DataNode;
import java.util.List;
import java.util.Set;

/**
 * Something that goes against an artist's sense in an order.
 *
 * @param term what it is called in the data
 * @param says how it is said how much of it there is, after the number
 * @param name what it is called
 * @param free minutes of each stretch that are nothing to speak of
 * @param weight minutes that a further minute of it is worth, or that one time of it is
 */
public record SenseOf(String term, String says, String name, double free, double weight, String because) {
    private static final int MOST_MINUTES = 60;

    static List<SenseOf> read(DataNode file) {
        return file.entries().entrySet().stream()
                .map(e -> of(e.getKey(), e.getValue()))
                .toList();
    }

    private static SenseOf of(String term, DataNode node) {
        node.onlyKeys(Set.of("says", "short", "free", "weight", "because"));
        return new SenseOf(
                term,
                node.get("says").text(),
                node.get("short").text(),
                node.number("free", 0, 0, MOST_MINUTES),
                node.number("weight", 0, 0, MOST_MINUTES),
                node.get("because").text());
    }
}
