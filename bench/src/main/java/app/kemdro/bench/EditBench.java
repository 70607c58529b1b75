package app.kemdro.bench;

import java.io.IOException;
import java.net.URLEncoder;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Queue;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Collectors;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.FormElement;

/**
 * Twenty people write into the briefs of four jobs at once, each into what they have open. Nothing may be lost silently: whoever
 * overwrites something has seen it.
 */
public final class EditBench {
    private static final int PEOPLE = 20;
    private static final List<String> FIELDS = List.of("title", "production", "idea");

    private final String base;
    private final List<String> jobs;
    private final Instant end;
    private final Queue<Edit> edits = new ConcurrentLinkedQueue<>();
    private final AtomicInteger asked = new AtomicInteger();
    private final AtomicInteger refused = new AtomicInteger();

    /** A value that was taken, over the one that was seen. */
    private record Edit(String job, String field, String saw, String wrote) {}

    private EditBench(String base, List<String> jobs, Duration how) {
        this.base = base;
        this.jobs = jobs;
        this.end = Instant.now().plus(how);
    }

    /** Takes the address of a running demo, seconds, and numbers of jobs. */
    public static void main(String[] arguments) throws InterruptedException {
        List<String> jobs = List.of(arguments).subList(2, arguments.length);
        new EditBench(arguments[0], jobs, Duration.ofSeconds(Long.parseLong(arguments[1]))).run();
    }

    private void run() throws InterruptedException {
        List<Thread> people = new ArrayList<>();
        for (int k = 0; k < PEOPLE; k++) {
            int person = k;
            Thread thread = new Thread(() -> write(person));
            people.add(thread);
            thread.start();
        }
        for (Thread thread : people) {
            thread.join();
        }
        // two that overwrote the same: one of them never learnt of the other
        Set<String> overwritten = new HashSet<>();
        long lost = edits.stream()
                .filter(e -> !overwritten.add(e.job() + " " + e.field() + " " + e.saw()))
                .count();
        System.out.printf(
                "%d people on %d jobs: %d changes kept, %d times asked which of two stands, %d refused, %d lost silently%n",
                PEOPLE, jobs.size(), edits.size(), asked.get(), refused.get(), lost);
    }

    private void write(int person) {
        Random dice = new Random(person);
        try {
            Visitor visitor = new Visitor(base).signIn();
            for (int k = 0; Instant.now().isBefore(end); k++) {
                String job = jobs.get(dice.nextInt(jobs.size()));
                String path = "/jobs/" + job + "/brief";
                FormElement form = form(visitor.get(path), path);
                List<Edit> mine = new ArrayList<>();
                for (String field : FIELDS) {
                    if (dice.nextInt(FIELDS.size()) == 0) {
                        Element place = field(form, field);
                        Edit edit = new Edit(job, field, place.val(), field + " " + person + " " + k);
                        place.val(edit.wrote());
                        mine.add(edit);
                    }
                }
                Thread.sleep(300 + dice.nextInt(1500));
                send(visitor, form, mine);
            }
        } catch (IOException e) {
            throw new IllegalStateException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private void send(Visitor visitor, FormElement form, List<Edit> mine) throws IOException, InterruptedException {
        HttpResponse<String> answer =
                visitor.post(form.attr("action"), "application/x-www-form-urlencoded", body(form));
        if (answer.statusCode() == 409 && answer.body().contains("name=\"_mine\"")) {
            asked.incrementAndGet();
            FormElement choice = form(answer.body(), form.attr("action"));
            List<Edit> seen = mine.stream()
                    .map(e ->
                            choice.select("input[name=_take." + e.field() + "]").isEmpty()
                                    ? e
                                    : new Edit(e.job(), e.field(), theirs(choice, e.field()), e.wrote()))
                    .toList();
            send(visitor, choice, seen);
        } else if (answer.statusCode() == 302) {
            edits.addAll(mine);
        } else {
            refused.incrementAndGet();
        }
    }

    private static String theirs(FormElement choice, String field) {
        return choice.select("input[name=_take." + field + "][value=now] ~ span b")
                .text();
    }

    private static FormElement form(String page, String action) {
        return Jsoup.parse(page).select("form").forms().stream()
                .filter(f -> f.attr("action").equals(action))
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("No form for " + action));
    }

    private static Element field(FormElement form, String name) {
        return form.elements().stream()
                .filter(e -> e.attr("name").equals(name))
                .findFirst()
                .orElseThrow();
    }

    private static String body(FormElement form) {
        return form.formData().stream()
                .map(f -> encoded(f.key()) + "=" + encoded(f.value()))
                .collect(Collectors.joining("&"));
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }
}
