package app.kemdro.core.layer;

import static app.kemdro.core.plan.Samples.TRADE;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.entry;
import static app.kemdro.core.plan.Samples.lead;
import static app.kemdro.core.plan.Samples.look;
import static app.kemdro.core.plan.Samples.planned;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.kemdro.core.datafile.BrokenFile;
import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.material.Material;
import java.io.IOException;
import java.io.InputStream;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a file of layer rules says is taken as it is meant, or refused with the reason. */
class LayerFileTest {
    private static final String SHIPPED = shipped();
    private static final Material CREAM = TRADE.materials().family("cream-stick");

    private static String shipped() {
        try (InputStream in = LayerFileTest.class.getResourceAsStream("/trade/layers.yaml")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new AssertionError(e);
        }
    }

    private static LayerRules read(String text) {
        return LayerRules.read(DataNode.read("layers.yaml", new StringReader(text)), TRADE);
    }

    /** The shipped words, and these rules alone. */
    private static LayerRules rules(String... rules) {
        return read(SHIPPED.substring(0, SHIPPED.indexOf("\nrules:")) + "\nrules:\n  - " + String.join("\n  - ", rules)
                + "\n");
    }

    private static String rule(String below, String above, String rest) {
        return "{ below: [%s], above: [%s], because: \"said\", %s }".formatted(below, above, rest);
    }

    private static Verdict on(LayerRules rules, String word, String id) {
        return rules.judge(new Surface(word, id), CREAM).verdict();
    }

    /** Its own name says more than a word, a word more than anything, on either side. */
    @Test
    void theClosestRuleCounts() {
        LayerRules rules = rules(
                rule("lid", "cream", "verdict: holds"),
                rule("lid", "cream-stick", "verdict: weak, mend: { turn: yes }"),
                rule("anything", "cream-stick", "verdict: fails, mend: { turn: yes }"),
                rule("hairy", "anything", "verdict: holds"),
                rule("liquid-latex", "anything", "verdict: weak, mend: { turn: yes }"));
        assertThat(on(rules, "lid", "")).isEqualTo(Verdict.WEAK);
        assertThat(on(rules, "skin", "")).isEqualTo(Verdict.FAILS);
        assertThat(on(rules, "hairy", ""))
                .as("four for its own name against two for the word below")
                .isEqualTo(Verdict.FAILS);
        assertThat(on(rules, "hairy", "liquid-latex"))
                .as("own name on either side, the later counts")
                .isEqualTo(Verdict.WEAK);
    }

    @Test
    void theLaterOfTwoThatAreAsCloseCountsUnlessTheFirstForbids() {
        assertThat(on(
                        rules(
                                rule("lid", "cream", "verdict: holds"),
                                rule("lid", "cream", "verdict: weak, mend: { turn: yes }")),
                        "lid",
                        ""))
                .isEqualTo(Verdict.WEAK);
        assertThat(on(
                        rules(rule("lid", "cream", "verdict: forbidden"), rule("lid", "cream", "verdict: holds")),
                        "lid",
                        ""))
                .isEqualTo(Verdict.FORBIDDEN);
        assertThat(on(
                        rules(rule("lid", "cream", "verdict: forbidden"), rule("lid", "cream-stick", "verdict: holds")),
                        "lid",
                        ""))
                .as("a closer one counts all the same")
                .isEqualTo(Verdict.HOLDS);
    }

    /** A rule for one kind of work decides before one for all, and is not asked for another. */
    @Test
    void aRuleForOneKindOfWorkCountsForThatAlone() {
        LayerRules rules = rules(
                rule("lid", "cream", "by: [loose], verdict: holds"),
                rule("lid", "cream", "verdict: weak, mend: { turn: yes }"));
        Surface lid = new Surface("lid", "");
        assertThat(rules.judge(lid, CREAM, "loose").verdict()).isEqualTo(Verdict.HOLDS);
        assertThat(rules.judge(lid, CREAM, "piece").verdict()).isEqualTo(Verdict.WEAK);
        assertThat(rules.judge(lid, CREAM).verdict()).isEqualTo(Verdict.WEAK);
        assertThatThrownBy(() -> rules(rule("lid", "cream", "by: [nowhere], verdict: holds")))
                .isInstanceOf(BrokenFile.class)
                .hasMessageContaining("no technique is of the kind 'nowhere'");
    }

    @Test
    void whereNoRuleSpeaksThatIsSaidInTheWordsOfTheFile() {
        LayerRules rules = rules(rule("lid", "lacquer", "verdict: holds"), rule("tooth", "cream", "verdict: holds"));
        Judgement judged = rules.judge(new Surface("clean-skin", ""), CREAM);
        assertThat(judged.verdict()).isEqualTo(Verdict.UNKNOWN);
        assertThat(judged.because()).contains(CREAM.name()).contains("skin, degreased");
        assertThat(rules.judge(new Surface("lid", ""), CREAM).verdict()).isEqualTo(Verdict.UNKNOWN);
    }

    @Test
    void throughPowderOnlyRulesOfChemistryCount() {
        LayerRules rules = rules(
                rule("lid", "cream-stick", "verdict: holds"),
                rule("lid", "cream", "verdict: fails, through: yes, mend: { turn: yes }"));
        assertThat(rules.throughPowder(new Surface("lid", ""), CREAM).verdict()).isEqualTo(Verdict.FAILS);
        assertThat(rules.throughPowder(new Surface("skin", ""), CREAM)).isNull();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '"',
            value = {
                "below: [lid], above: [cream], verdict: holds, because: x, colour: red | colour",
                "below: [lid], above: [cream], verdict: holds-if, because: x | under 'if'",
                "below: [lid], above: [cream], verdict: holds, if: x, because: x | under 'if'",
                "below: [lid], above: [cream], verdict: weak, because: x | names its mend",
                "below: [lid], above: [cream], verdict: fails, because: x | names its mend",
                "below: [], above: [cream], verdict: holds, because: x | names nothing",
                "below: [lid], above: [crem], verdict: holds, because: x | 'crem' under 'above'",
                "below: [lidd], above: [cream], verdict: holds, because: x | 'lidd' under 'below'",
                "below: [lid], above: [cream], verdict: weak, because: x, mend: { lay: [glitter-rain] } | no technique",
                "below: [lid], above: [cream], verdict: weak, because: x, mend: { above: [glitter] } | no nature",
                "below: [lid], above: [cream], verdict: weak, because: x, mend: { below: [glitter] } | no nature",
                "below: [lid], above: [cream], verdict: weak, because: x, mend: { turns: yes } | turns"
            })
    void aRuleThatCannotBeMeantIsRefused(String rule, String says) {
        assertThatThrownBy(() -> rules("{ " + rule + " }"))
                .isInstanceOf(BrokenFile.class)
                .hasMessageContaining("layers.yaml")
                .hasMessageContaining(says);
    }

    @Test
    void wordsOfTheFileAreThoseOfTheMaterials() {
        assertThatThrownBy(() -> read(SHIPPED + "\nmore: {}\n"))
                .isInstanceOf(BrokenFile.class)
                .hasMessageContaining("more");
        assertThatThrownBy(() -> read(SHIPPED.replaceFirst("\n  primer: .*", "")))
                .isInstanceOf(BrokenFile.class)
                .hasMessageContaining("not both in the vocabulary");
        for (String part : new String[] {"\nsurfaces:", "\nnatures:"}) {
            assertThatThrownBy(() -> read(SHIPPED.replaceFirst(part, part + "\n  liquid-latex: latex")))
                    .isInstanceOf(BrokenFile.class)
                    .hasMessageContaining("'liquid-latex' is both a word here and the id");
        }
        assertThat(read(SHIPPED).surfaces()).containsEntry("clean-skin", "skin, degreased");
    }

    /** A form is as thick as it is made, 4 mm here; a film is as thick as it is laid. */
    @Test
    void aFormIsAsThickAsItIsMadeAndAFilmAsItIsLaid() {
        Stack cheek = planned(look(entry("foam-piece", "cheek-left")), brief(lead("Ines")))
                .stacks()
                .get("cheek-left");
        assertThat(cheek.layers())
                .filteredOn(l -> l.material().isForm())
                .singleElement()
                .satisfies(l -> assertThat(l.millimetres()).isEqualTo(4));
        assertThat(cheek.layers())
                .filteredOn(l -> !l.material().isForm() && l.coats() == 1)
                .isNotEmpty()
                .allSatisfy(
                        l -> assertThat(l.millimetres()).isCloseTo(l.material().thicknessMm(), within(0.6)));
    }
}
