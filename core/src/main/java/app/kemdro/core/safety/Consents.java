package app.kemdro.core.safety;

import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** What the performer has to agree to. */
final class Consents implements SafetyRule {
    private final Trade trade;
    private final DataNode rules;

    Consents(Trade trade, DataNode rules) {
        this.trade = trade;
        this.rules = rules;
    }

    @Override
    public List<Finding> findings(SafetyCase of) {
        List<String> open = procedures(of.plan()).stream()
                .filter(p -> !of.agreed().contains(p.id()))
                .map(Safety.Procedure::say)
                .toList();
        return open.isEmpty()
                ? List.of()
                : List.of(Finding.warn(
                        "consent",
                        "Not agreed to yet: " + String.join("; ", open) + ".",
                        "Say what is done, how long it lasts and how it comes off; tick what is agreed to."));
    }

    /** What this plan's performer has to agree to. */
    List<Safety.Procedure> procedures(Plan plan) {
        Set<String> slots = plan.steps().stream().map(s -> s.technique().slot()).collect(Collectors.toSet());
        List<Safety.Procedure> asked = new ArrayList<>();
        for (DataNode node : rules.get("consent").items()) {
            node.onlyKeys(Set.of("id", "slots", "kinds", "worn", "zones", "always", "say"));
            List<String> zones = node.words("zones").stream()
                    .flatMap(z -> trade.body().named(z).stream())
                    .toList();
            List<String> kinds = node.words("kinds");
            boolean lies = plan.stacks().entrySet().stream()
                    .filter(e -> zones.isEmpty() || zones.contains(e.getKey()))
                    .flatMap(e -> e.getValue().layers().stream())
                    .anyMatch(l -> kinds.contains(l.material().kind())
                            || node.flag("worn") && l.technique().worn());
            if (node.flag("always") || lies || node.words("slots").stream().anyMatch(slots::contains)) {
                asked.add(new Safety.Procedure(
                        node.get("id").text(), node.get("say").text()));
            }
        }
        return asked;
    }
}
