package app.kemdro.core.question;

import app.kemdro.core.body.Body;
import app.kemdro.core.method.Rule.Pick;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.schedule.Rest;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.core.schedule.Task;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A plan as it is done, step after step. */
final class OrderAsDone {
    private final Plan plan;
    private final Body body;
    private final List<Done> steps;
    private final Map<String, List<Done>> byEntry;
    private final Map<String, List<Done>> byPart;

    OrderAsDone(Plan plan, Body body) {
        this.plan = plan;
        this.body = body;
        Map<String, Task> tasks = plan.network().tasks().stream().collect(Collectors.toMap(Task::id, t -> t));
        this.steps = plan.steps().stream()
                .flatMap(s -> plan.schedule().find(s.id()).map(t -> new Done(s, t, tasks.get(s.id()))).stream())
                .sorted(Comparator.comparingInt((Done d) -> d.at().start()))
                .toList();
        this.byEntry =
                steps.stream().collect(Collectors.groupingBy(Done::entry, LinkedHashMap::new, Collectors.toList()));
        this.byPart = steps.stream()
                .collect(Collectors.groupingBy(d -> d.step().part(), LinkedHashMap::new, Collectors.toList()));
    }

    /** A step with its time. */
    record Done(PlannedStep step, ScheduledTask at, Task task) {
        List<String> zones() {
            return Stream.of(step.zones(), step.formZones())
                    .flatMap(Collection::stream)
                    .distinct()
                    .toList();
        }

        String entry() {
            return step.entryId();
        }

        String title() {
            return "“" + step.titleWithPlace() + "”";
        }

        /** Whether hands do it. */
        boolean byHands() {
            return at.worker() != null;
        }
    }

    Plan plan() {
        return plan;
    }

    /** All steps, in the order in which they begin. */
    List<Done> steps() {
        return steps;
    }

    /** The same by entry of the look. */
    Map<String, List<Done>> byEntry() {
        return byEntry;
    }

    /** Parts of entries that are picked, as far as it is not said by steps. */
    List<List<Done>> picked(Pick pick) {
        return byPart.values().stream().filter(p -> fits(pick, p)).toList();
    }

    Set<String> regions(Collection<Done> some) {
        return some.stream()
                .flatMap(d -> d.zones().stream())
                .map(z -> body.zone(z).region())
                .collect(Collectors.toSet());
    }

    /** Whether an entry is picked, as far as it is not said by steps. */
    boolean fits(Pick pick, List<Done> entry) {
        return pick.fits(
                entry.get(0).step().technique(),
                regions(entry),
                entry.stream()
                        .flatMap(d -> d.zones().stream())
                        .anyMatch(plan.brief().costumeCovers()::contains));
    }

    /** Whether these zones meet or lie side by side. */
    boolean touch(Collection<String> some, Collection<String> others) {
        return some.stream()
                .anyMatch(a ->
                        others.contains(a) || body.zone(a).neighbours().stream().anyMatch(others::contains));
    }

    /** Seconds between two moments in which somebody could have worked. */
    int idle(int from, int to) {
        int idle = to - from;
        for (Rest rest : plan.schedule().rests()) {
            idle -= Math.max(0, Math.min(rest.end(), to) - Math.max(rest.start(), from));
        }
        return Math.max(0, idle);
    }

    /** As minutes are said; what is begun counts. */
    static int minutes(double seconds) {
        return (int) Math.ceil(seconds / 60);
    }
}
