package app.kemdro.core.schedule;

import static app.kemdro.core.schedule.Networks.INES;
import static app.kemdro.core.schedule.Networks.PELL;
import static app.kemdro.core.schedule.Networks.film;
import static app.kemdro.core.schedule.Networks.lag;
import static app.kemdro.core.schedule.Networks.plan;
import static app.kemdro.core.schedule.Networks.task;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.schedule.Task.Mode;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PinTest {
    private static TaskNetwork pinned(List<Task> tasks, List<Lag> lags, Pin... pins) {
        return new TaskNetwork(tasks, lags, List.of(INES, PELL), 1, BreakRule.USUAL, List.of(pins));
    }

    @Test
    void nothingBeginsBeforeItsPinAndReadyHangsOnIt() {
        TaskNetwork network = pinned(
                List.of(task("a", 300, "x"), task("b", 120, "y")), List.of(), new Pin("b", 1000, Mode.NEVER, null));
        Schedule schedule = plan(network);
        assertThat(ScheduleCheck.problems(network, schedule)).isEmpty();
        assertThat(schedule.of("b").start()).isEqualTo(1000);
        assertThat(schedule.leastReady()).as("the bound knows of the pin").isEqualTo(schedule.ready());
        assertThat(Binding.of(network, schedule, "b").kind()).isEqualTo(Binding.Kind.WISH);
    }

    @Test
    void whatIsPinnedToHandsIsDoneByThemThoughOthersAreQuicker() {
        TaskNetwork network = pinned(List.of(task("a", 300, "x")), List.of(), new Pin("a", 0, Mode.NEVER, PELL.id()));
        Schedule schedule = plan(network);
        assertThat(schedule.of("a").worker()).isEqualTo(PELL.id());
        assertThat(schedule.ready()).isEqualTo(330);
    }

    @Test
    void whatMustHaveBegunGoesBeforeLongerWork() {
        List<Task> tasks = List.of(task("long", 900, "x"), task("next", 900, "x"), task("soon", 60, "x"));
        List<Lag> lags = List.of(lag("long", "next", Lag.Kind.END));
        TaskNetwork network = pinned(tasks, lags, new Pin("soon", 0, 100, null));
        Schedule schedule = plan(network);
        assertThat(ScheduleCheck.problems(network, schedule)).isEmpty();
        assertThat(schedule.of("soon").start()).isLessThanOrEqualTo(100);
    }

    @Test
    void aMomentThatCannotBeMetIsSaidWithHowLateItWouldBe() {
        TaskNetwork network = pinned(
                List.of(task("first", 600, "x"), task("then", 60, "x")),
                List.of(lag("first", "then", Lag.Kind.END)),
                new Pin("then", 0, 400, null));
        assertThat(Planner.trying(20).plan(network)).isEqualTo(new Outcome.TooLate("then", 200));
    }

    /** A wish for an order says nothing about drying: the later step may be anywhere, and what it follows may still be wet. */
    @Test
    void afterIsNotIntoAndDoesNotWaitForTheFilm() {
        TaskNetwork network = pinned(
                List.of(film("coat", 60, 300, Mode.NEVER, 600, "x"), task("else", 60, "y")),
                List.of(lag("coat", "else", Lag.Kind.AFTER)));
        Schedule schedule = plan(network);
        assertThat(schedule.of("else").start()).isEqualTo(60);
        assertThat(schedule.ready())
                .as("the coat is still waited for at the end")
                .isEqualTo(660);
        TaskNetwork same = pinned(
                List.of(film("coat", 60, 300, Mode.NEVER, 600, "x"), task("else", 60, "x")),
                List.of(lag("coat", "else", Lag.Kind.AFTER)));
        assertThat(plan(same).of("else").start()).as("in the same place it is").isEqualTo(660);
    }

    @Test
    void everyThirdBreakIsAMeal() {
        List<Task> tasks = java.util.stream.IntStream.range(0, 60)
                .mapToObj(i -> task("t" + i, 420, "z" + i))
                .toList();
        TaskNetwork network = Networks.of(tasks, List.of(), INES);
        Schedule schedule = plan(network);
        assertThat(ScheduleCheck.problems(network, schedule)).isEmpty();
        assertThat(schedule.rests().stream().map(r -> r.end() - r.start())).containsExactly(600, 600, 1800);
        assertThat(schedule.ready()).isBetween(60 * 420 + 3000, 60 * 420 + 3000 + 300);
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15})
    void everyPinnedScheduleIsSound(long seed) {
        TaskNetwork network = Networks.pinned(seed, 20);
        if (Planner.trying(60).plan(network) instanceof Outcome.Planned planned) {
            assertThat(ScheduleCheck.problems(network, planned.schedule())).isEmpty();
        }
    }

    @Test
    void mostPinnedNetworksArePlanned() {
        long planned = java.util.stream.LongStream.rangeClosed(1, 40)
                .filter(s -> Planner.trying(60).plan(Networks.pinned(s, 20)) instanceof Outcome.Planned)
                .count();
        assertThat(planned).isGreaterThan(26);
    }
}
