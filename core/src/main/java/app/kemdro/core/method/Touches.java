package app.kemdro.core.method;

import app.kemdro.core.body.Body;
import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.material.Material;
import app.kemdro.core.material.Materials;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What comes off on whatever a performer touches, from trade/transfer.yaml.
 *
 * @param coming by the surface that lies on top; what is not named stays where it is
 * @param touched what touches the body when the performer leaves the chair
 */
public record Touches(Map<String, Coming> coming, List<Touch> touched) {
    /**
     * What happens to a surface that is touched.
     *
     * @param says what happens where it lies open
     * @param powdered what happens where powder lies on it; empty where nothing does
     * @param stop what stops it
     */
    public record Coming(String says, String powdered, String stop) {}

    /**
     * Something that is touched.
     *
     * @param costume whether it also touches what the costume covers, and what lies beside that
     */
    public record Touch(String what, boolean costume, List<String> zones) {}

    static Touches read(DataNode file, Body body, Materials materials) {
        file.onlyKeys(Set.of("comes-off", "touched"));
        Set<String> surfaces = materials.all().stream().map(Material::surface).collect(Collectors.toSet());
        Map<String, Coming> coming = new HashMap<>();
        file.get("comes-off").entries().forEach((surface, node) -> {
            node.onlyKeys(Set.of("says", "powdered", "stop"));
            if (!surfaces.contains(surface)) {
                throw node.broken("no material has the surface '" + surface + "'");
            }
            coming.put(
                    surface,
                    new Coming(
                            node.get("says").text(),
                            node.text("powdered", ""),
                            node.get("stop").text()));
        });
        List<Touch> touched = new ArrayList<>();
        for (DataNode node : file.get("touched").items()) {
            node.onlyKeys(Set.of("what", "costume", "zones", "because"));
            node.get("because").text();
            List<String> zones = new ArrayList<>();
            for (String word : node.words("zones")) {
                if (body.named(word).isEmpty()) {
                    throw node.broken("'" + word + "' is no zone and no group");
                }
                zones.addAll(body.named(word));
            }
            touched.add(new Touch(node.get("what").text(), node.flag("costume"), List.copyOf(zones)));
        }
        return new Touches(Map.copyOf(coming), List.copyOf(touched));
    }
}
