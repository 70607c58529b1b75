package app.kemdro.core.colour;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class RecipesTest {

    /** Every three of a small kit in steps of a fiftieth, which is all there is to try. */
    private static double exhaustive(List<Paint> kit, Lab target) {
        double best = Double.MAX_VALUE;
        for (int p = 0; p < kit.size(); p++) {
            for (int q = p; q < kit.size(); q++) {
                for (int r = q; r < kit.size(); r++) {
                    for (int i = 0; i <= 50; i++) {
                        for (int j = 0; i + j <= 50; j++) {
                            if (i + j == 0 && r == q) {
                                continue;
                            }
                            Lab lab = Paint.mix(List.of(
                                            new Paint.Share(kit.get(p), i),
                                            new Paint.Share(kit.get(q), j),
                                            new Paint.Share(kit.get(r), 50.0 - i - j)))
                                    .masstone()
                                    .lab();
                            best = Math.min(best, lab.difference(target));
                        }
                    }
                }
            }
        }
        return best;
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4})
    void theNearestIsAsNearAsTryingAllOfThem(long seed) {
        List<Paint> kit = Paints.drawn(seed, 7);
        Lab target = Paints.drawn(seed + 100, 1).get(0).masstone().lab();
        Recipes.Recipe found = Recipes.nearest(kit, target, 3).get(0);
        assertThat(found.difference()).isLessThanOrEqualTo(exhaustive(kit, target) + 0.5);
        Lab mixed = Paint.mix(java.util.stream.IntStream.range(0, found.paints().size())
                        .mapToObj(k -> new Paint.Share(
                                kit.get(found.paints().get(k)), found.parts().get(k)))
                        .toList())
                .masstone()
                .lab();
        assertThat(mixed.difference(target))
                .as("the parts that are said give what is said")
                .isCloseTo(found.difference(), org.assertj.core.api.Assertions.within(1e-6));
    }

    /** Colours that no mix of the kit reaches: the nearest that is found is still as near as trying all of them. */
    @ParameterizedTest
    @ValueSource(strings = {"#00ff40", "#ff00c8", "#1020ff", "#ffe000", "#00d0ff", "#ff3000"})
    void whatNoMixReachesIsMissedByNoMoreThanItMustBe(String beyond) {
        List<Paint> kit = Paints.drawn(11, 7);
        Lab target = Srgb.hex(beyond).lab();
        assertThat(Recipes.nearest(kit, target, 3).get(0).difference())
                .isLessThanOrEqualTo(exhaustive(kit, target) + 0.5);
    }

    @Test
    void aPaintOfTheKitIsItsOwnRecipe() {
        List<Paint> kit = Paints.drawn(9, 40);
        Recipes.Recipe found =
                Recipes.nearest(kit, kit.get(17).masstone().lab(), 3).get(0);
        assertThat(found.paints()).containsExactly(17);
        assertThat(found.difference()).isLessThan(1e-6);
    }

    @Test
    void aThinFilmIsMixedForWhatLiesBelow() {
        List<Paint> kit = Paints.drawn(5, 12);
        Reflectance skin = Reflectance.of(Srgb.hex("#c9a88c").lab());
        Lab target = Paint.mix(List.of(new Paint.Share(kit.get(2), 2), new Paint.Share(kit.get(7), 1)))
                .over(skin, 15)
                .lab();
        Recipes.Recipe found = Recipes.nearest(kit, target, skin, 15, 1).get(0);
        assertThat(found.difference()).isLessThan(0.5);
    }
}
