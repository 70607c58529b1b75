package app.kemdro.core.method;

import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.method.Technique.Choice;
import java.io.StringReader;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What is chosen inside a school, as whether a brow that was glued flat is covered with cream: each choice is a technique of its own,
 * called after the school, and like it but for what it names.
 */
final class Choices {
    private static final String CHOICES = "choices";
    private static final String CHOICE = "choice";

    private Choices() {}

    /** All techniques, with one more for each choice inside another; what is written down under that name already stays so. */
    static Map<String, DataNode> opened(Map<String, DataNode> nodes) {
        Map<String, DataNode> all = new LinkedHashMap<>();
        nodes.forEach((id, node) -> {
            all.put(id, node);
            if (node.find(CHOICES) != null) {
                DataNode choices = node.get(CHOICES);
                choices.onlyKeys(Set.of("asks", "usual", "others"));
                choices.get("others")
                        .entries()
                        .forEach((name, other) -> all.put(id + "-" + name, chosen(id, node, other)));
            }
        });
        return all;
    }

    private static DataNode chosen(String id, DataNode school, DataNode other) {
        String says = other.get("says").text();
        String asks = school.get(CHOICES).get("asks").text();
        DataNode like = DataNode.read(
                CHOICES,
                new StringReader("like: %s\nname: \"%s, %s\"\nchoice: { of: %s, asks: \"%s\", says: \"%s\" }\n"
                        .formatted(id, school.get("name").text(), says, id, asks, says)));
        return other.without(Set.of("says")).over(like, Set.of());
    }

    /** How something is chosen in a technique. */
    static Optional<Choice> of(String id, DataNode node) {
        if (node.find(CHOICES) != null) {
            DataNode choices = node.get(CHOICES);
            return Optional.of(new Choice(
                    id, choices.get("asks").text(), choices.get("usual").text()));
        }
        return Optional.ofNullable(node.find(CHOICE))
                .map(c -> new Choice(
                        c.get("of").text(), c.get("asks").text(), c.get("says").text()));
    }
}
