package app.kemdro.web.rooms;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.web.AsLead;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.run.Runs;
import java.io.IOException;
import java.nio.file.Files;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.util.AopTestUtils;
import org.springframework.test.util.ReflectionTestUtils;
import org.springframework.test.web.servlet.assertj.MockMvcTester;

/** In a house in which nobody has seen a run through, each room says which comes next; in any other it does not. */
@SpringBootTest
@AutoConfigureMockMvc
class NextRoomTest {
    @Autowired
    private MockMvcTester mvc;

    @Autowired
    private Jobs jobs;

    @Autowired
    private Runs runs;

    @DynamicPropertySource
    static void empty(DynamicPropertyRegistry registry) throws IOException {
        String folder = Files.createTempDirectory("kemdro-next").toString();
        registry.add("kemdro.home", () -> folder);
    }

    /** A house of its own: no run was ever held in it. That one was is what it remembers, and does not ask again. */
    private void seenThrough(boolean is) {
        Object kept = AopTestUtils.getUltimateTargetObject(runs);
        ReflectionTestUtils.setField(kept, "seenThrough", is);
    }

    private Document room(String room) throws Exception {
        AsLead lead = new AsLead(mvc);
        if (jobs.isEmpty()) {
            lead.post("/jobs/sample");
        }
        Job job = jobs.satFor(jobs.sitting().get(0).performer()).get(0);
        return Jsoup.parse(lead.get("/jobs/" + job.id() + "/" + room));
    }

    @ParameterizedTest
    @CsvSource({
        "brief, look",
        "look, colour",
        "colour, order",
        "order, bench",
        "bench, kit",
        "kit, safety",
        "safety, chair",
        "strike, book"
    })
    void eachRoomLeadsToTheNext(String room, String next) throws Exception {
        seenThrough(false);
        assertThat(room(room).select(".next a").attr("href")).endsWith("/" + next);
        seenThrough(true);
        assertThat(room(room).select(".next")).isEmpty();
    }
}
