package app.kemdro.solver;

import app.kemdro.core.schedule.BreakRule;
import app.kemdro.core.schedule.Lag;
import app.kemdro.core.schedule.Task;
import app.kemdro.core.schedule.Task.Mode;
import app.kemdro.core.schedule.TaskNetwork;
import app.kemdro.core.schedule.Worker;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** A textbook shop with machines as hands: an operation is done by one machine after the one before in its job. */
public record JobShop(String name, int optimum, TaskNetwork network) {
    /** The shops whose names match. */
    public static List<JobShop> called(String names) {
        List<JobShop> shops = new ArrayList<>();
        List<String> lines = ShopFile.lines();
        for (int at = 0; at < lines.size(); at++) {
            String[] head = lines.get(at).trim().split("\\s+");
            if (head[0].equals("instance") && head[1].matches(names)) {
                int jobs = Integer.parseInt(head[3]);
                shops.add(
                        new JobShop(head[1], Integer.parseInt(head[7]), network(lines.subList(at + 1, at + 1 + jobs))));
            }
        }
        return shops;
    }

    private static TaskNetwork network(List<String> jobs) {
        List<Task> tasks = new ArrayList<>();
        List<Lag> lags = new ArrayList<>();
        for (int j = 0; j < jobs.size(); j++) {
            String[] numbers = jobs.get(j).trim().split("\\s+");
            String last = "";
            for (int k = 0; k < numbers.length / 2; k++) {
                String id = j + "/" + k;
                if (numbers[2 * k + 1].equals("0")) {
                    continue;
                }
                tasks.add(new Task(
                        id,
                        Integer.parseInt(numbers[2 * k + 1]),
                        Set.of("machine " + numbers[2 * k]),
                        Set.of(),
                        Task.Needs.NOBODY,
                        List.of(Mode.NOTHING)));
                if (!last.isEmpty()) {
                    lags.add(new Lag(last, id, Lag.Kind.END, null, "job"));
                }
                last = id;
            }
        }
        return new TaskNetwork(
                tasks, lags, List.of(new Worker("nobody", true, 1, 0, 1_000_000)), 0, new BreakRule(1_000_000, 1, 1));
    }
}
