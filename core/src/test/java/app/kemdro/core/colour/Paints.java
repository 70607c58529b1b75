package app.kemdro.core.colour;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;

/** Made-up paints for tests. */
public final class Paints {
    private Paints() {}

    /** So many paints that a surface can have; the same seed gives the same. */
    public static List<Paint> drawn(long seed, int size) {
        SplittableRandom random = new SplittableRandom(seed);
        List<Paint> kit = new ArrayList<>();
        while (kit.size() < size) {
            Lab white = new Lab(
                    15 + random.nextDouble() * 70, random.nextDouble() * 60 - 25, random.nextDouble() * 70 - 30);
            double darker = 0.3 + random.nextDouble() * 0.65;
            try {
                kit.add(Paint.fromSwatches(
                        Reflectance.of(white),
                        Reflectance.of(new Lab(white.l() * darker, white.a() * darker, white.b() * darker)),
                        20));
            } catch (IllegalArgumentException noSurface) {
                // drawn again
            }
        }
        return kit;
    }
}
