package app.kemdro.core.safety;

import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.material.Material;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** What is always said where such materials are used. */
final class SaidAtTheChair implements SafetyRule {
    private final DataNode rules;

    SaidAtTheChair(DataNode rules) {
        this.rules = rules;
    }

    @Override
    public List<Finding> findings(SafetyCase of) {
        List<Finding> all = new ArrayList<>();
        Collection<Material> used = of.used();
        Set<String> kinds = used.stream().map(Material::kind).collect(Collectors.toSet());
        for (DataNode node : rules.get("said").items()) {
            node.onlyKeys(Set.of("kinds", "say"));
            if (node.words("kinds").stream().anyMatch(kinds::contains)) {
                String say = node.get("say").text();
                all.add(Finding.said("said " + say.hashCode(), say));
            }
        }
        return all;
    }
}
