package app.kemdro.solver;

import app.kemdro.solver.ExactModel.Step;
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
                    exact.model().addNoOverlap(List.of(all.get(i).work(), other.work()));
                }
            }
        }
    }
}
