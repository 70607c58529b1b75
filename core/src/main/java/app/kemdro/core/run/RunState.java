package app.kemdro.core.run;

import app.kemdro.core.run.StepState.Status;
import java.time.LocalDateTime;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What is now: the fold of everything that happened and was not taken back.
 *
 * @param drivers by hands, the device that reports for them
 * @param events those that count, in the order in which they happened
 */
public record RunState(
        Map<String, StepState> steps,
        List<Pause> pauses,
        List<RunEvent> notes,
        Map<String, String> drivers,
        @Nullable LocalDateTime began,
        @Nullable LocalDateTime ended,
        List<RunEvent> events) {

    /**
     * Time in which nobody works, open while {@code until} is none.
     *
     * @param why what it is for
     * @param expected how long it is expected to last, seconds; 0 for as long as the rule says
     */
    public record Pause(LocalDateTime from, @Nullable LocalDateTime until, Why why, int expected) {
        /** What a pause is for. */
        public enum Why {
            BREAK,
            AWAY,
            REACTION
        }
    }

    /** Folds events; one id counts once, and what was taken back does not count. */
    public static RunState of(List<RunEvent> all) {
        List<RunEvent> counting = counting(all);
        RunFold run = new RunFold();
        counting.forEach(run::take);
        return run.state(counting);
    }

    private static List<RunEvent> counting(List<RunEvent> all) {
        Set<String> undone = new HashSet<>();
        all.forEach(e -> {
            if (e instanceof RunEvent.Undo undo) {
                undone.add(undo.event());
            }
        });
        Set<String> seen = new LinkedHashSet<>();
        return all.stream()
                .filter(e -> !(e instanceof RunEvent.Undo)
                        && !undone.contains(e.stamp().root())
                        && seen.add(e.id()))
                .sorted(Comparator.comparing(RunEvent::at))
                .toList();
    }

    /** Where this step stands. */
    public StepState step(String id) {
        return steps.getOrDefault(id, StepState.WAITING);
    }

    public boolean onBreak() {
        return !pauses.isEmpty() && pauses.get(pauses.size() - 1).until() == null;
    }

    /** The pause that is on, if one is. */
    public Optional<Pause> pause() {
        return onBreak() ? Optional.of(pauses.get(pauses.size() - 1)) : Optional.empty();
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
            if (e.hands().equals(hands) && !(e instanceof RunEvent.Lasting)) {
                return Optional.of(e);
            }
        }
        return Optional.empty();
    }
}
