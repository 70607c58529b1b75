package app.kemdro.core.kit;

import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.material.Materials;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * Something that is stirred together from parts.
 *
 * @param makes families of which it is one
 * @param by what its parts are measured in
 * @param potMinutes minutes it can be used once it is stirred; 0 where it keeps
 */
public record Mix(
        String id,
        String name,
        List<String> makes,
        By by,
        List<Part> parts,
        int potMinutes,
        String how,
        List<String> cautions,
        String because) {

    /** What parts are measured in. Loose parts are counted as weight. */
    public enum By {
        PARTS,
        VOLUME,
        WEIGHT
    }

    /**
     * One of its parts.
     *
     * @param family family of materials, or empty for what is none
     * @param density g/ml
     */
    public record Part(String what, String family, double parts, double density) {}

    /** So much of a part. */
    public record Measured(Part part, double grams) {
        /** The same as it is poured. */
        public double millilitres() {
            return grams / part.density();
        }
    }

    /**
     * The parts of so much of the mix.
     *
     * @param grams g of the whole, above 0 and up to 100 kg
     * @throws IllegalArgumentException if it is neither
     */
    public List<Measured> of(double grams) {
        if (!(grams > 0 && grams <= 100_000)) {
            throw new IllegalArgumentException("A mix weighs more than nothing and less than 100 kg.");
        }
        double whole = parts.stream().mapToDouble(this::weight).sum();
        return parts.stream()
                .map(p -> new Measured(p, grams * weight(p) / whole))
                .toList();
    }

    private double weight(Part part) {
        return by == By.VOLUME ? part.parts() * part.density() : part.parts();
    }

    /**
     * Reads the data that ships with Kemdro.
     *
     * @throws app.kemdro.core.datafile.BrokenFile naming file, line and reason
     */
    public static List<Mix> standard(Materials materials, Waste waste) {
        List<Mix> all = new ArrayList<>();
        DataNode.resource("/trade/mixes.yaml").entries().forEach((id, node) -> {
            node.onlyKeys(Set.of("name", "makes", "by", "parts", "pot", "how", "cautions", "because"));
            List<Part> parts = node.get("parts").items().stream()
                    .map(p -> part(p, materials, waste))
                    .toList();
            node.words("makes").stream()
                    .filter(f -> !materials.has(f))
                    .findFirst()
                    .ifPresent(f -> {
                        throw node.broken("'" + f + "' is no family");
                    });
            all.add(new Mix(
                    id,
                    node.get("name").text(),
                    node.words("makes"),
                    node.get("by").choice(By.class),
                    parts,
                    (int) node.number("pot", 0, 0, 10_000),
                    node.get("how").text(),
                    node.words("cautions"),
                    node.get("because").text()));
        });
        return List.copyOf(all);
    }

    private static Part part(DataNode node, Materials materials, Waste waste) {
        node.onlyKeys(Set.of("what", "family", "parts", "density"));
        String family = node.text("family", "");
        if (!family.isEmpty() && !materials.has(family)) {
            throw node.broken("'" + family + "' is no family");
        }
        return new Part(
                node.get("what").text(),
                family,
                node.get("parts").number(0.01, 1000),
                node.number("density", family.isEmpty() ? 1 : waste.density(family), 0.1, 20));
    }
}
