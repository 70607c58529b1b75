package app.kemdro.core.layer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.kemdro.core.datafile.BrokenFile;
import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.material.Material;
import app.kemdro.core.method.StepTemplate;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class LayerRulesTest {
    private static final Trade TRADE = Trade.standard();
    private static final LayerRules RULES = LayerRules.standard(TRADE);
    private static final Technique ANY = TRADE.technique("base-cream");
    private static final List<String> GROUNDS = List.of("skin", "clean-skin", "hairy", "lid", "lip", "tooth", "nail");

    /** Something below, body or layer. */
    record Below(Surface surface, List<Material> layers) {
        @Override
        public String toString() {
            return surface.material().isEmpty() ? surface.word() : surface.material();
        }
    }

    static Stream<Below> belows() {
        return Stream.concat(
                GROUNDS.stream().map(w -> new Below(Surface.body(w), List.of())),
                layers().map(m -> new Below(Surface.of(m), List.of(m))));
    }

    private static Stream<Material> layers() {
        return TRADE.materials().all().stream().filter(Material::isLayer);
    }

    @ParameterizedTest
    @MethodSource("belows")
    void everyPairIsJudgedAndEveryMendThatIsNamedMends(Below below) {
        layers().forEach(above -> {
            Judgement judgement = RULES.judge(below.surface(), above);
            String pair = above.id() + " on " + below;
            assertThat(judgement.verdict()).as(pair).isNotEqualTo(Verdict.UNKNOWN);
            assertThat(judgement.because()).as(pair).isNotBlank();
            if (judgement.verdict() == Verdict.WEAK || judgement.verdict() == Verdict.FAILS) {
                mends(below, above, judgement.mend(), pair + ": " + judgement);
            }
        });
    }

    private static void mends(Below below, Material above, Mend mend, String pair) {
        assertThat(mend.isNone()).as(pair).isFalse();
        for (String technique : mend.lay()) {
            assertThat(holdsOver(below, TRADE.technique(technique), above))
                    .as(pair + " with " + technique)
                    .isTrue();
        }
        for (String nature : mend.above()) {
            assertThat(layers().filter(m -> m.nature().equals(nature)))
                    .as(pair + " with another on top: " + nature)
                    .anyMatch(m -> RULES.judge(below.surface(), m).verdict().isFine());
        }
        for (String nature : mend.below()) {
            assertThat(layers().filter(m -> m.nature().equals(nature)))
                    .as(pair + " with another beneath: " + nature)
                    .anyMatch(m -> RULES.judge(Surface.of(m), above).verdict().isFine());
        }
        if (mend.turn()) {
            assertThat(below.layers())
                    .as(pair + " turned")
                    .allMatch(m -> RULES.judge(Surface.of(above), m).verdict().isFine()
                            || !RULES.judge(Surface.of(above), m).mend().lay().isEmpty());
        }
    }

    /** Whether the last of these holds when a mend is laid under it. */
    private static boolean holdsOver(Below below, Technique mend, Material above) {
        List<Laid> laid = new ArrayList<>();
        below.layers().forEach(m -> laid.add(new Laid("below", "below", ANY, "", m, 1)));
        for (StepTemplate step : mend.steps()) {
            if (step.material() != null) {
                laid.add(new Laid(step.id(), "mend", mend, "", TRADE.materials().family(step.material()), 1));
            }
        }
        laid.add(new Laid("above", "above", ANY, "", above, 1));
        String ground = below.layers().isEmpty() ? below.surface().word() : "clean-skin";
        Stack stack = Stack.of(Surface.body(ground), laid, RULES);
        return stack.layers()
                .get(stack.layers().size() - 1)
                .boundary()
                .verdict()
                .isFine();
    }

    /** Common practice, from the handbook. */
    @ParameterizedTest
    @CsvSource({
        "latex-cap, cream, FAILS",
        "latex-cap, castor-grease, HOLDS",
        "castor-grease, water-paint, FAILS",
        "cream, water-paint, FAILS",
        "powder, water-paint, HOLDS",
        "water-paint, cream, HOLDS_IF",
        "cream, acrylic-adhesive, FAILS",
        "barrier-grease, acrylic-adhesive, FAILS",
        "scar-wax, water-paint, FAILS",
        "scar-wax, liquid-latex, HOLDS",
        "latex-tissue, cream, HOLDS_IF",
        "plastic-cap, water-paint, HOLDS",
        "silicone-plastic-piece, alcohol-paint, FAILS",
        "glue-stick, acrylic-adhesive, HOLDS_IF",
        "acrylic-adhesive, foam-latex, HOLDS",
        "acrylic-adhesive, silicone-piece-bare, FAILS",
        "silicone-adhesive, silicone-piece-bare, HOLDS_IF",
        "stage-blood, powder, WEAK"
    })
    void thePairsOfTheHandbook(String below, String above, Verdict verdict) {
        assertThat(RULES.judge(
                                Surface.of(TRADE.materials().family(below)),
                                TRADE.materials().family(above))
                        .verdict())
                .isEqualTo(verdict);
    }

    @ParameterizedTest
    @CsvSource({
        "skin, acrylic-adhesive, FAILS",
        "clean-skin, acrylic-adhesive, HOLDS",
        "hairy, liquid-latex, FORBIDDEN",
        "lid, liquid-latex, FORBIDDEN",
        "lid, spirit-gum, FORBIDDEN",
        "tooth, cream, FORBIDDEN",
        "skin, nail-glue, FORBIDDEN",
        "nail, nail-glue, HOLDS"
    })
    void theBodyItself(String ground, String above, Verdict verdict) {
        assertThat(RULES.judge(Surface.body(ground), TRADE.materials().family(above))
                        .verdict())
                .isEqualTo(verdict);
    }

    /** Powder stops grabbing and shining, not chemistry: cream still reaches a latex cap through it. */
    @Test
    void creamEatsACapThroughPowder() {
        List<Laid> laid = Stream.of("acrylic-adhesive", "latex-cap", "powder", "cream")
                .map(id -> new Laid(id, id, ANY, "", TRADE.materials().family(id), 1))
                .toList();
        Stack stack = Stack.of(Surface.body("clean-skin"), laid, RULES);
        assertThat(stack.layers().get(3).boundary().verdict()).isEqualTo(Verdict.FAILS);
        assertThat(stack.layers().get(3).boundary().mend().lay()).containsExactly("between-castor");
        assertThat(stack.worst()).isEqualTo(Verdict.FAILS);
        assertThat(stack.troubles()).hasSize(1);
    }

    @Test
    void cleaningTakesOffWhatItDissolvesAndLeavesSkinDegreased() {
        List<Laid> laid = Stream.of("cream", "powder", "cleanser", "alcohol", "acrylic-adhesive")
                .map(id -> new Laid(id, id, ANY, "", TRADE.materials().family(id), 1))
                .toList();
        Stack stack = Stack.of(Surface.body("skin"), laid, RULES);
        assertThat(stack.layers()).extracting(l -> l.material().id()).containsExactly("acrylic-adhesive");
        assertThat(stack.layers().get(0).boundary().verdict()).isEqualTo(Verdict.HOLDS);
    }

    @Test
    void coatsOfOneMaterialAreOneLayer() {
        Material latex = TRADE.materials().family("liquid-latex");
        List<Laid> laid = List.of(new Laid("a", "edge", ANY, "", latex, 1), new Laid("b", "edge", ANY, "", latex, 0.8));
        Stack stack = Stack.of(Surface.body("clean-skin"), laid, RULES);
        assertThat(stack.layers()).hasSize(1);
        assertThat(stack.layers().get(0).coats()).isEqualTo(2);
        assertThat(stack.layers().get(0).millimetres()).isCloseTo(latex.thicknessMm() * 1.8, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {
                "below: [skin] | above: [marzipan] | verdict: holds    | 'marzipan' under 'above'",
                "below: [skin] | above: [powder]   | verdict: weak     | names its mend",
                "below: [skin] | above: [powder]   | verdict: holds-if | says under 'if'",
                "below: []     | above: [powder]   | verdict: holds    | names nothing",
                "below: [skin] | above: [powder]   | verdict: perhaps  | perhaps"
            })
    void aWrongRuleIsRefusedWithItsLine(String below, String above, String verdict, String says) {
        String text = "surfaces: " + flow(RULES.surfaces()) + "\nnatures: " + flow(RULES.natures()) + "\nrules:\n  - { "
                + below + ", " + above + ", " + verdict + ", because: A. }\n";
        assertThatThrownBy(() -> LayerRules.read(DataNode.read("layers.yaml", new StringReader(text)), TRADE))
                .isInstanceOf(BrokenFile.class)
                .hasMessageContaining("layers.yaml, line 4")
                .hasMessageContaining(says);
    }

    private static String flow(java.util.Map<String, String> words) {
        return words.keySet().stream()
                .map(k -> k + ": x")
                .toList()
                .toString()
                .replace('[', '{')
                .replace(']', '}');
    }
}
