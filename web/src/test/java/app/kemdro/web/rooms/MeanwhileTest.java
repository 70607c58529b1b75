package app.kemdro.web.rooms;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.core.look.LookEntry;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.product.Products;
import java.net.URI;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.FormElement;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.web.util.UriComponentsBuilder;

/** Two people have the same form open: each sends it as the page gave it to them, with what they changed in it. */
@DemoTest
class MeanwhileTest {
    @Autowired
    private MockMvcTester mvc;

    @Autowired
    private Jobs jobs;

    @Autowired
    private Products products;

    private Job job;

    @BeforeEach
    void aJob() {
        job = DemoJobs.like("Orrin Vask", "open twice " + System.nanoTime(), jobs);
    }

    /** A form as a browser has it. */
    private FormElement open(String page, String action) throws Exception {
        String html = mvc.get()
                .uri(page)
                .with(user("ines").roles("LEAD"))
                .exchange()
                .getResponse()
                .getContentAsString();
        return form(html, action);
    }

    private static FormElement form(String html, String action) {
        return Jsoup.parse(html, "http://kemdro").select("form").forms().stream()
                .filter(f -> f.attr("action").replaceFirst("\\?.*", "").equals(action))
                .findFirst()
                .orElseThrow();
    }

    private MockHttpServletResponse send(FormElement form) throws Exception {
        var request = mvc.post()
                .uri(URI.create(form.attr("action")))
                .with(user("ines").roles("LEAD"))
                .with(csrf());
        form.formData().forEach(f -> request.param(f.key(), f.value()));
        return request.exchange().getResponse();
    }

    private static Element field(FormElement form, String name) {
        return form.elements().stream()
                .filter(e -> e.attr("name").equals(name))
                .findFirst()
                .orElseThrow();
    }

    private static Consumer<FormElement> typing(String name, String value) {
        return form -> field(form, name).val(value);
    }

    private String brief() {
        return "/jobs/" + job.id() + "/brief";
    }

    private MockHttpServletResponse both(
            String page, String action, Consumer<FormElement> first, Consumer<FormElement> second) throws Exception {
        FormElement one = open(page, action);
        FormElement two = open(page, action);
        first.accept(one);
        second.accept(two);
        assertThat(send(one).getStatus()).isEqualTo(302);
        return send(two);
    }

    @Test
    void briefsOfTwoAreLaidTogether() throws Exception {
        var answer = both(brief(), brief(), typing("callHour", "08:10"), typing("humidity", "61"));
        assertThat(answer.getStatus()).isEqualTo(302);
        assertThat(jobs.get(job.id()).brief().call().toLocalTime()).hasToString("08:10");
        assertThat(jobs.get(job.id()).brief().room().humidityPercent()).isEqualTo(61);
    }

    @Test
    void whatBothChangedIsShownSideBySideAndNothingTypedIsLost() throws Exception {
        var answer = both(brief(), brief(), typing("callHour", "08:10"), form -> {
            typing("callHour", "08:25").accept(form);
            typing("idea", "rust on a bell").accept(form);
        });
        assertThat(answer.getStatus()).isEqualTo(409);
        assertThat(jobs.get(job.id()).brief().call().toLocalTime()).hasToString("08:10");
        assertThat(jobs.get(job.id()).idea()).isNotEqualTo("rust on a bell");
        Document page = Jsoup.parse(answer.getContentAsString());
        assertThat(page.select("#room fieldset").text()).contains("Call", "08:25", "08:10");

        FormElement choice = form(answer.getContentAsString(), brief());
        assertThat(send(choice).getStatus()).isEqualTo(302);
        assertThat(jobs.get(job.id()).brief().call().toLocalTime()).hasToString("08:25");
        assertThat(jobs.get(job.id()).idea()).isEqualTo("rust on a bell");
    }

    @Test
    void whatTheOtherTypedCanBeLeftAndTheRestIsKept() throws Exception {
        var answer = both(brief(), brief(), typing("callHour", "08:10"), form -> {
            typing("callHour", "08:25").accept(form);
            typing("idea", "rust on a bell").accept(form);
        });
        FormElement choice = form(answer.getContentAsString(), brief());
        choice.select("input[type=radio]")
                .forEach(r -> r.attr("checked", r.val().equals("now")));
        choice.select("input[type=radio]").stream()
                .filter(r -> r.val().equals("mine"))
                .forEach(r -> r.removeAttr("checked"));
        assertThat(send(choice).getStatus()).isEqualTo(302);
        assertThat(jobs.get(job.id()).brief().call().toLocalTime()).hasToString("08:10");
        assertThat(jobs.get(job.id()).idea()).isEqualTo("rust on a bell");
    }

    @Test
    void whatIsEmptiedIsNotFilledAgain() throws Exception {
        FormElement form = open(brief(), brief());
        typing("temperature", "").accept(form);
        MockHttpServletResponse answer = send(form);
        assertThat(answer.getStatus()).isEqualTo(200);
        assertThat(answer.getContentAsString()).contains("Temperature needs a number, such as 17.");

        both(brief(), brief(), typing("idea", ""), typing("humidity", "58"));
        assertThat(jobs.get(job.id()).idea()).isEmpty();
    }

    /** While the choice was open a third was there. */
    @Test
    void aChoiceCanBeOvertakenAsWell() throws Exception {
        var answer = both(brief(), brief(), typing("callHour", "08:10"), typing("callHour", "08:25"));
        FormElement choice = form(answer.getContentAsString(), brief());
        FormElement third = open(brief(), brief());
        typing("callHour", "08:40").accept(third);
        send(third);
        assertThat(send(choice).getStatus()).isEqualTo(409);
        assertThat(jobs.get(job.id()).brief().call().toLocalTime()).hasToString("08:40");
    }

    @Test
    void aReactionIsAddedByAnybodyAndTakenOutByItsOwnPressOnly() throws Exception {
        FormElement before = open(brief(), brief());
        FormElement tells = open(brief(), brief());
        field(tells, "reactsTo").attr("checked", true);
        String reaction = field(tells, "reactsTo").val();
        send(tells);
        assertThat(reactions()).contains(reaction);
        assertThat(send(before).getStatus()).isEqualTo(302);
        assertThat(send(open(brief(), brief())).getStatus()).isEqualTo(302);
        assertThat(reactions()).contains(reaction);
        // without what the page carries, as an old page or somebody's own script would send it
        FormElement bare = open(brief(), brief());
        field(bare, "_was").remove();
        send(bare);
        assertThat(reactions()).contains(reaction);

        String safety = "/jobs/" + job.id() + "/safety";
        List<String> known = new ArrayList<>(reactions());
        for (String one : known) {
            FormElement out = Jsoup.parse(page(safety)).select("form").forms().stream()
                    .filter(f -> f.attr("action").endsWith("/reactions/remove")
                            && field(f, "reaction").val().equals(one))
                    .findFirst()
                    .orElseThrow();
            assertThat(out.attr("data-sure")).contains("does not react");
            send(out);
            assertThat(reactions()).doesNotContain(one);
        }
    }

    private List<String> reactions() {
        return List.copyOf(jobs.get(job.id()).performer().facts().reactsTo());
    }

    private String page(String path) throws Exception {
        return mvc.get()
                .uri(path)
                .with(user("ines").roles("LEAD"))
                .exchange()
                .getResponse()
                .getContentAsString();
    }

    @Test
    void careConsentAndBenchAreLaidTogether() throws Exception {
        String safety = "/jobs/" + job.id() + "/safety";
        both(safety, safety, f -> field(f, "panics").attr("checked", true), typing("lensHours", "3"));
        assertThat(jobs.get(job.id()).performer().care().panics()).isTrue();
        assertThat(jobs.get(job.id()).performer().care().lensHours()).isEqualTo(3);
        assertThat(both(safety, safety, typing("lensHours", "4"), typing("lensHours", "5"))
                        .getStatus())
                .isEqualTo(409);

        String agreed = safety + "/consent";
        both(safety, agreed, f -> tick(f, "agreed", 0), f -> tick(f, "agreed", 1));
        assertThat(jobs.get(job.id()).consents()).hasSize(2);

        String bench = "/jobs/" + job.id() + "/bench";
        both(bench, bench, f -> tick(f, "made", 0), typing("until", "18:00"));
        assertThat(jobs.get(job.id()).made()).hasSize(1);
        assertThat(jobs.get(job.id()).benchHours().until()).hasToString("18:00");
    }

    private static void tick(FormElement form, String name, int at) {
        form.select("input[name=" + name + "]").get(at).attr("checked", true);
    }

    @Test
    void aProductIsLaidTogether() throws Exception {
        String code = products.search("", false).get(0).code();
        String page = "/house/products/" + code;
        both(page, "/house/products", typing("note", "opened by Pell"), typing("supplier", "The other one"));
        var values = products.find(code).orElseThrow().values();
        assertThat(values.note()).isEqualTo("opened by Pell");
        assertThat(values.supplier()).isEqualTo("The other one");
        assertThat(both(page, "/house/products", typing("note", "one"), typing("note", "two"))
                        .getStatus())
                .isEqualTo(409);
        assertThat(products.find(code).orElseThrow().values().note()).isEqualTo("one");
    }

    @Test
    void aPressMeantForWhatStoodThereBeforeDoesNothingAndSaysSo() throws Exception {
        LookEntry entry = job.look().entries().stream()
                .filter(e -> e.techniqueId().contains("wash") || e.coats() > 0)
                .findFirst()
                .orElse(job.look().entries().get(0));
        String page = "/jobs/" + job.id() + "/look?zones=" + entry.zones().get(0);
        String remove = "/jobs/" + job.id() + "/look/remove";
        FormElement stale = open(page, remove);
        String of = String.valueOf(UriComponentsBuilder.fromUriString(stale.attr("action"))
                .build()
                .getQueryParams()
                .getFirst("entry"));
        jobs.change(job.id(), j -> j.setLook(j.look().changing(of, e -> e.covering(50))));
        send(stale);
        assertThat(jobs.get(job.id()).look().entry(of)).isPresent();
        send(open(page, remove));
        assertThat(jobs.get(job.id()).look().entry(of)).isEmpty();

        String back = "/jobs/" + job.id() + "/look/back";
        FormElement undo = open(page, back);
        jobs.change(job.id(), j -> j.describe(j.title(), "changed", "", j.brief()));
        send(undo);
        assertThat(jobs.get(job.id()).look().entry(of)).isEmpty();
        send(open(page, back));
        assertThat(jobs.get(job.id()).look().entry(of)).isPresent();
    }
}
