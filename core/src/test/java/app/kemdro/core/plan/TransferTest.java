package app.kemdro.core.plan;

import static app.kemdro.core.plan.Samples.TRADE;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.entry;
import static app.kemdro.core.plan.Samples.lead;
import static app.kemdro.core.plan.Samples.look;
import static app.kemdro.core.plan.Samples.planned;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What comes off when the performer leaves the chair, read by hand of small looks. */
class TransferTest {
    /** Chest, shoulders and upper back are covered; dressing takes a quarter of an hour. */
    private static final Brief DRESSED = dressed(brief(lead("Ines")));

    private static Brief dressed(Brief b) {
        return new Brief(
                b.call(), b.chairIn(), b.performer(), b.crew(), b.room(), b.costumeCovers(), 15, b.selfApplied());
    }

    private static PlannedStep dressing(Plan plan) {
        return plan.steps().stream()
                .filter(s -> s.technique().performerOnly())
                .findFirst()
                .orElseThrow();
    }

    private static List<Transfer.Comes> comes(Look look) {
        Plan plan = planned(look, DRESSED);
        return Transfer.at(plan, dressing(plan), TRADE);
    }

    @Test
    void powderedWaterPaintAtTheCollarStillRubsOffOnClothAndSealedItDoesNot() {
        List<Transfer.Comes> open = comes(look(entry("base-water", "throat", "chest")));
        assertThat(open).extracting(Transfer.Comes::what).containsOnly("cloth");
        assertThat(open).anySatisfy(c -> {
            assertThat(c.zones()).contains("throat", "chest");
            assertThat(c.says()).contains("powdered water paint", "sweat");
            assertThat(c.stop()).contains("fixing spray");
        });
        assertThat(comes(look(entry("base-water", "throat", "chest"), entry("fix-spray", "throat", "chest"))))
                .isEmpty();
    }

    @Test
    void whatLiesFarFromClothAndPhoneComesOffNowhere() {
        assertThat(comes(look(entry("base-water", "forehead")))).isEmpty();
    }

    @Test
    void noOtherStepHasAnything() {
        Plan plan = planned(look(entry("base-water", "throat", "chest")), DRESSED);
        assertThat(plan.steps())
                .filteredOn(s -> !s.technique().performerOnly())
                .isNotEmpty()
                .allSatisfy(s -> {
                    assertThat(Transfer.at(plan, s, TRADE)).isEmpty();
                    assertThat(Transfer.cautions(plan, s, TRADE))
                            .isEqualTo(s.technique().cautions());
                });
    }

    @Test
    void aJawRubsOffOnAPhoneAndHandsArePaintedAfterwards() {
        Plan plan =
                planned(look(entry("base-water", "jaw-left"), entry("base-water", "hand-left", "hand-right")), DRESSED);
        assertThat(Transfer.at(plan, dressing(plan), TRADE))
                .anySatisfy(c -> {
                    assertThat(c.what()).isEqualTo("a phone");
                    assertThat(c.zones()).containsExactly("jaw-left");
                })
                .noneMatch(c -> c.what().contains("toilet"));
    }
}
