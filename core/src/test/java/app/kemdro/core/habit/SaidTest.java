package app.kemdro.core.habit;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.habit.Habit.Dates;
import app.kemdro.core.habit.Habit.Hours;
import app.kemdro.core.habit.Habit.Length;
import app.kemdro.core.habit.Habit.Paper;
import app.kemdro.core.habit.Habit.Warmth;
import app.kemdro.core.habit.Habit.Week;
import app.kemdro.core.habit.Habit.Weight;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class SaidTest {
    private static final Habit OTHER = new Habit(
            Length.INCH, Weight.OUNCE, Warmth.FAHRENHEIT, Hours.H12, Dates.MONTH_FIRST, Week.SUNDAY, Paper.LETTER);

    /**
     * By hand, from 1 in = 2.54 cm, 1 oz = 28.3495 g, 1 lb = 0.453592 kg (international yard and pound agreement, 1959; NIST Handbook 44,
     * appendix C, from memory), 1 US fl oz = 29.5735 ml, °F = 1.8 °C + 32.
     */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            21 °C, 45 % humidity | 70 °F, 45 % humidity
            36.6 °C | 97.9 °F
            −4 °C outside | 25 °F outside
            −40 °C | −40 °F
            12 g on the chin | 0.42 oz on the chin
            120 g | 4.23 oz
            1200 g | 42.3 oz
            3.5 g, 56 cm² | 0.12 oz, 8.7 in²
            0 g | 0 oz
            A head of 44 cm round is outside 45 to 70 cm. | A head of 17.3 in round is outside 17.7 to 27.6 in.
            Set 5 to 45 °C. | Set 41 to 113 °F.
            183 cm tall, 70 kg | 6 ft 0 in tall, 154 lb
            1.5 mm on the body, 13 mm of adhesive | 0.059 in on the body, 0.51 in of adhesive
            60 ml, opened | 2.03 fl oz, opened
            5 °C warmer | 9 °F warmer
            2 to 3 °C cooler | 4 to 5 °F cooler
            −4 °C warmer | −7 °F warmer
            ready 07:41, call 16:30 | ready 7:41 am, call 4:30 pm
            00:05 and 12:00 | 12:05 am and 12:00 pm
            Thu 3 Dec 2026 | Thu Dec 3, 2026
            Thursday 26 November, 21:10 | Thursday November 26, 9:10 pm
            """)
    void valuesAreSaidByTheHabit(String standard, String other) {
        assertThat(Said.by(OTHER, standard)).isEqualTo(other);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "0.06 of 0.50 g/cm²", // no common other form
                "20 g/m²",
                "2026-11-26T16:30:00", // for other programs
                "runs out in 4:30", // minutes and seconds
                "part 12:30:15",
                "7 techniques, 3 zones, 5 goes, 98 %",
                "zone-3 general",
                "1 : 2",
            })
    void whatIsNoValueStays(String text) {
        assertThat(Said.by(OTHER, text)).isEqualTo(text);
    }

    @Test
    void theStandardIsSaidAsItIs() {
        String text = "21 °C, 45 to 70 cm, 12 g, 60 ml, 16:30, 3 December";
        assertThat(Said.by(Habit.STANDARD, text)).isSameAs(text);
    }

    /** One habit changes nothing else. */
    @Test
    void eachHabitIsItsOwn() {
        Habit hours = new Habit(
                Length.METRIC, Weight.GRAM, Warmth.CELSIUS, Hours.H12, Dates.DAY_FIRST, Week.MONDAY, Paper.A4);
        assertThat(Said.by(hours, "21 °C, 70 cm, 12 g, 16:30, 3 December"))
                .isEqualTo("21 °C, 70 cm, 12 g, 4:30 pm, 3 December");
    }

    /** Against the clock of the language's own library. */
    @Test
    void everyMinuteOfADay() {
        DateTimeFormatter twelve = DateTimeFormatter.ofPattern("h:mm a", Locale.UK);
        for (LocalTime t = LocalTime.MIDNIGHT; ; t = t.plusMinutes(1)) {
            assertThat(Said.by(OTHER, "at " + t + "."))
                    .isEqualTo("at " + twelve.format(t).toLowerCase(Locale.UK) + ".");
            if (t.equals(LocalTime.of(23, 59))) {
                return;
            }
        }
    }
}
