package app.kemdro.core.schedule;

import static app.kemdro.core.schedule.Networks.INES;
import static app.kemdro.core.schedule.Networks.film;
import static app.kemdro.core.schedule.Networks.lag;
import static app.kemdro.core.schedule.Networks.plain;
import static app.kemdro.core.schedule.Networks.task;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.schedule.Outcome.Planned;
import app.kemdro.core.schedule.SenseWeights.Term;
import app.kemdro.core.schedule.SenseWeights.Weight;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** When an order that people have in mind is left for another, and when it is followed; seconds, by hand. */
class WhatIsKeptTest {
    private static final Worker MORI = new Worker("Mori", true, 1, 0, 100_000);
    private static final BreakRule NO_BREAKS = new BreakRule(100_000, 600, 1800);

    /** One works 100, the other so many; in mind is that Ines does both, one after the other. */
    private static TaskNetwork two(int seconds) {
        return new TaskNetwork(
                List.of(task("a", 100, "a"), task("b", seconds, "b")), List.of(), List.of(INES, MORI), 0, NO_BREAKS);
    }

    private static Schedule byInes(int seconds) {
        return new Schedule(
                List.of(plain("a", "Ines", 0, 100), plain("b", "Ines", 100, seconds)), List.of(), 100 + seconds, 0);
    }

    private static int ready(Outcome outcome) {
        return ((Planned) outcome).schedule().ready();
    }

    /** Before it begins it is left for more than 59 s; with minutes that are allowed, for more than those besides. */
    @ParameterizedTest
    @CsvSource({"59, 0, 159", "60, 0, 100", "90, 31, 190", "90, 30, 100"})
    void beforeItBeginsItIsLeftForAMinute(int seconds, int grace, int ready) {
        Planner planner = Planner.trying(20).allowing(grace);
        assertThat(ready(planner.plan(two(seconds), Progress.NOTHING, Optional.of(byInes(seconds)))))
                .isEqualTo(ready);
    }

    /** In the middle of things it takes a minute and a half. Under way is what has begun, or what is later than the beginning. */
    @ParameterizedTest
    @CsvSource({"90, 190", "91, 101"})
    void underWayItTakesMore(int seconds, int ready) {
        Progress now = new Progress(1, List.of(), List.of(), List.of());
        Schedule before = new Schedule(
                List.of(plain("a", "Ines", 0, 100), plain("b", "Ines", 100, seconds)), List.of(), 100 + seconds, 0);
        int found = ready(Planner.trying(20).plan(two(seconds), now, Optional.of(before)));
        assertThat(found).isEqualTo(ready == 190 ? 191 : 101);
        Progress begun = new Progress(0, List.of(plain("a", "Ines", 0, 100)), List.of(), List.of());
        assertThat(ready(Planner.trying(20).plan(two(70), begun, Optional.of(byInes(70)))))
                .isEqualTo(170);
    }

    /** Followed is what is no later than it was thought to be, however much there would be to save. */
    @Test
    void whatGoesAsThoughtIsFollowed() {
        Planner planner = Planner.trying(20);
        assertThat(ready(planner.follow(two(400), Progress.NOTHING, byInes(400))))
                .isEqualTo(500);
        Progress late = new Progress(0, List.of(plain("a", "Ines", 0, 101)), List.of(), List.of());
        assertThat(ready(planner.follow(two(400), late, byInes(400)))).isEqualTo(400);
    }

    /** Only the times move; where steps wait for one another in a ring there is nothing to move. */
    @Test
    void driftMovesTimesAndNothingElse() {
        Progress late = new Progress(0, List.of(plain("a", "Ines", 0, 130)), List.of(), List.of());
        Schedule moved = Planner.trying(5).drift(two(400), late, byInes(400)).orElseThrow();
        assertThat(moved.ready()).isEqualTo(530);
        assertThat(moved.of("b").worker()).isEqualTo("Ines");
        TaskNetwork ring = new TaskNetwork(
                List.of(task("a", 100, "a"), task("b", 400, "b")),
                List.of(lag("a", "b", Lag.Kind.AFTER), lag("b", "a", Lag.Kind.AFTER)),
                List.of(INES),
                0,
                NO_BREAKS);
        assertThat(Planner.trying(5).drift(ring, Progress.NOTHING, byInes(400))).isEmpty();
    }

    /** What will not be done any more is not waited for; what is new is not there, so that nothing is kept. */
    @Test
    void droppedStepsAreLeftOutAndNewOnesAreNotKept() {
        Progress dropped = new Progress(0, List.of(), List.of(), List.of("a"));
        Schedule kept = KeptOrder.of(two(400), dropped, byInes(400)).orElseThrow();
        assertThat(kept.placed()).extracting(ScheduledTask::task).containsExactly("b");
        assertThat(kept.ready()).isEqualTo(400);
        TaskNetwork more = new TaskNetwork(
                List.of(task("a", 100, "a"), task("b", 400, "b"), task("c", 10, "c")),
                List.of(),
                List.of(INES, MORI),
                0,
                NO_BREAKS);
        assertThat(KeptOrder.of(more, Progress.NOTHING, byInes(400))).isEmpty();
    }

    /** Hands that are gone, a dryer that is gone, a way that is gone: the order cannot be kept. */
    @Test
    void whatNeedsHandsOrToolsThatAreGoneIsNotKept() {
        TaskNetwork alone = new TaskNetwork(List.of(task("a", 100, "a")), List.of(), List.of(MORI), 0, NO_BREAKS);
        Schedule byInes = new Schedule(List.of(plain("a", "Ines", 0, 100)), List.of(), 100, 0);
        assertThat(KeptOrder.of(alone, Progress.NOTHING, byInes)).isEmpty();
        Task dried = new Task(
                "a",
                100,
                Set.of("a"),
                Set.of(),
                Task.Needs.ANYONE,
                List.of(Task.Mode.NOTHING, new Task.Mode(50, 0, Task.Mode.NEVER, 0)));
        Schedule before = new Schedule(
                List.of(new ScheduledTask("a", "Ines", 1, 0, 150, 150, Task.Mode.NEVER, 150, 0)), List.of(), 150, 0);
        assertThat(KeptOrder.of(
                        new TaskNetwork(List.of(dried), List.of(), List.of(INES), 0, NO_BREAKS),
                        Progress.NOTHING,
                        before))
                .isEmpty();
        assertThat(KeptOrder.of(
                                new TaskNetwork(List.of(dried), List.of(), List.of(INES), 1, NO_BREAKS),
                                Progress.NOTHING,
                                before)
                        .orElseThrow()
                        .ready())
                .isEqualTo(150);
        TaskNetwork plainWay = new TaskNetwork(List.of(task("a", 100, "a")), List.of(), List.of(INES), 1, NO_BREAKS);
        assertThat(KeptOrder.of(plainWay, Progress.NOTHING, before)).isEmpty();
    }

    /** A film that closes keeps its window when it is moved. */
    @Test
    void aMovedFilmClosesAsMuchLater() {
        TaskNetwork network = new TaskNetwork(
                List.of(task("a", 100, "a"), film("latex", 60, 10, 90, 200, "b")),
                List.of(),
                List.of(INES),
                0,
                NO_BREAKS);
        Schedule before = new Schedule(
                List.of(plain("a", "Ines", 0, 100), new ScheduledTask("latex", "Ines", 0, 100, 160, 170, 250, 360, 0)),
                List.of(),
                360,
                0);
        Progress late = new Progress(0, List.of(plain("a", "Ines", 0, 130)), List.of(), List.of());
        ScheduledTask latex = KeptOrder.of(network, late, before).orElseThrow().of("latex");
        assertThat(List.of(latex.start(), latex.end(), latex.usable(), latex.closes(), latex.settled()))
                .containsExactly(130, 190, 200, 280, 390);
        Schedule never = new Schedule(List.of(plain("a", "Ines", 0, 100)), List.of(), 100, 0);
        TaskNetwork one = new TaskNetwork(List.of(task("a", 100, "a")), List.of(), List.of(INES), 0, NO_BREAKS);
        assertThat(KeptOrder.of(one, Progress.NOTHING, never)
                        .orElseThrow()
                        .of("a")
                        .closes())
                .isEqualTo(Task.Mode.NEVER);
    }

    /** Breaks move with the work before them; where that makes too long a stretch the order cannot be kept. */
    @Test
    void breaksMoveWithTheWork() {
        BreakRule hourly = new BreakRule(3600, 600, 1800);
        TaskNetwork network = new TaskNetwork(
                List.of(task("a", 3000, "a"), task("b", 3000, "b")), List.of(), List.of(INES), 0, hourly);
        Schedule before = new Schedule(
                List.of(plain("a", "Ines", 0, 3000), plain("b", "Ines", 3600, 3000)),
                List.of(new Rest(3000, 3600)),
                6600,
                0);
        Progress late = new Progress(0, List.of(plain("a", "Ines", 0, 3500)), List.of(), List.of());
        Schedule moved = KeptOrder.of(network, late, before).orElseThrow();
        assertThat(moved.rests()).containsExactly(new Rest(3500, 4100));
        assertThat(moved.of("b").start()).isEqualTo(4100);
        Progress tooLate = new Progress(0, List.of(plain("a", "Ines", 0, 3601)), List.of(), List.of());
        assertThat(KeptOrder.of(network, tooLate, before)).isEmpty();
        // a break that was taken already is not taken again
        Progress rested =
                new Progress(4000, List.of(plain("a", "Ines", 0, 3000)), List.of(new Rest(3200, 3800)), List.of());
        Schedule after = KeptOrder.of(network, rested, before).orElseThrow();
        assertThat(after.rests()).containsExactly(new Rest(3200, 3800));
        assertThat(after.of("b").start()).isEqualTo(4000);
    }

    @Test
    void aProofIsOneWhereNothingIsSooner() {
        Optional<Schedule> found = Optional.of(new Schedule(List.of(), List.of(), 100, 90));
        assertThat(new Prover.Proof(found, 99, false).isBest()).isFalse();
        assertThat(new Prover.Proof(found, 100, false).isBest()).isTrue();
        assertThat(new Prover.Proof(found, 101, false).isBest()).isTrue();
        assertThat(new Prover.Proof(Optional.empty(), 100, false).isBest()).isFalse();
    }

    /** Ten times as much where it is stressed, the same elsewhere; what is free stays free. */
    @Test
    void stressedTermsWeighMore() {
        SenseWeights weights =
                new SenseWeights(Map.of(Term.TORN, new Weight(180, 1.5), Term.TWINS, new Weight(300, 2)));
        SenseWeights stressed = weights.stressing(List.of(Term.TWINS), 10);
        assertThat(stressed.weight(Term.TWINS)).isEqualTo(new Weight(300, 20));
        assertThat(stressed.weight(Term.TORN)).isEqualTo(new Weight(180, 1.5));
        assertThat(stressed.weight(Term.OPEN).weight()).isZero();
        assertThat(java.util.Arrays.stream(Term.values()).filter(Term::isCounted))
                .containsExactly(Term.HANDOVERS, Term.AGAIN, Term.CHANGES, Term.OPEN, Term.FLOW);
    }
}
