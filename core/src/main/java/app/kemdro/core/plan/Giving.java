package app.kemdro.core.plan;

import app.kemdro.core.method.Need;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Composition.Entry;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Who gives what techniques need, zone by zone, among entries that stay as they are. */
final class Giving {
    private final List<Entry> entries;
    private final Trade trade;
    private final Map<List<String>, List<Entry>> givers = new HashMap<>();
    private final Map<String, List<Entry>> spoilers = new HashMap<>();

    Giving(List<Entry> entries, Trade trade) {
        this.entries = List.copyOf(entries);
        this.trade = trade;
    }

    /** Zones of this entry on which the need counts. */
    List<String> zonesOf(Entry entry, Need need) {
        Collection<String> zones = need.zones().isEmpty() ? entry.zones() : need.zones();
        // a zone that no implied technique may be used on, as the eyes for alcohol, does without
        List<Technique> implied = need.givenBy().stream()
                .flatMap(s -> trade.impliedGivers(s).stream())
                .toList();
        return zones.stream()
                .filter(z -> need.where() == null || anyGives(need.where(), z))
                .filter(z -> need.unless() == null || !anyGives(need.unless(), z))
                .filter(z -> implied.isEmpty()
                        || implied.stream().anyMatch(t -> t.zones().contains(z)))
                .toList();
    }

    private boolean anyGives(String state, String zone) {
        return giving(List.of(state)).stream().anyMatch(e -> e.gives(state, zone));
    }

    /** Entries that give what is needed on this zone, and whose gift still holds when it is needed. */
    List<Entry> givers(Entry needing, Need need, String zone) {
        List<Entry> found = new ArrayList<>();
        for (Entry e : giving(need.givenBy())) {
            if (e != needing && givesLastingly(e, need.givenBy(), zone) && !isLater(e, needing)) {
                found.add(e);
            }
        }
        return found;
    }

    /** Entries that give one of these states anywhere. */
    private List<Entry> giving(List<String> states) {
        return givers.computeIfAbsent(
                states,
                s -> entries.stream()
                        .filter(e -> s.stream().anyMatch(e.technique()::givesAnywhere))
                        .toList());
    }

    /** What came in later has given nothing to what was planned before it. */
    private static boolean isLater(Entry giver, Entry needing) {
        String addition = giver.addition();
        return !addition.isEmpty() && !addition.equals(needing.addition());
    }

    private boolean givesLastingly(Entry giver, List<String> states, String zone) {
        for (String state : states) {
            if (giver.gives(state, zone) && !spoilt(giver, state, zone)) {
                return true;
            }
        }
        return false;
    }

    private boolean spoilt(Entry giver, String state, String zone) {
        List<Entry> of = spoilers.computeIfAbsent(
                state,
                s -> entries.stream()
                        .filter(e -> e.technique().spoils().contains(s))
                        .toList());
        for (Entry spoiler : of) {
            if (spoiler.zones().contains(zone) && !spoiler.servesNeedOf(giver.technique())) {
                return true;
            }
        }
        return false;
    }
}
