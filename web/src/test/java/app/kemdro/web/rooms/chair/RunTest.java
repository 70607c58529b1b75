package app.kemdro.web.rooms.chair;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.core.method.Trade;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.Stamp;
import app.kemdro.core.run.StepState.Status;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.TestClock;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.run.Asked;
import app.kemdro.web.records.run.Reports;
import app.kemdro.web.records.run.RunNow;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.run.Seats;
import app.kemdro.web.records.run.Standings;
import app.kemdro.web.records.run.Told;
import java.time.Duration;
import java.time.LocalDateTime;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.assertj.MockMvcTester;

@DemoTest
class RunTest {
    @Autowired
    private Trade trade;

    @Autowired
    private Standings standings;

    @Autowired
    private Seats seats;

    @Autowired
    private Reports reports;

    @Autowired
    private Runs runs;

    @Autowired
    private Jobs jobs;

    @Autowired
    private TestClock clock;

    @Autowired
    private MockMvcTester mvc;

    private Job job;
    private int pressed;

    @BeforeEach
    void seat() {
        job = DemoJobs.like("Sprue", "In the chair", jobs);
        seats.begin(job.id(), "ines");
    }

    private RunEvent event(String type, String step, String text) {
        return Told.event(
                new Stamp("press-000" + pressed++, LocalDateTime.now(clock), "Pell"),
                type,
                step,
                type.equals("ADD") ? 120 : 0,
                text);
    }

    private RunNow report(String type, String step, String text) {
        return reports.take(job.id(), event(type, step, text), "ines");
    }

    private ScheduledTask next(RunNow s) {
        return s.schedule().placed().stream()
                .filter(p -> s.state().step(p.task()).status() == Status.WAITING)
                .findFirst()
                .orElseThrow();
    }

    private RunNow now() {
        return standings.of(runs.open(job.id()).orElseThrow());
    }

    @Test
    void oneKeyFinishesAStepAndTheNextBegins() {
        ScheduledTask first = next(now());
        report("START", first.task(), "");
        clock.pass(Duration.ofMinutes(2));
        RunNow after = report("FINISH", first.task(), "");
        assertThat(after.state().step(first.task()).status()).isEqualTo(Status.DONE);
        assertThat(after.state().runningBy("Pell")).isPresent();
    }

    @Test
    void theSamePressTwiceCountsOnce() {
        RunEvent start = event("START", next(now()).task(), "");
        reports.take(job.id(), start, "ines");
        RunNow twice = reports.take(job.id(), start, "ines");
        assertThat(twice.state().events())
                .filteredOn(e -> e.id().equals(start.id()))
                .hasSize(1);
    }

    @Test
    void takeBackGivesBackTheStepAndWhatItLetBegin() {
        ScheduledTask first = next(now());
        report("START", first.task(), "");
        clock.pass(Duration.ofMinutes(1));
        report("FINISH", first.task(), "");
        RunNow back = report("UNDO", "", "");
        assertThat(back.state().runningBy("Pell")).contains(first.task());
    }

    @Test
    void whatCannotBeIsRefusedInWords() {
        ScheduledTask first = next(now());
        assertThatThrownBy(() -> report("FINISH", first.task(), "")).hasMessageContaining("not under way");
        assertThatThrownBy(() -> report("SKIP", first.task(), " ")).hasMessageContaining("why it is left out");
        assertThatThrownBy(() -> report("START", "no-such-step", "")).hasMessageContaining("no such step");
        assertThatThrownBy(() -> report("BACK", "", "")).hasMessageContaining("No break");
        report("START", first.task(), "");
        assertThatThrownBy(() -> report("START", first.task(), "")).hasMessageContaining("begun already");
        assertThatThrownBy(() -> report("BREAK", "", "")).hasMessageContaining("Finish it before the break");
    }

    @Test
    void aStepLeftOutMakesItReadySoonerAndKeepsItsReason() {
        RunNow before = now();
        String longest = before.plan().steps().stream()
                .filter(s -> s.template().id().equals("highlight"))
                .findFirst()
                .orElseThrow()
                .id();
        RunNow after = report("SKIP", longest, "no time");
        assertThat(after.schedule().ready()).isLessThan(before.schedule().ready());
        assertThat(after.state().step(longest).reason()).isEqualTo("no time");
    }

    @Test
    void lookAndBriefStandStillWhileTheRunIsOn() {
        assertThat(mvc.post()
                        .uri("/jobs/" + job.id() + "/look/remove")
                        .param("entry", "base")
                        .with(csrf())
                        .with(user("ines").roles("LEAD")))
                .hasStatus(409)
                .bodyText()
                .contains("The run is on");
        assertThat(jobs.get(job.id()).look().entries()).anyMatch(e -> e.id().equals("base"));
    }

    @Test
    void badReportsGetAClearAnswerAndChangeNothing() {
        int events = standings.eventsOf(runs.open(job.id()).orElseThrow()).size();
        for (String body : new String[] {
            "{",
            "[]",
            "{\"type\":\"DANCE\",\"id\":\"abcdefgh1\"}",
            "{\"id\":\"x\",\"type\":\"NOTE\",\"text\":\"a\"}",
            "{\"id\":\"abcdefgh+Ines\",\"type\":\"NOTE\",\"text\":\"a\"}",
            "{\"id\":\"abcdefgh12\"}",
            "{\"id\":\"abcdefgh13\",\"type\":\"NOTE\",\"text\":\"" + "x".repeat(9000) + "\"}"
        }) {
            var answer = mvc.post()
                    .uri("/jobs/" + job.id() + "/chair/events")
                    .contentType(MediaType.APPLICATION_JSON)
                    .content(body)
                    .with(csrf())
                    .with(user("pell").roles("HANDS"))
                    .exchange();
            assertThat(answer.getResponse().getStatus())
                    .as(body.substring(0, Math.min(40, body.length())))
                    .isBetween(400, 499);
            assertThat(answer).bodyText().doesNotContain("Exception").doesNotContain("at app.kemdro");
        }
        assertThat(standings.eventsOf(runs.open(job.id()).orElseThrow())).hasSize(events);
    }

    @Test
    void theScreenKnowsWhatIsWetAndWhatToLookFor() {
        RunNow s = now();
        while (s.state().steps().values().stream().noneMatch(x -> x.status() == Status.DONE)
                || new app.kemdro.core.run.Chair(s.plan(), s.state())
                        .films(LocalDateTime.now(clock))
                        .isEmpty()) {
            String step = s.state().runningBy("Pell").orElse(null);
            s = step == null ? report("START", next(s).task(), "") : report("FINISH", step, "");
            clock.pass(Duration.ofSeconds(40));
        }
        ChairView view = ChairView.of(s, LocalDateTime.now(clock), trade);
        assertThat(view.clocks()).isNotEmpty();
        assertThat(view.clocks().get(0).look()).isNotBlank();
        assertThat(view.zones()).isNotEmpty();
        assertThat(view.zones().values()).isSubsetOf("wet", "tacky", "closing", "dry");
    }

    /** Whoever only looks at the screen and presses what it offers comes to the end: breaks and costume included. */
    @Test
    void aWholeMorningCanBePressedToItsEnd() {
        Job founder = DemoJobs.called("Orrin Vask", jobs);
        seats.begin(founder.id(), "ines");
        ChairView view = view(founder);
        int rests = 0;
        for (int k = 0; k < 4000 && !view.allDone(); k++) {
            rests += view.onBreak() ? 1 : 0;
            press(founder, view);
            clock.pass(Duration.ofSeconds(20));
            view = view(founder);
        }
        assertThat(view.allDone())
                .as("%d of %d steps", view.done(), view.steps())
                .isTrue();
        assertThat(rests).as("a break was taken").isPositive();
        assertThat(view.inHandText()).doesNotContain("late");
    }

    private ChairView view(Job of) {
        return ChairView.of(standings.of(runs.open(of.id()).orElseThrow()), LocalDateTime.now(clock), trade);
    }

    private void press(Job of, ChairView view) {
        boolean somebodyWorks = view.hands().stream().anyMatch(h -> h.running() != null);
        for (ChairView.Hands h : view.hands()) {
            String type = null;
            if (view.onBreak()) {
                type = view.now() >= java.util.Objects.requireNonNull(view.breakUntil()) ? "BACK" : null;
            } else if (h.running() != null) {
                type = h.running().until() <= view.now() ? "FINISH" : null;
            } else if (h.restDue()) {
                type = somebodyWorks ? null : "BREAK";
            } else if (h.upcoming() != null && h.upcoming().from() <= view.now()) {
                type = "START";
            }
            if (type != null) {
                ChairView.Now at = h.running() != null ? h.running() : h.upcoming();
                String step = at == null || type.equals("BREAK") || type.equals("BACK") ? "" : at.step();
                try {
                    reports.take(
                            of.id(),
                            Told.event(
                                    new Stamp("whole-" + pressed++, LocalDateTime.now(clock), h.name()),
                                    type,
                                    step,
                                    0,
                                    ""),
                            "ines");
                    return;
                } catch (Asked tooSoon) {
                    // asked whether it is meant; nobody here means it, and looks again in a while
                }
            }
        }
    }

    /** A run keeps the look it was made for: the book is not rewritten by what is planned for next week. */
    @Test
    void theBookStaysTrueWhenTheLookIsChangedLater() {
        RunNow held = now();
        report("END", "", "");
        jobs.change(job.id(), j -> j.setLook(app.kemdro.core.look.Look.EMPTY));
        RunNow later = standings.of(runs.of(job.id()).get(0));
        assertThat(later.plan().schedule()).isEqualTo(held.plan().schedule());
    }
}
