package app.kemdro.core.material;

/** How a material comes to rest after it was laid: by losing liquid, by cooling, or by a reaction. */
public sealed interface Setting permits Film, Bulk, Melt, Reacting {

    /** The same laid thicker or thinner. */
    Setting times(double factor);

    /** Whether there is a moment at which it grabs, or may be worked into, before it is at rest. */
    boolean grabs();

    /** Thickness of what stays, mm. */
    double thicknessMm();
}
