package app.kemdro.solver;

import app.kemdro.solver.ExactModel.Step;
import app.kemdro.solver.ExactModel.Stretch;
import app.kemdro.solver.ExactModel.Way;
import com.google.ortools.sat.IntervalVar;
import java.util.ArrayList;
import java.util.List;

/** Ways to sit in a model. */
final class PostureConstraints {
    private final ExactModel exact;

    PostureConstraints(ExactModel exact) {
        this.exact = exact;
    }

    /** Whoever is worked on cannot sit in two ways at once. */
    void add() {
        List<Step> all = exact.steps().stream()
                .filter(s -> !s.task().posture().isEmpty())
                .toList();
        for (int i = 0; i < all.size(); i++) {
            for (Step other : all.subList(i + 1, all.size())) {
                if (all.get(i).task().otherPosture(other.task())) {
                    List<IntervalVar> both = new ArrayList<>(spans(all.get(i)));
                    both.addAll(spans(other));
                    exact.model().addNoOverlap(both);
                }
            }
        }
    }

    private List<IntervalVar> spans(Step step) {
        return exact.stretches(step, Way::length, w -> 1).stream()
                .map(Stretch::span)
                .toList();
    }
}
