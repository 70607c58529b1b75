package app.kemdro.core.material;

import app.kemdro.core.body.Place;
import app.kemdro.core.datafile.DataFiles;
import app.kemdro.core.datafile.DataNode;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Every family of material that Kemdro knows, and what performers may react to. */
public final class Materials {
    private final Map<String, Material> families;
    private final Map<String, Reaction> reactions;

    private Materials(Map<String, Material> families, Map<String, Reaction> reactions) {
        this.families = families;
        this.reactions = reactions;
    }

    /**
     * Something a performer may react to.
     *
     * @param places surfaces of the body on which it bars, empty for all
     * @param sensitiveEyes whether it says that eyes are easily hurt
     */
    public record Reaction(String id, String name, String caution, Set<Place> places, boolean sensitiveEyes) {
        /** Whether it bars something that lies on such surfaces. */
        public boolean bars(Collection<Place> touched) {
            return places.isEmpty() || touched.stream().anyMatch(places::contains);
        }
    }

    /**
     * Reads the families that ship with Kemdro.
     *
     * @throws app.kemdro.core.datafile.BrokenFile when a number lies outside its range or a word is unknown
     */
    public static Materials standard() {
        return read(DataFiles.shipped("/trade/materials"), DataNode.resource("/trade/allergens.yaml"));
    }

    /**
     * Reads families and reactions from files in the shape of those that ship.
     *
     * @throws app.kemdro.core.datafile.BrokenFile naming file, line and reason
     */
    public static Materials read(List<DataNode> familyFiles, DataNode reactionFile) {
        Map<String, Reaction> reactions = new LinkedHashMap<>();
        reactionFile.entries().forEach((id, node) -> {
            node.onlyKeys(Set.of("name", "caution", "places", "sensitive-eyes"));
            reactions.put(
                    id,
                    new Reaction(
                            id,
                            node.get("name").text(),
                            node.get("caution").text(),
                            MaterialReader.places(node),
                            node.flag("sensitive-eyes")));
        });
        Map<String, Kind> kinds = Kind.read(DataNode.resource("/trade/kinds.yaml"));
        Map<String, DataNode> nodes = DataFiles.entries(familyFiles);
        Map<String, Material> families = new LinkedHashMap<>();
        nodes.forEach((id, node) -> families.put(id, MaterialReader.material(id, node, reactions.keySet(), kinds)));
        families.values()
                .forEach(m -> m.removedBy().stream()
                        .filter(r -> !families.containsKey(r))
                        .findFirst()
                        .ifPresent(r -> {
                            throw nodes.get(m.id()).broken("removed-by '" + r + "' is no material");
                        }));
        return new Materials(families, reactions);
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

    /** Those of them with these ids. */
    public List<Reaction> reactions(Collection<String> ids) {
        return reactions.values().stream().filter(r -> ids.contains(r.id())).toList();
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
