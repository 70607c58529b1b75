package app.kemdro.core.plan;

import app.kemdro.core.method.Need;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Composition.Entry;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;

/** Who gives what techniques need, zone by zone. */
final class Giving {
    private final List<Entry> entries;
    private final Trade trade;

    /** Among these entries, as they are whenever something is asked. */
    Giving(List<Entry> entries, Trade trade) {
        this.entries = entries;
        this.trade = trade;
    }

    /** Zones of this entry on which the need counts. */
    List<String> zonesOf(Entry entry, Need need) {
        Collection<String> zones = need.zones().isEmpty() ? entry.zones() : need.zones();
        return zones.stream()
                .filter(z -> need.where() == null || anyGives(need.where(), z))
                .filter(z -> need.unless() == null || !anyGives(need.unless(), z))
                .filter(z -> !onlySpared(need, z))
                .toList();
    }

    /** A zone that no implied technique may be used on, as the eyes for alcohol, does without. */
    private boolean onlySpared(Need need, String zone) {
        List<Technique> implied = need.givenBy().stream()
                .flatMap(s -> trade.impliedGivers(s).stream())
                .toList();
        return !implied.isEmpty() && implied.stream().noneMatch(t -> t.zones().contains(zone));
    }

    private boolean anyGives(String state, String zone) {
        return entries.stream().anyMatch(e -> e.gives(state, zone));
    }

    /** Entries that give what is needed on this zone, and whose gift still holds when it is needed. */
    List<Entry> givers(Entry needing, Need need, String zone) {
        List<Entry> givers = new ArrayList<>();
        for (Entry e : entries) {
            for (String state : need.givenBy()) {
                // what came in later has given nothing to what was planned before it
                boolean later = !e.addition().isEmpty() && !e.addition().equals(needing.addition());
                if (e != needing && !later && e.gives(state, zone) && !spoilt(e, state, zone)) {
                    givers.add(e);
                    break;
                }
            }
        }
        return givers;
    }

    private boolean spoilt(Entry giver, String state, String zone) {
        for (Entry spoiler : entries) {
            if (spoiler.technique().spoils().contains(state)
                    && spoiler.zones().contains(zone)
                    && !spoiler.servesNeedOf(giver.technique())) {
                return true;
            }
        }
        return false;
    }
}
