package app.kemdro.web.rooms.shelf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.web.AsLead;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.TestPictures;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.jobfile.JobReader;
import app.kemdro.web.records.reference.References;
import app.kemdro.web.records.start.Starts;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MockMvcTester;

/** Several jobs at once, and looks that others begin with. */
@DemoTest
class SeveralTest {
    @Autowired
    private MockMvcTester mvc;

    @Autowired
    private Jobs jobs;

    @Autowired
    private JobReader reader;

    @Autowired
    private Starts starts;

    @Autowired
    private References references;

    private static int made;
    private AsLead lead;
    private Job one;
    private Job other;

    @BeforeEach
    void two() {
        lead = new AsLead(mvc);
        one = DemoJobs.ofInesOnly("One of several " + ++made, jobs);
        other = DemoJobs.like("Sprue", "Another of several " + made, jobs);
    }

    private Object press(String press, String days, Job... chosen) {
        List<String> parameters = new ArrayList<>(List.of("press", press, "days", days));
        for (Job job : chosen) {
            parameters.addAll(List.of("jobs", "" + job.id()));
        }
        return lead.post("/shelf/several", parameters.toArray(String[]::new)).get("change");
    }

    @Test
    void theyAreMovedTogether() {
        var call = one.brief().call();
        var hands = one.brief().crew().get(0).from();
        assertThat(press("MOVE", "3", one, other))
                .isEqualTo("Moved by 3 days: " + one.title() + ", " + other.title() + ".");
        assertThat(jobs.get(one.id()).brief().call()).isEqualTo(call.plusDays(3));
        assertThat(jobs.get(one.id()).brief().crew().get(0).from()).isEqualTo(hands.plusDays(3));
        assertThat(jobs.get(other.id()).brief().call())
                .isEqualTo(other.brief().call().plusDays(3));
        assertThat(press("MOVE", "−1", one)).isEqualTo("Moved by a day sooner: " + one.title() + ".");
        assertThat(jobs.get(one.id()).brief().call()).isEqualTo(call.plusDays(2));
    }

    @Test
    void whatCannotBeMeantMovesNothing() {
        for (String typed : List.of("soon", "", "0", "5000")) {
            assertThat(press("MOVE", typed, one)).asString().contains("Nothing was moved");
        }
        assertThat(jobs.get(one.id()).brief().call()).isEqualTo(one.brief().call());
        assertThat(press("MOVE", "1")).asString().contains("Choose jobs first");
    }

    @Test
    void theyComeAgainAndGoTogether() {
        press("AGAIN", "1", one, other);
        assertThat(DemoJobs.all(jobs).stream().filter(j -> j.title().equals(one.title())))
                .hasSize(2);
        press("ASIDE", "1", one, other);
        assertThat(jobs.get(one.id()).setAside()).isPresent();
        assertThat(jobs.get(other.id()).setAside()).isPresent();
    }

    /** Each file of the archive is a job that can be taken in again. */
    @Test
    void theyAreWrittenOutAsTheirFiles() throws Exception {
        byte[] zip = mvc.post()
                .uri("/shelf/several")
                .param("press", "EXPORT")
                .param("jobs", one.id() + "," + other.id())
                .with(csrf())
                .with(user("ines").roles("LEAD"))
                .exchange()
                .getResponse()
                .getContentAsByteArray();
        List<String> titles = new ArrayList<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            while (in.getNextEntry() != null) {
                titles.add(reader.read(new String(in.readAllBytes(), StandardCharsets.UTF_8))
                        .job()
                        .title());
            }
        }
        assertThat(titles).containsExactly(one.title(), other.title());
    }

    /** Kept on nobody, with its pictures; a new head begins with it, on whom and when it says itself. */
    @Test
    void aLookIsAStartForOthers() throws Exception {
        Job founder = DemoJobs.called("Orrin Vask", jobs);
        assertThat(lead.post("/jobs/" + founder.id() + "/starts", "name", "").get("change"))
                .asString()
                .contains("Nothing was kept");
        lead.post("/jobs/" + founder.id() + "/starts", "name", "Bronze crust");
        assertThat(lead.get("/jobs/new")).contains("Begin with a look of your own");
        Starts.Start kept = starts.all().stream()
                .filter(s -> s.name().equals("Bronze crust"))
                .findFirst()
                .orElseThrow();
        assertThat(kept.techniques()).isEqualTo(founder.look().entries().size());
        assertThat(starts.open(kept.id()).job().brief().performer().name()).isEqualTo("nobody");
        assertThat(lead.get("/jobs/starts")).contains("Bronze crust");
        assertThat(lead.get("/jobs/new?start=" + kept.id())).contains("name=\"start\" value=\"" + kept.id() + "\"");

        lead.post(
                "/jobs/new",
                "start",
                "" + kept.id(),
                "title",
                "Second founder",
                "performer",
                "Mo Trestle",
                "callDay",
                LocalDate.of(2026, 1, 9).toString(),
                "callHour",
                "8",
                "crew[0].name",
                "Ines Dorval",
                "crew[0].skill",
                "LEAD");
        Job second = DemoJobs.called("Second founder", jobs);
        assertThat(second.look().entries()).isEqualTo(founder.look().entries());
        assertThat(second.brief().performer().name()).isEqualTo("Mo Trestle");
        assertThat(references.of(second.id())).hasSameSizeAs(references.of(founder.id()));

        lead.post("/jobs/starts/" + kept.id() + "/aside");
        assertThat(starts.isEmpty()).isTrue();
        lead.post("/jobs/starts/" + kept.id() + "/back");
        assertThat(starts.isEmpty()).isFalse();
        references.add(second.id(), TestPictures.png(20, 20));
        assertThat(references.of(founder.id()))
                .hasSize(references.of(second.id()).size() - 1);
    }
}
