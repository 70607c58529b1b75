package app.kemdro.solver;

import app.kemdro.core.schedule.Worker;
import app.kemdro.solver.ExactModel.Rested;
import app.kemdro.solver.ExactModel.Step;
import app.kemdro.solver.ExactModel.Stretch;
import app.kemdro.solver.ExactModel.Way;
import com.google.ortools.sat.CumulativeConstraint;
import com.google.ortools.sat.IntervalVar;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** Hands in a model: within their hours, no more at once than there are, and nothing while they rest. */
final class HandConstraints {
    private final ExactModel exact;

    HandConstraints(ExactModel exact) {
        this.exact = exact;
    }

    void add() {
        List<Crew> crews = exact.crews();
        exact.steps().forEach(this::withinHours);
        for (int c = 0; c < crews.size(); c++) {
            int crew = c;
            List<Stretch> work = new ArrayList<>();
            exact.steps().forEach(s -> work.addAll(exact.stretches(s, Way::length, w -> w.takes(crew))));
            atOnce(work, crews.get(c).size());
        }
        if (crews.size() > 1) {
            // all hands together: follows from each crew by itself, and says it sooner
            List<Stretch> work = new ArrayList<>();
            exact.steps().stream()
                    .filter(Step::handsOn)
                    .forEach(s -> work.addAll(exact.stretches(s, Way::length, w -> w.helper() < 0 ? 1 : 2)));
            atOnce(work, crews.stream().mapToInt(Crew::size).sum());
        }
        exact.steps().stream().filter(s -> !s.handsOn()).forEach(s -> {
            for (Stretch alone : exact.stretches(s, Way::length, w -> 1)) {
                exact.model()
                        .addNoOverlap(Stream.concat(
                                        Stream.of(alone.span()),
                                        exact.rests().stream().map(Rested::span))
                                .toList());
            }
        });
    }

    private void withinHours(Step step) {
        for (Way way : step.ways()) {
            if (way.crew() >= 0) {
                within(step, way, exact.crews().get(way.crew()).any());
            }
            if (way.helper() >= 0) {
                within(step, way, exact.crews().get(way.helper()).any());
            }
        }
    }

    private void within(Step step, Way way, Worker hands) {
        int from = exact.grid().reaching(Math.max(0, hands.from()));
        if (from > 0) {
            exact.model().addGreaterOrEqual(step.start(), from).onlyEnforceIf(way.is());
        }
        int until = exact.grid().within(hands.until());
        if (until < exact.horizon()) {
            exact.model()
                    .addLessOrEqual(ExactModel.plus(step.start(), way.length()), until)
                    .onlyEnforceIf(way.is());
        }
    }

    private void atOnce(List<Stretch> work, int hands) {
        if (hands == 1) {
            List<IntervalVar> line =
                    new ArrayList<>(work.stream().map(Stretch::span).toList());
            exact.rests().forEach(r -> line.add(r.span()));
            exact.model().addNoOverlap(line);
            return;
        }
        CumulativeConstraint together = exact.model().addCumulative(hands);
        work.forEach(w -> together.addDemand(w.span(), w.takes()));
        exact.rests().forEach(r -> together.addDemand(r.span(), hands));
    }
}
