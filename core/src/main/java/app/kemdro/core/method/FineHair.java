package app.kemdro.core.method;

import app.kemdro.core.datafile.DataNode;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;

/**
 * Hair of one's own that glue and latex would catch, and what keeps them off it.
 *
 * @param places where it grows
 * @param guard technique by which it is guarded where nothing else does; empty where nothing is
 * @param work what has it guarded, where it comes near
 * @param unless states of a zone in which its hair needs no other guard
 */
public record FineHair(
        List<Place> places, Optional<Technique> guard, Optional<Rule.Pick> work, Set<String> unless, String because) {
    public FineHair {
        places = List.copyOf(places);
        unless = Set.copyOf(unless);
    }

    /**
     * A place where it grows.
     *
     * @param onEverybody whether it grows on whoever has hair on the head; otherwise it is said of a performer
     * @param hidden the zone of the head with which it is hidden, if any
     */
    public record Place(String id, Set<String> zones, boolean onEverybody, Optional<String> hidden, String says) {}

    /** Places that are said of a performer. */
    public List<Place> asked() {
        return places.stream().filter(p -> !p.onEverybody()).toList();
    }

    /**
     * Where it grows on somebody.
     *
     * @param hair whether there is hair on the head
     * @param said places that are said of them
     */
    public List<Place> of(boolean hair, Set<String> said) {
        return places.stream()
                .filter(p -> p.onEverybody() ? hair : said.contains(p.id()))
                .toList();
    }

    /** Whether somebody of whom this is said has so much hair on a zone that glue meets hair and not skin. */
    public boolean meetsHair(String zone, Set<String> said) {
        return asked().stream().anyMatch(p -> p.zones().contains(zone) && said.contains(p.id()));
    }

    static FineHair read(
            DataNode file, List<Technique> techniques, Predicate<String> isZone, Function<DataNode, Rule.Pick> pick) {
        file.onlyKeys(Set.of("places", "guard"));
        if (file.find("places") == null) {
            return new FineHair(List.of(), Optional.empty(), Optional.empty(), Set.of(), "");
        }
        List<Place> places = file.get("places").entries().entrySet().stream()
                .map(e -> place(e.getKey(), e.getValue(), isZone))
                .toList();
        DataNode guard = file.get("guard");
        guard.onlyKeys(Set.of("by", "work", "unless", "because"));
        Technique by = TradeReader.named(guard.get("by"), techniques);
        return new FineHair(
                places,
                Optional.of(by),
                Optional.of(pick.apply(guard.get("work"))),
                new LinkedHashSet<>(guard.words("unless")),
                guard.get("because").text());
    }

    private static Place place(String id, DataNode node, Predicate<String> isZone) {
        node.onlyKeys(Set.of("zones", "own", "hidden", "says"));
        Set<String> zones = node.known("zones", isZone, "there is no zone");
        String own = node.get("own").text();
        if (!Set.of("head", "asked").contains(own)) {
            throw node.get("own").broken("own is head or asked");
        }
        return new Place(
                id,
                zones,
                own.equals("head"),
                Optional.ofNullable(node.find("hidden")).map(DataNode::text),
                node.get("says").text());
    }
}
