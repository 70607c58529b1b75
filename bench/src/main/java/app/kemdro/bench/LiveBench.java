package app.kemdro.bench;

import java.io.IOException;
import java.net.Socket;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Ten chairs that are pressed, 290 boards that listen and ten screens that have fallen asleep, on a running demo on the same machine. */
public final class LiveBench {
    static final int CHAIRS = 10;
    private static final int WATCHERS = 290;
    private static final int ASLEEP = 10;
    private static final int PRESSES = 30;
    private static final int PAUSE_MS = 3000;
    private static final int TURNS = 100;
    private static final int TURN_MS = 400;
    private static final Pattern NOTE = Pattern.compile("mark-([0-9a-f-]{36})");

    private LiveBench() {}

    /** Takes the address of a running demo. */
    public static void main(String[] arguments) throws Exception {
        String base = arguments[0];
        Visitor lead = new Visitor(base).signIn();
        List<Long> jobs = jobs(lead, CHAIRS);
        Map<String, Timed.Start> pressed = new ConcurrentHashMap<>();
        ConcurrentLinkedQueue<Timed> answers = new ConcurrentLinkedQueue<>();
        ConcurrentLinkedQueue<Timed> seen = new ConcurrentLinkedQueue<>();
        AtomicInteger boards = new AtomicInteger();
        AtomicInteger errors = new AtomicInteger();
        List<Thread> all = new ArrayList<>();
        for (long job : jobs) {
            lead.post("/jobs/" + job + "/chair/begin", "application/x-www-form-urlencoded", "");
            all.add(background(() -> lead.listen("/jobs/" + job + "/chair/stream", l -> heard(l, pressed, seen))));
        }
        List<Socket> asleep = new ArrayList<>();
        for (int k = 0; k < ASLEEP; k++) {
            asleep.add(lead.asleep("/jobs/" + jobs.get(k % CHAIRS) + "/chair/stream"));
        }
        String board = board(lead, jobs);
        CountDownLatch listening = new CountDownLatch(WATCHERS);
        for (int k = 0; k < WATCHERS; k++) {
            Visitor watcher = new Visitor(base);
            String path = board.split(" ")[k % CHAIRS] + "/stream";
            AtomicInteger first = new AtomicInteger();
            all.add(background(() -> watcher.listen(path, l -> {
                if (l.startsWith("data:")) {
                    if (first.getAndIncrement() == 0) {
                        listening.countDown();
                    } else {
                        boards.incrementAndGet();
                    }
                }
            })));
        }
        listening.await(60, TimeUnit.SECONDS);
        System.out.printf("%d of %d boards listen%n", WATCHERS - listening.getCount(), WATCHERS);
        List<Thread> pressing = new ArrayList<>();
        for (long job : jobs) {
            pressing.add(background(() -> work(new Visitor(base).signIn(), job, pressed, answers, errors)));
        }
        for (Thread t : pressing) {
            t.join();
        }
        Thread.sleep(1000);
        Timed.print("press to answer", answers);
        Timed.print("press to another screen", seen);
        answers.clear();
        seen.clear();
        for (int k = 0; k < TURNS; k++) {
            press(lead, jobs.get(k % CHAIRS), pressed, answers, errors);
            Thread.sleep(TURN_MS);
        }
        Timed.print("press to answer, one chair after the other", answers);
        Timed.print("press to another screen, one chair after the other", seen);
        System.out.printf(
                "%d presses, %d answers of boards, %d errors%n", CHAIRS * PRESSES + TURNS, boards.get(), errors.get());
        System.out.printf("%d screens asleep all the time%n", asleep.size());
        System.exit(0);
    }

    /** Copies of the bell-founder. */
    static List<Long> jobs(Visitor lead, int count) throws IOException, InterruptedException {
        List<Long> jobs = new ArrayList<>();
        for (int k = 0; k < count; k++) {
            HttpResponse<String> made = lead.post("/jobs/2/again", "application/x-www-form-urlencoded", "");
            Matcher id = Pattern.compile("/jobs/(\\d+)/")
                    .matcher(made.headers().firstValue("Location").orElse(""));
            if (!id.find()) {
                throw new IllegalStateException("No job was made: " + made.statusCode());
            }
            jobs.add(Long.parseLong(id.group(1)));
        }
        return jobs;
    }

    private static String board(Visitor lead, List<Long> jobs) throws IOException, InterruptedException {
        List<String> boards = new ArrayList<>();
        for (long job : jobs) {
            lead.post("/jobs/" + job + "/floor", "application/x-www-form-urlencoded", "");
            Matcher secret = Pattern.compile("/board/[0-9a-f]{32}").matcher(lead.get("/jobs/" + job + "/floor"));
            if (!secret.find()) {
                throw new IllegalStateException("No board was made");
            }
            boards.add(secret.group());
        }
        return String.join(" ", boards);
    }

    private static void heard(String line, Map<String, Timed.Start> pressed, ConcurrentLinkedQueue<Timed> seen) {
        Matcher mark = NOTE.matcher(line);
        while (mark.find()) {
            Timed.Start from = pressed.remove(mark.group(1));
            if (from != null) {
                seen.add(from.passed());
            }
        }
    }

    /** Real work is pressed: a step is begun and ended, minutes are added and taken back. */
    private static void work(
            Visitor hands,
            long job,
            Map<String, Timed.Start> pressed,
            ConcurrentLinkedQueue<Timed> answers,
            AtomicInteger errors)
            throws IOException, InterruptedException {
        Random dice = new Random(job);
        // nobody presses in step with the others, nor all for the first time at once
        Thread.sleep(dice.nextInt(PAUSE_MS));
        for (int k = 0; k < PRESSES; k++) {
            press(hands, job, pressed, answers, errors);
            Thread.sleep(PAUSE_MS / 2 + dice.nextInt(PAUSE_MS));
        }
    }

    private static void press(
            Visitor hands,
            long job,
            Map<String, Timed.Start> pressed,
            ConcurrentLinkedQueue<Timed> answers,
            AtomicInteger errors)
            throws IOException, InterruptedException {
        Visitor.Press press = hands.next(Long.toString(job));
        String id = UUID.randomUUID().toString();
        Timed.Start from = Timed.Start.now();
        pressed.put(id, from);
        var answer = hands.press(Long.toString(job), "mark-" + id, press);
        answers.add(from.passed());
        if (answer.statusCode() != 200) {
            errors.incrementAndGet();
        }
    }

    private interface Work {
        void run() throws IOException, InterruptedException;
    }

    private static Thread background(Work work) {
        Thread thread = new Thread(() -> {
            try {
                work.run();
            } catch (IOException | InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        });
        thread.setDaemon(true);
        thread.start();
        return thread;
    }
}
