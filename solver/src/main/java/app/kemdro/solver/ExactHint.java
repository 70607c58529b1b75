package app.kemdro.solver;

import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.solver.ExactModel.Step;
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
            exact.model().addHint(step.start(), p.start());
            exact.model().addHint(step.end(), p.end());
            exact.model().addHint(step.length(), p.end() - p.start());
            for (int m = 0; m < step.modes().size(); m++) {
                exact.model().addHint(step.modes().get(m), m == p.mode() ? 1 : 0);
            }
            for (int w = 0; w < step.hands().size(); w++) {
                exact.model().addHint(step.hands().get(w), is(p.worker(), w));
            }
            for (int w = 0; w < step.helpers().size(); w++) {
                exact.model().addHint(step.helpers().get(w), is(p.helper(), w));
            }
        }
        for (int k = 0; k < exact.breaks().size(); k++) {
            boolean there = k < known.rests().size();
            exact.model().addHint(exact.breaks().get(k).there(), there ? 1 : 0);
            if (there) {
                exact.model()
                        .addHint(
                                exact.breaks().get(k).start(),
                                known.rests().get(k).start());
                exact.model()
                        .addHint(
                                exact.breaks().get(k).end(),
                                known.rests().get(k).end());
            }
        }
        exact.model().addHint(exact.ready(), known.ready());
    }

    private int is(@Nullable String hands, int worker) {
        return exact.network().workers().get(worker).id().equals(hands) ? 1 : 0;
    }
}
