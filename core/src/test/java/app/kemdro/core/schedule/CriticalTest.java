package app.kemdro.core.schedule;

import static app.kemdro.core.schedule.Networks.lag;
import static app.kemdro.core.schedule.Networks.task;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
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
}
