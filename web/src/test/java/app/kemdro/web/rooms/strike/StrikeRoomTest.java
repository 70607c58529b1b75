package app.kemdro.web.rooms.strike;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.look.Look;
import app.kemdro.web.AsLead;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import java.nio.charset.StandardCharsets;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.assertj.MockMvcTester;

@DemoTest
class StrikeRoomTest {
    @Autowired
    private Jobs jobs;

    @Autowired
    private MockMvcTester mvc;

    private MockHttpServletResponse get(String path) {
        return new AsLead(mvc).answer(path);
    }

    @Test
    void theFounderComesOffStepByStepWithRemoversAndSoaking() throws Exception {
        String page = get("/jobs/2/strike").getContentAsString(StandardCharsets.UTF_8);
        assertThat(page)
                .contains("It comes off in ")
                .contains("is booked for 2 h 45 before the call")
                .contains("Flood water-borne acrylic adhesive with adhesive remover for acrylics")
                .contains("soaks 4 min")
                .contains("latex bald cap")
                .contains("look at the skin")
                .doesNotContain("Nothing known takes this off");
    }

    @Test
    void theSheetIsOneSideOfPaper() throws Exception {
        try (var document = Loader.loadPDF(get("/jobs/2/strike.pdf").getContentAsByteArray())) {
            assertThat(document.getNumberOfPages()).isEqualTo(1);
            assertThat(new PDFTextStripper().getText(document)).contains("How Orrin Vask comes off", "soaks");
        }
    }

    @Test
    void aLookThatIsNoneYetSaysWhatToDo() throws Exception {
        Job job = DemoJobs.like("Sprue", "none", jobs);
        jobs.change(job.id(), j -> j.setLook(Look.EMPTY));
        assertThat(get("/jobs/" + job.id() + "/strike").getContentAsString(StandardCharsets.UTF_8))
                .contains("No plan yet", "Press a zone");
        assertThat(get("/jobs/" + job.id() + "/strike.pdf").getStatus()).isEqualTo(303);
    }
}
