package app.kemdro.core.safety;

import app.kemdro.core.body.Capitals;
import app.kemdro.core.datafile.DataNode;
import java.util.List;
import java.util.Set;

/** What touches the performer without being laid: gloves, sponges, bands. */
final class Tools implements SafetyRule {
    private final DataNode rules;

    Tools(DataNode rules) {
        this.rules = rules;
    }

    @Override
    public List<Finding> findings(SafetyCase of) {
        return withoutIn(of.plan().brief().performer().reactsTo()).stream()
                .map(say -> Finding.warn(
                        "tools " + say, "Tools touch the skin too.", Capitals.capital(say) + ", whoever works."))
                .toList();
    }

    /** What must not be in gloves, sponges and tools near somebody who reacts so, as the bag says it. */
    List<String> withoutIn(Set<String> reactsTo) {
        return rules.get("tools").items().stream()
                .filter(n -> reactsTo.contains(n.get("reaction").text()))
                .map(n -> n.get("say").text())
                .toList();
    }
}
