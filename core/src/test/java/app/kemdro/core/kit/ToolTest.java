package app.kemdro.core.kit;

import static app.kemdro.core.plan.Samples.PLANNER;
import static app.kemdro.core.plan.Samples.TRADE;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.entry;
import static app.kemdro.core.plan.Samples.lead;
import static app.kemdro.core.plan.Samples.look;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.kemdro.core.datafile.BrokenFile;
import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Planning;
import java.io.StringReader;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Tools by what is done: common practice, [T48]. */
class ToolTest {
    private static final List<Tool> ALL = Tool.standard(TRADE);

    private static List<String> packed(LookEntry... entries) {
        Plan plan = ((Planning.Done) PLANNER.plan(look(entries), brief(lead("Ines")))).plan();
        return Tool.of(plan, ALL).stream().map(Tool::name).toList();
    }

    @Test
    void aPaintedFaceTakesBrushesAndNoLatexCup() {
        assertThat(packed(entry("base-water", "nose", "chin")))
                .contains("cape or cut-away top", "fine, flat, fan and foam brushes", "dry wedges")
                .doesNotContain(
                        "cup or dish for latex", "trimmer", "tweezers", "pliers", "throw-away brush for remover");
    }

    @Test
    void aCapTakesTrimmerPencilAndSecondMirror() {
        assertThat(packed(entry("hair-flat", "crown"), entry("cap-latex", "crown")))
                .contains("trimmer", "white pencil", "second mirror", "cup or dish for latex", "clips, ties and a comb")
                .doesNotContain("airbrush, air, stencils, strainer", "loop tool");
    }

    @Test
    void whatIsLaidDecidesWhereTheWorkDoesNot() {
        assertThat(packed(entry("wax-build", "chin"))).contains("loop tool", "petroleum jelly for the fingers");
        assertThat(packed(entry("gel-scar", "chin")))
                .contains("hot water", "swabs")
                .doesNotContain("loop tool");
        assertThat(packed(entry("base-airbrush", "nose"))).contains("airbrush, air, stencils, strainer");
    }

    /** Whatever is named in the handbook for a kind of work is for some technique there is. */
    @Test
    void everyToolIsForSomething() {
        assertThat(ALL)
                .allSatisfy(t -> assertThat(t.always()
                                || TRADE.techniques().stream()
                                        .anyMatch(k -> t.slots().contains(k.slot())
                                                || k.materials().stream()
                                                        .anyMatch(m ->
                                                                t.materials().contains(m)
                                                                        || t.kinds()
                                                                                .contains(TRADE.materials()
                                                                                        .family(m)
                                                                                        .kind()))))
                        .as(t.name())
                        .isTrue());
        assertThat(ALL).extracting(Tool::name).doesNotHaveDuplicates();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "slots: [nowhere] | no technique is of the kind 'nowhere'",
                "kinds: [nothing] | nothing is of the kind 'nothing'",
                "materials: [marzipan] | there is no material 'marzipan'",
                "always: no | it is for nothing"
            })
    void whatIsForNothingIsNamedWithItsLine(String how, String says) {
        DataNode file = DataNode.read("tools.yaml", new StringReader("- { tool: odd, " + how + ", because: A test. }"));
        assertThatThrownBy(() -> Tool.read(file, TRADE))
                .isInstanceOf(BrokenFile.class)
                .hasMessageContaining("tools.yaml")
                .hasMessageContaining("line 1")
                .hasMessageContaining(says);
    }
}
