package app.kemdro.core.look;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.method.Trade;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class BareSkinTest {
    private static final Trade TRADE = Trade.standard();

    @Test
    void earsAndNapeAreForgottenAndCounted() {
        Set<String> costume =
                Set.of("chest", "shoulder-left", "shoulder-right", "upper-back", "hand-left", "hand-right");
        Set<String> painted = TRADE.body().zones().stream()
                .map(z -> z.id())
                .filter(z -> !costume.contains(z)
                        && !Set.of("ear-left", "ear-right", "nape").contains(z))
                .collect(Collectors.toSet());
        Look look = new Look(List.of(new LookEntry("base", "base-cream", List.copyOf(painted), 0)));
        BareSkin bare = BareSkin.of(look, costume, TRADE);
        assertThat(bare.zones()).containsExactly("ear-left", "ear-right", "nape");
        assertThat(bare.areaCm2()).isEqualTo(TRADE.body().areaCm2(List.of("ear-left", "ear-right", "nape")));
    }

    @Test
    void preparationCoversNothing() {
        Look look = new Look(List.of(new LookEntry("prep", "skin-prep", List.of("nose"), 0)));
        assertThat(BareSkin.of(look, Set.of(), TRADE).zones()).contains("nose");
    }
}
