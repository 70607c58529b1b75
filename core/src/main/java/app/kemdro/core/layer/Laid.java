package app.kemdro.core.layer;

import app.kemdro.core.material.Material;
import app.kemdro.core.method.Technique;
import java.util.Set;

/**
 * One laying of a material on a zone, in working order.
 *
 * @param step id of the step that lays it
 * @param entry id of the entry of the look it belongs to
 * @param what how the step is said
 * @param thickness multiple of the material's normal coat
 * @param beside entries that lie beside it on the same zone, each on a share of its own, and never below it
 */
public record Laid(
        String step,
        String entry,
        Technique technique,
        String what,
        Material material,
        double thickness,
        Set<String> beside) {
    /** With nothing beside it. */
    public Laid(String step, String entry, Technique technique, String what, Material material, double thickness) {
        this(step, entry, technique, what, material, thickness, Set.of());
    }
}
