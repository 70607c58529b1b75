package app.kemdro.core.safety;

import static app.kemdro.core.plan.Samples.PLANNER;
import static app.kemdro.core.plan.Samples.TRADE;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.entry;
import static app.kemdro.core.plan.Samples.lead;
import static app.kemdro.core.plan.Samples.look;
import static app.kemdro.core.plan.Samples.planned;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.core.material.Material;
import app.kemdro.core.plan.CharactersTest;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Planning;
import app.kemdro.core.plan.Samples;
import app.kemdro.core.safety.Finding.Kind;
import app.kemdro.core.safety.HealthRecord.PatchTest;
import app.kemdro.core.safety.HealthRecord.Result;
import app.kemdro.core.safety.HealthRecord.Skin;
import app.kemdro.core.safety.HealthRecord.SkinSeen;
import app.kemdro.core.schedule.Planner;
import app.kemdro.core.strike.Strike;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class SafetyTest {
    private static final Safety SAFETY = new Safety(TRADE);
    private static final Strike STRIKE = new Strike(TRADE, 0.02, Planner.trying(20));
    private static final Look PIECE = look(entry("foam-piece", "cheek-left"));

    private static List<Finding> findings(Look look, HealthRecord care) {
        Plan plan = planned(look, brief(lead("Ines")));
        return SAFETY.of(
                plan, look, STRIKE.of(plan), care, Set.of(), plan.chairIn().minusDays(3));
    }

    private static Finding finding(List<Finding> all, String key) {
        return all.stream().filter(f -> f.key().equals(key)).findFirst().orElseThrow(() -> new AssertionError(all));
    }

    private static HealthRecord tested(int hoursBefore, Result result) {
        Plan plan = planned(PIECE, brief(lead("Ines")));
        return new HealthRecord(
                0,
                false,
                false,
                false,
                Set.of(),
                List.of(new PatchTest("acrylic-adhesive", plan.chairIn().minusHours(hoursBefore), result)));
    }

    @Test
    void aPatchTestIsMissingTooFreshUnreadClearOrStopsTheWork() {
        String key = "patch acrylic-adhesive";
        assertThat(finding(findings(PIECE, HealthRecord.UNKNOWN), key).what()).startsWith("No patch test");
        assertThat(finding(findings(PIECE, tested(3, Result.OPEN)), key).what()).contains("too fresh");
        assertThat(finding(findings(PIECE, tested(30, Result.OPEN)), key).what())
                .contains("not been read");
        assertThat(findings(PIECE, tested(30, Result.CLEAR)))
                .noneMatch(f -> f.key().equals(key));
        Finding reacted = finding(findings(PIECE, tested(30, Result.REACTED)), key);
        assertThat(reacted.kind()).isEqualTo(Kind.BLOCKS);
        assertThat(reacted.mayBeLifted()).isFalse();
    }

    @Test
    void whereItIsTooLateForATestThatIsSaid() {
        Plan plan = planned(PIECE, brief(lead("Ines")));
        List<Finding> late = SAFETY.of(
                plan,
                PIECE,
                STRIKE.of(plan),
                HealthRecord.UNKNOWN,
                Set.of(),
                plan.chairIn().minusHours(2));
        assertThat(finding(late, "patch acrylic-adhesive").remedy()).contains("too late");
        assertThat(finding(findings(PIECE, HealthRecord.UNKNOWN), "patch acrylic-adhesive")
                        .remedy())
                .contains("Put one on by");
    }

    @Test
    void removersAreTestedToo() {
        assertThat(findings(PIECE, HealthRecord.UNKNOWN)).anyMatch(f -> f.key().equals("patch adhesive-remover"));
    }

    @Test
    void brokenSkinIsNotWorkedOn() {
        HealthRecord broken = new HealthRecord(0, false, false, false, Set.of("cheek-left", "throat"), List.of());
        Finding finding = finding(findings(PIECE, broken), "broken");
        assertThat(finding.kind()).isEqualTo(Kind.BLOCKS);
        assertThat(finding.what()).contains("left cheek").doesNotContain("throat");
    }

    /** Whatever is built up over skin is no paint: at nose and mouth it blocks, at the nose alone a sip is tested, and it is agreed to. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "cotton-build",
                "tissue-build",
                "age-stretch",
                "wax-build",
                "gel-scar",
                "skin-tear",
                "foam-piece",
                "silicone-silicone",
                "latex-piece-fresh",
                "bought-piece"
            })
    void whateverIsBuiltUpOverNoseAndMouthIsLookedAt(String technique) {
        Look both = look(entry(technique, "nose"), entry(technique, "upper-lip"));
        assertThat(finding(findings(both, HealthRecord.UNKNOWN), "airways").kind())
                .isEqualTo(Kind.BLOCKS);
        Look nose = look(entry(technique, "nose"));
        assertThat(finding(findings(nose, HealthRecord.UNKNOWN), "sip").kind()).isEqualTo(Kind.WARNS);
        assertThat(finding(findings(nose, HealthRecord.UNKNOWN), "consent").what())
                .contains("forms are stuck to the face");
        Look much = look(entry(technique, "nose", "cheek-left", "cheek-right"));
        HealthRecord panics = new HealthRecord(0, true, false, false, Set.of(), List.of());
        assertThat(SAFETY.of(
                        planned(much, brief(lead("Ines"))),
                        much,
                        STRIKE.of(planned(much, brief(lead("Ines")))),
                        panics,
                        Set.of(),
                        planned(much, brief(lead("Ines"))).chairIn()))
                .anyMatch(f -> f.key().equals("panic"));
    }

    @Test
    void formsAtNoseAndMouthBlockUntilALeadHasLooked() {
        Look both = look(entry("foam-piece", "nose"), entry("foam-piece", "upper-lip"));
        Finding airways = finding(findings(both, HealthRecord.UNKNOWN), "airways");
        assertThat(airways.kind()).isEqualTo(Kind.BLOCKS);
        assertThat(airways.mayBeLifted()).isTrue();
        assertThat(finding(findings(look(entry("foam-piece", "nose")), HealthRecord.UNKNOWN), "sip")
                        .remedy())
                .contains("sip");
    }

    @Test
    void aMinorNeedsAGuardian() {
        HealthRecord alone = new HealthRecord(0, false, true, false, Set.of(), List.of());
        assertThat(finding(findings(PIECE, alone), "minor").mayBeLifted()).isFalse();
        HealthRecord with = new HealthRecord(0, false, true, true, Set.of(), List.of());
        assertThat(findings(PIECE, with)).noneMatch(f -> f.key().equals("minor"));
    }

    @Test
    void lensesAreWornNoLongerThanTheyWereFittedFor() {
        Look eyes = look(entry("lenses-first", "eye-left", "eye-right"));
        assertThat(findings(eyes, HealthRecord.UNKNOWN)).anyMatch(f -> f.key().equals("lens fitted"));
        HealthRecord fitted = new HealthRecord(4, false, false, false, Set.of(), List.of());
        assertThat(finding(findings(eyes, fitted), "lens hours").what()).contains("4 is the most");
        HealthRecord long1 = new HealthRecord(14, false, false, false, Set.of(), List.of());
        assertThat(findings(eyes, long1)).noneMatch(f -> f.key().startsWith("lens"));
    }

    static Stream<CharactersTest.Character> characters() {
        return CharactersTest.characters();
    }

    /** No plan that passes has a barred material in any layer, inside any piece, or among its removers. */
    @ParameterizedTest
    @MethodSource("characters")
    void whatAPerformerReactsToIsNowhereInAPlanThatPasses(CharactersTest.Character character) {
        Brief b = character.brief();
        for (String reaction : List.of("latex", "acrylate", "resin-gum", "silicone-adhesive", "cyanoacrylate")) {
            Brief.Performer p = b.performer();
            Brief reacts = new Brief(
                    b.call(),
                    b.chairIn(),
                    new Brief.Performer(
                            p.name(), p.heightCm(), p.weightKg(), p.headCm(), Set.of(reaction), p.brows(), p.hair()),
                    b.crew(),
                    b.room(),
                    b.costumeCovers(),
                    b.costumeMinutes(),
                    b.selfApplied(),
                    b.purpose(),
                    b.breaks());
            if (PLANNER.plan(character.look(), reacts) instanceof Planning.Done done) {
                List<Material> near = new ArrayList<>();
                done.plan().steps().forEach(s -> {
                    s.material().ifPresent(near::add);
                    s.form().ifPresent(near::add);
                    s.technique().make().bench().forEach(k -> {
                        if (k.material() != null) {
                            near.add(TRADE.materials().family(k.material()));
                        }
                    });
                });
                STRIKE.of(done.plan()).steps().forEach(s -> s.remover().ifPresent(near::add));
                assertThat(near).as(reaction).noneMatch(m -> m.contains().contains(reaction));
            }
        }
    }

    static HealthRecord seen(String zone, Skin skin, int hoursBefore, String under) {
        Plan plan = planned(PIECE, brief(lead("Ines")));
        return new HealthRecord(
                0,
                false,
                false,
                false,
                Set.of(),
                List.of(),
                List.of(new SkinSeen(zone, plan.chairIn().minusHours(hoursBefore), skin, Set.of(under))));
    }

    /** Handbook section 10: on back-to-back days the skin's condition limits the next day. */
    @Test
    void skinThatWasRedRestsAndGetsAnotherAdhesiveForLonger() {
        String key = "rest cheek-left";
        assertThat(finding(findings(PIECE, seen("cheek-left", Skin.RED, 20, "silicone-adhesive")), key)
                        .remedy())
                .startsWith("Let it rest until");
        assertThat(findings(PIECE, seen("cheek-left", Skin.RED, 60, "silicone-adhesive")))
                .noneMatch(f -> f.key().equals(key));
        assertThat(finding(findings(PIECE, seen("cheek-left", Skin.RED, 60, "acrylic-adhesive")), key)
                        .remedy())
                .startsWith("Take another adhesive");
        assertThat(findings(PIECE, seen("cheek-left", Skin.RED, 200, "acrylic-adhesive")))
                .noneMatch(f -> f.key().equals(key));
        assertThat(findings(look(entry("foam-piece", "chin")), seen("cheek-left", Skin.RED, 20, "acrylic-adhesive")))
                .noneMatch(f -> f.key().equals(key));
        Finding broken = finding(findings(PIECE, seen("cheek-left", Skin.BROKEN, 90, "")), "broken");
        assertThat(broken.kind()).isEqualTo(Kind.BLOCKS);
        assertThat(broken.mayBeLifted()).isFalse();
    }

    @Test
    void theLastLookAtAZoneCounts() {
        HealthRecord red = seen("cheek-left", Skin.RED, 30, "acrylic-adhesive");
        SkinSeen again =
                seen("cheek-left", Skin.FINE, 20, "acrylic-adhesive").seen().get(0);
        HealthRecord fine = new HealthRecord(
                0,
                false,
                false,
                false,
                Set.of(),
                List.of(),
                List.of(again, red.seen().get(0)));
        assertThat(findings(PIECE, fine)).noneMatch(f -> f.key().startsWith("rest"));
    }

    @Test
    void whatIsDoneToAPerformerIsAgreedToBefore() {
        Plan plan = planned(PIECE, brief(lead("Ines")));
        assertThat(SAFETY.procedures(plan)).extracting(Safety.Procedure::id).contains("pictures", "covered");
        assertThat(SAFETY.procedures(planned(look(entry("base-cream", "forehead")), brief(lead("Ines")))))
                .extracting(Safety.Procedure::id)
                .containsExactly("pictures");
        assertThat(finding(findings(PIECE, HealthRecord.UNKNOWN), "consent").what())
                .contains("forms are stuck to the face");
        assertThat(SAFETY.of(
                        plan,
                        PIECE,
                        STRIKE.of(plan),
                        HealthRecord.UNKNOWN,
                        Set.of("pictures", "covered"),
                        plan.chairIn().minusDays(3)))
                .noneMatch(f -> f.key().equals("consent"));
    }

    /** Handbook section 11: heat of gel on the skin, and of a dryer. */
    @Test
    void whatIsLaidWarmIsWarnedOf() {
        Look scar = look(entry("gel-scar", "cheek-left"));
        assertThat(findings(scar, HealthRecord.UNKNOWN))
                .filteredOn(f -> f.key().startsWith("heat"))
                .singleElement()
                .satisfies(f -> assertThat(f.what()).contains("melts at 58 °C; skin takes 40 °C"));
        assertThat(findings(PIECE, HealthRecord.UNKNOWN)).noneMatch(f -> f.key().startsWith("heat"));
        Plan dried = planned(Samples.bellFounder(), Samples.brief(lead("Ines")));
        boolean dryer = dried.schedule().placed().stream()
                .anyMatch(x -> dried.network().task(x.task()).way(x.mode()).tool() > 0);
        assertThat(SAFETY
                        .of(
                                dried,
                                Samples.bellFounder(),
                                STRIKE.of(dried),
                                HealthRecord.UNKNOWN,
                                Set.of(),
                                dried.chairIn().minusDays(3))
                        .stream()
                        .anyMatch(f -> f.key().equals("said dryer")))
                .isEqualTo(dryer);
    }

    /** Handbook section 11: no latex product, glove or cap anywhere near such a performer. */
    @Test
    void toolsAreFreeOfWhatThePerformerReactsTo() {
        assertThat(SAFETY.withoutIn(Set.of("latex"))).singleElement().asString().contains("gloves", "sponges");
        assertThat(SAFETY.withoutIn(Set.of("resin-gum"))).isEmpty();
        Brief usual = brief(lead("Ines"));
        Brief.Performer p = usual.performer();
        Look face = look(entry("base-cream", "forehead"));
        Plan plan = planned(
                face,
                usual.on(new Brief.Performer(
                        p.name(), p.heightCm(), p.weightKg(), p.headCm(), Set.of("latex"), p.brows(), p.hair())));
        assertThat(SAFETY.of(
                        plan,
                        face,
                        STRIKE.of(plan),
                        HealthRecord.UNKNOWN,
                        Set.of(),
                        plan.chairIn().minusDays(3)))
                .anyMatch(f -> f.key().startsWith("tools") && f.remedy().contains("without natural rubber"));
        assertThat(findings(face, HealthRecord.UNKNOWN)).noneMatch(f -> f.key().startsWith("tools"));
    }
}
