package app.kemdro.core.run;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.plan.Planning;
import app.kemdro.core.plan.Samples;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduledTask;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;

/** A run as tests make it: a look is planned, and events are reported one after another. */
final class Mornings {
    private final Look look;
    private final Brief brief;
    private final Plan first;
    private final List<RunEvent> events = new ArrayList<>();

    Mornings(Look look, Brief brief) {
        this.look = look;
        this.first = Samples.planned(look, brief);
        this.brief = brief.seated(first.chairIn());
    }

    Plan first() {
        return first;
    }

    LocalDateTime at(int second) {
        return first.clock(second);
    }

    /** Reports at this second. */
    Mornings report(int second, String hands, Function<Stamp, RunEvent> event) {
        events.add(event.apply(new Stamp("event-" + events.size(), at(second), hands)));
        return this;
    }

    /** Carries out the plan until this second. */
    Mornings carriedOutUntil(int second) {
        for (ScheduledTask p : first.schedule().placed()) {
            String hands = p.worker() == null ? "" : p.worker();
            if (p.start() < second) {
                report(p.start(), hands, s -> new RunEvent.Start(s, p.task(), p.mode(), false));
            }
            if (p.end() <= second) {
                report(p.end(), hands, s -> new RunEvent.Finish(s, p.task()));
            }
        }
        return this;
    }

    RunState state() {
        return RunState.of(events);
    }

    Changes changes() {
        return Changes.of(look, brief, state());
    }

    /** What is carried out now. */
    Plan plan() {
        return ((Planning.Done) planning()).plan();
    }

    /** The same, or why it cannot be. */
    Planning planning() {
        Changes c = changes();
        return Samples.PLANNER.underWay(c.look(), c.brief(), first.chairIn(), c.extras(), first.schedule());
    }

    Chair.Again again(int second) {
        return new Chair(plan(), state()).planAgain(Samples.PLANNER, first.schedule(), at(second));
    }

    Schedule rest(int second) {
        return again(second).schedule();
    }

    /** The first step whose id has this in it. */
    String step(String part) {
        return plan().steps().stream()
                .map(PlannedStep::id)
                .filter(id -> id.contains(part))
                .findFirst()
                .orElseThrow();
    }

    Standing standing(int second) {
        return new Standing(plan(), changes(), state(), rest(second));
    }
}
