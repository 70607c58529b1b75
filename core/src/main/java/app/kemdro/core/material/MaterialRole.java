package app.kemdro.core.material;

/** What code must know of whatever stands on a shelf of the trade; the data says which has it. */
public enum MaterialRole {
    /** It sticks. */
    GLUE,
    /** It is mixed and matched. */
    PAINT,
    /** It is made beforehand, or built, and comes off whole. */
    FORM,
    /** It is no layer of its own when things come off. */
    DUST,
    /** It wipes skin clean: what it leaves is gone once it has dried, and nobody looks whether it is clear. */
    CLEANS,
    /** With it on, fingers do nothing fine. */
    BINDS_FINGERS
}
