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
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Where each rule of the check begins and ends, to the second, and what it says. */
class ScheduleCheckEdgesTest {
    private static final TaskNetwork GUM = of(
            List.of(film("gum", 60, 60, 120, 300, "a"), task("press", 60, "a")),
            List.of(lag("gum", "press", Lag.Kind.USABLE)),
            INES,
            PELL);

    private static ScheduledTask gum(int start) {
        return new ScheduledTask("gum", "Ines", 0, start, start + 60, start + 120, start + 180, start + 360, 0);
    }

    private static List<String> problems(TaskNetwork network, int ready, ScheduledTask... placed) {
        return ScheduleCheck.problems(network, new Schedule(List.of(placed), List.of(), ready, 0));
    }

    private static List<String> later(TaskNetwork network, Progress progress, int ready, ScheduledTask... placed) {
        return ScheduleCheck.problems(network, progress, new Schedule(List.of(placed), List.of(), ready, 0));
    }

    private static TaskNetwork pinned(Pin pin) {
        return new TaskNetwork(
                List.of(task("a", 60, "a")), List.of(), List.of(INES, PELL), 1, BreakRule.USUAL, List.of(pin));
    }

    /** Usable a minute after its end, shut two minutes after it. */
    @Test
    void aFilmIsWorkedIntoFromUsableToClosing() {
        assertThat(problems(GUM, 180, gum(0), plain("press", "Ines", 120, 60))).isEmpty();
        assertThat(problems(GUM, 240, gum(0), plain("press", "Ines", 180, 60))).isEmpty();
        assertThat(problems(GUM, 179, gum(0), plain("press", "Ines", 119, 60)))
                .containsExactly("press begins 1 s too early after gum");
        assertThat(problems(GUM, 241, gum(0), plain("press", "Ines", 181, 60)))
                .contains("press begins 1 s after its window behind gum closed");
    }

    @Test
    void freshIsBeforeItGrabsAndWithinIsCountedFromTheMoment() {
        TaskNetwork fresh = of(GUM.tasks(), List.of(lag("gum", "press", Lag.Kind.FRESH)), INES, PELL);
        assertThat(problems(fresh, 180, gum(0), plain("press", "Ines", 120, 60)))
                .isEmpty();
        assertThat(problems(fresh, 181, gum(0), plain("press", "Ines", 121, 60)))
                .contains("press begins 1 s after its window behind gum closed");
        TaskNetwork within =
                of(GUM.tasks(), List.of(new Lag("gum", "press", Lag.Kind.SETTLED, 30, "soon")), INES, PELL);
        assertThat(problems(within, 450, gum(0), plain("press", "Ines", 390, 60)))
                .isEmpty();
        assertThat(problems(within, 451, gum(0), plain("press", "Ines", 391, 60)))
                .containsExactly("press begins 1 s after its window behind gum closed");
    }

    /** In the middle of things a window that was missed already is said by the plan, and is no fault of the order. */
    @Test
    void whatWasMissedBeforeIsNoFaultOfTheOrder() {
        Progress past = new Progress(500, List.of(gum(0)), List.of(), List.of());
        ScheduledTask late = new ScheduledTask("press", "Ines", 0, 500, 560, 560, Mode.NEVER, 560, 320);
        assertThat(later(GUM, past, 560, gum(0), late)).isEmpty();
        assertThat(later(GUM, past, 560, gum(0), plain("press", "Ines", 500, 60)))
                .containsExactly("press begins 320 s after its window behind gum closed");
        assertThat(problems(GUM, 560, gum(0), late))
                .as("of what is still ahead nothing is missed before")
                .contains("press begins 320 s after its window behind gum closed");
    }

    @Test
    void nothingBeginsInThePastAndWhatIsPastIsTakenAsItWas() {
        Progress past = new Progress(300, List.of(gum(0)), List.of(), List.of());
        assertThat(later(GUM, past, 360, gum(0), plain("press", "Ines", 300, 60)))
                .doesNotContain("press begins in the past");
        assertThat(later(GUM, past, 359, gum(0), plain("press", "Ines", 299, 60)))
                .contains("press begins in the past");
        ScheduledTask slow = new ScheduledTask("gum", "Zoë", 7, 0, 250, 290, 400, 420, 0);
        Progress other = new Progress(300, List.of(slow), List.of(), List.of());
        assertThat(later(GUM, other, 360, slow, plain("press", "Ines", 300, 60)))
                .isEmpty();
    }

    @Test
    void whatIsLeftOutIsNowhereAndWhatIsUnknownIsSeen() {
        Progress left = new Progress(0, List.of(), List.of(), List.of("press"));
        assertThat(later(GUM, left, 360, gum(0))).isEmpty();
        assertThat(later(GUM, left, 360, gum(0), plain("press", "Ines", 120, 60)))
                .containsExactly("the schedule places tasks the network does not have");
        assertThat(problems(GUM, 360, gum(0), plain("press", "Ines", 120, 60), plain("dance", "Pell", 0, 60)))
                .containsExactly("the schedule places tasks the network does not have");
        assertThat(problems(GUM, 180, gum(0), gum(0), plain("press", "Ines", 120, 60)))
                .contains("gum is placed 2 times");
    }

    @Test
    void aWayThatIsNotThereAndTimesThatAreNotItsOwnAreSeen() {
        TaskNetwork one = of(List.of(task("a", 60, "a")), List.of(), INES);
        assertThat(problems(one, 60, new ScheduledTask("a", "Ines", 1, 0, 60, 60, Mode.NEVER, 60, 0)))
                .containsExactly("a settles in a way it does not have");
        assertThat(problems(one, 60, new ScheduledTask("a", "Ines", -1, 0, 60, 60, Mode.NEVER, 60, 0)))
                .containsExactly("a settles in a way it does not have");
        assertThat(problems(one, 59, plain("a", "Ines", 0, 59))).containsExactly("a lasts 59 s instead of 60");
        assertThat(problems(one, 70, new ScheduledTask("a", "Ines", 0, 0, 60, 60, Mode.NEVER, 70, 0)))
                .containsExactly("a settles at another moment than its mode says");
        assertThat(problems(one, 60, new ScheduledTask("a", "Ines", 0, 0, 60, 65, Mode.NEVER, 60, 0)))
                .containsExactly("a settles at another moment than its mode says");
        assertThat(problems(one, 61, plain("a", "Ines", 0, 60)))
                .containsExactly("ready is said at 61, the last task settles at 60");
    }

    /** Ready is when the last has settled; what is worked into counts with its end. */
    @Test
    void readyIsWhenTheLastHasSettled() {
        TaskNetwork alone = of(List.of(film("gum", 60, 60, 120, 300, "a")), List.of(), INES);
        assertThat(problems(alone, 360, gum(0))).isEmpty();
        assertThat(problems(GUM, 180, gum(0), plain("press", "Ines", 120, 60))).isEmpty();
    }

    @Test
    void hoursAreKeptToTheSecond() {
        Worker early = new Worker("Ines", true, 1, 100, 160);
        TaskNetwork network = of(List.of(task("a", 60, "a")), List.of(), early);
        assertThat(problems(network, 160, plain("a", "Ines", 100, 60))).isEmpty();
        assertThat(problems(network, 159, plain("a", "Ines", 99, 60)))
                .containsExactly("a lies outside the hours of Ines");
        assertThat(problems(network, 161, plain("a", "Ines", 101, 60)))
                .containsExactly("a lies outside the hours of Ines");
    }

    @Test
    void aHelperIsSomebodyElseWhoIsThereAndFree() {
        Task held = new Task("hold", 100, Set.of("a"), Set.of(), Needs.ANYONE, List.of(Mode.NOTHING.together(0.6)));
        Worker until60 = new Worker("Pell", false, 1, 10, 70);
        TaskNetwork network = of(List.of(held, task("other", 10, "b")), List.of(), INES, until60);
        assertThat(problems(network, 70, hold("Pell", 10), plain("other", "Ines", 0, 10)))
                .isEmpty();
        assertThat(problems(network, 69, hold("Pell", 9), plain("other", "Ines", 69, 10)))
                .contains("hold lies outside the hours of Pell, who helps");
        assertThat(problems(network, 71, hold("Pell", 11), plain("other", "Ines", 0, 10)))
                .contains("hold lies outside the hours of Pell, who helps");
        assertThat(problems(network, 70, hold("Ines", 10), plain("other", "Ines", 0, 10)))
                .contains("hold is helped by whoever does it");
        assertThat(problems(network, 70, hold("Rook", 10), plain("other", "Ines", 0, 10)))
                .containsExactly("hold is helped by hands that are not there");
        assertThat(problems(network, 70, hold("Pell", 10), plain("other", "Pell", 20, 10)))
                .contains("Pell does hold and other at once");
        Task plain = task("plain", 60, "a");
        assertThat(problems(
                        of(List.of(plain), List.of(), INES, PELL),
                        60,
                        new ScheduledTask("plain", "Ines", "Pell", 0, 0, 60, 60, Mode.NEVER, 60, 0)))
                .containsExactly("plain takes no help and has it");
    }

    private static ScheduledTask hold(String helper, int start) {
        return new ScheduledTask("hold", "Ines", helper, 0, start, start + 60, start + 60, Mode.NEVER, start + 60, 0);
    }

    /** One after the other is not at once. */
    @Test
    void whatFollowsAtOnceDoesNotOverlap() {
        TaskNetwork two = of(List.of(task("a", 60, "a"), task("b", 60, "a")), List.of(), INES);
        assertThat(problems(two, 120, plain("a", "Ines", 0, 60), plain("b", "Ines", 60, 60)))
                .isEmpty();
        assertThat(problems(two, 119, plain("a", "Ines", 0, 60), plain("b", "Ines", 59, 60)))
                .contains("Ines does a and b at once", "b touches a while a still has it");
        Map<String, String> open = Map.of("eyes", "open");
        Task lens = new Task("lens", 60, Set.of("a"), Set.of(), open, Needs.ANYONE, List.of(Mode.NOTHING));
        Task liner = new Task("liner", 60, Set.of("b"), Set.of(), open, Needs.ANYONE, List.of(Mode.NOTHING));
        Task brow = new Task(
                "brow", 60, Set.of("c"), Set.of(), Map.of("eyes", "closed"), Needs.ANYONE, List.of(Mode.NOTHING));
        TaskNetwork eyes = of(List.of(lens, liner, brow), List.of(), INES, new Worker("Pell", false, 1, 0, 9000));
        assertThat(problems(
                        eyes,
                        120,
                        plain("lens", "Ines", 0, 60),
                        plain("liner", "Pell", 0, 60),
                        plain("brow", "Ines", 60, 60)))
                .isEmpty();
    }

    /** What is held is free again at the end; what was laid, when it has settled or is worked into. */
    @Test
    void aZoneIsBusyUntilItHasSettled() {
        TaskNetwork touch =
                of(List.of(film("gum", 60, 60, 120, 300, "a"), task("touch", 60, "a")), List.of(), INES, PELL);
        assertThat(problems(touch, 420, gum(0), plain("touch", "Ines", 360, 60)))
                .isEmpty();
        assertThat(problems(touch, 419, gum(0), plain("touch", "Ines", 359, 60)))
                .containsExactly("touch touches a while gum still has it");
        Task held = new Task("held", 60, Set.of(), Set.of("a"), Needs.ANYONE, List.of(new Mode(0, 60, 600, 300)));
        TaskNetwork hold = of(List.of(held, task("touch", 60, "a")), List.of(), INES, PELL);
        assertThat(problems(
                        hold,
                        360,
                        new ScheduledTask("held", "Ines", 0, 0, 60, 120, 660, 360, 0),
                        plain("touch", "Ines", 60, 60)))
                .isEmpty();
        TaskNetwork third = of(
                List.of(film("gum", 60, 60, 120, 300, "a"), task("press", 60, "a"), task("touch", 60, "a")),
                List.of(lag("gum", "press", Lag.Kind.USABLE)),
                INES,
                new Worker("Pell", false, 1, 0, 9000));
        assertThat(problems(third, 240, gum(0), plain("press", "Ines", 120, 60), plain("touch", "Pell", 180, 60)))
                .as("once something is pressed in, the rest of it waits no longer")
                .isEmpty();
        assertThat(problems(third, 180, gum(0), plain("press", "Ines", 120, 60), plain("touch", "Pell", 100, 60)))
                .contains("touch touches a while gum still has it");
    }

    @Test
    void theToolIsFreeAgainAtTheEnd() {
        Task a = new Task("a", 60, Set.of("a"), Set.of(), Needs.ANYONE, List.of(new Mode(100, 0, Mode.NEVER, 0)));
        Task b = new Task("b", 60, Set.of("b"), Set.of(), Needs.ANYONE, List.of(new Mode(100, 0, Mode.NEVER, 0)));
        TaskNetwork two = of(List.of(a, b), List.of(), INES, new Worker("Pell", false, 1, 0, 9000));
        assertThat(problems(two, 260, plain("a", "Ines", 0, 160), plain("b", "Pell", 100, 160)))
                .isEmpty();
        assertThat(problems(two, 259, plain("a", "Ines", 0, 160), plain("b", "Pell", 99, 160)))
                .containsExactly("2 tasks want the tool at once, b among them");
    }

    /** An hour between breaks here; each as long as the rule says, with work between them. */
    @Test
    void breaksComeInTimeLastLongEnoughAndHaveWorkBetween() {
        BreakRule rule = new BreakRule(3600, 600, 900);
        TaskNetwork two =
                new TaskNetwork(List.of(task("a", 3600, "a"), task("b", 3600, "b")), List.of(), List.of(INES), 1, rule);
        ScheduledTask a = plain("a", "Ines", 0, 3600);
        assertThat(rested(two, 7800, List.of(new Rest(3600, 4200)), a, plain("b", "Ines", 4200, 3600)))
                .isEmpty();
        assertThat(rested(two, 7799, List.of(new Rest(3600, 4199)), a, plain("b", "Ines", 4199, 3600)))
                .containsExactly("break 1 lasts 599 s instead of 600");
        assertThat(rested(two, 7801, List.of(new Rest(3601, 4201)), a, plain("b", "Ines", 4201, 3600)))
                .containsExactly("3601 s of work without a break");
        assertThat(rested(two, 7801, List.of(new Rest(3600, 4200)), a, plain("b", "Ines", 4201, 3600)))
                .containsExactly("3601 s of work without a break at the end");
        assertThat(rested(
                        two,
                        8400,
                        List.of(new Rest(4200, 4800), new Rest(3600, 4200)),
                        a,
                        plain("b", "Ines", 4800, 3600)))
                .containsExactly("one break follows another at 4200 s without any work between");
        assertThat(rested(two, 7800, List.of(new Rest(3599, 4199)), a, plain("b", "Ines", 4200, 3600)))
                .contains("a runs into a break");
    }

    /** In the middle of things breaks are taken as they came; those still to come keep the rule, and none can come in what is past. */
    @Test
    void inTheMiddleBreaksAreAsTheyWereAndThenByTheRule() {
        List<Rest> taken = List.of(new Rest(20, 30), new Rest(30, 40));
        Progress past = new Progress(300, List.of(gum(0)), taken, List.of());
        ScheduledTask press = plain("press", "Ines", 300, 60);
        assertThat(ScheduleCheck.problems(GUM, past, new Schedule(List.of(gum(0), press), taken, 360, 0)))
                .noneMatch(p -> p.contains("break"));
        Schedule into = new Schedule(List.of(gum(0), press), List.of(new Rest(350, 950)), 360, 0);
        assertThat(ScheduleCheck.problems(GUM, new Progress(300, List.of(gum(0)), List.of(), List.of()), into))
                .contains("press runs into a break");
        Progress noneTaken = new Progress(300, List.of(gum(0)), List.of(), List.of());
        assertThat(ScheduleCheck.problems(
                        GUM, noneTaken, new Schedule(List.of(gum(0), press), List.of(new Rest(100, 700)), 360, 0)))
                .contains("break 1 would have had to begin before now");
        assertThat(ScheduleCheck.problems(
                        GUM, noneTaken, new Schedule(List.of(gum(0), press), List.of(new Rest(360, 370)), 360, 0)))
                .contains("break 1 lasts 10 s instead of 600");
        ScheduledTask late = plain("press", "Ines", 8000, 60);
        assertThat(ScheduleCheck.problems(GUM, noneTaken, new Schedule(List.of(gum(0), late), List.of(), 8060, 0)))
                .contains("8060 s of work without a break at the end");
    }

    @Test
    void whatWasDecidedByHandIsKept() {
        assertThat(problems(pinned(new Pin("a", 100, 100, "Ines")), 160, plain("a", "Ines", 100, 60)))
                .isEmpty();
        assertThat(problems(pinned(new Pin("a", 100, Mode.NEVER, null)), 159, plain("a", "Ines", 99, 60)))
                .containsExactly("a begins 1 s before it may");
        assertThat(problems(pinned(new Pin("a", 0, 100, null)), 161, plain("a", "Ines", 101, 60)))
                .containsExactly("a begins 1 s after it should have");
        assertThat(problems(pinned(new Pin("a", 0, Mode.NEVER, "Pell")), 60, plain("a", "Ines", 0, 60)))
                .containsExactly("a is pinned to Pell and given to Ines");
        Progress left = new Progress(0, List.of(), List.of(), List.of("a"));
        assertThat(later(pinned(new Pin("a", 100, 100, "Pell")), left, 0)).isEmpty();
        Progress late = new Progress(500, List.of(), List.of(), List.of());
        assertThat(later(pinned(new Pin("a", 0, 100, null)), late, 560, plain("a", "Ines", 500, 60)))
                .as("once the day runs, what is late is late")
                .isEmpty();
        ScheduledTask done = plain("a", "Pell", 0, 90);
        Progress past = new Progress(500, List.of(done), List.of(), List.of());
        assertThat(later(pinned(new Pin("a", 100, 100, "Ines")), past, 90, done))
                .isEmpty();
    }

    private static List<String> rested(TaskNetwork network, int ready, List<Rest> rests, ScheduledTask... placed) {
        return ScheduleCheck.problems(network, new Schedule(List.of(placed), rests, ready, 0));
    }
}
