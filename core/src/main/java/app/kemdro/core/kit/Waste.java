package app.kemdro.core.kit;

import app.kemdro.core.body.Body;
import app.kemdro.core.datafile.DataNode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * How much more than what reaches the skin is needed, from trade/amounts.yaml.
 *
 * @param removerPerCm2 g of remover for each film on a square centimetre
 * @param wipesLeast wipes that take paint off face, neck, chest and cap, at least
 * @param wipesMost the same, at most
 * @param wiped zones those wipes are for
 */
public record Waste(Map<String, Kind> kinds, double removerPerCm2, int wipesLeast, int wipesMost, List<String> wiped) {
    private static final Kind NONE = new Kind(0, 0, 0, "");

    /**
     * One shelf of the trade.
     *
     * @param loss share of what is laid that stays in the tool
     * @param cup g that stay in the cup, once a day
     * @param reserve share that is packed on top
     */
    public record Kind(double loss, double cup, double reserve, String because) {}

    /**
     * Reads the data that ships with Kemdro.
     *
     * @throws app.kemdro.core.datafile.BrokenFile naming file, line and reason
     */
    public static Waste standard(Body body) {
        DataNode file = DataNode.resource("/trade/amounts.yaml");
        file.onlyKeys(Set.of("kinds", "remover-per-cm2", "wipes"));
        Map<String, Kind> kinds = new HashMap<>();
        file.get("kinds").entries().forEach((kind, node) -> {
            node.onlyKeys(Set.of("loss", "cup", "reserve", "because"));
            kinds.put(
                    kind,
                    new Kind(
                            node.get("loss").number(0, 3),
                            node.get("cup").number(0, 50),
                            node.get("reserve").number(0, 3),
                            node.get("because").text()));
        });
        DataNode wipes = file.get("wipes");
        wipes.onlyKeys(Set.of("least", "most", "zones"));
        List<String> zones = new ArrayList<>();
        for (String word : wipes.words("zones")) {
            if (body.named(word).isEmpty()) {
                throw wipes.broken("'" + word + "' is no zone and no group");
            }
            zones.addAll(body.named(word));
        }
        return new Waste(
                Map.copyOf(kinds),
                file.get("remover-per-cm2").number(0, 1),
                (int) wipes.get("least").number(0, 200),
                (int) wipes.get("most").number(0, 200),
                List.copyOf(zones));
    }

    /** What is lost of a kind; nothing of a kind that is not named. */
    public Kind of(String kind) {
        return kinds.getOrDefault(kind, NONE);
    }
}
