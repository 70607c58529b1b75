package app.kemdro.core.schedule;

import static app.kemdro.core.schedule.Networks.INES;
import static app.kemdro.core.schedule.Networks.film;
import static app.kemdro.core.schedule.Networks.lag;
import static app.kemdro.core.schedule.Networks.of;
import static app.kemdro.core.schedule.Networks.plan;
import static app.kemdro.core.schedule.Networks.task;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.schedule.Task.Mode;
import java.util.List;
import org.junit.jupiter.api.Test;

class BindingTest {
    private static final TaskNetwork NETWORK = of(
            List.of(film("coat", 60, 200, Mode.NEVER, 200, "a"), task("next", 60, "a"), task("aside", 30, "b")),
            List.of(lag("coat", "next", Lag.Kind.SETTLED)),
            INES);
    private static final Schedule SCHEDULE = plan(NETWORK);

    @Test
    void theFirstStepIsBoundByNothing() {
        assertThat(Binding.of(NETWORK, SCHEDULE, "coat").kind()).isEqualTo(Binding.Kind.FIRST);
    }

    @Test
    void aStepThatWaitsForAFilmNamesIt() {
        Binding binding = Binding.of(NETWORK, SCHEDULE, "next");
        assertThat(binding.kind()).isEqualTo(Binding.Kind.FOLLOWS);
        assertThat(binding.task()).isEqualTo("coat");
    }

    @Test
    void busyHandsAreNamed() {
        assertThat(Binding.of(NETWORK, SCHEDULE, "aside")).isEqualTo(new Binding(Binding.Kind.HANDS, "coat", null));
    }

    @Test
    void onlyTheChainThatMakesItReadyIsCritical() {
        assertThat(Critical.tasks(NETWORK, SCHEDULE)).containsExactly("coat", "next");
        assertThat(Critical.slack(NETWORK, SCHEDULE).get("aside")).isEqualTo(170);
    }
}
