package app.kemdro.core.method;

import org.jspecify.annotations.Nullable;

/**
 * Work on the bench, days or hours before the chair.
 *
 * @param law hands-on minutes
 * @param material what must dry or set afterwards, if anything
 * @param thickness multiple of the material's normal thickness
 * @param waitHours hours it rests where that is not a matter of a material, else 0
 */
public record BenchStep(
        String id, String name, WorkLaw law, @Nullable String material, double thickness, double waitHours) {}
