package app.kemdro.web.rooms.look;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import app.kemdro.web.DemoTest;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.Plans;
import java.io.IOException;
import java.io.Reader;
import java.io.UnsupportedEncodingException;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.test.web.servlet.assertj.MvcTestResult;

/**
 * A stranger types every character of the tests in: what they press is only what the pages offer, read from their HTML, and what
 * the look says afterwards is what was meant.
 */
@DemoTest
class TypedInTest {
    private static final Path CHARACTERS = Path.of("../core/src/test/resources/characters/characters.yaml");

    @Autowired
    private MockMvcTester mvc;

    @Autowired
    private Jobs jobs;

    @Autowired
    private Plans plans;

    @Autowired
    private Trade trade;

    private final List<String> bent = new ArrayList<>();

    @Test
    void everyCharacterIsTypedInAsItIsMeant() throws Exception {
        Map<String, DataNode> characters;
        try (Reader text = Files.newBufferedReader(CHARACTERS)) {
            characters = DataNode.read("characters.yaml", text).entries();
        }
        assertThat(characters).hasSizeGreaterThan(45);
        for (Map.Entry<String, DataNode> character : characters.entrySet()) {
            type(character.getKey(), character.getValue());
        }
        assertThat(bent).isEmpty();
    }

    private void type(String name, DataNode character) throws IOException {
        Job job = briefed(name, character);
        Map<String, Set<String>> meant = new TreeMap<>();
        for (DataNode happens : character.get("look").items()) {
            String technique = happens.get("do").text();
            List<String> zones = zones(happens.words("on"));
            meant.computeIfAbsent(said(technique, happens), t -> new TreeSet<>())
                    .addAll(where(technique, zones));
            put(name, job, technique, zones, happens);
        }
        Job now = jobs.get(job.id());
        Map<String, Set<String>> typed = new TreeMap<>();
        for (LookEntry e : now.look().entries()) {
            String shares = e.coats() + " " + e.items() + " " + e.coverage();
            typed.computeIfAbsent(e.techniqueId() + " " + shares, t -> new TreeSet<>())
                    .addAll(where(e.techniqueId(), e.zones()));
        }
        if (!meant.equals(typed)) {
            Map<String, Set<String>> more = new TreeMap<>(typed);
            meant.forEach((k, v) -> more.remove(k, v));
            Map<String, Set<String>> less = new TreeMap<>(meant);
            typed.forEach((k, v) -> less.remove(k, v));
            bent.add(name + ": meant " + less + ", typed " + more);
        }
        if (plans.of(now).plan().isEmpty()) {
            bent.add(name + " has no plan");
        }
    }

    private Set<String> where(String technique, List<String> zones) {
        Set<String> covers = trade.technique(technique).covers();
        return new TreeSet<>(covers.isEmpty() ? zones : covers);
    }

    private static String said(String technique, DataNode happens) {
        return technique + " " + (int) happens.number("coats", 0, 0, 9) + " " + (int) happens.number("items", 0, 0, 400)
                + " " + (int) happens.number("coverage", 100, 1, 100);
    }

    private List<String> zones(List<String> words) {
        return words.stream()
                .flatMap(w -> trade.body().named(w).stream())
                .distinct()
                .toList();
    }

    /** The brief, in the form as it is offered, with what is known of the character filled in. */
    private Job briefed(String name, DataNode character) throws UnsupportedEncodingException {
        Map<String, List<String>> form = new LinkedHashMap<>();
        Element blank = page("/jobs/new").selectFirst("main form");
        assertThat(blank).isNotNull();
        blank.select("input[name]").stream()
                .filter(i -> !Set.of("checkbox", "radio").contains(i.attr("type")) || i.hasAttr("checked"))
                .forEach(i -> form.computeIfAbsent(i.attr("name"), n -> new ArrayList<>())
                        .add(i.val()));
        blank.select("select[name]")
                .forEach(s -> form.put(
                        s.attr("name"), List.of(s.select("option[selected]").val())));
        offered(blank, form, "seen", List.of(word(character.get("seen"))));
        offered(blank, form, "covers", zones(character.words("covers")));
        offered(blank, form, "reactsTo", character.words("reacts"));
        if (character.find("hair") != null) {
            offered(blank, form, "hair", List.of(word(character.get("hair"))));
        }
        if (character.flag("alone")) {
            form.put("selfApplied", List.of("true"));
        }
        form.put("title", List.of(name));
        form.put("performer", List.of("Sitter of " + name));
        form.put("costumeMinutes", List.of("10"));
        for (int k = 0; k < (int) character.get("artists").number(1, 3); k++) {
            form.put("crew[" + k + "].name", List.of("Artist " + k));
        }
        var request = mvc.post().uri("/jobs/new").with(csrf()).with(user("ines").roles("LEAD"));
        form.forEach((field, values) -> request.param(field, values.toArray(String[]::new)));
        MvcTestResult result = request.exchange();
        String to = result.getResponse().getRedirectedUrl();
        assertThat(to)
                .as(name + " " + result.getResponse().getContentAsString())
                .isNotNull();
        return jobs.get(Long.parseLong(to.split("/")[2]));
    }

    private static String word(DataNode node) {
        return node.text().toUpperCase(java.util.Locale.ROOT).replace('-', '_');
    }

    private static void offered(Element page, Map<String, List<String>> form, String field, List<String> values) {
        Set<String> offers = page.select("[name=" + field + "], [name=" + field + "] option").stream()
                .map(Element::val)
                .collect(Collectors.toSet());
        assertThat(offers).as(field).containsAll(values);
        form.put(field, values);
    }

    private void put(String name, Job job, String technique, List<String> zones, DataNode happens) throws IOException {
        Technique meant = trade.technique(technique);
        String pressed = String.join(",", zones);
        Optional<Element> offer = button(job, pressed, "/look/add", technique);
        if (offer.isEmpty() && !meant.school().equals(technique)) {
            Optional<Element> school = button(job, pressed, "/look/add", meant.school());
            school.ifPresent(f -> press(job, f, Map.of("technique", meant.school())));
            offer = button(job, pressed, "/look/school", technique);
        }
        if (offer.isEmpty()) {
            bent.add(name + ": " + technique + " is not offered on " + pressed);
            return;
        }
        press(job, offer.get(), Map.of("technique", technique));
        int coats = (int) happens.number("coats", 0, 0, 9);
        int items = (int) happens.number("items", 0, 0, 400);
        int share = (int) happens.number("coverage", 100, 1, 100);
        LookEntry entry = entry(job, technique, zones);
        if (entry.coats() != coats || entry.items() != items || entry.coverage() != share) {
            own(job, pressed, entry).ifPresent(f -> press(job, f, Map.of()));
            LookEntry alone = entry(job, technique, zones);
            set(name, job, pressed, alone, "coats", alone.coats(), coats);
            set(name, job, pressed, alone, "items", alone.items(), items);
            set(name, job, pressed, alone, "coverage", alone.coverage(), share);
        }
    }

    private void set(String name, Job job, String pressed, LookEntry entry, String what, int now, int meant)
            throws IOException {
        if (now == meant) {
            return;
        }
        Optional<Element> form = page("/jobs/" + job.id() + "/look?zones=" + pressed)
                .select("form[action*=/look/" + what + "?entry=" + entry.id() + "&]")
                .stream()
                .filter(f -> f.select("button[name=" + what + "][value=" + meant + "]")
                                        .size()
                                == 1
                        || f.select("input[name=" + what + "][type=number]").stream()
                                .anyMatch(i -> Integer.parseInt(i.attr("min")) <= meant
                                        && meant <= Integer.parseInt(i.attr("max"))))
                .findFirst();
        if (form.isEmpty()) {
            bent.add(name + ": " + what + " " + meant + " is not offered for " + entry.id());
        }
        form.ifPresent(f -> press(job, f, Map.of(what, "" + meant)));
    }

    /** The button that makes of these zones a piece of work of their own. */
    private Optional<Element> own(Job job, String pressed, LookEntry entry) throws UnsupportedEncodingException {
        return page("/jobs/" + job.id() + "/look?zones=" + pressed)
                .select("form[action*=/look/apart?entry=" + entry.id() + "&]")
                .stream()
                .findFirst();
    }

    private LookEntry entry(Job job, String technique, List<String> zones) {
        return jobs.get(job.id()).look().entries().stream()
                .filter(e -> e.techniqueId().equals(technique))
                .filter(e -> where(technique, e.zones()).containsAll(where(technique, zones)))
                .reduce((a, b) -> b)
                .orElseThrow(() -> new AssertionError(technique + " on " + zones + " in "
                        + jobs.get(job.id()).look().entries()));
    }

    private Optional<Element> button(Job job, String pressed, String action, String technique)
            throws UnsupportedEncodingException {
        return page("/jobs/" + job.id() + "/look?zones=" + pressed).select("form[action*=" + action + "?]").stream()
                .filter(f -> f.select("button[name=technique][value=" + technique + "]:not([disabled])")
                                .size()
                        == 1)
                .findFirst();
    }

    private void press(Job job, Element form, Map<String, String> more) {
        var request = mvc.post()
                .uri(URI.create(form.attr("action")))
                .with(csrf())
                .with(user("ines").roles("LEAD"));
        form.select("input[type=hidden]").stream()
                .filter(i -> !i.attr("name").equals("_csrf"))
                .forEach(i -> request.param(i.attr("name"), i.val()));
        more.forEach(request::param);
        assertThat(request.exchange()).hasStatus(302);
    }

    private Document page(String path) throws UnsupportedEncodingException {
        MvcTestResult result =
                mvc.get().uri(path).with(user("ines").roles("LEAD")).exchange();
        assertThat(result).hasStatusOk();
        return Jsoup.parse(result.getResponse().getContentAsString());
    }
}
