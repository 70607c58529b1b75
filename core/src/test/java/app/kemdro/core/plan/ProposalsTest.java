package app.kemdro.core.plan;

import static app.kemdro.core.plan.Samples.CALL;
import static app.kemdro.core.plan.Samples.TRADE;
import static app.kemdro.core.plan.Samples.entry;
import static app.kemdro.core.plan.Samples.lead;
import static app.kemdro.core.plan.Samples.look;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.look.BareSkin;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Breaks;
import app.kemdro.core.look.Brief.Brows;
import app.kemdro.core.look.Brief.Hair;
import app.kemdro.core.look.Brief.Performer;
import app.kemdro.core.look.Brief.Purpose;
import app.kemdro.core.look.Brief.Room;
import app.kemdro.core.look.Brief.Seen;
import app.kemdro.core.look.Look;
import app.kemdro.core.plan.Proposals.Proposal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

class ProposalsTest {
    private static Brief brief(Performer performer, Purpose purpose, boolean alone) {
        return new Brief(
                CALL,
                Optional.empty(),
                performer,
                List.of(lead("Ines")),
                new Room(22, 45, 1),
                Set.of(),
                0,
                alone,
                purpose,
                Breaks.USUAL);
    }

    private static Performer with(Brows brows, Hair hair, String... reactsTo) {
        return new Performer("Sitter", 0, 0, 0, Set.of(reactsTo), brows, hair);
    }

    private static Purpose seen(Seen seen, String... mustVanish) {
        return new Purpose(seen, 5, Set.of(mustVanish), false, 3);
    }

    private static List<Proposal> proposals(Look look, Brief brief) {
        return new Proposals(TRADE, brief, false, Map.of()).of(look);
    }

    /** Cream or water, zone by zone: cream is spoken against on the throat, where it creases, and not on a cheek. */
    @Test
    void creamIsSpokenAgainstWhereSkinFolds() {
        Proposals proposals =
                new Proposals(TRADE, brief(with(Brows.FINE, Hair.SHORT), seen(Seen.STAGE), false), false, Map.of());
        assertThat(why(proposals, "base-cream", "throat")).contains("against it: cream creases there");
        assertThat(why(proposals, "base-water", "throat")).contains("cream creases there, water paint does not");
        assertThat(why(proposals, "base-cream", "cheek-left")).doesNotContain("creases");
    }

    private static String why(Proposals proposals, String technique, String zone) {
        return proposals.schools(TRADE.technique(technique).family(), List.of(zone)).stream()
                .filter(w -> w.technique().id().equals(technique))
                .findFirst()
                .orElseThrow()
                .because();
    }

    @Test
    void fineBrowsGetOneCoatAndThickOnesAreBlockedForGood() {
        Purpose stage = seen(Seen.STAGE, "brow-left", "brow-right");
        assertThat(proposals(Look.EMPTY, brief(with(Brows.FINE, Hair.SHORT), stage, false))
                        .get(0)
                        .says())
                .startsWith("Glue stick, one coat");
        Proposal thick = proposals(Look.EMPTY, brief(with(Brows.THICK, Hair.SHORT), stage, false))
                .get(0);
        assertThat(thick.says()).startsWith("Glue stick, powder only the last coat");
        assertThat(thick.because()).contains("thick brows").contains("vanish");
    }

    @Test
    void aCapComesWithItsFlatHair() {
        Look look = proposals(Look.EMPTY, brief(with(Brows.FINE, Hair.LONG), seen(Seen.CLOSE_CAMERA, "crown"), false))
                .get(0)
                .look();
        assertThat(look.entries()).hasSize(2);
        assertThat(look.entries().get(1).techniqueId()).isEqualTo("hair-flat-plait");
    }

    @Test
    void whoReactsToLatexIsNeverProposedAny() {
        Brief brief = brief(
                with(Brows.MEDIUM, Hair.SHORT, "latex"), seen(Seen.STAGE, "crown", "brow-left", "brow-right"), false);
        for (Proposal proposal : proposals(Look.EMPTY, brief)) {
            assertThat(proposal.look().entries())
                    .allSatisfy(e -> assertThat(Reactions.barring(
                                    TRADE.technique(e.techniqueId()), e.zones(), Set.of("latex"), TRADE))
                            .isEmpty());
        }
    }

    @Test
    void whatAnotherTechniqueNeedsIsProposed() {
        Brief brief = brief(with(Brows.MEDIUM, Hair.NONE), seen(Seen.CAMERA), false);
        assertThat(proposals(look(entry("cap-latex", "crown")), brief)).anySatisfy(p -> {
            assertThat(p.says()).startsWith("No hair to flatten");
            assertThat(p.because()).contains("needs it first");
        });
    }

    @Test
    void aSchoolThatSuitsTheJobMuchBetterIsProposedInstead() {
        Brief brief =
                brief(with(Brows.THICK, Hair.SHORT), new Purpose(Seen.CLOSE_CAMERA, 10, Set.of(), false, 3), false);
        assertThat(proposals(look(entry("brow-tone-down", "brow-left", "brow-right")), brief))
                .anyMatch(p -> p.says().contains("instead of tone the brow down with colour, both brows"));
    }

    @Test
    void onesOwnSchoolWeighsMoreThanOneFact() {
        Brief brief = brief(with(Brows.MEDIUM, Hair.SHORT), seen(Seen.CAMERA, "brow-left", "brow-right"), false);
        Proposals own = new Proposals(TRADE, brief, false, Map.of("Block the brow", "brow-trowel"));
        assertThat(own.of(Look.EMPTY).get(0).says()).startsWith("Glue stick, one coat and a trowelled");
        assertThat(own.of(Look.EMPTY).get(0).because()).contains("your usual school");
    }

    @Test
    void fillsLeaveNoSkinBare() {
        Brief brief = brief(with(Brows.MEDIUM, Hair.SHORT), seen(Seen.CAMERA), false);
        Look look = look(entry("base-water", "nose", "cheek-left"));
        for (int press = 0; press < 20; press++) {
            List<Proposal> fills = new Proposals(TRADE, brief, false, Map.of()).fills(look);
            if (fills.isEmpty()) {
                break;
            }
            look = fills.get(0).look();
        }
        assertThat(BareSkin.of(look, brief, TRADE).zones()).isEmpty();
    }
}
