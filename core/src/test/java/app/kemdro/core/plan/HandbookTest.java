package app.kemdro.core.plan;

import static app.kemdro.core.plan.Samples.PLANNER;
import static app.kemdro.core.plan.Samples.TRADE;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.entry;
import static app.kemdro.core.plan.Samples.lead;
import static app.kemdro.core.plan.Samples.look;
import static app.kemdro.core.plan.Samples.planned;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.kemdro.core.climate.Blow;
import app.kemdro.core.climate.Evaporation.Ground;
import app.kemdro.core.climate.HumidAir;
import app.kemdro.core.cure.Drying;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.material.Setting;
import app.kemdro.core.method.BenchStep;
import app.kemdro.core.method.StepTemplate;
import app.kemdro.core.method.StepTemplate.Begins;
import app.kemdro.core.method.Technique;
import java.util.List;
import java.util.Objects;
import org.junit.jupiter.api.Test;

/** Facts that practitioners state, by their numbers in the handbook; all of them common practice. */
class HandbookTest {
    private static final HumidAir ROOM = new HumidAir(22, 0.45);

    private static Technique technique(String id) {
        return TRADE.technique(id);
    }

    private static StepTemplate step(String technique, String step) {
        return technique(technique).steps().stream()
                .filter(s -> s.id().equals(step))
                .findFirst()
                .orElseThrow();
    }

    private static double clear(String material, double thickness, Ground ground, Blow blow) {
        Setting setting =
                Objects.requireNonNull(TRADE.materials().family(material).setting());
        return Drying.of(setting.times(thickness), ROOM, ground, blow).clear().orElseThrow() / 60;
    }

    /** [F1] about three coats for medium brows. */
    @Test
    void mediumBrowsTakeThreePowderedCoats() {
        assertThat(technique("brow-powder-each").coats().usual()).isEqualTo(3);
    }

    /** [F2] three to four generous coats for thick brows, the last powdered while still wet. */
    @Test
    void thickBrowsTakeThreeToFourAndTheLastIsPowderedWet() {
        assertThat(technique("brow-powder-last").coats().usual()).isBetween(3, 4);
        assertThat(step("brow-powder-last", "powder").begins()).isEqualTo(Begins.WET);
        assertThat(step("brow-powder-last", "coat").coatWeight()).isGreaterThan(1);
    }

    /** [F3] one coat plus a trowelled one: two coats, no powder. */
    @Test
    void theTrowelledBrowHasTwoCoatsAndNoPowder() {
        assertThat(technique("brow-trowel").steps())
                .filteredOn(s -> "glue-stick".equals(s.material()))
                .hasSize(2);
        assertThat(technique("brow-trowel").materials()).doesNotContain("powder");
    }

    /** [F4] a full cap takes at least 90 minutes for one person, read as including its base colour. */
    @Test
    void aFullCapTakesNinetyMinutes() {
        assertThat(planned(Samples.fullCap(), brief(lead("Ines"))).schedule().ready() / 60)
                .isGreaterThanOrEqualTo(90);
    }

    /** [F5] 13 mm of adhesive temple to temple, [F6] a mark 25 mm below the ear. */
    @Test
    void theCapsMeasuresStandInItsSteps() {
        assertThat(step("cap-latex", "front-strip").name()).contains("13 mm");
        assertThat(step("cap-latex", "ear-cut").name()).contains("25 mm below the ear");
    }

    /** [F7] adhesive paint is half adhesive, half acrylic colour. */
    @Test
    void piecesArePrePaintedHalfAndHalf() {
        assertThat(technique("foam-piece").make().bench())
                .extracting(BenchStep::name)
                .anyMatch(n -> n.contains("half and half"));
    }

    /** [F8] a full silicone head is painted for hours on the bench, not minutes. */
    @Test
    void aFullHeadIsPaintedForHours() {
        Look head = look(new LookEntry(
                "set",
                "silicone-set",
                TRADE.body().zones().stream()
                        .filter(z -> z.region().equals("face")
                                && technique("silicone-set").zones().contains(z.id()))
                        .map(z -> z.id())
                        .toList(),
                0));
        assertThat(BenchWork.of(head, brief(lead("Ines")), TRADE))
                .filteredOn(w -> w.name().startsWith("Pre-paint"))
                .singleElement()
                .satisfies(w -> assertThat(w.minutes()).isGreaterThan(120));
    }

    /** [F9] thick latex paste dries overnight on its cast, a thin build with a dryer dries in the chair's time. */
    @Test
    void thickLatexPasteDriesOvernight() {
        double night = clear("latex-paste", 1, Ground.bench(ROOM), Blow.STILL) / 60;
        assertThat(night).isBetween(6.0, 24.0);
        assertThat(clear("latex-paste", 0.15, Ground.SKIN, Blow.COOL)).isLessThan(40);
    }

    /** [F10] cotton and tissue on the skin: 20 to 30 minutes with a dryer, clearly longer without; saturated, hours. */
    @Test
    void aCottonBuildTakesTwentyToThirtyMinutesWithADryer() {
        double weight = step("cotton-build", "roll").coatWeight();
        double dryer = clear("latex-tissue", weight, Ground.SKIN, Blow.COOL);
        assertThat(dryer).isBetween(20.0, 30.0);
        assertThat(clear("latex-tissue", weight, Ground.SKIN, Blow.STILL)).isGreaterThan(dryer * 1.5);
        assertThat(clear("soaked-cotton", 1, Ground.SKIN, Blow.COOL)).isGreaterThan(120);
    }

    /** [F11] latex over the edge of wax in about two layers. */
    @Test
    void waxGetsTwoLayersOfLatex() {
        assertThat(technique("wax-build").coats().usual()).isEqualTo(2);
    }

    /** [F12] horns carry two to three layers of tissue and latex. */
    @Test
    void hornsCarryThreeLayers() {
        assertThat(technique("horns-built").make().bench())
                .filteredOn(b -> "latex-tissue".equals(b.material()))
                .singleElement()
                .satisfies(b -> assertThat(b.thickness()).isBetween(2.0, 3.0));
    }

    /** [F13] nails are pressed about thirty seconds each. */
    @Test
    void nailsTakeThirtySecondsEach() {
        assertThat(step("nails-glued", "press").minutesPerItem()).isEqualTo(0.5);
        Plan plan = planned(look(entry("nails-glued", "nails-left", "nails-right")), brief(lead("Ines")));
        assertThat(plan.network().tasks())
                .filteredOn(t -> t.id().contains("press"))
                .singleElement()
                .satisfies(t -> assertThat(t.work() / 60.0).isBetween(5.0, 6.5));
    }

    /** [F14] paper clay dries at least 24 hours right through. */
    @Test
    void paperClayTakesADay() {
        assertThat(clear("paper-clay", 1, Ground.bench(ROOM), Blow.STILL) / 60).isGreaterThanOrEqualTo(24);
    }

    /** [F15] edges take two to three coats, each thinner, the last dry before anything else. */
    @Test
    void edgesTakeTwoToThreeThinnerCoats() {
        assertThat(technique("edge-latex").coats().least()).isEqualTo(2);
        assertThat(technique("edge-latex").coats().most()).isEqualTo(3);
        assertThat(step("edge-latex", "coat").thinnerEachCoat()).isTrue();
        assertThat(step("edge-latex", "powder").begins()).isEqualTo(Begins.CLEAR);
    }

    /** [F16] adhesive goes on two to four areas in turn, so that the first is ready when the last is done. */
    @Test
    void patchesAreGluedInRounds() {
        Plan plan = planned(
                look(new LookEntry(
                        "vines",
                        "texture-patches",
                        List.of("cheek-left", "cheek-right", "forehead", "chin"),
                        0,
                        24,
                        LookEntry.Strength.USUAL,
                        100,
                        "")),
                brief(lead("Ines")));
        int firstPress = plan.schedule().placed().stream()
                .filter(p -> p.task().contains("press"))
                .mapToInt(p -> p.start())
                .min()
                .orElseThrow();
        assertThat(plan.schedule().placed())
                .filteredOn(p -> p.task().contains("/dab") && p.end() <= firstPress)
                .hasSizeBetween(2, 4);
    }

    /** [F17] spatter in about three colours. */
    @Test
    void spatterTakesThreeColours() {
        assertThat(technique("spatter").name()).contains("three colours");
    }

    /** [F18] a complex single character: about 150 minutes of application. */
    @Test
    void aComplexCharacterTakesAHundredAndFiftyMinutes() {
        CharactersTest.Character founder = CharactersTest.characters()
                .filter(c -> c.name().equals("the-bell-founder"))
                .findFirst()
                .orElseThrow();
        Planning planning = PLANNER.plan(founder.look(), founder.brief());
        assertThat(((Planning.Done) planning).plan().schedule().ready() / 60).isBetween(120, 180);
    }

    /** [F19] unplanned bench work of three hours turns an application into a night: bench and chair are apart. */
    @Test
    void benchWorkIsNoPartOfTheChair() {
        Brief brief = brief(lead("Ines"));
        Look piece = look(entry("foam-piece", "forehead"));
        double bench = BenchWork.of(piece, brief, TRADE).stream()
                .mapToDouble(BenchWork::minutes)
                .sum();
        assertThat(bench).isGreaterThan(180);
        assertThat(planned(piece, brief).schedule().ready() / 60).isLessThan(40);
    }

    /** [F21] a thin edge coat of latex clears in a couple of minutes, a tissue build ten times as long. */
    @Test
    void aTissueBuildDriesTenTimesAsLongAsAnEdgeCoat() {
        double edge = clear("liquid-latex", 1, Ground.SKIN, Blow.STILL);
        assertThat(edge).isBetween(1.5, 3.5);
        assertThat(clear("latex-tissue", 1, Ground.SKIN, Blow.STILL) / edge).isCloseTo(10, within(3.0));
    }

    /** [F22] a full-head set takes about 24 hours of sculpting, a clay face on a prop two, sanding one to two. */
    @Test
    void benchScale() {
        Look head = look(new LookEntry(
                "set",
                "silicone-set",
                List.of(
                        "forehead",
                        "temple-left",
                        "temple-right",
                        "nose",
                        "cheek-left",
                        "cheek-right",
                        "upper-lip",
                        "chin",
                        "jaw-left",
                        "jaw-right",
                        "ear-left",
                        "ear-right",
                        "throat",
                        "nape",
                        "crown",
                        "hairline",
                        "back-of-head"),
                0));
        assertThat(BenchWork.of(head, brief(lead("Ines")), TRADE).get(0).minutes() / 60)
                .isBetween(18.0, 30.0);
        List<BenchWork> prop = BenchWork.of(look(entry("clay-prop", "hand-left")), brief(lead("Ines")), TRADE);
        assertThat(prop.get(0).minutes()).isEqualTo(120);
        assertThat(prop.get(1).minutes()).isBetween(60.0, 120.0);
        assertThat(prop.get(0).restsHours()).isGreaterThanOrEqualTo(24);
    }
}
