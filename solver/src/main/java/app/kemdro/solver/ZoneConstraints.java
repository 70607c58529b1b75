package app.kemdro.solver;

import app.kemdro.core.schedule.Lag;
import app.kemdro.core.schedule.Task;
import app.kemdro.solver.ExactModel.Step;
import app.kemdro.solver.ExactModel.Stretch;
import app.kemdro.solver.ExactModel.Way;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.IntervalVar;
import com.google.ortools.sat.LinearExpr;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
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
            Map<List<String>, List<IntervalVar>> alike = new HashMap<>();
            List<IntervalVar> held = spans(step, Way::length);
            for (String zone : step.task().holds()) {
                if (!step.task().zones().contains(zone)) {
                    lines.computeIfAbsent(zone, k -> new ArrayList<>()).addAll(held);
                }
            }
            for (String zone : step.task().zones()) {
                lines.computeIfAbsent(zone, k -> new ArrayList<>())
                        .addAll(alike.computeIfAbsent(into(step.task(), zone), next -> busy(step, next)));
            }
        }
        // zones on which the same happens are one
        Set<List<IntervalVar>> said = new HashSet<>();
        lines.values().stream().filter(l -> l.size() > 1).filter(said::add).forEach(exact.model()::addNoOverlap);
    }

    private List<IntervalVar> spans(Step step, java.util.function.ToIntFunction<Way> length) {
        return exact.stretches(step, length, w -> 1).stream().map(Stretch::span).toList();
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
    private List<IntervalVar> busy(Step step, List<String> next) {
        if (next.isEmpty()) {
            return spans(step, w -> w.length() + exact.settled(step, w));
        }
        String id = step.task().id() + " " + next.size() + next.get(0);
        long latest = 2L * exact.horizon();
        IntVar until = exact.model().newIntVar(0, latest, "u " + id);
        boolean tied = exact.network().lags().stream()
                .anyMatch(l -> l.from().equals(step.task().id()) && next.contains(l.to()) && l.into() && l.ties());
        if (tied && next.size() == 1) {
            exact.model().addEquality(until, exact.step(next.get(0)).start());
        } else {
            List<LinearExpr> moments = new ArrayList<>();
            next.forEach(n -> moments.add(ExactModel.plus(exact.step(n).start(), 0)));
            if (!tied) {
                moments.add(ExactModel.plus(settles(step, id, latest), 0));
            }
            exact.model().addMinEquality(until, moments);
        }
        IntVar length = exact.model().newIntVar(0, latest, "ul " + id);
        return List.of(exact.model().newIntervalVar(step.start(), length, until, "b " + id));
    }

    private IntVar settles(Step step, String id, long latest) {
        IntVar settled = exact.model().newIntVar(0, latest, "se " + id);
        for (Way way : step.ways()) {
            exact.model()
                    .addEquality(settled, ExactModel.plus(step.start(), way.length() + (long) exact.settled(step, way)))
                    .onlyEnforceIf(way.is());
        }
        return settled;
    }
}
