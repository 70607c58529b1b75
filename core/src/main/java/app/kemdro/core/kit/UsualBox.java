package app.kemdro.core.kit;

import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.material.Material;
import app.kemdro.core.material.Materials;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** A box to begin with, from trade/usual-box.yaml: a pack of every family that is bought ready. */
public final class UsualBox {
    /** Prices are said to this, €. */
    private static final double STEP = 0.5;

    private UsualBox() {}

    /**
     * A pack of the box.
     *
     * @param size contents in its unit: g, ml or pcs
     * @param price €
     * @param months it stays good once opened; 0 where it keeps
     */
    public record Pack(Material family, double size, String unit, double price, int months) {}

    /**
     * Reads the data that ships with Kemdro.
     *
     * @throws app.kemdro.core.datafile.BrokenFile naming file, line and reason
     */
    public static List<Pack> standard(Materials materials) {
        DataNode file = DataNode.resource("/trade/usual-box.yaml");
        file.onlyKeys(Set.of("packs", "families", "not"));
        Map<String, DataNode> kinds = file.get("packs").entries();
        Map<String, DataNode> families = file.get("families").entries();
        Set<String> not = file.get("not").entries().keySet();
        families.forEach((id, node) -> {
            if (!materials.has(id)) {
                throw node.broken("'" + id + "' is no family");
            }
        });
        List<Pack> box = new ArrayList<>();
        for (Material family : materials.all()) {
            if (!not.contains(family.kind()) && !not.contains(family.id())) {
                Optional.ofNullable(families.getOrDefault(family.id(), kinds.get(family.kind())))
                        .ifPresent(node -> box.add(pack(family, node)));
            }
        }
        return List.copyOf(box);
    }

    private static Pack pack(Material family, DataNode node) {
        node.onlyKeys(Set.of("size", "unit", "price", "months", "because"));
        double size = node.get("size").number(0.1, 10_000);
        double byWeight = Math.max(STEP, Math.round(family.pricePer100g() * size / 100 / STEP) * STEP);
        return new Pack(
                family,
                size,
                node.get("unit").text(),
                family.pricePer100g() == 0 ? 0 : node.number("price", byWeight, 0, 10_000),
                (int) node.number("months", 0, 0, 120));
    }
}
