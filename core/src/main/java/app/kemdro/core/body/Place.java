package app.kemdro.core.body;

/** What kind of surface a zone is; materials say on which of them they may lie. */
public enum Place {
    SKIN,
    /** Lids and the skin round the eye. */
    EYE,
    LIPS,
    TOOTH,
    NAIL
}
