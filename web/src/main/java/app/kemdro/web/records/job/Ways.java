package app.kemdro.web.records.job;

import app.kemdro.web.records.performer.Joined;
import java.util.Map;
import java.util.TreeMap;

/** Ways that were chosen, kept in one column as "costume=border,lenses=last". */
final class Ways {
    private Ways() {}

    static String join(Map<String, String> ways) {
        return Joined.join(ways.entrySet().stream()
                .map(e -> e.getKey() + "=" + e.getValue())
                .toList());
    }

    static Map<String, String> split(String joined) {
        Map<String, String> ways = new TreeMap<>();
        Joined.split(joined).forEach(w -> ways.put(w.substring(0, w.indexOf('=')), w.substring(w.indexOf('=') + 1)));
        return ways;
    }
}
