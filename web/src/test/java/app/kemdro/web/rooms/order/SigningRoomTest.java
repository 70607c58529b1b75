package app.kemdro.web.rooms.order;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.look.Wish;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Planning;
import app.kemdro.core.question.Answer;
import app.kemdro.core.question.Questions;
import app.kemdro.core.schedule.ScheduleCheck;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.web.AsLead;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.Plans;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpStatus;
import org.springframework.test.web.servlet.assertj.MockMvcTester;

@DemoTest
class SigningRoomTest {
    private static final Pattern READY = Pattern.compile("Take the order that is ready (\\d\\d:\\d\\d)");

    @Autowired
    private Jobs jobs;

    @Autowired
    private Plans plans;

    @Autowired
    private Trade trade;

    @Autowired
    private MockMvcTester mvc;

    private String get(Job job, String room) throws Exception {
        return new AsLead(mvc).get("/jobs/" + job.id() + "/order" + room);
    }

    private Plan plan(Job job) {
        return plans.of(jobs.get(job.id())).plan().orElseThrow();
    }

    private List<String> no(Job job) {
        return new Questions(trade)
                .of(plan(job), jobs.get(job.id()).look()).stream()
                        .filter(a -> !a.yes())
                        .map(a -> a.question().id())
                        .toList();
    }

    /** Everything is true of every order of the demo. */
    @Test
    void everyDemoJobCanBeSigned() {
        DemoJobs.all(jobs).stream().filter(j -> j.id() <= 4).forEach(job -> {
            List<Answer> answers = new Questions(trade).of(plan(job), job.look());
            assertThat(answers).hasSize(15);
            assertThat(answers).as(job.title()).allMatch(Answer::yes);
        });
    }

    /** What the room shows is what is asked of the order; the fifteen stand there before anything has been looked for. */
    @Test
    void theRoomShowsEachQuestionOnce() throws Exception {
        Job job = DemoJobs.called("Orrin Vask", jobs);
        for (String room : List.of("", "/signing")) {
            String page = get(job, room);
            new Questions(trade)
                    .of(plan(job), job.look())
                    .forEach(a ->
                            assertThat(page).containsOnlyOnce(">" + a.question().says() + "<"));
        }
    }

    /** Skin that stays bare is named, is meant to be by a press, and is not any more by another. */
    @Test
    void skinIsMeantToStayBareByAPress() throws Exception {
        Job job = bareFace("left bare");
        assertThat(no(job)).contains("bare");
        assertThat(get(job, "")).contains("stays bare", "It is meant to be");
        press(job, "bare", "meant", "true");
        assertThat(no(job)).doesNotContain("bare");
        assertThat(get(job, "")).contains("Meant to stay bare:").doesNotContain("It is meant to be");
        press(job, "bare", "meant", "false");
        assertThat(no(job)).contains("bare");
    }

    private Job bareFace(String title) {
        Job job = DemoJobs.like("Orrin Vask", title, jobs);
        return jobs.change(
                job.id(),
                j -> j.setLook(new Look(List.of(new LookEntry("base", "base-cream", List.of("forehead", "nose"), 0)))));
    }

    private void press(Job job, String what, String... fields) throws Exception {
        List<String> all = new ArrayList<>(List.of("had", jobs.get(job.id()).meant()));
        all.addAll(List.of(fields));
        new AsLead(mvc).post("/jobs/" + job.id() + "/order/" + what, all.toArray(String[]::new));
    }

    private List<String> no(Planning planning, Look look) {
        return planning instanceof Planning.Done done
                ? new Questions(trade)
                        .of(done.plan(), look).stream()
                                .filter(a -> !a.yes())
                                .map(a -> a.question().says())
                                .toList()
                : List.of();
    }

    /** A wish after which more is answered with no than now. */
    private Wish askingMore(Job job) {
        List<ScheduledTask> order = plan(job).schedule().placed();
        List<String> now = no(plans.of(job).planning(), job.look());
        String first = order.get(0).task();
        return order.stream()
                .map(p -> Wish.before(p.task(), first))
                .filter(w -> !w.step().equals(first))
                .filter(w -> !now.containsAll(no(
                        plans.rough(job.look().wishing(w), job.brief()),
                        job.look().wishing(w))))
                .findFirst()
                .orElseThrow();
    }

    /** A wish that somebody pointed at, and did not press, answers nothing that is asked of the order. */
    @Test
    void whatIsOnlyPointedAtIsNotAskedOfTheOrder() throws Exception {
        Job job = DemoJobs.like("Orrin Vask", "pointed elsewhere", jobs);
        Wish wish = askingMore(job);
        String wishes = "/jobs/" + job.id() + "/order/wishes";
        var pointed = mvc.post()
                .uri(wishes)
                .param("press", "BEFORE")
                .param("step", wish.step())
                .param("to", wish.to())
                .header("X-Ahead", "1")
                .header("X-Live", "1");
        assertThat(pointed.with(csrf()).with(user("ines").roles("LEAD"))).hasStatus(HttpStatus.NO_CONTENT);
        new AsLead(mvc).post(wishes, "press", "HOLD", "step", wish.to());
        Job held = jobs.get(job.id());
        assertThat(held.look().wishes()).isNotEmpty().doesNotContain(wish);
        for (String room : List.of("", "/signing")) {
            assertThat(Jsoup.parse(get(job, room)).select(".asked.no b").eachText())
                    .isEqualTo(no(plans.of(held).planning(), held.look()));
        }
    }

    /** An order between the shortest and the calmest is taken by a press, is sound, is ready when it said, and stays. */
    @Test
    void aCalmerOrderIsTakenByAPressAndStays() throws Exception {
        for (Job demo : DemoJobs.all(jobs).stream().filter(j -> j.id() <= 4).toList()) {
            Job job = DemoJobs.like(demo.title(), "calmer " + demo.id(), jobs);
            Matcher ready = READY.matcher(get(job, "/signing"));
            Matcher number =
                    Pattern.compile("name=\"between\" value=\"(\\d+)\"").matcher(get(job, "/signing"));
            while (ready.find() && number.find()) {
                Job again = DemoJobs.like(demo.title(), "calmer " + demo.id() + "." + number.group(1), jobs);
                Plan before = plan(again);
                press(again, "signing", "between", number.group(1));
                Plan after = plan(again);
                assertThat(ScheduleCheck.problems(after.network(), after.schedule()))
                        .isEmpty();
                int later = after.schedule().ready() - before.schedule().ready();
                assertThat(later).isLessThanOrEqualTo(after.brief().allowed().minutes() * 60 + 60);
                assertThat(Words.ready(before.clock(after.schedule().ready()))).isEqualTo(ready.group(1));
                jobs.change(again.id(), j -> j.describe(j.title() + "!", j.production(), j.idea(), j.brief()));
                assertThat(plan(again).schedule().placed())
                        .isEqualTo(after.schedule().placed());
            }
        }
    }

    @Test
    void aPressOnAnOrderOfYesterdayChangesNothing() throws Exception {
        Job job = bareFace("overtaken");
        new AsLead(mvc).post("/jobs/" + job.id() + "/order/bare", "had", "0.0", "meant", "true");
        assertThat(jobs.get(job.id()).brief().allowed().bare()).isEmpty();
        int allowed = job.brief().allowed().minutes();
        press(job, "signing", "mends", "no-such-question");
        press(job, "signing", "between", "99");
        assertThat(jobs.get(job.id()).brief().allowed().minutes()).isEqualTo(allowed);
    }
}
