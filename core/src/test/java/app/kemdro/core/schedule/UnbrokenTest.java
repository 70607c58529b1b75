package app.kemdro.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.schedule.Task.Mode;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Work that leaves no time for a break. Every number here is worked by hand. */
class UnbrokenTest {
    private static final int REST = 900;
    private static final List<Worker> ONE = List.of(new Worker("Ines", true, 1, 0, 90_000));

    /** A coat of 40 min, clear after 135 s, powdered within 180 s of that, for 7 min. */
    private static final Task COAT = task("coat", 2400, 135);

    private static final Task POWDER = task("powder", 420, 0);

    private static Task task(String id, int work, int settled) {
        return new Task(
                id,
                work,
                Set.of("lower-back"),
                Set.of(),
                Map.of(),
                Task.Needs.ANYONE,
                List.of(new Mode(0, 0, Mode.NEVER, settled, 0)));
    }

    private static int most(List<Lag> lags, int rest, List<Worker> workers) {
        return Unbroken.seconds(List.of(COAT, POWDER), lags, workers, rest).get("powder");
    }

    private static List<Lag> powdered(Integer within) {
        return List.of(new Lag("coat", "powder", Lag.Kind.SETTLED, within, "it must be clear"));
    }

    @Test
    void aCoatAndItsPowderAreOnePieceWhereNoBreakFitsBetween() {
        assertThat(most(powdered(180), REST, ONE)).isEqualTo(2400 + 135 + 420);
        // 135 s and 765 s are the 900 s of a break; a second less leaves no time for one
        assertThat(most(powdered(765), REST, ONE)).isEqualTo(420);
        assertThat(most(powdered(764), REST, ONE)).isEqualTo(2400 + 135 + 420);
        assertThat(most(powdered(null), REST, ONE)).isEqualTo(420);
        assertThat(most(powdered(180), 315, ONE)).isEqualTo(420);
    }

    @Test
    void theSlowestHandsCount() {
        List<Worker> two = List.of(ONE.get(0), new Worker("Pell", true, 1.5, 0, 90_000));
        assertThat(most(powdered(180), REST, two)).isEqualTo(3600 + 135 + 630);
    }

    @Test
    void theRuleOfBreaksGivesWayToIt() {
        BreakRule wished = new BreakRule(2700, REST, 1800);
        assertThat(wished.around(List.of(COAT, POWDER), powdered(180), ONE)).isEqualTo(new BreakRule(2955, REST, 1800));
        assertThat(wished.around(List.of(COAT, POWDER), powdered(null), ONE)).isEqualTo(wished);
        BreakRule longer = new BreakRule(2955, REST, 1800);
        assertThat(longer.around(List.of(COAT, POWDER), powdered(180), ONE)).isEqualTo(longer);
    }

    /** Two that must both be tacky when the third begins are both before it, one after the other. */
    @Test
    void whatMustMeetInAWindowIsCountedWhole() {
        Task skin = new Task(
                "skin",
                300,
                Set.of("nose"),
                Set.of(),
                Map.of(),
                Task.Needs.ANYONE,
                List.of(new Mode(0, 120, 600, 900, 0)));
        Task piece = new Task(
                "piece", 200, Set.of(), Set.of(), Map.of(), Task.Needs.ANYONE, List.of(new Mode(0, 60, 600, 900, 0)));
        Task press = task("press", 400, 0);
        List<Lag> both = List.of(
                new Lag("skin", "press", Lag.Kind.USABLE, null, "tacky"),
                new Lag("piece", "press", Lag.Kind.USABLE, null, "tacky"));
        assertThat(Unbroken.seconds(List.of(skin, piece, press), both, ONE, REST))
                .containsEntry("press", 400 + 300 + 120 + 200 + 60)
                .containsEntry("skin", 300);
        assertThat(Unbroken.seconds(List.of(skin, piece, press), both, ONE, 600))
                .as("they stay tacky for as long as a break is")
                .containsEntry("press", 400);
    }

    /** What waits in a ring is said elsewhere; it is counted once here. */
    @Test
    void aRingIsCountedOnce() {
        List<Lag> ring = List.of(
                new Lag("coat", "powder", Lag.Kind.SETTLED, 180, ""),
                new Lag("powder", "coat", Lag.Kind.FRESH, 10, ""));
        assertThat(most(ring, REST, ONE)).isEqualTo(2400 + 135 + 420);
    }

    /** 2,400 s and 420 s of work: 2,820 s of hands are enough, and a second less is not. */
    @Test
    void handsAreShortWhereTheirHoursAreFewerThanTheWork() {
        assertThat(network(2820, true).isShortOfHands()).isFalse();
        assertThat(network(2819, true).isShortOfHands()).isTrue();
        assertThat(network(90_000, false).isShortOfHands())
                .as("whoever may do it counts as one who can")
                .isFalse();
    }

    /** A lead's work is for leads' hours. */
    @Test
    void helpersHoursDoNotCountForALeadsWork() {
        Task leads = new Task(
                "look",
                600,
                Set.of("nose"),
                Set.of(),
                Map.of(),
                Task.Needs.LEAD,
                List.of(new Mode(0, 0, Mode.NEVER, 0, 0)));
        Worker helper = new Worker("Pell", false, 1, 0, 90_000);
        for (int until : List.of(599, 600)) {
            List<Worker> two = List.of(new Worker("Ines", true, 1, 0, until), helper);
            assertThat(new TaskNetwork(List.of(leads), List.of(), two, 0, BreakRule.USUAL).isShortOfHands())
                    .as(until + " s")
                    .isEqualTo(until < 600);
        }
    }

    private static TaskNetwork network(int until, boolean lead) {
        return new TaskNetwork(
                List.of(COAT, POWDER),
                List.of(),
                List.of(new Worker("Ines", lead, 1, -500, until)),
                0,
                BreakRule.USUAL);
    }
}
