package app.kemdro.core.habit;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.habit.Habit.Dates;
import app.kemdro.core.habit.Habit.Hours;
import app.kemdro.core.habit.Habit.Length;
import app.kemdro.core.habit.Habit.Paper;
import app.kemdro.core.habit.Habit.Warmth;
import app.kemdro.core.habit.Habit.Week;
import app.kemdro.core.habit.Habit.Weight;
import java.math.BigDecimal;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class EnteredTest {
    private static final Habit OTHER =
            new Habit(Length.INCH, Weight.OUNCE, Warmth.FAHRENHEIT, Hours.H24, Dates.DAY_FIRST, Week.MONDAY, Paper.A4);

    /** By hand: 57 cm / 2.54 = 22.44; 21 °C = 69.8 °F; 6 ft 1 = 73 in = 185.42 cm; 154 lb = 69.85 kg. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '`', textBlock = """
            CELSIUS | 70 | 21.1
            CELSIUS | 70 °F | 21.1
            CELSIUS | 70F | 21.1
            CELSIUS | 21 C | 21
            CELSIUS | 21 °C | 21
            CELSIUS | warm | warm
            CELSIUS | 70 pounds | 70 pounds
            CM | 22.44 | 57
            CM | 22,44 | 57
            CM | 57 cm | 57
            CM | 6'1" | 185.4
            CM | 6 ft 1 in | 185.4
            CM | 6 ft | 182.9
            CM | 73 in | 185.4
            KG | 154 | 69.9
            KG | 154 lbs | 69.9
            KG | 70 kg | 70
            GRAM | 4 | 113.4
            GRAM | 4 oz | 113.4
            """)
    void isUnderstoodWhicheverUnitItNames(Unit unit, String typed, String kept) {
        assertThat(Entered.kept(typed, unit, true)).isEqualTo(kept);
    }

    /** Somebody of the other habit may name the unit just the same. */
    @Test
    void theStandardUnderstandsOthers() {
        assertThat(Entered.kept("70 F", Unit.CELSIUS, false)).isEqualTo("21.1");
        assertThat(Entered.kept("5'9\"", Unit.CM, false)).isEqualTo("175.3");
        assertThat(Entered.kept("21", Unit.CELSIUS, false)).isEqualTo("21");
        assertThat(Entered.kept("", Unit.CM, false)).isEmpty();
    }

    /** A field that nobody touched changes nothing: the number is the same when it comes back. */
    @ParameterizedTest
    @EnumSource(Unit.class)
    void comesBackAsItWas(Unit unit) {
        for (int tenths = 0; tenths <= 5000; tenths++) {
            BigDecimal value = BigDecimal.valueOf(tenths, 1);
            String kept = value.signum() == 0 ? "0" : value.stripTrailingZeros().toPlainString();
            assertThat(Entered.kept(Entered.shown(kept, unit, OTHER), unit, true))
                    .isEqualTo(kept);
        }
    }

    @Test
    void whatIsNoNumberIsShownAsItWasTyped() {
        assertThat(Entered.shown("warm", Unit.CELSIUS, OTHER)).isEqualTo("warm");
        assertThat(Entered.shown("", Unit.CM, OTHER)).isEmpty();
        assertThat(Entered.shown("21", Unit.CELSIUS, OTHER)).isEqualTo("69.8");
        assertThat(Entered.shown("21", Unit.CELSIUS, Habit.STANDARD)).isEqualTo("21");
    }
}
