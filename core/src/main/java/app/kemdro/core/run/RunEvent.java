package app.kemdro.core.run;

import java.time.LocalDateTime;

/**
 * Something that happened in the chair. Events are only ever added; what is now is their fold.
 *
 * @param id made by the device that reports it, so that one reported twice counts once
 * @param at when it happened
 * @param hands whose hands report it, or empty
 * @param step the step it is about, or empty
 * @param seconds minutes added to a step, as seconds
 * @param mode the way to settle that the step was begun with (see the network's modes)
 * @param text a reason, a note, or for {@link Type#UNDO} the id of the event taken back
 * @param device what reported it, empty where that does not matter
 */
public record RunEvent(
        String id,
        LocalDateTime at,
        String hands,
        Type type,
        String step,
        int seconds,
        int mode,
        String text,
        String device) {

    /** From a device that does not matter. */
    public RunEvent(
            String id, LocalDateTime at, String hands, Type type, String step, int seconds, int mode, String text) {
        this(id, at, hands, type, step, seconds, mode, text, "");
    }

    public RunEvent {
        device = device == null ? "" : device;
    }

    /** Stands between the id of a press and the hands for which it let a step begin by itself. */
    private static final char FOLLOWS = '+';

    /** The step that these hands begin by themselves because of this press. */
    public RunEvent andStart(String otherHands, String nextStep, int nextMode) {
        return new RunEvent(id + FOLLOWS + otherHands, at, otherHands, Type.START, nextStep, 0, nextMode, "", device);
    }

    /** The id of the press this event came from; its own where it is a press. */
    public String root() {
        int at = id.indexOf(FOLLOWS);
        return at < 0 ? id : id.substring(0, at);
    }

    /** What can happen. */
    public enum Type {
        /** The performer sits down. */
        BEGIN,
        START,
        FINISH,
        /** The artist looked: the film is clear. */
        CLEAR,
        /** The artist looked: the film needs longer. */
        NOT_YET,
        SKIP,
        ADD,
        BREAK,
        BACK,
        NOTE,
        UNDO,
        /** The dryer is turned on the film of a step, or taken away again. */
        DRYER,
        /** A step that was done is done once more. */
        REDO,
        /** Something went wrong at a step; the text is the repair's id. */
        TROUBLE,
        /** An entry of the look, none of whose steps has begun, is done by another school; the text is its technique. */
        SCHOOL,
        /** An entry gets so many coats, given as seconds, and no more. */
        COATS,
        /** An entry, none of whose steps has begun, is left out. */
        DROP,
        /** Hands join; the text is their skill. */
        JOIN,
        /** Hands leave; what they are at is put down. */
        LEAVE,
        /** The room changes; the text is temperature, humidity and dryers. */
        ROOM,
        /** The performer is away, for so many seconds as far as is known; ends as a break does. */
        AWAY,
        /** Skin reacts: the text says where and how. Nothing more is laid until somebody has looked. */
        REACTION,
        /** An amount was used; the text says of what and how much. */
        USED,
        /** A device takes over the presses for these hands; the text is the device. */
        DRIVE,
        /** A picture was taken; the text is its id. */
        PICTURE,
        /** The performer leaves the chair. */
        END
    }
}
