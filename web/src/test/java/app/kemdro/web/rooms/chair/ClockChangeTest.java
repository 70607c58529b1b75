package app.kemdro.web.rooms.chair;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;

import app.kemdro.core.hour.Wall;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Hands;
import app.kemdro.core.look.Brief.Skill;
import app.kemdro.web.AsLead;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.TestClock;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.run.Reports;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.run.Seats;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;

/**
 * Nights whose clocks change, in two zones: Berlin 2027-03-28 and 2027-10-31 at 01:00 UTC, New York 2027-03-14 at 07:00 UTC. What is
 * said is compared with the calendar's own reckoning of zoned times, which shares nothing with the line of a job.
 */
@DemoTest
class ClockChangeTest {
    private static final DateTimeFormatter HOUR = DateTimeFormatter.ofPattern("HH:mm");

    private final ZoneId home = Wall.zone();
    private final ObjectMapper json = new ObjectMapper();

    @Autowired
    private Jobs jobs;

    @Autowired
    private TestClock clock;

    @Autowired
    private Seats seats;

    @Autowired
    private Runs runs;

    @Autowired
    private Reports reports;

    @Autowired
    private MockMvcTester mvc;

    @AfterEach
    void backHome() {
        Wall.zone(home);
        clock.set(LocalDateTime.of(2026, 12, 2, 19, 40));
    }

    private long jobCalled(LocalDateTime call) {
        Job job = DemoJobs.like("Sprue", "night of " + call + Wall.zone(), jobs);
        Brief brief = job.brief()
                .moved(Duration.between(job.brief().call(), call))
                .with(List.of(new Hands("Ines", Skill.LEAD, call.minusHours(14), call.plusHours(10))))
                .seated(call.minusMinutes(165));
        return jobs.change(job.id(), j -> j.describe(j.title(), j.production(), j.idea(), brief))
                .id();
    }

    private JsonNode ribbon(long job) throws Exception {
        Matcher data = Pattern.compile("id=\"ribbon-data\">(.*?)</script>", Pattern.DOTALL)
                .matcher(new AsLead(mvc).get("/jobs/" + job + "/order"));
        assertThat(data.find()).isTrue();
        return json.readTree(data.group(1));
    }

    @ParameterizedTest
    @CsvSource({
        "Europe/Berlin, 2027-03-28T04:00, '02:00 becomes 03:00'",
        "Europe/Berlin, 2027-10-31T04:00, '03:00 becomes 02:00'",
        "America/New_York, 2027-03-14T04:00, '02:00 becomes 03:00'",
        "America/New_York, 2027-11-07T03:30, '02:00 becomes 01:00'"
    })
    void theNightIsPlannedWithRealMinutesAndSaidAsTheWallSaysIt(String zone, LocalDateTime call, String says)
            throws Exception {
        Wall.zone(ZoneId.of(zone));
        JsonNode usual = ribbon(jobCalled(call.plusDays(3)));
        long id = jobCalled(call);
        JsonNode night = ribbon(id);
        // as many minutes as on any other day
        assertThat(night.get("call").asDouble()).isEqualTo(usual.get("call").asDouble());
        assertThat(night.get("ready").asDouble()).isEqualTo(usual.get("ready").asDouble());
        ZonedDateTime chairIn = call.atZone(ZoneId.of(zone))
                .minusSeconds(Math.round(night.get("call").asDouble() * 60));
        assertThat(night.get("chairIn").asText()).startsWith(HOUR.format(chairIn));
        assertThat(night.get("clock").asInt()).isEqualTo(chairIn.getHour() * 60 + chairIn.getMinute());
        assertThat(night.get("turn").get("by").asInt()).isIn(60, -60);
        assertThat(usual.get("turn").isNull()).isTrue();
        assertThat(new AsLead(mvc).get("/jobs/" + id + "/order")).contains(says);
        assertThat(night.get("chairIn").asText())
                .isNotEqualTo(usual.get("chairIn").asText());
    }

    /** Hours of steps and of the strip are said by two hands. */
    @Test
    void aHouseThatMovesSaysItsHoursAnew() throws Exception {
        Wall.zone(ZoneId.of("Europe/Berlin"));
        long id = jobCalled(LocalDateTime.of(2027, 3, 28, 4, 0));
        String before = firstStep(id);
        assertThat(ribbon(id).get("chairIn").asText()).startsWith(before);
        Wall.zone(ZoneId.of("America/New_York"));
        assertThat(firstStep(id)).isNotEqualTo(before);
        assertThat(ribbon(id).get("chairIn").asText()).startsWith(firstStep(id));
    }

    private String firstStep(long job) throws Exception {
        Document page = Jsoup.parse(new AsLead(mvc).get("/jobs/" + job + "/order"));
        return json.readTree(page.select("[data-order] script").html())
                .get("steps")
                .get(0)
                .get("clock")
                .asText();
    }

    private JsonNode view(long job) throws Exception {
        return json.readTree(new AsLead(mvc).get("/jobs/" + job + "/chair/state"))
                .get("view");
    }

    @Test
    void aRunAcrossItCountsRealMinutes() throws Exception {
        ZoneId berlin = ZoneId.of("Europe/Berlin");
        Wall.zone(berlin);
        LocalDateTime call = LocalDateTime.of(2027, 3, 28, 4, 0);
        long id = jobCalled(call);
        long minutes = Math.round(ribbon(id).get("call").asDouble());
        Instant chairIn = call.atZone(berlin).minusMinutes(minutes).toInstant();
        assertThat(chairIn).as("before the clocks change").isBefore(Instant.parse("2027-03-28T01:00:00Z"));
        clock.set(LocalDateTime.ofInstant(chairIn, berlin));
        seats.begin(id, "ines");
        clock.pass(Duration.ofMinutes(10));
        assertThat(clock.instant()).as("still before").isBefore(Instant.parse("2027-03-28T01:00:00Z"));
        JsonNode early = view(id);
        assertThat(early.get("now").asLong()).isEqualTo(clock.instant().toEpochMilli());
        assertThat(early.get("call").asLong() - early.get("now").asLong())
                .isEqualTo(Duration.ofMinutes(minutes - 10).toMillis());
        clock.pass(Duration.ofMinutes(minutes - 40));
        JsonNode view = view(id);
        assertThat(view.get("now").asLong()).isEqualTo(clock.instant().toEpochMilli());
        assertThat(view.get("call").asLong())
                .isEqualTo(call.atZone(berlin).toInstant().toEpochMilli());
        assertThat(view.get("call").asLong() - view.get("now").asLong())
                .isEqualTo(Duration.ofMinutes(30).toMillis());
        reports.end(runs.open(id).orElseThrow(), "end-of-night-" + id, "ines");
        String book = new AsLead(mvc).get("/jobs/" + id + "/book");
        assertThat(book).contains(HOUR.format(chairIn.atZone(berlin)));
    }

    /** A new job of this call, on which Ines works from that hour on. */
    private MvcTestResult send(String title, String day, String hour, String from) {
        var request = mvc.post().uri("/jobs/new").with(csrf()).with(user("ines").roles("LEAD"));
        Map.of("title", title, "performer", "Lio Marsh", "callDay", day, "callHour", hour)
                .forEach(request::param);
        return request.param("temperature", "22")
                .param("humidity", "45")
                .param("dryers", "1")
                .param("costumeMinutes", "0")
                .param("crew[0].name", "Ines")
                .param("crew[0].from", from)
                .param("crew[0].skill", "LEAD")
                .exchange();
    }

    @ParameterizedTest
    @CsvSource({
        "Europe/Berlin, 28 Mar 2027, 02:30, '02:30 does not come that night: the clocks go from 02:00 on to 03:00.'",
        "Europe/Berlin, 31 Oct 2027, 02:30, '02:30 comes twice that night: the clocks go from 03:00 back to 02:00.'",
        "America/New_York, 7 Nov 2027, 01:15, '01:15 comes twice that night: the clocks go from 02:00 back to 01:00.'",
        "Europe/Berlin, 28 Mar 2037, 09:00, 'Set the call at most five years back or ahead; 2037 is farther off.'",
        "Europe/Berlin, 28 Mar 2017, 09:00, 'Set the call at most five years back or ahead; 2017 is farther off.'"
    })
    void aCallThatCannotBeMeantIsAskedBack(String zone, String day, String hour, String says) {
        Wall.zone(ZoneId.of(zone));
        MvcTestResult sent = send("Night Owl", day, hour, "");
        assertThat(sent).hasStatus(200).bodyText().contains(says).contains("Night Owl");
        assertThat(DemoJobs.all(jobs)).noneMatch(j -> j.title().equals("Night Owl"));
    }

    /** From eight in the evening until chair-in at 23:25, two and three quarter hours of real time before ten past three. */
    @Test
    void howLongItIsUntilChairInIsRealTime() throws Exception {
        ZoneId berlin = ZoneId.of("Europe/Berlin");
        Wall.zone(berlin);
        LocalDateTime call = LocalDateTime.of(2027, 3, 28, 3, 10);
        clock.set(LocalDateTime.of(2027, 3, 27, 20, 0));
        jobCalled(call);
        Duration real = Duration.between(
                clock.instant(), call.atZone(berlin).minusMinutes(165).toInstant());
        assertThat(real).isEqualTo(Duration.ofMinutes(205));
        assertThat(new AsLead(mvc).get("/shelf")).contains("3 h 25 until the next chair-in.");
    }

    /** Nor does a call come into such an hour by another way: moved, begun again, read from a file of a job or of a calendar. */
    @Test
    void noWayLeadsIntoAnHourThatDoesNotComeOnce() throws Exception {
        Wall.zone(ZoneId.of("Europe/Berlin"));
        AsLead lead = new AsLead(mvc);
        LocalDateTime call = LocalDateTime.of(2027, 3, 27, 2, 30);
        clock.set(call.minusDays(3));
        long id = jobCalled(call);
        assertThat(lead.post("/shelf/several", "jobs", "" + id, "press", "MOVE", "days", "1")
                        .get("change")
                        .toString())
                .contains("02:30 does not come that night");
        assertThat(jobs.get(id).brief().call()).isEqualTo(call);
        lead.post("/jobs/" + id + "/again");
        assertThat(DemoJobs.all(jobs).stream()
                        .filter(j -> j.title().equals(jobs.get(id).title()) && j.id() != id)
                        .map(j -> j.brief().call()))
                .containsExactly(call.plusDays(2));
        String file = lead.get("/jobs/" + id + "/export.json").replace("2027-03-27T02:30", "2027-03-28T02:30");
        assertThat(mvc.perform(multipart("/import")
                        .file(new MockMultipartFile("file", file.getBytes(StandardCharsets.UTF_8)))
                        .with(csrf())
                        .with(user("ines").roles("LEAD"))))
                .bodyText()
                .contains("call: 02:30 does not come that night");
        String calendar =
                "BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nDTSTART:20270328T023000\r\nSUMMARY:Call\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n";
        MvcTestResult taken = mvc.perform(multipart("/jobs/" + id + "/brief/call")
                .file(new MockMultipartFile("file", calendar.getBytes(StandardCharsets.UTF_8)))
                .with(csrf())
                .with(user("ines").roles("LEAD")));
        assertThat(String.valueOf(taken.getMvcResult().getFlashMap().get("change")))
                .contains("02:30 does not come that night");
        assertThat(jobs.get(id).brief().call()).isEqualTo(call);
    }

    /** From eleven at night on the wall somebody works: that is eight hours before seven in winter, and seven before the clocks go on. */
    @ParameterizedTest
    @CsvSource({"28 Mar 2027, 7", "31 Oct 2027, 9", "4 Nov 2027, 8"})
    void hoursOfACrewAreThoseOfTheWall(String day, int hours) {
        Wall.zone(ZoneId.of("Europe/Berlin"));
        String title = "Shift of " + day;
        assertThat(send(title, day, "07:00", "23:00")).hasStatus(302);
        Job job = DemoJobs.called(title, jobs);
        assertThat(Duration.between(
                        job.brief().crew().get(0).from(), job.brief().call()))
                .isEqualTo(Duration.ofHours(hours));
    }
}
