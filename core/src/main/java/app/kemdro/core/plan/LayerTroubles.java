package app.kemdro.core.plan;

import app.kemdro.core.body.Body;
import app.kemdro.core.body.Capitals;
import app.kemdro.core.layer.Stack;
import app.kemdro.core.layer.Verdict;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Layers that will fail or may never be laid stand in the way of a day as much as anything does. */
public final class LayerTroubles {
    private LayerTroubles() {}

    private record Trouble(Verdict verdict, String material, String below, String because) {}

    /** One line for each pair that fails or is forbidden, with all its zones. */
    public static List<Problem> of(Plan plan, Body body) {
        Map<Trouble, List<String>> found = new LinkedHashMap<>();
        body.sorted(plan.stacks().keySet()).forEach(zone -> {
            List<Stack.Layer> layers = plan.stacks().get(zone).layers();
            for (int k = 0; k < layers.size(); k++) {
                Stack.Layer layer = layers.get(k);
                Verdict verdict = layer.boundary().verdict();
                if (verdict == Verdict.FAILS || verdict == Verdict.FORBIDDEN) {
                    String below = k == 0 ? "" : layers.get(k - 1).material().name();
                    found.computeIfAbsent(
                                    new Trouble(
                                            verdict,
                                            layer.material().name(),
                                            below,
                                            layer.boundary().because()),
                                    t -> new ArrayList<>())
                            .add(zone);
                }
            }
        });
        List<Problem> lines = new ArrayList<>();
        found.forEach((t, zones) -> lines.add(Problem.obstacle(
                true,
                "%s %s%s, %s: %s"
                        .formatted(
                                Capitals.capital(t.material()),
                                t.verdict() == Verdict.FORBIDDEN ? "may never lie there" : "will fail",
                                t.below().isEmpty() ? "" : " on " + t.below(),
                                body.say(zones),
                                Capitals.low(t.because())),
                "Press the zone in Look: what would mend it stands in its cut.",
                zones)));
        return lines;
    }
}
