package app.kemdro.web.rooms.safety;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.safety.HealthRecord.Result;
import app.kemdro.web.AsLead;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.Plans;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MockMvcTester;

@DemoTest
class SafetyRoomTest {
    @Autowired
    private Jobs jobs;

    @Autowired
    private MockMvcTester mvc;

    @Autowired
    private Plans plans;

    @Autowired
    private Clock clock;

    private static int made;

    private AsLead lead;
    private Job job;
    private String at;

    @BeforeEach
    void aJobWithFormsAtNoseAndMouth() {
        lead = new AsLead(mvc);
        job = DemoJobs.like("Sprue", "safe " + ++made, jobs);
        jobs.change(
                job.id(),
                j -> j.setLook(new Look(List.of(
                        new LookEntry("nose", "foam-piece", List.of("nose"), 0),
                        new LookEntry("lip", "foam-piece", List.of("upper-lip"), 0)))));
        at = "/jobs/" + job.id() + "/safety";
    }

    @Test
    void aBlockKeepsEverybodyOutOfTheChairUntilALeadLiftsItWithAReason() throws Exception {
        assertThat(lead.get(at)).contains("One thing blocks").contains("Forms lie at nose and mouth both");
        String chair = "/jobs/" + job.id() + "/chair/begin";
        assertThat(lead.post(chair).get("refused"))
                .asString()
                .contains("Nobody begins yet")
                .contains("nose and mouth");
        assertThat(lead.post(at + "/lift", "key", "airways", "reason", "ok").get("change"))
                .asString()
                .contains("8 to 400 letters");
        lead.post(at + "/lift", "key", "airways", "reason", "Both nostrils and the lips stay open, tried on.");
        assertThat(lead.get(at)).contains("Nothing blocks").contains("Lifted by ines");
        assertThat(lead.post(chair)).doesNotContainKey("refused");
    }

    @Test
    void whatNobodyMayLiftIsNotLifted() throws Exception {
        lead.post(at, "minor", "true");
        assertThat(lead.get(at)).contains("no guardian has agreed");
        assertThat(lead.post(at + "/lift", "key", "minor", "reason", "The uncle said that it is fine.")
                        .get("change"))
                .asString()
                .contains("cannot be lifted by anybody");
        lead.post(at, "minor", "true", "guardian", "true", "lensHours", "6");
        assertThat(lead.get(at)).doesNotContain("no guardian has agreed");
        assertThat(jobs.get(job.id()).performer().care().lensHours()).isEqualTo(6);
        assertThat(lead.post(at, "lensHours", "90").get("change")).asString().contains("Nothing was changed");
    }

    @Test
    void patchTestsAreWrittenDownAndTakenOut() throws Exception {
        assertThat(lead.get(at))
                .contains("No patch test of water-borne acrylic adhesive")
                .contains(
                        "/kit?without=acrylic-adhesive\" aria-label=\"What instead of water-borne acrylic adhesive\">what instead");
        lead.post(at + "/tests", "family", "acrylic-adhesive", "put", "2026-01-05T18:00", "result", "CLEAR");
        assertThat(lead.get(at)).doesNotContain("No patch test of water-borne acrylic adhesive");
        assertThat(lead.post(at + "/tests", "family", "acrylic-adhesive", "put", "yesterday", "result", "CLEAR")
                        .get("change"))
                .asString()
                .contains("'yesterday' is no day and hour");
        assertThat(lead.post(at + "/tests", "family", "moonlight", "put", "2026-01-05T18:00", "result", "CLEAR")
                        .get("change"))
                .asString()
                .contains("nothing that is patch-tested");
        lead.post(at + "/tests", "family", "adhesive-remover", "put", "2026-01-05T18:00", "result", "CLEAR");
        // whoever presses on a page that is older than the last change takes out the test that stood there, and no
        // other
        lead.post(at + "/tests/remove", "family", "acrylic-adhesive", "put", "2026-01-05T18:00");
        assertThat(lead.post(at + "/tests/remove", "family", "acrylic-adhesive", "put", "2026-01-05T18:00")
                        .get("change"))
                .asString()
                .contains("not there any more");
        assertThat(jobs.get(job.id()).performer().care().tests())
                .singleElement()
                .satisfies(t -> assertThat(t.family()).isEqualTo("adhesive-remover"));
    }

    /** Each material that this look brings near has its row, whatever else there is; one press puts a test on, another reads it. */
    @Test
    void testsStandInOneTableAndArePressed() throws Exception {
        String page = lead.get(at);
        // read afresh: what the steps of the plan lay and the strike floods with, of the kinds that the data says are
        // tested
        List<String> kinds =
                DataNode.resource("/trade/safety.yaml").get("patch-test").words("kinds");
        Set<String> near = plans.of(jobs.get(job.id())).plan().orElseThrow().steps().stream()
                .flatMap(s -> s.material().stream())
                .filter(m -> kinds.contains(m.kind()) && m.pricePer100g() > 0)
                .map(m -> m.name())
                .collect(Collectors.toSet());
        assertThat(near).isNotEmpty();
        String table = page.substring(page.indexOf("id=\"tests\""), page.indexOf("</table>"));
        assertThat(near).allSatisfy(name -> assertThat(table).contains(">" + name + "</span>"));

        assertThat(lead.post(at + "/tests", "family", "acrylic-adhesive", "result", "OPEN")
                        .get("change"))
                .isEqualTo("The patch test is written down.");
        var put = jobs.get(job.id()).performer().care().tests().stream()
                .filter(t -> t.family().equals("acrylic-adhesive"))
                .filter(t -> t.result() == Result.OPEN)
                .findFirst()
                .orElseThrow()
                .put();
        assertThat(put).isCloseTo(LocalDateTime.now(clock), within(2, ChronoUnit.MINUTES));
        assertThat(lead.get(at)).contains("reacted: water-borne acrylic adhesive");
        lead.post(at + "/tests", "family", "acrylic-adhesive", "put", put.toString(), "result", "REACTED");
        assertThat(jobs.get(job.id()).performer().care().tests())
                .filteredOn(t -> t.put().equals(put))
                .singleElement()
                .satisfies(t -> assertThat(t.result()).isEqualTo(Result.REACTED));
        assertThat(lead.get(at)).contains("Skin reacted to the patch test of water-borne acrylic adhesive");
    }

    @Test
    void theSheetToSignIsOneSideOfPaper() throws Exception {
        try (var document = Loader.loadPDF(lead.answer("/jobs/2/safety.pdf").getContentAsByteArray())) {
            assertThat(document.getNumberOfPages()).isEqualTo(1);
            assertThat(new PDFTextStripper().getText(document))
                    .contains("Before Tomas Brandvik sits down", "Reacts to resin gum", "I may stop at any time");
        }
    }

    /** Health is for leads and hands; it is in no file and on no other page, and only a lead writes it. */
    @Test
    void healthStaysWithThoseWhoWorkOnTheJob() throws Exception {
        lead.post(at, "panics", "true", "lensHours", "3");
        assertThat(lead.get("/jobs/" + job.id() + "/export.json"))
                .doesNotContain("panics")
                .doesNotContain("lensHours");
        assertThat(mvc.get().uri(at).with(user("desk").roles("FLOOR"))).hasStatus(403);
        assertThat(mvc.post().uri(at).with(csrf()).with(user("pell").roles("HANDS")))
                .hasStatus(403);
        assertThat(mvc.get().uri(at).with(user("pell").roles("HANDS"))).hasStatus(200);
    }
}
