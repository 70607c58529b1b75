package app.kemdro.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.List;
import java.util.UUID;

/** Presses until the server is gone, writing down what was acknowledged; or checks that all of it is still there. */
public final class CrashBench {
    private CrashBench() {}

    /** Takes the address of a running demo, the file of what was acknowledged, and perhaps the word check. */
    public static void main(String[] arguments) throws IOException, InterruptedException {
        Visitor hands = new Visitor(arguments[0]).signIn();
        Path file = Path.of(arguments[1]);
        if (arguments.length > 2) {
            check(hands, file);
        } else {
            press(hands, file);
        }
    }

    private static void press(Visitor hands, Path file) throws IOException, InterruptedException {
        hands.post("/jobs/3/chair/begin", "application/x-www-form-urlencoded", "");
        try {
            while (true) {
                String id = UUID.randomUUID().toString();
                String body = "{\"id\":\"%s\",\"type\":\"NOTE\",\"hands\":\"Pell\",\"text\":\"press\"}".formatted(id);
                var answer = hands.post("/jobs/3/chair/events", "application/json", body);
                if (answer.statusCode() == 200) {
                    Files.writeString(file, id + "\n", StandardOpenOption.CREATE, StandardOpenOption.APPEND);
                }
            }
        } catch (IOException gone) {
            // the server was killed, as it should be
        }
    }

    private static void check(Visitor hands, Path file) throws IOException, InterruptedException {
        String kept = hands.get("/jobs/3/export.json");
        List<String> acknowledged = Files.exists(file) ? Files.readAllLines(file) : List.of();
        List<String> lost =
                acknowledged.stream().filter(id -> !kept.contains(id)).toList();
        boolean goesOn = hands.get("/jobs/3/chair/state").contains("\"ended\":false");
        System.out.printf(
                "%d acknowledged so far, %d lost, the run %s%n",
                acknowledged.size(), lost.size(), goesOn ? "goes on" : "IS GONE");
        if (!lost.isEmpty() || !goesOn) {
            System.exit(1);
        }
    }
}
