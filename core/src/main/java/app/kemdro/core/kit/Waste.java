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
 * @param densities g/ml by family, of what is not as heavy as water
 * @param holds g/cm² that a glue line carries all day, by family
 * @param caps what bald caps carry
 * @param wears what is worn again, by family
 * @param counted how what is counted is counted, by family; what is not named is one for each entry, or as many as were asked for
 * @param underestimated what is said of families that people pack too little of
 */
public record Waste(
        Map<String, Kind> kinds,
        double removerPerCm2,
        int wipesLeast,
        int wipesMost,
        List<String> wiped,
        Map<String, Double> densities,
        Map<String, Double> holds,
        Caps caps,
        Map<String, Wear> wears,
        Map<String, Counted> counted,
        Map<String, String> underestimated) {
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
     * What a bald cap carries before it splits.
     *
     * @param perCm g on each centimetre of its glued edge, by its material
     * @param flat state that hair below it has when nothing gives way there
     * @param loose share that is left of it where the hair is not so
     */
    public record Caps(Map<String, Double> perCm, String flat, double loose) {
        private static Caps read(DataNode file) {
            file.onlyKeys(Set.of("per-cm", "flat", "loose", "because"));
            file.get("because").text();
            return new Caps(
                    numbers(file.get("per-cm"), 0.1, 100),
                    file.get("flat").text(),
                    file.get("loose").number(0.05, 1));
        }
    }

    /**
     * Something that is worn again.
     *
     * @param times about how often until its edge shows it
     * @param edge what then shows, and what is done about it
     */
    public record Wear(int times, String edge) {}

    /**
     * How a thing is counted.
     *
     * @param eachZone whether one lies on every zone, as of a pair
     * @param pieces how many there are to one that is asked for
     */
    public record Counted(boolean eachZone, int pieces) {
        private static final Counted ONE = new Counted(false, 1);
    }

    /**
     * Reads the data that ships with Kemdro.
     *
     * @throws app.kemdro.core.datafile.BrokenFile naming file, line and reason
     */
    public static Waste standard(Body body) {
        DataNode file = DataNode.resource("/trade/amounts.yaml");
        file.onlyKeys(Set.of(
                "kinds",
                "remover-per-cm2",
                "wipes",
                "densities",
                "holds",
                "caps",
                "wears",
                "counted",
                "underestimated"));
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
                List.copyOf(zones),
                numbers(file.get("densities"), 0.3, 20),
                numbers(file.get("holds"), 0.01, 20),
                Caps.read(file.get("caps")),
                wears(file.get("wears")),
                counted(file.get("counted")),
                words(file.get("underestimated")));
    }

    private static Map<String, Double> numbers(DataNode node, double least, double most) {
        Map<String, Double> numbers = new HashMap<>();
        node.entries().forEach((family, value) -> numbers.put(family, value.number(least, most)));
        return Map.copyOf(numbers);
    }

    private static Map<String, String> words(DataNode node) {
        Map<String, String> words = new HashMap<>();
        node.entries().forEach((family, value) -> words.put(family, value.text()));
        return Map.copyOf(words);
    }

    private static Map<String, Wear> wears(DataNode node) {
        Map<String, Wear> wears = new HashMap<>();
        node.entries().forEach((family, value) -> {
            value.onlyKeys(Set.of("times", "edge"));
            wears.put(
                    family,
                    new Wear(
                            (int) value.get("times").number(1, 1000),
                            value.get("edge").text()));
        });
        return Map.copyOf(wears);
    }

    private static Map<String, Counted> counted(DataNode node) {
        Map<String, Counted> counted = new HashMap<>();
        node.entries().forEach((family, value) -> {
            value.onlyKeys(Set.of("each-zone", "pieces"));
            counted.put(family, new Counted(value.flag("each-zone"), (int) value.number("pieces", 1, 1, 20)));
        });
        return Map.copyOf(counted);
    }

    /** How a family is counted. */
    public Counted counted(String family) {
        return counted.getOrDefault(family, Counted.ONE);
    }

    /** g/ml of a family; 1 where nothing else is known. */
    public double density(String family) {
        return densities.getOrDefault(family, 1.0);
    }

    /** What is lost of a kind; nothing of a kind that is not named. */
    public Kind of(String kind) {
        return kinds.getOrDefault(kind, NONE);
    }
}
