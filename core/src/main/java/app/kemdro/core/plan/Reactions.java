package app.kemdro.core.plan;

import app.kemdro.core.material.Materials.Reaction;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import java.util.List;
import java.util.Set;

/** What a performer's reactions bar. */
public final class Reactions {
    private Reactions() {}

    /** Reactions of this performer that bar this technique, because one of its materials contains the cause. */
    public static List<Reaction> barring(Technique technique, Set<String> reactsTo, Trade trade) {
        return technique.materials().stream()
                .flatMap(m -> trade.materials().family(m).contains().stream())
                .filter(reactsTo::contains)
                .distinct()
                .map(trade.materials()::reaction)
                .toList();
    }
}
