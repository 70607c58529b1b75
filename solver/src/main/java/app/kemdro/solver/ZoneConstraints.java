package app.kemdro.solver;

import app.kemdro.core.schedule.Lag;
import app.kemdro.core.schedule.Task;
import app.kemdro.core.schedule.Task.Mode;
import app.kemdro.solver.ExactModel.Step;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.IntervalVar;
import com.google.ortools.sat.LinearArgument;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** Zones in a model: what is worked on, held still, and what lies there until it has settled. */
final class ZoneConstraints {
    private final ExactModel exact;

    ZoneConstraints(ExactModel exact) {
        this.exact = exact;
    }

    /** Two do not work on one zone, nor while it settles. */
    void add() {
        Map<String, List<IntervalVar>> lines = new TreeMap<>();
        for (Step step : exact.steps()) {
            for (String zone : step.task().holds()) {
                if (!step.task().zones().contains(zone)) {
                    lines.computeIfAbsent(zone, k -> new ArrayList<>()).add(step.work());
                }
            }
            Map<List<String>, IntervalVar> alike = new HashMap<>();
            for (String zone : step.task().zones()) {
                IntervalVar busy = alike.computeIfAbsent(into(step.task(), zone), next -> busy(step, next));
                lines.computeIfAbsent(zone, k -> new ArrayList<>()).add(busy);
            }
        }
        lines.values().forEach(exact.model()::addNoOverlap);
    }

    /** Tasks that work into what this one leaves in a zone. */
    private List<String> into(Task task, String zone) {
        return exact.network().lags().stream()
                .filter(l -> l.from().equals(task.id()) && l.into())
                .filter(l -> touches(exact.step(l.to()).task(), zone))
                .map(Lag::to)
                .distinct()
                .toList();
    }

    private static boolean touches(Task task, String zone) {
        return task.zones().contains(zone) || task.holds().contains(zone);
    }

    /** A zone is busy until what lies there has settled, or until something is worked into it; tied work keeps it till then. */
    private IntervalVar busy(Step step, List<String> next) {
        if (next.isEmpty() && step.task().modes().stream().allMatch(m -> m.settled() == 0)) {
            return step.work();
        }
        String id =
                step.task().id() + " " + next.size() + next.stream().findFirst().orElse("");
        IntVar until = exact.model().newIntVar(0, 2L * exact.horizon(), "u " + id);
        boolean tied = exact.network().lags().stream()
                .anyMatch(l -> l.from().equals(step.task().id()) && next.contains(l.to()) && l.into() && l.ties());
        List<LinearArgument> moments = new ArrayList<>();
        next.forEach(n -> moments.add(exact.step(n).start()));
        if (!tied) {
            moments.add(ExactModel.moment(step, Mode::settled).build());
        }
        exact.model().addMinEquality(until, moments);
        IntVar length = exact.model().newIntVar(0, 2L * exact.horizon(), "ul " + id);
        return exact.model().newIntervalVar(step.start(), length, until, "b " + id);
    }
}
