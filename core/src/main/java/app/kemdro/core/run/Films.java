package app.kemdro.core.run;

import app.kemdro.core.cure.DryingTimes;
import app.kemdro.core.material.MaterialRole;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.run.StepState.Status;
import app.kemdro.core.schedule.Task;
import app.kemdro.core.schedule.Task.Mode;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;

/** What is wet in the middle of a run, and what may be touched. */
final class Films {
    private final Plan plan;
    private final RunState state;

    Films(Plan plan, RunState state) {
        this.plan = plan;
        this.state = state;
    }

    /** Films that are still open, the ones to look at first coming first. */
    List<LiveFilm> at(LocalDateTime now) {
        List<LiveFilm> films = new ArrayList<>();
        for (PlannedStep step : plan.steps()) {
            StepState s = state.step(step.id());
            if (s.status() != Status.DONE || step.drying().isEmpty()) {
                continue;
            }
            List<String> open =
                    step.zones().stream().filter(z -> !workedOver(step, z)).toList();
            if (open.isEmpty()) {
                continue;
            }
            LiveFilm film = film(step, s, open, now);
            boolean gone = film.at(now) == LiveFilm.State.DRY
                    && step.material().map(m -> m.is(MaterialRole.CLEANS)).orElse(false);
            if (!gone) {
                films.add(film);
            }
        }
        films.sort(java.util.Comparator.comparing((LiveFilm f) -> f.at(now) == LiveFilm.State.DRY)
                .thenComparing(LiveFilm::clear));
        return films;
    }

    /** Whether something begun later lies on this zone. */
    private boolean workedOver(PlannedStep step, String zone) {
        LocalDateTime laid = state.step(step.id()).ended();
        return plan.steps().stream()
                .filter(o -> !o.id().equals(step.id()) && o.zones().contains(zone))
                .anyMatch(o -> {
                    LocalDateTime started = state.step(o.id()).started();
                    return started != null
                            && laid != null
                            && (started.isAfter(laid) || started.equals(laid) && follows(step.id(), o.id()));
                });
    }

    private boolean follows(String step, String other) {
        return plan.network().lags().stream().anyMatch(l -> l.from().equals(step) && l.to().equals(other));
    }

    private LiveFilm film(PlannedStep step, StepState s, List<String> zones, LocalDateTime now) {
        Task task = plan.network().task(step.id());
        Mode mode = task.way(s.mode());
        LocalDateTime laid = s.ended() == null ? plan.chairIn() : s.ended();
        DryingTimes drying = step.drying().orElseThrow();
        boolean dried = mode.tool() > 0;
        Blown blown = Blown.of(plan, step, s, now);
        int end = (int) Duration.between(plan.chairIn(), laid).getSeconds();
        LocalDateTime clear = blown.at(end, mode.settled());
        if (s.clearedAt() != null) {
            clear = s.clearedAt();
        } else if (s.lookAgainAt() != null && s.lookAgainAt().isAfter(clear)) {
            clear = s.lookAgainAt();
        }
        return new LiveFilm(
                step,
                zones,
                laid,
                dried || drying.tacky().isEmpty()
                        ? null
                        : blown.at(end, drying.tacky().getAsDouble()),
                dried || drying.closes().isEmpty()
                        ? null
                        : blown.at(end, drying.closes().getAsDouble()),
                clear,
                s.clearedAt() != null,
                s.dryerSince() != null);
    }
}
