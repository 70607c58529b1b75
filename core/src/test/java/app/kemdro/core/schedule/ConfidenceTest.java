package app.kemdro.core.schedule;

import static app.kemdro.core.schedule.Networks.INES;
import static app.kemdro.core.schedule.Networks.PELL;
import static app.kemdro.core.schedule.Networks.film;
import static app.kemdro.core.schedule.Networks.lag;
import static app.kemdro.core.schedule.Networks.of;
import static app.kemdro.core.schedule.Networks.plain;
import static app.kemdro.core.schedule.Networks.plan;
import static app.kemdro.core.schedule.Networks.task;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.kemdro.core.schedule.Task.Mode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

class ConfidenceTest {

    /**
     * One chain of 20 equal tasks: the ready time is a sum of independent log-normals with a shared factor. Mean and
     * spread follow from the moments: task times of standard deviation 0.18 of the log and mean one, days of 0.05.
     */
    @Test
    void aSingleChainSpreadsAsItsMomentsSay() {
        List<Task> tasks = new ArrayList<>();
        List<Lag> lags = new ArrayList<>();
        for (int i = 0; i < 20; i++) {
            tasks.add(task("t" + i, 300, "z"));
            if (i > 0) {
                lags.add(lag("t" + (i - 1), "t" + i, Lag.Kind.END));
            }
        }
        TaskNetwork network = of(tasks, lags, INES);
        int[] ready = Confidence.of(network, plan(network), 20_000).ready();
        double mean = Arrays.stream(ready).average().orElseThrow();
        double variance = Arrays.stream(ready)
                .mapToDouble(r -> (r - mean) * (r - mean))
                .average()
                .orElseThrow();
        double day = Math.exp(0.05 * 0.05 / 2);
        double taskSquare = 20 * 300.0 * 300 * (Math.exp(0.18 * 0.18) - 1);
        double daySquare = (6000.0 * 6000) * (Math.exp(0.05 * 0.05) - 1);
        assertThat(mean).isCloseTo(6000 * day, within(15.0));
        assertThat(Math.sqrt(variance)).isCloseTo(Math.sqrt(taskSquare + daySquare), within(12.0));
    }

    /** Of two chains side by side the longer carries the risk; a step on both carries all of it. */
    @Test
    void whatReadyHangsOnIsSaidAsAShareOfMornings() {
        TaskNetwork network = of(
                List.of(task("long", 900, "a"), task("short", 700, "b"), task("join", 60, "c")),
                List.of(lag("long", "join", Lag.Kind.END), lag("short", "join", Lag.Kind.END)),
                INES,
                new Worker("Pell", true, 1, 0, 100_000));
        Map<String, Double> carries =
                Confidence.of(network, plan(network), 4000).carries();
        assertThat(carries.get("join")).isEqualTo(1.0);
        assertThat(carries.get("long") + carries.get("short")).isCloseTo(1.0, within(1e-9));
        // the log of their ratio is normal with spread 0.18·√2, its mean ln(900/700): Φ(0.2513/0.2546) = 0.838
        assertThat(carries.get("long")).isCloseTo(0.838, within(0.02));
    }

    @Test
    void nineOfTenIsOneSided() {
        Confidence hundred =
                new Confidence(java.util.stream.IntStream.rangeClosed(1, 100).toArray(), Map.of());
        assertThat(hundred.by(0.9)).isEqualTo(90);
        assertThat(hundred.by(0.5)).isEqualTo(50);
    }

    private static double median(TaskNetwork network, Progress progress, List<Rest> rests, ScheduledTask... placed) {
        int ready = Arrays.stream(placed).mapToInt(ScheduledTask::settled).max().orElse(0);
        return Confidence.of(network, new Schedule(List.of(placed), rests, ready, 0), progress, 4001)
                .by(0.5);
    }

    private static double median(TaskNetwork network, ScheduledTask... placed) {
        return median(network, Progress.NOTHING, List.of(), placed);
    }

    /** By hand: a log-normal task of mean 1000 s has its median at 1000·exp(−0.18²/2) = 984 s; a day and a room have theirs at one. */
    private static final double TASK = Math.exp(-0.18 * 0.18 / 2);

    @Test
    void whatIsOverIsAsItWasAndWhatRunsEndsNotBeforeNow() {
        TaskNetwork network = of(List.of(task("a", 1000, "a"), task("b", 1000, "b")), List.of(), INES);
        List<ScheduledTask> both = List.of(plain("a", "Ines", 0, 1000), plain("b", "Ines", 1000, 1000));
        Schedule schedule = new Schedule(both, List.of(), 2000, 0);
        Confidence past = Confidence.of(network, schedule, new Progress(2000, both, List.of(), List.of()), 500);
        assertThat(past.ready()).containsOnly(2000);
        Confidence soon = Confidence.of(network, schedule, new Progress(1900, both, List.of(), List.of()), 4001);
        assertThat(soon.by(0)).isEqualTo(1900);
        assertThat(soon.by(0.5)).isBetween(1960, 2010);
    }

    /** A film dries by the room alone: its median is its time. Whatever is worked into does not count. */
    @Test
    void whatDriesSpreadsWithTheRoom() {
        TaskNetwork film = of(List.of(film("coat", 100, 60, Mode.NEVER, 3000, "a")), List.of(), INES);
        ScheduledTask coat = new ScheduledTask("coat", "Ines", 0, 0, 100, 160, Mode.NEVER, 3100, 0);
        assertThat(median(film, coat)).isCloseTo(3100, within(30.0));
        double ninth = Confidence.of(film, new Schedule(List.of(coat), List.of(), 3100, 0), 4001)
                .by(0.9);
        // Φ⁻¹(0.9) = 1.2816: 3000·exp(0.15·1.2816)
        assertThat(ninth).isCloseTo(100 + 3000 * Math.exp(0.15 * 1.2816), within(60.0));
        TaskNetwork pressed = of(
                List.of(film("coat", 100, 60, Mode.NEVER, 3000, "a"), task("press", 1000, "a")),
                List.of(lag("coat", "press", Lag.Kind.USABLE)),
                INES);
        assertThat(median(pressed, coat, plain("press", "Ines", 160, 1000))).isCloseTo(160 + 1000 * TASK, within(20.0));
    }

    /** After a film was waited for to dry, after other hands and after other postures nothing begins sooner than these are over. */
    @Test
    void whatCameBeforeInThePlanComesBeforeEveryMorning() {
        ScheduledTask coat = new ScheduledTask("coat", "Ines", 0, 0, 100, 160, Mode.NEVER, 3100, 0);
        TaskNetwork dry = of(
                List.of(film("coat", 100, 60, Mode.NEVER, 3000, "a"), task("touch", 1000, "a")), List.of(), INES, PELL);
        assertThat(median(dry, coat, plain("touch", "Pell", 3100, 1000))).isCloseTo(3100 + 1000 * TASK, within(60.0));
        TaskNetwork hands = of(List.of(task("a", 1000, "a"), task("b", 1000, "b")), List.of(), INES, PELL);
        assertThat(median(hands, plain("a", "Ines", 0, 1000), plain("b", "Ines", 1000, 1000)))
                .isCloseTo(2000, within(40.0));
        assertThat(median(hands, plain("a", "Ines", 0, 1000), plain("b", "Pell", 0, 1000)))
                .as("side by side the later of two")
                .isBetween(1000.0, 1200.0);
        Task open = new Task(
                "a", 1000, Set.of("a"), Set.of(), Map.of("eyes", "open"), Task.Needs.ANYONE, List.of(Mode.NOTHING));
        Task shut = new Task(
                "b", 1000, Set.of("b"), Set.of(), Map.of("eyes", "shut"), Task.Needs.ANYONE, List.of(Mode.NOTHING));
        assertThat(median(
                        of(List.of(open, shut), List.of(), INES, PELL),
                        plain("a", "Ines", 0, 1000),
                        plain("b", "Pell", 1000, 1000)))
                .isCloseTo(2000, within(40.0));
    }

    /** A break comes when the last before it has ended, and lasts; one that is past stays where it was. */
    @Test
    void breaksMoveWithWhatComesBeforeThem() {
        TaskNetwork network = of(List.of(task("a", 1000, "a"), task("b", 1000, "b")), List.of(), INES);
        ScheduledTask a = plain("a", "Ines", 0, 1000);
        ScheduledTask b = plain("b", "Ines", 1600, 1000);
        assertThat(median(network, Progress.NOTHING, List.of(new Rest(1000, 1600)), a, b))
                .isCloseTo(2600, within(40.0));
        Progress rested = new Progress(1500, List.of(plain("a", "Ines", 0, 900)), List.of(), List.of());
        assertThat(median(network, rested, List.of(new Rest(1000, 1600)), plain("a", "Ines", 0, 900), b))
                .isCloseTo(1600 + 1000 * TASK, within(20.0));
    }

    @Test
    void nothingBeginsBeforeItsHour() {
        TaskNetwork pinned = new TaskNetwork(
                List.of(task("a", 1000, "a")),
                List.of(),
                List.of(INES),
                1,
                BreakRule.USUAL,
                List.of(new Pin("a", 5000, Mode.NEVER, null)));
        assertThat(median(pinned, plain("a", "Ines", 5000, 1000))).isCloseTo(5000 + 1000 * TASK, within(20.0));
        Progress later = new Progress(6000, List.of(), List.of(), List.of());
        assertThat(median(pinned, later, List.of(), plain("a", "Ines", 5000, 1000)))
                .isCloseTo(6000 + 1000 * TASK, within(20.0));
    }

    /** Glue that shuts 10 s after it grabs while its hands are busy for half an hour is laid again on nearly every morning. */
    @Test
    void aMissedWindowCostsTheCoatOnceMore() {
        TaskNetwork network = of(
                List.of(film("glue", 300, 60, 70, 3000, "a"), task("busy", 1000, "b"), task("press", 100, "a")),
                List.of(lag("glue", "press", Lag.Kind.USABLE)),
                INES,
                PELL);
        ScheduledTask glue = new ScheduledTask("glue", "Ines", 0, 0, 300, 360, 370, 3300, 0);
        double once = median(network, glue, plain("busy", "Pell", 0, 1000), plain("press", "Ines", 360, 100));
        assertThat(once).isBetween(950.0, 1010.0);
        double again = median(network, glue, plain("busy", "Ines", 300, 1000), plain("press", "Ines", 1300, 100));
        assertThat(again).isCloseTo(1300 + 300 + 60 + 100, within(40.0));
    }

    @Test
    void sharesAreAskedFromNoneToAll() {
        Confidence four = new Confidence(new int[] {1, 2, 3, 4}, Map.of());
        assertThat(four.by(0)).isEqualTo(1);
        assertThat(four.by(0.25)).isEqualTo(1);
        assertThat(four.by(0.26)).isEqualTo(2);
        assertThat(four.by(1)).isEqualTo(4);
    }
}
