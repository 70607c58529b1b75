package app.kemdro.web.roam;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.method.Trade;
import app.kemdro.web.DemoTest;
import app.kemdro.web.TestClock;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.plan.Removals;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.run.Standings;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import tools.jackson.databind.json.JsonMapper;

/**
 * Lives jobs that chance has drawn. A few with every test run; as many as one likes with {@code ./kemdro roam N [FROM]}. What fails
 * lies afterwards in target/roam as a job file, to be taken in by hand, with the last requests beside it.
 */
@DemoTest
@TestPropertySource(
        properties = "spring.application.name=kemdro-roamed") // a house of its own: nobody else meets these jobs
class RoamTest {
    private static final long ALWAYS = 6;

    /** Seeds that once found something that no smaller test shows. */
    private static final List<Long> FOUND = List.of(1127L, 1732L, 2122L);

    @Autowired
    private MockMvcTester mvc;

    @Autowired
    private TestClock clock;

    @Autowired
    private Jobs jobs;

    @Autowired
    private Plans plans;

    @Autowired
    private Runs runs;

    @Autowired
    private Standings standings;

    @Autowired
    private Removals removals;

    @Autowired
    private Trade trade;

    @Autowired
    private JsonMapper json;

    @Test
    void nothingItSaysOfJobsDrawnByChanceIsUntrue() throws Exception {
        long many = Long.getLong("roam.seeds", ALWAYS);
        long from = Long.getLong("roam.from", 1);
        List<Long> seeds =
                new ArrayList<>(LongStream.range(from, from + many).boxed().toList());
        if (Long.getLong("roam.seeds") == null) {
            seeds.addAll(FOUND);
        }
        Map<String, Integer> counted = new TreeMap<>();
        Roamed on = new Roamed(mvc, clock, jobs, plans, runs, standings, removals, trade, new Afresh(), json, counted);
        List<String> failed = new ArrayList<>();
        for (long seed : seeds) {
            SplittableRandom dice = new SplittableRandom(seed);
            String file = json.writerWithDefaultPrettyPrinter().writeValueAsString(new Draw(trade, dice).job(seed));
            clock.set(LocalDateTime.of(2026, 12, 2, 19, 40));
            try {
                new Life(on, dice).live(file);
                on.count("jobs without a fault");
            } catch (AssertionError | RuntimeException e) {
                failed.add(kept(seed, file, e));
            }
            if (many > ALWAYS && (seed - from + 1) % 25 == 0) {
                System.out.println("roamed " + (seed - from + 1) + ": " + counted + ", failed " + failed.size());
            }
        }
        System.out.println("Roamed " + seeds.size() + " jobs from seed " + from + ": " + counted);
        assertThat(failed).as("lived through without a fault").isEmpty();
        assertThat(counted).as("chance has been everywhere").containsKeys("plans", "presses", "strikes");
    }

    private static String kept(long seed, String file, Throwable e) throws Exception {
        Path folder = Files.createDirectories(Path.of("target", "roam"));
        Files.writeString(folder.resolve("seed-" + seed + ".json"), file);
        StringWriter trace = new StringWriter();
        e.printStackTrace(new PrintWriter(trace));
        Files.writeString(folder.resolve("seed-" + seed + ".txt"), trace.toString());
        String first = String.valueOf(e.getMessage()).lines().findFirst().orElse("");
        String said = "seed " + seed + ": "
                + (e instanceof AssertionError ? "" : e.getClass().getSimpleName() + " ") + first;
        System.out.println(said);
        return said;
    }
}
