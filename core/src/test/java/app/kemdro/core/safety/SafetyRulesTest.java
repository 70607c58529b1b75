package app.kemdro.core.safety;

import static app.kemdro.core.plan.Samples.CALL;
import static app.kemdro.core.plan.Samples.TRADE;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.entry;
import static app.kemdro.core.plan.Samples.lead;
import static app.kemdro.core.plan.Samples.look;
import static app.kemdro.core.plan.Samples.planned;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Purpose;
import app.kemdro.core.look.Brief.Seen;
import app.kemdro.core.look.Look;
import app.kemdro.core.material.Material;
import app.kemdro.core.method.ChangedTrade;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.LookPlanner;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Planning;
import app.kemdro.core.safety.Finding.Kind;
import app.kemdro.core.safety.HealthRecord.PatchTest;
import app.kemdro.core.safety.HealthRecord.Result;
import app.kemdro.core.safety.HealthRecord.Skin;
import app.kemdro.core.schedule.Planner;
import app.kemdro.core.strike.Strike;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where each rule of safety begins and ends. */
class SafetyRulesTest {
    private static final Safety SAFETY = new Safety(TRADE);
    private static final Strike STRIKE = new Strike(TRADE, 0.02, Planner.trying(20));
    private static final Look PIECE = look(entry("foam-piece", "cheek-left"));
    private static final Look PAINT = look(entry("base-cream", "nose", "upper-lip", "cheek-left", "cheek-right"));

    private static Brief lasting(int hours) {
        Brief b = brief(lead("Ines"));
        return new Brief(
                b.call(),
                b.chairIn(),
                b.performer(),
                b.crew(),
                b.room(),
                b.costumeCovers(),
                b.costumeMinutes(),
                b.selfApplied(),
                new Purpose(Seen.CAMERA, hours, Set.of(), false, 3),
                b.breaks());
    }

    private static List<Finding> findings(Look look, HealthRecord care) {
        return findings(look, care, brief(lead("Ines")));
    }

    private static List<Finding> findings(Look look, HealthRecord care, Brief brief) {
        Plan plan = planned(look, brief);
        return SAFETY.of(
                plan, look, STRIKE.of(plan), care, Set.of(), plan.chairIn().minusDays(3));
    }

    private static List<String> keys(List<Finding> findings) {
        return findings.stream().map(Finding::key).toList();
    }

    private static Finding finding(List<Finding> all, String key) {
        return all.stream().filter(f -> f.key().equals(key)).findFirst().orElseThrow(() -> new AssertionError(all));
    }

    private static HealthRecord lenses(int hours) {
        return new HealthRecord(hours, false, false, false, Set.of(), List.of());
    }

    private static HealthRecord panics() {
        return new HealthRecord(0, true, false, false, Set.of(), List.of());
    }

    /** Tests of the glue put on so many minutes before the chair; those of other families beside it. */
    private static HealthRecord tests(PatchTest... tests) {
        return new HealthRecord(0, false, false, false, Set.of(), List.of(tests));
    }

    private static PatchTest test(String family, int minutesBefore, Result result) {
        Plan plan = planned(PIECE, brief(lead("Ines")));
        return new PatchTest(family, plan.chairIn().minusMinutes(minutesBefore), result);
    }

    @Test
    void testedAreGluesLatexPaintsRemoversAndBuildsByName() {
        assertThat(SAFETY.tested())
                .extracting(Material::kind)
                .containsOnly("adhesive", "latex", "paint", "remover", "build");
        assertThat(SAFETY.tested()).extracting(Material::name).isSorted().contains("liquid latex", "spirit gum");
    }

    /** One that is old enough and clear is enough, in whatever order they are written down; a day is 24 hours, to the minute. */
    @Test
    void aPatchTestCountsFromADayBefore() {
        String key = "patch acrylic-adhesive";
        String glue = "acrylic-adhesive";
        assertThat(keys(findings(PIECE, tests(test(glue, 24 * 60, Result.CLEAR)))))
                .doesNotContain(key);
        assertThat(finding(findings(PIECE, tests(test(glue, 24 * 60 - 1, Result.CLEAR))), key)
                        .what())
                .contains("too fresh");
        assertThat(finding(findings(PIECE, tests(test(glue, 24 * 60, Result.OPEN))), key)
                        .what())
                .contains("not been read");
        assertThat(keys(findings(PIECE, tests(test(glue, 60, Result.CLEAR), test(glue, 3000, Result.CLEAR)))))
                .doesNotContain(key);
        assertThat(finding(findings(PIECE, tests(test("spirit-gum", 3000, Result.CLEAR))), key)
                        .what())
                .startsWith("No patch test");
        assertThat(finding(
                                findings(
                                        PIECE, tests(test(glue, 3000, Result.CLEAR), test(glue, 9000, Result.REACTED))),
                                key)
                        .kind())
                .isEqualTo(Kind.BLOCKS);
    }

    /** Chair-in of the piece, a day before it, as a page says it. */
    @Test
    void itIsSaidByWhenATestIsPutOn() {
        Plan plan = planned(PIECE, brief(lead("Ines")));
        String hour =
                "%02d:%02d".formatted(plan.chairIn().getHour(), plan.chairIn().getMinute());
        assertThat(plan.chairIn().getDayOfMonth()).isEqualTo(3);
        assertThat(finding(findings(PIECE, HealthRecord.UNKNOWN), "patch acrylic-adhesive")
                        .remedy())
                .isEqualTo("Put one on by 2 December, " + hour + ", better a day sooner.");
        assertThat(SAFETY.of(
                        plan,
                        PIECE,
                        STRIKE.of(plan),
                        HealthRecord.UNKNOWN,
                        Set.of(),
                        plan.chairIn().minusHours(24)))
                .filteredOn(f -> f.key().equals("patch acrylic-adhesive"))
                .allMatch(f -> f.remedy().startsWith("Put one on by"));
    }

    /** Adhesive paint is inside the piece and comes near skin; the stone of its mould does not. */
    @Test
    void whatIsInsideAPieceIsTestedWhereItComesNear() {
        assertThat(keys(findings(PIECE, HealthRecord.UNKNOWN))).contains("patch adhesive-paint");
        assertThat(findings(PIECE, HealthRecord.UNKNOWN)).noneMatch(f -> f.key().contains("stone"));
        assertThat(findings(look(entry("silicone-silicone", "cheek-left")), HealthRecord.UNKNOWN))
                .noneMatch(f -> f.key().equals("patch platinum-silicone"));
    }

    @Test
    void whatBlocksComesFirstAndWhatIsSaidLast() {
        HealthRecord minor = new HealthRecord(0, false, true, false, Set.of("cheek-left"), List.of());
        List<Finding> all = findings(PIECE, minor);
        assertThat(all).extracting(Finding::kind).isSorted().contains(Kind.BLOCKS, Kind.WARNS, Kind.SAID);
    }

    /** By hand: a foam piece is glued, taken off by remover, and covers. */
    @Test
    void whatIsSaidFitsWhatIsUsed() {
        List<String> piece = findings(PIECE, HealthRecord.UNKNOWN).stream()
                .filter(f -> f.kind() == Kind.SAID && f.key().matches("said -?\\d+"))
                .map(f -> f.what().split("[ :;]")[0])
                .toList();
        assertThat(piece).containsExactly("Burning", "Removers", "Agree");
        assertThat(findings(PAINT, HealthRecord.UNKNOWN))
                .filteredOn(f -> f.kind() == Kind.SAID)
                .noneMatch(f -> f.what().startsWith("Agree") || f.what().startsWith("Ammonia"));
        assertThat(findings(look(entry("hair-flat", "crown"), entry("cap-latex", "crown")), HealthRecord.UNKNOWN))
                .anyMatch(f -> f.what().startsWith("Ammonia"));
    }

    /** Skin that was looked at and fine is neither broken nor rests; red skin is painted, only not stuck to. */
    @Test
    void onlyWhatWasRedRestsAndOnlyWhatWasBrokenBlocks() {
        assertThat(keys(findings(PIECE, SafetyTest.seen("cheek-left", Skin.FINE, 20, "acrylic-adhesive"))))
                .doesNotContain("broken", "rest cheek-left");
        assertThat(keys(findings(PIECE, SafetyTest.seen("cheek-left", Skin.RED, 20, "acrylic-adhesive"))))
                .contains("rest cheek-left")
                .doesNotContain("broken");
        assertThat(keys(findings(PAINT, SafetyTest.seen("cheek-left", Skin.RED, 20, "acrylic-adhesive"))))
                .doesNotContain("rest cheek-left");
        assertThat(keys(findings(PIECE, SafetyTest.seen("chin", Skin.BROKEN, 20, ""))))
                .doesNotContain("broken");
    }

    /** Each by the technique that makes it needed, and by none other. */
    @ParameterizedTest
    @CsvSource({
        "base-cream, forehead, pictures",
        "foam-piece, cheek-left, pictures covered",
        "foam-piece, forearm-left, pictures",
        "base-cream, belly, pictures body",
        "lenses-first, eye-left eye-right, pictures lenses",
        "teeth-cast, teeth-upper, pictures teeth",
        "brow-powder-last, brow-left, pictures brows"
    })
    void whatIsAgreedToFollowsFromWhatIsDone(String technique, String zones, String expected) {
        Plan plan = planned(look(entry(technique, zones.split(" "))), brief(lead("Ines")));
        assertThat(SAFETY.procedures(plan))
                .extracting(Safety.Procedure::id)
                .containsExactlyInAnyOrder(expected.split(" "));
        assertThat(SAFETY.procedures(plan)).extracting(Safety.Procedure::say).noneMatch(String::isBlank);
    }

    @Test
    void paintClosesNoAirwayAndAFormAtTheMouthAloneNone() {
        assertThat(keys(findings(PAINT, HealthRecord.UNKNOWN))).doesNotContain("airways", "sip");
        Look painted = look(entry("foam-piece", "nose"), entry("base-cream", "upper-lip"));
        assertThat(keys(findings(painted, HealthRecord.UNKNOWN)))
                .contains("sip")
                .doesNotContain("airways");
        Look lip = look(entry("foam-piece", "upper-lip"), entry("base-cream", "nose"));
        assertThat(keys(findings(lip, HealthRecord.UNKNOWN))).doesNotContain("sip", "airways");
    }

    /** Much of the face is three of its zones; what lies elsewhere, or is paint, is none of it. */
    @Test
    void muchOfTheFaceIsThreeZonesUnderForms() {
        Look three = look(entry("foam-piece", "forehead", "cheek-left", "cheek-right"));
        assertThat(keys(findings(three, panics()))).contains("panic");
        assertThat(keys(findings(three, HealthRecord.UNKNOWN))).doesNotContain("panic");
        assertThat(keys(findings(look(entry("foam-piece", "forehead", "cheek-left")), panics())))
                .doesNotContain("panic");
        assertThat(keys(findings(look(entry("foam-piece", "forehead", "cheek-left", "forearm-left")), panics())))
                .doesNotContain("panic");
        Look paint = look(entry("foam-piece", "forehead", "cheek-left"), entry("base-cream", "chin", "nose"));
        assertThat(keys(findings(paint, panics()))).doesNotContain("panic");
    }

    /** Worn from going in until the call and what the look must last after it. */
    @Test
    void lensesAreCountedFromGoingInToTheEndOfTheDay() {
        Look eyes = look(entry("lenses-first", "eye-left", "eye-right"));
        Brief brief = lasting(5);
        Plan plan = planned(eyes, brief);
        long in = plan.steps().stream()
                .filter(s -> s.technique().id().equals("lenses-first"))
                .mapToLong(s -> Duration.between(
                                plan.clock(plan.schedule().of(s.id()).start()), CALL)
                        .toMinutes())
                .max()
                .orElseThrow();
        double hours = 5 + in / 60.0;
        Finding over = finding(findings(eyes, lenses(5), brief), "lens hours");
        assertThat(over.what()).startsWith("Lenses would be worn for %.1f hours; 5 is".formatted(hours));
        assertThat(findings(eyes, lenses(5), lasting(4)).stream()
                        .anyMatch(f -> f.key().equals("lens hours")))
                .isEqualTo(4 + in / 60.0 > 5);
        assertThat(keys(findings(PIECE, HealthRecord.UNKNOWN, lasting(14)))).noneMatch(k -> k.startsWith("lens"));
    }

    /** By hand: 0.45 g/cm² on chest and upper back, for more than four hours. */
    @Test
    void whatIsHeavyIsSaidOnALongDay() {
        Look heavy = look(entry("silicone-set", "chest", "upper-back"));
        double area = Arrays.stream(new String[] {"chest", "upper-back"})
                .mapToDouble(z -> TRADE.body().zone(z).areaCm2())
                .sum();
        assertThat(0.45 * area).as("g, as the two zones are").isGreaterThan(300);
        Finding finding = finding(findings(heavy, HealthRecord.UNKNOWN, lasting(5)), "heavy");
        assertThat(finding.what()).isEqualTo("About %.0f g are carried for 5 hours.".formatted(0.45 * area));
        assertThat(keys(findings(heavy, HealthRecord.UNKNOWN, lasting(4)))).doesNotContain("heavy");
        assertThat(keys(findings(PIECE, HealthRecord.UNKNOWN, lasting(12)))).doesNotContain("heavy");
    }

    /** Warm plastic at teeth is no warmth on skin, and what only dries is none at all. */
    @Test
    void onlyWhatIsLaidWarmOnSkinIsWarnedOf() {
        assertThat(findings(look(entry("teeth-beads", "teeth-upper")), HealthRecord.UNKNOWN))
                .noneMatch(f -> f.key().startsWith("heat"));
        assertThat(findings(PAINT, HealthRecord.UNKNOWN)).noneMatch(f -> f.key().startsWith("heat"));
        assertThat(findings(look(entry("gel-scar", "cheek-left")), HealthRecord.UNKNOWN))
                .anyMatch(f -> f.key().startsWith("heat"));
    }

    /** What costs nothing, as soapy water does, is no product anybody puts on for a test. */
    @Test
    void whatIsNoProductIsNotPatchTested() {
        Look water = look(entry("base-water", "forehead"));
        assertThat(STRIKE.of(planned(water, brief(lead("Ines")))).steps())
                .anyMatch(s -> s.remover().map(r -> r.id().equals("soap-water")).orElse(false));
        assertThat(keys(findings(water, HealthRecord.UNKNOWN)))
                .contains("patch water-paint")
                .doesNotContain("patch soap-water");
    }

    /** Where nobody said for how long they were fitted, it is six hours. */
    @Test
    void lensesOfWhichNobodySaidAreWornSixHours() {
        Look eyes = look(entry("lenses-first", "eye-left", "eye-right"));
        assertThat(finding(findings(eyes, HealthRecord.UNKNOWN, lasting(9)), "lens hours")
                        .what())
                .endsWith("6 is the most.");
    }

    /** Both removers of its glue contain what the performer reacts to: nothing is known that takes it off, and nobody begins. */
    @Test
    void whatNothingTakesOffStopsTheWorkUntilALeadHasRead() {
        Trade trade = ChangedTrade.materials(
                "removers", t -> t.replaceAll("\n(adhesive-remover|myristate):\n", "\n$1:\n  contains: [lanolin]\n"));
        Brief reacts = brief(lead("Ines")).on(new Brief.Performer("Tomas", 0, 0, 0, Set.of("lanolin")));
        Plan plan = ((Planning.Done) new LookPlanner(trade, Planner.trying(20)).plan(PIECE, reacts)).plan();
        List<Finding> all = new Safety(trade)
                .of(
                        plan,
                        PIECE,
                        new Strike(trade, 0.02, Planner.trying(20)).of(plan),
                        HealthRecord.UNKNOWN,
                        Set.of(),
                        plan.chairIn().minusDays(3));
        assertThat(all)
                .filteredOn(f -> f.key().startsWith("removal "))
                .isNotEmpty()
                .allSatisfy(f -> {
                    assertThat(f.kind()).isEqualTo(Kind.BLOCKS);
                    assertThat(f.what())
                            .startsWith("Nothing known takes this off")
                            .contains("left cheek");
                    assertThat(f.mayBeLifted()).isTrue();
                });
    }
}
