package app.kemdro.core.run;

import app.kemdro.core.run.RunState.Pause;
import app.kemdro.core.run.RunState.Pause.Why;
import app.kemdro.core.run.StepState.Status;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/** A run while its events are folded into it, one after another. */
public final class RunFold {
    private final Map<String, StepState> steps = new LinkedHashMap<>();
    private final List<Pause> pauses = new ArrayList<>();
    private final List<RunEvent> notes = new ArrayList<>();
    private final Map<String, String> drivers = new LinkedHashMap<>();
    private @Nullable LocalDateTime began;
    private @Nullable LocalDateTime ended;

    RunFold() {}

    /** One event more; the first device that reports for hands drives them. */
    void take(RunEvent e) {
        e.happen(this);
        boolean free = drivers.getOrDefault(e.hands(), "").isEmpty();
        if (free && e instanceof RunEvent.Driven && !e.device().isEmpty()) {
            drivers.put(e.hands(), e.device());
        }
    }

    RunState state(List<RunEvent> counting) {
        return new RunState(steps, pauses, notes, drivers, began, ended, counting);
    }

    void begin(LocalDateTime at) {
        began = at;
    }

    void end(LocalDateTime at) {
        ended = at;
    }

    void step(String id, UnaryOperator<StepState> next) {
        steps.put(id, next.apply(steps.getOrDefault(id, StepState.WAITING)));
    }

    /** Whatever runs and is one of these is put down. */
    void putDown(Predicate<StepState> which) {
        steps.replaceAll((id, s) -> s.status() == Status.RUNNING && which.test(s) ? s.putDown() : s);
    }

    void pause(LocalDateTime from, Why why, int expectedSeconds) {
        pauses.add(new Pause(from, null, why, expectedSeconds));
    }

    void back(LocalDateTime at) {
        if (!pauses.isEmpty()) {
            Pause last = pauses.get(pauses.size() - 1);
            if (last.until() == null) {
                pauses.set(pauses.size() - 1, new Pause(last.from(), at, last.why(), last.expected()));
            }
        }
    }

    void note(RunEvent e) {
        notes.add(e);
    }

    void drive(String hands, String device) {
        drivers.put(hands, device);
    }
}
