package app.kemdro.core.body;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.kemdro.core.datafile.BrokenFile;
import app.kemdro.core.datafile.DataNode;
import java.io.StringReader;
import java.util.List;
import org.junit.jupiter.api.Test;

class BodyTest {
    private static final Body BODY = Body.standard();

    /** The figure's mesh has 1104 cm² of head without neck (measurements of the sculpture). */
    @Test
    void headZonesAddUpToTheHeadOfTheFigure() {
        List<String> head = BODY.zones().stream()
                .filter(z -> z.region().equals("head") || z.region().equals("face"))
                .filter(z -> !BODY.named("behind-ears").contains(z.id()))
                .map(Zone::id)
                .toList();
        assertThat(BODY.areaCm2(head)).isCloseTo(1104, within(25.0));
    }

    @Test
    void pairsAreSaidAsBoth() {
        assertThat(BODY.say(List.of("cheek-right", "cheek-left"))).isEqualTo("both cheeks");
        assertThat(BODY.say(List.of("cheek-left"))).isEqualTo("left cheek");
        assertThat(BODY.say(List.of("nose", "throat", "crown", "chin"))).isEqualTo("crown, nose and 2 more");
    }

    @Test
    void mirrorOfTheNoseIsTheNose() {
        assertThat(BODY.mirror("ear-left")).isEqualTo("ear-right");
        assertThat(BODY.mirror("nose")).isEqualTo("nose");
    }

    @Test
    void aNeighbourThatDoesNotAnswerIsNamedWithItsLine() {
        String text = """
                rows: [face]
                zones:
                  nose: { row: face, region: face, area: 30, neighbours: [chin] }
                  chin: { row: face, region: face, area: 20, neighbours: [] }
                """;
        assertThatThrownBy(() -> Body.read(DataNode.read("zones.yaml", new StringReader(text))))
                .isInstanceOf(BrokenFile.class)
                .hasMessageContaining("zones.yaml, line 3")
                .hasMessageContaining("chin does not name nose");
    }
}
