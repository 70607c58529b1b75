package app.kemdro.core.body;

import app.kemdro.core.datafile.DataNode;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** All zones of the figure, and the rows in which the running order shows them from the crown down. */
public final class Body {
    private final Map<String, Zone> zones;
    private final List<String> rows;
    private final Map<String, List<Integer>> pins;
    private final Map<String, List<String>> groups;
    private final Kinds kinds;
    private final Map<String, List<String>> regions = new TreeMap<>();

    private Body(
            Map<String, Zone> zones,
            List<String> rows,
            Map<String, List<Integer>> pins,
            Map<String, List<String>> groups,
            Kinds kinds) {
        this.kinds = kinds;
        this.pins = pins;
        this.zones = zones;
        this.rows = rows;
        this.groups = groups;
        zones.values()
                .forEach(z -> regions.computeIfAbsent(z.region(), k -> new ArrayList<>())
                        .add(z.id()));
    }

    /**
     * Reads the zones that ship with Kemdro.
     *
     * @throws app.kemdro.core.datafile.BrokenFile when the file contradicts itself
     */
    public static Body standard() {
        return read(DataNode.resource("/trade/zones.yaml"));
    }

    static Body read(DataNode file) {
        file.onlyKeys(Set.of(
                "rows",
                "pins",
                "groups",
                "zones",
                "moving",
                "scales-with-head",
                "one-piece",
                "scalp",
                "vanish",
                "blind-look",
                "creasing"));
        List<String> rows = file.words("rows");
        Map<String, Zone> zones = new LinkedHashMap<>();
        Map<String, DataNode> places = file.get("zones").entries();
        places.forEach((id, node) -> {
            node.onlyKeys(Set.of(
                    "name", "row", "region", "area", "neighbours", "place", "hairy", "blind-in-mirror", "in-mirror"));
            String row = node.get("row").text();
            if (!rows.contains(row)) {
                throw node.get("row").broken("row '" + row + "' is not in the list of rows");
            }
            zones.put(
                    id,
                    new Zone(
                            id,
                            node.text("name", id.replace('-', ' ')),
                            row,
                            node.get("region").text(),
                            node.get("area").number(1, 5000),
                            new LinkedHashSet<>(node.words("neighbours")),
                            node.find("place") == null
                                    ? Place.SKIN
                                    : node.get("place").choice(Place.class),
                            node.flag("hairy"),
                            node.flag("blind-in-mirror"),
                            node.number("in-mirror", 1, 1, 3)));
        });
        zones.values()
                .forEach(zone -> zone.neighbours().forEach(other -> {
                    if (!zones.containsKey(other)) {
                        throw places.get(zone.id()).broken("neighbour '" + other + "' of " + zone.id() + " is no zone");
                    }
                    if (!zones.get(other).neighbours().contains(zone.id())) {
                        throw places.get(zone.id()).broken(other + " does not name " + zone.id() + " as its neighbour");
                    }
                }));
        return new Body(
                zones,
                rows,
                pins(file.find("pins"), rows),
                groups(file.find("groups"), zones),
                Kinds.read(file, zones, rows));
    }

    /**
     * Zones and regions of which something must be known.
     *
     * @param moving zones whose skin is never still
     * @param creasing zones whose skin folds, so that cream gathers in lines
     * @param head regions that grow with the girth of the head
     * @param onePiece regions whose skin is prepared in one go
     * @param scalp the row where hair of one's own shows
     * @param vanish what a brief can ask to vanish, in words by zone
     * @param blindLook what is said with work that one does not see on oneself
     */
    private record Kinds(
            Set<String> moving,
            Set<String> creasing,
            Set<String> head,
            Set<String> onePiece,
            String scalp,
            Map<String, String> vanish,
            String blindLook) {

        static Kinds read(DataNode file, Map<String, Zone> zones, List<String> rows) {
            Set<String> regions = zones.values().stream().map(Zone::region).collect(Collectors.toSet());
            Map<String, String> vanish = new LinkedHashMap<>();
            if (file.find("vanish") != null) {
                known(file, "vanish", file.get("vanish").entries().keySet(), zones.keySet());
                file.get("vanish").entries().forEach((zone, node) -> vanish.put(zone, node.text()));
            }
            String scalp = file.text("scalp", "");
            if (!scalp.isEmpty()) {
                known(file, "scalp", List.of(scalp), rows);
            }
            return new Kinds(
                    known(file, "moving", file.words("moving"), zones.keySet()),
                    known(file, "creasing", file.words("creasing"), zones.keySet()),
                    known(file, "scales-with-head", file.words("scales-with-head"), regions),
                    known(file, "one-piece", file.words("one-piece"), regions),
                    scalp,
                    vanish,
                    file.text("blind-look", ""));
        }

        private static Set<String> known(DataNode file, String key, Collection<String> named, Collection<String> all) {
            named.stream().filter(n -> !all.contains(n)).findFirst().ifPresent(n -> {
                throw file.get(key).broken("there is no '" + n + "'");
            });
            return Set.copyOf(named);
        }
    }

    /** Whether its skin is never still. */
    public boolean moves(String zone) {
        return kinds.moving().contains(zone);
    }

    /** Whether its skin folds, so that cream gathers in lines. */
    public boolean creases(String zone) {
        return kinds.creasing().contains(zone);
    }

    /** Whether it grows with the girth of the head. */
    public boolean scalesWithHead(Zone zone) {
        return kinds.head().contains(zone.region());
    }

    /** Whether the skin of a region is prepared together with that of the others of which this holds. */
    public boolean isOnePiece(String region) {
        return kinds.onePiece().contains(region);
    }

    /** Whether hair of one's own shows there, if there is any. */
    public boolean isScalp(Zone zone) {
        return zone.row().equals(kinds.scalp()) && zone.hairy();
    }

    /** What is said with work in places that one reaches on oneself and does not see. */
    public String blindLook() {
        return kinds.blindLook();
    }

    /** What a brief can ask to vanish, in words by zone. */
    public Map<String, String> canVanish() {
        return kinds.vanish();
    }

    private static Map<String, List<Integer>> pins(@Nullable DataNode node, List<String> rows) {
        Map<String, List<Integer>> pins = new LinkedHashMap<>();
        if (node != null) {
            node.entries().forEach((row, place) -> {
                List<Integer> at = place.items().stream()
                        .map(n -> (int) n.number(0, 10_000))
                        .toList();
                if (!rows.contains(row) || at.size() != 2) {
                    throw place.broken("a pin is a row of the list and two numbers, across and down");
                }
                pins.put(row, at);
            });
        }
        return pins;
    }

    private static Map<String, List<String>> groups(@Nullable DataNode node, Map<String, Zone> zones) {
        Map<String, List<String>> groups = new LinkedHashMap<>();
        if (node != null) {
            node.entries().forEach((id, list) -> {
                if (zones.containsKey(id)) {
                    throw list.broken("group '" + id + "' is called like a zone");
                }
                List<String> members = list.items().stream().map(DataNode::text).toList();
                members.stream().filter(z -> !zones.containsKey(z)).findFirst().ifPresent(z -> {
                    throw list.broken("'" + z + "' in group " + id + " is no zone");
                });
                groups.put(id, members);
            });
        }
        return groups;
    }

    /** The zones that a word of the data stands for: a zone's own name, a group's or a surface's; empty for any other. */
    public List<String> named(String word) {
        if (zones.containsKey(word)) {
            return List.of(word);
        }
        return groups.containsKey(word)
                ? groups.get(word)
                : zones.values().stream()
                        .filter(z -> z.place().name().equalsIgnoreCase(word))
                        .map(Zone::id)
                        .toList();
    }

    public Collection<Zone> zones() {
        return zones.values();
    }

    public boolean has(String id) {
        return zones.containsKey(id);
    }

    /** The zone of this id. */
    public Zone zone(String id) {
        Zone found = zones.get(id);
        if (found == null) {
            throw new IllegalArgumentException("No zone is called '" + id + "'");
        }
        return found;
    }

    /** Rows of the running order, from the crown down. */
    public List<String> rows() {
        return rows;
    }

    /** Where a row's thread leaves the drawing of the right side, across and down in its units; empty where it does not show there. */
    public Optional<List<Integer>> pin(String row) {
        return Optional.ofNullable(pins.get(row));
    }

    /** Summed surface of these zones on the standard figure, cm². */
    public double areaCm2(Collection<String> ids) {
        return ids.stream().mapToDouble(id -> zone(id).areaCm2()).sum();
    }

    /** These zones in the order of the body from the crown down, without repeats. */
    public List<String> sorted(Collection<String> ids) {
        Set<String> wanted = Set.copyOf(ids);
        return zones.keySet().stream().filter(wanted::contains).toList();
    }

    /** A short spoken name for a set of zones: pairs are said as "both cheeks", whole regions by their name. */
    public String say(Collection<String> ids) {
        Set<String> left = new LinkedHashSet<>(sorted(ids));
        List<String> words = new ArrayList<>();
        regions.forEach((region, all) -> {
            if (all.size() > 2 && left.containsAll(all)) {
                words.add("whole " + region);
                all.forEach(left::remove);
            }
        });
        for (String id : List.copyOf(left)) {
            if (!left.contains(id)) {
                continue;
            }
            String other = mirror(id);
            if (!other.equals(id) && left.contains(other)) {
                words.add("both " + plural(zone(id).name().replace("left ", "").replace("right ", "")));
                left.remove(other);
            } else {
                words.add(zone(id).name());
            }
            left.remove(id);
        }
        return words.size() > 3
                ? String.join(", ", words.subList(0, 2)) + " and " + (words.size() - 2) + " more"
                : String.join(", ", words);
    }

    /** The zone on the other side, or the zone itself where the body has only one. */
    public String mirror(String id) {
        String other = id.endsWith("-left")
                ? id.replace("-left", "-right")
                : id.endsWith("-right") ? id.replace("-right", "-left") : id;
        return zones.containsKey(other) ? other : id;
    }

    private static String plural(String word) {
        return word.endsWith("s") ? word : word + "s";
    }
}
