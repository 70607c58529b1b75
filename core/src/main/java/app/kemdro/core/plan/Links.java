package app.kemdro.core.plan;

import app.kemdro.core.schedule.Lag;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** What follows what, as it is found out: one link at most between two steps, and who comes before whom by all of them. */
final class Links {
    private final Map<String, Lag> lags = new LinkedHashMap<>();
    private final Map<String, Integer> index = new HashMap<>();
    private final List<BitSet> behind = new ArrayList<>();

    List<Lag> lags() {
        return List.copyOf(lags.values());
    }

    /** Links two steps, unless they are linked already. */
    void add(String from, String to, Lag.Kind kind, @Nullable Integer within, String because) {
        if (lags.putIfAbsent(key(from, to), new Lag(from, to, kind, within, because)) == null) {
            int earlier = index(from);
            int later = index(to);
            BitSet all = (BitSet) behind.get(later).clone();
            all.set(later);
            for (int k = 0; k < behind.size(); k++) {
                if (k == earlier || behind.get(k).get(earlier)) {
                    behind.get(k).or(all);
                }
            }
        }
    }

    /** Whether two steps are linked. */
    boolean joined(String from, String to) {
        return lags.containsKey(key(from, to));
    }

    /** Whether one step comes before another by what is known so far. */
    boolean leads(String from, String to) {
        Integer earlier = index.get(from);
        Integer later = index.get(to);
        return earlier != null && later != null && behind.get(earlier).get(later);
    }

    private int index(String step) {
        return index.computeIfAbsent(step, k -> {
            behind.add(new BitSet());
            return behind.size() - 1;
        });
    }

    private static String key(String from, String to) {
        return from + " > " + to;
    }
}
