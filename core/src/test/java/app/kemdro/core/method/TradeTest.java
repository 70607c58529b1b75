package app.kemdro.core.method;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.kemdro.core.body.Body;
import app.kemdro.core.datafile.BrokenFile;
import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.material.Materials;
import java.io.StringReader;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
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
        assertThat(TRADE.schoolsBeside(TRADE.technique("brow-powder-each")).stream()
                        .map(Technique::school)
                        .distinct())
                .containsExactly(
                        "brow-powder-each",
                        "brow-powder-last",
                        "brow-trowel",
                        "brow-one-coat",
                        "brow-two-tacky",
                        "brow-adhesive",
                        "brow-wax",
                        "brow-tone-down",
                        "brow-stick-soft",
                        "brow-gum",
                        "brow-jelly",
                        "brow-wax-carved");
    }

    /** [T13] Cover is a choice inside every school of the glue stick: none, cream, or a stiff stick and foundation; hand-read from the steps. */
    @Test
    void coverIsAChoiceInsideASchool() {
        for (String school :
                List.of("brow-powder-each", "brow-powder-last", "brow-trowel", "brow-one-coat", "brow-two-tacky")) {
            assertThat(laid(school)).endsWith("cream-stick");
            assertThat(laid(school + "-soft")).endsWith("cream-stick", "cream");
            List<String> bare = laid(school + "-bare");
            assertThat(bare).doesNotContain("cream-stick", "cream");
            assertThat(bare).isEqualTo(laid(school).subList(0, bare.size()));
            assertThat(TRADE.technique(school + "-bare").school()).isEqualTo(school);
            assertThat(TRADE.technique(school + "-bare").choice().orElseThrow().says())
                    .isEqualTo("no cover");
        }
        assertThat(TRADE.technique("brow-gum").choice()).isEmpty();
        assertBroken(
                ONE + "  choices: { asks: Cover, usual: cream, others: { bare: { because: A test. } } }\n", "says");
    }

    private static List<String> laid(String technique) {
        return TRADE.technique(technique).steps().stream()
                .map(s -> s.material())
                .filter(m -> m != null)
                .toList();
    }

    /** A technique that is like one that is like another keeps what the one between them changed. */
    @Test
    void aChangeOfAChangeKeepsWhatTheFirstChanged() {
        var press = TRADE.technique("silicone-vinyl").steps().stream()
                .filter(s -> s.id().equals("press"))
                .findFirst()
                .orElseThrow();
        assertThat(press.sets()).isEqualTo("silicone-vinyl-piece");
        assertThat(press.name()).contains("load carried first");
        assertThat(TRADE.technique("lenses-last").steps()).hasSize(2);
    }

    /** [T24] Trimmed once stretched, rolled down before latex over all. */
    @Test
    void stepsComeInBeforeTheOneTheyName() {
        assertThat(TRADE.technique("cap-latex-trimmed").steps().stream()
                        .map(s -> s.id())
                        .toList())
                .containsSubsequence("ear-press", "trim", "edge-glue", "edge-roll", "stipple-all", "powder-all");
        assertBroken(
                ONE
                        + "two:\n  like: odd\n  because: A test.\n  more-steps: [{ id: b, before: z, name: More, minutes: 1 }]\n",
                "line 10",
                "there is no step 'z' to come before");
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

    private static void assertBroken(String techniques, String... says) {
        assertBroken(Map.of(), techniques, says);
    }

    /** With other texts of the files beside those of techniques, which are empty where nothing is said. */
    private static void assertBroken(Map<String, String> others, String techniques, String... says) {
        Map<String, String> texts = new HashMap<>(Map.of(
                "rules",
                "[]",
                "strata",
                "- { slot: odd, because: A test. }",
                "fingers",
                "{ states: {}, hands: { slower: 1, both: { slots: [odd] } } }"));
        texts.putAll(others);
        DataNode file = DataNode.read("techniques.yaml", new StringReader(techniques));
        var thrown = assertThatThrownBy(() -> TradeReader.read(
                        Body.standard(),
                        Materials.standard(),
                        List.of(file),
                        name -> DataNode.read(name + ".yaml", new StringReader(texts.getOrDefault(name, "{}"))),
                        WorkLaws.standard()))
                .isInstanceOf(BrokenFile.class);
        for (String part : says) {
            thrown.hasMessageContaining(part);
        }
    }

    private static final String ONE = """
            odd:
              name: Odd
              slot: odd
              effect: colour
              because: A test.
              steps: [{ id: a, name: Lay it, minutes: 1 }]
            """;

    @Test
    void aSchoolOfOrderHasTwoWaysOrMoreOfOneKind() {
        String one = "odd: { asks: When, ways: { early: { says: early, because: A test. } } }";
        assertBroken(Map.of("schools", one), ONE, "schools.yaml", "two ways or more");
        String mixed =
                "odd: { asks: When, ways: { early: { says: early, because: A test. }, late: { technique: odd } } }";
        assertBroken(Map.of("schools", mixed), ONE, "schools.yaml", "either every way is a technique, or none is");
        String unknown = "odd: { asks: When, ways: { early: { technique: even }, late: { technique: odd } } }";
        assertBroken(Map.of("schools", unknown), ONE, "schools.yaml", "no technique is called 'even'");
    }

    /** What a step leaves on the fingers comes off again in a way that is written once for all techniques. */
    @Test
    void whatIsOnTheFingersComesOffAgain() {
        String greased = ONE.replace("minutes: 1 }", "minutes: 1, fingers: greased }");
        assertBroken(greased, "step 'a' leaves the fingers 'greased'", "does not say how that comes off");
        assertThat(TRADE.techniques().stream().flatMap(t -> t.steps().stream()).filter(s -> s.onlyAlone()))
                .hasSizeGreaterThan(15)
                .allSatisfy(s -> assertThat(s.after()).hasSize(1))
                .allSatisfy(s -> assertThat(s.cleansFingers()).isTrue());
    }

    @Test
    void aRuleOfAWayThatThereIsNotIsNamedWithItsLine() {
        String rule = """
                - id: odd
                  before: { slots: [odd] }
                  after: { slots: [odd] }
                  school: { odd: late }
                  because: A test.
                """;
        assertBroken(Map.of("rules", rule), ONE, "rules.yaml", "line 4", "there is no way 'late' of a school 'odd'");
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
