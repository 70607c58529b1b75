package app.kemdro.core.schedule;

import static app.kemdro.core.schedule.Networks.INES;
import static app.kemdro.core.schedule.Networks.film;
import static app.kemdro.core.schedule.Networks.lag;
import static app.kemdro.core.schedule.Networks.of;
import static app.kemdro.core.schedule.Networks.plain;
import static app.kemdro.core.schedule.Networks.plan;
import static app.kemdro.core.schedule.Networks.task;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.schedule.Task.Mode;
import java.util.List;
import java.util.Map;
import java.util.Set;
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

    private static Binding.Kind kind(TaskNetwork network, List<Rest> rests, String task, ScheduledTask... placed) {
        return Binding.of(network, new Schedule(List.of(placed), rests, 9000, 0), task)
                .kind();
    }

    /** Each reason by hand: b begins at 100, and nothing else than this holds it there. */
    @Test
    void everyReasonIsTold() {
        Worker sam = new Worker("Sam", true, 1, 100, 9000);
        Worker pat = new Worker("Pat", true, 1, 0, 9000);
        TaskNetwork apart = of(List.of(task("a", 60, "a"), task("b", 60, "b")), List.of(), INES, pat);
        ScheduledTask b = plain("b", "Pat", 100, 60);
        assertThat(kind(apart, List.of(), "b", plain("a", "Ines", 40, 60), b)).isEqualTo(Binding.Kind.SLACK);
        assertThat(kind(apart, List.of(), "b", plain("a", "Pat", 40, 60), b)).isEqualTo(Binding.Kind.HANDS);
        assertThat(kind(apart, List.of(), "b", plain("a", "Pat", 30, 60), b)).isEqualTo(Binding.Kind.SLACK);
        assertThat(kind(apart, List.of(new Rest(50, 100)), "b", plain("a", "Ines", 40, 60), b))
                .isEqualTo(Binding.Kind.REST);
        assertThat(kind(apart, List.of(new Rest(50, 99)), "b", plain("a", "Ines", 40, 60), b))
                .isEqualTo(Binding.Kind.SLACK);
        TaskNetwork place = of(List.of(task("a", 60, "z"), task("b", 60, "z")), List.of(), INES, pat);
        assertThat(kind(place, List.of(), "b", plain("a", "Ines", 40, 60), b)).isEqualTo(Binding.Kind.ZONE);
        assertThat(kind(place, List.of(), "b", plain("a", "Ines", 39, 60), b)).isEqualTo(Binding.Kind.SLACK);
        ScheduledTask dries = new ScheduledTask("a", "Ines", 0, 0, 60, 60, Mode.NEVER, 100, 0);
        assertThat(kind(place, List.of(), "b", dries, b)).isEqualTo(Binding.Kind.ZONE);
        Task open = new Task(
                "a", 60, Set.of("a"), Set.of(), Map.of("eyes", "open"), Task.Needs.ANYONE, List.of(Mode.NOTHING));
        Task shut = new Task(
                "b", 60, Set.of("b"), Set.of(), Map.of("eyes", "shut"), Task.Needs.ANYONE, List.of(Mode.NOTHING));
        TaskNetwork eyes = of(List.of(open, shut), List.of(), INES, pat);
        assertThat(kind(eyes, List.of(), "b", plain("a", "Ines", 40, 60), b)).isEqualTo(Binding.Kind.POSTURE);
        assertThat(kind(eyes, List.of(), "b", plain("a", "Ines", 39, 60), b)).isEqualTo(Binding.Kind.SLACK);
        TaskNetwork late = of(List.of(task("a", 60, "a"), task("b", 60, "b")), List.of(), INES, sam);
        assertThat(kind(late, List.of(), "b", plain("a", "Ines", 40, 60), plain("b", "Sam", 100, 60)))
                .isEqualTo(Binding.Kind.HOURS);
        assertThat(kind(late, List.of(), "b", plain("a", "Ines", 40, 60), plain("b", "Sam", 101, 60)))
                .isEqualTo(Binding.Kind.SLACK);
        TaskNetwork wished = new TaskNetwork(
                List.of(task("a", 60, "a"), task("b", 60, "b")),
                List.of(),
                List.of(INES, pat),
                1,
                BreakRule.USUAL,
                List.of(new Pin("a", 100, Mode.NEVER, null), new Pin("b", 100, Mode.NEVER, null)));
        assertThat(kind(wished, List.of(), "b", plain("a", "Ines", 140, 60), b)).isEqualTo(Binding.Kind.WISH);
        assertThat(kind(wished, List.of(), "b", plain("a", "Ines", 140, 60), plain("b", "Pat", 120, 60)))
                .isEqualTo(Binding.Kind.SLACK);
        TaskNetwork window = of(
                List.of(film("b", 60, 60, 120, 300, "b"), task("press", 60, "b"), task("a", 60, "a")),
                List.of(lag("b", "press", Lag.Kind.USABLE), lag("a", "press", Lag.Kind.END)),
                INES,
                pat);
        ScheduledTask glue = new ScheduledTask("b", "Pat", 0, 100, 160, 220, 280, 460, 0);
        assertThat(Binding.of(
                        window,
                        new Schedule(
                                List.of(plain("a", "Ines", 40, 60), glue, plain("press", "Ines", 220, 60)),
                                List.of(),
                                280,
                                0),
                        "b"))
                .isEqualTo(
                        new Binding(Binding.Kind.WINDOW, "press", window.lags().get(0)));
        assertThat(Binding.of(
                                window,
                                new Schedule(
                                        List.of(plain("a", "Ines", 160, 60), glue, plain("press", "Ines", 220, 60)),
                                        List.of(),
                                        280,
                                        0),
                                "press")
                        .lag())
                .as("the first that holds it")
                .isEqualTo(window.lags().get(0));
    }
}
