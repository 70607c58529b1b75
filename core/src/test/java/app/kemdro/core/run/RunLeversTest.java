package app.kemdro.core.run;

import static app.kemdro.core.plan.Samples.TRADE;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.lead;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.plan.Levers;
import app.kemdro.core.plan.LookPlanner;
import app.kemdro.core.plan.Samples;
import app.kemdro.core.run.RunLevers.Lever;
import app.kemdro.core.schedule.Planner;
import java.util.List;
import org.junit.jupiter.api.Test;

class RunLeversTest {
    private static final LookPlanner ROUGH = new LookPlanner(TRADE, Planner.trying(10));
    private static final RunLevers LEVERS = new RunLevers(new Levers(TRADE, ROUGH), ROUGH);
    private static final int NOW = 3600;

    private static Mornings morning() {
        return new Mornings(Samples.bellFounder(), brief(lead("Ines"))).carriedOutUntil(NOW);
    }

    @Test
    void leversInTheChairNeverTouchWhatHasBegunAndSaveWhatTheySay() {
        Mornings m = morning();
        List<Lever> levers = LEVERS.of(m.standing(NOW), m.at(NOW));
        assertThat(levers).hasSizeGreaterThan(2);
        assertThat(levers).anyMatch(l -> l.acts().get(0) instanceof RunEvent.Join);
        assertThat(levers).extracting(Lever::saved).isSortedAccordingTo((a, b) -> b - a);
        for (Lever lever : levers) {
            Mornings pulled = morning();
            pull(pulled, lever.acts());
            assertThat(RunLevers.keepsWhatHasBegun(pulled.plan(), m.plan(), pulled.state()))
                    .as(lever.says())
                    .isTrue();
        }
    }

    private static void pull(Mornings m, List<RunEvent.Reshaping> acts) {
        acts.forEach(a -> m.report(NOW, a.hands(), s -> reported(a, s)));
    }

    /** The same as somebody reports it. */
    private static RunEvent reported(RunEvent act, Stamp s) {
        if (act instanceof RunEvent.Drop a) {
            return new RunEvent.Drop(s, a.entry(), a.reason());
        }
        if (act instanceof RunEvent.School a) {
            return new RunEvent.School(s, a.entry(), a.technique());
        }
        if (act instanceof RunEvent.Coats a) {
            return new RunEvent.Coats(s, a.entry(), a.coats());
        }
        return act instanceof RunEvent.Join a
                ? new RunEvent.Join(s, a.skill())
                : new RunEvent.Room(s, ((RunEvent.Room) act).room());
    }

    @Test
    void theBestLeverReallySavesMinutes() {
        Mornings m = morning();
        Lever best = LEVERS.of(m.standing(NOW), m.at(NOW)).get(0);
        Mornings pulled = morning();
        int before = pulled.rest(NOW).ready();
        pull(pulled, best.acts());
        assertThat(before - pulled.rest(NOW).ready()).isGreaterThan(best.saved() / 3);
    }

    @Test
    void twoTogetherSaveMoreThanEither() {
        Mornings m = morning();
        List<Lever> levers = LEVERS.of(m.standing(NOW), m.at(NOW));
        LEVERS.together(levers, m.standing(NOW), m.at(NOW))
                .ifPresent(pair ->
                        assertThat(pair.saved()).isGreaterThan(levers.get(1).saved()));
    }
}
