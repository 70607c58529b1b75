package app.kemdro.core.plan;

import static app.kemdro.core.plan.Samples.CALL;
import static app.kemdro.core.plan.Samples.PLANNER;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.entry;
import static app.kemdro.core.plan.Samples.lead;
import static app.kemdro.core.plan.Samples.look;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Hands;
import app.kemdro.core.look.Brief.Skill;
import app.kemdro.core.look.Look;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class TrialsTest {
    private static final Look GUMMED = look(entry("under-piece-gum", "crown"));

    /** Gum lies on the powder of a latex cap then: "glue takes the powder, not the skin" (common practice). */
    private static final Look OVER_A_CAP = look(
            entry("under-piece-gum", "crown"),
            entry("hair-flat", "crown", "hairline", "back-of-head"),
            entry("cap-latex-gum", "crown", "hairline", "back-of-head"));

    /** A cap wants the hair flattened first, and stands aside without. */
    private static final Look CAP_ON_HAIR =
            look(entry("under-piece-gum", "crown"), entry("cap-latex-gum", "crown", "hairline", "back-of-head"));

    private static final Look PAINTED = look(entry("under-piece-gum", "crown"), entry("base-cream", "chin"));

    @Test
    void whatMakesALayerFailIsNotOffered() {
        Trials trials = new Trials(PLANNER, GUMMED, brief(lead("Ines")), Optional.empty());
        assertThat(trials.mayBeOffered(PAINTED)).isTrue();
        assertThat(trials.mayBeOffered(OVER_A_CAP)).isFalse();
        assertThat(trials.mayBeOffered(CAP_ON_HAIR)).isFalse();
    }

    /** The hands are there for ten minutes only: nothing has a plan, and what fails fails all the same. */
    @Test
    void norIsItWhereThereIsNoPlan() {
        Brief hurried = brief(new Hands("Ines", Skill.LEAD, CALL.minusMinutes(10), CALL));
        assertThat(PLANNER.plan(GUMMED, hurried, Optional.empty())).isInstanceOf(Planning.Refused.class);
        Trials trials = new Trials(PLANNER, GUMMED, hurried, Optional.empty());
        assertThat(trials.mayBeOffered(PAINTED)).isTrue();
        assertThat(trials.mayBeOffered(OVER_A_CAP)).isFalse();
        assertThat(trials.mayBeOffered(CAP_ON_HAIR)).isFalse();
    }
}
