package app.kemdro.web.records.run;

import app.kemdro.core.look.Brief.Skill;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.method.Repair;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.plan.PuttingRight;
import app.kemdro.core.run.Chair;
import app.kemdro.core.run.Changes;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.RunEvent.Type;
import app.kemdro.core.run.RunLevers;
import app.kemdro.core.run.StepState;
import app.kemdro.core.run.StepState.Status;
import app.kemdro.core.schedule.Placed;
import app.kemdro.web.parts.mishap.NotPossible;
import app.kemdro.web.records.run.Runs.Standing;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Whether what is reported can be, given what is; fills in what the device does not know. */
public final class Legal {
    private Legal() {}

    /** Presses that only the device may make that drives the hands. */
    private static final Set<Type> DRIVEN = EnumSet.of(Type.START, Type.FINISH, Type.SKIP, Type.ADD, Type.UNDO);

    /** Said with a press that was asked about and is meant. */
    public static final String SURE = "sure";

    private static final int MOST_HANDS = 3;

    static RunEvent check(RunEvent e, Standing now, Trade trade, PuttingRight right) {
        driven(e, now);
        return switch (e.type()) {
            case DRYER -> dryer(e, now);
            case REDO -> redo(e, now);
            case TROUBLE -> trouble(e, now, trade, right);
            case SCHOOL, COATS, DROP -> entry(e, now, trade);
            case JOIN -> join(e, now);
            case LEAVE -> leave(e, now);
            case ROOM -> room(e);
            case AWAY -> away(e, now);
            case REACTION, USED -> {
                if (e.text().isBlank()) {
                    throw new NotPossible(
                            e.type() == Type.USED
                                    ? "Say of what, and how much."
                                    : "Say in a word where the skin reacts, and how.");
                }
                yield e;
            }
            case PICTURE -> e;
            case DRIVE -> {
                if (now.plan().network().workers().stream().noneMatch(w -> w.id().equals(e.hands()))) {
                    throw new NotPossible("Nobody is called " + e.hands() + " here.");
                }
                yield e;
            }
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

    private static void driven(RunEvent e, Standing now) {
        String driver = now.state().drivers().getOrDefault(e.hands(), "");
        boolean another = !e.device().isEmpty() && !driver.isEmpty() && !driver.equals(e.device());
        if (DRIVEN.contains(e.type()) && another) {
            throw new NotPossible(e.hands() + " is driven on another screen. Press “drive” to take over here.");
        }
    }

    private static RunEvent dryer(RunEvent e, Standing now) {
        PlannedStep step = step(e, now);
        if (now.state().step(step.id()).status() != Status.DONE || step.drying().isEmpty()) {
            throw new NotPossible("Nothing of “" + step.titleWithPlace() + "” is drying.");
        }
        if (step.dryingCool().isEmpty()) {
            throw new NotPossible(
                    now.plan().brief().room().dryers() == 0
                            ? "There is no dryer in this room."
                            : "The dryer does no good there: it hardly helps, or it is not for “" + step.title()
                                    + "”.");
        }
        return e;
    }

    private static RunEvent redo(RunEvent e, Standing now) {
        PlannedStep step = step(e, now);
        if (now.state().step(step.id()).status() != Status.DONE) {
            throw new NotPossible("Only what is done can be done once more.");
        }
        return e;
    }

    private static RunEvent trouble(RunEvent e, Standing now, Trade trade, PuttingRight right) {
        PlannedStep step = step(e, now);
        Status status = now.state().step(step.id()).status();
        if (status != Status.DONE && status != Status.RUNNING) {
            throw new NotPossible("“" + step.titleWithPlace() + "” has not begun; nothing can have happened to it.");
        }
        String id = Changes.repairOf(e.text());
        Repair repair = trade.repairs().stream()
                .filter(r -> r.id().equals(id) && r.happensTo(step.technique()))
                .findFirst()
                .orElseThrow(() -> new NotPossible("That does not happen to “" + step.title() + "”."));
        List<String> zones = Changes.zonesOf(e.text());
        if (!step.zones().containsAll(zones)) {
            throw new NotPossible("“" + step.title() + "” is not on that zone.");
        }
        if (way(repair, step, zones, now, right).isEmpty()) {
            throw new NotPossible("No way of putting it right is known for " + step.where()
                    + " with what lies there: take it off and lay it again with what the label allows.");
        }
        return e;
    }

    /** How this is put right here, and where. */
    public static Optional<PuttingRight.Chosen> way(
            Repair repair, PlannedStep step, List<String> zones, Standing now, PuttingRight right) {
        return right.way(
                repair,
                step.entryId(),
                zones.isEmpty() ? step.zones() : zones,
                now.plan().stacks(),
                id -> hasBegun(now.state().step(id).status()),
                now.plan().brief().performer().reactsTo());
    }

    private static boolean hasBegun(Status status) {
        return status == Status.DONE || status == Status.RUNNING;
    }

    private static RunEvent entry(RunEvent e, Standing now, Trade trade) {
        LookEntry entry = now.changes().look().entries().stream()
                .filter(x -> x.id().equals(e.step()))
                .findFirst()
                .orElseThrow(() -> new NotPossible("That is not in the look any more."));
        if (e.type() != Type.COATS && RunLevers.hasBegun(now.plan(), now.state(), entry.id())) {
            throw new NotPossible(
                    "It has begun already and stays as it is: what lies on the body is not laid another way.");
        }
        Technique technique = trade.technique(entry.techniqueId());
        boolean other = e.type() != Type.SCHOOL
                || trade.schoolsBeside(technique, entry.zones()).stream().anyMatch(t -> t.id().equals(e.text()));
        if (!other) {
            throw new NotPossible("There is no such school for “" + technique.name() + "”.");
        }
        if (e.type() == Type.COATS
                && (e.seconds() < technique.coats().least()
                        || e.seconds() > technique.coats().most())) {
            throw new NotPossible(technique.name() + " takes "
                    + technique.coats().least() + " to " + technique.coats().most() + ".");
        }
        return e;
    }

    private static RunEvent join(RunEvent e, Standing now) {
        var workers = now.plan().network().workers();
        if (e.hands().isBlank() || e.hands().length() > 40) {
            throw new NotPossible("Say who joins, in up to 40 letters.");
        }
        if (workers.stream().anyMatch(w -> w.id().equals(e.hands()))) {
            throw new NotPossible(e.hands() + " is here already.");
        }
        if (workers.size() >= MOST_HANDS) {
            throw new NotPossible("Three pairs of hands are at this face already; more get in each other's way.");
        }
        if (Arrays.stream(Skill.values()).noneMatch(s -> s.name().equals(e.text()))) {
            throw new NotPossible("Say whether they lead, assist or learn.");
        }
        return e;
    }

    private static RunEvent leave(RunEvent e, Standing now) {
        var workers = now.plan().network().workers();
        if (workers.stream().noneMatch(w -> w.id().equals(e.hands()))) {
            throw new NotPossible(e.hands() + " is not here.");
        }
        if (workers.size() == 1) {
            throw new NotPossible(
                    "A covered performer is never left alone. Let somebody join before " + e.hands() + " leaves.");
        }
        return e;
    }

    private static RunEvent room(RunEvent e) {
        try {
            var room = Changes.room(e.text());
            if (room.temperatureC() < 5
                    || room.temperatureC() > 45
                    || room.humidityPercent() < 5
                    || room.humidityPercent() > 98
                    || room.dryers() < 0
                    || room.dryers() > 4) {
                throw new NotPossible("That is no room to work in: 5 to 45 °C, 5 to 98 %, up to 4 dryers.");
            }
        } catch (IllegalArgumentException wrong) {
            throw new NotPossible("The room could not be read; say it as 21.5;45;1.");
        }
        return e;
    }

    private static RunEvent away(RunEvent e, Standing now) {
        if (now.state().onBreak()) {
            throw new NotPossible("A pause is on already.");
        }
        if (e.seconds() < 60 || e.seconds() > 7200) {
            throw new NotPossible("Say for how long, a minute to two hours.");
        }
        return e;
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
        if (!e.text().equals(SURE)) {
            new Chair(now.plan(), now.state()).keeps(step.id(), e.at()).ifPresent(question -> {
                throw new Asked(question);
            });
        }
        int mode = now.schedule().find(step.id()).map(Placed::mode).orElse(0);
        return new RunEvent(e.id(), e.at(), e.hands(), e.type(), e.step(), 0, mode, "", e.device());
    }

    private static RunEvent finish(RunEvent e, Standing now) {
        PlannedStep step = step(e, now);
        if (now.state().step(step.id()).status() != Status.RUNNING) {
            throw new NotPossible("“" + step.titleWithPlace() + "” is not under way.");
        }
        return new RunEvent(
                e.id(), e.at(), now.state().step(step.id()).hands(), e.type(), e.step(), 0, 0, "", e.device());
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
        return new RunEvent(e.id(), e.at(), e.hands(), e.type(), e.step(), Math.max(60, wait), 0, "", e.device());
    }

    private static RunEvent undo(RunEvent e, Standing now) {
        RunEvent last = now.state()
                .lastBy(e.hands())
                .orElseThrow(() -> new NotPossible("There is nothing of " + e.hands() + " to take back."));
        if (last.type() == Type.JOIN
                && now.plan().network().workers().stream().allMatch(w -> w.id().equals(last.hands()))) {
            throw new NotPossible("A covered performer is never left alone. Let somebody join before the coming of "
                    + last.hands() + " is taken back.");
        }
        // a step that began by itself goes together with the press that let it begin
        return new RunEvent(e.id(), e.at(), e.hands(), Type.UNDO, "", 0, 0, last.root(), e.device());
    }
}
