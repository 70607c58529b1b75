package app.kemdro.core.run;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Skill;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.run.RunState.Pause.Why;
import app.kemdro.core.run.StepState.Status;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;

/**
 * Something that happened in the chair, or while it came off. Events are only ever added; what is now is their fold. Each kind has
 * its own fields, says what it does to the fold, and, where look or brief change with it, what it makes of them.
 */
public sealed interface RunEvent {
    /** Which it is, when, whose hands, what reported it. */
    Stamp stamp();

    /** What becomes of the run. */
    void happen(RunFold run);

    default String id() {
        return stamp().id();
    }

    default LocalDateTime at() {
        return stamp().at();
    }

    default String hands() {
        return stamp().hands();
    }

    default String device() {
        return stamp().device();
    }

    /** It is about a step. */
    sealed interface AtStep extends RunEvent {
        String step();
    }

    /** It is about an entry of the look. */
    sealed interface OfEntry extends Reshaping {
        String entry();
    }

    /** It says something in free words. */
    sealed interface InWords extends RunEvent {
        String text();
    }

    /** After it, what is carried out is another plan. */
    sealed interface Reshaping extends RunEvent {
        /** What look, brief and extra work become. */
        Changes change(Changes now, RunState state);

        @Override
        default void happen(RunFold run) {}
    }

    /** Only the device that drives the hands may report it; the first to report one drives them. */
    sealed interface Driven extends RunEvent {}

    /** It is not taken back with the key that takes back the last press. */
    sealed interface Lasting extends RunEvent {}

    /** The performer sits down. */
    record Begin(Stamp stamp) implements Lasting {
        @Override
        public void happen(RunFold run) {
            run.begin(at());
        }
    }

    /**
     * A step is begun.
     *
     * @param mode the way to settle that it is begun with (see the network's modes)
     * @param sure that it is meant, though something speaks against it
     */
    record Start(Stamp stamp, String step, int mode, boolean sure) implements AtStep, Driven {
        /** In the first of its ways, where nothing speaks against it. */
        public Start(Stamp stamp, String step) {
            this(stamp, step, 0, false);
        }

        @Override
        public void happen(RunFold run) {
            run.step(step, s -> s.begun(this));
        }
    }

    /** A step is done. */
    record Finish(Stamp stamp, String step) implements AtStep, Driven {
        @Override
        public void happen(RunFold run) {
            run.step(step, s -> s.finished(this));
        }
    }

    /** The artist looked: the film is clear; or, in a strike, what was flooded lets go. */
    record Clear(Stamp stamp, String step) implements AtStep {
        @Override
        public void happen(RunFold run) {
            run.step(step, s -> s.clear(at()));
        }
    }

    /**
     * The artist looked: the film needs longer.
     *
     * @param seconds after which to look again, seconds; counted as a minute where less is said
     */
    record NotYet(Stamp stamp, String step, int seconds) implements AtStep {
        @Override
        public void happen(RunFold run) {
            run.step(step, s -> s.notYet(at(), seconds));
        }
    }

    /** A step is left out. */
    record Skip(Stamp stamp, String step, String text) implements AtStep, Driven, InWords {
        @Override
        public void happen(RunFold run) {
            run.step(step, s -> s.skipped(this));
        }
    }

    /** A step that is under way gets so many more seconds. */
    record Add(Stamp stamp, String step, int seconds) implements AtStep, Driven {
        @Override
        public void happen(RunFold run) {
            run.step(step, s -> s.longer(seconds));
        }
    }

    /** A break begins; it is as long as that break of the day is. */
    record Break(Stamp stamp) implements RunEvent {
        @Override
        public void happen(RunFold run) {
            run.pause(at(), Why.BREAK, 0);
        }
    }

    /** The break, or whatever else held the work up, is over. */
    record Back(Stamp stamp) implements RunEvent {
        @Override
        public void happen(RunFold run) {
            run.back(at());
        }
    }

    /** A note for the book. */
    record Note(Stamp stamp, String text) implements Lasting, InWords {
        @Override
        public void happen(RunFold run) {
            run.note(this);
        }
    }

    /**
     * A press, and whatever began by itself because of it, is taken back.
     *
     * @param event the id of the press
     */
    record Undo(Stamp stamp, String event) implements Driven {
        @Override
        public void happen(RunFold run) {}
    }

    /** The dryer is turned on the film of a step, or taken away again. */
    record Dryer(Stamp stamp, String step) implements AtStep {
        @Override
        public void happen(RunFold run) {
            run.step(step, s -> s.dryer(at()));
        }
    }

    /** A step that was done is done once more. */
    record Redo(Stamp stamp, String step) implements AtStep, Reshaping {
        @Override
        public Changes change(Changes now, RunState state) {
            return now.putRight(this, "", List.of(), state);
        }
    }

    /**
     * Something went wrong at a step.
     *
     * @param repair the id of how such a thing is put right
     * @param zones where, all of the step's zones where none is said
     */
    record Trouble(Stamp stamp, String step, String repair, List<String> zones) implements AtStep, Reshaping {
        public Trouble {
            zones = zones == null ? List.of() : List.copyOf(new LinkedHashSet<>(zones));
        }

        @Override
        public void happen(RunFold run) {
            run.note(this);
        }

        @Override
        public Changes change(Changes now, RunState state) {
            return now.putRight(this, repair, zones, state);
        }
    }

    /** An entry of the look, none of whose steps has begun, is done by another school. */
    record School(Stamp stamp, String entry, String technique) implements OfEntry {
        @Override
        public Changes change(Changes now, RunState state) {
            return now.with(now.look().changing(entry, e -> e.by(technique)));
        }
    }

    /** An entry gets so many coats and no more. */
    record Coats(Stamp stamp, String entry, int coats) implements OfEntry {
        @Override
        public Changes change(Changes now, RunState state) {
            return now.with(now.look().changing(entry, e -> e.coated(coats)));
        }
    }

    /** An entry, none of whose steps has begun, is left out. */
    record Drop(Stamp stamp, String entry, String reason) implements OfEntry {
        @Override
        public Changes change(Changes now, RunState state) {
            return now.with(now.look().without(entry));
        }
    }

    /**
     * Something more is put on.
     *
     * @param technique what was asked for
     * @param entries what the look has more because of it, as it was worked out when it was asked for
     */
    record Addition(Stamp stamp, String technique, List<String> zones, int items, List<LookEntry> entries)
            implements Reshaping {
        public Addition {
            zones = List.copyOf(new LinkedHashSet<>(zones));
            entries = List.copyOf(entries);
        }

        @Override
        public Changes change(Changes now, RunState state) {
            List<LookEntry> all = new ArrayList<>(now.look().entries());
            all.addAll(entries);
            return now.with(now.look().with(all));
        }
    }

    /** An entry, none of whose steps has begun, is done more or less strongly. */
    record Strength(Stamp stamp, String entry, LookEntry.Strength strength) implements OfEntry {
        @Override
        public Changes change(Changes now, RunState state) {
            return now.with(now.look().changing(entry, e -> e.strong(strength)));
        }
    }

    /** Hands join, as good as this. */
    record Join(Stamp stamp, Skill skill) implements Reshaping {
        @Override
        public Changes change(Changes now, RunState state) {
            return now.joined(hands(), skill, at());
        }
    }

    /** Hands leave; what they are at is put down. */
    record Leave(Stamp stamp) implements Reshaping {
        @Override
        public void happen(RunFold run) {
            run.putDown(s -> s.hands().equals(hands()));
        }

        @Override
        public Changes change(Changes now, RunState state) {
            return now.left(hands());
        }
    }

    /** The room is another now. */
    record Room(Stamp stamp, Brief.Room room) implements Reshaping, Lasting {
        @Override
        public Changes change(Changes now, RunState state) {
            return new Changes(now.look(), now.brief().in(room), now.extras());
        }
    }

    /** The performer is away, for so many seconds as far as is known; ends as a break does. */
    record Away(Stamp stamp, int seconds) implements RunEvent {
        @Override
        public void happen(RunFold run) {
            run.pause(at(), Why.AWAY, seconds);
        }
    }

    /** Skin reacts, where and how as said. Nothing more is laid until somebody has looked. */
    record Reaction(Stamp stamp, String text) implements InWords {
        @Override
        public void happen(RunFold run) {
            run.putDown(s -> s.status() == Status.RUNNING);
            run.pause(at(), Why.REACTION, 0);
            run.note(this);
        }
    }

    /** An amount was used, of what and how much as said. */
    record Used(Stamp stamp, String text) implements InWords {
        @Override
        public void happen(RunFold run) {
            run.note(this);
        }
    }

    /**
     * A device takes over the presses for these hands.
     *
     * @param driver the device; empty where nobody drives them from here on
     */
    record Drive(Stamp stamp, String driver) implements Lasting {
        @Override
        public void happen(RunFold run) {
            run.drive(hands(), driver);
        }
    }

    /**
     * A picture was taken.
     *
     * @param picture its id
     */
    record Picture(Stamp stamp, String picture) implements Lasting {
        @Override
        public void happen(RunFold run) {
            run.note(this);
        }
    }

    /** The performer leaves the chair. */
    record End(Stamp stamp) implements RunEvent {
        @Override
        public void happen(RunFold run) {
            run.end(at());
        }
    }
}
