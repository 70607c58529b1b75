package app.kemdro.web.book;

import app.kemdro.core.learn.Pace;
import app.kemdro.core.look.Brief.Hands;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.run.StepState;
import app.kemdro.core.run.StepState.Status;
import app.kemdro.core.schedule.Task;
import app.kemdro.web.chair.Runs;
import app.kemdro.web.chair.Runs.Standing;
import java.time.Duration;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What the runs of the house say of how quick somebody is. */
@Component
class OwnPace {
    private final Runs runs;

    OwnPace(Runs runs) {
        this.runs = runs;
    }

    /** What is believed of the pace of hands of this name, from the latest runs in which they worked. */
    Pace of(String name) {
        return Pace.LIBRARY.after(runs.held().stream()
                .map(runs::standing)
                .flatMap(s -> run(s, name).stream())
                .toList());
    }

    /** What they did in a run; steps that were given more time on the way are left out. */
    private static Optional<Pace.Run> run(Standing s, String name) {
        Optional<Hands> hands = s.plan().brief().crew().stream()
                .filter(h -> h.name().equals(name))
                .findFirst();
        if (hands.isEmpty()) {
            return Optional.empty();
        }
        double actual = 0;
        double planned = 0;
        for (PlannedStep step : s.plan().steps()) {
            StepState state = s.state().step(step.id());
            boolean own = state.status() == Status.DONE && state.hands().equals(name) && state.addedSeconds() == 0;
            if (own && state.started() != null && state.ended() != null) {
                Task task = s.plan().network().task(step.id());
                Task.Mode way = task.way(state.mode());
                double share = way.helped() ? way.together() : 1;
                actual += Duration.between(state.started(), state.ended()).getSeconds();
                planned += task.work() * share * hands.get().skill().pace() + way.tool();
            }
        }
        return planned == 0 ? Optional.empty() : Optional.of(new Pace.Run(actual, planned));
    }
}
