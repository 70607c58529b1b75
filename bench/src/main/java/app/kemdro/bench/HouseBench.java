package app.kemdro.bench;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.function.IntFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A department of five thousand jobs, as one lead asks for its pages and as ten chairs are pressed. */
public final class HouseBench {
    private static final int ROUNDS = 20;
    private static final Pattern ON_SHELF = Pattern.compile("href=\"/jobs/(\\d+)/look\"");

    private final Visitor lead;

    private HouseBench(Visitor lead) {
        this.lead = lead;
    }

    /** Takes the address of a running demo, and the word "first" where it is still the demo itself. */
    public static void main(String[] arguments) throws Exception {
        HouseBench bench = new HouseBench(new Visitor(arguments[0]).signIn());
        if (arguments.length > 1) {
            // what the shelf keeps of the demo's jobs is written, and copied with them
            bench.lead.get("/shelf");
            Thread.sleep(3000);
        } else {
            bench.measure();
        }
    }

    private void measure() throws Exception {
        long from = System.nanoTime();
        while (lead.get("/book?find=nothing-of-the-kind").contains("have not been looked through")) {
            Thread.sleep(500);
        }
        System.out.printf("every job read for finding after another %.0f s%n", (System.nanoTime() - from) / 1e9);
        // only the camera test was held; what is found first was not opened before
        List<String> held = some("camera+test", 90, 90);
        List<String> found = some("sprue", 2002, 148);
        time("shelf", k -> "/shelf");
        time(
                "shelf, another day each time",
                k -> "/shelf?from=" + java.time.LocalDate.now().minusDays(17L * k + 3));
        time("shelf, a job found by its words", k -> "/shelf?find=vask+day+" + (k + 1) * 11);
        time("find, words in few jobs", k -> "/book?find=vask+day+" + (k + 1) * 37);
        time("find, a word in no job", k -> "/book?find=zq" + k);
        time(
                "find, a word in most jobs",
                k -> "/book?find=" + List.of("bronze", "latex", "brow", "cap").get(k % 4));
        time("open a job that nobody has opened since the start", k -> "/jobs/" + found.get(k) + "/look");
        time("open a job again", k -> "/jobs/" + found.get(0) + "/look");
        time("book of one performer's day, first time", k -> "/jobs/" + held.get(k) + "/book");
        time("book of one performer's day, again", k -> "/jobs/" + held.get(0) + "/book");
        time("people", k -> "/people");
        press(LiveBench.jobs(lead, LiveBench.CHAIRS));
    }

    /** Jobs by the number in their name, from one on, with so many between them. */
    private List<String> some(String find, int from, int every) throws IOException, InterruptedException {
        List<String> all = new ArrayList<>();
        for (int k = 0; k < ROUNDS; k++) {
            all.addAll(on("/shelf?find=" + find + "+day+" + (from + k * every)).stream()
                    .limit(1)
                    .toList());
        }
        if (all.size() < ROUNDS) {
            throw new IllegalStateException("Not all of them stand on the shelf");
        }
        return all;
    }

    /** Jobs that stand on a page of the shelf. */
    private List<String> on(String path) throws IOException, InterruptedException {
        Matcher jobs = ON_SHELF.matcher(lead.get(path));
        List<String> all = new ArrayList<>();
        while (jobs.find()) {
            if (!all.contains(jobs.group(1))) {
                all.add(jobs.group(1));
            }
        }
        return all;
    }

    private void time(String what, IntFunction<String> path) throws IOException, InterruptedException {
        List<Double> times = new ArrayList<>();
        for (int k = 0; k < ROUNDS; k++) {
            long from = System.nanoTime();
            String page = lead.get(path.apply(k));
            times.add((System.nanoTime() - from) / 1e6);
            if (!page.contains("id=\"room\"")) {
                throw new IllegalStateException(path.apply(k) + " is no page of the house");
            }
        }
        print(what, times);
    }

    /** Each chair begins, then presses in turn with the others. */
    private void press(List<Long> jobs) throws IOException, InterruptedException {
        for (long job : jobs) {
            lead.post("/jobs/" + job + "/chair/begin", "application/x-www-form-urlencoded", "");
        }
        List<Double> times = new ArrayList<>();
        int kept = 0;
        for (int round = 0; round < ROUNDS; round++) {
            for (long made : jobs) {
                String job = Long.toString(made);
                Visitor.Press press = lead.next(job);
                long from = System.nanoTime();
                int status =
                        lead.press(job, UUID.randomUUID().toString(), press).statusCode();
                times.add((System.nanoTime() - from) / 1e6);
                kept += status == 200 ? 1 : 0;
                Thread.sleep(100);
            }
        }
        print("press, one of " + jobs.size() + " chairs; kept " + kept + " of " + times.size(), times);
    }

    private static void print(String what, List<Double> times) {
        List<Double> sorted = times.stream().sorted().toList();
        System.out.printf(
                "%-52s first %6.0f ms, median %6.0f ms, 19 of 20 under %6.0f ms%n",
                what, times.get(0), sorted.get(sorted.size() / 2), sorted.get(sorted.size() * 19 / 20));
    }
}
