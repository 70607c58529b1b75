package app.kemdro.web.rooms.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Performer;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.Stamp;
import app.kemdro.core.safety.HealthRecord.Skin;
import app.kemdro.web.AsLead;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.performer.Performers;
import app.kemdro.web.records.performer.SkinSeenRow;
import app.kemdro.web.records.run.Reports;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.run.Seats;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

@DemoTest
class PeopleRoomTest {
    @Autowired
    private Jobs jobs;

    @Autowired
    private Seats seats;

    @Autowired
    private Reports reports;

    @Autowired
    private Runs runs;

    @Autowired
    private Performers performers;

    @Autowired
    private JdbcTemplate database;

    @Autowired
    private RequestMappingHandlerMapping requestMappingHandlerMapping;

    @Autowired
    private MockMvcTester mvc;

    private AsLead lead;

    @BeforeEach
    void asLead() {
        lead = new AsLead(mvc);
    }

    @Test
    void whatIsKnownOfAPerformerHoldsOnEveryJob() throws Exception {
        Job one = DemoJobs.like("Sprue", "first of two", jobs);
        lead.post("/jobs/" + one.id() + "/safety", "lensHours", "7");
        lead.post("/jobs/" + one.id() + "/again");
        Job two = DemoJobs.all(jobs).stream()
                .filter(j -> j.title().equals("first of two") && j.id() != one.id())
                .findFirst()
                .orElseThrow();
        assertThat(two.performer().id()).isEqualTo(one.performer().id());
        assertThat(two.performer().care().lensHours()).isEqualTo(7);
    }

    /** Reactions of the one who sat before must never be taken for those of the one who sits now, nor the other way round. */
    @Test
    void anotherNameInTheBriefSeatsSomebodyElseWithWhatIsKnownOfThem() throws Exception {
        Job founder = DemoJobs.like("Orrin Vask", "exchanged", jobs);
        Job apprentice = DemoJobs.like("Sprue", "known before", jobs);
        String known = apprentice.performer().name();
        String form = lead.get("/jobs/" + founder.id() + "/brief");
        assertThat(form).contains("<option value=\"" + known + "\">");
        Brief b = founder.brief();
        assertThat(lead.post(
                                "/jobs/" + founder.id() + "/brief",
                                "title",
                                "exchanged",
                                "performer",
                                known.toUpperCase(java.util.Locale.ROOT),
                                "height",
                                "183",
                                "weight",
                                "84",
                                "head",
                                "57",
                                "reactsTo",
                                "resin-gum",
                                "callDay",
                                b.call().toLocalDate().toString(),
                                "callHour",
                                b.call().toLocalTime().toString(),
                                "crew[0].name",
                                "Ines",
                                "crew[0].skill",
                                "LEAD")
                        .get("change"))
                .asString()
                .contains("is known: size, brows, hair and reactions are theirs now");
        Job now = jobs.get(founder.id());
        assertThat(now.performer().id()).isEqualTo(apprentice.performer().id());
        assertThat(now.brief().performer()).isEqualTo(apprentice.brief().performer());
        assertThat(performers
                        .named(founder.performer().name())
                        .orElseThrow()
                        .facts()
                        .reactsTo())
                .containsExactly("resin-gum");
    }

    @Test
    void somebodyKnownKeepsWhatIsKnownAndReactionsAreAdded() {
        Job job = DemoJobs.like("Sprue", "met twice", jobs);
        Performer p = job.brief().performer();
        Performer told = new Performer(p.name(), 150, 40, 50, Set.of("resin-gum"), Brief.Brows.THICK, Brief.Hair.LONG);
        Job other = jobs.add(new Job("met twice, again", "", "", job.brief().on(told)));
        assertThat(other.performer().id()).isEqualTo(job.performer().id());
        assertThat(other.brief().performer().heightCm()).isEqualTo(p.heightCm());
        assertThat(other.brief().performer().reactsTo()).containsExactly("resin-gum");
    }

    /** Name, reactions and what was said of skin are nowhere in the whole database any more; the book still opens. */
    @Test
    void somebodyWhoIsForgottenIsNowhereAndTheirRunsStay() throws Exception {
        Job job = DemoJobs.like("Sprue", "to be forgotten", jobs);
        String name = "Quill Marrowby";
        performers.change(job.performer().id(), p -> {
            p.callThem(name);
            p.alsoReactsTo(Set.of("zinc-unheard-of"));
            p.see(new SkinSeenRow(
                    "nose", LocalDateTime.of(2026, 1, 5, 9, 0), Skin.RED, "", "welts-unheard-of", "pell"));
        });
        job = jobs.get(job.id());
        lead.post("/jobs/" + job.id() + "/strike/begin");
        Plan plan = seats.planAt(job, job.brief().call().minusHours(3));
        String step = plan.schedule().placed().get(0).task();
        LocalDateTime at = plan.chairIn();
        seats.storeFinished(
                job,
                plan,
                List.of(
                        new RunEvent.Start(new Stamp("s", at, "Pell"), step),
                        new RunEvent.Finish(new Stamp("f", at.plusMinutes(4), "Pell"), step),
                        new RunEvent.Reaction(new Stamp("r", at.plusMinutes(5), "Pell"), "hives-unheard-of"),
                        new RunEvent.End(new Stamp("e", at.plusMinutes(9), ""))),
                "ines",
                0);
        assertThat(everything()).contains(name, "zinc-unheard-of", "welts-unheard-of", "hives-unheard-of");
        String book = "/jobs/" + job.id() + "/book";
        assertThat(lead.get(book)).contains("hives-unheard-of");
        String person = "/people/" + job.performer().id();
        // somebody else sits for the job by now; what is kept of the run is still about the first
        Brief now = job.brief();
        Performer other = new Performer("Vesper Lind", 170, 60, 55, Set.of(), Brief.Brows.FINE, Brief.Hair.SHORT);
        jobs.change(job.id(), j -> j.describe(j.title(), "", "", now.on(other)));
        lead.post(person + "/forget-health");
        assertThat(everything())
                .contains(name)
                .doesNotContain("zinc-unheard-of", "welts-unheard-of", "hives-unheard-of");
        lead.post(person + "/forget");
        assertThat(everything()).doesNotContain("Quill");
        assertThat(lead.get(book)).contains("took").doesNotContain("Quill");
        assertThat(lead.get("/people")).doesNotContain("Quill").contains("Vesper Lind");
    }

    private String everything() {
        return String.join("\n", database.queryForList("SCRIPT", String.class));
    }

    @Test
    void somebodyWhoSitsForNoJobIsRemovedAndNobodyIsForgottenWhileTheySit() throws Exception {
        Job job = DemoJobs.ofInesOnly("sits now", jobs);
        seats.begin(job.id(), "ines");
        String person = "/people/" + job.performer().id();
        lead.post(person + "/forget-health");
        assertThat(jobs.get(job.id()).performer().name()).isEqualTo("On sits now");
        Job gone = DemoJobs.ofInesOnly("goes", jobs);
        long id = gone.performer().id();
        lead.post("/jobs/" + gone.id() + "/remove");
        assertThat(lead.get("/people")).contains("On goes");
        lead.post("/people/" + id + "/forget");
        assertThat(lead.get("/people")).doesNotContain("On goes");
        // the job is only set aside: whoever sat for it is nobody any more
        assertThat(mvc.get().uri("/people/" + id).with(user("ines").roles("LEAD")))
                .bodyText()
                .contains("Performer " + id)
                .doesNotContain("On goes");
    }

    @Test
    void twoNeverShareAName() throws Exception {
        Job one = DemoJobs.ofInesOnly("named one", jobs);
        Job two = DemoJobs.ofInesOnly("named two", jobs);
        assertThat(lead.post("/people/" + one.performer().id() + "/name", "name", "on NAMED two")
                        .get("change"))
                .asString()
                .contains("Somebody else is called");
        assertThat(lead.post("/people/" + two.performer().id() + "/name", "name", " ")
                        .get("change"))
                .asString()
                .contains("1 to 80 letters");
        lead.post("/people/" + one.performer().id() + "/name", "name", "Rook Aldery");
        assertThat(lead.get("/jobs/" + one.id() + "/brief")).contains("Rook Aldery");
        assertThat(mvc.post()
                        .uri("/people/accounts")
                        .param("name", "pell2")
                        .param("displayName", "pell okonra")
                        .param("password", "long enough")
                        .param("role", "HANDS")
                        .with(csrf())
                        .with(user("ines").roles("LEAD")))
                .bodyText()
                .contains("Somebody is already called pell okonra");
    }

    /** What a job's file says of health is left at home unless it is asked for. */
    @Test
    void aFileSaysNothingOfHealthUnlessAsked() throws Exception {
        Job job = DemoJobs.like("Orrin Vask", "sent away", jobs);
        assertThat(lead.get("/jobs/" + job.id() + "/export.json")).doesNotContain("resin-gum");
        assertThat(lead.get("/jobs/" + job.id() + "/health.json")).contains("resin-gum");
    }

    /** "Ines" of one brief and "Ines Dorval" of another are one person, with one pace and all jobs. */
    @Test
    void whoIsCalledByFirstNameIsOneWithTheirFullName() throws Exception {
        Job job = DemoJobs.ofInesOnly("named in full", jobs);
        Brief b = job.brief();
        jobs.change(
                job.id(),
                j -> j.describe(
                        j.title(),
                        "",
                        "",
                        b.with(b.crew().stream()
                                .map(h -> new Brief.Hands("Ines Dorval", h.skill(), h.from(), h.until()))
                                .toList())));
        String page = lead.get("/people");
        assertThat(page.split("Ines Dorval</", -1))
                .as("once among hands, once among accounts")
                .hasSize(3);
        assertThat(page).containsPattern("(?s)Ines Dorval.*?from \\d+ runs?").doesNotContain("19:00 to 19:00");
    }

    /** A new name changes nothing about what is forgotten: it is kept of the person. */
    @Test
    void forgettingReachesRunsHeldUnderAnotherName() throws Exception {
        Job job = DemoJobs.like("Sprue", "renamed since", jobs);
        performers.change(job.performer().id(), p -> p.alsoReactsTo(Set.of("nickel-of-old")));
        job = jobs.get(job.id());
        Plan plan = seats.planAt(job, job.brief().call().minusHours(3));
        seats.storeFinished(
                job,
                plan,
                List.of(new RunEvent.End(new Stamp("e", plan.chairIn().plusMinutes(9), ""))),
                "ines",
                0);
        String person = "/people/" + job.performer().id();
        lead.post(person + "/name", "name", "Called Otherwise");
        assertThat(everything()).contains("nickel-of-old");
        lead.post(person + "/forget-health");
        assertThat(everything()).doesNotContain("nickel-of-old");
    }
}
