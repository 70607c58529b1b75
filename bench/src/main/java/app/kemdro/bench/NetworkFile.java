package app.kemdro.bench;

import app.kemdro.core.schedule.BreakRule;
import app.kemdro.core.schedule.Lag;
import app.kemdro.core.schedule.Task;
import app.kemdro.core.schedule.Task.Mode;
import app.kemdro.core.schedule.TaskNetwork;
import app.kemdro.core.schedule.Worker;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Set;

/**
 * A network written down with the best order known, all in whole minutes: hands, leads, dryers and breaks in one line, then tasks,
 * then what comes after what.
 *
 * @param best minutes until ready of the shortest order known, 0 where none is
 * @param bound the least that is proven, minutes, 0 where nothing is
 */
record NetworkFile(String name, TaskNetwork network, int best, int bound) {
    private static final int MINUTE = 60;

    /** The networks that come with the bench. */
    static List<NetworkFile> shipped() throws IOException {
        List<NetworkFile> all = new ArrayList<>();
        for (String line : lines(open("best.csv"))) {
            String[] cells = line.split(",");
            if (!cells[0].equals("network")) {
                all.add(new NetworkFile(
                        cells[0],
                        read(lines(open(cells[0] + ".txt"))),
                        Integer.parseInt(cells[1]),
                        Integer.parseInt(cells[2])));
            }
        }
        return all;
    }

    /** A network from a file of its own. */
    static NetworkFile of(Path file) throws IOException {
        return new NetworkFile(file.getFileName().toString(), read(Files.readAllLines(file)), 0, 0);
    }

    private static InputStream open(String name) {
        return Objects.requireNonNull(NetworkFile.class.getResourceAsStream("/networks/" + name), name);
    }

    private static List<String> lines(InputStream file) throws IOException {
        try (BufferedReader reader = new BufferedReader(new InputStreamReader(file, StandardCharsets.UTF_8))) {
            return reader.lines().toList();
        }
    }

    private static TaskNetwork read(List<String> lines) {
        List<Task> tasks = new ArrayList<>();
        List<Lag> lags = new ArrayList<>();
        List<Worker> workers = new ArrayList<>();
        int tools = 0;
        BreakRule breaks = BreakRule.USUAL;
        for (String line : lines) {
            String[] w = line.split(" ");
            switch (w[0]) {
                case "hands" -> {
                    for (int k = 0; k < number(w[1]); k++) {
                        workers.add(new Worker("hands " + k, k < number(w[3]), 1, 0, Mode.NEVER));
                    }
                    tools = number(w[5]);
                    breaks = new BreakRule(number(w[7]) * MINUTE, number(w[9]) * MINUTE, number(w[9]) * MINUTE);
                }
                case "task" -> tasks.add(task(w));
                case "after" -> lags.add(lag(w, tasks));
                default -> {}
            }
        }
        return new TaskNetwork(tasks, lags, workers, tools, breaks);
    }

    private static Task task(String[] w) {
        int settles = number(w[5]) * MINUTE;
        List<Mode> modes = new ArrayList<>(List.of(new Mode(0, 0, Mode.NEVER, settles)));
        if (!w[7].equals("-")) {
            modes.add(new Mode(number(w[7]) * MINUTE, 0, Mode.NEVER, 0));
        }
        Set<String> zones = w.length < 12 || w[11].equals("-") ? Set.of() : Set.of(w[11].split(","));
        return new Task(
                w[1],
                number(w[3]) * MINUTE,
                zones,
                Set.of(),
                w[9].equals("lead") ? Task.Needs.LEAD : Task.Needs.ANYONE,
                modes);
    }

    /** A window is written from the end of the work, and counted here from when it has settled. */
    private static Lag lag(String[] w, List<Task> tasks) {
        boolean settled = w[3].equals("settled");
        Task from = tasks.stream().filter(t -> t.id().equals(w[1])).findFirst().orElseThrow();
        Integer within = w.length < 6
                ? null
                : number(w[5]) * MINUTE - (settled ? from.modes().get(0).settled() : 0);
        if (within != null && from.modes().size() > 1) {
            throw new IllegalArgumentException("a window after a task with a dryer is not understood: " + w[1]);
        }
        return new Lag(w[1], w[2], settled ? Lag.Kind.SETTLED : Lag.Kind.AFTER, within, "written down");
    }

    private static int number(String word) {
        return Integer.parseInt(word);
    }
}
