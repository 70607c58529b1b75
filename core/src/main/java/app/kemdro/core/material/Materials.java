package app.kemdro.core.material;

import app.kemdro.core.datafile.DataNode;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Every family of material that Kemdro knows, and what performers may react to. */
public final class Materials {
    private final Map<String, Material> families;
    private final Map<String, Reaction> reactions;

    private Materials(Map<String, Material> families, Map<String, Reaction> reactions) {
        this.families = families;
        this.reactions = reactions;
    }

    /** Something a performer may react to. */
    public record Reaction(String id, String name, String caution) {}

    /**
     * Reads the families that ship with Kemdro.
     *
     * @throws app.kemdro.core.datafile.BrokenFile when a number lies outside its range or a word is unknown
     */
    public static Materials standard() {
        return read(DataNode.resource("/trade/materials.yaml"), DataNode.resource("/trade/allergens.yaml"));
    }

    /**
     * Reads families and reactions from other files in the same shape.
     *
     * @throws app.kemdro.core.datafile.BrokenFile naming file, line and reason
     */
    public static Materials read(DataNode familyFile, DataNode reactionFile) {
        Map<String, Reaction> reactions = new LinkedHashMap<>();
        reactionFile.entries().forEach((id, node) -> {
            node.onlyKeys(Set.of("name", "caution"));
            reactions.put(
                    id,
                    new Reaction(
                            id, node.get("name").text(), node.get("caution").text()));
        });
        Map<String, Material> families = new LinkedHashMap<>();
        familyFile.entries().forEach((id, node) -> {
            node.onlyKeys(Set.of("name", "kind", "film", "look-for", "remover", "contains", "ruins", "cautions"));
            node.words("contains").stream()
                    .filter(r -> !reactions.containsKey(r))
                    .findFirst()
                    .ifPresent(unknown -> {
                        throw node.broken("'" + unknown + "' is not in the list of reactions");
                    });
            families.put(
                    id,
                    new Material(
                            id,
                            node.get("name").text(),
                            node.get("kind").text(),
                            film(node.find("film")),
                            node.text("look-for", ""),
                            node.text("remover", ""),
                            new LinkedHashSet<>(node.words("contains")),
                            node.words("ruins"),
                            node.words("cautions")));
        });
        return new Materials(families, reactions);
    }

    private static @Nullable Film film(@Nullable DataNode node) {
        if (node == null) {
            return null;
        }
        node.onlyKeys(Set.of("carrier", "coat", "solids", "critical", "tacky", "closes", "clear", "sorbs"));
        Film film = new Film(
                node.get("carrier").choice(Film.Carrier.class),
                node.get("coat").number(1, 5000),
                node.get("solids").number(0.001, 0.99),
                node.get("critical").number(0.01, 200),
                moisture(node.find("tacky")),
                moisture(node.find("closes")),
                node.get("clear").number(0.001, 100),
                node.get("sorbs").number(0, 10));
        requireFalling(node, film);
        return film;
    }

    private static void requireFalling(DataNode node, Film film) {
        double last = film.fresh();
        for (Double next : new Double[] {film.tacky(), film.closes(), film.clear()}) {
            if (next != null) {
                if (next >= last) {
                    throw node.broken("moistures must fall from fresh (%.2f) over tacky and closes to clear"
                            .formatted(film.fresh()));
                }
                last = next;
            }
        }
    }

    private static @Nullable Double moisture(@Nullable DataNode node) {
        return node == null ? null : node.number(0.001, 100);
    }

    public boolean has(String id) {
        return families.containsKey(id);
    }

    /** The family of this id. */
    public Material family(String id) {
        Material found = families.get(id);
        if (found == null) {
            throw new IllegalArgumentException("No material is called '" + id + "'");
        }
        return found;
    }

    public Collection<Material> all() {
        return families.values();
    }

    /** What performers are asked about. */
    public Collection<Reaction> reactions() {
        return reactions.values();
    }

    /** The reaction of this id. */
    public Reaction reaction(String id) {
        Reaction found = reactions.get(id);
        if (found == null) {
            throw new IllegalArgumentException("No reaction is called '" + id + "'");
        }
        return found;
    }
}
