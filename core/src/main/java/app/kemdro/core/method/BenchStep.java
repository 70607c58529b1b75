package app.kemdro.core.method;

import org.jspecify.annotations.Nullable;

/**
 * Work on the bench, days or hours before the chair.
 *
 * @param minutes hands-on minutes however small the piece
 * @param minutesPer100Cm2 hands-on minutes for each 100 cm²
 * @param material what must dry or set afterwards, if anything
 * @param thickness multiple of the material's normal thickness
 * @param waitHours hours it rests where that is not a matter of a material, else 0
 */
public record BenchStep(
        String id,
        String name,
        double minutes,
        double minutesPer100Cm2,
        @Nullable String material,
        double thickness,
        double waitHours) {}
