package app.kemdro.core.run;

import static app.kemdro.core.plan.Samples.assistant;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.lead;
import static app.kemdro.core.plan.Samples.planned;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Samples;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.core.schedule.Task.Mode;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What is said of a plan that was planned again: what came in, who it goes to, what changed places; two things at most. */
class MovesTest {
    private static final Plan PLAN = planned(Samples.bellFounder(), brief(lead("Ines"), assistant("Pell")));
    private static final List<String> IDS =
            PLAN.steps().stream().map(s -> s.id()).limit(4).toList();
    private static final RunState NOTHING = RunState.of(List.of());

    private static ScheduledTask at(int step, String worker, int start) {
        return new ScheduledTask(IDS.get(step), worker, 0, start, start + 60, start + 60, Mode.NEVER, start + 60, 0);
    }

    private static String title(int step) {
        return "“" + PLAN.step(IDS.get(step)).titleWithPlace() + "”";
    }

    private static List<String> said(List<ScheduledTask> before, List<ScheduledTask> after, RunState state) {
        return Moves.between(PLAN, new Schedule(before, List.of(), 0, 0), new Schedule(after, List.of(), 0, 0), state);
    }

    @Test
    void whatComesInIsSaidWithItsHour() {
        assertThat(said(List.of(at(0, "Ines", 0)), List.of(at(0, "Ines", 0), at(1, "Ines", 3600)), NOTHING))
                .containsExactly(title(1) + " comes in at " + "%tR".formatted(PLAN.clock(3600)));
        assertThat(said(List.of(at(0, "Ines", 0)), List.of(at(0, "Ines", 30)), NOTHING))
                .as("later is no other order")
                .isEmpty();
    }

    @Test
    void otherHandsAreSaid() {
        assertThat(said(List.of(at(0, "Ines", 0)), List.of(at(0, "Pell", 0)), NOTHING))
                .containsExactly(title(0) + " goes to Pell");
        assertThat(said(List.of(at(0, "Ines", 0)), List.of(at(0, null, 0)), NOTHING))
                .isEmpty();
    }

    @Test
    void whatChangedPlacesOnTheSameHandsIsSaid() {
        List<ScheduledTask> before = List.of(at(0, "Ines", 0), at(1, "Ines", 60), at(2, "Pell", 120));
        assertThat(said(before, List.of(at(1, "Ines", 0), at(0, "Ines", 60), at(2, "Pell", 120)), NOTHING))
                .containsExactly(title(0) + " now after " + title(1));
        assertThat(said(before, List.of(at(2, "Pell", 0), at(0, "Ines", 0), at(1, "Ines", 60)), NOTHING))
                .as("other hands go their own way")
                .isEmpty();
        List<ScheduledTask> together = List.of(at(0, "Ines", 0), at(1, "Ines", 0));
        assertThat(said(together, List.of(at(1, "Ines", 0), at(0, "Ines", 60)), NOTHING))
                .isEmpty();
    }

    /** Three things at once: the first two are said. Of what has begun nothing is. */
    @Test
    void twoThingsAtMostAndNothingOfWhatHasBegun() {
        List<ScheduledTask> before = List.of(at(0, "Ines", 0), at(1, "Ines", 60), at(2, "Ines", 120));
        List<ScheduledTask> after =
                List.of(at(1, "Ines", 0), at(0, "Ines", 60), at(2, "Pell", 120), at(3, "Ines", 180));
        assertThat(said(before, after, NOTHING))
                .containsExactly(
                        title(3) + " comes in at " + "%tR".formatted(PLAN.clock(180)), title(2) + " goes to Pell");
        RunState begun = RunState.of(List.of(
                new RunEvent.Start(new Stamp("1", PLAN.clock(0), "Ines"), IDS.get(3)),
                new RunEvent.Start(new Stamp("2", PLAN.clock(0), "Pell"), IDS.get(2))));
        assertThat(said(before, after, begun)).containsExactly(title(0) + " now after " + title(1));
    }
}
