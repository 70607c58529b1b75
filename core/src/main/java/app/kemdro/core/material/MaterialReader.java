package app.kemdro.core.material;

import app.kemdro.core.body.Place;
import app.kemdro.core.datafile.DataNode;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Turns one entry of the material files into a family, and complains by line about what cannot be meant. */
final class MaterialReader {
    private MaterialReader() {}

    static Material material(String id, DataNode node, Set<String> reactions, Map<String, Kind> kinds) {
        node.onlyKeys(Set.of(
                "name",
                "kind",
                "nature",
                "surface",
                "drawn",
                "film",
                "bulk",
                "melt",
                "reacts",
                "places",
                "load",
                "each",
                "seals",
                "strips",
                "degreases",
                "tacky-test",
                "look-for",
                "remover",
                "removed-by",
                "soak",
                "contains",
                "ruins",
                "cautions",
                "price",
                "because"));
        node.words("contains").stream()
                .filter(r -> !reactions.contains(r))
                .findFirst()
                .ifPresent(unknown -> {
                    throw node.broken("'" + unknown + "' is not in the list of reactions");
                });
        String nature = node.text("nature", "");
        if (nature.isEmpty() != (node.find("surface") == null)) {
            throw node.broken("nature and surface go together: a layer has both, what leaves no layer has neither");
        }
        Kind kind = kinds.get(node.get("kind").text());
        if (kind == null) {
            throw node.get("kind").broken("kind '" + node.get("kind").text() + "' is not in kinds.yaml");
        }
        return new Material(
                id,
                node.get("name").text(),
                kind.id(),
                kind.roles(),
                nature,
                node.text("surface", ""),
                node.text("drawn", node.get("kind").text()),
                setting(node),
                node.number("load", 0, 0, 2000),
                node.flag("each"),
                places(node),
                node.flag("seals"),
                new LinkedHashSet<>(node.words("strips")),
                node.flag("degreases"),
                node.text("tacky-test", ""),
                node.text("look-for", ""),
                node.text("remover", ""),
                node.words("removed-by"),
                (int) node.number("soak", 0, 0, 60),
                new LinkedHashSet<>(node.words("contains")),
                node.words("ruins"),
                node.words("cautions"),
                node.number("price", 5, 0, 1000),
                node.text("because", ""));
    }

    /** Surfaces of the body under "places"; none where the key is absent. */
    static Set<Place> places(DataNode node) {
        return node.choices("places", Place.class);
    }

    private static @Nullable Setting setting(DataNode node) {
        List<String> given = List.of("film", "bulk", "melt", "reacts").stream()
                .filter(k -> node.find(k) != null)
                .toList();
        if (given.isEmpty()) {
            return null;
        }
        if (given.size() > 1) {
            throw node.broken("it is given both as " + given.get(0) + " and as " + given.get(1) + "; one must go");
        }
        DataNode how = node.get(given.get(0));
        return switch (given.get(0)) {
            case "film" -> film(how);
            case "bulk" -> bulk(how);
            case "melt" -> melt(how);
            default -> reacting(how);
        };
    }

    private static Film film(DataNode node) {
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
        return film;
    }

    private static Bulk bulk(DataNode node) {
        node.onlyKeys(Set.of("thickness", "faces", "diffusivity", "solids", "fresh", "clear", "sorbs"));
        Bulk bulk = new Bulk(
                node.get("thickness").number(0.1, 60),
                (int) node.get("faces").number(1, 2),
                node.get("diffusivity").number(0.01, 50),
                node.get("solids").number(50, 3000),
                node.get("fresh").number(0.05, 20),
                node.get("clear").number(0.001, 10),
                node.get("sorbs").number(0, 2));
        if (bulk.clear() >= bulk.fresh()) {
            throw node.broken("it is laid drier than dry: fresh must lie above clear");
        }
        return bulk;
    }

    private static Melt melt(DataNode node) {
        node.onlyKeys(Set.of("from", "safe", "gels", "firm", "thickness", "heat"));
        Melt melt = new Melt(
                node.get("from").number(30, 200),
                node.get("safe").number(20, 43),
                node.get("gels").number(10, 150),
                node.get("firm").number(5, 150),
                node.get("thickness").number(0.1, 40),
                node.get("heat").number(0.5, 6));
        if (melt.safe() > melt.from() || melt.gels() >= melt.safe() || melt.firm() > melt.gels()) {
            throw node.broken("temperatures must fall from runny over safe and gels to firm");
        }
        return melt;
    }

    private static Reacting reacting(DataNode node) {
        node.onlyKeys(Set.of("pot", "set", "thickness"));
        Reacting reacting = new Reacting(
                node.get("pot").number(0.1, 600),
                node.get("set").number(0.1, 6000),
                node.get("thickness").number(0.01, 60));
        if (reacting.setMinutes() < reacting.potMinutes()) {
            throw node.broken("it sets before its pot life ends");
        }
        return reacting;
    }

    private static @Nullable Double moisture(@Nullable DataNode node) {
        return node == null ? null : node.number(0.001, 100);
    }
}
