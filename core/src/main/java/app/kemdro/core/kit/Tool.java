package app.kemdro.core.kit;

import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.material.Material;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A tool, or something that is thrown away, and what it is for.
 *
 * @param always whether it is packed whatever is done
 * @param slots kinds of work it is for
 * @param kinds shelves of the trade it is for
 * @param materials families it is for
 */
public record Tool(
        String name, boolean always, Set<String> slots, Set<String> kinds, Set<String> materials, String because) {

    /**
     * Those that ship with Kemdro.
     *
     * @throws app.kemdro.core.datafile.BrokenFile naming file, line and reason
     */
    public static List<Tool> standard(Trade trade) {
        return read(DataNode.resource("/trade/tools.yaml"), trade);
    }

    static List<Tool> read(DataNode file, Trade trade) {
        return file.items().stream().map(node -> tool(node, trade)).toList();
    }

    private static Tool tool(DataNode node, Trade trade) {
        node.onlyKeys(Set.of("tool", "always", "slots", "kinds", "materials", "because"));
        Set<String> slots = node.known("slots", trade::hasSlot, "no technique is of the kind");
        Set<String> kinds = node.known(
                "kinds",
                k -> trade.materials().all().stream().anyMatch(m -> m.kind().equals(k)),
                "nothing is of the kind");
        Set<String> materials = node.known("materials", trade.materials()::has, "there is no material");
        if (!node.flag("always") && slots.isEmpty() && kinds.isEmpty() && materials.isEmpty()) {
            throw node.broken("it is for nothing; say slots, kinds, materials or always");
        }
        return new Tool(
                node.get("tool").text(),
                node.flag("always"),
                slots,
                kinds,
                materials,
                node.get("because").text());
    }

    /** Those of all tools that this plan takes, in their order. */
    public static List<Tool> of(Plan plan, List<Tool> all) {
        return all.stream()
                .filter(t -> t.always || plan.steps().stream().anyMatch(t::isFor))
                .toList();
    }

    private boolean isFor(PlannedStep step) {
        return slots.contains(step.technique().slot())
                || Stream.concat(step.material().stream(), step.form().stream())
                        .anyMatch((Material m) -> kinds.contains(m.kind()) || materials.contains(m.id()));
    }
}
