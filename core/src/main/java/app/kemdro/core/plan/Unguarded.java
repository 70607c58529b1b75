package app.kemdro.core.plan;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Hair;
import app.kemdro.core.method.FineHair;
import app.kemdro.core.method.Rule.Pick;
import app.kemdro.core.method.StepTemplate;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Composition.Entry;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** Fine hair that glue or latex comes near and that nothing in the look guards. */
final class Unguarded {
    private final Trade trade;
    private final FineHair hair;
    private final List<FineHair.Place> places;

    Unguarded(Trade trade, Brief brief) {
        this.trade = trade;
        this.hair = trade.fineHair();
        this.places =
                hair.of(brief.performer().hair() != Hair.NONE, brief.performer().fineHair());
    }

    /** Zones of it, as far as it is the work of one addition, or of the look from the beginning where that is empty. */
    Set<String> zones(List<Entry> entries, String addition) {
        Set<String> glued = new LinkedHashSet<>();
        hair.work()
                .ifPresent(w -> entries.stream()
                        .filter(e -> e.addition().equals(addition))
                        .filter(e -> w.slots().contains(e.technique().slot()))
                        .forEach(e -> e.technique().steps().stream()
                                .filter(s -> lays(s, w))
                                .forEach(s -> glued.addAll(s.zones().isEmpty() ? e.zones() : s.zones()))));
        Set<String> open = new LinkedHashSet<>();
        for (FineHair.Place place : places) {
            for (String zone : place.zones()) {
                boolean near = glued.contains(zone)
                        || trade.body().zone(zone).neighbours().stream().anyMatch(glued::contains);
                if (near
                        && !isGuarded(zone, entries)
                        && place.hidden().filter(h -> isGuarded(h, entries)).isEmpty()) {
                    open.add(zone);
                }
            }
        }
        return open;
    }

    private boolean lays(StepTemplate step, Pick work) {
        return step.material() != null && work.fits(trade.materials().family(step.material()));
    }

    private boolean isGuarded(String zone, Collection<Entry> entries) {
        return entries.stream().anyMatch(e -> hair.unless().stream().anyMatch(state -> e.gives(state, zone)));
    }
}
