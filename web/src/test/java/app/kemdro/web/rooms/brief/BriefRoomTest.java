package app.kemdro.web.rooms.brief;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.records.job.Jobs;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.test.web.servlet.assertj.MvcTestResult;

@DemoTest
class BriefRoomTest {
    @Autowired
    private MockMvcTester mvc;

    @Autowired
    private Jobs jobs;

    private static Map<String, String> good() {
        Map<String, String> form = new LinkedHashMap<>();
        form.put("title", "Ash Warden");
        form.put("performer", "Lio Marsh");
        form.put("callDay", "2026-12-05");
        form.put("callHour", "09:00");
        form.put("temperature", "22");
        form.put("humidity", "45");
        form.put("dryers", "1");
        form.put("costumeMinutes", "0");
        form.put("crew[0].name", "Ines");
        form.put("crew[0].skill", "LEAD");
        return form;
    }

    private MvcTestResult send(String path, Map<String, String> form) {
        var request = mvc.post().uri(path).with(csrf()).with(user("ines").roles("LEAD"));
        form.forEach(request::param);
        return request.exchange();
    }

    @Test
    void threeThingsAreEnoughForANewHead() {
        assertThat(send("/jobs/new", good())).hasStatus(302);
        assertThat(DemoJobs.all(jobs)).anyMatch(j -> j.title().equals("Ash Warden"));
    }

    @ParameterizedTest
    @CsvSource({
        "title, '', Say who the character is",
        "performer, '', Say who is in the chair",
        "callHour, 25:99, Set the call as a day and an hour",
        "callDay, -999999999-01-01, Set the call",
        "callDay, 1999-12-31, Set the call",
        "callDay, 2200-01-01, Set the call",
        "callHour, <script>, Set the call as a day and an hour",
        "chairIn, early, is no hour",
        "chairIn, 09:30, is not before the call",
        "humidity, 0, Humidity of 0 %",
        "humidity, 900, Humidity of 900 %",
        "humidity, wet, 'Humidity needs a number, such as 45'",
        "temperature, 1e300, 'Temperature needs a number, such as 17'",
        "head, 560, outside 45 to 70",
        "crew[0].name, '', no hands",
        "crew[0].skill, TRAINEE, Nobody on the crew leads",
        "costumeMinutes, -5, Costume takes 0 to 240"
    })
    void whatCannotBeMeantIsSaidAndWhatWasTypedStays(String field, String typed, String says) {
        Map<String, String> form = good();
        form.put("title", field.equals("title") ? typed : "Kept As Typed");
        form.put(field, typed);
        int before = DemoJobs.all(jobs).size();
        assertThat(send("/jobs/new", form))
                .hasStatus(200)
                .bodyText()
                .contains(says)
                .contains(field.equals("title") ? "Lio Marsh" : "Kept As Typed")
                .doesNotContain("<script>\"");
        assertThat(DemoJobs.all(jobs)).hasSize(before);
    }

    /** What is wrong is not folded away. */
    @ParameterizedTest
    @CsvSource({
        "humidity, 0, The room",
        "humidity, wet, The room",
        "head, 560, Who sits",
        "lastsHours, ever, The character",
        "chairIn, early, When",
        "breakEvery, 1000, Rest",
        "crew[0].name, '', Whose hands"
    })
    void thePartInWhichSomethingIsWrongIsOpen(String field, String typed, String part) throws Exception {
        Map<String, String> form = good();
        form.put(field, typed);
        String page = send("/jobs/new", form).getResponse().getContentAsString();
        assertThat(Jsoup.parse(page).select("details.b-part[open] summary b").eachText())
                .containsExactly(part);
    }

    @Test
    void crewHoursThatEndTooEarlyAreNamedOnTheWayToTheOrder() {
        Map<String, String> form = good();
        form.put("crew[0].until", "05:30");
        form.put("chairIn", "05:00");
        String at = String.valueOf(send("/jobs/new", form).getResponse().getRedirectedUrl())
                .replace("/look", "");
        var add =
                mvc.post().uri(at + "/look/add").with(csrf()).with(user("ines").roles("LEAD"));
        assertThat(
                        add.param("technique", "base-cream")
                                .param(
                                        "zones",
                                        "nose,cheek-left,cheek-right,forehead,chin,throat,nape,chest,shoulder-left,shoulder-right,upper-back"))
                .hasStatus(302);
        assertThat(mvc.get().uri(at + "/order").with(user("ines").roles("LEAD")))
                .bodyText()
                .contains("hours are too short")
                .contains("Let somebody stay longer");
    }
}
