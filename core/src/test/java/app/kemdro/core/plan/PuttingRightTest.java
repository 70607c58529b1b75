package app.kemdro.core.plan;

import static app.kemdro.core.plan.Samples.TRADE;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.entry;
import static app.kemdro.core.plan.Samples.lead;
import static app.kemdro.core.plan.Samples.look;
import static app.kemdro.core.plan.Samples.planned;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.layer.LayerRules;
import app.kemdro.core.look.Look;
import app.kemdro.core.material.Material;
import app.kemdro.core.method.Repair;
import app.kemdro.core.method.Technique;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What a repair lays, by what lies there and what the performer bears. */
class PuttingRightTest {
    private static final PuttingRight RIGHT = new PuttingRight(TRADE, LayerRules.standard(TRADE));
    private static final Look PLASTIC_CAP = look(entry("hair-flat", "crown"), entry("cap-plastic", "crown"));

    private static Optional<PuttingRight.Chosen> way(
            String repair, Look look, String entry, String zone, Set<String> reactsTo) {
        Plan plan = planned(look, brief(lead("Ines")));
        return RIGHT.way(TRADE.repair(repair), entry, List.of(zone), plan.stacks(), s -> true, reactsTo);
    }

    private static List<String> lays(Technique how) {
        return how.steps().stream()
                .flatMap(s -> Stream.of(s.material(), s.sets()))
                .filter(Objects::nonNull)
                .toList();
    }

    /** Common practice: latex does not belong on plastic, and somebody who reacts to latex has none of it near the face. */
    @ParameterizedTest
    @ValueSource(strings = {"", "latex", "acrylate", "latex,acrylate"})
    void aTornPlasticCapIsNeverPatchedWithLatexNorWithWhatIsBarred(String reactsTo) {
        Set<String> bars = reactsTo.isEmpty() ? Set.of() : Set.of(reactsTo.split(","));
        Technique how = way("torn-cap", PLASTIC_CAP, "cap-plastic-crown", "crown", bars)
                .orElseThrow()
                .how();
        assertThat(lays(how)).doesNotContain("liquid-latex", "latex-cap");
        assertThat(lays(how).stream().map(TRADE.materials()::family).map(Material::contains))
                .noneMatch(c -> c.stream().anyMatch(bars::contains));
    }

    @Test
    void aTornLatexCapIsPatchedWithItsOffCut() {
        Look cap = look(entry("hair-flat", "crown"), entry("cap-latex", "crown"));
        assertThat(lays(way("torn-cap", cap, "cap-latex-crown", "crown", Set.of())
                        .orElseThrow()
                        .how()))
                .contains("acrylic-adhesive", "latex-cap", "liquid-latex");
        assertThat(lays(way("torn-cap", cap, "cap-latex-crown", "crown", Set.of("acrylate"))
                        .orElseThrow()
                        .how()))
                .contains("skin-tape")
                .doesNotContain("acrylic-adhesive", "thick-acrylic-adhesive");
    }

    /** Common practice: on bare silicone nothing but silicone adhesive holds. */
    @Test
    void aBareSiliconeEdgeIsStuckWithSiliconeAdhesive() {
        Look silicone = look(entry("silicone-silicone", "nose"));
        assertThat(lays(way("lifted-edge", silicone, "silicone-silicone-nose", "nose", Set.of())
                        .orElseThrow()
                        .how()))
                .contains("silicone-adhesive")
                .doesNotContain("thick-acrylic-adhesive");
    }

    @Test
    void whoReactsToAcrylatesGetsAnotherGlueUnderAFoamEdge() {
        Look foam = look(entry("foam-piece", "nose"));
        assertThat(lays(way("lifted-edge", foam, "foam-piece-nose", "nose", Set.of())
                        .orElseThrow()
                        .how()))
                .contains("thick-acrylic-adhesive");
        Technique other = way("lifted-edge", foam, "foam-piece-nose", "nose", Set.of("acrylate"))
                .orElseThrow()
                .how();
        assertThat(lays(other).stream().map(TRADE.materials()::family).map(Material::contains))
                .noneMatch(c -> c.contains("acrylate"));
    }

    static Stream<Repair> repairs() {
        return TRADE.repairs().stream();
    }

    /** Whatever somebody reacts to, no way that is chosen contains it: read from the data and not from what chose it. */
    @ParameterizedTest
    @MethodSource("repairs")
    void noWayContainsWhatThePerformerReactsTo(Repair repair) {
        for (Look look : List.of(PLASTIC_CAP, Samples.fullCap(), look(entry("foam-piece", "nose")))) {
            Plan plan = planned(look, brief(lead("Ines")));
            for (String bar : List.of("latex", "acrylate", "resin-gum", "cyanoacrylate")) {
                for (String zone : plan.stacks().keySet()) {
                    RIGHT.way(
                                    repair,
                                    look.entries()
                                            .get(look.entries().size() - 1)
                                            .id(),
                                    List.of(zone),
                                    plan.stacks(),
                                    s -> true,
                                    Set.of(bar))
                            .ifPresent(c -> assertThat(lays(c.how()).stream()
                                            .map(TRADE.materials()::family)
                                            .map(Material::contains))
                                    .as("%s on %s for %s", repair.id(), zone, bar)
                                    .noneMatch(m -> m.contains(bar)));
                }
            }
        }
    }
}
