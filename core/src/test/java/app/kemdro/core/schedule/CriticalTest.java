package app.kemdro.core.schedule;

import static app.kemdro.core.schedule.Networks.film;
import static app.kemdro.core.schedule.Networks.lag;
import static app.kemdro.core.schedule.Networks.of;
import static app.kemdro.core.schedule.Networks.plain;
import static app.kemdro.core.schedule.Networks.task;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.schedule.Task.Mode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

class CriticalTest {
    private static final int WEEK = 100;

    /**
     * The construction network by which Hillier and Lieberman, Introduction to Operations Research, teach the critical path:
     * 44 weeks along A-B-C-E-F-J-L-N, with the slack of the rest (from memory).
     */
    @Test
    void aTextbookNetworkHasItsCriticalPathAndItsSlack() {
        String[] activities = {
            "A 2", "B 4 A", "C 10 B", "D 6 C", "E 4 C", "F 5 E", "G 7 D", "H 9 E G", "I 7 C", "J 8 F I", "K 4 J",
            "L 5 J", "M 2 H", "N 6 K L"
        };
        List<Task> tasks = new ArrayList<>();
        List<Lag> lags = new ArrayList<>();
        List<Worker> hands = new ArrayList<>();
        for (String activity : activities) {
            String[] part = activity.split(" ");
            tasks.add(task(part[0], Integer.parseInt(part[1]) * WEEK, part[0]));
            hands.add(new Worker("crew " + part[0], true, 1, 0, 100_000));
            for (int k = 2; k < part.length; k++) {
                lags.add(lag(part[k], part[0], Lag.Kind.END));
            }
        }
        TaskNetwork network = new TaskNetwork(tasks, lags, hands, 0, new BreakRule(1_000_000, 1, 1));
        Schedule schedule = Networks.plan(network);
        assertThat(schedule.ready()).isEqualTo(44 * WEEK);
        Map<String, Integer> slack = new TreeMap<>(Critical.slack(network, schedule));
        slack.replaceAll((task, seconds) -> seconds / WEEK);
        Map<String, Integer> expected =
                new TreeMap<>(Map.of("A", 0, "B", 0, "C", 0, "E", 0, "F", 0, "J", 0, "L", 0, "N", 0));
        expected.putAll(Map.of("D", 4, "G", 4, "H", 4, "M", 4, "I", 2, "K", 1));
        assertThat(slack).isEqualTo(expected);
    }

    private static Map<String, Integer> slack(
            TaskNetwork network, List<Rest> rests, int ready, ScheduledTask... placed) {
        return Critical.slack(network, new Schedule(List.of(placed), rests, ready, 0));
    }

    private static final Worker PAT = new Worker("Pat", true, 1, 0, 100_000);
    private static final Worker SAM = new Worker("Sam", true, 1, 0, 100_000);
    private static final ScheduledTask COAT = new ScheduledTask("coat", "Pat", 0, 0, 60, 120, Mode.NEVER, 360, 0);

    /** A film that dries by itself until ready may not slip; one that has dried 140 s before may slip by these. */
    @Test
    void whatDriesCounts() {
        TaskNetwork alone =
                of(List.of(film("coat", 60, 60, Mode.NEVER, 300, "a"), task("b", 500, "b")), List.of(), PAT, SAM);
        assertThat(slack(alone, List.of(), 360, COAT, plain("b", "Sam", 0, 300)))
                .containsEntry("coat", 0);
        assertThat(slack(alone, List.of(), 500, COAT, plain("b", "Sam", 0, 500)))
                .containsEntry("coat", 140)
                .containsEntry("b", 0);
        TaskNetwork dry =
                of(List.of(film("coat", 60, 60, Mode.NEVER, 300, "a"), task("touch", 60, "a")), List.of(), PAT, SAM);
        assertThat(slack(dry, List.of(), 460, COAT, plain("touch", "Sam", 400, 60)))
                .as("it is touched 40 s after it is dry")
                .containsEntry("coat", 40);
    }

    /** Pressed 80 s after it grabs: the glue may slip by 80 s, though it would dry far longer by itself. */
    @Test
    void whatIsWorkedIntoWaitsOnlyUntilItIsUsable() {
        TaskNetwork network = of(
                List.of(film("coat", 60, 60, Mode.NEVER, 300, "a"), task("press", 60, "a")),
                List.of(lag("coat", "press", Lag.Kind.USABLE)),
                PAT,
                SAM);
        assertThat(slack(network, List.of(), 300, COAT, plain("press", "Sam", 200, 60)))
                .containsEntry("press", 40)
                .containsEntry("coat", 120);
    }

    /** The same hands, the same place and another posture each hold back what comes before them; other hands do not. */
    @Test
    void whatComesAfterOnTheSameHandsPlacesOrPostureHoldsBack() {
        TaskNetwork two = of(List.of(task("a", 60, "a"), task("b", 60, "b")), List.of(), PAT, SAM);
        assertThat(slack(two, List.of(), 200, plain("a", "Pat", 0, 60), plain("b", "Pat", 100, 60)))
                .containsEntry("a", 80)
                .containsEntry("b", 40);
        assertThat(slack(two, List.of(), 200, plain("a", "Pat", 0, 60), plain("b", "Sam", 100, 60)))
                .containsEntry("a", 140);
        TaskNetwork place = of(List.of(task("a", 60, "a"), task("b", 60, "a")), List.of(), PAT, SAM);
        assertThat(slack(place, List.of(), 200, plain("a", "Pat", 0, 60), plain("b", "Sam", 100, 60)))
                .containsEntry("a", 80);
        Task open = new Task(
                "a", 60, Set.of("a"), Set.of(), Map.of("eyes", "open"), Task.Needs.ANYONE, List.of(Mode.NOTHING));
        Task shut = new Task(
                "b", 60, Set.of("b"), Set.of(), Map.of("eyes", "shut"), Task.Needs.ANYONE, List.of(Mode.NOTHING));
        assertThat(slack(
                        of(List.of(open, shut), List.of(), PAT, SAM),
                        List.of(),
                        200,
                        plain("a", "Pat", 0, 60),
                        plain("b", "Sam", 100, 60)))
                .containsEntry("a", 80);
    }

    /** A break, and an hour somebody has set, are not moved by what comes before them. */
    @Test
    void breaksAndHoursThatWereSetHoldBack() {
        TaskNetwork two = of(List.of(task("a", 60, "a"), task("b", 60, "b")), List.of(), PAT, SAM);
        assertThat(slack(two, List.of(new Rest(90, 600)), 1000, plain("a", "Pat", 0, 60), plain("b", "Pat", 700, 60)))
                .containsEntry("a", 30)
                .containsEntry("b", 240);
        TaskNetwork pinned = new TaskNetwork(
                List.of(task("a", 60, "a")),
                List.of(),
                List.of(PAT),
                1,
                BreakRule.USUAL,
                List.of(new Pin("a", 0, 50, null)));
        assertThat(slack(pinned, List.of(), 1000, plain("a", "Pat", 20, 60))).containsEntry("a", 30);
        TaskNetwork from = new TaskNetwork(
                List.of(task("a", 60, "a")),
                List.of(),
                List.of(PAT),
                1,
                BreakRule.USUAL,
                List.of(new Pin("a", 20, Mode.NEVER, null)));
        assertThat(slack(from, List.of(), 1000, plain("a", "Pat", 20, 60))).containsEntry("a", 920);
    }

    /** Less than half a minute is as good as none. */
    @Test
    void whatMayNotSlipHasLessThanHalfAMinute() {
        TaskNetwork one = of(List.of(task("a", 60, "a")), List.of(), PAT);
        assertThat(Critical.tasks(one, new Schedule(List.of(plain("a", "Pat", 0, 60)), List.of(), 89, 0)))
                .containsExactly("a");
        assertThat(Critical.tasks(one, new Schedule(List.of(plain("a", "Pat", 0, 60)), List.of(), 90, 0)))
                .isEmpty();
    }
}
