package app.kemdro.core.kit;

import static app.kemdro.core.plan.Samples.TRADE;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.entry;
import static app.kemdro.core.plan.Samples.lead;
import static app.kemdro.core.plan.Samples.look;
import static app.kemdro.core.plan.Samples.planned;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.look.Look;
import java.util.List;
import org.junit.jupiter.api.Test;

class LoadsTest {
    private static List<Need> needs(Look look) {
        return new Amounts(TRADE, Waste.standard(TRADE.body())).laid(planned(look, brief(lead("Ines"))), look);
    }

    private static Need need(List<Need> needs, String family) {
        return needs.stream()
                .filter(n -> n.family().id().equals(family))
                .findFirst()
                .orElseThrow(() -> new AssertionError("no " + family));
    }

    /** What is wet or thick is not dust: everything that is no powder, form or bench stuff weighs more than dust does. */
    @Test
    void onlyPowderIsDust() {
        TRADE.materials().all().stream()
                .filter(m -> !m.kind().equals("powder")
                        && !m.kind().equals("bench")
                        && !m.kind().equals("remover"))
                .filter(m -> !m.isForm()
                        && !m.each()
                        && !m.kind().equals("lens")
                        && !m.kind().equals("lash"))
                .forEach(m -> assertThat(m.gramsPerCm2()).as(m.id()).isGreaterThan(0.0006));
    }

    /** By hand: jelly at 30 g/m² over the hairline's 77.8 cm² is a quarter of a gram. */
    @Test
    void jellyIsWeighedAsJelly() {
        Need jelly = need(needs(look(entry("hair-flat", "crown"), entry("cap-practice", "crown"))), "barrier-grease");
        assertThat(jelly.laid()).isBetween(0.2, 0.3);
    }

    @Test
    void tabsAreCounted() {
        List<Need> needs = needs(look(entry("nails-tabs", "nails-left", "nails-right")));
        assertThat(need(needs, "nail-tabs").pieces()).isEqualTo(10);
        assertThat(need(needs, "false-nails").pieces()).isEqualTo(10);
    }
}
