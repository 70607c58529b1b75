package app.kemdro.solver;

import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.solver.ExactModel.Rested;
import app.kemdro.solver.ExactModel.Step;
import app.kemdro.solver.ExactModel.Way;
import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.Literal;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** A schedule that is known, told to a model so that its search begins there. */
final class ExactHint {
    private final ExactModel exact;

    ExactHint(ExactModel exact) {
        this.exact = exact;
    }

    /** Begins the search from a schedule that is known. */
    void from(Schedule known) {
        for (ScheduledTask p : known.placed()) {
            Step step = exact.step(p.task());
            exact.model().addHint(step.start(), exact.grid().within(p.start()));
            for (Way way : step.ways().size() > 1 ? step.ways() : List.<Way>of()) {
                say(way.is(), way.mode() == p.mode() && is(p.worker(), way.crew()) && is(p.helper(), way.helper()));
            }
        }
        for (int k = 0; k < exact.rests().size(); k++) {
            Rested rest = exact.rests().get(k);
            boolean there = k < known.rests().size();
            say(rest.there(), there);
            if (there) {
                exact.model()
                        .addHint(
                                rest.start(),
                                exact.grid().within(known.rests().get(k).start()));
            }
        }
        exact.model().addHint(exact.ready(), exact.grid().within(known.ready()));
    }

    private void say(Literal literal, boolean is) {
        if (literal instanceof BoolVar variable) {
            exact.model().addHint(variable, is ? 1 : 0);
        }
    }

    private boolean is(@Nullable String hands, int crew) {
        return crew < 0
                ? hands == null
                : exact.crews().get(crew).hands().stream().anyMatch(w -> w.id().equals(hands));
    }
}
