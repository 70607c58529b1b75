package app.kemdro.core.run;

import app.kemdro.core.hour.Wall;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduledTask;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/** What planning again did to the order people have in mind, in a few words. */
public final class Moves {
    private static final int MOST = 2;

    private Moves() {}

    /**
     * The changes that matter first: work that came in or fell away, work given to other hands, and work that changed places
     * with what stood before it.
     */
    public static List<String> between(Plan plan, Schedule before, Schedule after, RunState state) {
        Map<String, ScheduledTask> was = new HashMap<>();
        before.placed().forEach(p -> was.put(p.task(), p));
        List<String> said = new ArrayList<>();
        List<ScheduledTask> open = after.placed().stream()
                .filter(p -> state.step(p.task()).status() == StepState.Status.WAITING)
                .toList();
        open.stream()
                .filter(p -> !was.containsKey(p.task()))
                .findFirst()
                .ifPresent(p -> said.add(title(plan, p) + " comes in at " + hour(plan, p)));
        for (ScheduledTask p : open) {
            ScheduledTask old = was.get(p.task());
            if (old != null && !Objects.equals(old.worker(), p.worker()) && p.worker() != null) {
                said.add(title(plan, p) + " goes to " + p.worker());
                break;
            }
        }
        overtaken(open, was)
                .ifPresent(pair -> said.add(title(plan, pair.later()) + " now after " + title(plan, pair.earlier())));
        return said.subList(0, Math.min(MOST, said.size()));
    }

    private record Pair(ScheduledTask earlier, ScheduledTask later) {}

    /** The first two on the same hands that have changed places. */
    private static Optional<Pair> overtaken(List<ScheduledTask> open, Map<String, ScheduledTask> was) {
        for (int i = 0; i < open.size(); i++) {
            for (int j = i + 1; j < open.size(); j++) {
                ScheduledTask earlier = open.get(i);
                ScheduledTask later = open.get(j);
                ScheduledTask oldEarlier = was.get(earlier.task());
                ScheduledTask oldLater = was.get(later.task());
                boolean same = earlier.worker() != null && earlier.worker().equals(later.worker());
                if (same && oldEarlier != null && oldLater != null && oldLater.start() < oldEarlier.start()) {
                    return Optional.of(new Pair(earlier, later));
                }
            }
        }
        return Optional.empty();
    }

    private static String title(Plan plan, ScheduledTask p) {
        return "“" + plan.step(p.task()).titleWithPlace() + "”";
    }

    private static String hour(Plan plan, ScheduledTask p) {
        return Wall.hour(plan.clock(p.start()));
    }
}
