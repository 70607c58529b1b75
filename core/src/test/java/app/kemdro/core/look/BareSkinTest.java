package app.kemdro.core.look;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.look.Brief.Brows;
import app.kemdro.core.look.Brief.Hair;
import app.kemdro.core.look.Brief.Performer;
import app.kemdro.core.look.Brief.Room;
import app.kemdro.core.method.Trade;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
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
                .filter(z -> TRADE.technique("base-cream").zones().contains(z))
                .filter(z -> !costume.contains(z)
                        && !Set.of("ear-left", "ear-right", "nape").contains(z))
                .collect(Collectors.toSet());
        Look look = new Look(List.of(new LookEntry("base", "base-cream", List.copyOf(painted), 0)));
        BareSkin bare = BareSkin.of(look, brief(costume, Hair.NONE), TRADE);
        assertThat(bare.zones()).containsExactly("ear-left", "ear-right", "nape");
        assertThat(bare.areaCm2()).isEqualTo(TRADE.body().areaCm2(List.of("ear-left", "ear-right", "nape")));
    }

    @Test
    void preparationCoversNothing() {
        Look look = new Look(List.of(new LookEntry("prep", "skin-prep", List.of("nose"), 0)));
        assertThat(BareSkin.of(look, brief(Set.of(), Hair.NONE), TRADE).zones()).contains("nose");
    }

    @Test
    void hairHidesTheHeadAndHalfABaseCoversNothing() {
        Look half = new Look(List.of(new LookEntry("base", "base-cream", List.of("nose"), 0).covering(50)));
        assertThat(BareSkin.of(half, brief(Set.of(), Hair.LONG), TRADE).zones())
                .contains("nose")
                .doesNotContain("crown", "hairline", "back-of-head", "teeth-upper", "nails-left");
    }

    /** A half mask: two fields of one kind of work, side by side; two of different kinds leave what either leaves. */
    @Test
    void fieldsSideBySideCoverTogether() {
        LookEntry white = new LookEntry("white", "base-water", List.of("nose"), 0).covering(60);
        LookEntry skin = new LookEntry("skin", "base-cream", List.of("nose"), 0).covering(40);
        assertThat(BareSkin.of(new Look(List.of(white, skin)), brief(Set.of(), Hair.NONE), TRADE)
                        .zones())
                .doesNotContain("nose");
        assertThat(BareSkin.of(new Look(List.of(white, skin.covering(39))), brief(Set.of(), Hair.NONE), TRADE)
                        .zones())
                .contains("nose");
        LookEntry wash = new LookEntry("wash", "wash-water", List.of("nose"), 0).covering(50);
        LookEntry other = new LookEntry("other", "wash-alcohol", List.of("nose"), 0).covering(50);
        assertThat(BareSkin.of(new Look(List.of(wash, other)), brief(Set.of(), Hair.NONE), TRADE)
                        .zones())
                .as("washes lie over one another")
                .contains("nose");
        LookEntry shadow = new LookEntry("shadow", "shade-highlight", List.of("nose"), 0).covering(40);
        assertThat(BareSkin.of(new Look(List.of(white, shadow)), brief(Set.of(), Hair.NONE), TRADE)
                        .zones())
                .contains("nose");
    }

    private static Brief brief(Set<String> costume, Hair hair) {
        return new Brief(
                LocalDateTime.of(2026, 12, 3, 8, 0),
                Optional.empty(),
                new Performer("Sitter", 0, 0, 0, Set.of(), Brows.MEDIUM, hair),
                List.of(),
                new Room(22, 45, 1),
                costume,
                0,
                false);
    }
}
