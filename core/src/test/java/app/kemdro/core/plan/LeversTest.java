package app.kemdro.core.plan;

import static app.kemdro.core.plan.Samples.TRADE;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.entry;
import static app.kemdro.core.plan.Samples.lead;
import static app.kemdro.core.plan.Samples.look;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.core.plan.Levers.Lever;
import app.kemdro.core.schedule.Planner;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;

class LeversTest {
    private static final LookPlanner ROUGH = new LookPlanner(TRADE, Planner.trying(8));
    private static final Levers LEVERS = new Levers(TRADE, ROUGH);
    private static final Brief ALONE = brief(lead("Ines"));
    private static final List<Lever> FOUNDER = LEVERS.of(Samples.bellFounder(), ALONE);

    private static int ready(Look look, Brief brief) {
        return ((Planning.Done) ROUGH.plan(look, brief)).plan().schedule().ready();
    }

    @Test
    void everyLeverReallySavesWhatItSays() {
        int now = ready(Samples.bellFounder(), ALONE);
        assertThat(FOUNDER).isNotEmpty().allSatisfy(l -> {
            assertThat(l.saved()).isGreaterThanOrEqualTo(60);
            assertThat(now - ready(l.look(), l.brief())).isEqualTo(l.saved());
        });
    }

    @Test
    void theMostSavingComesFirst() {
        assertThat(FOUNDER).extracting(Lever::saved).isSortedAccordingTo((a, b) -> Integer.compare(b, a));
    }

    @Test
    void aSecondPairOfHandsSavesTheMostOfALongJobAlone() {
        assertThat(FOUNDER.get(0).says()).isEqualTo("Another pair of hands");
        assertThat(FOUNDER.get(0).brief().crew()).hasSize(2);
    }

    @Test
    void fewerCoatsAreOfferedOnlyWhereTheTradeAllowsThem() {
        assertThat(FOUNDER).anyMatch(l -> l.says().startsWith("One coat less of"));
        assertThat(FOUNDER)
                .allSatisfy(l -> assertThat(l.look().entries())
                        .allSatisfy(e -> assertThat(e.coats() == 0
                                        || e.coats()
                                                >= TRADE.technique(e.techniqueId())
                                                        .coats()
                                                        .least())
                                .isTrue()));
    }

    @Test
    void nothingThePerformerReactsToIsALever() {
        Brief reacts = new Brief(
                ALONE.call(),
                ALONE.chairIn(),
                new Brief.Performer("Tomas", 0, 0, 0, java.util.Set.of("resin-gum")),
                ALONE.crew(),
                ALONE.room(),
                ALONE.costumeCovers(),
                0,
                false);
        assertThat(LEVERS.of(Samples.bellFounder(), reacts))
                .noneMatch(l -> l.says().toLowerCase(Locale.ROOT).contains("spirit gum instead"));
    }

    /** Minutes that make a layer fail, or a school that is poor for the job, are no lever. */
    @Test
    void noLeverMakesTheLookWorse() {
        assertThat(FOUNDER)
                .allSatisfy(l -> assertThat(ROUGH.stacks(l.look(), l.brief()).values())
                        .allSatisfy(s -> assertThat(s.troubles()).isEmpty()));
        assertThat(FOUNDER).noneMatch(l -> l.says().startsWith("Practice cap"));
    }

    @Test
    void twoTogetherSaveMoreThanEitherAlone() {
        int now = ready(Samples.bellFounder(), ALONE);
        for (Lever pair : LEVERS.pairs(FOUNDER, Samples.bellFounder(), ALONE)) {
            assertThat(pair.says()).contains(", and ");
            assertThat(now - ready(pair.look(), pair.brief())).isEqualTo(pair.saved());
            assertThat(FOUNDER)
                    .filteredOn(l -> pair.says()
                            .toLowerCase(Locale.ROOT)
                            .contains(l.says().toLowerCase(Locale.ROOT)))
                    .hasSizeGreaterThanOrEqualTo(2)
                    .allSatisfy(l -> assertThat(l.saved()).isLessThan(pair.saved()));
        }
    }

    @Test
    void aLookThatCannotBePlannedHasNoLevers() {
        assertThat(LEVERS.of(look(entry("edge-latex", "nose")), ALONE)).isEmpty();
        assertThat(LEVERS.of(Look.EMPTY, ALONE)).isEmpty();
    }
}
