package app.kemdro.core.habit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MoneyTest {
    @Test
    void eurosAreConvertedAndTheHousesOwnIsNot() {
        Money crowns = new Money("kr", 11.5);
        assertThat(crowns.said("+4 min, +€ 2; under € 1; ¤ 14 a pack"))
                .isEqualTo("+4 min, +kr 23; under kr 12; kr 14 a pack");
    }

    @Test
    void withoutACourseOnlyTheSignIsAnother() {
        assertThat(new Money("$", 1).said("€ 4 and ¤ 4.50")).isEqualTo("$ 4 and $ 4.50");
        assertThat(Money.EURO.said("€ 4 and ¤ 4.50")).isEqualTo("€ 4 and € 4.50");
    }

    @ParameterizedTest
    @CsvSource({"'', 1", "<b>, 1", "crowns, 1", "€, 0", "€, -3", "€, NaN", "€, 1e9"})
    void whatIsNoMoneyIsRefused(String sign, double perEuro) {
        assertThatThrownBy(() -> new Money(sign, perEuro)).isInstanceOf(IllegalArgumentException.class);
    }
}
