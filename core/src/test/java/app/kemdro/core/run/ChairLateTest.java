package app.kemdro.core.run;

import static app.kemdro.core.plan.Samples.assistant;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.lead;
import static app.kemdro.core.plan.Samples.planned;
import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.kemdro.core.plan.LookPlanner;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.plan.Samples;
import app.kemdro.core.schedule.Outcome;
import app.kemdro.core.schedule.Rest;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.core.schedule.Task.Mode;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A morning that runs late, or that cannot be kept: by hand, with a planner that answers what the test wants. */
class ChairLateTest {
    private static final Rest REST = new Rest(2400, 3000);

    private final Plan plan = planned(Samples.bellFounder(), brief(lead("Ines"), assistant("Pell")));
    private final List<String> ids =
            plan.steps().stream().map(PlannedStep::id).limit(3).toList();
    private final LookPlanner planner = mock(LookPlanner.class);
    private final Schedule before =
            new Schedule(List.of(at(0, 0, 600), at(1, 600, 1200), at(2, 3000, 3600)), List.of(REST), 3600, 3000);

    private ScheduledTask at(int step, int start, int end) {
        return new ScheduledTask(ids.get(step), "Ines", 0, start, end, end, Mode.NEVER, end, 0);
    }

    private Stamp stamp(String id, int second) {
        return new Stamp(id, plan.clock(second), "Ines");
    }

    private RunEvent begun(int step, int second) {
        return new RunEvent.Start(stamp("s" + step, second), ids.get(step));
    }

    private RunEvent done(int step, int second) {
        return new RunEvent.Finish(stamp("f" + step, second), ids.get(step));
    }

    @BeforeEach
    void itCannotSimplyGoOn() {
        when(planner.drift(any(), any(), any())).thenReturn(Optional.empty());
    }

    private Schedule goes(int second, RunEvent... events) {
        return new Chair(plan, RunState.of(List.of(events))).asItGoes(planner, before, plan.clock(second));
    }

    @Test
    void whatIsOnTimeStaysWhereItIs() {
        assertThat(goes(600, begun(0, 0), done(0, 600))).isSameAs(before);
        assertThat(goes(3000, begun(0, 0), done(0, 600), begun(1, 600), done(1, 1200)))
                .isSameAs(before);
    }

    /** Four minutes after the second should have begun it has not: it and the third are four minutes later, and so is the break. */
    @Test
    void whatWasNotBegunMovesEverythingThatIsToCome() {
        Schedule later = goes(840, begun(0, 0), done(0, 600));
        assertThat(later.of(ids.get(0)).start()).as("what is done").isZero();
        assertThat(later.of(ids.get(1)).start()).isEqualTo(840);
        assertThat(later.of(ids.get(2)).end()).isEqualTo(3840);
        assertThat(later.rests()).containsExactly(new Rest(2640, 3240));
        assertThat(later.ready()).isEqualTo(3840);
        assertThat(later.leastReady()).as("the least is not later").isEqualTo(3000);
    }

    /** A break that has begun stays; one that begins now moves along. */
    @Test
    void breaksThatAreStillToComeMoveAlong() {
        assertThat(goes(2399, begun(0, 0), done(0, 600)).rests()).containsExactly(new Rest(4199, 4799));
        assertThat(goes(2400, begun(0, 0), done(0, 600)).rests()).containsExactly(new Rest(4200, 4800));
        assertThat(goes(2401, begun(0, 0), done(0, 600)).rests()).containsExactly(REST);
    }

    /** The step was to take as long as the network says; five minutes were added, and what follows is later by what runs over. */
    @Test
    void whatRunsOverMovesWhatFollows() {
        RunEvent.Add added = new RunEvent.Add(stamp("a", 10), ids.get(0), 300);
        Chair chair = new Chair(plan, RunState.of(List.of(begun(0, 0), added)));
        int end = chair.progress(plan.clock(10)).past().get(0).end();
        assertThat(end).isGreaterThan(300);
        Schedule planned = new Schedule(List.of(at(0, 0, end - 300), at(1, end - 300, end)), List.of(), end, 0);
        Schedule later = chair.asItGoes(planner, planned, plan.clock(10));
        assertThat(later.of(ids.get(0)).end()).as("what runs is not moved").isEqualTo(end - 300);
        assertThat(later.of(ids.get(1)).start()).isEqualTo(end);
        assertThat(later.ready()).isEqualTo(end + 300);
    }

    private String trouble(Outcome refused, Outcome relaxed) {
        when(planner.again(any(), any(), any())).thenReturn(refused, relaxed, new Outcome.Planned(before));
        Chair.Again again = new Chair(plan, RunState.of(List.of())).planAgain(planner, before, plan.clock(0));
        assertThat(again.schedule()).isSameAs(before);
        return again.trouble();
    }

    @Test
    void whatCannotBeKeptIsSaidInWords() {
        String title = "“" + plan.step(ids.get(0)).titleWithPlace() + "”";
        Outcome fine = new Outcome.Planned(before);
        assertThat(trouble(fine, fine)).isEmpty();
        assertThat(trouble(new Outcome.NoHands(ids.get(0)), fine)).startsWith(title + " has no hands");
        assertThat(trouble(new Outcome.NoWindow(ids.get(0)), fine)).startsWith(title + " cannot be begun before");
        assertThat(trouble(new Outcome.Ring(List.of(ids.get(0), ids.get(1))), fine))
                .startsWith(title + " and others wait");
        assertThat(trouble(new Outcome.TooLate(ids.get(0), 60), fine)).startsWith("What is left cannot all be kept");
        assertThat(trouble(new Outcome.NoHands(ids.get(0)), new Outcome.NoHands(ids.get(0))))
                .as("the loosest of all is planned then")
                .startsWith(title);
    }

    @Test
    void whereNothingCanBePlannedTheOrderStays() {
        when(planner.again(any(), any(), any())).thenReturn(new Outcome.NoHands(ids.get(0)));
        Chair.Again again = new Chair(plan, RunState.of(List.of())).planAgain(planner, before, plan.clock(0));
        assertThat(again.schedule()).isSameAs(before);
        assertThat(again.trouble()).isNotEmpty();
    }
}
