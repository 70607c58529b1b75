package app.kemdro.core.kit;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.kit.UsualBox.Pack;
import app.kemdro.core.material.Material;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class UsualBoxTest {
    private static final Trade TRADE = Trade.standard();
    private static final List<Pack> BOX = UsualBox.standard(TRADE.materials());

    /** What a technique lays is in the box, or the file says why no box has it. */
    @Test
    void whateverIsLaidIsInItOrItSaysWhyNot() {
        Set<String> in = BOX.stream().map(p -> p.family().id()).collect(Collectors.toSet());
        Set<String> not =
                DataNode.resource("/trade/usual-box.yaml").get("not").entries().keySet();
        for (Technique technique : TRADE.techniques()) {
            technique.steps().stream()
                    .flatMap(s -> Stream.of(s.material(), s.sets()))
                    .filter(m -> m != null && !m.isEmpty())
                    .map(TRADE.materials()::family)
                    .forEach(m -> assertThat(in.contains(m.id()) ^ (not.contains(m.id()) || not.contains(m.kind())))
                            .as(technique.id() + " lays " + m.id())
                            .isTrue());
        }
    }

    /** And so is whatever takes it off again. */
    @Test
    void everyRemoverIsInIt() {
        assertThat(BOX.stream().map(p -> p.family().id()))
                .containsAll(TRADE.materials().all().stream()
                        .flatMap(m -> m.removedBy().stream())
                        .collect(Collectors.toSet()));
    }

    @Test
    void everyFamilyOnceAndInPiecesWhereKitCountsPieces() {
        Map<String, Pack> by =
                BOX.stream().collect(Collectors.toMap(p -> p.family().id(), Function.identity()));
        assertThat(by).hasSameSizeAs(BOX);
        for (Pack pack : BOX) {
            Material m = pack.family();
            assertThat(pack.unit().equals("pcs")).as(m.id()).isEqualTo(m.isForm() || m.each());
            assertThat(pack.unit()).isIn("g", "ml", "pcs");
        }
    }

    /** By hand: 28 € for 100 g, 60 of them are 16.80 €, said as 17; a cap costs what the file says. */
    @Test
    void pricesAreTheFamiliesOwn() {
        assertThat(BOX).anySatisfy(p -> {
            assertThat(p.family().id()).isEqualTo("acrylic-adhesive");
            assertThat(p.price()).isEqualTo(17);
        });
        assertThat(BOX).anySatisfy(p -> {
            assertThat(p.family().id()).isEqualTo("latex-cap");
            assertThat(p.price()).isEqualTo(9);
        });
        assertThat(BOX)
                .filteredOn(p -> p.family().id().equals("soap-water"))
                .allSatisfy(p -> assertThat(p.price()).isZero());
    }
}
