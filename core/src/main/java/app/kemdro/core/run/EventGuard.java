package app.kemdro.core.run;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.method.Repair;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.LookPlanner;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.plan.PuttingRight;
import app.kemdro.core.run.Ruling.Asks;
import app.kemdro.core.run.Ruling.Can;
import app.kemdro.core.run.Ruling.Cannot;
import app.kemdro.core.run.StepState.Status;
import app.kemdro.core.schedule.ScheduledTask;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;

/** Whether what is reported can be, given where the run stands; one rule a kind of event. */
public final class EventGuard {
    private static final int MOST_HANDS = 3;
    private static final int LONGEST_NAME = 40;

    /** Of the time a film was thought to take, so much later it is looked at again after a "not yet". */
    private static final double AGAIN_AFTER = 0.3;

    /** How long a film is thought to take where nothing is known of when it is clear, seconds. */
    private static final double A_FILM = 200;

    private final Trade trade;
    private final PuttingRight right;
    private final Additions additions;
    private final Map<Class<? extends RunEvent>, BiFunction<RunEvent, Standing, Ruling>> rules = new HashMap<>();

    /** Judges by this trade. */
    public EventGuard(Trade trade, LookPlanner planner) {
        this.trade = trade;
        this.right = planner.puttingRight();
        this.additions = new Additions(trade, planner);
        rule(RunEvent.Begin.class, (e, now) -> new Cannot("The run is on already."));
        rule(RunEvent.Start.class, EventGuard::start);
        rule(RunEvent.Finish.class, EventGuard::finish);
        rule(RunEvent.Clear.class, (e, now) -> onFilm(e, now, step -> e));
        rule(RunEvent.NotYet.class, EventGuard::notYet);
        rule(RunEvent.Skip.class, EventGuard::skip);
        rule(RunEvent.Add.class, EventGuard::add);
        rule(RunEvent.Break.class, EventGuard::rest);
        rule(RunEvent.Back.class, (e, now) -> now.state().onBreak() ? new Can(e) : new Cannot("No break is on."));
        rule(RunEvent.Note.class, (e, now) -> said(e, "The note is empty."));
        rule(RunEvent.Undo.class, EventGuard::undo);
        rule(RunEvent.Dryer.class, EventGuard::dryer);
        rule(RunEvent.Redo.class, EventGuard::redo);
        rule(RunEvent.Trouble.class, this::trouble);
        rule(RunEvent.School.class, this::school);
        rule(RunEvent.Coats.class, this::coats);
        rule(RunEvent.Drop.class, (e, now) -> untouched(e, now, entry -> new Can(e)));
        rule(RunEvent.Addition.class, this::addition);
        rule(RunEvent.Strength.class, (e, now) -> untouched(e, now, entry -> new Can(e)));
        rule(RunEvent.Join.class, EventGuard::join);
        rule(RunEvent.Leave.class, EventGuard::leave);
        rule(RunEvent.Room.class, EventGuard::room);
        rule(RunEvent.Away.class, EventGuard::away);
        rule(RunEvent.Reaction.class, (e, now) -> said(e, "Say in a word where the skin reacts, and how."));
        rule(RunEvent.Used.class, (e, now) -> said(e, "Say of what, and how much."));
        rule(RunEvent.Drive.class, EventGuard::drive);
        rule(RunEvent.Picture.class, (e, now) -> new Can(e));
        rule(RunEvent.End.class, (e, now) -> new Can(e));
    }

    private <E extends RunEvent> void rule(Class<E> kind, BiFunction<E, Standing, Ruling> says) {
        rules.put(kind, (e, now) -> says.apply(kind.cast(e), now));
    }

    /** What is said of this report. */
    public Ruling check(RunEvent e, Standing now) {
        String driver = now.state().drivers().getOrDefault(e.hands(), "");
        boolean another = !e.device().isEmpty() && !driver.isEmpty() && !driver.equals(e.device());
        if (e instanceof RunEvent.Driven && another) {
            return new Cannot(e.hands() + " is driven on another screen. Press “drive” to take over here.");
        }
        return rules.getOrDefault(e.getClass(), (x, n) -> new Cannot("That is nothing that happens in a chair."))
                .apply(e, now);
    }

    private static Ruling said(RunEvent.InWords e, String otherwise) {
        return e.text().isBlank() ? new Cannot(otherwise) : new Can(e);
    }

    private static Ruling about(RunEvent.AtStep e, Standing now, Function<PlannedStep, Ruling> rule) {
        return now.plan().steps().stream()
                .filter(s -> s.id().equals(e.step()))
                .findFirst()
                .map(rule)
                .orElseGet(() -> new Cannot("There is no such step in this run."));
    }

    private static Status status(PlannedStep step, Standing now) {
        return now.state().step(step.id()).status();
    }

    private static Ruling start(RunEvent.Start e, Standing now) {
        return about(e, now, step -> {
            if (status(step, now) != Status.WAITING) {
                return new Cannot("“" + step.titleWithPlace() + "” was begun already.");
            }
            if (now.state().onBreak()) {
                return new Cannot("The break is on. End it first.");
            }
            Optional<String> running = now.state().runningBy(e.hands());
            if (running.isPresent()) {
                return new Cannot(e.hands() + " is at “"
                        + now.plan().step(running.get()).titleWithPlace() + "”. Finish it first.");
            }
            Optional<String> keeps =
                    e.sure() ? Optional.empty() : new Chair(now.plan(), now.state()).keeps(step.id(), e.at());
            int mode = now.schedule().find(step.id()).map(ScheduledTask::mode).orElse(0);
            return keeps.<Ruling>map(Asks::new)
                    .orElseGet(() -> new Can(new RunEvent.Start(e.stamp(), e.step(), mode, e.sure())));
        });
    }

    private static Ruling finish(RunEvent.Finish e, Standing now) {
        return about(
                e,
                now,
                step -> status(step, now) == Status.RUNNING
                        ? new Can(new RunEvent.Finish(
                                e.stamp().of(now.state().step(step.id()).hands()), e.step()))
                        : new Cannot("“" + step.titleWithPlace() + "” is not under way."));
    }

    private static Ruling skip(RunEvent.Skip e, Standing now) {
        return about(
                e,
                now,
                step -> status(step, now) == Status.DONE || status(step, now) == Status.SKIPPED
                        ? new Cannot("“" + step.titleWithPlace() + "” is over already.")
                        : said(e, "Say in a word why it is left out."));
    }

    private static Ruling add(RunEvent.Add e, Standing now) {
        return about(e, now, step -> {
            if (status(step, now) != Status.RUNNING) {
                return new Cannot("Minutes can be added only to what is under way.");
            }
            return e.seconds() < 30 || e.seconds() > 3600
                    ? new Cannot("Add half a minute to an hour at a time.")
                    : new Can(e);
        });
    }

    private static Ruling onFilm(RunEvent.AtStep e, Standing now, Function<PlannedStep, RunEvent> then) {
        return about(
                e,
                now,
                step -> status(step, now) != Status.DONE || step.drying().isEmpty()
                        ? new Cannot("Nothing of “" + step.titleWithPlace() + "” is drying.")
                        : new Can(then.apply(step)));
    }

    private static Ruling notYet(RunEvent.NotYet e, Standing now) {
        return onFilm(e, now, step -> {
            double film = step.drying().orElseThrow().clear().orElse(A_FILM);
            int wait = Math.max(60, (int) Math.round(AGAIN_AFTER * film));
            return new RunEvent.NotYet(e.stamp(), e.step(), wait);
        });
    }

    private static Ruling dryer(RunEvent.Dryer e, Standing now) {
        return about(e, now, step -> {
            if (status(step, now) != Status.DONE || step.drying().isEmpty()) {
                return new Cannot("Nothing of “" + step.titleWithPlace() + "” is drying.");
            }
            if (step.dryingCool().isPresent()) {
                return new Can(e);
            }
            return new Cannot(
                    now.plan().brief().room().dryers() == 0
                            ? "There is no dryer in this room."
                            : "The dryer does no good there: it hardly helps, or it is not for “" + step.title()
                                    + "”.");
        });
    }

    private static Ruling rest(RunEvent.Break e, Standing now) {
        if (now.state().onBreak()) {
            return new Cannot("The break is on already.");
        }
        return now.state().steps().entrySet().stream()
                .filter(s -> s.getValue().status() == Status.RUNNING)
                .findFirst()
                .<Ruling>map(s -> new Cannot(s.getValue().hands() + " is still at “"
                        + now.plan().step(s.getKey()).titleWithPlace() + "”. Finish it before the break."))
                .orElseGet(() -> new Can(e));
    }

    private static Ruling redo(RunEvent.Redo e, Standing now) {
        return about(
                e,
                now,
                step -> status(step, now) == Status.DONE
                        ? new Can(e)
                        : new Cannot("Only what is done can be done once more."));
    }

    private Ruling trouble(RunEvent.Trouble e, Standing now) {
        return about(e, now, step -> {
            if (!hasBegun(status(step, now))) {
                return new Cannot("“" + step.titleWithPlace() + "” has not begun; nothing can have happened to it.");
            }
            Optional<Repair> repair = trade.repairs().stream()
                    .filter(r -> r.id().equals(e.repair()) && r.happensTo(step.technique()))
                    .findFirst();
            if (repair.isEmpty()) {
                return new Cannot("That does not happen to “" + step.title() + "”.");
            }
            if (!step.zones().containsAll(e.zones())) {
                return new Cannot("“" + step.title() + "” is not on that zone.");
            }
            return way(repair.get(), step, e.zones(), now, right).isPresent()
                    ? new Can(e)
                    : new Cannot("No way of putting it right is known for " + step.where()
                            + " with what lies there: take it off and lay it again with what the label allows.");
        });
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

    private static Ruling inLook(RunEvent.OfEntry e, Standing now, Function<LookEntry, Ruling> rule) {
        return now.changes().look().entries().stream()
                .filter(x -> x.id().equals(e.entry()))
                .findFirst()
                .map(rule)
                .orElseGet(() -> new Cannot("That is not in the look any more."));
    }

    private static Ruling untouched(RunEvent.OfEntry e, Standing now, Function<LookEntry, Ruling> rule) {
        return inLook(
                e,
                now,
                entry -> RunLevers.hasBegun(now.plan(), now.state(), entry.id())
                        ? new Cannot("It has begun already and stays as it is: what lies on the body is not laid"
                                + " another way.")
                        : rule.apply(entry));
    }

    private Ruling school(RunEvent.School e, Standing now) {
        return untouched(e, now, entry -> {
            Technique technique = trade.technique(entry.techniqueId());
            return trade.schoolsBeside(technique, entry.zones()).stream().anyMatch(t -> t.id().equals(e.technique()))
                    ? new Can(e)
                    : new Cannot("There is no such school for “" + technique.name() + "”.");
        });
    }

    private Ruling addition(RunEvent.Addition e, Standing now) {
        if (!trade.has(e.technique()) || !trade.lateWork().allows(trade.technique(e.technique()))) {
            return new Cannot("That is not put on any more while a run is on.");
        }
        Technique technique = trade.technique(e.technique());
        boolean there = e.zones().stream().allMatch(technique.zones()::contains);
        if (!there || e.zones().isEmpty()) {
            return new Cannot(e.zones().isEmpty() ? "Say where it goes." : technique.name() + " does not go there.");
        }
        if (e.items() < 0 || e.items() > technique.items().most()) {
            return new Cannot(technique.name() + " takes at most "
                    + technique.items().most() + " " + technique.items().word() + ".");
        }
        List<LookEntry> entries = additions.of(e.id(), technique, e.zones(), e.items(), now);
        return new Can(new RunEvent.Addition(e.stamp(), e.technique(), e.zones(), e.items(), entries));
    }

    private Ruling coats(RunEvent.Coats e, Standing now) {
        return inLook(e, now, entry -> {
            Technique technique = trade.technique(entry.techniqueId());
            int least = technique.coats().least();
            int most = technique.coats().most();
            return e.coats() < least || e.coats() > most
                    ? new Cannot(technique.name() + " takes " + least + " to " + most + ".")
                    : new Can(e);
        });
    }

    private static boolean isHere(String hands, Standing now) {
        return now.plan().network().workers().stream().anyMatch(w -> w.id().equals(hands));
    }

    private static Ruling join(RunEvent.Join e, Standing now) {
        if (e.hands().isBlank() || e.hands().length() > LONGEST_NAME) {
            return new Cannot("Say who joins, in up to " + LONGEST_NAME + " letters.");
        }
        if (isHere(e.hands(), now)) {
            return new Cannot(e.hands() + " is here already.");
        }
        return now.plan().network().workers().size() >= MOST_HANDS
                ? new Cannot("Three pairs of hands are at this face already; more get in each other's way.")
                : new Can(e);
    }

    private static Ruling leave(RunEvent.Leave e, Standing now) {
        if (!isHere(e.hands(), now)) {
            return new Cannot(e.hands() + " is not here.");
        }
        return now.plan().network().workers().size() == 1
                ? new Cannot(
                        "A covered performer is never left alone. Let somebody join before " + e.hands() + " leaves.")
                : new Can(e);
    }

    private static Ruling room(RunEvent.Room e, Standing now) {
        Brief.Room room = e.room();
        boolean works = room.temperatureC() >= 5
                && room.temperatureC() <= 45
                && room.humidityPercent() >= 5
                && room.humidityPercent() <= 98
                && room.dryers() >= 0
                && room.dryers() <= 4;
        return works ? new Can(e) : new Cannot("That is no room to work in: 5 to 45 °C, 5 to 98 %, up to 4 dryers.");
    }

    private static Ruling away(RunEvent.Away e, Standing now) {
        if (now.state().onBreak()) {
            return new Cannot("A pause is on already.");
        }
        return e.seconds() < 60 || e.seconds() > 7200
                ? new Cannot("Say for how long, a minute to two hours.")
                : new Can(e);
    }

    private static Ruling drive(RunEvent.Drive e, Standing now) {
        return isHere(e.hands(), now) ? new Can(e) : new Cannot("Nobody is called " + e.hands() + " here.");
    }

    private static Ruling undo(RunEvent.Undo e, Standing now) {
        Optional<RunEvent> last = now.state().lastBy(e.hands());
        if (last.isEmpty()) {
            return new Cannot("There is nothing of " + e.hands() + " to take back.");
        }
        boolean alone = now.plan().network().workers().stream()
                .allMatch(w -> w.id().equals(last.get().hands()));
        if (last.get() instanceof RunEvent.Join && alone) {
            return new Cannot("A covered performer is never left alone. Let somebody join before the coming of "
                    + last.get().hands() + " is taken back.");
        }
        // a step that began by itself goes together with the press that let it begin
        return new Can(new RunEvent.Undo(e.stamp(), last.get().stamp().root()));
    }
}
