package app.kemdro.core.run;

import app.kemdro.core.run.RunEvent.Type;
import app.kemdro.core.run.StepState.Status;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What is now: the fold of everything that happened and was not taken back.
 *
 * @param events those that count, in the order in which they were taken in
 */
public record RunState(
        Map<String, StepState> steps,
        List<Pause> pauses,
        List<RunEvent> notes,
        @Nullable LocalDateTime began,
        @Nullable LocalDateTime ended,
        List<RunEvent> events) {

    /** A break, open while {@code until} is none. */
    public record Pause(LocalDateTime from, @Nullable LocalDateTime until) {}

    /** Folds events; one id counts once, and what was taken back does not count. */
    public static RunState of(List<RunEvent> all) {
        List<RunEvent> counting = counting(all);
        Map<String, StepState> steps = new LinkedHashMap<>();
        List<Pause> pauses = new ArrayList<>();
        List<RunEvent> notes = new ArrayList<>();
        LocalDateTime began = null;
        LocalDateTime ended = null;
        for (RunEvent e : counting) {
            StepState was = steps.getOrDefault(e.step(), StepState.WAITING);
            switch (e.type()) {
                case BEGIN -> began = e.at();
                case END -> ended = e.at();
                case START -> steps.put(e.step(), was.begun(e));
                case FINISH -> steps.put(e.step(), was.finished(e));
                case SKIP -> steps.put(e.step(), was.skipped(e));
                case ADD -> steps.put(e.step(), was.longer(e));
                case CLEAR -> steps.put(e.step(), was.clear(e));
                case NOT_YET -> steps.put(e.step(), was.notYet(e));
                case BREAK -> pauses.add(new Pause(e.at(), null));
                case BACK -> endPause(pauses, e.at());
                case NOTE -> notes.add(e);
                case UNDO -> {}
            }
        }
        return new RunState(steps, pauses, notes, began, ended, counting);
    }

    private static List<RunEvent> counting(List<RunEvent> all) {
        Set<String> undone = new HashSet<>();
        all.stream().filter(e -> e.type() == Type.UNDO).forEach(e -> undone.add(e.text()));
        Set<String> seen = new LinkedHashSet<>();
        return all.stream()
                .filter(e -> e.type() != Type.UNDO && !undone.contains(e.root()) && seen.add(e.id()))
                .toList();
    }

    private static void endPause(List<Pause> pauses, LocalDateTime at) {
        if (!pauses.isEmpty()) {
            Pause last = pauses.get(pauses.size() - 1);
            if (last.until() == null) {
                pauses.set(pauses.size() - 1, new Pause(last.from(), at));
            }
        }
    }

    /** Where this step stands. */
    public StepState step(String id) {
        return steps.getOrDefault(id, StepState.WAITING);
    }

    public boolean onBreak() {
        return !pauses.isEmpty() && pauses.get(pauses.size() - 1).until() == null;
    }

    /** The step these hands are at, if any. */
    public Optional<String> runningBy(String hands) {
        return steps.entrySet().stream()
                .filter(e -> e.getValue().status() == Status.RUNNING
                        && e.getValue().hands().equals(hands))
                .map(Map.Entry::getKey)
                .findFirst();
    }

    /** The last thing that these hands reported and can take back. */
    public Optional<RunEvent> lastBy(String hands) {
        for (int k = events.size() - 1; k >= 0; k--) {
            RunEvent e = events.get(k);
            if (e.hands().equals(hands) && e.type() != Type.BEGIN && e.type() != Type.NOTE) {
                return Optional.of(e);
            }
        }
        return Optional.empty();
    }
}
