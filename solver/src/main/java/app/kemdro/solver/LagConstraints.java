package app.kemdro.solver;

import app.kemdro.core.schedule.Lag;
import app.kemdro.core.schedule.Pin;
import app.kemdro.core.schedule.Task.Mode;
import app.kemdro.solver.ExactModel.Step;
import com.google.ortools.sat.LinearExpr;

/** What comes after what in a model, how soon and how late, and what is pinned to an hour or to hands. */
final class LagConstraints {
    private final ExactModel exact;

    LagConstraints(ExactModel exact) {
        this.exact = exact;
    }

    void add() {
        exact.network().lags().forEach(this::lag);
        exact.network().pins().forEach(this::pin);
    }

    private void lag(Lag lag) {
        Step from = exact.step(lag.from());
        Step to = exact.step(lag.to());
        switch (lag.kind()) {
            case END, FRESH, AFTER -> exact.model().addGreaterOrEqual(to.start(), from.end());
            case USABLE -> exact.model().addGreaterOrEqual(to.start(), ExactModel.moment(from, Mode::usable));
            case SETTLED -> exact.model().addGreaterOrEqual(to.start(), ExactModel.moment(from, Mode::settled));
        }
        for (int m = 0; m < from.modes().size(); m++) {
            Mode mode = from.task().modes().get(m);
            int most = most(lag, mode);
            if (most < Mode.NEVER) {
                exact.model()
                        .addLessOrEqual(
                                to.start(),
                                LinearExpr.newBuilder().add(from.end()).add(most))
                        .onlyEnforceIf(from.modes().get(m));
            }
        }
    }

    private void pin(Pin pin) {
        Step step = exact.step(pin.task());
        exact.model().addGreaterOrEqual(step.start(), pin.from());
        if (pin.until() < Mode.NEVER) {
            exact.model().addLessOrEqual(step.start(), pin.until());
        }
        for (int w = 0; w < step.hands().size() && pin.worker() != null; w++) {
            if (exact.network().workers().get(w).id().equals(pin.worker())) {
                exact.model().addEquality(step.hands().get(w), 1);
            }
        }
    }

    private static int most(Lag lag, Mode mode) {
        int opens = switch (lag.kind()) {
            case END, FRESH, AFTER -> 0;
            case USABLE -> mode.usable();
            case SETTLED -> mode.settled();
        };
        int limit = switch (lag.kind()) {
            case END, SETTLED, AFTER -> Mode.NEVER;
            case USABLE -> mode.closes();
            case FRESH -> Math.min(mode.usable(), mode.closes());
        };
        return lag.within() == null ? limit : Math.min(limit, opens + lag.within());
    }
}
