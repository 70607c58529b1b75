package app.kemdro.web.rooms;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.records.forgetting.Forgetting;
import app.kemdro.web.records.habit.Habits;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.paint.KeptRecipes;
import app.kemdro.web.records.paint.Swatch;
import app.kemdro.web.records.paint.Swatches;
import app.kemdro.web.records.performer.Performers;
import app.kemdro.web.records.usual.UsualHouses;
import jakarta.servlet.http.Cookie;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.function.Supplier;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.FormElement;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.springframework.util.LinkedMultiValueMap;
import org.springframework.util.MultiValueMap;

/** Every room that changes something offers to take it back, in words, and what is kept is then as it was. */
@DemoTest
class TakeBackTest {
    private Cookie session = new Cookie("SESSION", "none");

    @Autowired
    private MockMvcTester mvc;

    @Autowired
    private Jobs jobs;

    @Autowired
    private Swatches swatches;

    @Autowired
    private KeptRecipes recipes;

    @Autowired
    private Performers performers;

    @Autowired
    private Forgetting forgetting;

    @Autowired
    private UsualHouses houses;

    @Autowired
    private Habits habits;

    private void send(String path, Map<String, String> fields) {
        send(path, MultiValueMap.fromSingleValue(fields));
    }

    private void send(String path, MultiValueMap<String, String> fields) {
        MvcTestResult answer = mvc.post()
                .uri(path)
                .cookie(session)
                .with(csrf())
                .with(user("ines").roles("LEAD"))
                .params(fields)
                .exchange();
        assertThat(answer).hasStatus(302);
        keep(answer);
    }

    /** The session goes with its cookie, as in a browser. */
    private void keep(MvcTestResult answer) {
        Cookie given = answer.getResponse().getCookie("SESSION");
        session = given == null ? session : given;
    }

    private Document page(String path) throws Exception {
        MvcTestResult answer = mvc.get()
                .uri(path)
                .cookie(session)
                .with(user("ines").roles("LEAD"))
                .exchange();
        keep(answer);
        return Jsoup.parse(answer.getResponse().getContentAsString(StandardCharsets.UTF_8), "http://localhost" + path);
    }

    private static MultiValueMap<String, String> fields(Element form) {
        MultiValueMap<String, String> sent = new LinkedMultiValueMap<>();
        // a pressed radio button without a value sends none; Jsoup would say "on"
        ((FormElement) form).formData().forEach(f -> sent.add(f.key(), f.value().equals("on") ? "" : f.value()));
        return sent;
    }

    private Element offer(String path) throws Exception {
        return page(path).selectFirst("form.putback");
    }

    /** Sends a form as it stands with one field changed, presses what is offered, and once more: each time it is as it was then. */
    private void thereAndBack(String path, String form, String field, String value, String says, Supplier<Object> kept)
            throws Exception {
        Object before = kept.get();
        Element opened = page(path).selectFirst(form);
        MultiValueMap<String, String> sent = fields(opened);
        sent.set(field, value);
        send(opened.attr("action"), sent);
        Object changed = kept.get();
        assertThat(changed).isNotEqualTo(before);
        press(path, says);
        assertThat(kept.get()).isEqualTo(before);
        press(path, "Take back: ");
        assertThat(kept.get()).isEqualTo(changed);
        press(path, says);
        assertThat(kept.get()).isEqualTo(before);
    }

    private void press(String path, String says) throws Exception {
        Element offer = offer(path);
        assertThat(offer).as("what " + path + " offers").isNotNull();
        assertThat(offer.text()).startsWith(says);
        send(offer.attr("action"), fields(offer));
    }

    private Job own(String called) {
        return DemoJobs.like("Orrin Vask", called, jobs);
    }

    @Test
    void brief() throws Exception {
        Job job = own("Taken back in the brief");
        String at = "/jobs/" + job.id() + "/brief";
        String form = "form:has([name=callHour])";
        thereAndBack(
                at,
                form,
                "temperature",
                "25",
                "Take back: Temperature to 21 °C",
                () -> jobs.get(job.id()).brief());
        thereAndBack(
                at,
                form,
                "callHour",
                "8am",
                "Take back: Call to 07:45",
                () -> jobs.get(job.id()).brief());
        thereAndBack(
                at,
                form,
                "head",
                "",
                "Take back: Head size to 57 cm",
                () -> jobs.get(job.id()).brief());
    }

    @Test
    void benchAndCare() throws Exception {
        Job job = own("Taken back in three rooms");
        thereAndBack(
                "/jobs/" + job.id() + "/bench",
                "form:has([name=from])",
                "from",
                "11:00",
                "Take back: ",
                () -> jobs.get(job.id()).benchHours());
        thereAndBack(
                "/jobs/" + job.id() + "/safety",
                "form:has([name=lensHours])",
                "lensHours",
                "3",
                "Take back: Lenses fitted for, hours to ",
                () -> jobs.get(job.id()).performer().care());
    }

    @Test
    void usualHouseAndUnits() throws Exception {
        Job job = own("Keeps its brief as usual");
        send("/jobs/" + job.id() + "/brief/usual", Map.of());
        thereAndBack("/house/usual", "form.usual", "humidity", "60", "Take back: Humidity", houses::now);
        send("/house/units", Map.of());
        thereAndBack(
                "/house/units", ".units form", "hours", "H12", "Take back: as I had it", () -> habits.chosen("ines"));
    }

    @Test
    void whatIsRemovedComesBack() throws Exception {
        Job job = own("Taken out and put in");
        String safety = "/jobs/" + job.id() + "/safety";
        send(safety + "/reactions/remove", Map.of("reaction", "resin-gum"));
        assertThat(jobs.get(job.id()).performer().facts().reactsTo()).isEmpty();
        press(safety, "Take back: a reaction taken out");
        assertThat(jobs.get(job.id()).performer().facts().reactsTo()).containsExactly("resin-gum");

        send(safety + "/tests", Map.of("family", "liquid-latex", "put", "2026-11-20T18:00", "result", "CLEAR"));
        var tests = jobs.get(job.id()).performer().care().tests();
        send(safety + "/tests/remove", Map.of("family", "liquid-latex", "put", "2026-11-20T18:00"));
        assertThat(jobs.get(job.id()).performer().care().tests()).isNotEqualTo(tests);
        press(safety, "Take back: a patch test taken out");
        assertThat(jobs.get(job.id()).performer().care().tests()).isEqualTo(tests);

        Swatch paint = swatches.all().get(0);
        send("/jobs/" + job.id() + "/colour/recipes", Map.of("name", "Old bronze", "mix", paint.id() + ":3"));
        var kept = recipes.of(job.id()).get(0);
        send("/jobs/" + job.id() + "/colour/recipes/" + kept.id() + "/remove", Map.of());
        assertThat(recipes.of(job.id())).isEmpty();
        press("/jobs/" + job.id() + "/colour", "Take back: recipe “Old bronze” removed");
        assertThat(recipes.of(job.id()).get(0).parts()).isEqualTo(kept.parts());

        var values = paint.values();
        send("/house/paints/" + paint.id() + "/remove", Map.of());
        press("/house/paints", "Take back: “" + paint.name() + "” off the table");
        assertThat(swatches.named(paint.name()).orElseThrow().values().white().l())
                .isCloseTo(values.white().l(), org.assertj.core.api.Assertions.within(0.01));
    }

    @Test
    void anotherSchoolInKit() throws Exception {
        Job job = own("Done otherwise in the kit");
        Element way = null;
        for (Element jar : page("/jobs/" + job.id() + "/kit?days=60").select("a[href*=without]")) {
            way = page(jar.attr("href")).selectFirst("form[action$=/instead]");
            if (way != null) {
                break;
            }
        }
        assertThat(way).as("another way").isNotNull();
        var look = job.look();
        send(way.attr("action"), fields(way));
        assertThat(jobs.get(job.id()).look()).isNotEqualTo(look);
        press("/jobs/" + job.id() + "/kit", "Take back: as before, “");
        assertThat(jobs.get(job.id()).look()).isEqualTo(look);
    }

    /** What was offered before somebody was forgotten would bring them back. */
    @Test
    void nothingThatWasForgottenComesBack() throws Exception {
        Job job = own("Forgotten with all of it");
        String safety = "/jobs/" + job.id() + "/safety";
        send(safety + "/reactions/remove", Map.of("reaction", "resin-gum"));
        assertThat(offer(safety)).isNotNull();
        forgetting.health(performers.get(job.performer().id()));
        assertThat(offer(safety)).isNull();
    }

    /** Another's change is not mine to take back. */
    @Test
    void itIsOfferedToWhoeverChangedIt() throws Exception {
        Job job = own("Changed by one of two");
        String safety = "/jobs/" + job.id() + "/safety";
        send(safety + "/reactions/remove", Map.of("reaction", "resin-gum"));
        assertThat(mvc.get()
                        .uri(safety)
                        .with(user("other").roles("LEAD"))
                        .exchange()
                        .getResponse()
                        .getContentAsString(StandardCharsets.UTF_8))
                .doesNotContain("putback");
    }
}
