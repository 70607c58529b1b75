package app.kemdro.core.material;

import app.kemdro.core.datafile.DataNode;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;

/** A shelf of the trade. */
record Kind(String id, Set<MaterialRole> roles) {

    /** The kinds of a file, by id. */
    static Map<String, Kind> read(DataNode file) {
        Map<String, Kind> kinds = new HashMap<>();
        file.entries().forEach((id, node) -> {
            node.onlyKeys(Set.of("roles", "because"));
            node.get("because").text();
            kinds.put(id, new Kind(id, Set.copyOf(node.choices("roles", MaterialRole.class))));
        });
        return kinds;
    }
}
