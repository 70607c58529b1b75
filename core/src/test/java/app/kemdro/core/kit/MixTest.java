package app.kemdro.core.kit;

import static app.kemdro.core.plan.Samples.TRADE;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class MixTest {
    private static final Waste WASTE = Waste.standard(TRADE.body());
    private static final List<Mix> MIXES = Mix.standard(TRADE.materials(), WASTE);

    private static Mix mix(String id) {
        return MIXES.stream().filter(m -> m.id().equals(id)).findFirst().orElseThrow();
    }

    /** [F7] common practice: half and half by volume; 110 g of it by hand: 50 ml of each, 50 g and 60 g. */
    @Test
    void adhesivePaintIsHalfAndHalfByVolume() {
        List<Mix.Measured> parts = mix("adhesive-paint").of(110);
        assertThat(parts.get(0).millilitres()).isCloseTo(50, within(1e-9));
        assertThat(parts.get(1).millilitres()).isCloseTo(50, within(1e-9));
        assertThat(parts.get(0).grams()).isCloseTo(50, within(1e-9));
        assertThat(parts.get(1).grams()).isCloseTo(60, within(1e-9));
    }

    /** By hand: 70 g of silicone with one and a half parts of deadener are 20, 20 and 30 g. */
    @Test
    void siliconeIsWeighed() {
        assertThat(mix("silicone").of(70))
                .extracting(m -> Math.round(m.grams() * 1000) / 1000.0)
                .containsExactly(20.0, 20.0, 30.0);
        assertThat(mix("silicone").potMinutes()).isPositive();
    }

    @Test
    void thePartsOfEveryMixSumUpToTheWhole() {
        for (Mix mix : MIXES) {
            assertThat(mix.of(123).stream().mapToDouble(Mix.Measured::grams).sum())
                    .as(mix.id())
                    .isCloseTo(123, within(1e-9));
        }
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, -3, 1e9, Double.NaN})
    void absurdAmountsAreRefused(double grams) {
        assertThatThrownBy(() -> mix("gelatine").of(grams)).hasMessageContaining("more than nothing");
    }

    /** Every family that is named beside the amounts is one that the trade knows. */
    @Test
    void theAmountsFileNamesOnlyFamiliesThatAreThere() {
        assertThat(WASTE.densities().keySet()).allMatch(TRADE.materials()::has);
        assertThat(WASTE.holds().keySet()).allMatch(TRADE.materials()::has);
        assertThat(WASTE.wears().keySet()).allMatch(TRADE.materials()::has);
        assertThat(WASTE.underestimated().keySet()).allMatch(TRADE.materials()::has);
    }
}
