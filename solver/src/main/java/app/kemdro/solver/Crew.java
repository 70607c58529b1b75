package app.kemdro.solver;

import app.kemdro.core.schedule.Pin;
import app.kemdro.core.schedule.Task;
import app.kemdro.core.schedule.TaskNetwork;
import app.kemdro.core.schedule.Worker;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Hands that are alike in all that matters: which of them does what makes no difference, and is not asked.
 *
 * @param hands those who are alike
 */
record Crew(List<Worker> hands) {
    private record Likeness(boolean lead, double pace, int from, int until, String named) {}

    /** The hands of a network, those that are alike together. */
    static List<Crew> of(TaskNetwork network) {
        Set<String> named = network.pins().stream()
                .map(Pin::worker)
                .filter(Objects::nonNull)
                .collect(Collectors.toSet());
        boolean leads = network.tasks().stream().anyMatch(t -> t.needs() == Task.Needs.LEAD);
        Map<Likeness, List<Worker>> alike = new LinkedHashMap<>();
        for (Worker w : network.workers()) {
            Likeness likeness = new Likeness(
                    leads && w.lead(),
                    w.pace(),
                    Math.max(0, w.from()),
                    w.until(),
                    named.contains(w.id()) ? w.id() : "");
            alike.computeIfAbsent(likeness, k -> new ArrayList<>()).add(w);
        }
        return alike.values().stream().map(Crew::new).toList();
    }

    Worker any() {
        return hands.get(0);
    }

    int size() {
        return hands.size();
    }

    boolean can(Task task) {
        return task.needs() != Task.Needs.LEAD || any().lead();
    }
}
