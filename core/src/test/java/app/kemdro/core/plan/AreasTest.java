package app.kemdro.core.plan;

import static app.kemdro.core.plan.Samples.TRADE;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.kemdro.core.body.Place;
import app.kemdro.core.body.Zone;
import app.kemdro.core.look.Brief.Performer;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

class AreasTest {
    /** Skin of the whole body, nails being a part of the hands and teeth none of it. */
    private static final List<String> ALL = TRADE.body().zones().stream()
            .filter(z -> z.place() != Place.NAIL && z.place() != Place.TOOTH)
            .map(Zone::id)
            .toList();

    private static double squareMetres(Performer performer) {
        return Areas.of(ALL, performer, TRADE.body()) / 10_000;
    }

    /** √(height · weight / 3600), Mosteller 1987 (from memory), worked by hand. */
    @Test
    void allZonesTogetherAreTheSurfaceOfTheBody() {
        assertThat(squareMetres(new Performer("Tomas", 0, 0, 0, Set.of()))).isCloseTo(1.845, within(0.01));
        assertThat(squareMetres(new Performer("Tomas", 175, 70, 0, Set.of()))).isCloseTo(1.845, within(0.01));
        assertThat(squareMetres(new Performer("Marit", 160, 55, 0, Set.of()))).isCloseTo(1.563, within(0.03));
        assertThat(squareMetres(new Performer("Big", 195, 110, 0, Set.of()))).isCloseTo(2.441, within(0.06));
    }

    /** Shares of Lund and Browder 1944 for a grown person, percent of the whole (from memory). */
    @Test
    void partsHaveTheirPublishedShares() {
        share(32, "bust", "trunk");
        share(14, "arms");
        share(5, "hands");
        share(40, "legs");
        share(9, "cap-area", "face-skin", "lids", "mouth", "ears", "behind-ears", "neck");
    }

    private static void share(double percent, String... groups) {
        List<String> zones = java.util.stream.Stream.of(groups)
                .flatMap(g -> TRADE.body().named(g).stream())
                .toList();
        Performer usual = new Performer("Tomas", 0, 0, 0, Set.of());
        assertThat(Areas.of(zones, usual, TRADE.body()) / 18_450 * 100).isCloseTo(percent, within(1.0));
    }
}
