package app.kemdro.core.run;

import app.kemdro.core.run.RunEvent.Type;
import app.kemdro.core.run.StepState.Status;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
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
     * @param why what kind of event began it
     * @param expected how long it is expected to last, seconds; 0 for as long as the rule says
     */
    public record Pause(LocalDateTime from, @Nullable LocalDateTime until, Type why, int expected) {}

    /** What is not taken back with the key that takes back the last press. */
    private static final Set<Type> LASTING = EnumSet.of(Type.BEGIN, Type.NOTE, Type.PICTURE, Type.DRIVE, Type.ROOM);

    /** Presses that make a device the one that drives these hands, where none does. */
    private static final Set<Type> DRIVES = EnumSet.of(Type.START, Type.FINISH, Type.SKIP, Type.ADD, Type.UNDO);

    /** Folds events; one id counts once, and what was taken back does not count. */
    public static RunState of(List<RunEvent> all) {
        List<RunEvent> counting = counting(all);
        Map<String, StepState> steps = new LinkedHashMap<>();
        List<Pause> pauses = new ArrayList<>();
        List<RunEvent> notes = new ArrayList<>();
        Map<String, String> drivers = new LinkedHashMap<>();
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
                case DRYER -> steps.put(e.step(), was.dryer(e));
                case BREAK, AWAY -> pauses.add(new Pause(e.at(), null, e.type(), e.seconds()));
                case REACTION -> {
                    steps.replaceAll((id, s) -> s.status() == Status.RUNNING ? s.putDown() : s);
                    pauses.add(new Pause(e.at(), null, e.type(), e.seconds()));
                    notes.add(e);
                }
                case LEAVE ->
                    steps.replaceAll(
                            (id, s) -> s.status() == Status.RUNNING && s.hands().equals(e.hands()) ? s.putDown() : s);
                case DRIVE -> drivers.put(e.hands(), e.text());
                case BACK -> endPause(pauses, e.at());
                case NOTE, USED, PICTURE, TROUBLE -> notes.add(e);
                case UNDO, REDO, SCHOOL, COATS, DROP, JOIN, ROOM -> {}
            }
            boolean free = drivers.getOrDefault(e.hands(), "").isEmpty();
            if (free && DRIVES.contains(e.type()) && !e.device().isEmpty()) {
                drivers.put(e.hands(), e.device());
            }
        }
        return new RunState(steps, pauses, notes, drivers, began, ended, counting);
    }

    private static List<RunEvent> counting(List<RunEvent> all) {
        Set<String> undone = new HashSet<>();
        all.stream().filter(e -> e.type() == Type.UNDO).forEach(e -> undone.add(e.text()));
        Set<String> seen = new LinkedHashSet<>();
        return all.stream()
                .filter(e -> e.type() != Type.UNDO && !undone.contains(e.root()) && seen.add(e.id()))
                .sorted(Comparator.comparing(RunEvent::at))
                .toList();
    }

    private static void endPause(List<Pause> pauses, LocalDateTime at) {
        if (!pauses.isEmpty()) {
            Pause last = pauses.get(pauses.size() - 1);
            if (last.until() == null) {
                pauses.set(pauses.size() - 1, new Pause(last.from(), at, last.why(), last.expected()));
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
            if (e.hands().equals(hands) && !LASTING.contains(e.type())) {
                return Optional.of(e);
            }
        }
        return Optional.empty();
    }
}
