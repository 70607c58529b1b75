package app.kemdro.web.parts.figure;

import app.kemdro.core.body.Zone;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.method.Technique.Effect;
import app.kemdro.core.method.Trade;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/** What a look does to a zone, as one tint: the strongest change wins. */
public final class LookTints {
    private static final List<Effect> STRONGEST_FIRST =
            List.of(Effect.RESHAPE, Effect.VANISH, Effect.TEXTURE, Effect.COLOUR);

    private LookTints() {}

    /** The figure with a look on it. */
    public static FigureModel figure(Look look, Set<String> selected, Trade trade) {
        return FigureModel.of(trade.body(), selected, zone -> tint(look.on(zone), trade));
    }

    /** A figure that is only looked at: the zones on which something lies, and how they are tinted. */
    public static Map<String, Map<String, Map<String, String>>> worn(Look look, Trade trade) {
        Map<String, Map<String, String>> zones = new LinkedHashMap<>();
        for (Zone zone : trade.body().zones()) {
            String tint = tint(look.on(zone.id()), trade).tint();
            if (!tint.isEmpty()) {
                zones.put(zone.id(), Map.of("tint", tint));
            }
        }
        return Map.of("zones", zones);
    }

    private static FigureModel.Tint tint(List<LookEntry> entries, Trade trade) {
        List<Effect> effects = entries.stream()
                .filter(e -> trade.has(e.techniqueId()))
                .map(e -> trade.technique(e.techniqueId()).effect())
                .toList();
        return STRONGEST_FIRST.stream()
                .filter(effects::contains)
                .findFirst()
                .map(e -> e.name().toLowerCase(Locale.ROOT))
                .map(word -> new FigureModel.Tint(word, word))
                .orElse(FigureModel.Tint.NONE);
    }
}
