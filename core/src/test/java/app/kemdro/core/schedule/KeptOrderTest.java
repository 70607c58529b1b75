package app.kemdro.core.schedule;

import static app.kemdro.core.schedule.Networks.INES;
import static app.kemdro.core.schedule.Networks.PELL;
import static app.kemdro.core.schedule.Networks.film;
import static app.kemdro.core.schedule.Networks.lag;
import static app.kemdro.core.schedule.Networks.of;
import static app.kemdro.core.schedule.Networks.plain;
import static app.kemdro.core.schedule.Networks.task;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.schedule.Task.Mode;
import app.kemdro.core.schedule.Task.Needs;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What people have in mind is kept: who does what after what, in which way; only the times move, and no more than they must. */
class KeptOrderTest {
    private static Schedule schedule(int ready, ScheduledTask... placed) {
        return new Schedule(List.of(placed), List.of(), ready, 0);
    }

    private static Optional<Schedule> kept(TaskNetwork network, Schedule before) {
        return KeptOrder.of(network, Progress.NOTHING, before);
    }

    private static Progress past(int now, ScheduledTask... past) {
        return new Progress(now, List.of(past), List.of(), List.of());
    }

    private static Stream<String> whoDoesWhat(Schedule schedule) {
        return schedule.placed().stream()
                .filter(p -> p.worker() != null)
                .sorted(Comparator.comparing(ScheduledTask::worker).thenComparingInt(ScheduledTask::start))
                .map(p -> p.worker() + " " + p.helper() + " " + p.task() + " " + p.mode());
    }

    /** Two hundred networks of every kind: where an order is kept, it is the same order and no later; and it nearly always is. */
    @Test
    void theOrderOfAnyPlanIsKept() {
        int all = 0;
        int same = 0;
        int slower = 0;
        for (long seed = 0; seed < 200; seed++) {
            TaskNetwork network = Networks.ofEveryKind(seed);
            if (!(Planner.trying(10).plan(network) instanceof Outcome.Planned planned)) {
                continue;
            }
            all++;
            Schedule before = planned.schedule();
            Optional<Schedule> unmoved = kept(network, before);
            if (unmoved.isPresent()) {
                same++;
                assertThat(whoDoesWhat(unmoved.get()))
                        .containsExactlyElementsOf(whoDoesWhat(before).toList());
                assertThat(unmoved.get().ready()).as("seed " + seed).isLessThanOrEqualTo(before.ready());
            }
            ScheduledTask first = before.placed().stream()
                    .min(Comparator.comparingInt(ScheduledTask::end))
                    .orElseThrow();
            ScheduledTask slow = first.later(30);
            Optional<Schedule> moved = KeptOrder.of(network, past(slow.end(), slow), before);
            if (moved.isPresent()) {
                slower++;
                assertThat(whoDoesWhat(moved.get()))
                        .containsExactlyElementsOf(whoDoesWhat(before).toList());
                assertThat(moved.get().of(first.task())).isEqualTo(slow);
            }
        }
        System.out.println(all + " " + same + " " + slower);
        assertThat(all).isGreaterThan(150);
        assertThat(same).as("kept as it is").isGreaterThan(all * 9 / 10);
        assertThat(slower).as("kept though the first took longer").isGreaterThan(all * 8 / 10);
    }

    /** By hand: one thing takes 40 s longer, what the same hands do next begins 40 s later, what others do does not. */
    @Test
    void whatTakesLongerMovesWhatWaitsForItAndNothingElse() {
        TaskNetwork network =
                of(List.of(task("a", 60, "a"), task("b", 60, "b"), task("c", 60, "c")), List.of(), INES, PELL);
        Schedule before =
                schedule(120, plain("a", "Ines", 0, 60), plain("b", "Ines", 60, 60), plain("c", "Pell", 70, 66));
        ScheduledTask slow = plain("a", "Ines", 0, 100);
        Schedule moved = KeptOrder.of(network, past(70, slow), before).orElseThrow();
        assertThat(moved.of("b").start()).isEqualTo(100);
        assertThat(moved.of("c").start()).isEqualTo(70);
        assertThat(moved.of("a")).isEqualTo(slow);
        assertThat(moved.ready()).isEqualTo(160);
    }

    /** A film is waited for as before: until it is usable, and not longer; one that was waited for to dry is again. */
    @Test
    void aFilmIsWaitedForAsItWas() {
        TaskNetwork usable = of(
                List.of(film("gum", 60, 60, 120, 300, "a"), task("press", 60, "a")),
                List.of(lag("gum", "press", Lag.Kind.USABLE)),
                INES);
        ScheduledTask gum = new ScheduledTask("gum", "Ines", 0, 0, 60, 120, 180, 360, 0);
        ScheduledTask later = new ScheduledTask("gum", "Ines", 0, 0, 90, 150, 210, 390, 0);
        Schedule before = schedule(190, gum, plain("press", "Ines", 130, 60));
        assertThat(kept(usable, before).orElseThrow().of("press").start()).isEqualTo(120);
        assertThat(KeptOrder.of(usable, past(95, later), before)
                        .orElseThrow()
                        .of("press")
                        .start())
                .isEqualTo(150);
        TaskNetwork dry =
                of(List.of(film("gum", 60, 60, Mode.NEVER, 300, "a"), task("touch", 60, "a")), List.of(), INES);
        ScheduledTask film = new ScheduledTask("gum", "Ines", 0, 0, 60, 120, Mode.NEVER, 360, 0);
        assertThat(kept(dry, schedule(420, film, plain("touch", "Ines", 360, 60)))
                        .orElseThrow()
                        .of("touch")
                        .start())
                .isEqualTo(360);
    }

    /** Steps that are no longer there are left out, those left out by people too; new ones, hands or ways make it another order. */
    @Test
    void anOrderOfOtherStepsHandsOrWaysIsNone() {
        TaskNetwork two = of(List.of(task("a", 60, "a"), task("b", 60, "b")), List.of(), INES, PELL);
        Schedule before = schedule(120, plain("a", "Ines", 0, 60), plain("b", "Ines", 60, 60));
        TaskNetwork one = of(List.of(task("a", 60, "a")), List.of(), INES, PELL);
        assertThat(kept(one, before).orElseThrow().placed()).hasSize(1);
        Progress left = new Progress(0, List.of(), List.of(), List.of("a"));
        assertThat(KeptOrder.of(two, left, before).orElseThrow().of("b").start())
                .isZero();
        TaskNetwork three =
                of(List.of(task("a", 60, "a"), task("b", 60, "b"), task("c", 60, "c")), List.of(), INES, PELL);
        assertThat(kept(three, before)).isEmpty();
        assertThat(kept(of(two.tasks(), List.of(), PELL), before)).isEmpty();
        ScheduledTask odd = new ScheduledTask("b", "Ines", 1, 60, 120, 120, Mode.NEVER, 120, 0);
        assertThat(kept(two, schedule(120, plain("a", "Ines", 0, 60), odd))).isEmpty();
    }

    /** Nothing begins before now, before its hands come, before its pin, or before both pairs of hands are free. */
    @Test
    void nothingBeginsSoonerThanItMay() {
        Worker late = new Worker("Pell", false, 1, 500, 9000);
        TaskNetwork network = of(List.of(task("a", 60, "a"), task("b", 60, "b")), List.of(), INES, late);
        Schedule before = schedule(160, plain("a", "Ines", 0, 60), plain("b", "Pell", 100, 60));
        Schedule kept = kept(network, before).orElseThrow();
        assertThat(kept.of("b").start()).isEqualTo(500);
        assertThat(KeptOrder.of(network, past(40), before).orElseThrow().of("a").start())
                .isEqualTo(40);
        TaskNetwork pinned = new TaskNetwork(
                List.of(task("a", 60, "a"), task("b", 60, "b")),
                List.of(),
                List.of(INES),
                1,
                BreakRule.USUAL,
                List.of(new Pin("b", 300, Mode.NEVER, null)));
        Schedule alone = schedule(120, plain("a", "Ines", 0, 60), plain("b", "Ines", 60, 60));
        assertThat(kept(pinned, alone).orElseThrow().of("b").start()).isEqualTo(300);
        assertThat(kept(pinned, alone).orElseThrow().of("a").start()).isZero();
        Task hold = new Task("hold", 100, Set.of("c"), Set.of(), Needs.ANYONE, List.of(Mode.NOTHING.together(0.6)));
        TaskNetwork helped =
                of(List.of(task("a", 60, "a"), hold), List.of(), INES, new Worker("Pell", false, 1, 0, 9000));
        Schedule both = schedule(
                120,
                plain("a", "Pell", 0, 60),
                new ScheduledTask("hold", "Ines", "Pell", 0, 60, 120, 120, Mode.NEVER, 120, 0));
        Schedule slow =
                KeptOrder.of(helped, past(60, plain("a", "Pell", 0, 90)), both).orElseThrow();
        assertThat(slow.of("hold").start()).isEqualTo(90);
        assertThat(slow.of("hold").end()).isEqualTo(150);
        assertThat(slow.of("hold").helper()).isEqualTo("Pell");
    }

    /** One tool goes from hand to hand in the order it did; without one there is no such order. */
    @Test
    void theToolGoesRoundAsItDid() {
        Task a = new Task("a", 60, Set.of("a"), Set.of(), Needs.ANYONE, List.of(new Mode(100, 0, Mode.NEVER, 0)));
        Task b = new Task("b", 60, Set.of("b"), Set.of(), Needs.ANYONE, List.of(new Mode(100, 0, Mode.NEVER, 0)));
        Worker pell = new Worker("Pell", false, 1, 0, 9000);
        Schedule before = schedule(260, plain("a", "Ines", 0, 160), plain("b", "Pell", 100, 160));
        TaskNetwork one = new TaskNetwork(List.of(a, b), List.of(), List.of(INES, pell), 1, BreakRule.USUAL);
        assertThat(kept(one, before).orElseThrow().of("b").start()).isEqualTo(100);
        TaskNetwork two = new TaskNetwork(List.of(a, b), List.of(), List.of(INES, pell), 2, BreakRule.USUAL);
        assertThat(kept(two, before).orElseThrow().of("b").start()).isZero();
        TaskNetwork none = new TaskNetwork(List.of(a, b), List.of(), List.of(INES, pell), 0, BreakRule.USUAL);
        assertThat(kept(none, before)).isEmpty();
    }

    /** Eyes that are to be open wait until nobody wants them closed. */
    @Test
    void anotherPostureIsWaitedFor() {
        Task lens = new Task(
                "lens", 60, Set.of("a"), Set.of(), Map.of("eyes", "open"), Needs.ANYONE, List.of(Mode.NOTHING));
        Task brow = new Task(
                "brow", 60, Set.of("b"), Set.of(), Map.of("eyes", "closed"), Needs.ANYONE, List.of(Mode.NOTHING));
        TaskNetwork eyes = of(List.of(lens, brow), List.of(), INES, new Worker("Pell", false, 1, 0, 9000));
        Schedule before = schedule(120, plain("lens", "Ines", 0, 60), plain("brow", "Pell", 60, 60));
        Schedule moved = KeptOrder.of(eyes, past(60, plain("lens", "Ines", 0, 80)), before)
                .orElseThrow();
        assertThat(moved.of("brow").start()).isEqualTo(80);
    }

    /** A break stays between what it was between, as soon as that is over; where it would come too late, it is another order. */
    @Test
    void breaksStayBetweenWhatTheyWereBetween() {
        BreakRule rule = new BreakRule(3600, 600, 900);
        TaskNetwork two =
                new TaskNetwork(List.of(task("a", 3000, "a"), task("b", 3000, "b")), List.of(), List.of(INES), 1, rule);
        Schedule before = new Schedule(
                List.of(plain("a", "Ines", 0, 3000), plain("b", "Ines", 3700, 3000)),
                List.of(new Rest(3100, 3700)),
                6700,
                0);
        Schedule kept = kept(two, before).orElseThrow();
        assertThat(kept.rests()).containsExactly(new Rest(3000, 3600));
        assertThat(kept.of("b").start()).isEqualTo(3600);
        Schedule moved = KeptOrder.of(two, past(3300, plain("a", "Ines", 0, 3400)), before)
                .orElseThrow();
        assertThat(moved.rests()).containsExactly(new Rest(3400, 4000));
        assertThat(KeptOrder.of(two, past(3300, plain("a", "Ines", 0, 3601)), before))
                .isEmpty();
        Progress rested =
                new Progress(3900, List.of(plain("a", "Ines", 0, 3000)), List.of(new Rest(3200, 3900)), List.of());
        Schedule after = KeptOrder.of(two, rested, before).orElseThrow();
        assertThat(after.rests()).containsExactly(new Rest(3200, 3900));
        assertThat(after.of("b").start()).isEqualTo(3900);
    }

    /** Ready is when the last has settled; of what is worked into, its end. What was proven before is still said. */
    @Test
    void readyIsCountedAnew() {
        TaskNetwork usable = of(
                List.of(
                        film("gum", 60, 60, 120, 900, "a"),
                        task("press", 60, "a"),
                        film("coat", 60, 0, Mode.NEVER, 200, "b")),
                List.of(lag("gum", "press", Lag.Kind.USABLE)),
                INES);
        List<ScheduledTask> placed = new ArrayList<>(List.of(
                new ScheduledTask("gum", "Ines", 0, 0, 60, 120, 180, 960, 0),
                plain("press", "Ines", 120, 60),
                new ScheduledTask("coat", "Ines", 0, 180, 240, 240, Mode.NEVER, 440, 0)));
        Schedule kept = kept(usable, new Schedule(placed, List.of(), 440, 300)).orElseThrow();
        assertThat(kept.ready()).isEqualTo(440);
        assertThat(kept.leastReady()).isEqualTo(300);
    }

    /** Pell could begin at once and waits until 500; Ines is ready at 600, and 50 s sooner where her first step takes 50 s less. */
    @Test
    void whatWasHeldBackIsHeldBackStill() {
        TaskNetwork network = of(
                List.of(task("a", 100, "a"), task("b", 500, "b"), task("c", 60, "c")),
                List.of(lag("a", "b", Lag.Kind.END)),
                INES,
                PELL);
        Schedule before =
                schedule(600, plain("a", "Ines", 0, 100), plain("b", "Ines", 100, 500), plain("c", "Pell", 500, 66));
        assertThat(kept(network, before).orElseThrow().of("c").start()).isEqualTo(500);
        Schedule sooner = KeptOrder.of(network, past(50, plain("a", "Ines", 0, 50)), before)
                .orElseThrow();
        assertThat(sooner.ready()).isEqualTo(550);
        assertThat(sooner.of("c").start()).isEqualTo(450);
    }
}
