package app.kemdro.core.plan;

import static app.kemdro.core.plan.Samples.PLANNER;
import static app.kemdro.core.plan.Samples.TRADE;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.entry;
import static app.kemdro.core.plan.Samples.lead;
import static app.kemdro.core.plan.Samples.look;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

class SubstitutesTest {
    private static final Substitutes SUBSTITUTES = new Substitutes(TRADE, PLANNER);
    private static final Look PIECE = look(entry("foam-piece", "cheek-left"));

    @Test
    void everyWayDoesWithoutAndIsPlanned() {
        Brief brief = brief(lead("Ines"));
        List<Substitutes.Substitute> found = SUBSTITUTES.of(PIECE, brief, "acrylic-adhesive");
        assertThat(found).isNotEmpty();
        int now = Samples.planned(PIECE, brief).schedule().ready();
        for (Substitutes.Substitute s : found) {
            assertThat(s.school().materials()).doesNotContain("acrylic-adhesive");
            Look other = PIECE.changing(s.entry().id(), e -> e.by(s.school().id()));
            assertThat(Samples.planned(other, brief).schedule().ready() - now).isEqualTo(s.later());
        }
        assertThat(found).extracting(Substitutes.Substitute::troubles).isSorted();
    }

    @Test
    void whatThePerformerReactsToIsNotOffered() {
        Brief usual = brief(lead("Ines"));
        Brief reacts = new Brief(
                usual.call(),
                usual.chairIn(),
                new Brief.Performer("Tomas", 0, 0, 0, Set.of("resin-gum")),
                usual.crew(),
                usual.room(),
                usual.costumeCovers(),
                0,
                false);
        assertThat(SUBSTITUTES.of(PIECE, usual, "acrylic-adhesive"))
                .extracting(s -> s.school().id())
                .contains("foam-piece-gum");
        assertThat(SUBSTITUTES.of(PIECE, reacts, "acrylic-adhesive"))
                .extracting(s -> s.school().id())
                .doesNotContain("foam-piece-gum");
    }

    @Test
    void whatIsNotUsedNeedsNoSubstitute() {
        assertThat(SUBSTITUTES.of(PIECE, brief(lead("Ines")), "scar-wax")).isEmpty();
    }
}
