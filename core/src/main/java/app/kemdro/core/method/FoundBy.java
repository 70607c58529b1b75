package app.kemdro.core.method;

import app.kemdro.core.datafile.DataNode;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;

/** What people call what a technique makes, from trade/found-by.yaml: "barnacles" are texture patches, among others. */
public final class FoundBy {
    private final List<Row> rows;
    private final Map<String, Called> called = new LinkedHashMap<>();

    private FoundBy(Collection<Technique> techniques, List<Row> rows) {
        this.rows = rows;
        for (Technique t : techniques) {
            Set<String> own = words(t.name() + " " + t.family());
            Set<String> all = new LinkedHashSet<>(own);
            rows.stream()
                    .filter(r -> r.are().stream().anyMatch(x -> x.id().equals(t.id())))
                    .forEach(r -> all.addAll(r.words()));
            called.put(t.id(), new Called(t, own, all));
        }
    }

    /** A technique with the words of its name and family, and with those that people use besides. */
    private record Called(Technique technique, Set<String> own, Set<String> all) {}

    /** Words, and what makes it, the likeliest first. */
    private record Row(Set<String> words, List<Technique> are) {}

    /**
     * Reads the data that ships with Kemdro.
     *
     * @throws app.kemdro.core.datafile.BrokenFile naming file, line and reason
     */
    public static FoundBy standard(Trade trade) {
        List<Row> rows = new ArrayList<>();
        for (DataNode row : DataNode.resource("/trade/found-by.yaml").items()) {
            row.onlyKeys(Set.of("words", "are"));
            List<Technique> are = new ArrayList<>();
            for (String name : row.words("are")) {
                List<Technique> meant = trade.techniques().stream()
                        .filter(t -> t.id().equals(name) || t.family().equals(name))
                        .toList();
                if (meant.isEmpty()) {
                    throw row.broken("'" + name + "' is no family of techniques, and no technique");
                }
                are.addAll(meant);
            }
            rows.add(new Row(words(row.get("words").text()), are));
        }
        return new FoundBy(trade.techniques(), rows);
    }

    /** Words that a technique is found by: its name, its family and what people call it, in small letters with spaces between. */
    public String of(Technique technique) {
        return of(technique.id());
    }

    /** The same by the technique's id; empty where there is none. */
    public String of(String technique) {
        Called known = called.get(technique);
        return known == null ? "" : String.join(" ", known.all());
    }

    /** What is called like this: every word that is typed begins one of its words, or is several of them. What is called so comes before what merely is named so. */
    public List<Technique> find(String typed) {
        Set<String> wanted = words(typed);
        if (wanted.isEmpty()) {
            return List.of();
        }
        Map<String, Technique> found = new LinkedHashMap<>();
        rows.stream()
                .filter(r -> holds(r.words(), wanted))
                .flatMap(r -> r.are().stream())
                .forEach(t -> found.putIfAbsent(t.id(), t));
        for (Function<Called, Set<String>> of : List.<Function<Called, Set<String>>>of(Called::own, Called::all)) {
            called.values().stream()
                    .filter(c -> holds(of.apply(c), wanted))
                    .forEach(c -> found.putIfAbsent(c.technique().id(), c.technique()));
        }
        return List.copyOf(found.values());
    }

    private static boolean holds(Collection<String> words, Set<String> typed) {
        return typed.stream().allMatch(w -> words.stream().anyMatch(x -> x.startsWith(w) || w.equals(x + "s")));
    }

    private static Set<String> words(String text) {
        Set<String> words = new LinkedHashSet<>();
        Stream.of(text.toLowerCase(Locale.ROOT).split("[^a-z0-9]+"))
                .filter(w -> !w.isEmpty())
                .forEach(words::add);
        return words;
    }
}
