package app.kemdro.web.rooms;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.run.Seats;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import javax.xml.parsers.DocumentBuilderFactory;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestMethodOrder;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.springframework.web.util.UriComponents;
import org.springframework.web.util.UriComponentsBuilder;
import org.springframework.web.util.UriUtils;
import tools.jackson.databind.json.JsonMapper;

/**
 * Somebody means harm and types it into every field of every form of a house of its own, found by following every link; then every page
 * and every file is read again. What was typed may stand there as words, and as nothing else.
 */
@DemoTest
@TestPropertySource(properties = "kemdro.test=a house of its own")
@DirtiesContext
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class HostileWordsTest {
    /** An element of its own, an expression of the templates, a formula of spreadsheets, a line of its own. */
    private static final List<String> WORDS =
            List.of("\"'></script><evil onx=1>${7*19121}__${7*19121}__", "=7*19121+cmd|x\r\nX-EVIL: 1\r\n\r\n<evil>");

    private static final String EVALUATED = "133847";
    private static final List<String> FILES = List.of(
            "look.pdf",
            "order.pdf",
            "colour.pdf",
            "bench.pdf",
            "safety.pdf",
            "strike.pdf",
            "bag.pdf",
            "continuity.pdf",
            "kit.csv",
            "steps.csv",
            "kit.json",
            "export.json",
            "health.json",
            "figure.svg",
            "days.ics");

    /** Signing out, and what would take away what the others are typed into. */
    private static final String NOT_PRESSED =
            "/sign-out|.*/remove|.*/forget|.*/aside|/people/accounts/.*|/password|/jobs/sample|.*/order/search";

    @Autowired
    private MockMvcTester mvc;

    private final JsonMapper json = new JsonMapper();

    @Autowired
    private Jobs jobs;

    @Autowired
    private Seats seats;

    /** Jobs that are typed into. */
    private final List<String> told = new ArrayList<>(List.of("1", "2"));

    private final List<String> harm = new ArrayList<>();
    private Map<String, Element> forms = Map.of();

    @Test
    @Order(1)
    void whatIsTypedAnywhereStaysWords() throws Exception {
        saidInTheChair();
        forms = forms();
        assertThat(forms.keySet()).as("forms").hasSizeGreaterThan(50);
        Set<String> typed = new TreeSet<>();
        for (Map.Entry<String, Element> form : forms.entrySet()) {
            List<Element> fields = typedInto(form.getValue());
            for (int k = 0; k < WORDS.size() && !fields.isEmpty(); k++) {
                fields.forEach(f -> typed.add(f.attr("name")));
                press(form.getValue(), fields, WORDS.get(k));
            }
            // where one field is refused the others are not kept: each that takes words by itself as well
            for (int k = 0; k < fields.size() && fields.size() > 1; k++) {
                if (fields.get(k).attr("inputmode").isEmpty()) {
                    press(form.getValue(), List.of(fields.get(k)), WORDS.get(k % WORDS.size()));
                }
            }
        }
        assertThat(harm).isEmpty();
        assertThat(typed).as("fields that were typed into").hasSizeGreaterThan(45);
        Map<String, Document> after = pages();
        long kept = after.values().stream()
                .filter(p ->
                        p.text().contains("<evil") || p.select("[value*=<evil]").size() > 0)
                .count();
        assertThat(kept).as("pages on which some of it is kept").isGreaterThan(8);
    }

    @Test
    @Order(2)
    void whatIsTypedAnywhereStaysWordsInEveryFile() throws Exception {
        int kept = 0;
        for (String job : told) {
            for (String file : FILES) {
                kept += file("/jobs/" + job + "/" + file) ? 1 : 0;
            }
        }
        for (String file : List.of("/house/products.csv", "/house/products.json", "/house/paints.csv")) {
            kept += file(file) ? 1 : 0;
        }
        assertThat(kept).as("files in which some of it stands").isGreaterThan(8);
    }

    /** What no page offers, in every field that offers something; nothing of it is a mishap. */
    @Test
    @Order(3)
    void whatIsOfferedNowhereIsRefusedInWords() throws Exception {
        for (Element form : forms.values()) {
            for (Element field :
                    form.select("input[type=hidden][name], select[name], button[name], input[type=radio][name]")) {
                if (!field.attr("name").equals("_csrf")) {
                    press(form, List.of(field), WORDS.get(0));
                }
            }
        }
        assertThat(harm).isEmpty();
    }

    /** What is said while somebody sits is no form. */
    private void saidInTheChair() throws IOException {
        String job = String.valueOf(DemoJobs.ofInesOnly("sits now", jobs).id());
        told.add(job);
        int taken = 0;
        seats.begin(Long.parseLong(job), "ines");
        for (String kind : List.of("NOTE", "REACTION", "USED")) {
            for (String words : WORDS) {
                MvcTestResult said = mvc.post()
                        .uri("/jobs/" + job + "/chair/events")
                        .contentType("application/json")
                        .content(json.writeValueAsString(Map.of(
                                "id",
                                "said-in-words-" + kind + WORDS.indexOf(words),
                                "type",
                                kind,
                                "hands",
                                "Ines",
                                "text",
                                words)))
                        .with(csrf())
                        .with(user("ines").roles("LEAD"))
                        .exchange();
                String answer = said.getResponse().getContentAsString();
                assertThat(json.readTree(answer)).as(kind + " " + words).isNotNull();
                taken += said.getResponse().getStatus() == 200 ? 1 : 0;
            }
        }
        assertThat(taken).as("what was said and is kept").isEqualTo(3 * WORDS.size());
    }

    /** One form of each kind that some page offers. */
    private Map<String, Element> forms() throws IOException {
        Map<String, Element> found = new LinkedHashMap<>();
        pages().values()
                .forEach(page -> page.select("form[method=post]").stream()
                        .map(HostileWordsTest::whole)
                        .filter(f -> !f.attr("action").matches(NOT_PRESSED))
                        .forEach(f -> found.putIfAbsent(kind(f), f)));
        return found;
    }

    /** A form with what its address carries as fields of its own. */
    private static Element whole(Element form) {
        Element whole = form.clone();
        UriComponents sent =
                UriComponentsBuilder.fromUriString(form.attr("action")).build();
        whole.attr("action", String.valueOf(sent.getPath()));
        sent.getQueryParams()
                .forEach((name, values) -> values.forEach(v -> whole.appendElement("input")
                        .attr("type", "hidden")
                        .attr("name", name)
                        .val(UriUtils.decode(v == null ? "" : v, StandardCharsets.UTF_8))));
        return whole;
    }

    /** Every page that links lead to, one of each kind with its job. */
    private Map<String, Document> pages() throws IOException {
        Map<String, Document> pages = new LinkedHashMap<>();
        Deque<String> wanted = new ArrayDeque<>(
                List.of("/shelf", "/jobs/new", "/import", "/people", "/house", "/book", "/password", "/house/keeping"));
        for (String job : told) {
            for (String room : List.of(
                    "look?zones=nose",
                    "brief",
                    "colour",
                    "order",
                    "kit",
                    "safety",
                    "bench",
                    "book",
                    "chair",
                    "strike",
                    "floor")) {
                wanted.add("/jobs/" + job + "/" + room);
            }
        }
        Set<String> kinds = new LinkedHashSet<>();
        while (!wanted.isEmpty()) {
            String path = wanted.removeFirst();
            if (!kinds.add(
                    path.replaceAll("=[^&]*", "").replaceAll("(?<=/products/)(?!new).*|(?<!^/jobs)/\\d+", "/n"))) {
                continue;
            }
            MockHttpServletResponse answer = mvc.get()
                    .uri(escaped(path))
                    .with(user("ines").roles("LEAD"))
                    .exchange()
                    .getResponse();
            if (answer.getStatus() != 200
                    || !String.valueOf(answer.getContentType()).startsWith("text/html")) {
                assertThat(answer.getStatus()).as(path).isLessThan(500);
                continue;
            }
            Document page = harmless(path, answer.getContentAsString(StandardCharsets.UTF_8));
            pages.put(path, page);
            page.select("a[href^=/]").stream()
                    .map(a -> a.attr("href"))
                    .filter(h -> !h.matches(".*(stream|#).*|.*\\.\\w{2,4}(\\?.*)?"))
                    .forEach(wanted::add);
        }
        return pages;
    }

    private static java.net.URI escaped(String path) {
        return java.net.URI.create(path.replace(" ", "%20")
                .replace("|", "%7C")
                .replace("<", "%3C")
                .replace(">", "%3E")
                .replace("\"", "%22"));
    }

    private static String kind(Element form) {
        return form.attr("action").replaceAll("/\\d+", "/n") + " "
                + form.select("[name]").eachAttr("name").stream()
                        .distinct()
                        .sorted()
                        .toList();
    }

    private static List<Element> typedInto(Element form) {
        List<Element> fields = new ArrayList<>(form.select("textarea[name]"));
        form.select("input[name]").stream()
                .filter(i -> !i.attr("type").matches("hidden|checkbox|radio|file|submit"))
                .forEach(fields::add);
        return fields;
    }

    private void press(Element form, List<Element> fields, String words) {
        try {
            pressed(form, fields, words);
        } catch (Exception | AssertionError wrong) {
            harm.add(form.attr("action") + " with " + words + " in "
                    + fields.stream().map(f -> f.attr("name")).toList() + ": "
                    + String.valueOf(wrong.getMessage()).lines().limit(6).toList());
        }
    }

    /** Presses a form with these words in these fields and what stands there in the others; reads what it answers. */
    private void pressed(Element form, List<Element> fields, String words) throws IOException {
        var request = mvc.post()
                .uri(escaped(form.attr("action")))
                .with(csrf())
                .with(user("ines").roles("LEAD"));
        Set<String> names = new TreeSet<>();
        for (Element field : form.select("input[name], textarea[name], select[name], button[name]")) {
            String name = field.attr("name");
            boolean isHostile = fields.contains(field);
            boolean isChosen = !field.attr("type").matches("checkbox|radio") || field.hasAttr("checked");
            if (name.equals("_csrf")
                    || field.attr("type").equals("file")
                    || !isHostile && (!isChosen || !names.add(name))) {
                continue;
            }
            request.param(name, isHostile ? fitting(words, field) : value(field));
        }
        String what = form.attr("action") + " with " + words + " in "
                + fields.stream().map(f -> f.attr("name")).toList();
        MvcTestResult result = request.exchange();
        MockHttpServletResponse answer = result.getResponse();
        assertThat(answer.getStatus()).as(what).isLessThan(500);
        assertThat(answer.getHeaderNames()).as(what).doesNotContain("X-EVIL");
        harmless(what, answer.getContentAsString(StandardCharsets.UTF_8));
        Map<String, Object> told = result.getMvcResult().getFlashMap();
        String next = answer.getRedirectedUrl();
        if (next != null
                && next.startsWith("/")
                && told.values().stream().anyMatch(v -> String.valueOf(v).contains("evil"))) {
            var page = mvc.get().uri(escaped(next)).with(user("ines").roles("LEAD"));
            told.forEach(page::flashAttr);
            harmless("told after " + what, page.exchange().getResponse().getContentAsString(StandardCharsets.UTF_8));
        }
    }

    private static String fitting(String words, Element field) {
        String most = field.attr("maxlength");
        return most.isEmpty() ? words : words.substring(0, Math.min(words.length(), Integer.parseInt(most)));
    }

    private static String value(Element field) {
        if (field.tagName().equals("select")) {
            Element chosen = field.selectFirst("option[selected]");
            Element first = chosen == null ? field.selectFirst("option") : chosen;
            return first == null ? "" : first.val();
        }
        return field.val();
    }

    private Document harmless(String what, String text) {
        assertThat(text).as(what).doesNotContain(EVALUATED).doesNotContain("Exception");
        Document page = Jsoup.parse(text);
        assertThat(page.select("evil, [onx]")).as(what).isEmpty();
        page.select("script[type=application/json]")
                .forEach(script ->
                        assertThat(json.readTree(script.data())).as(what).isNotNull());
        return page;
    }

    /** Whether some of it stands in a file, as words. */
    private boolean file(String path) throws Exception {
        MockHttpServletResponse answer =
                mvc.get().uri(path).with(user("ines").roles("LEAD")).exchange().getResponse();
        assertThat(answer.getStatus()).as(path).isLessThan(500);
        if (answer.getStatus() != 200) {
            return false;
        }
        assertThat(answer.getHeaderNames()).as(path).doesNotContain("X-EVIL");
        String text = path.endsWith(".pdf")
                ? printed(answer.getContentAsByteArray())
                : answer.getContentAsString(StandardCharsets.UTF_8);
        assertThat(text).as(path).doesNotContain(EVALUATED);
        switch (path.substring(path.lastIndexOf('.'))) {
            case ".csv" ->
                CSVParser.parse(text, CSVFormat.DEFAULT)
                        .forEach(line -> assertThat(line.stream()).as(path).noneMatch(cell -> cell.startsWith("=")));
            case ".json" -> json.readTree(text);
            case ".svg" -> {
                DocumentBuilderFactory strict = DocumentBuilderFactory.newInstance();
                strict.setFeature("http://apache.org/xml/features/disallow-doctype-decl", true);
                assertThat(strict.newDocumentBuilder()
                                .parse(new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)))
                                .getElementsByTagName("evil")
                                .getLength())
                        .as(path)
                        .isZero();
            }
            case ".ics" -> assertThat(text.lines()).as(path).noneMatch(line -> line.startsWith("X-EVIL"));
            default -> assertThat(path).endsWith(".pdf");
        }
        return text.contains("evil") || text.contains("19121");
    }

    private static String printed(byte[] file) throws IOException {
        try (PDDocument pdf = Loader.loadPDF(file)) {
            assertThat(pdf.getDocumentCatalog().getOpenAction()).isNull();
            return new PDFTextStripper().getText(pdf);
        }
    }
}
