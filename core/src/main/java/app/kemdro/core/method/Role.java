package app.kemdro.core.method;

/** What code must know of a technique beyond its numbers; the data says which has it. */
public enum Role {
    /** The artist looks over everything that stands. */
    LAST_LOOK,
    /** The artist steps back and looks when it is modelled. */
    HALF_WAY_LOOK,
    /** Light and shadow give it its form. */
    MODELS,
    /** The performer is dressed. */
    DRESSING,
    /** Skin is made ready for whatever is laid on it. */
    CLEANS_SKIN,
    /** It is put into the eye. */
    IN_THE_EYE,
    /** It blends the edge of something else, which does not hide without it. */
    BLENDS_EDGES,
    /** It is worn over hair, so that no skin is to be seen there. */
    COVERS_HAIR,
    HIDES_BROWS,
    HIDES_HAIR,
    FLATTENS_HAIR,
    /** It is offered first for skin that was left out. */
    FIRST_FILL,
    /** It is offered for such skin where the look wears nothing that could be carried on. */
    USUAL_FILL
}
