package app.kemdro.web.chair;

import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.RunEvent.Type;
import app.kemdro.core.run.StepState;
import app.kemdro.core.run.StepState.Status;
import app.kemdro.web.chair.Runs.Standing;
import java.util.Optional;

/** Whether what is reported can be, given what is; fills in what the device does not know. */
final class Legal {
    private Legal() {}

    static RunEvent check(RunEvent e, Standing now) {
        return switch (e.type()) {
            case BEGIN -> throw new NotPossible("The run is on already.");
            case START -> start(e, now);
            case FINISH -> finish(e, now);
            case SKIP -> skip(e, now);
            case ADD -> add(e, now);
            case CLEAR, NOT_YET -> film(e, now);
            case BREAK -> {
                if (now.state().onBreak()) {
                    throw new NotPossible("The break is on already.");
                }
                now.state().steps().forEach((id, s) -> {
                    if (s.status() == Status.RUNNING) {
                        throw new NotPossible(s.hands() + " is still at “"
                                + now.plan().step(id).titleWithPlace() + "”. Finish it before the break.");
                    }
                });
                yield e;
            }
            case BACK -> {
                if (!now.state().onBreak()) {
                    throw new NotPossible("No break is on.");
                }
                yield e;
            }
            case UNDO -> undo(e, now);
            case NOTE -> {
                if (e.text().isBlank()) {
                    throw new NotPossible("The note is empty.");
                }
                yield e;
            }
            case END -> e;
        };
    }

    private static PlannedStep step(RunEvent e, Standing now) {
        return now.plan().steps().stream()
                .filter(s -> s.id().equals(e.step()))
                .findFirst()
                .orElseThrow(() -> new NotPossible("There is no such step in this run."));
    }

    private static RunEvent start(RunEvent e, Standing now) {
        PlannedStep step = step(e, now);
        StepState s = now.state().step(step.id());
        if (s.status() != Status.WAITING) {
            throw new NotPossible("“" + step.titleWithPlace() + "” was begun already.");
        }
        if (now.state().onBreak()) {
            throw new NotPossible("The break is on. End it first.");
        }
        Optional<String> running = now.state().runningBy(e.hands());
        if (running.isPresent()) {
            throw new NotPossible(
                    e.hands() + " is at “" + now.plan().step(running.get()).titleWithPlace() + "”. Finish it first.");
        }
        int mode = now.schedule().of(step.id()).mode();
        return new RunEvent(e.id(), e.at(), e.hands(), e.type(), e.step(), 0, mode, "");
    }

    private static RunEvent finish(RunEvent e, Standing now) {
        PlannedStep step = step(e, now);
        if (now.state().step(step.id()).status() != Status.RUNNING) {
            throw new NotPossible("“" + step.titleWithPlace() + "” is not under way.");
        }
        return new RunEvent(e.id(), e.at(), now.state().step(step.id()).hands(), e.type(), e.step(), 0, 0, "");
    }

    private static RunEvent skip(RunEvent e, Standing now) {
        PlannedStep step = step(e, now);
        Status status = now.state().step(step.id()).status();
        if (status == Status.DONE || status == Status.SKIPPED) {
            throw new NotPossible("“" + step.titleWithPlace() + "” is over already.");
        }
        if (e.text().isBlank()) {
            throw new NotPossible("Say in a word why it is left out.");
        }
        return e;
    }

    private static RunEvent add(RunEvent e, Standing now) {
        PlannedStep step = step(e, now);
        if (now.state().step(step.id()).status() != Status.RUNNING) {
            throw new NotPossible("Minutes can be added only to what is under way.");
        }
        if (e.seconds() < 30 || e.seconds() > 3600) {
            throw new NotPossible("Add half a minute to an hour at a time.");
        }
        return e;
    }

    /** "Not yet" asks to look again after three tenths of the time the film was expected to take. */
    private static RunEvent film(RunEvent e, Standing now) {
        PlannedStep step = step(e, now);
        if (now.state().step(step.id()).status() != Status.DONE || step.drying().isEmpty()) {
            throw new NotPossible("Nothing of “" + step.titleWithPlace() + "” is drying.");
        }
        int wait = (int) Math.round(0.3 * step.drying().get().clear().orElse(200));
        return new RunEvent(e.id(), e.at(), e.hands(), e.type(), e.step(), Math.max(60, wait), 0, "");
    }

    private static RunEvent undo(RunEvent e, Standing now) {
        RunEvent last = now.state()
                .lastBy(e.hands())
                .orElseThrow(() -> new NotPossible("There is nothing of " + e.hands() + " to take back."));
        // a step that began by itself goes together with the press that let it begin
        return new RunEvent(e.id(), e.at(), e.hands(), Type.UNDO, "", 0, 0, last.root());
    }
}
