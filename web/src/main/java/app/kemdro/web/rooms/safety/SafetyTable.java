package app.kemdro.web.rooms.safety;

import app.kemdro.core.material.Material;
import app.kemdro.core.safety.Finding;
import app.kemdro.core.safety.Finding.Kind;
import app.kemdro.core.safety.Safety;
import app.kemdro.web.rooms.safety.SafetyController.Line;
import app.kemdro.web.rooms.safety.SafetyController.Test;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** What is to be done, so that it can be read at a glance: patch tests in a table, the rest by kind. */
final class SafetyTable {
    private SafetyTable() {}

    /**
     * A family that needs a patch test, with those it had.
     *
     * @param mark how it stands: hold, need or fail
     * @param says what is to be done about it; empty where it is well
     */
    record TestRow(String family, String name, List<Test> tests, String mark, String says, boolean open) {}

    /** Findings of one kind; one of several opens. */
    record Group(String says, List<Line> lines) {}

    /** Every family that needs a test, what is open first. */
    static List<TestRow> rows(List<Material> needed, List<Finding> all, List<Test> tests) {
        Map<String, Finding> open = all.stream()
                .filter(f -> f.key().startsWith(Safety.PATCH))
                .collect(Collectors.toMap(Finding::key, f -> f, (a, b) -> a));
        return needed.stream()
                .map(m -> {
                    Optional<Finding> found = Optional.ofNullable(open.get(Safety.PATCH + m.id()));
                    return new TestRow(
                            m.id(),
                            m.name(),
                            tests.stream()
                                    .filter(t -> t.family().equals(m.id()))
                                    .toList(),
                            found.map(f -> f.kind() == Kind.BLOCKS ? "fail" : "need")
                                    .orElse("hold"),
                            found.map(f -> f.what() + " " + f.remedy()).orElse(""),
                            found.isPresent());
                })
                .sorted(Comparator.comparing((TestRow r) -> !r.open()))
                .toList();
    }

    /** What is to be done, things of one kind in one line; patch tests stand in their table. */
    static List<Group> groups(List<Line> warns) {
        Map<String, List<Line>> kinds = new LinkedHashMap<>();
        warns.stream()
                .filter(w -> !w.key().startsWith(Safety.PATCH))
                .forEach(w -> kinds.computeIfAbsent(w.key().split(" ")[0], k -> new ArrayList<>())
                        .add(w));
        return kinds.values().stream()
                .map(l -> new Group(
                        l.get(0).what() + (l.size() > 1 ? " And " + (l.size() - 1) + " more like it." : ""), l))
                .toList();
    }
}
