package app.kemdro.core.method;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.kemdro.core.body.Body;
import app.kemdro.core.datafile.BrokenFile;
import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.material.Materials;
import java.io.StringReader;
import java.util.List;
import org.junit.jupiter.api.Test;

class TradeTest {
    private static final Trade TRADE = Trade.standard();

    @Test
    void everyTechniqueSaysWhy() {
        assertThat(TRADE.techniques()).allSatisfy(t -> assertThat(t.because()).endsWith("."));
        assertThat(TRADE.rules()).allSatisfy(r -> assertThat(r.because()).endsWith("."));
    }

    @Test
    void browsCanBeBlockedByAllSchoolsOfTheTrade() {
        assertThat(TRADE.schoolsBeside(TRADE.technique("brow-powder-each")))
                .extracting(Technique::id)
                .containsExactly(
                        "brow-powder-last",
                        "brow-trowel",
                        "brow-one-coat",
                        "brow-two-tacky",
                        "brow-adhesive",
                        "brow-wax",
                        "brow-tone-down");
    }

    @Test
    void alcoholNeverTouchesTheEyes() {
        assertThat(TRADE.technique("skin-prep").zones()).doesNotContain("eye-left", "eye-right", "mouth");
    }

    @Test
    void everyAdhesiveAndLatexNamesItsRemover() {
        assertThat(TRADE.materials().all())
                .filteredOn(m -> m.kind().equals("adhesive") || m.kind().equals("latex"))
                .isNotEmpty()
                .allSatisfy(m -> assertThat(m.remover()).isNotBlank());
    }

    @Test
    void aStepCannotWaitForTackOnWhatNeverGrabs() {
        assertBroken("""
                odd:
                  name: Odd
                  slot: odd
                  effect: colour
                  because: A test.
                  steps:
                    - id: a
                      name: Lay latex
                      minutes: 1
                      material: liquid-latex
                    - id: b
                      name: Press
                      minutes: 1
                      begins: tacky
                """, "line 11", "lays nothing that grabs");
    }

    @Test
    void anUnknownZoneIsNamedWithItsLine() {
        assertBroken("""
                odd:
                  name: Odd
                  slot: odd
                  effect: colour
                  zones: [nose, tail]
                  because: A test.
                  steps: [{ id: a, name: A, minutes: 1 }]
                """, "line 5", "'tail' is no zone");
    }

    @Test
    void aMisspeltKeyIsNotSilentlyIgnored() {
        assertBroken("""
                odd:
                  name: Odd
                  slot: odd
                  efect: colour
                  because: A test.
                  steps: [{ id: a, name: A, minutes: 1 }]
                """, "line 4", "unknown key 'efect'");
    }

    @Test
    void aNeedThatNothingGivesIsRefused() {
        assertBroken("""
                odd:
                  name: Odd
                  slot: odd
                  effect: colour
                  needs: [gilded]
                  because: A test.
                  steps: [{ id: a, name: A, minutes: 1 }]
                """, "line 2", "needs 'gilded', which no technique gives");
    }

    @Test
    void moisturesMustFall() {
        String text = """
                odd:
                  name: odd glue
                  kind: adhesive
                  film: { carrier: water, coat: 30, solids: 0.5, critical: 0.3, tacky: 0.1, clear: 0.2, sorbs: 0 }
                """;
        DataNode families = DataNode.read("materials.yaml", new StringReader(text));
        DataNode reactions = DataNode.resource("/trade/allergens.yaml");
        assertThatThrownBy(() -> Materials.read(List.of(families), reactions))
                .isInstanceOf(BrokenFile.class)
                .hasMessageContaining("line 4")
                .hasMessageContaining("must fall");
    }

    private static DataNode strata() {
        return DataNode.read("strata.yaml", new StringReader("- { slot: odd, because: A test. }"));
    }

    private static void assertBroken(String techniques, String... says) {
        DataNode rules = DataNode.read("rules.yaml", new StringReader("[]"));
        DataNode file = DataNode.read("techniques.yaml", new StringReader(techniques));
        var thrown = assertThatThrownBy(() -> TradeReader.read(
                        Body.standard(),
                        Materials.standard(),
                        List.of(file),
                        rules,
                        strata(),
                        DataNode.read("repairs.yaml", new StringReader("{}")),
                        DataNode.read("states.yaml", new StringReader("{}")),
                        DataNode.read("sense.yaml", new StringReader("{}")),
                        DataNode.read("fingers.yaml", new StringReader("{}")),
                        WorkLaws.standard()))
                .isInstanceOf(BrokenFile.class);
        for (String part : says) {
            thrown.hasMessageContaining(part);
        }
    }

    /** What one technique needs, another must be able to give, on every zone where it may be used. */
    @Test
    void everyNeedCanBeMet() {
        for (Technique technique : TRADE.techniques()) {
            for (Need need : technique.needs()) {
                if (!need.required()) {
                    continue;
                }
                java.util.Set<String> zones = need.zones().isEmpty() ? technique.zones() : need.zones();
                assertThat(zones)
                        .as(technique.id() + " needs " + need.state())
                        .anyMatch(z -> TRADE.techniques().stream()
                                .filter(t -> !t.equals(technique))
                                .anyMatch(t -> need.givenBy().stream()
                                        .anyMatch(s -> t.gives().contains(s)
                                                        && t.zones().contains(z)
                                                || t.givesAround()
                                                        .getOrDefault(s, java.util.Set.of())
                                                        .contains(z))));
            }
        }
    }

    /** Everything that lies on a performer names what takes it off, and every adhesive its removers. */
    @Test
    void everyLayerComesOff() {
        assertThat(TRADE.materials().all())
                .filteredOn(m -> m.isLayer() && !m.places().isEmpty())
                .allSatisfy(m -> assertThat(m.remover()).as(m.id()).isNotBlank());
    }

    @Test
    void brokenDataSaysFileLineAndReason() {
        assertThatThrownBy(() -> Strata.read(DataNode.read(
                        "strata.yaml", new StringReader("- { slot: a, because: A. }\n- { slot: a, because: B. }"))))
                .isInstanceOf(BrokenFile.class)
                .hasMessageContaining("strata.yaml, line 2")
                .hasMessageContaining("stands here twice");
        assertBroken("""
                odd:
                  name: Odd
                  slot: elsewhere
                  effect: colour
                  because: A test.
                  steps: [{ id: a, name: A, minutes: 1 }]
                """, "line 3", "is not in strata.yaml");
        assertBroken("""
                odd:
                  name: Odd
                  slot: odd
                  effect: colour
                  zones: [lids]
                  because: A test.
                  steps: [{ id: a, name: A, minutes: 1, material: spirit-gum }]
                """, "line 2", "where the material may not be used");
        assertBroken("""
                odd:
                  like: nothing
                """, "line 2", "no technique has this name");
    }
}
