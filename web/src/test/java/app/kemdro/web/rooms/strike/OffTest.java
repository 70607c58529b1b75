package app.kemdro.web.rooms.strike;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.Stamp;
import app.kemdro.web.AsLead;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.TestClock;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.run.Reports;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.run.Seats;
import app.kemdro.web.records.run.Standings;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MockMvcTester;

@DemoTest
class OffTest {
    /** What a button of the live screen sends. */
    private static final Pattern BUTTON = Pattern.compile("name=\"press\" value=\"([^\"]+)\"><input type=\"hidden\""
            + " name=\"type\" value=\"(\\w+)\">(?:<input type=\"hidden\" name=\"hands\" value=\"([^\"]*)\">)?"
            + "(?:<input type=\"hidden\" name=\"step\" value=\"([^\"]+)\">)?");

    @Autowired
    private Jobs jobs;

    @Autowired
    private Standings standings;

    @Autowired
    private Seats seats;

    @Autowired
    private Reports reports;

    @Autowired
    private Runs runs;

    @Autowired
    private TestClock clock;

    @Autowired
    private MockMvcTester mvc;

    private AsLead lead;
    private Job job;
    private String at;

    @BeforeEach
    void aPieceOnTheCheek() {
        lead = new AsLead(mvc);
        job = DemoJobs.like("Sprue", "comes off", jobs);
        jobs.change(
                job.id(),
                j -> j.setLook(new Look(List.of(
                        new LookEntry("piece", "foam-piece", List.of("chin"), 0),
                        new LookEntry("base", "base-cream", List.of("forehead", "nose"), 0)))));
        at = "/jobs/" + job.id() + "/strike";
    }

    @AfterEach
    void theClockIsSetBack() {
        clock.set(LocalDateTime.of(2026, 12, 2, 19, 40));
    }

    private String live() throws Exception {
        return lead.get(at + "/live");
    }

    private boolean press(String type) throws Exception {
        Matcher button = BUTTON.matcher(live());
        while (button.find()) {
            if (button.group(2).equals(type)) {
                lead.post(
                        at + "/press",
                        "press",
                        button.group(1),
                        "type",
                        type,
                        "hands",
                        button.group(3) == null ? "" : button.group(3),
                        "step",
                        button.group(4));
                return true;
            }
        }
        return false;
    }

    @Test
    void itComesOffPressByPressAndTheNextThingBeginsByItself() throws Exception {
        assertThat(lead.get(at)).contains("Takes off all of the look as it is planned");
        lead.post(at + "/begin");
        assertThat(live()).contains("all off, likely").contains("0 of ");
        assertThat(press("START")).isTrue();
        int presses = 0;
        while (lead.answer(at + "/live").getStatus() == 200) {
            assertThat(presses++).isLessThan(60);
            clock.pass(Duration.ofMinutes(2));
            if (!press("FINISH")) {
                clock.pass(Duration.ofMinutes(10));
                assertThat(press("START")).isTrue();
            }
        }
        assertThat(presses).isGreaterThan(3);
        assertThat(lead.get(at + "/skin")).contains("All is off, in ");
    }

    @Test
    void whatSoaksIsNotLiftedUntilItLetsGo() throws Exception {
        lead.post(at + "/begin");
        String page = live();
        while (!page.contains("It has let go")) {
            if (!press("FINISH")) {
                assertThat(press("START")).isTrue();
            }
            page = live();
        }
        Matcher flood = Pattern.compile("value=\"clear (\\S.*?)/flood \\d+\"").matcher(page);
        assertThat(flood.find()).isTrue();
        String lift = flood.group(1) + "/lift";
        for (int k = 0; k < 8 && !live().contains("waits, "); k++) {
            press("FINISH");
        }
        assertThat(lead.post(at + "/press", "press", "start too soon", "type", "START", "hands", "Pell", "step", lift)
                        .get("refused"))
                .asString()
                .matches("(Not yet: it still soaks.*|Pell has something in hand already.*)");
        assertThat(press("NOT_YET")).isTrue();
        assertThat(press("CLEAR")).isTrue();
        assertThat(live())
                .as("hands that were free have it in hand now, and it soaks no longer")
                .contains("Roll the edge and lift off")
                .contains("Nothing soaks.")
                .doesNotContain("it still soaks");
    }

    @Test
    void onePressSentTwiceCountsOnceAndCanBeTakenBack() throws Exception {
        lead.post(at + "/begin");
        Matcher begin = BUTTON.matcher(live());
        assertThat(begin.find()).isTrue();
        for (int k = 0; k < 2; k++) {
            assertThat(lead.post(
                            at + "/press",
                            "press",
                            begin.group(1),
                            "type",
                            "START",
                            "hands",
                            begin.group(3),
                            "step",
                            begin.group(4)))
                    .doesNotContainKey("refused");
        }
        assertThat(live()).contains("Done");
        lead.post(at + "/press", "press", "undo once", "type", "UNDO", "hands", begin.group(3));
        assertThat(live()).doesNotContain("Done<");
        assertThat(lead.post(at + "/press", "press", "undo twice", "type", "UNDO", "hands", begin.group(3))
                        .get("refused"))
                .asString()
                .contains("nothing to take back");
    }

    /** Out of the middle of a run: the run ends, only what was laid comes off. */
    @Test
    void anEmergencyEndsTheRunAndTakesOffWhatIsOn() throws Exception {
        seats.begin(job.id(), "ines");
        assertThat(lead.post(at + "/begin", "urgent", "true").get("refused"))
                .asString()
                .contains("Nothing has been laid yet");
        assertThat(runs.open(job.id())).as("the run goes on").isPresent();
        Job fresh = DemoJobs.like("Sprue", "comes off fast", jobs);
        var run = seats.begin(fresh.id(), "ines");
        var plan = standings.planned(run);
        var first = plan.schedule().placed().stream()
                .filter(p ->
                        plan.step(p.task()).material().map(m -> m.isLayer()).orElse(false))
                .findFirst()
                .orElseThrow();
        for (var p : plan.schedule().placed()) {
            if (p.start() > first.start() || p.worker() == null) {
                continue;
            }
            String by = p.worker();
            if (standings.of(run).state().runningBy(by).isEmpty()) {
                reports.take(
                        fresh.id(),
                        new RunEvent.Start(new Stamp("s-" + p.task(), runs.now(run), by), p.task()),
                        "ines");
            }
            reports.take(
                    fresh.id(), new RunEvent.Finish(new Stamp("f-" + p.task(), runs.now(run), by), p.task()), "ines");
        }
        assertThat(lead.get("/jobs/" + fresh.id() + "/chair/off"))
                .contains("It comes off now, with clocks")
                .doesNotContain("Nothing has been laid yet");
        lead.post("/jobs/" + fresh.id() + "/strike/begin", "urgent", "true");
        assertThat(runs.open(fresh.id())).isEmpty();
        assertThat(lead.get("/jobs/" + fresh.id() + "/strike/live")).contains("Mouth, nose and eyes first");
    }

    /** Skin reacts under a glue that is only half laid: it is put down, and it comes off. */
    @Test
    void whatWasBegunWhenSkinReactedIsOnTheSkinToo() throws Exception {
        var run = seats.begin(job.id(), "ines");
        var plan = standings.planned(run);
        for (var p : plan.schedule().placed()) {
            String by = String.valueOf(p.worker());
            if (standings.of(run).state().runningBy(by).isEmpty()) {
                reports.take(
                        job.id(), new RunEvent.Start(new Stamp("s-" + p.task(), runs.now(run), by), p.task()), "ines");
            }
            if (plan.step(p.task())
                    .material()
                    .map(m -> m.kind().equals("adhesive"))
                    .orElse(false)) {
                break;
            }
            reports.take(
                    job.id(), new RunEvent.Finish(new Stamp("f-" + p.task(), runs.now(run), by), p.task()), "ines");
        }
        reports.take(job.id(), new RunEvent.Reaction(new Stamp("burns-0001", runs.now(run), "Pell"), "burns"), "ines");
        assertThat(lead.get("/jobs/" + job.id() + "/chair/off")).contains("Flood water-borne acrylic adhesive");
    }

    /** What was seen tonight is said before the same glue goes there again; broken skin keeps everybody out of the chair. */
    @Test
    void whatIsSeenOfTheSkinIsSaidOnTheNextJob() throws Exception {
        assertThat(lead.post(at + "/skin", "skin", "RED").get("change"))
                .asString()
                .contains("Press the places first");
        lead.post(at + "/skin", "skin", "RED", "zones", "chin", "note", "red at the edge");
        String safety = "/jobs/" + job.id() + "/safety";
        assertThat(lead.get(safety)).contains("Skin was red at the chin");
        lead.post(at + "/skin", "skin", "FINE");
        assertThat(lead.get(safety)).contains("Skin was red at the chin");
        lead.post(at + "/skin", "skin", "BROKEN", "zones", "chin");
        assertThat(lead.get(safety)).contains("One thing blocks");
        lead.post(at + "/skin", "skin", "FINE", "zones", "chin");
        assertThat(lead.get(safety)).contains("Nothing blocks").doesNotContain("Skin was red");
        assertThat(lead.get("/people/" + jobs.get(job.id()).performer().id())).contains("red at the edge");
    }

    /** Beginning, taking it back and beginning again are three presses, whatever anybody is called. */
    @Test
    void whatWasTakenBackIsBegunAgain() throws Exception {
        lead.post(at + "/begin");
        for (int k = 0; k < 3; k++) {
            assertThat(press("START")).isTrue();
            assertThat(live()).contains("value=\"UNDO\"");
            assertThat(press("UNDO")).isTrue();
        }
        assertThat(press("START")).isTrue();
        assertThat(press("FINISH")).isTrue();
    }

    @Test
    void namesWithLettersOfAnyLanguageAndPiecesOnBothArmsPress() throws Exception {
        jobs.change(job.id(), j -> {
            j.setLook(new Look(List.of(new LookEntry(
                    "arms", "foam-piece", List.of("forearm-left", "forearm-right", "upper-arm-left"), 0))));
            j.describe(j.title(), "", "", j.brief().with(List.of(called(j, 0, "Zoë"), called(j, 0, "Joe \"Sticks\""))));
        });
        lead.post(at + "/begin");
        int presses = 0;
        for (int k = 0; k < 12 && lead.answer(at + "/live").getStatus() == 200; k++) {
            clock.pass(Duration.ofMinutes(3));
            presses += press("FINISH") || press("START") ? 1 : 0;
        }
        assertThat(presses).isGreaterThan(3);
    }

    private static app.kemdro.core.look.Brief.Hands called(Job job, int like, String name) {
        var hands = job.brief().crew().get(like);
        return new app.kemdro.core.look.Brief.Hands(name, hands.skill(), hands.from(), hands.until());
    }
}
