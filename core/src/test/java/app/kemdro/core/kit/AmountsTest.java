package app.kemdro.core.kit;

import static app.kemdro.core.plan.Samples.TRADE;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.entry;
import static app.kemdro.core.plan.Samples.lead;
import static app.kemdro.core.plan.Samples.look;
import static app.kemdro.core.plan.Samples.planned;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Performer;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.plan.Areas;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Samples;
import app.kemdro.core.schedule.Planner;
import app.kemdro.core.strike.Strike;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

class AmountsTest {
    private static final Amounts AMOUNTS = new Amounts(TRADE, Waste.standard(TRADE.body()));
    private static final Strike STRIKE = new Strike(TRADE, 0.02, Planner.trying(60));

    private static Need need(Plan plan, Look look, String family) {
        return AMOUNTS.of(plan, look, STRIKE.of(plan)).stream()
                .filter(n -> n.family().id().equals(family))
                .findFirst()
                .orElseThrow(() -> new AssertionError(family + " is not needed"));
    }

    /** ISO 24444 (from memory): a thin even film is 2 mg/cm²; an even cream base on the chin, worked by hand. */
    @Test
    void aCreamBaseIsTwoMilligramsOnEachSquareCentimetre() {
        Look chin = look(entry("base-cream", "chin"));
        Plan plan = planned(chin, brief(lead("Ines")));
        double area = Areas.of(List.of("chin"), plan.brief().performer(), TRADE.body());
        Need cream = need(plan, chin, "cream");
        assertThat(cream.laid()).isCloseTo(area * 0.002, within(area * 0.0002));
        assertThat(cream.grams())
                .as("a third more in the sponge, a gram in the cup")
                .isCloseTo(cream.laid() * 1.35 + 1, within(1e-9));
        assertThat(cream.packed()).isCloseTo(cream.grams() * 1.3, within(1e-9));
    }

    /** Common practice: a pair is two; four hooks a side are eight short ones and eight long wires. */
    @Test
    void pairsAreTwoAndHooksAreCountedWithTheirWires() {
        Look ears = look(entry("false-ears-acrylic", "ear-left", "ear-right"));
        assertThat(need(planned(ears, brief(lead("Ines"))), ears, "foam-ear-tip")
                        .pieces())
                .isEqualTo(2);
        Look eyes = look(entry("lenses-first", "eye-left", "eye-right"));
        assertThat(need(planned(eyes, brief(lead("Ines"))), eyes, "contact-lens")
                        .pieces())
                .isEqualTo(2);
        Look one = look(entry("lenses-first", "eye-left"));
        assertThat(need(planned(one, brief(lead("Ines"))), one, "contact-lens").pieces())
                .isEqualTo(1);
        Look rig = look(entry("wire-rig", "cheek-left", "cheek-right"));
        assertThat(need(planned(rig, brief(lead("Ines"))), rig, "wire-rig").pieces())
                .isEqualTo(16);
    }

    @Test
    void aLargerHeadTakesMore() {
        Look chin = look(entry("base-cream", "chin"));
        Brief usual = brief(lead("Ines"));
        Brief large = new Brief(
                usual.call(),
                usual.chairIn(),
                new Performer("Large", 0, 0, 61.6, Set.of()),
                usual.crew(),
                usual.room(),
                usual.costumeCovers(),
                0,
                false);
        // 61.6 cm is a tenth more girth than the figure's 56: 1.21 times the surface
        assertThat(need(planned(chin, large), chin, "cream").laid())
                .isCloseTo(need(planned(chin, usual), chin, "cream").laid() * 1.21, within(1e-6));
    }

    /** [F5] common practice: a strip of 13 mm; by hand, 19 mm by 28 cm round the nape at 45 g/m²: 0.2394 g. */
    @Test
    void aStripIsLengthTimesWidthAndNotTheWholeZone() {
        Look cap = look(entry("cap-latex-back-loose", "crown"), entry("hair-flat", "crown"));
        Look whole = look(entry("cap-latex", "crown"), entry("hair-flat", "crown"));
        double front =
                need(planned(cap, brief(lead("Ines"))), cap, "acrylic-adhesive").laid();
        double both = need(planned(whole, brief(lead("Ines"))), whole, "acrylic-adhesive")
                .laid();
        assertThat(both - front).isCloseTo(0.2394, within(1e-6));
    }

    @Test
    void everyCoatCounts() {
        Look two = look(
                new LookEntry("edge", "edge-latex", List.of("hairline"), 2),
                entry("cap-latex", "crown"),
                entry("hair-flat", "crown"));
        Look three = look(
                new LookEntry("edge", "edge-latex", List.of("hairline"), 3),
                entry("cap-latex", "crown"),
                entry("hair-flat", "crown"));
        double less =
                need(planned(two, brief(lead("Ines"))), two, "liquid-latex").laid();
        double more =
                need(planned(three, brief(lead("Ines"))), three, "liquid-latex").laid();
        assertThat(more).isGreaterThan(less * 1.01);
    }

    @Test
    void whatIsCountedIsCountedAndOneFormIsOnePiece() {
        Look founder = Samples.bellFounder();
        Plan plan = planned(founder, brief(lead("Ines")));
        assertThat(need(plan, founder, "foam-latex").pieces()).isEqualTo(4);
        assertThat(need(plan, founder, "latex-cap").pieces()).isEqualTo(1);
        Look spikes = look(new LookEntry("spikes-1", "spikes", List.of("forehead"), 0, 7, null, 100, ""));
        assertThat(need(planned(spikes, brief(lead("Ines"))), spikes, "cast-spike")
                        .pieces())
                .isEqualTo(7);
    }

    /** Common practice: each adhesive has its remover, and the remover is first in the bag. */
    @Test
    void removersComeFirstAndThereIsOneForEveryAdhesive() {
        Look founder = Samples.bellFounder();
        Plan plan = planned(founder, brief(lead("Ines")));
        List<Need> needs = AMOUNTS.of(plan, founder, STRIKE.of(plan));
        assertThat(needs.get(0).removes()).isTrue();
        assertThat(needs).extracting(n -> n.family().id()).contains("adhesive-remover", "acrylic-adhesive");
        assertThat(need(plan, founder, "adhesive-remover").grams()).isGreaterThan(5);
    }

    /** [F20] common practice: 12 to 20 wipes for face, neck, chest and cap. */
    @Test
    void fullPaintOfFaceNeckChestAndCapTakesTwelveToTwentyWipes() {
        Look full = look(entry(
                "base-cream",
                Waste.standard(TRADE.body()).wiped().stream()
                        .filter(z -> TRADE.technique("base-cream").zones().contains(z))
                        .toArray(String[]::new)));
        int[] wipes = AMOUNTS.wipes(planned(full, brief(lead("Ines"))));
        assertThat(wipes[0]).isBetween(10, 12);
        assertThat(wipes[1]).isBetween(16, 20);
    }
}
