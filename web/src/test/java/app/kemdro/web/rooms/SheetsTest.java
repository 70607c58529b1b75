package app.kemdro.web.rooms;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.web.AsLead;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.paint.KeptRecipes;
import java.io.IOException;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MockMvcTester;

/** What is printed says what the rooms say. */
@DemoTest
class SheetsTest {
    @Autowired
    private MockMvcTester mvc;

    @Autowired
    private Jobs jobs;

    @Autowired
    private KeptRecipes recipes;

    private String text(String path) throws IOException {
        var answer = new AsLead(mvc).answer(path);
        assertThat(answer.getContentType()).as(path).startsWith("application/pdf");
        try (var document = Loader.loadPDF(answer.getContentAsByteArray())) {
            return new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
        }
    }

    @Test
    void lookBenchAndColourArePrinted() throws IOException {
        Job founder = DemoJobs.called("Orrin Vask", jobs);
        String at = "/jobs/" + founder.id();
        String look = text(at + "/look.pdf");
        assertThat(look)
                .contains("Orrin Vask", "Tomas Brandvik", "Foam latex piece", "patch tests and local codes come first");
        assertThat(text(at + "/bench.pdf")).contains("On the bench for Orrin Vask", "What is made");
        String colour = text(at + "/colour.pdf");
        assertThat(recipes.of(founder.id()))
                .isNotEmpty()
                .allSatisfy(r -> assertThat(colour).contains(r.name()));
    }

    /** A job with nothing in it yet is printed too, and says so. */
    @Test
    void nothingYetIsSaid() throws IOException {
        Job empty = DemoJobs.like("Sprue", "Nothing printed yet", jobs);
        jobs.change(empty.id(), j -> j.setLook(new app.kemdro.core.look.Look(java.util.List.of())));
        assertThat(text("/jobs/" + empty.id() + "/look.pdf")).contains("Nothing is done yet.");
        assertThat(text("/jobs/" + empty.id() + "/bench.pdf")).contains("Nothing has to be made.");
    }
}
