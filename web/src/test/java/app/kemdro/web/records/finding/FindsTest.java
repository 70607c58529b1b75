package app.kemdro.web.records.finding;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.Stamp;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.records.forgetting.Forgetting;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.paint.KeptRecipes;
import app.kemdro.web.records.run.Reports;
import app.kemdro.web.records.run.Run;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.run.Seats;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.authority.AuthorityUtils;

/** A search says what stands in jobs and books at this moment, and nothing that was taken out of them. */
@DemoTest
class FindsTest {
    private static final Authentication INES = who("ines", "ROLE_LEAD");
    private static final Authentication PELL = who("pell", "ROLE_HANDS");

    @Autowired
    private Finds finds;

    @Autowired
    private FindRows rows;

    @Autowired
    private Jobs jobs;

    @Autowired
    private KeptRecipes recipes;

    @Autowired
    private Seats seats;

    @Autowired
    private Runs runs;

    @Autowired
    private Reports reports;

    @Autowired
    private Forgetting forgetting;

    @Autowired
    private JdbcTemplate database;

    private Job job;

    private static Authentication who(String name, String role) {
        return UsernamePasswordAuthenticationToken.authenticated(name, "", AuthorityUtils.createAuthorityList(role));
    }

    @BeforeEach
    void aJob() {
        job = DemoJobs.like("The Night Shift, first founder", "found " + System.nanoTime(), jobs);
    }

    private List<String> found(String words) {
        return finds.find(words, INES).jobs().stream()
                .filter(f -> f.job() == job.id())
                .flatMap(f -> f.lines().stream())
                .map(Found.Line::text)
                .toList();
    }

    private void say(String id, String text) {
        Run run = runs.open(job.id()).orElseGet(() -> seats.begin(job.id(), "ines"));
        reports.take(job.id(), new RunEvent.Note(new Stamp(id + job.id(), runs.now(run), "Ines"), text), "ines");
    }

    @Test
    void whatIsChangedIsFoundAsItIsNow() {
        assertThat(found("zinnober")).isEmpty();
        jobs.change(job.id(), j -> j.describe(j.title(), "", "a coat of Zinnober dust", j.brief()));
        assertThat(found("zinnober dust")).containsExactly("a coat of Zinnober dust");
        jobs.change(job.id(), j -> j.describe(j.title(), "", "plain", j.brief()));
        assertThat(found("zinnober")).isEmpty();
    }

    @Test
    void aMixIsFoundUntilItIsThrownAway() {
        assertThat(found("quince")).isEmpty();
        recipes.keep(job.id(), "quince peel", "", Map.of("Bell cream, ochre", 2));
        assertThat(found("QUINCE ochre")).containsExactly("quince peel: 2 Bell cream, ochre");
        recipes.remove(job.id(), recipes.of(job.id()).get(0).id());
        assertThat(found("quince")).isEmpty();
    }

    @Test
    void whatIsSaidInTheChairIsFoundAsSoonAsItIsSaid() {
        say("first", "cardamom under the cap");
        assertThat(found("cardamom cap")).containsExactly("cardamom under the cap");
        say("second", "more cardamom");
        assertThat(found("cardamom")).containsExactly("cardamom under the cap", "more cardamom");
        assertThat(finds.find("cardamom", PELL).jobs()).noneMatch(f -> f.job() == job.id());
    }

    /** Words that stand in a job, but not in one line. */
    @Test
    void allWordsStandInOneLine() {
        jobs.change(job.id(), j -> j.describe(j.title(), "", "walnut", j.brief()));
        recipes.keep(job.id(), "almond", "", Map.of("Bell cream, ochre", 1));
        assertThat(found("walnut")).hasSize(1);
        assertThat(found("walnut almond")).isEmpty();
        assertThat(found("%lnut")).isEmpty();
    }

    @Test
    void whoIsForgottenIsFoundNoMoreAndNothingOfThemIsKept() {
        String name = job.performer().name();
        assertThat(found(name)).isNotEmpty();
        forgetting.person(job.performer());
        assertThat(database.queryForList("select low from find_text", String.class))
                .noneMatch(low -> low.contains(name.toLowerCase()));
        assertThat(found(name)).doesNotContain(name);
    }

    /** What is said while a job is being read would else be missed for ever. */
    @Test
    void whatIsChangedWhileItIsReadIsReadOnceMore() {
        found("anything");
        jobs.change(job.id(), j -> j.describe(j.title(), "", "first", j.brief()));
        FindRows.Unread reading = rows.unread(1000).stream()
                .filter(u -> u.job() == job.id())
                .findFirst()
                .orElseThrow();
        jobs.change(job.id(), j -> j.describe(j.title(), "", "tamarind", j.brief()));
        rows.keep(reading, "", "first", "[]");
        assertThat(found("tamarind")).containsExactly("tamarind");
    }

    @Test
    void whatIsSetAsideIsNotFound() {
        assertThat(found("found")).isNotEmpty();
        jobs.setAside(job.id(), LocalDateTime.of(2026, 12, 2, 19, 0));
        assertThat(found("found")).isEmpty();
    }
}
