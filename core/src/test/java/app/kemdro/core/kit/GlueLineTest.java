package app.kemdro.core.kit;

import static app.kemdro.core.plan.Samples.TRADE;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.entry;
import static app.kemdro.core.plan.Samples.lead;
import static app.kemdro.core.plan.Samples.look;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.kemdro.core.look.Brief.Performer;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.material.Material;
import app.kemdro.core.plan.Areas;
import java.util.List;
import org.junit.jupiter.api.Test;

class GlueLineTest {
    private static final Waste WASTE = Waste.standard(TRADE.body());
    private static final Performer TOMAS = brief(lead("Ines")).performer();

    private static GlueLine line(LookEntry entry) {
        return GlueLine.of(look(entry), TOMAS, TRADE, WASTE).get(0);
    }

    /** By hand: foam of 0.06 g/cm² on a cheek hangs on acrylic adhesive that carries half a gram. */
    @Test
    void foamIsLight() {
        GlueLine cheek = line(entry("foam-piece", "cheek-left"));
        assertThat(cheek.load()).isCloseTo(0.06, within(1e-9));
        assertThat(cheek.grams()).isCloseTo(0.06 * Areas.of(List.of("cheek-left"), TOMAS, TRADE.body()), within(1e-9));
        assertThat(cheek.isOver() || cheek.isNear()).isFalse();
    }

    @Test
    void siliconeOnAcrylicAdhesiveIsNearItsLimitAndTooMuchWhenItIsHeavy() {
        GlueLine usual = line(entry("silicone-plastic", "cheek-left"));
        assertThat(usual.isNear()).isTrue();
        LookEntry heavy = new LookEntry(
                "heavy", "silicone-plastic", List.of("cheek-left"), 0, 0, LookEntry.Strength.HEAVY, 100, null);
        GlueLine over = line(heavy);
        assertThat(over.isOver()).isTrue();
        assertThat(over.better()).extracting(Material::id).contains("silicone-adhesive");
        assertThat(over.better()).allMatch(m -> WASTE.holds().get(m.id()) >= over.load());
    }

    @Test
    void whatWeighsNothingHasNoLine() {
        assertThat(GlueLine.of(look(entry("base-cream", "chin")), TOMAS, TRADE, WASTE))
                .isEmpty();
    }
}
