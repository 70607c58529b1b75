package app.kemdro.web.parts.figure;

import app.kemdro.core.material.Material;
import app.kemdro.core.plan.PlannedStep;

/** Which layer a step leaves on the skin, as it is drawn in the cut and in the order. */
public final class Stratum {
    private Stratum() {}

    /** How the layer that a step leaves is drawn: the form it sets, else its material; empty where it leaves none. */
    public static String of(PlannedStep step) {
        return step.form()
                .or(() -> step.material())
                .filter(Material::isLayer)
                .map(Material::drawn)
                .orElse("");
    }
}
