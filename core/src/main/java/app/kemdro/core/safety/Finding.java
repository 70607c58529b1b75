package app.kemdro.core.safety;

import java.time.LocalDateTime;

/**
 * Something to be seen to.
 *
 * @param key the same for the same thing on the same job
 * @param mayBeLifted whether a lead may lift it with a reason
 */
public record Finding(String key, Kind kind, String what, String remedy, boolean mayBeLifted) {

    /** How much it weighs. */
    public enum Kind {
        /** Nobody begins before it is seen to. */
        BLOCKS,
        /** It is seen to, or known of. */
        WARNS,
        /** It is said at the chair. */
        SAID
    }

    static Finding block(String key, String what, String remedy, boolean mayBeLifted) {
        return new Finding(key, Kind.BLOCKS, what, remedy, mayBeLifted);
    }

    static Finding warn(String key, String what, String remedy) {
        return new Finding(key, Kind.WARNS, what, remedy, false);
    }

    static Finding said(String key, String what) {
        return new Finding(key, Kind.SAID, what, "", false);
    }

    /** A day and an hour as findings say them. */
    static String moment(LocalDateTime at) {
        return "%te %<tB, %<tR".formatted(at);
    }
}
