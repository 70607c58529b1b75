package app.kemdro.core.run;

import static app.kemdro.core.plan.Samples.TRADE;
import static app.kemdro.core.plan.Samples.assistant;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.lead;
import static app.kemdro.core.plan.Samples.planned;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.kemdro.core.layer.LayerRules;
import app.kemdro.core.plan.LookPlanner;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Samples;
import app.kemdro.core.schedule.Lag;
import app.kemdro.core.schedule.Outcome;
import app.kemdro.core.schedule.Planner;
import app.kemdro.core.schedule.Progress;
import app.kemdro.core.schedule.Rest;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.core.schedule.Task;
import app.kemdro.core.schedule.TaskNetwork;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;

class ReviewTest {
    private static final LookPlanner PLANNER = new LookPlanner(TRADE, LayerRules.standard(TRADE), Planner.trying(20));
    private static final Plan GUM = planned(Samples.look(Samples.entry("foam-piece-gum", "nose")), brief(lead("Ines")));
    private static final Plan PLAN = planned(Samples.bellFounder(), brief(lead("Ines"), assistant("Pell")));

    /** The plan's own morning, in which this step takes so many times as long and everything after it waits. */
    private static RunState slow(ScheduledTask slow, int times) {
        int more = (slow.end() - slow.start()) * (times - 1);
        List<RunEvent> events = new ArrayList<>();
        for (ScheduledTask p : PLAN.schedule().placed()) {
            int start = p.start() + (p.start() >= slow.end() ? more : 0);
            int end = p.end() + (p.end() >= slow.end() ? more : 0);
            String hands = p.worker() == null ? "" : p.worker();
            events.add(new RunEvent.Start(
                    new Stamp("s" + events.size(), PLAN.clock(start), hands), p.task(), p.mode(), false));
            events.add(new RunEvent.Finish(new Stamp("f" + events.size(), PLAN.clock(end), hands), p.task()));
        }
        return RunState.of(events);
    }

    /** Whichever one step dragged on, there is something to compare the day with. */
    @Test
    void anOrderIsFoundWhicheverStepTookEightTimesAsLong() {
        for (ScheduledTask p : PLAN.schedule().placed()) {
            OptionalInt knowing = Review.hindsight(PLAN, slow(p, 8), PLANNER);
            assertThat(knowing).as(p.task()).isPresent();
        }
    }

    private static List<RunEvent> asPlanned() {
        List<RunEvent> events = new ArrayList<>();
        for (ScheduledTask p : PLAN.schedule().placed()) {
            String hands = p.worker() == null ? "" : p.worker();
            events.add(new RunEvent.Start(
                    new Stamp("s" + events.size(), PLAN.clock(p.start()), hands), p.task(), p.mode(), false));
            events.add(new RunEvent.Finish(new Stamp("f" + events.size(), PLAN.clock(p.end()), hands), p.task()));
        }
        for (Rest rest : PLAN.schedule().rests()) {
            events.add(new RunEvent.Break(new Stamp("b" + rest.start(), PLAN.clock(rest.start()), "Ines")));
            events.add(new RunEvent.Back(new Stamp("k" + rest.start(), PLAN.clock(rest.end()), "Ines")));
        }
        return events;
    }

    /** Of a day that went as planned: nothing took longer, all had ended when it was to, and nobody could have done better by much. */
    @Test
    void aDayAsPlannedTookWhatWasPlanned() {
        RunState state = RunState.of(asPlanned());
        int lastEnd = PLAN.schedule().placed().stream()
                .mapToInt(ScheduledTask::end)
                .max()
                .orElseThrow();
        assertThat(Review.took(PLAN, state)).isEqualTo(lastEnd);
        assertThat(Review.over(PLAN, state))
                .hasSize(PLAN.steps().size())
                .allMatch(o -> o.seconds() == 0 && o.took() == o.planned());
        assertThat(Review.hindsight(PLAN, state, PLANNER).orElseThrow())
                .isLessThanOrEqualTo(PLAN.schedule().ready());
        assertThat(Review.took(PLAN, RunState.of(List.of()))).isZero();
        assertThat(Review.over(PLAN, RunState.of(List.of()))).isEmpty();
    }

    /** One step took eight times as long: it comes first, by seven times its time; what was left out is not counted. */
    @Test
    void whatTookLongerComesFirst() {
        ScheduledTask dragged = PLAN.schedule().placed().stream()
                .max(Comparator.comparingInt(p -> p.end() - p.start()))
                .orElseThrow();
        List<Review.Over> over = Review.over(PLAN, slow(dragged, 8));
        assertThat(over.get(0).step().id()).isEqualTo(dragged.task());
        assertThat(over.get(0).seconds()).isEqualTo(7 * (dragged.end() - dragged.start()));
        assertThat(over.get(0).planned()).isEqualTo(dragged.end() - dragged.start());
        assertThat(over.get(1).seconds()).isLessThan(over.get(0).seconds());
    }

    /** By hand: Ines has 100 s between two steps, of which 40 were a pause for everybody; Pell did one thing alone. */
    @Test
    void idleIsWhatLiesBetweenTwoStepsWithoutPauses() {
        List<String> ids =
                PLAN.schedule().placed().stream().map(ScheduledTask::task).toList();
        List<RunEvent> events = List.of(
                new RunEvent.Start(new Stamp("1", PLAN.clock(0), "Ines"), ids.get(0)),
                new RunEvent.Start(new Stamp("2", PLAN.clock(10), "Pell"), ids.get(1)),
                new RunEvent.Finish(new Stamp("3", PLAN.clock(60), "Ines"), ids.get(0)),
                new RunEvent.Finish(new Stamp("4", PLAN.clock(70), "Pell"), ids.get(1)),
                new RunEvent.Break(new Stamp("5", PLAN.clock(90), "Ines")),
                new RunEvent.Back(new Stamp("6", PLAN.clock(130), "Ines")),
                new RunEvent.Start(new Stamp("7", PLAN.clock(160), "Ines"), ids.get(2)),
                new RunEvent.Finish(new Stamp("8", PLAN.clock(200), "Ines"), ids.get(2)),
                new RunEvent.Start(new Stamp("9", PLAN.clock(230), "Ines"), ids.get(3)));
        assertThat(Review.idle(PLAN, RunState.of(events)))
                .containsExactlyInAnyOrderEntriesOf(Map.of("Ines", 60, "Pell", 0));
    }

    /** Ready goes a minute up, less than one, and two down: two turns, the greater first, and no more than are asked for. */
    @Test
    void turnsAreTheEventsThatMovedReady() {
        List<RunEvent> events = asPlanned().subList(0, 3);
        Schedule first = PLAN.schedule();
        List<Schedule> after = List.of(at(first.ready() + 60), at(first.ready() + 119), at(first.ready() - 10));
        assertThat(Review.turns(events, after, first, 5))
                .containsExactly(new Review.Turn(events.get(2), -129), new Review.Turn(events.get(0), 60));
        assertThat(Review.turns(events, after, first, 1)).hasSize(1);
    }

    private static Schedule at(int ready) {
        return new Schedule(List.of(), List.of(), ready, 0);
    }

    /**
     * What the planner is asked of a day on which one step was left out: without it, the others as long as they took. Where it
     * finds nothing, windows that were missed on the day need not be kept, and their waits still are.
     */
    @Test
    void whatIsAskedInHindsight() {
        ScheduledTask glued = GUM.schedule().of(tied().from());
        List<RunEvent> events = new ArrayList<>(List.of());
        String left = GUM.schedule().placed().get(0).task();
        int late = 7200;
        for (ScheduledTask p : GUM.schedule().placed()) {
            if (!p.task().equals(left)) {
                int by = p.start() >= glued.end() ? late : 0;
                String hands = p.worker() == null ? "" : p.worker();
                events.add(new RunEvent.Start(
                        new Stamp("s" + p.task(), GUM.clock(p.start() + by), hands), p.task(), p.mode(), false));
                events.add(new RunEvent.Finish(new Stamp("f" + p.task(), GUM.clock(p.end() + by), hands), p.task()));
            }
        }
        LookPlanner planner = mock(LookPlanner.class);
        when(planner.again(any(), any(), any())).thenReturn(new Outcome.NoHands(left), new Outcome.Planned(at(4321)));
        assertThat(Review.hindsight(GUM, RunState.of(events), planner)).hasValue(4321);
        ArgumentCaptor<Plan> plans = ArgumentCaptor.forClass(Plan.class);
        ArgumentCaptor<Progress> progress = ArgumentCaptor.forClass(Progress.class);
        verify(planner, times(2)).again(plans.capture(), progress.capture(), any());
        assertThat(progress.getValue().dropped()).containsExactly(left);
        assertThat(progress.getValue().now()).isZero();
        TaskNetwork strict = plans.getAllValues().get(0).network();
        TaskNetwork forgiving = plans.getAllValues().get(1).network();
        assertThat(strict.lags()).isEqualTo(GUM.network().lags());
        assertThat(strict.task(left)).isEqualTo(GUM.network().task(left));
        for (ScheduledTask p : GUM.schedule().placed()) {
            if (!p.task().equals(left) && p.worker() != null) {
                double seconds = strict.seconds(
                                strict.task(p.task()), strict.task(p.task()).way(p.mode()), p.worker())
                        + strict.task(p.task()).way(p.mode()).tool();
                assertThat(seconds).as(p.task()).isCloseTo(p.end() - p.start(), within(2.0));
            }
        }
        Lag was = tied();
        assertThat(strict.task(was.from()).way(glued.mode()).closes()).isLessThan(Task.Mode.NEVER);
        assertThat(forgiving.task(was.from()).way(glued.mode()).closes()).isEqualTo(Task.Mode.NEVER);
        for (Lag lag : GUM.network().lags()) {
            Lag then = forgiving.lags().get(GUM.network().lags().indexOf(lag));
            boolean missed = lag.from().equals(was.from()) && lag.ties();
            assertThat(then.from() + then.to() + then.because()).isEqualTo(lag.from() + lag.to() + lag.because());
            if (missed) {
                assertThat(then.within()).isNull();
            } else if (GUM.schedule().of(lag.to()).start() < glued.end()) {
                assertThat(then).isEqualTo(lag);
            }
        }
        when(planner.again(any(), any(), any())).thenReturn(new Outcome.NoHands(left));
        assertThat(Review.hindsight(GUM, RunState.of(events), planner)).isEmpty();
    }

    /** A glue that closes, and what is pressed into it. */
    private static Lag tied() {
        return GUM.network().lags().stream()
                .filter(l -> l.kind() == Lag.Kind.USABLE)
                .filter(l -> GUM.network()
                                .task(l.from())
                                .way(GUM.schedule().of(l.from()).mode())
                                .closes()
                        < Task.Mode.NEVER)
                .findFirst()
                .orElseThrow();
    }
}
