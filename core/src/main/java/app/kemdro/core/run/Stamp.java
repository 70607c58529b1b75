package app.kemdro.core.run;

import java.time.LocalDateTime;

/**
 * What every event says of itself: which it is, when it was, whose hands, and what reported it.
 *
 * @param id made by the device that reports it, so that one reported twice counts once
 * @param at when it happened
 * @param hands whose hands report it, or empty
 * @param device what reported it, empty where that does not matter
 */
public record Stamp(String id, LocalDateTime at, String hands, String device) {
    /** Stands between the id of a press and the hands for which it let a step begin by itself. */
    private static final char FOLLOWS = '+';

    /** From a device that does not matter. */
    public Stamp(String id, LocalDateTime at, String hands) {
        this(id, at, hands, "");
    }

    /** The same press for other hands. */
    public Stamp of(String otherHands) {
        return new Stamp(id, at, otherHands, device);
    }

    /** The same press under another id. */
    public Stamp named(String otherId) {
        return new Stamp(otherId, at, hands, device);
    }

    /** What these hands begin by themselves because of this press. */
    public Stamp followedBy(String otherHands, LocalDateTime then) {
        return new Stamp(id + FOLLOWS + otherHands, then, otherHands, device);
    }

    /** The id of the press this came from; its own where it is a press. */
    public String root() {
        int follows = id.indexOf(FOLLOWS);
        return follows < 0 ? id : id.substring(0, follows);
    }
}
