package app.kemdro.core.schedule;

import static app.kemdro.core.schedule.Networks.INES;
import static app.kemdro.core.schedule.Networks.PELL;
import static app.kemdro.core.schedule.Networks.film;
import static app.kemdro.core.schedule.Networks.lag;
import static app.kemdro.core.schedule.Networks.of;
import static app.kemdro.core.schedule.Networks.task;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.schedule.Task.Mode;
import app.kemdro.core.schedule.Task.Needs;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** The least that is said to be possible, by hand. Whether it is ever too much is asked of a second solver, beside that. */
class BoundsTest {
    private static int least(TaskNetwork network) {
        return Planner.trying(1).least(network);
    }

    private static Task lead(String id, int seconds, String zone) {
        return new Task(id, seconds, Set.of(zone), Set.of(), Needs.LEAD, List.of(Mode.NOTHING));
    }

    /** 100 s of coat, 200 s until it is dry, 60 s of powder, which settles within 40. */
    @Test
    void aChainIsAsLongAsItsWorkAndItsWaits() {
        List<Task> tasks =
                List.of(film("coat", 100, 50, Mode.NEVER, 200, "a"), film("dust", 60, 0, Mode.NEVER, 40, "a"));
        assertThat(least(of(tasks, List.of(lag("coat", "dust", Lag.Kind.SETTLED)), INES)))
                .isEqualTo(400);
        assertThat(least(of(tasks, List.of(lag("coat", "dust", Lag.Kind.USABLE)), INES)))
                .isEqualTo(250);
        assertThat(least(of(tasks, List.of(lag("coat", "dust", Lag.Kind.AFTER)), INES)))
                .as("the coat itself is not worked into, and settles last")
                .isEqualTo(300);
    }

    /** The dryer is held for 30 s and saves 150. */
    @Test
    void theQuickestOfTheWaysCounts() {
        Task coat = new Task(
                "coat",
                100,
                Set.of("a"),
                Set.of(),
                Needs.ANYONE,
                List.of(new Mode(0, 200, Mode.NEVER, 200), new Mode(30, 50, Mode.NEVER, 50)));
        TaskNetwork network =
                of(List.of(coat, task("next", 10, "a")), List.of(lag("coat", "next", Lag.Kind.SETTLED)), INES);
        assertThat(least(network)).isEqualTo(100 + 30 + 50 + 10);
        assertThat(least(of(List.of(coat), List.of(), INES))).isEqualTo(180);
    }

    /** Ines takes 600 s, Pell a tenth longer. */
    @Test
    void theQuickestHandsCount() {
        assertThat(least(of(List.of(task("a", 600, "a")), List.of(), PELL, INES)))
                .isEqualTo(600);
        assertThat(least(of(List.of(task("a", 600, "a")), List.of(), PELL))).isEqualTo(660);
    }

    @Test
    void allWorkIsSharedByAllHandsAndLeadsWorkByLeads() {
        List<Task> four = List.of(task("a", 600, "a"), task("b", 600, "b"), task("c", 600, "c"), task("d", 600, "d"));
        assertThat(least(of(four, List.of(), INES))).isEqualTo(2400);
        assertThat(least(of(four, List.of(), INES, PELL))).isEqualTo(1200);
        List<Task> led = List.of(lead("a", 600, "a"), lead("b", 600, "b"), task("c", 60, "c"));
        assertThat(least(of(led, List.of(), INES, PELL))).isEqualTo(1200);
    }

    /** Whatever a lead does last, 300 s have to pass behind it. */
    @Test
    void whatFollowsEveryLeadsStepComesOnTop() {
        TaskNetwork network = of(
                List.of(lead("a", 600, "a"), lead("b", 600, "b"), task("c", 300, "c"), task("d", 400, "d")),
                List.of(lag("a", "c", Lag.Kind.SETTLED), lag("b", "d", Lag.Kind.SETTLED)),
                INES,
                PELL);
        assertThat(least(network)).isEqualTo(1500);
    }

    /**
     * A coat of 60 s dries for 300; then 600 s on each of four other places, by two, and each dries for 100. All work shared by all hands is
     * less, so is every chain; what lies between drying and drying is 1200 s for two hands.
     */
    @Test
    void whatLiesBetweenTwoWaitsIsSharedBetweenThem() {
        List<Task> tasks = List.of(
                film("coat", 60, 300, Mode.NEVER, 300, "a"),
                film("b", 600, 100, Mode.NEVER, 100, "b"),
                film("c", 600, 100, Mode.NEVER, 100, "c"),
                film("d", 600, 100, Mode.NEVER, 100, "d"),
                film("e", 600, 100, Mode.NEVER, 100, "e"));
        List<Lag> lags = tasks.stream()
                .skip(1)
                .map(t -> lag("coat", t.id(), Lag.Kind.SETTLED))
                .toList();
        assertThat(least(of(tasks, lags, INES))).isEqualTo(60 + 300 + 2400 + 100);
        assertThat(least(of(tasks, lags, INES, PELL))).isEqualTo(60 + 300 + 1200 + 100);
    }

    /** Three pieces of 100 s by two: 150 s each, but everything begins and ends in hundreds of seconds. */
    @Test
    void nothingIsReadyBetweenStepsOfTheGrid() {
        BreakRule breaks = new BreakRule(7200, 600, 1800);
        Worker other = new Worker("other", true, 1, 0, Mode.NEVER);
        TaskNetwork network = new TaskNetwork(
                List.of(task("a", 100, "a"), task("b", 100, "b"), task("c", 100, "c")),
                List.of(),
                List.of(INES, other),
                1,
                breaks,
                List.of());
        assertThat(least(network)).isEqualTo(200);
    }

    /** 3 h of work need one break of 10 minutes, 6 h and a second two of them, the third being the meal. */
    @Test
    void breaksThatWorkCannotDoWithoutComeOnTop() {
        assertThat(least(of(List.of(task("a", 5400, "a"), task("b", 5400, "b")), List.of(), INES)))
                .isEqualTo(10_800 + 600);
        List<Task> six = List.of(task("a", 7200, "a"), task("b", 7200, "b"), task("c", 7200, "c"), task("d", 1, "d"));
        assertThat(least(of(six, List.of(), INES))).isEqualTo(21_601 + 600 + 600 + 1800);
        assertThat(BreakRule.USUAL.within(7200)).isZero();
        assertThat(BreakRule.USUAL.within(7201)).isEqualTo(600);
        assertThat(BreakRule.USUAL.within(0)).isZero();
    }

    /** An hour of dressing touches the only place there is: nobody works meanwhile. Elsewhere they do. */
    @Test
    void whatHoldsEverythingStopsEverybody() {
        Task dress = new Task("dress", 3600, Set.of(), Set.of("a", "b"), Needs.NOBODY, List.of(Mode.NOTHING));
        assertThat(least(of(List.of(task("a", 600, "a"), task("b", 600, "b"), dress), List.of(), INES)))
                .isEqualTo(4800);
        assertThat(least(of(List.of(task("a", 600, "a"), task("b", 600, "c"), dress), List.of(), INES)))
                .isEqualTo(3600);
    }

    @Test
    void whatMayBeginLateOnlyIsReadyLate() {
        TaskNetwork free = of(List.of(task("a", 600, "a")), List.of(), INES);
        TaskNetwork pinned = new TaskNetwork(
                free.tasks(),
                free.lags(),
                free.workers(),
                1,
                BreakRule.USUAL,
                List.of(new Pin("a", 1000, Integer.MAX_VALUE, null)));
        assertThat(least(pinned)).isEqualTo(1600);
        assertThat(least(of(List.of(), List.of(), INES))).isZero();
    }
}
