package app.kemdro.core.run;

import static app.kemdro.core.plan.Samples.CALL;
import static app.kemdro.core.plan.Samples.assistant;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.entry;
import static app.kemdro.core.plan.Samples.lead;
import static app.kemdro.core.plan.Samples.look;
import static app.kemdro.core.plan.Samples.planned;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.look.Brief;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.plan.Samples;
import app.kemdro.core.schedule.Lag;
import app.kemdro.core.schedule.Progress;
import app.kemdro.core.schedule.Rest;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.core.schedule.Task.Mode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.junit.jupiter.api.Test;

/** What keeps a step from beginning, what hands have ahead, and how time that passes moves what is still to come. */
class ChairKeepsTest {
    /** Glue on skin and piece, waited for until it grabs, and pressed before it no longer does. */
    private static final Plan PIECE =
            planned(look(entry("silicone-silicone", "cheek-left")), brief(lead("Ines"), assistant("Pell")));

    private static final Lag GRABS = PIECE.network().lags().stream()
            .filter(l ->
                    l.kind() == Lag.Kind.USABLE && PIECE.step(l.from()).drying().isPresent())
            .findFirst()
            .orElseThrow();

    private final List<RunEvent> events = new ArrayList<>();

    private void report(int second, String hands, Function<Stamp, RunEvent> event) {
        events.add(event.apply(new Stamp("e" + events.size(), PIECE.clock(second), hands)));
    }

    private Chair chair() {
        return new Chair(PIECE, RunState.of(events));
    }

    private void glued(int at) {
        int mode = PIECE.schedule().of(GRABS.from()).mode();
        report(at - 60, "Ines", s -> new RunEvent.Start(s, GRABS.from(), mode, false));
        report(at, "Ines", s -> new RunEvent.Finish(s, GRABS.from()));
    }

    private Optional<String> keeps(int second) {
        return chair().keeps(GRABS.to(), PIECE.clock(second));
    }

    private ScheduledTask glue(int second) {
        return chair().progress(PIECE.clock(second)).past().stream()
                .filter(p -> p.task().equals(GRABS.from()))
                .findFirst()
                .orElseThrow();
    }

    /** Not done, under way, wet, grabbing, and past its time; whoever looked knows better than any clock. */
    @Test
    void pressingWaitsForGlueThatGrabs() {
        String title = PIECE.step(GRABS.from()).titleWithPlace();
        assertThat(keeps(0)).hasValueSatisfying(w -> assertThat(w).contains("comes before it and is not done."));
        report(300, "Ines", s -> new RunEvent.Start(s, GRABS.from()));
        assertThat(keeps(310))
                .hasValueSatisfying(
                        w -> assertThat(w).isEqualTo("“" + title + "” comes before it and is still under way."));
        events.clear();
        allBefore();
        glued(600);
        int opens = glue(601).usable();
        assertThat(opens).isGreaterThan(620);
        assertThat(keeps(605)).contains("Silicone adhesive, left cheek, is not ready for another 1 min by the clock.");
        assertThat(keeps(opens - 11)).hasValueSatisfying(w -> assertThat(w).contains("another 1 min"));
        assertThat(keeps(opens - 10)).as("nobody is asked about ten seconds").isEmpty();
        assertThat(keeps(opens)).isEmpty();
        int closes = glue(601).closes();
        assertThat(keeps(closes)).isEmpty();
        assertThat(keeps(closes + 1))
                .hasValueSatisfying(
                        w -> assertThat(w).startsWith("The window has closed: silicone adhesive, left cheek"));
        report(620, "Ines", s -> new RunEvent.Clear(s, GRABS.from()));
        assertThat(keeps(621)).isEmpty();
        assertThat(keeps(closes + 1)).isEmpty();
    }

    /** Whatever else comes before it is done, so that only the glue is asked about. */
    private void allBefore() {
        PIECE.network().lags().stream()
                .filter(l -> l.to().equals(GRABS.to()) && !l.from().equals(GRABS.from()))
                .map(Lag::from)
                .distinct()
                .forEach(from -> {
                    report(10, "Ines", s -> new RunEvent.Start(s, from));
                    report(20, "Ines", s -> new RunEvent.Finish(s, from));
                    report(21, "Ines", s -> new RunEvent.Clear(s, from));
                });
    }

    @Test
    void eachPairOfHandsHasWhatIsStillToBeBegun() {
        Schedule schedule = PIECE.schedule();
        List<ScheduledTask> ines = chair().ahead(schedule, "Ines");
        assertThat(ines).isNotEmpty().allMatch(p -> "Ines".equals(p.worker()));
        assertThat(chair().ahead(schedule, "Pell")).allMatch(p -> "Pell".equals(p.worker()));
        assertThat(chair().ahead(schedule, Chair.NOBODY)).allMatch(p -> p.worker() == null);
        String first = ines.get(0).task();
        report(0, "Ines", s -> new RunEvent.Start(s, first));
        assertThat(chair().ahead(schedule, "Ines"))
                .hasSize(ines.size() - 1)
                .noneMatch(p -> p.task().equals(first));
    }

    /** What was planned to wait for a film is said to wait for it, once the film lies there. */
    @Test
    void whatWaitsForAFilmSaysSo() {
        ScheduledTask press = PIECE.schedule().of(GRABS.to());
        assertThat(chair().waitsFor(PIECE.schedule(), press)).isEmpty();
        ScheduledTask glue = PIECE.schedule().of(GRABS.from());
        report(glue.start(), "Ines", s -> new RunEvent.Start(s, GRABS.from(), glue.mode(), false));
        report(glue.end(), "Ines", s -> new RunEvent.Finish(s, GRABS.from()));
        Optional<PlannedStep> film = chair().waitsFor(PIECE.schedule(), press);
        assertThat(film.map(PlannedStep::id).isPresent()).isEqualTo(press.start() <= glue.usable() + 1);
        ScheduledTask much = press.later(600);
        assertThat(chair().waitsFor(PIECE.schedule(), much))
                .as("later than it needs to, it waits for something else")
                .isEmpty();
    }

    /** A break lasts as long as its turn says, or as long as who went away said. */
    @Test
    void aBreakIsOverWhenItsTurnIs() {
        assertThat(chair().breakEnds()).isEmpty();
        report(100, "Ines", RunEvent.Break::new);
        assertThat(chair().breakEnds()).contains(PIECE.clock(100 + 600));
        assertThat(chair().progress(PIECE.clock(200)).rests()).containsExactly(new Rest(100, 700));
        assertThat(chair().progress(PIECE.clock(900)).rests()).containsExactly(new Rest(100, 900));
        report(950, "Ines", RunEvent.Back::new);
        assertThat(chair().breakEnds()).isEmpty();
        assertThat(chair().progress(PIECE.clock(2000)).rests()).containsExactly(new Rest(100, 950));
        report(2000, "Ines", s -> new RunEvent.Away(s, 240));
        assertThat(chair().breakEnds()).contains(PIECE.clock(2240));
    }

    /** What runs takes as long as planned, with what was added and what was paused; once that is over, half a minute more. */
    @Test
    void whatRunsIsExpectedToEndAsItWasPlanned() {
        ScheduledTask first = PIECE.schedule().placed().stream()
                .filter(p -> "Ines".equals(p.worker()) && p.end() - p.start() >= 60)
                .findFirst()
                .orElseThrow();
        int length = first.end() - first.start();
        report(0, "Ines", s -> new RunEvent.Start(s, first.task(), first.mode(), false));
        assertThat(end(first, 5)).isEqualTo(length);
        report(6, "Ines", s -> new RunEvent.Add(s, first.task(), 120));
        assertThat(end(first, 7)).isEqualTo(length + 120);
        report(10, "Ines", RunEvent.Break::new);
        report(50, "Ines", RunEvent.Back::new);
        assertThat(end(first, 60)).isEqualTo(length + 120 + 40);
        assertThat(end(first, length + 1000)).isEqualTo(length + 1000 + 30);
        Progress progress = chair().progress(PIECE.clock(60));
        assertThat(progress.now()).isEqualTo(60);
        assertThat(progress.dropped()).isEmpty();
        report(70, "Ines", s -> new RunEvent.Skip(s, first.task(), "no time"));
        assertThat(chair().progress(PIECE.clock(80)).dropped()).containsExactly(first.task());
        assertThat(chair().progress(PIECE.clock(-50)).now()).isZero();
    }

    private int end(ScheduledTask task, int second) {
        return chair().progress(PIECE.clock(second)).past().stream()
                .filter(p -> p.task().equals(task.task()))
                .mapToInt(ScheduledTask::end)
                .findFirst()
                .orElseThrow();
    }

    /** Nobody has begun for ten minutes: all of it is ten minutes later, and no more. */
    @Test
    void whatWasNotBegunMovesWithTheTime() {
        Schedule late = chair().asItGoes(Samples.PLANNER, PIECE.schedule(), PIECE.clock(600));
        assertThat(late.ready())
                .isBetween(PIECE.schedule().ready() + 540, PIECE.schedule().ready() + 600);
        assertThat(late.placed()).allMatch(p -> p.start() >= 600);
        Schedule same = chair().asItGoes(Samples.PLANNER, PIECE.schedule(), PIECE.clock(0));
        assertThat(same.ready()).isEqualTo(PIECE.schedule().ready());
    }

    /** Where there is no order that keeps everything, the screen says which step and what would help. */
    @Test
    void whatCannotBeKeptIsSaid() {
        Plan late = planned(
                look(entry("foam-piece", "cheek-left")),
                brief(lead("Ines"))
                        .with(List.of(new Brief.Hands("Ines", Brief.Skill.LEAD, CALL.minusHours(12), CALL))));
        Chair.Again none = new Chair(late, RunState.of(List.of()))
                .planAgain(Samples.PLANNER, late.schedule(), CALL.minusMinutes(5));
        assertThat(none.trouble()).startsWith("“").contains("has no hands").endsWith("Somebody must join.");
        assertThat(none.schedule().placed()).hasSize(late.steps().size());
        Chair.Again fine =
                new Chair(late, RunState.of(List.of())).planAgain(Samples.PLANNER, late.schedule(), late.chairIn());
        assertThat(fine.trouble()).isEmpty();
    }

    /** Who helps sees it, as long as it is still to be done. */
    @Test
    void whoHelpsSeesWhatWith() {
        ScheduledTask first = PIECE.schedule().placed().get(0);
        ScheduledTask helped = new ScheduledTask(first.task(), "Ines", "Pell", 0, 0, 60, 60, Mode.NEVER, 60, 0);
        Schedule schedule = new Schedule(List.of(helped), List.of(), 60, 0);
        assertThat(chair().helping(schedule, "Pell")).containsExactly(helped);
        assertThat(chair().helping(schedule, "Ines")).isEmpty();
        report(0, "Ines", s -> new RunEvent.Start(s, first.task()));
        assertThat(chair().helping(schedule, "Pell")).containsExactly(helped);
        report(60, "Ines", s -> new RunEvent.Finish(s, first.task()));
        assertThat(chair().helping(schedule, "Pell")).isEmpty();
    }
}
