package app.kemdro.web.rooms.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Performer;
import app.kemdro.core.look.Brief.Skill;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.Stamp;
import app.kemdro.web.AsLead;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.run.Reports;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.run.Seats;
import app.kemdro.web.records.run.Told;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** Who sees a job, and that it is kept who looked. */
@DemoTest
class WhoSeesTest {
    @Autowired
    private Jobs jobs;

    @Autowired
    private Seats seats;

    @Autowired
    private Reports reports;

    @Autowired
    private Runs runs;

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
    void noAddressOfAJobIsOpenToHandsWhoDoNotWorkOnIt() {
        long job = DemoJobs.ofInesOnly("closed", jobs).id();
        List<Asked> all = requestMappingHandlerMapping.getHandlerMethods().keySet().stream()
                .flatMap(m -> m.getPatternValues().stream()
                        .filter(p -> p.startsWith("/jobs/{"))
                        .flatMap(p -> (m.getMethodsCondition().getMethods().isEmpty()
                                        ? Stream.of(RequestMethod.GET, RequestMethod.POST)
                                        : m.getMethodsCondition().getMethods().stream())
                                .map(method -> new Asked(method.asHttpMethod(), filled(p, job)))))
                .toList();
        assertThat(all).hasSizeGreaterThan(80);
        assertThat(all).allSatisfy(a -> {
            assertThat(mvc.method(a.method())
                            .uri(a.path())
                            .with(csrf())
                            .with(user("pell").roles("HANDS")))
                    .as(a.toString())
                    .hasStatus(403);
            assertThat(mvc.method(a.method())
                            .uri(a.path())
                            .with(csrf())
                            .with(user("floor").roles("FLOOR")))
                    .as(a.toString())
                    .hasStatus(403);
        });
    }

    private record Asked(HttpMethod method, String path) {}

    private static String filled(String pattern, long job) {
        return pattern.replaceFirst("\\{[^}]+}", Long.toString(job)).replaceAll("\\{[^}]+}", "1");
    }

    @Test
    void handsSeeTheJobsInWhoseBriefTheyStandByTheNameTheySignInWithOrAreCalledBy() {
        Job job = DemoJobs.ofInesOnly("whose", jobs);
        String at = "/jobs/" + job.id() + "/safety";
        assertThat(mvc.get().uri(at).with(user("pell").roles("HANDS"))).hasStatus(403);
        for (String name : List.of("Pell", "PELL", "Pell Okonra")) {
            Brief brief = job.brief()
                    .with(job.brief().crew().stream()
                            .map(h -> new Brief.Hands(name, h.skill(), h.from(), h.until()))
                            .toList());
            jobs.change(job.id(), j -> j.describe("whose", "", "", brief));
            assertThat(mvc.get().uri(at).with(user("pell").roles("HANDS"))).hasStatus(200);
        }
        assertThat(mvc.get().uri(at).with(user("okonra").roles("HANDS"))).hasStatus(403);
        assertThat(mvc.get().uri("/jobs/99999/safety").with(user("pell").roles("HANDS")))
                .hasStatus(403);
    }

    @Test
    void handsThatJoinARunSeeIt() throws Exception {
        Job job = DemoJobs.ofInesOnly("joined", jobs);
        seats.begin(job.id(), "ines");
        String chair = "/jobs/" + job.id() + "/chair";
        assertThat(mvc.get().uri(chair).with(user("pell").roles("HANDS"))).hasStatus(403);
        reports.take(
                job.id(),
                new RunEvent.Join(
                        new Stamp("join-pell-1", runs.now(runs.open(job.id()).orElseThrow()), "Pell"), Skill.ASSISTANT),
                "ines");
        assertThat(mvc.get().uri(chair).with(user("pell").roles("HANDS"))).hasStatus(200);
    }

    @Test
    void theShelfSaysWhatStandsInTheWayOnlyToThoseWhoWorkOnIt() {
        Job job = DemoJobs.like("Sprue", "gummed", jobs);
        Performer p = job.brief().performer();
        jobs.change(
                job.id(),
                j -> j.describe(
                        "gummed",
                        "",
                        "",
                        j.brief()
                                .on(new Performer(
                                        p.name(),
                                        p.heightCm(),
                                        p.weightKg(),
                                        p.headCm(),
                                        Set.of("natural-rubber-latex", "latex"),
                                        p.brows(),
                                        p.hair()))));
        String reaction = p.name() + " reacts to";
        assertThat(mvc.get().uri("/shelf?find=gummed").with(user("pell").roles("HANDS")))
                .bodyText()
                .contains(reaction);
        assertThat(mvc.get().uri("/shelf?find=gummed").with(user("floor").roles("FLOOR")))
                .bodyText()
                .contains("gummed")
                .contains("Said to those who work on it.")
                .doesNotContain(reaction);
    }

    @Test
    void whoLookedIsKept() throws Exception {
        Job job = DemoJobs.like("Sprue", "looked at", jobs);
        mvc.get()
                .uri("/jobs/" + job.id() + "/safety")
                .with(user("pell").roles("HANDS"))
                .exchange();
        assertThat(lead.get("/people/" + job.performer().id()))
                .containsPattern("(?s)<b>pell</b> <span>safety</span>")
                .containsPattern("(?s)<b>ines</b> <span>people</span>");
    }

    /** Who joined a run may see it until they leave it. */
    @Test
    void handsThatLeaveARunNoLongerSeeIt() throws Exception {
        Job job = DemoJobs.ofInesOnly("joined and left", jobs);
        seats.begin(job.id(), "ines");
        String chair = "/jobs/" + job.id() + "/chair";
        for (String type : List.of("JOIN", "LEAVE")) {
            LocalDateTime at = runs.now(runs.open(job.id()).orElseThrow());
            reports.take(
                    job.id(),
                    Told.event(
                            new Stamp("pell-" + type, at, "Pell"), type, "", 0, type.equals("JOIN") ? "ASSISTANT" : ""),
                    "ines");
            assertThat(mvc.get().uri(chair).with(user("pell").roles("HANDS")))
                    .hasStatus(type.equals("JOIN") ? 200 : 403);
        }
    }
}
