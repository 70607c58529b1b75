package app.kemdro.web.rooms.look;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.method.Trade;
import java.util.List;
import org.junit.jupiter.api.Test;

class TakeBackTest {
    private static final Trade TRADE = Trade.standard();
    private static final LookEntry BARRIER = new LookEntry("b", "skin-barrier", List.of("chin"), 0);
    private static final LookEntry BASE = new LookEntry("c", "base-cream", List.of("cheek-left", "cheek-right"), 0);

    private static String says(List<LookEntry> now, List<LookEntry> before) {
        return TakeBack.says(new Look(now), new Look(before), TRADE);
    }

    @Test
    void itSaysWhatWouldGoComeBackOrBeAsItWas() {
        assertThat(says(List.of(BASE, BARRIER), List.of(BASE)))
                .isEqualTo("Take back “Barrier lotion under heavy paint”, chin");
        assertThat(says(List.of(), List.of(BASE))).isEqualTo("Bring back “Cream base”, both cheeks");
        assertThat(says(List.of(BASE.coated(3)), List.of(BASE))).isEqualTo("As before: “Cream base”, both cheeks");
        assertThat(says(List.of(BARRIER), List.of(BASE)))
                .isEqualTo("Take back “Barrier lotion under heavy paint”, chin; bring back “Cream base”, both cheeks");
        assertThat(says(List.of(BASE), List.of(BASE))).isEqualTo("Take the last change back");
    }
}
