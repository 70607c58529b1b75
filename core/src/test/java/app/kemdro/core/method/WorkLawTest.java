package app.kemdro.core.method;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.kemdro.core.datafile.BrokenFile;
import app.kemdro.core.datafile.DataNode;
import java.io.StringReader;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The laws by which minutes grow. The values are worked by hand from the handbook's table [O, section 6]; a region's edge is 4·√cm². */
class WorkLawTest {
    private static final WorkLaws LAWS = WorkLaws.standard();

    private static WorkLaw law(String text) {
        return LAWS.of(DataNode.read("a step", new StringReader(text)), 240);
    }

    @ParameterizedTest
    @CsvSource({
        // 0.3 + 0.03·√... of the table: first fit of 100 cm² with 40 cm of edge, 0.4 + 0.5 + 1.2
        "fit, 100, 2.1",
        // 0.25 + 0.018·100^0.8, which is 39.8
        "glue, 100, 0.967",
        // 0.5 + 0.055·100^0.6, which is 15.85
        "press, 100, 1.372",
        // 0.8 + 0.04·100^0.9, which is 63.1
        "build, 100, 3.324",
        // 0.5 + 0.03·400^0.85, which is 162.8
        "base, 400, 5.385",
        // 0.3 + 0.01·400^0.8, which is 120.7
        "powder, 400, 1.507",
        // 0.6 + 0.04·400^0.8
        "shade, 400, 5.427",
        // 0.5 + 0.02·20, one colour
        "spatter, 400, 0.9",
        // 0.5 + 0.08·100
        "pattern, 100, 8.5"
    })
    void asTheTableOfTheTradeSays(String name, double areaCm2, double minutes) {
        assertThat(law("law: " + name).on(areaCm2)).isCloseTo(minutes, within(0.005));
    }

    /** 30 cm of glue are laid in a minute (clocked), and a latex edge takes 0.02 a centimetre besides taking up the brush. */
    @Test
    void whatFollowsAnEdgeGrowsWithItsLength() {
        WorkLaw strip = law("law: strip");
        assertThat(strip.start() + strip.growing(0, 30)).isCloseTo(1.05, within(0.005));
        assertThat(law("law: edge-coat").growing(0, 50)).isCloseTo(1, within(0.005));
        assertThat(WorkLaw.edgeOf(100)).isEqualTo(40);
    }

    /** Both eyes are 25 cm²: 4 min plainly, 12 in detail. */
    @Test
    void eyesTakeWhatTheyTake() {
        assertThat(law("law: eyes-plain").on(25.3)).isCloseTo(4, within(0.05));
        assertThat(law("law: eyes-detailed").on(25.3)).isCloseTo(12, within(0.15));
    }

    /** Fit, glue on both faces, press, edge: a piece twice as large takes about half as much again. */
    @Test
    void aPieceTwiceAsLargeTakesAboutHalfAsMuchAgain() {
        for (double area : List.of(30.0, 60.0, 120.0)) {
            assertThat(piece(2 * area) / piece(area)).isBetween(1.25, 1.6);
        }
    }

    private static double piece(double area) {
        return law("law: fit").on(area)
                + law("{ law: glue, times: 2 }").on(area)
                + law("law: press").on(area)
                + law("law: edge-roll").on(area);
    }

    @Test
    void whatIsWrittenAddsUp() {
        assertThat(law("minutes: 3").on(900)).isEqualTo(3);
        assertThat(law("{ minutes: 3, law: spatter, times: 2 }").on(400)).isCloseTo(4.8, within(0.005));
        assertThat(law("{ minutes: 3, law: spatter, times: 2 }").alone()).isEqualTo(1.1);
    }

    @Test
    void aLawThatThereIsNotIsNamed() {
        assertThatThrownBy(() -> law("law: mosaic"))
                .isInstanceOf(BrokenFile.class)
                .hasMessageContaining("there is no law 'mosaic'")
                .hasMessageContaining("base");
        assertThatThrownBy(() -> law("times: 3")).isInstanceOf(BrokenFile.class).hasMessageContaining("minutes");
    }
}
