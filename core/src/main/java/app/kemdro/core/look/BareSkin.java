package app.kemdro.core.look;

import app.kemdro.core.body.Body;
import app.kemdro.core.body.Zone;
import app.kemdro.core.method.Role;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Technique.Effect;
import app.kemdro.core.method.Trade;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

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
        for (LookEntry entry : look.entries()) {
            Technique technique = trade.technique(entry.techniqueId());
            if (entry.coverage() == WHOLE && covers(technique)) {
                covered.addAll(entry.zones());
                covered.addAll(technique.covers());
            }
        }
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
