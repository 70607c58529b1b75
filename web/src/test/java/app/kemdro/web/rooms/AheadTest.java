package app.kemdro.web.rooms;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.core.look.LookEntry;
import app.kemdro.core.plan.Planning;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.parts.ahead.Ahead;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.PlannedAhead;
import app.kemdro.web.records.plan.Plans;
import jakarta.servlet.http.Cookie;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.http.HttpMethod;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.session.Session;
import org.springframework.session.SessionRepository;
import org.springframework.test.context.event.ApplicationEvents;
import org.springframework.test.context.event.RecordApplicationEvents;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** What is worked out while somebody points at a button. */
@DemoTest
@RecordApplicationEvents
class AheadTest {
    private static final int ASKED = 204;

    @Autowired
    private MockMvcTester mvc;

    @Autowired
    private Jobs jobs;

    @Autowired
    private Plans plans;

    @Autowired
    private JdbcTemplate database;

    @Autowired
    private ApplicationEvents events;

    @Autowired
    private SessionRepository<?> sessions;

    @Autowired
    private RequestMappingHandlerMapping requestMappingHandlerMapping;

    private int send(String address, Map<String, String> fields, boolean ahead) {
        var request = mvc.post()
                .uri(URI.create(address))
                .with(csrf())
                .with(user("ines").roles("LEAD"));
        fields.forEach(request::param);
        if (ahead) {
            request.header(Ahead.HEADER, "1").header("X-Live", "1");
        }
        return request.exchange().getResponse().getStatus();
    }

    private List<Element> buttons(String page) throws Exception {
        String text = mvc.get()
                .uri(page)
                .with(user("ines").roles("LEAD"))
                .exchange()
                .getResponse()
                .getContentAsString();
        return Jsoup.parse(text).select("[data-ahead] form[method=post][data-live] button:not([disabled])");
    }

    private static Map<String, String> fields(Element button) {
        Map<String, String> fields = new TreeMap<>();
        Element form = button.closest("form");
        assertThat(form).isNotNull();
        form.select("input[name], select[name]").stream()
                .filter(f -> !f.attr("name").equals("_csrf"))
                .forEach(f -> fields.put(f.attr("name"), f.val()));
        if (button.hasAttr("name")) {
            fields.put(button.attr("name"), button.val());
        }
        return fields;
    }

    /** All that is kept, but for who is signed in, and what is read from jobs again by and by: their words and their lines on the shelf. */
    private Map<String, List<String>> everything() {
        Map<String, List<String>> all = new TreeMap<>();
        database
                .queryForList(
                        "SELECT TABLE_NAME FROM INFORMATION_SCHEMA.TABLES WHERE TABLE_SCHEMA = 'PUBLIC'", String.class)
                .stream()
                .filter(t -> !t.matches("(SPRING_SESSION|FIND_|SHELF_).*"))
                .forEach(t -> all.put(
                        t,
                        database.queryForList("SELECT * FROM \"" + t + "\"").stream()
                                .map(AheadTest::row)
                                .toList()));
        return all;
    }

    private static String row(Map<String, Object> row) {
        return row.entrySet().stream()
                .map(e -> e.getKey() + "="
                        + (e.getValue() instanceof byte[] bytes ? Arrays.hashCode(bytes) : e.getValue()))
                .toList()
                .toString();
    }

    private static Map<String, String> coats(Job job, int coats) {
        String base = job.look().entries().stream()
                .filter(e -> e.techniqueId().startsWith("base-"))
                .map(LookEntry::id)
                .findFirst()
                .orElseThrow();
        return Map.of("entry", base, "coats", "" + coats, "zones", "chin");
    }

    @Test
    void nothingIsKeptOfWhatIsOnlyWorkedOutAhead() throws Exception {
        Job job = DemoJobs.like("Orrin Vask", "Only pointed at", jobs);
        String at = "/jobs/" + job.id();
        // so that there is something to take back, and an order
        assertThat(send(at + "/look/coats", coats(job, 2), false)).isEqualTo(302);
        plans.of(jobs.get(job.id()));
        int asked = 0;
        for (String page : List.of("/look", "/look?zones=chin", "/order", "/book", "/book/times")) {
            List<Element> buttons = buttons(at + page);
            Map<String, List<String>> before = everything();
            for (Element button : buttons) {
                Element form = button.closest("form");
                assertThat(form).isNotNull();
                assertThat(send(form.attr("action"), fields(button), true))
                        .as(form.attr("action") + " " + fields(button))
                        .isEqualTo(ASKED);
                asked++;
            }
            assertThat(everything()).as(page).isEqualTo(before);
        }
        assertThat(asked).isGreaterThan(20);
        assertThat(events.stream(PlannedAhead.class)).hasSizeGreaterThan(10);
        // what would be refused says nothing yet
        assertThat(send(at + "/look/coats?zones=chin", Map.of(), true)).isEqualTo(ASKED);
        assertThat(send(at + "/look/back", Map.of("had", jobs.get(job.id()).meant()), true))
                .isEqualTo(ASKED);
        assertThat(jobs.get(job.id()).look().entries().stream().anyMatch(e -> e.coats() == 2))
                .isTrue();
    }

    @Test
    void aPressFindsWhatWasWorkedOutAndIsPlannedAsWithoutIt() {
        Job job = DemoJobs.like("Orrin Vask", "Pointed at, then pressed", jobs);
        Job twin = DemoJobs.like("Orrin Vask", "Pressed at once", jobs);
        String at = "/jobs/" + job.id() + "/look/coats";
        plans.of(job);
        plans.of(twin);
        assertThat(send(at, coats(job, 3), true)).isEqualTo(ASKED);
        assertThat(send(at, coats(job, 2), true)).isEqualTo(ASKED);
        List<PlannedAhead> ahead = events.stream(PlannedAhead.class).toList();
        assertThat(ahead).hasSize(2);
        assertThat(send(at, coats(job, 3), false)).isEqualTo(302);
        Plans.Answer pressed = plans.of(jobs.get(job.id()));
        assertThat(pressed).isSameAs(ahead.get(0).answer());
        assertThat(send("/jobs/" + twin.id() + "/look/coats", coats(twin, 3), false))
                .isEqualTo(302);
        Plans.Answer alone = plans.of(jobs.get(twin.id()));
        assertThat(pressed.plan().orElseThrow().schedule())
                .isEqualTo(alone.plan().orElseThrow().schedule());
        assertThat(pressed.look()).isEqualTo(alone.look());
    }

    /** Somebody who came anew. */
    private static <S extends Session> Cookie session(SessionRepository<S> sessions) {
        S made = sessions.createSession();
        sessions.save(made);
        return new Cookie(
                "SESSION", Base64.getEncoder().encodeToString(made.getId().getBytes(StandardCharsets.UTF_8)));
    }

    private static Map<String, String> brows(int coats) {
        return Map.of("entry", "brows-1", "coats", "" + coats, "zones", "brow-left");
    }

    /** What a script of this session is answered. */
    private MockHttpServletResponse live(
            Cookie session, HttpMethod how, String address, Map<String, String> fields, boolean ahead) {
        var request = mvc.method(how)
                .uri(URI.create(address))
                .cookie(session)
                .with(csrf())
                .with(user("ines").roles("LEAD"))
                .header("X-Live", "1");
        fields.forEach(request::param);
        if (ahead) {
            request.header(Ahead.HEADER, "1");
        }
        return request.exchange().getResponse();
    }

    /** All of an answer that is put into a page, but for what the last change did. */
    private static String parts(MockHttpServletResponse answer) throws Exception {
        Document page = Jsoup.parse(answer.getContentAsString(StandardCharsets.UTF_8));
        page.select("#sentence .change, #sentence > span, [data-settles]").remove();
        return String.join(
                        "\n",
                        page.select("header, .tape-part, #room, .next").stream()
                                .map(Element::outerHtml)
                                .toList())
                .replaceAll(">\\s+<", "><");
    }

    private MockHttpServletResponse anew(Cookie session, Job job) {
        return live(session, HttpMethod.GET, "/jobs/" + job.id() + "/look?zones=brow-left", Map.of(), false);
    }

    @Test
    void theRoomOfAPressThatWasPointedAtIsThereAndSaysWhatItSaysAnew() throws Exception {
        Job job = DemoJobs.like("Orrin Vask", "Written ahead", jobs);
        String at = "/jobs/" + job.id() + "/look/coats";
        Cookie session = session(sessions);
        plans.of(job);
        MockHttpServletResponse asked = live(session, HttpMethod.POST, at, brows(4), true);
        assertThat(asked.getStatus()).isEqualTo(ASKED);
        assertThat(asked.getContentAsString()).isEmpty();
        MockHttpServletResponse pressed = live(session, HttpMethod.POST, at, brows(4), false);
        assertThat(pressed.getHeader("Server-Timing")).isEqualTo("ahead");
        assertThat(pressed.getContentAsString(StandardCharsets.UTF_8)).contains("min in hand", "id=\"room\"");
        assertThat(jobs.get(job.id()).version()).isNotEqualTo(job.version());
        assertThat(parts(pressed)).isEqualTo(parts(anew(session, job)));
    }

    /** All but what wishes cost, which a room may say later. */
    private static String withoutCosts(MockHttpServletResponse answer) throws Exception {
        Document page = Jsoup.parse(parts(answer));
        page.select(".wishlist").removeAttr("data-costs").select("li > span").remove();
        page.select("#ribbon-data").remove();
        return page.outerHtml();
    }

    @Test
    void aWishThatWasPointedAtIsAnsweredWithTheRoomThatItSaysAnew() throws Exception {
        Job job = DemoJobs.like("Orrin Vask", "Wished ahead", jobs);
        String at = "/jobs/" + job.id() + "/order";
        Cookie session = session(sessions);
        String step =
                plans.of(job).plan().orElseThrow().schedule().placed().get(4).task();
        Map<String, String> hold = Map.of("press", "HOLD", "step", step);
        live(session, HttpMethod.POST, at + "/wishes", hold, true);
        // by the press it is known what the wish costs, or not yet
        MockHttpServletResponse pressed = live(session, HttpMethod.POST, at + "/wishes", hold, false);
        assertThat(pressed.getHeader("Server-Timing")).isEqualTo("ahead");
        // a search may have begun by the press, so it is followed whatever stood there before
        assertThat(pressed.getContentAsString(StandardCharsets.UTF_8)).contains("data-settles");
        assertThat(jobs.get(job.id()).look().wishes()).isNotEmpty();
        assertThat(withoutCosts(pressed)).isEqualTo(withoutCosts(live(session, HttpMethod.GET, at, Map.of(), false)));
    }

    @Test
    void aRoomThatWouldSayOtherwiseByNowIsWrittenAnew() throws Exception {
        Job job = DemoJobs.like("Orrin Vask", "Changed meanwhile", jobs);
        String at = "/jobs/" + job.id() + "/look/coats";
        Cookie session = session(sessions);
        // of another session
        live(session(sessions), HttpMethod.POST, at, brows(4), true);
        MockHttpServletResponse other = live(session, HttpMethod.POST, at, brows(4), false);
        assertThat(other.getHeader("Server-Timing")).isNull();
        // of another press
        live(session, HttpMethod.POST, at, brows(2), true);
        MockHttpServletResponse three = live(session, HttpMethod.POST, at, brows(3), false);
        assertThat(three.getHeader("Server-Timing")).isNull();
        assertThat(parts(three)).isEqualTo(parts(anew(session, job)));
        // the house has used something up meanwhile
        live(session, HttpMethod.POST, at, brows(2), true);
        database.update("UPDATE product SET packs = packs - 1000, version = version + 1");
        try {
            MockHttpServletResponse empty = live(session, HttpMethod.POST, at, brows(2), false);
            assertThat(empty.getHeader("Server-Timing")).isNull();
            assertThat(parts(empty)).isEqualTo(parts(anew(session, job)));
        } finally {
            database.update("UPDATE product SET packs = packs + 1000, version = version + 1");
        }
    }

    /** What a press would make of a job has the version that the job will have then, and so may another change. */
    @Test
    void whatIsOnlySupposedIsNotTakenForWhatWasChanged() {
        Job job = DemoJobs.like("Orrin Vask", "Supposed", jobs);
        String at = "/jobs/" + job.id() + "/look/coats";
        plans.of(job);
        send(at, brows(4), true);
        send(at, brows(2), false);
        Job changed = jobs.get(job.id());
        assertThat(plans.of(changed).look().entry("brows-1").orElseThrow().coats())
                .isEqualTo(2);
        assertThat(plans.of(changed).plan().orElseThrow().network())
                .isEqualTo(
                        plans.fresh(changed.look(), changed.brief()) instanceof Planning.Done done
                                ? done.plan().network()
                                : null);
    }

    /** A press that does more than change one job is not even begun, whatever it is. */
    @Test
    void whatMayNotBeWorkedOutIsNotBegun() {
        Map<String, List<String>> before = everything();
        int tried = 0;
        for (var mapping : requestMappingHandlerMapping.getHandlerMethods().entrySet()) {
            HandlerMethod press = mapping.getValue();
            boolean plannable = press.hasMethodAnnotation(Ahead.Plannable.class)
                    || AnnotatedElementUtils.hasAnnotation(press.getBeanType(), Ahead.Plannable.class);
            if (!plannable
                    && mapping.getKey().getMethodsCondition().getMethods().contains(RequestMethod.POST)) {
                for (String pattern : mapping.getKey().getPatternValues()) {
                    assertThat(send(pattern.replaceAll("\\{\\*?\\w+}", "1"), Map.of(), true))
                            .as(pattern)
                            .isEqualTo(ASKED);
                    tried++;
                }
            }
        }
        assertThat(tried).isGreaterThan(60);
        assertThat(everything()).isEqualTo(before);
    }
}
