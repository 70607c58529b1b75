package app.kemdro.core.strike;

import app.kemdro.core.run.Ruling;
import app.kemdro.core.run.Ruling.Can;
import app.kemdro.core.run.Ruling.Cannot;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.RunState;
import app.kemdro.core.run.StepState.Status;
import java.util.List;

/** Whether what is reported while it comes off can be. */
public final class StrikeGuard {
    /** After "not yet" it is looked at again so much later, seconds. */
    private static final int LOOK_AGAIN = 120;

    private static final int LONGEST_NOTE = 500;

    private StrikeGuard() {}

    /**
     * What is said of this report.
     *
     * @param hands who takes off
     */
    public static Ruling check(RunEvent e, Removal removal, Undoing undoing, RunState state, List<String> hands) {
        if (e instanceof RunEvent.Note note) {
            return note.text().isBlank() || note.text().length() > LONGEST_NOTE
                    ? new Cannot("A note takes 1 to " + LONGEST_NOTE + " letters.")
                    : new Can(e);
        }
        if (e instanceof RunEvent.Undo) {
            return state.lastBy(e.hands())
                    .<Ruling>map(last ->
                            new Can(new RunEvent.Undo(e.stamp(), last.stamp().root())))
                    .orElseGet(() -> new Cannot("There is nothing to take back."));
        }
        if (e instanceof RunEvent.End) {
            return new Can(e);
        }
        if (!(e instanceof RunEvent.AtStep at)) {
            return new Cannot("That is nothing that happens while it comes off.");
        }
        return removal.steps().stream().anyMatch(s -> s.id().equals(at.step()))
                ? atStep(at, undoing, state, hands)
                : new Cannot("That step is not one of this strike's.");
    }

    private static Ruling atStep(RunEvent.AtStep e, Undoing undoing, RunState state, List<String> hands) {
        Status status = state.step(e.step()).status();
        boolean works = e instanceof RunEvent.Start || e instanceof RunEvent.Finish;
        if (works && !hands.contains(e.hands())) {
            return new Cannot("Nobody called " + e.hands() + " works on this.");
        }
        if (e instanceof RunEvent.Start) {
            return start(e, undoing, status);
        }
        if (e instanceof RunEvent.Finish) {
            return status == Status.RUNNING ? new Can(e) : new Cannot("That has not begun, or is done.");
        }
        if (e instanceof RunEvent.Clear || e instanceof RunEvent.NotYet) {
            RunEvent as = e instanceof RunEvent.NotYet ? new RunEvent.NotYet(e.stamp(), e.step(), LOOK_AGAIN) : e;
            return status == Status.DONE ? new Can(as) : new Cannot("That is not flooded yet.");
        }
        return new Cannot("That is nothing that happens while it comes off.");
    }

    private static Ruling start(RunEvent.AtStep e, Undoing undoing, Status status) {
        if (status != Status.WAITING) {
            return new Cannot("That has begun already.");
        }
        if (undoing.doing(e.hands()).isPresent()) {
            return new Cannot(e.hands() + " has something in hand already. Finish it first.");
        }
        return undoing.keeps(e.step(), e.at())
                .<Ruling>map(why -> new Cannot("Not yet: " + why + "."))
                .orElseGet(() -> new Can(e));
    }
}
