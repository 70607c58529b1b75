package app.kemdro.core.plan;

import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.method.Need;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** What a technique would wait for in a look that gives it to nobody: it is not offered as if it could be done. */
public final class Unmet {
    private static final int NAMED = 2;

    private Unmet() {}

    /** What is missing on these zones, in words; empty where all that it needs is there or puts itself in. */
    public static Optional<String> of(Look look, Technique technique, Collection<String> zones, Trade trade) {
        for (Need need : technique.needs()) {
            boolean always = need.required()
                    && need.where() == null
                    && need.unless() == null
                    && trade.impliedGivers(need.state()).isEmpty();
            Collection<String> on = need.zones().isEmpty() ? zones : need.zones();
            List<String> lacking = always
                    ? on.stream().filter(z -> !isGiven(look, need, z, trade)).toList()
                    : List.of();
            if (!lacking.isEmpty()) {
                return Optional.of("It needs " + saying(need, lacking, trade) + " first, "
                        + trade.body().say(lacking) + ".");
            }
        }
        return Optional.empty();
    }

    private static boolean isGiven(Look look, Need need, String zone, Trade trade) {
        return look.entries().stream()
                .filter(e -> trade.has(e.techniqueId()))
                .anyMatch(e -> need.givenBy().stream().anyMatch(state -> gives(e, state, zone, trade)));
    }

    private static boolean gives(LookEntry entry, String state, String zone, Trade trade) {
        Technique technique = trade.technique(entry.techniqueId());
        boolean own = technique.gives().contains(state)
                && (technique.covers().isEmpty() ? entry.zones() : technique.covers()).contains(zone);
        return own || technique.givesAround().getOrDefault(state, Set.of()).contains(zone);
    }

    private static String saying(Need need, List<String> zones, Trade trade) {
        List<String> families = trade.techniques().stream()
                .filter(t -> !t.between() && need.givenBy().stream().anyMatch(t.gives()::contains))
                .filter(t -> zones.stream().anyMatch(t.zones()::contains))
                .map(t -> t.family().toLowerCase(Locale.ROOT))
                .distinct()
                .limit(NAMED)
                .toList();
        return families.isEmpty()
                ? need.state().replace('-', ' ')
                : families.stream().map(f -> "“" + f + "”").collect(Collectors.joining(" or "));
    }
}
