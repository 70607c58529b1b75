package app.kemdro.core.method;

import app.kemdro.core.datafile.DataNode;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/** The laws by which minutes grow, by the names that steps give them. */
public final class WorkLaws {
    /** These say how long work takes, wherever it is written. */
    static final Set<String> KEYS = Set.of("minutes", "law", "times");

    /** Two who share what can be shared each take more than half of it: they step round one another and meet in the middle (judgement). */
    private static final double EACH = 0.55;

    private static final WorkLaw NOTHING = new WorkLaw(0, 0, 1, 0, 0, 0);

    private final Map<String, WorkLaw> laws = new TreeMap<>();

    private WorkLaws() {}

    /** Those that ship with Kemdro. */
    public static WorkLaws standard() {
        return read(DataNode.resource("/trade/laws.yaml"));
    }

    static WorkLaws read(DataNode file) {
        WorkLaws all = new WorkLaws();
        file.entries().forEach((name, node) -> {
            node.onlyKeys(Set.of("start", "area", "power", "edge", "alone", "one-hand", "because"));
            node.get("because").text();
            all.laws.put(
                    name,
                    new WorkLaw(
                            node.number("start", 0, 0, 60),
                            node.number("area", 0, 0, 10),
                            node.number("power", 1, 0.1, 1),
                            node.number("edge", 0, 0, 10),
                            node.number("alone", 0, 1, 3),
                            node.find("one-hand") == null
                                    ? 0
                                    : together(node.get("one-hand").number(0, 1))));
        });
        return all;
    }

    private static double together(double oneHand) {
        return oneHand + EACH * (1 - oneHand);
    }

    /**
     * How long what is written here takes: its minutes, and those of a law it names, so many times.
     *
     * @param most minutes that may be written
     */
    public WorkLaw of(DataNode node, double most) {
        DataNode named = node.find("law");
        double times = node.number("times", 1, 0.1, 600);
        double minutes = named == null ? node.get("minutes").number(0.05, most) : node.number("minutes", 0, 0, most);
        return law(named).times(times).and(minutes);
    }

    private WorkLaw law(@Nullable DataNode named) {
        if (named == null) {
            return NOTHING;
        }
        WorkLaw law = laws.get(named.text());
        if (law == null) {
            throw named.broken("there is no law '" + named.text() + "'; there are " + laws.keySet());
        }
        return law;
    }
}
