package app.kemdro.web.records.performer;

import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Words kept in one column, with commas between. */
public final class Joined {
    private Joined() {}

    public static String join(Collection<String> words) {
        return words.stream().sorted().collect(Collectors.joining(","));
    }

    public static Set<String> split(String joined) {
        return Stream.of(joined.split(","))
                .filter(s -> !s.isEmpty())
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }
}
