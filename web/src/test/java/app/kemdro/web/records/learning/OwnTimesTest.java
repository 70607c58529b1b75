package app.kemdro.web.records.learning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.kemdro.core.learn.Pace;
import app.kemdro.core.look.Brief;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.Stamp;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.web.AsLead;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.run.Told;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MockMvcTester;

@DemoTest
class OwnTimesTest {
    @Autowired
    private Jobs jobs;

    @Autowired
    private Plans plans;

    @Autowired
    private OwnTimes times;

    @Autowired
    private MockMvcTester mvc;

    private AsLead lead;
    private Job job;
    private Plan plan;

    @BeforeEach
    void theFounder() {
        lead = new AsLead(mvc);
        job = DemoJobs.like("Orrin Vask", "own times", jobs);
        plan = plans.of(job).plan().orElseThrow();
    }

    private static String of(PlannedStep step) {
        return Brief.step(step.technique().id(), step.template().id());
    }

    private RunEvent event(int number, int second, String type, ScheduledTask p, String text) {
        String hands = p.worker() == null ? "" : p.worker();
        return Told.event(new Stamp("e" + number, plan.clock(second), hands), type, p.task(), 60, text);
    }

    /** A morning in which everybody is a fifth slower, one step takes 1.4 times as long beside that, and hands are never quite even. */
    private List<RunEvent> morning(String slow, SplittableRandom random) {
        List<RunEvent> events = new ArrayList<>();
        for (ScheduledTask p : plan.schedule().placed()) {
            double longer =
                    1.2 * (of(plan.step(p.task())).equals(slow) ? 1.4 : 1) * Math.exp(0.1 * random.nextGaussian());
            events.add(event(events.size(), p.start(), "START", p, ""));
            events.add(event(events.size(), p.start() + (int) ((p.end() - p.start()) * longer), "FINISH", p, ""));
        }
        return events;
    }

    @Test
    void aStepThatTakesLongerInThisHouseIsLearntAndTheOthersAreLeftAlone() {
        String slow = plan.steps().stream()
                .filter(s -> s.technique().id().equals("castor-ground"))
                .map(OwnTimesTest::of)
                .findFirst()
                .orElseThrow();
        SplittableRandom random = new SplittableRandom(5);
        Map<String, List<Pace.Run>> seen = new TreeMap<>();
        for (int k = 0; k < 6; k++) {
            OwnTimes.see(plan, morning(slow, random), h -> 1.2, seen);
        }
        assertThat(Pace.STEP.after(seen.get(slow)).factor()).isBetween(1.25, 1.45);
        double others = seen.entrySet().stream()
                .filter(e -> e.getKey().contains("/") && !e.getKey().equals(slow))
                .mapToDouble(e -> Pace.STEP.after(e.getValue()).factor())
                .average()
                .orElseThrow();
        assertThat(others).isEqualTo(1, within(0.06));
    }

    @Test
    void aFilmIsLearntFromWhenItWasSeenNotYetAndClearAndALateLookTeachesNothing() {
        PlannedStep step = plan.steps().stream()
                .filter(s -> s.drying().isPresent()
                        && plan.schedule().of(s.id()).worker() != null
                        && plan.network()
                                        .task(s.id())
                                        .way(plan.schedule().of(s.id()).mode())
                                        .tool()
                                == 0
                        && plan.network()
                                        .task(s.id())
                                        .way(plan.schedule().of(s.id()).mode())
                                        .settled()
                                > 100)
                .findFirst()
                .orElseThrow();
        ScheduledTask p = plan.schedule().of(step.id());
        int forecast = plan.network().task(step.id()).way(p.mode()).settled();
        List<RunEvent> events = new ArrayList<>(List.of(event(0, 0, "START", p, ""), event(1, 60, "FINISH", p, "")));
        String film = Brief.film(step.material().orElseThrow().id());
        List<RunEvent> late = new ArrayList<>(events);
        late.add(event(2, 60 + forecast * 2, "CLEAR", p, ""));
        Map<String, List<Pace.Run>> seen = new TreeMap<>();
        OwnTimes.see(plan, late, h -> 1, seen);
        assertThat(seen).doesNotContainKey(film);
        events.add(event(2, 60 + forecast, "NOT_YET", p, ""));
        events.add(event(3, 60 + forecast * 2, "CLEAR", p, ""));
        OwnTimes.see(plan, events, h -> 1, seen);
        Pace.Run run = seen.get(film).get(0);
        assertThat(run.planned()).isEqualTo(forecast, within(1.0));
        assertThat(run.actual() / run.planned()).isEqualTo(Math.sqrt(2), within(0.01));
    }

    @Test
    void whatWasInterruptedOrDoneAgainTeachesNothing() {
        ScheduledTask p = plan.schedule().placed().stream()
                .filter(x -> x.worker() != null)
                .findFirst()
                .orElseThrow();
        String what = of(plan.step(p.task()));
        for (String odd : List.of("BREAK", "ADD", "REDO")) {
            Map<String, List<Pace.Run>> seen = new TreeMap<>();
            OwnTimes.see(
                    plan,
                    List.of(
                            event(0, 0, "START", p, ""),
                            event(1, 30, odd, p, ""),
                            event(2, 60, "BACK", p, ""),
                            event(3, 200, "FINISH", p, "")),
                    h -> 1,
                    seen);
            assertThat(seen).as(odd).doesNotContainKey(what);
        }
    }

    /** Library beside house; planned with at a press, carried in the file, without what is left out, and taken back again. */
    @Test
    void ownTimesArePlannedWithAtAPressAndWhatIsOddIsLeftOut() throws Exception {
        String at = "/jobs/" + job.id() + "/book/times";
        String page = lead.get(at);
        assertThat(page).contains("planned with the library’s times").contains("seen ");
        Matcher line = Pattern.compile("name=\"what\" value=\"([^\"]+)\"").matcher(page);
        assertThat(line.find()).isTrue();
        String odd = line.group(1);
        int before = plan.schedule().ready();
        lead.post(at, "own", "true");
        Job own = jobs.get(job.id());
        assertThat(own.brief().own()).containsKey(odd).isEqualTo(times.factors());
        assertThat(plans.of(own).plan().orElseThrow().schedule().ready()).isNotEqualTo(before);
        assertThat(lead.get("/jobs/" + job.id() + "/export.json")).contains("\"ownTimes\"", "\"" + odd + "\"");
        lead.post(at + "/leave", "what", odd, "out", "true");
        lead.post(at, "own", "true");
        assertThat(jobs.get(job.id()).brief().own()).doesNotContainKey(odd);
        lead.post(at + "/leave", "what", odd, "out", "false");
        lead.post(at, "own", "false");
        assertThat(jobs.get(job.id()).brief().own()).isEmpty();
    }

    /** The camera test, long past, is done again tomorrow: the same look and mixes, the times as they really were. */
    @Test
    void aJobIsDoneAgainWithItsRealTimes() throws Exception {
        Job test = DemoJobs.called("Orrin Vask, camera test", jobs);
        lead.post("/jobs/" + test.id() + "/book/again");
        Job again = DemoJobs.all(jobs).stream()
                .filter(j -> j.title().equals(test.title()) && j.id() != test.id())
                .findFirst()
                .orElseThrow();
        assertThat(again.brief().call().toLocalDate()).isEqualTo(java.time.LocalDate.of(2026, 12, 3));
        assertThat(again.look()).isEqualTo(test.look());
        assertThat(again.brief().own()).isEqualTo(times.factors()).isNotEmpty();
        assertThat(again.brief().crew().get(0).factor()).isNotEqualTo(1);
        assertThat(lead.get("/jobs/" + again.id() + "/colour")).contains("bronze crust");
        jobs.setAside(again.id(), again.brief().call());
    }
}
