package app.kemdro.core.run;

import static app.kemdro.core.plan.Samples.TRADE;
import static app.kemdro.core.plan.Samples.assistant;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.lead;
import static app.kemdro.core.plan.Samples.planned;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.layer.LayerRules;
import app.kemdro.core.plan.LookPlanner;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Samples;
import app.kemdro.core.schedule.Planner;
import app.kemdro.core.schedule.ScheduledTask;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

class ReviewTest {
    private static final LookPlanner PLANNER = new LookPlanner(TRADE, LayerRules.standard(TRADE), Planner.trying(20));
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
}
