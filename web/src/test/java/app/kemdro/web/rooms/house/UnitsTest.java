package app.kemdro.web.rooms.house;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.records.account.Account.Role;
import app.kemdro.web.records.account.Accounts;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.FormElement;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import org.springframework.util.LinkedMultiValueMap;
import org.springframework.util.MultiValueMap;

/** Somebody called yard reads inches, ounces, °F, am and pm; nobody else does. */
@DemoTest
class UnitsTest {
    private static final Map<String, String> OTHER = Map.of(
            "length", "INCH",
            "weight", "OUNCE",
            "warmth", "FAHRENHEIT",
            "hours", "H12",
            "dates", "MONTH_FIRST",
            "week", "SUNDAY",
            "paper", "LETTER");

    @Autowired
    private MockMvcTester mvc;

    @Autowired
    private Jobs jobs;

    @Autowired
    private Accounts accounts;

    @BeforeEach
    void chooses() {
        if (!accounts.isThere("yard")) {
            accounts.add("yard", "Yard", "counts in feet", Role.LEAD);
        }
        assertThat(send("yard", "LEAD", "/house/units", OTHER).getStatus()).isEqualTo(302);
    }

    @AfterEach
    void asItWas() {
        send("yard", "LEAD", "/house/units", Map.of());
        send("yard", "LEAD", "/house/units/house", Map.of("sign", "€", "perEuro", "1"));
    }

    private MockHttpServletResponse send(String name, String role, String path, Map<String, String> form) {
        return send(name, role, path, MultiValueMap.fromSingleValue(form));
    }

    private MockHttpServletResponse send(String name, String role, String path, MultiValueMap<String, String> form) {
        return mvc.post()
                .uri(path)
                .with(csrf())
                .with(user(name).roles(role))
                .params(form)
                .exchange()
                .getResponse();
    }

    private MockHttpServletResponse get(String name, String path) {
        return mvc.get().uri(path).with(user(name).roles("LEAD")).exchange().getResponse();
    }

    private Document page(String name, String path) throws Exception {
        return Jsoup.parse(get(name, path).getContentAsString(StandardCharsets.UTF_8));
    }

    private Job founder() {
        return DemoJobs.called("Orrin Vask", jobs);
    }

    /** Every field of the brief's form as a browser would send it. */
    private static MultiValueMap<String, String> asShown(Document page) {
        MultiValueMap<String, String> sent = new LinkedMultiValueMap<>();
        FormElement form = (FormElement) page.selectFirst("form:has(input[name=callHour])");
        form.formData().forEach(f -> sent.add(f.key(), f.value()));
        return sent;
    }

    @Test
    void everyPageIsReadByTheHabitOfWhoeverReads() throws Exception {
        String at = "/jobs/" + founder().id();
        String mine = page("yard", at + "/brief").text();
        assertThat(mine).contains("Head 22.4 in, 6 ft 0 in tall, 185 lb", "70 °F, 45 %", "Chair-in 5:00 am");
        String theirs = page("ines", at + "/brief").text();
        assertThat(theirs).contains("Head 57 cm, 183 cm tall, 84 kg", "21 °C, 45 %", "Chair-in 05:00");
        for (String room :
                new String[] {"look", "order", "kit", "bench", "safety", "chair", "strike", "colour", "book"}) {
            assertThat(page("yard", at + "/" + room).text())
                    .as(room)
                    .doesNotContainPattern("\\d °C|\\d (cm|mm|g|ml)\\b(?!/)|\\b\\d\\d:\\d\\d\\b(?! [ap]m)");
        }
    }

    /** What nobody touched is not changed by being shown in other units, on any day and any hour. */
    @Test
    void aFormSentBackAsItWasShownChangesNothing() throws Exception {
        Job before = DemoJobs.like("Orrin Vask", "Sent back as shown", jobs);
        Document page = page("yard", "/jobs/" + before.id() + "/brief");
        assertThat(page.selectFirst("input[name=callHour]").val()).isEqualTo("7:45 am");
        assertThat(page.selectFirst("input[name=temperature]").val()).isEqualTo("69.8");
        assertThat(page.selectFirst("input[name=head]").val()).isEqualTo("22.44");
        assertThat(send("yard", "LEAD", "/jobs/" + before.id() + "/brief", asShown(page))
                        .getStatus())
                .isEqualTo(302);
        assertThat(jobs.get(before.id()).brief()).isEqualTo(before.brief());
    }

    @Test
    void whatIsTypedIsUnderstoodInTheUnitItWasShownIn() throws Exception {
        Job before = DemoJobs.like("Orrin Vask", "Measured anew", jobs);
        String at = "/jobs/" + before.id() + "/brief";
        MultiValueMap<String, String> sent = asShown(page("yard", at));
        sent.set("temperature", "77");
        sent.set("height", "6'1\"");
        sent.set("weight", "84 kg");
        sent.set("callHour", "8am");
        sent.set("callDay", "12/5/2026");
        // the habit has changed meanwhile: the form still says how it was shown
        send("yard", "LEAD", "/house/units", Map.of());
        send("yard", "LEAD", at, sent);
        var brief = jobs.get(before.id()).brief();
        assertThat(brief.room().temperatureC()).isEqualTo(25);
        assertThat(brief.performer().heightCm()).isEqualTo(185);
        assertThat(brief.performer().weightKg()).isEqualTo(84);
        assertThat(brief.call()).isEqualTo("2026-12-05T08:00");
    }

    @Test
    void whatCannotBeMeantStaysAsItWasTyped() throws Exception {
        String at =
                "/jobs/" + DemoJobs.like("Orrin Vask", "Typed in vain", jobs).id() + "/brief";
        MultiValueMap<String, String> sent = asShown(page("yard", at));
        sent.set("temperature", "warm");
        sent.set("head", "60");
        Document answer = Jsoup.parse(send("yard", "LEAD", at, sent).getContentAsString(StandardCharsets.UTF_8));
        assertThat(answer.selectFirst("input[name=temperature]").val()).isEqualTo("warm");
        assertThat(answer.selectFirst("input[name=head]").val()).isEqualTo("60");
        sent.set("temperature", "69.8");
        Document refused = Jsoup.parse(send("yard", "LEAD", at, sent).getContentAsString(StandardCharsets.UTF_8));
        assertThat(refused.select(".problems").text()).contains("A head of 60 in round is outside 17.7 to 27.6 in.");
    }

    @Test
    void sheetsAreOfTheirPaperAndFilesOfNobodys() throws Exception {
        String at = "/jobs/" + founder().id();
        try (PDDocument mine = pdf("yard", at + "/order.pdf");
                PDDocument theirs = pdf("ines", at + "/order.pdf")) {
            assertThat(mine.getPage(0).getMediaBox().getHeight()).isEqualTo(11 * 72f);
            assertThat(theirs.getPage(0).getMediaBox().getHeight()).isBetween(841f, 843f);
            assertThat(new PDFTextStripper().getText(mine)).contains("5:00 am").doesNotContain("°C");
            assertThat(new PDFTextStripper().getText(theirs)).contains("05:00");
        }
        for (String file : new String[] {"/export.json", "/steps.csv", "/kit.csv", "/days.ics"}) {
            assertThat(get("yard", at + file)
                            .getContentAsString(StandardCharsets.UTF_8)
                            .replaceAll("DTSTAMP.*", ""))
                    .as(file)
                    .isEqualTo(get("ines", at + file)
                            .getContentAsString(StandardCharsets.UTF_8)
                            .replaceAll("DTSTAMP.*", ""));
        }
    }

    private PDDocument pdf(String name, String path) throws IOException {
        return Loader.loadPDF(get(name, path).getContentAsByteArray());
    }

    @Test
    void theHousesIsForWhoeverChoseNothing() throws Exception {
        send("yard", "LEAD", "/house/units", Map.of("warmth", "CELSIUS"));
        Map<String, String> house = new LinkedHashMap<>(OTHER);
        house.put("sign", "kr");
        house.put("perEuro", "11,5");
        assertThat(send("ines", "LEAD", "/house/units/house", house).getStatus())
                .isEqualTo(302);
        String at = "/jobs/" + founder().id() + "/brief";
        assertThat(page("yard", at).text()).contains("21 °C", "Head 22.4 in");
        assertThat(page("ines", at).text()).contains("70 °F", "Head 22.4 in");
        assertThat(mvc.get().uri("/sign-in").exchange().getResponse().getContentAsString())
                .contains("data-hours=\"h12\"");
        assertThat(page("ines", "/jobs/" + founder().id() + "/kit").text())
                .contains("about kr ")
                .doesNotContain("€");
    }

    /** What is pushed to a screen that stands open is said by the habit of whoever opened it. */
    @Test
    void whatIsPushedIsReadByTheHabitOfTheScreen() throws Exception {
        Job job = DemoJobs.ofInesOnly("Watched by yard", jobs);
        send("yard", "LEAD", "/jobs/" + job.id() + "/chair/begin", Map.of());
        var mine = stream("yard", job);
        var theirs = stream("ines", job);
        await().atMost(Duration.ofMinutes(2))
                .untilAsserted(() -> assertThat(mine.getContentAsString(StandardCharsets.UTF_8))
                        .contains("70 °F")
                        .doesNotContain("°C"));
        await().atMost(Duration.ofMinutes(2))
                .untilAsserted(() -> assertThat(theirs.getContentAsString(StandardCharsets.UTF_8))
                        .contains("21 °C")
                        .doesNotContain("°F"));
    }

    private MockHttpServletResponse stream(String name, Job job) {
        return mvc.get()
                .uri("/jobs/" + job.id() + "/chair/stream")
                .with(user(name).roles("LEAD"))
                .asyncExchange()
                .getResponse();
    }

    @Test
    void onlyALeadChoosesForTheHouse() {
        assertThat(send("pell", "HANDS", "/house/units", Map.of()).getStatus()).isEqualTo(302);
        assertThat(send("floor", "FLOOR", "/house/units", Map.of()).getStatus()).isEqualTo(302);
        assertThat(send("pell", "HANDS", "/house/units/house", Map.of("sign", "€", "perEuro", "1"))
                        .getStatus())
                .isEqualTo(403);
        assertThat(mvc.perform(MockMvcRequestBuilders.get("/house/units")
                        .with(user("floor").roles("FLOOR"))))
                .hasStatusOk();
    }

    @Test
    void moneyThatIsNoneIsRefusedAndWhatWasTypedStays() throws Exception {
        MockHttpServletResponse answer =
                send("yard", "LEAD", "/house/units/house", Map.of("sign", "<b>", "perEuro", "much"));
        Element room =
                Jsoup.parse(answer.getContentAsString(StandardCharsets.UTF_8)).selectFirst("#room");
        assertThat(room.select("[role=alert]").text()).contains("1 to 4 letters or signs");
        assertThat(room.selectFirst("[name=sign]").val()).isEqualTo("<b>");
        assertThat(room.selectFirst("[name=perEuro]").val()).isEqualTo("much");
    }
}
