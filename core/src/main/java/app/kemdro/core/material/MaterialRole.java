package app.kemdro.core.material;

/** What code must know of whatever stands there; the data says which has it. */
public enum MaterialRole {
    /** It sticks. */
    GLUE,
    /** It is mixed and matched. */
    PAINT,
    /** It is made beforehand, or built, and comes off whole. */
    FORM,
    /** It is no layer of its own when things come off. */
    DUST,
    /** It wipes skin clean. */
    CLEANS,
    /** With it on, fingers do nothing fine. */
    BINDS_FINGERS
}
