package app.kemdro.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** Presses in four chairs at once until the server is gone, writing down what was acknowledged; or checks that all of it is still there. */
public final class CrashBench {
    private static final int CHAIRS = 4;

    private CrashBench() {}

    /** Takes the address of a running demo, the file of what was acknowledged, and perhaps the word make, for the chairs, or check. */
    public static void main(String[] arguments) throws IOException, InterruptedException {
        Visitor hands = new Visitor(arguments[0]).signIn();
        Path file = Path.of(arguments[1]);
        if (arguments.length > 2 && arguments[2].equals("make")) {
            jobs(hands, file);
        } else if (arguments.length > 2) {
            check(hands, file);
        } else {
            press(hands, file);
        }
    }

    private static void press(Visitor hands, Path file) throws IOException, InterruptedException {
        List<Thread> chairs = new ArrayList<>();
        for (long job : jobs(hands, file)) {
            Thread chair = new Thread(() -> press(hands, job, file));
            chair.start();
            chairs.add(chair);
        }
        for (Thread chair : chairs) {
            chair.join();
        }
    }

    private static void press(Visitor hands, long job, Path file) {
        try {
            while (true) {
                String id = UUID.randomUUID().toString();
                String body = "{\"id\":\"%s\",\"type\":\"NOTE\",\"hands\":\"Pell\",\"text\":\"press\"}".formatted(id);
                var answer = hands.post("/jobs/" + job + "/chair/events", "application/json", body);
                if (answer.statusCode() == 200) {
                    Files.writeString(
                            file, id + " " + job + "\n", StandardOpenOption.CREATE, StandardOpenOption.APPEND);
                }
            }
        } catch (IOException | InterruptedException gone) {
            // the server was killed, as it should be
        }
    }

    /** The chairs, made and begun the first time and known again by a file beside. */
    private static List<Long> jobs(Visitor hands, Path file) throws IOException, InterruptedException {
        Path known = file.resolveSibling(file.getFileName() + ".jobs");
        if (!Files.exists(known)) {
            List<String> made =
                    LiveBench.jobs(hands, CHAIRS).stream().map(String::valueOf).toList();
            for (String job : made) {
                hands.post("/jobs/" + job + "/chair/begin", "application/x-www-form-urlencoded", "");
            }
            Files.write(known, made);
        }
        return Files.readAllLines(known).stream().map(Long::valueOf).toList();
    }

    private static void check(Visitor hands, Path file) throws IOException, InterruptedException {
        Map<String, String> kept = new HashMap<>();
        boolean goesOn = true;
        for (long job : jobs(hands, file)) {
            kept.put(Long.toString(job), hands.get("/jobs/" + job + "/export.json"));
            goesOn &= hands.get("/jobs/" + job + "/chair/state").contains("\"ended\":false");
        }
        List<String> acknowledged = Files.exists(file) ? Files.readAllLines(file) : List.of();
        List<String> lost = acknowledged.stream()
                .filter(line -> !kept.get(line.split(" ")[1]).contains(line.split(" ")[0]))
                .toList();
        System.out.printf(
                "%d acknowledged so far, %d lost, the runs %s%n",
                acknowledged.size(), lost.size(), goesOn ? "go on" : "ARE GONE");
        if (!lost.isEmpty() || !goesOn) {
            System.exit(1);
        }
    }
}
