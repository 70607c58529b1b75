package app.kemdro.web.rooms.chair;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.Stamp;
import app.kemdro.core.run.StepState.Status;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.TestClock;
import app.kemdro.web.TestPictures;
import app.kemdro.web.parts.sensor.Reading;
import app.kemdro.web.parts.sensor.RoomSensor;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.run.Reports;
import app.kemdro.web.records.run.RoomWatch;
import app.kemdro.web.records.run.RunNow;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.run.Seats;
import app.kemdro.web.records.run.Standings;
import app.kemdro.web.records.run.Told;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.assertj.MockMvcTester;

/** The chair's addresses, as devices use them. */
@DemoTest
class LiveTest {
    private static final byte[] PNG = TestPictures.png(4, 3);

    @Autowired
    private Standings standings;

    @Autowired
    private Seats seats;

    @Autowired
    private Runs runs;

    @Autowired
    private Jobs jobs;

    @Autowired
    private TestClock clock;

    @Autowired
    private Reports reports;

    @Autowired
    private MockMvcTester mvc;

    private Job job;
    private int pressed;

    @BeforeEach
    void seat() {
        clock.pass(Duration.ofMinutes(1));
        job = DemoJobs.like("Orrin Vask", "In the chair", jobs);
        seats.begin(job.id(), "ines");
    }

    private record Said(int status, String body) {}

    private Said press(String device, String type, String step, String hands, String text, int seconds, long ago)
            throws Exception {
        String body =
                "{\"id\":\"live-%06d\",\"device\":\"%s\",\"type\":\"%s\",\"step\":\"%s\",\"hands\":\"%s\",\"text\":\"%s\",\"seconds\":%d,\"ago\":%d}"
                        .formatted(pressed++, device, type, step, hands, text, seconds, ago);
        var response = mvc.post()
                .uri("/jobs/" + job.id() + "/chair/events")
                .contentType(MediaType.APPLICATION_JSON)
                .content(body)
                .with(csrf())
                .with(user("ines").roles("LEAD"))
                .exchange()
                .getResponse();
        return new Said(response.getStatus(), response.getContentAsString());
    }

    private Said press(String type, String step, String hands, String text) throws Exception {
        return press("tablet", type, step, hands, text, 0, 0);
    }

    private String get(String path) throws Exception {
        return mvc.get()
                .uri("/jobs/" + job.id() + "/chair/" + path)
                .with(user("ines").roles("LEAD"))
                .exchange()
                .getResponse()
                .getContentAsString();
    }

    private RunNow now() {
        return standings.of(runs.open(job.id()).orElseThrow());
    }

    private ScheduledTask next(String hands) {
        RunNow s = now();
        return s.schedule().placed().stream()
                .filter(p ->
                        hands.equals(p.worker()) && s.state().step(p.task()).status() == Status.WAITING)
                .findFirst()
                .orElseThrow();
    }

    /** Carries out the plan for so long. */
    private void carryOut(Duration time) {
        LocalDateTime end = LocalDateTime.now(clock).plus(time);
        while (LocalDateTime.now(clock).isBefore(end)) {
            RunNow s = now();
            LocalDateTime at = runs.now(s.run());
            for (var worker : s.plan().network().workers()) {
                RunNow then = now();
                var running = then.state().runningBy(worker.id());
                if (running.isPresent()
                        && !then.plan()
                                .clock(then.schedule().of(running.get()).end())
                                .isAfter(at)) {
                    report(at, worker.id(), "FINISH", running.get());
                } else if (running.isEmpty()) {
                    then.schedule().placed().stream()
                            .filter(p -> worker.id().equals(p.worker()))
                            .filter(p -> then.state().step(p.task()).status() == Status.WAITING)
                            .findFirst()
                            .filter(p -> !then.plan().clock(p.start()).isAfter(at))
                            .ifPresent(p -> report(at, worker.id(), "START", p.task()));
                }
            }
            clock.pass(Duration.ofSeconds(20));
        }
    }

    private void report(LocalDateTime at, String hands, String type, String step) {
        reports.take(job.id(), Told.event(new Stamp("carry-" + pressed++, at, hands), type, step, 0, ""), "ines");
    }

    @Test
    void aPressKeptOnACutOffScreenCountsWhenItWasPressed() throws Exception {
        ScheduledTask first = next("Ines");
        LocalDateTime began = runs.now(now().run());
        clock.pass(Duration.ofMinutes(10));
        assertThat(press("tablet", "START", first.task(), "Ines", "", 0, 600_000)
                        .status())
                .isEqualTo(200);
        assertThat(press("tablet", "FINISH", first.task(), "Ines", "", 0, 420_000)
                        .status())
                .isEqualTo(200);
        assertThat(now().state().step(first.task()).started()).isEqualTo(began);
        assertThat(now().state().step(first.task()).ended()).isEqualTo(began.plusMinutes(3));
    }

    @Test
    void aKeptPressThatCanNoLongerBeIsSaidToEverybody() throws Exception {
        ScheduledTask first = next("Ines");
        press("START", first.task(), "Ines", "");
        press("FINISH", first.task(), "Ines", "");
        clock.pass(Duration.ofMinutes(5));
        assertThat(press("tablet", "FINISH", first.task(), "Ines", "", 0, 240_000)
                        .status())
                .isEqualTo(409);
        assertThat(now().state().notes())
                .filteredOn(RunEvent.Note.class::isInstance)
                .extracting(n -> ((RunEvent.Note) n).text())
                .anyMatch(text -> text.contains("left aside") && text.contains("not under way"));
    }

    /** Two devices may call their presses alike; each hears of its own run, and of no other. */
    @Test
    void aPressOfTheSameNameElsewhereIsAnsweredOfItsOwnRun() throws Exception {
        Job own = job;
        String here = "\"steps\":" + now().plan().steps().size() + "}";
        assertThat(press("NOTE", "", "Ines", "seen here").body()).contains(here);
        pressed--;
        job = DemoJobs.like("Sprue", "In another chair", jobs);
        seats.begin(job.id(), "ines");
        String there = "\"steps\":" + now().plan().steps().size() + "}";
        assertThat(there).isNotEqualTo(here);
        assertThat(press("NOTE", "", "Pell", "seen there").body()).contains(there);
        pressed--;
        job = own;
        assertThat(press("NOTE", "", "Ines", "seen here").body())
                .as("sent once more, because the answer was lost")
                .contains(here);
    }

    @Test
    void oneScreenDrivesEachPairOfHandsAndHandsThemOverInOnePress() throws Exception {
        ScheduledTask first = next("Pell");
        assertThat(press("tablet", "START", first.task(), "Pell", "", 0, 0).status())
                .isEqualTo(200);
        Said refused = press("phone", "FINISH", first.task(), "Pell", "", 0, 0);
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.body()).contains("driven on another screen");
        assertThat(press("phone", "DRIVE", "", "Pell", "phone", 0, 0).status()).isEqualTo(200);
        assertThat(press("phone", "FINISH", first.task(), "Pell", "", 0, 0).status())
                .isEqualTo(200);
    }

    @Test
    void troubleBringsItsRepairIntoTheOrderAndSaysSo() throws Exception {
        carryOut(Duration.ofMinutes(40));
        String troubles = get("troubles");
        Matcher lifted = Pattern.compile("\"id\":\"lifted-edge\".*?\"step\":\"([^\"]+)\"")
                .matcher(troubles);
        assertThat(lifted.find()).as(troubles).isTrue();
        int steps = now().plan().steps().size();
        Said said = press("TROUBLE", lifted.group(1), "Ines", "lifted-edge");
        assertThat(said.status()).isEqualTo(200);
        assertThat(said.body()).contains("comes in at");
        assertThat(now().plan().steps()).hasSize(steps + 4);
        press("UNDO", "", "Ines", "");
        assertThat(now().plan().steps()).hasSize(steps);
        assertThat(press("TROUBLE", lifted.group(1), "Ines", "popped-brow").body())
                .contains("does not happen to");
    }

    @Test
    void leversComeWhenTheCallIsInDangerAndArePulledByWhatTheySay() throws Exception {
        ScheduledTask first = next("Ines");
        press("START", first.task(), "Ines", "");
        press("tablet", "ADD", first.task(), "Ines", "", 3600, 0);
        int late = now().schedule().ready();
        String helps = get("levers");
        assertThat(helps).contains("\"says\"").contains("\"acts\"");
        Matcher drop =
                Pattern.compile("\"type\":\"DROP\",\"step\":\"([^\"]+)\"").matcher(helps);
        if (drop.find()) {
            assertThat(press("DROP", drop.group(1), "Ines", "no time").status()).isEqualTo(200);
            assertThat(now().schedule().ready()).isLessThan(late);
        }
        assertThat(press("JOIN", "", "Marit", "LEAD").status()).isEqualTo(200);
        assertThat(now().schedule().ready()).isLessThan(late);
        assertThat(press("DROP", first.task().substring(0, 4), "Ines", "").status())
                .isEqualTo(409);
    }

    @Test
    void whatCannotBeIsRefusedWithWords() throws Exception {
        assertThat(press("JOIN", "", "", "LEAD").body()).contains("Say who joins");
        assertThat(press("NOTE", "", "x".repeat(41), "seen").body()).contains("up to 40 letters");
        assertThat(press("JOIN", "", "Nils", "BOSS").body()).contains("Say one of LEAD, ASSISTANT, TRAINEE");
        assertThat(press("JOIN", "", "Ines", "LEAD").body()).contains("here already");
        assertThat(press("LEAVE", "", "Nobody", "").body()).contains("is not here");
        assertThat(press("ROOM", "", "", "hot").body()).contains("could not be read");
        assertThat(press("ROOM", "", "", "80;45;1").body()).contains("no room to work in");
        assertThat(press("REDO", next("Ines").task(), "Ines", "").body()).contains("Only what is done");
        assertThat(press("REACTION", "", "Ines", "").body()).contains("Say in a word");
        assertThat(press("tablet", "AWAY", "", "", "", 5, 0).body()).contains("a minute to two hours");
        press("LEAVE", "", "Pell", "");
        assertThat(press("LEAVE", "", "Ines", "").body()).contains("never left alone");
    }

    /** Who came last and is alone now does not vanish by taking their coming back. */
    @Test
    void thePerformerIsNotLeftAloneByTakingBackEither() throws Exception {
        press("JOIN", "", "Mara", "LEAD");
        press("LEAVE", "", "Pell", "");
        press("LEAVE", "", "Ines", "");
        assertThat(press("UNDO", "", "Mara", "").body()).contains("never left alone");
        press("JOIN", "", "Pell", "LEAD");
        assertThat(press("UNDO", "", "Mara", "").status()).isEqualTo(200);
    }

    @Test
    void theDryerIsTurnedOnAFilmAndTheClockMoves() throws Exception {
        Matcher film = null;
        for (int k = 0; k < 60 && (film == null || !film.find()); k++) {
            carryOut(Duration.ofMinutes(1));
            film = Pattern.compile(
                            "\"step\":\"([^\"]+)\",\"where\":\"[^\"]*\",\"material\":\"[^\"]*\",\"state\":\"wet\"[^}]*\"dryer\":true")
                    .matcher(get("state"));
        }
        String step = film.group(1);
        assertThat(press("DRYER", step, "Ines", "").body()).contains("\"blown\":true");
        assertThat(press("DRYER", step, "Ines", "").body()).doesNotContain("\"blown\":true");
        assertThat(press("DRYER", next("Ines").task(), "Ines", "").body()).contains("is drying");
    }

    /** Whatever is left out, the chair goes on and every screen is drawn. */
    @Test
    void anyStepCanBeLeftOut() throws Exception {
        for (int k = 0; k < 40; k++) {
            RunNow s = now();
            var next = s.schedule().placed().stream()
                    .filter(p -> s.state().step(p.task()).status() == Status.WAITING)
                    .findFirst();
            if (next.isEmpty()) {
                break;
            }
            assertThat(press("SKIP", next.get().task(), "Ines", "not needed").status())
                    .as(next.get().task())
                    .isEqualTo(200);
        }
        assertThat(get("state")).contains("\"ready\"");
    }

    @Test
    void aReactionStopsEverythingAndIsKept() throws Exception {
        ScheduledTask first = next("Ines");
        press("START", first.task(), "Ines", "");
        String view = press("REACTION", "", "Ines", "left cheek burns").body();
        assertThat(view).contains("\"pauseWhy\":\"reaction\"");
        assertThat(now().state().step(first.task()).status()).isEqualTo(Status.WAITING);
        assertThat(press("START", first.task(), "Ines", "").body()).contains("End it first");
        assertThat(get("off")).contains("Mouth, nose and eyes first");
    }

    @Test
    void theRoomIsTakenOverWhenItIsAnotherOne() throws Exception {
        double before = now().plan().network().tasks().stream()
                .mapToInt(t -> t.modes().get(0).settled())
                .sum();
        assertThat(press("ROOM", "", "", "26.0;80;1").status()).isEqualTo(200);
        assertThat(now().plan().network().tasks().stream()
                        .mapToInt(t -> t.modes().get(0).settled())
                        .sum())
                .isGreaterThan((int) (before * 1.15));
        assertThat(get("state")).contains("26 °C, 80 %");
    }

    @Test
    void theSensorIsFollowedWhenTheRoomChangesAndNotBefore() {
        RoomSensor sensor = mock(RoomSensor.class);
        RoomWatch watch = new RoomWatch(sensor, runs, standings, reports, jobs);
        var counted = now().plan().brief().room();
        when(sensor.now())
                .thenReturn(Optional.of(
                        new Reading(clock.instant(), counted.temperatureC() + 1, counted.humidityPercent() - 4)));
        watch.look();
        assertThat(now().plan().brief().room()).isEqualTo(counted);
        when(sensor.now()).thenReturn(Optional.of(new Reading(clock.instant(), 26.1, 80.4)));
        watch.look();
        assertThat(now().plan().brief().room())
                .as("nobody said that it is done where the sensor is")
                .isEqualTo(counted);
        jobs.change(job.id(), j -> j.atSensor(true));
        watch.look();
        watch.look();
        watch.destroy();
        assertThat(now().plan().brief().room().humidityPercent()).isEqualTo(80);
        assertThat(now().state().events())
                .filteredOn(RunEvent.Room.class::isInstance)
                .hasSize(1);
    }

    @Test
    void picturesAreKeptAndOnlyPicturesAre() throws Exception {
        assertThat(picture("picture-1", PNG)).isEqualTo(200);
        assertThat(mvc.get()
                        .uri("/jobs/" + job.id() + "/chair/pictures/picture-1")
                        .with(user("pell").roles("HANDS")))
                .hasStatus(200)
                .hasContentType(MediaType.IMAGE_JPEG);
        assertThat(mvc.get()
                        .uri("/jobs/1/chair/pictures/picture-1")
                        .with(user("pell").roles("HANDS")))
                .as("another job's picture is not shown")
                .hasStatus(404);
        assertThat(picture("picture-2", "<script>".getBytes(java.nio.charset.StandardCharsets.UTF_8)))
                .isEqualTo(409);
    }

    private int picture(String id, byte[] bytes) {
        return mvc.post()
                .uri("/jobs/" + job.id() + "/chair/pictures")
                .multipart()
                .file(new MockMultipartFile("image", "p.png", "image/png", bytes))
                .param("id", id)
                .with(csrf())
                .with(user("ines").roles("LEAD"))
                .exchange()
                .getResponse()
                .getStatus();
    }

    /** The floor sees when and how sure, behind a secret that can be taken back, and nothing of who or of health. */
    @Test
    void theBoardSaysWhenAndNothingElse() throws Exception {
        mvc.post()
                .uri("/jobs/" + job.id() + "/floor")
                .with(csrf())
                .with(user("ines").roles("LEAD"))
                .exchange();
        String room = mvc.get()
                .uri("/jobs/" + job.id() + "/floor")
                .with(user("ines").roles("LEAD"))
                .exchange()
                .getResponse()
                .getContentAsString();
        Matcher secret = Pattern.compile("/board/([0-9a-f]{32})").matcher(room);
        assertThat(secret.find()).isTrue();
        String board = mvc.get()
                .uri("/board/" + secret.group(1))
                .exchange()
                .getResponse()
                .getContentAsString();
        String who = job.brief().performer().name();
        assertThat(board)
                .contains("O. " + who.charAt(3) + ".")
                .contains("\"ready\"")
                .contains("\"ofTen\"");
        assertThat(board)
                .doesNotContain(who)
                .doesNotContain("Orrin")
                .doesNotContain("resin")
                .doesNotContain("Ines")
                .doesNotContain("cap");
        mvc.post()
                .uri("/jobs/" + job.id() + "/floor/revoke")
                .param("secret", secret.group(1))
                .with(csrf())
                .with(user("ines").roles("LEAD"))
                .exchange();
        assertThat(mvc.get().uri("/board/" + secret.group(1)))
                .bodyText()
                .contains("This address is closed")
                .doesNotContain("\"ready\"");
        assertThat(mvc.get().uri("/board/" + secret.group(1) + "/stream")).hasStatus(410);
    }

    /** Late work moves ready with the clock, whether or not anybody presses. */
    @Test
    void readyMovesWhileNobodyPresses() throws Exception {
        ScheduledTask first = next("Ines");
        press("START", first.task(), "Ines", "");
        long before = readyAt();
        clock.pass(Duration.ofMinutes(90));
        long after = readyAt();
        assertThat(after - before).isGreaterThan(60 * 60_000);
        clock.pass(Duration.ofMinutes(10));
        assertThat(readyAt() - after).isBetween(9 * 60_000L, 11 * 60_000L);
    }

    private long readyAt() throws Exception {
        Matcher ready = Pattern.compile("\"ready\":(\\d+)").matcher(get("state"));
        assertThat(ready.find()).isTrue();
        return Long.parseLong(ready.group(1));
    }

    /** A step whose earlier step is not done is begun only by whoever says that it is meant. */
    @Test
    void beginningAgainstTheOrderIsAskedBack() throws Exception {
        RunNow s = now();
        String late = s.plan().network().lags().stream()
                .filter(l -> l.to().startsWith("crust-nose/press"))
                .findFirst()
                .orElseThrow()
                .to();
        Said asked = press("START", late, "Ines", "");
        assertThat(asked.status()).isEqualTo(409);
        assertThat(asked.body()).contains("\"ask\":true");
        assertThat(now().state().step(late).status()).isEqualTo(Status.WAITING);
        assertThat(press("START", late, "Ines", "sure").status()).isEqualTo(200);
        assertThat(now().state().step(late).status()).isEqualTo(Status.RUNNING);
    }

    /** One curious press locks nothing: a run that has hardly begun is ended like any other, and the job begins again. */
    @Test
    void aRunEndsAtAnyMomentAndTheJobCanBeginAgain() throws Exception {
        ScheduledTask first = next("Ines");
        press("START", first.task(), "Ines", "");
        assertThat(press("END", "", "Ines", "").status()).isEqualTo(200);
        assertThat(runs.open(job.id())).isEmpty();
        seats.begin(job.id(), "ines");
        assertThat(runs.open(job.id())).isPresent();
    }

    /** Whoever reports trouble and takes back what came before it can still end the run. */
    @Test
    void troubleTakenBackStepByStepLeavesARunThatEnds() throws Exception {
        carryOut(Duration.ofMinutes(40));
        Matcher any = Pattern.compile("\"id\":\"([a-z-]+)\"[^\\]]*?\"step\":\"([^\"]+)\"")
                .matcher(get("troubles"));
        assertThat(any.find()).isTrue();
        assertThat(press("TROUBLE", any.group(2), "Pell", any.group(1)).status())
                .isEqualTo(200);
        for (int k = 0; k < 6; k++) {
            assertThat(press("UNDO", "", "Ines", "").status()).isIn(200, 409);
        }
        assertThat(press("JOIN", "", "Marit", "LEAD").status()).isEqualTo(200);
        assertThat(press("ROOM", "", "", "24.0;50;1").status()).isEqualTo(200);
        assertThat(press("END", "", "Ines", "").status()).isEqualTo(200);
    }

    /** What was lived through must be readable afterwards, whatever was left out. */
    @Test
    void theContinuitySheetOfARunThatLeftOutAStepIsAPdf() throws Exception {
        carryOut(Duration.ofMinutes(20));
        press("SKIP", next("Ines").task(), "Ines", "not needed");
        press("END", "", "Ines", "");
        var sheet = mvc.get()
                .uri("/jobs/" + job.id() + "/continuity.pdf")
                .with(user("ines").roles("LEAD"))
                .exchange()
                .getResponse();
        assertThat(sheet.getStatus()).isEqualTo(200);
        assertThat(sheet.getContentType()).startsWith("application/pdf");
    }

    /** Rules of the house on what lies on the body: what is begun is not done another way. */
    @Test
    void whatLiesOnTheBodyIsNotChangedToAnotherSchool() throws Exception {
        ScheduledTask first = next("Ines");
        String entry = now().plan().step(first.task()).entryId();
        press("START", first.task(), "Ines", "");
        assertThat(press("SCHOOL", entry, "Ines", "cap-plastic").status()).isEqualTo(409);
        for (int minutes = 0; minutes < 60; minutes += 20) {
            assertThat(mvc.get()
                            .uri("/jobs/" + job.id() + "/chair/levers")
                            .with(user("ines").roles("LEAD")))
                    .hasStatus(200);
            carryOut(Duration.ofMinutes(20));
        }
    }
}
