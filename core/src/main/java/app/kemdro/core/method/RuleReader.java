package app.kemdro.core.method;

import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.material.MaterialRole;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** Turns the file of rules into values, and complains by line about what cannot be meant. */
final class RuleReader {
    private final Set<String> slots;
    private final Strata strata;
    private final Set<String> states;
    private final List<OrderSchool> schools;

    /** Of a trade with these kinds of work, of which some technique leaves these states, and with these schools. */
    RuleReader(Set<String> slots, Strata strata, Set<String> states, List<OrderSchool> schools) {
        this.schools = schools;
        this.slots = slots;
        this.strata = strata;
        this.states = states;
    }

    List<Rule> rules(DataNode file) {
        return file.items().stream().map(this::rule).toList();
    }

    private Rule rule(DataNode node) {
        node.onlyKeys(Set.of("id", "before", "after", "near", "alone", "school", "because"));
        return new Rule(
                node.get("id").text(),
                pick(node.get("before")),
                pick(node.get("after")),
                node.find("near") == null
                        ? Rule.Near.ANYWHERE
                        : node.get("near").choice(Rule.Near.class),
                node.flag("alone"),
                Optional.ofNullable(node.find("school")).map(this::taken),
                node.get("because").text());
    }

    private OrderSchool.Taken taken(DataNode node) {
        Map.Entry<String, DataNode> said = node.entries().entrySet().iterator().next();
        OrderSchool.Taken taken =
                new OrderSchool.Taken(said.getKey(), said.getValue().text());
        schools.stream()
                .filter(s -> s.id().equals(taken.school()))
                .findFirst()
                .flatMap(s -> s.way(taken.way()))
                .orElseThrow(() ->
                        node.broken("there is no way '" + taken.way() + "' of a school '" + taken.school() + "'"));
        return taken;
    }

    /** Hands of somebody who works on themselves. */
    OwnHands hands(DataNode file) {
        file.onlyKeys(Set.of("states", "hands"));
        DataNode hands = file.get("hands");
        hands.onlyKeys(Set.of("slower", "both"));
        return new OwnHands(fingers(file.get("states")), hands.get("slower").number(1, 3), pick(hands.get("both")));
    }

    private List<FingerState> fingers(DataNode file) {
        return file.entries().entrySet().stream()
                .map(e -> {
                    e.getValue().onlyKeys(Set.of("by", "not", "off", "because"));
                    DataNode by = e.getValue().find("by");
                    return new FingerState(
                            e.getKey(),
                            by == null ? null : pick(by),
                            pick(e.getValue().get("not")),
                            e.getValue().get("because").text());
                })
                .toList();
    }

    /** What is picked of all work. */
    Rule.Pick pick(DataNode node) {
        node.onlyKeys(Set.of("slots", "regions", "not", "gives", "lays", "wholly", "costume"));
        Set<String> picked = new HashSet<>(node.words("slots"));
        Set<String> except = new HashSet<>(node.words("not"));
        Stream.concat(picked.stream(), except.stream())
                .filter(s -> !slots.contains(s))
                .findFirst()
                .ifPresent(s -> {
                    throw node.broken("no technique has the slot '" + s + "'");
                });
        Set<String> gives = new HashSet<>(node.words("gives"));
        gives.stream().filter(s -> !states.contains(s)).findFirst().ifPresent(s -> {
            throw node.broken("no technique gives the state '" + s + "'");
        });
        if (picked.isEmpty()) {
            slots.stream().filter(s -> !strata.level(s).block()).forEach(picked::add);
        }
        picked.removeAll(except);
        return new Rule.Pick(
                picked,
                new HashSet<>(node.words("regions")),
                gives,
                node.choices("lays", MaterialRole.class),
                node.flag("wholly"),
                node.find("costume") == null
                        ? Rule.Costume.ANYWHERE
                        : node.get("costume").choice(Rule.Costume.class));
    }
}
