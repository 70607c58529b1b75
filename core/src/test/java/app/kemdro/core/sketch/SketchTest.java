package app.kemdro.core.sketch;

import static app.kemdro.core.plan.Samples.TRADE;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.entry;
import static app.kemdro.core.plan.Samples.lead;
import static app.kemdro.core.plan.Samples.look;
import static app.kemdro.core.plan.Samples.planned;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.colour.Lab;
import app.kemdro.core.colour.Paint;
import app.kemdro.core.colour.Reflectance;
import app.kemdro.core.colour.Srgb;
import app.kemdro.core.look.Look;
import app.kemdro.core.material.Material;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Samples;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class SketchTest {
    private static final Appearance APPEARANCE = Appearance.standard(TRADE);
    private static final Sketch SKETCH = new Sketch(TRADE, APPEARANCE);
    private static final Reflectance FAIR = APPEARANCE.skin("fair");

    private static Map<String, List<Sketch.Stage>> sketch(Look look) {
        return SKETCH.of(planned(look, brief(lead("Ines"))), look, FAIR, e -> Optional.empty());
    }

    private static Lab last(List<Sketch.Stage> stages) {
        return stages.get(stages.size() - 1).colour().lab();
    }

    /** Every paint the trade knows has a colour, or says that it has none that could be claimed. */
    @Test
    void everyPaintHasAColour() {
        assertThat(TRADE.materials().all())
                .filteredOn(m -> m.kind().equals("paint") && m.isLayer())
                .extracting(Material::id)
                .allMatch(id -> APPEARANCE.films().containsKey(id)
                        || APPEARANCE.shimmers().contains(id)
                        || List.of("setting-spray", "acrylic-sealer").contains(id));
    }

    @Test
    void theScalpIsHairThenCapThenPaint() {
        List<Sketch.Stage> crown = sketch(Samples.bellFounder()).get("crown");
        assertThat(crown).extracting(Sketch.Stage::second).isSorted();
        assertThat(crown.get(0).colour().lab().l()).isLessThan(25);
        assertThat(crown).anyMatch(s -> s.colour().lab().l() > 60);
        assertThat(crown).extracting(Sketch.Stage::layer).contains("latex bald cap", "castor grease for rubber");
    }

    @Test
    void aBlockedBrowIsNearTheSkinBesideIt() {
        Look brows = look(entry("brow-powder-last", "brow-left", "brow-right"));
        List<Sketch.Stage> brow = sketch(brows).get("brow-left");
        double before = brow.get(0).colour().lab().difference(FAIR.lab());
        double after =
                last(brow).difference(Reflectance.of(Srgb.hex("#c39a7c").lab()).lab());
        assertThat(after).isLessThan(before / 2);
    }

    @Test
    void aRecipeTakesThePlaceOfTheUsualColour() {
        Look base = look(entry("base-cream", "chin"));
        Plan plan = planned(base, brief(lead("Ines")));
        Paint green = Paint.opaque(Reflectance.of(Srgb.hex("#3c7a5a").lab()), 20);
        String id = base.entries().get(0).id();
        Lab painted = last(SKETCH.of(plan, base, FAIR, e -> e.equals(id) ? Optional.of(green) : Optional.empty())
                .get("chin"));
        assertThat(painted.hue()).isBetween(120.0, 190.0);
        assertThat(last(sketch(base).get("chin")).hue()).isBetween(20.0, 90.0);
    }

    @Test
    void whatShimmersIsOnlyHintedAt() {
        List<Sketch.Stage> chin = sketch(look(entry("base-bronze", "chin"))).get("chin");
        assertThat(chin.get(chin.size() - 1).claimed()).isFalse();
        assertThat(chin.get(0).claimed()).isTrue();
    }

    @Test
    void theSameFilmIsDarkerOnDarkerSkin() {
        Look wash = look(entry("base-alcohol", "throat"));
        Plan plan = planned(wash, brief(lead("Ines")));
        assertThat(last(SKETCH.of(plan, wash, APPEARANCE.skin("deep"), e -> Optional.empty())
                                .get("throat"))
                        .l())
                .isLessThan(last(sketch(wash).get("throat")).l() - 10);
    }
}
