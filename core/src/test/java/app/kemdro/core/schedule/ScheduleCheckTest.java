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

/** The check must see every kind of fault: each test plants one. */
class ScheduleCheckTest {
    private static final TaskNetwork NETWORK = of(
            List.of(film("gum", 60, 60, 120, 300, "a"), task("press", 60, "a"), task("other", 60, "b")),
            List.of(lag("gum", "press", Lag.Kind.USABLE)),
            INES,
            PELL);

    private static ScheduledTask gum(int start) {
        return new ScheduledTask("gum", "Ines", 0, start, start + 60, start + 120, start + 180, start + 360, 0);
    }

    private static List<String> problems(TaskNetwork network, int ready, ScheduledTask... placed) {
        return ScheduleCheck.problems(network, new Schedule(List.of(placed), List.of(), ready, 0));
    }

    @Test
    void aSoundScheduleHasNoProblem() {
        assertThat(problems(NETWORK, 190, gum(0), plain("press", "Ines", 130, 60), plain("other", "Pell", 0, 66)))
                .isEmpty();
    }

    @Test
    void handsThatAreGoneAndWaysThatThereNoLongerAreAreSeen() {
        assertThat(problems(NETWORK, 190, gum(0), plain("press", "Ines", 130, 60), plain("other", "Rook", 0, 66)))
                .containsExactly("other is done by hands that are not there");
        ScheduledTask odd = new ScheduledTask("other", "Pell", 3, 0, 66, 66, Mode.NEVER, 66, 0);
        assertThat(problems(NETWORK, 190, gum(0), plain("press", "Ines", 130, 60), odd))
                .containsExactly("other settles in a way it does not have");
    }

    @Test
    void tooEarlyOnAFilmIsSeen() {
        assertThat(problems(NETWORK, 190, gum(0), plain("press", "Ines", 100, 60), plain("other", "Pell", 0, 66)))
                .anyMatch(p -> p.contains("too early"));
    }

    @Test
    void aClosedWindowIsSeen() {
        assertThat(problems(NETWORK, 190, gum(0), plain("press", "Ines", 200, 60), plain("other", "Pell", 0, 66)))
                .anyMatch(p -> p.contains("window"));
    }

    /** A window that is claimed to close later, or never, is not believed. */
    @Test
    void aClaimedClosingTimeIsNotBelieved() {
        ScheduledTask gum = gum(0);
        for (int claimed : new int[] {gum.closes() + 1, gum.closes() + 600, Mode.NEVER}) {
            ScheduledTask open = new ScheduledTask(
                    gum.task(),
                    gum.worker(),
                    gum.mode(),
                    gum.start(),
                    gum.end(),
                    gum.usable(),
                    claimed,
                    gum.settled(),
                    0);
            assertThat(problems(NETWORK, 260, open, plain("press", "Ines", 200, 60), plain("other", "Pell", 0, 66)))
                    .anyMatch(p -> p.contains("closes at another moment"));
        }
    }

    @Test
    void twoThingsAtOnceAreSeen() {
        assertThat(problems(NETWORK, 190, gum(0), plain("press", "Ines", 130, 60), plain("other", "Ines", 30, 60)))
                .anyMatch(p -> p.contains("at once"));
    }

    @Test
    void aTouchOnAWetZoneIsSeen() {
        TaskNetwork network =
                of(List.of(film("coat", 60, 300, Mode.NEVER, 300, "a"), task("touch", 60, "a")), List.of(), INES, PELL);
        ScheduledTask coat = new ScheduledTask("coat", "Ines", 0, 0, 60, 360, Mode.NEVER, 360, 0);
        assertThat(problems(network, 360, coat, plain("touch", "Pell", 100, 66)))
                .anyMatch(p -> p.contains("still has it"));
    }

    @Test
    void aMissingTaskAWrongLengthAndAWrongReadyAreSeen() {
        assertThat(problems(NETWORK, 190, gum(0), plain("press", "Ines", 130, 60)))
                .anyMatch(p -> p.contains("placed 0 times"));
        assertThat(problems(NETWORK, 190, gum(0), plain("press", "Ines", 130, 40), plain("other", "Pell", 0, 66)))
                .anyMatch(p -> p.contains("lasts"));
        assertThat(problems(NETWORK, 400, gum(0), plain("press", "Ines", 130, 60), plain("other", "Pell", 0, 66)))
                .anyMatch(p -> p.contains("ready is said"));
    }

    @Test
    void aLeadsWorkInOtherHandsAndWorkOutOfHoursAreSeen() {
        Task lead = new Task("lead", 100, Set.of("a"), Set.of(), Needs.LEAD, List.of(Mode.NOTHING));
        Worker late = new Worker("Pell", false, 1, 500, 1000);
        assertThat(problems(of(List.of(lead), List.of(), INES, late), 100, plain("lead", "Pell", 0, 100)))
                .anyMatch(p -> p.contains("needs a lead"))
                .anyMatch(p -> p.contains("outside the hours"));
    }

    @Test
    void workThroughABreakAndTooLongWithoutOneAreSeen() {
        TaskNetwork network = of(List.of(task("long", 8000, "a")), List.of(), INES);
        assertThat(problems(network, 8000, plain("long", "Ines", 0, 8000)))
                .anyMatch(p -> p.contains("without a break"));
        Schedule into = new Schedule(List.of(plain("long", "Ines", 0, 8000)), List.of(new Rest(100, 700)), 8000, 0);
        assertThat(ScheduleCheck.problems(network, into)).anyMatch(p -> p.contains("into a break"));
        Schedule idle = new Schedule(
                List.of(plain("long", "Ines", 1200, 9200)), List.of(new Rest(0, 600), new Rest(600, 1200)), 9200, 0);
        assertThat(ScheduleCheck.problems(network, idle)).anyMatch(p -> p.contains("one break follows another"));
    }

    @Test
    void helpThatIsMissingOrBusyElsewhereIsSeen() {
        Task held = new Task(
                "hold", 100, Set.of("a"), Set.of(), Needs.ANYONE, List.of(Mode.NOTHING, Mode.NOTHING.together(0.6)));
        TaskNetwork network = of(List.of(held, task("other", 60, "b")), List.of(), INES, PELL);
        ScheduledTask alone = new ScheduledTask("hold", "Ines", null, 1, 0, 60, 60, Mode.NEVER, 60, 0);
        ScheduledTask helped = new ScheduledTask("hold", "Ines", "Pell", 1, 0, 60, 60, Mode.NEVER, 60, 0);
        assertThat(problems(network, 126, alone, plain("other", "Pell", 60, 66)))
                .containsExactly("hold takes two pairs of hands and has one");
        assertThat(problems(network, 66, helped, plain("other", "Pell", 0, 66))).anyMatch(p -> p.contains("Pell does"));
        assertThat(problems(network, 126, helped, plain("other", "Pell", 60, 66)))
                .isEmpty();
    }

    @Test
    void eyesThatAreOpenAndClosedAtOnceAreSeen() {
        Task lens = new Task(
                "lens", 60, Set.of("a"), Set.of(), Map.of("eyes", "open"), Needs.ANYONE, List.of(Mode.NOTHING));
        Task brow = new Task(
                "brow", 60, Set.of("b"), Set.of(), Map.of("eyes", "closed"), Needs.ANYONE, List.of(Mode.NOTHING));
        assertThat(problems(
                        of(List.of(lens, brow), List.of(), INES, PELL),
                        66,
                        plain("lens", "Ines", 0, 60),
                        plain("brow", "Pell", 0, 66)))
                .containsExactly("brow and lens want the eyes in two ways at once");
    }

    @Test
    void oneDryerCannotBeInTwoHands() {
        Task a = new Task("a", 60, Set.of("a"), Set.of(), Needs.ANYONE, List.of(new Mode(100, 0, Mode.NEVER, 0)));
        Task b = new Task("b", 60, Set.of("b"), Set.of(), Needs.ANYONE, List.of(new Mode(100, 0, Mode.NEVER, 0)));
        assertThat(problems(
                        of(List.of(a, b), List.of(), INES, new Worker("Pell", false, 1, 0, 9000)),
                        160,
                        plain("a", "Ines", 0, 160),
                        plain("b", "Pell", 0, 160)))
                .anyMatch(p -> p.contains("want the tool at once"));
    }
}
