package app.kemdro.core.plan;

import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.entry;
import static app.kemdro.core.plan.Samples.lead;
import static app.kemdro.core.plan.Samples.look;
import static app.kemdro.core.plan.Samples.planned;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Brows;
import app.kemdro.core.look.Brief.Hair;
import app.kemdro.core.look.Brief.Performer;
import app.kemdro.core.look.Look;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** [T20] Fine hair beside glue or latex is guarded, by whom it grows on; half a minute a side. */
class FineHairTest {
    private static Brief sits(Hair hair, String... fine) {
        return brief(lead("Ines")).on(new Performer("Tomas", 0, 0, 0, Set.of(), Brows.MEDIUM, hair, Set.of(fine)));
    }

    private static List<PlannedStep> guards(Plan plan) {
        return plan.steps().stream()
                .filter(s -> s.technique().gives().contains("hair-guarded"))
                .toList();
    }

    private static Set<String> guarded(Look look, Brief brief) {
        return Set.copyOf(guards(planned(look, brief)).stream()
                .flatMap(s -> s.zones().stream())
                .toList());
    }

    @ParameterizedTest
    @CsvSource({
        "foam-piece, forehead, SHORT, hairline temple-left temple-right",
        "foam-piece, forehead, NONE, ''",
        "foam-piece, nose, LONG, ''",
        "tissue-build, throat, SHORT, nape",
        "base-cream, forehead, SHORT, ''",
    })
    void whatGlueComesBesideIsGuarded(String technique, String zone, Hair hair, String hairs) {
        assertThat(guarded(look(entry(technique, zone)), sits(hair)))
                .containsExactlyInAnyOrder(
                        Stream.of(hairs.split(" ")).filter(s -> !s.isEmpty()).toArray(String[]::new));
    }

    @Test
    void itTakesHalfAMinuteASideAndComesBeforeTheGlue() {
        Plan plan = planned(look(entry("foam-piece", "forehead")), sits(Hair.SHORT));
        int end = 0;
        for (PlannedStep guard : guards(plan)) {
            var at = plan.schedule().of(guard.id());
            assertThat(at.end() - at.start())
                    .as(guard.titleWithPlace())
                    .isBetween(20 * guard.zones().size(), 75);
            end = Math.max(end, at.end());
        }
        assertThat(end).isPositive();
        assertThat(plan.schedule().of("foam-piece-forehead/glue").start()).isGreaterThanOrEqualTo(end);
    }

    @Test
    void aCapOrAGuardOfOnesOwnLeavesNothingToAdd() {
        assertThat(guarded(
                        look(
                                entry("hair-flat", "crown", "hairline", "back-of-head"),
                                entry("cap-latex", "crown", "hairline", "back-of-head"),
                                entry("foam-piece", "forehead")),
                        sits(Hair.SHORT)))
                .isEmpty();
        Plan own = planned(
                look(entry("foam-piece", "forehead"), entry("barrier-hair", "hairline", "temple-left", "temple-right")),
                sits(Hair.SHORT));
        assertThat(guards(own)).allMatch(s -> s.technique().id().equals("barrier-hair"));
    }

    /** What grows on one performer and not on another: latex meets hair there, or skin. */
    @Test
    void aBeardOrHairyArmsAreSaidOfThePerformer() {
        Look chin = look(entry("tissue-build", "chin"));
        assertThat(guarded(chin, sits(Hair.NONE, "beard"))).containsExactlyInAnyOrder("chin", "jaw-left", "jaw-right");
        assertThat(guarded(chin, sits(Hair.NONE))).isEmpty();
        assertThat(planned(chin, sits(Hair.NONE, "beard"))
                        .stacks()
                        .get("chin")
                        .ground()
                        .word())
                .isEqualTo("hairy");
        assertThat(planned(chin, sits(Hair.NONE)).stacks().get("chin").ground().word())
                .isEqualTo("clean-skin");
        Look arm = look(entry("tissue-build", "forearm-left"));
        assertThat(guarded(arm, sits(Hair.SHORT, "arms"))).containsExactly("forearm-left");
        assertThat(guarded(arm, sits(Hair.SHORT))).isEmpty();
    }
}
