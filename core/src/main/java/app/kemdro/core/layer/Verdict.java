package app.kemdro.core.layer;

/** Whether a layer holds on what is below it. */
public enum Verdict {
    HOLDS,
    /** It holds if the artist sees to something. */
    HOLDS_IF,
    /** It holds for a while, or badly. */
    WEAK,
    FAILS,
    /** It can hurt someone. */
    FORBIDDEN,
    /** No rule speaks about this pair; never taken for a yes. */
    UNKNOWN;

    /** Whether it may stay as it is. */
    public boolean isFine() {
        return this == HOLDS || this == HOLDS_IF;
    }
}
