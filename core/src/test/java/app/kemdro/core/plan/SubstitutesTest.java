package app.kemdro.core.plan;

import static app.kemdro.core.plan.Samples.PLANNER;
import static app.kemdro.core.plan.Samples.TRADE;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.entry;
import static app.kemdro.core.plan.Samples.lead;
import static app.kemdro.core.plan.Samples.look;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.layer.Stack;
import app.kemdro.core.layer.Verdict;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import java.util.ArrayList;
import java.util.HashSet;
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

    /** A way that holds only if something is seen to says what; read off the layers of its own plan. */
    @Test
    void whatHoldsIfSaysIfWhat() {
        Brief brief = brief(lead("Ines"));
        Look crust = look(entry("foam-piece", "cheek-left"), entry("wash-water", "cheek-left"));
        List<Substitutes.Substitute> found = new ArrayList<>(SUBSTITUTES.of(PIECE, brief, "acrylic-adhesive"));
        found.addAll(SUBSTITUTES.of(crust, brief, "water-paint"));
        Set<String> all = new HashSet<>();
        for (Substitutes.Substitute s : found) {
            Look from = s.entry().techniqueId().equals("wash-water") ? crust : PIECE;
            Set<String> then =
                    ifs(from.changing(s.entry().id(), e -> e.by(s.school().id())), brief);
            then.removeAll(ifs(from, brief));
            assertThat(s.conditions()).containsExactlyInAnyOrderElementsOf(then).doesNotContain("");
            all.addAll(then);
        }
        assertThat(all).isNotEmpty();
    }

    private static Set<String> ifs(Look look, Brief brief) {
        Set<String> all = new HashSet<>();
        for (Stack stack : Samples.planned(look, brief).stacks().values()) {
            for (Stack.Layer layer : stack.layers()) {
                if (layer.boundary().verdict() == Verdict.HOLDS_IF) {
                    all.add(layer.boundary().condition());
                }
            }
        }
        return all;
    }

    @Test
    void whatIsNotUsedNeedsNoSubstitute() {
        assertThat(SUBSTITUTES.of(PIECE, brief(lead("Ines")), "scar-wax")).isEmpty();
    }
}
