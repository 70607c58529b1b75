package app.kemdro.core.run;

import app.kemdro.core.body.Body;
import app.kemdro.core.material.Material;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.run.StepState.Status;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/**
 * How what has been laid comes off again fast, when the performer cannot go on: mouth and nose first, then the eyes, then the
 * rest of the face. On each place the glue is soaked first, then what it holds comes off, then the rest, what was laid last
 * coming first.
 */
public final class TakingOff {
    /** Rows in the order in which they must be free. */
    private static final List<String> FIRST = List.of("mouth", "nose", "eyes", "jaw", "cheeks", "forehead", "brows");

    private TakingOff() {}

    /**
     * One thing that comes off.
     *
     * @param with what takes it off, in words
     * @param soakMinutes how long that works before anything is lifted
     */
    public record Line(String what, String where, String with, int soakMinutes, List<String> cautions) {}

    /** What comes off in which order. */
    public static List<Line> of(Plan plan, RunState state, Body body) {
        List<PlannedStep> laid = plan.steps().stream()
                .filter(s -> begun(state, s)
                                && s.material().map(m -> !m.remover().isEmpty()).orElse(false)
                        || begun(state, s) && s.form().isPresent())
                .sorted(Comparator.comparing(
                                (PlannedStep s) -> state.step(s.id()).started())
                        .reversed())
                .toList();
        List<PlannedStep> gluesFirst = Stream.of(
                        laid.stream().filter(s -> s.form().isEmpty() && isGlue(s)),
                        laid.stream().filter(s -> s.form().isPresent()),
                        laid.stream().filter(s -> s.form().isEmpty() && !isGlue(s)))
                .flatMap(s -> s)
                .toList();
        Map<String, Set<String>> zonesOf = new LinkedHashMap<>();
        Map<String, Material> materials = new LinkedHashMap<>();
        for (int rank = 0; rank <= FIRST.size(); rank++) {
            for (PlannedStep step : gluesFirst) {
                Material material = step.form().orElseGet(() -> step.material().orElseThrow());
                for (String zone : step.zones()) {
                    if (rank(body.zone(zone).row()) == rank) {
                        String key = rank + " " + material.id();
                        materials.put(key, material);
                        zonesOf.computeIfAbsent(key, k -> new LinkedHashSet<>()).add(zone);
                    }
                }
            }
        }
        List<Line> lines = new ArrayList<>();
        materials.forEach((key, material) -> lines.add(new Line(
                material.name(),
                body.say(body.sorted(zonesOf.get(key))),
                material.remover(),
                material.soakMinutes(),
                material.cautions())));
        return lines;
    }

    private static boolean isGlue(PlannedStep step) {
        return step.material().map(m -> m.kind().equals("adhesive")).orElse(false);
    }

    private static boolean begun(RunState state, PlannedStep step) {
        Status status = state.step(step.id()).status();
        return status == Status.DONE || status == Status.RUNNING;
    }

    private static int rank(String row) {
        int at = FIRST.indexOf(row);
        return at < 0 ? FIRST.size() : at;
    }
}
