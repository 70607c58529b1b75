package app.kemdro.core.look;

import app.kemdro.core.body.Body;
import app.kemdro.core.body.Zone;
import app.kemdro.core.method.Role;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Technique.Effect;
import app.kemdro.core.method.Trade;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Skin that costume and makeup both miss.
 *
 * @param zones zones left bare, from the crown down
 * @param areaCm2 their surface on the standard figure
 */
public record BareSkin(List<String> zones, double areaCm2) {
    private static final int WHOLE = 100;

    /** Finds skin that is not meant to stay bare, and that neither the costume covers, nor hair, nor any covering entry of the look reaches. */
    public static BareSkin of(Look look, Brief brief, Trade trade) {
        Body body = trade.body();
        Set<String> covered = new HashSet<>(brief.costumeCovers());
        covered.addAll(brief.allowed().bare());
        Map<String, Integer> shares = new HashMap<>();
        for (LookEntry entry : look.entries()) {
            Technique technique = trade.technique(entry.techniqueId());
            if (covers(technique)) {
                // of a kind of which several lie on one another only one that takes the whole zone is sure to cover it
                boolean many = trade.strata().level(technique.slot()).many();
                Stream.of(entry.zones(), technique.covers())
                        .flatMap(Collection::stream)
                        .distinct()
                        .forEach(z -> shares.merge(
                                z + " " + technique.slot(), entry.coverage(), many ? Math::max : Integer::sum));
            }
        }
        // fields side by side are of one kind of work; a thin layer over another one leaves what it leaves
        shares.forEach((where, share) -> {
            if (share >= WHOLE) {
                covered.add(where.substring(0, where.indexOf(' ')));
            }
        });
        List<String> bare = body.zones().stream()
                .filter(Zone::isSkin)
                .filter(z -> !isUnderHair(z, brief.performer().hair()))
                .map(Zone::id)
                .filter(id -> !covered.contains(id))
                .toList();
        return new BareSkin(bare, body.areaCm2(bare));
    }

    /** Hair of one's own hides the head; brows are skin all the same. */
    private static boolean isUnderHair(Zone zone, Brief.Hair hair) {
        return zone.hairy() && zone.region().equals("head") && hair != Brief.Hair.NONE;
    }

    /** Lines, specks and loose things leave the skin between them bare. */
    public static boolean covers(Technique technique) {
        Effect effect = technique.effect();
        return effect == Effect.COLOUR
                || effect == Effect.RESHAPE
                || effect == Effect.VANISH
                || effect == Effect.ADD && technique.is(Role.COVERS_HAIR);
    }
}
