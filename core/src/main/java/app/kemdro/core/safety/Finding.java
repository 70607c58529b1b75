package app.kemdro.core.safety;

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
}
