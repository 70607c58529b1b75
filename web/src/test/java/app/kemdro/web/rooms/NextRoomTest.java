package app.kemdro.web.rooms;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.doReturn;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.run.Runs;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.context.bean.override.mockito.MockitoSpyBean;
import org.springframework.test.web.servlet.assertj.MockMvcTester;

/** In a house in which nobody has seen a run through, each room says which comes next; in any other it does not. */
@DemoTest
class NextRoomTest {
    @Autowired
    private MockMvcTester mvc;

    @Autowired
    private Jobs jobs;

    @MockitoSpyBean
    private Runs runs;

    private Document room(String room) throws Exception {
        long job = DemoJobs.called("Orrin Vask", jobs).id();
        return Jsoup.parse(mvc.get()
                .uri("/jobs/" + job + "/" + room)
                .with(user("ines").roles("LEAD"))
                .exchange()
                .getResponse()
                .getContentAsString());
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
        doReturn(false).when(runs).wereSeenThrough();
        assertThat(room(room).select(".next a").attr("href")).endsWith("/" + next);
        doReturn(true).when(runs).wereSeenThrough();
        assertThat(room(room).select(".next")).isEmpty();
    }
}
