package app.kemdro.web.rooms.chair;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.StepState.Status;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.TestPictures;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.run.RunNow;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockMultipartFile;

/** The chair's addresses, as devices use them. */
class LiveTest extends Seated {
    private static final byte[] PNG = TestPictures.png(4, 3);

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
}
