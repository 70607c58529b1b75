package app.kemdro.web.parts.typed;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Read on Sunday, 29 November 2026; what is meant was looked up in a calendar. */
class TypedDayTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 29);

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    2026-12-03         | 2026-12-03
                    2026-1-9           | 2026-01-09
                    3.12.              | 2026-12-03
                    3.12.2026          | 2026-12-03
                    3/12/26            | 2026-12-03
                    12/31              | 2026-12-31
                    31/12              | 2026-12-31
                    3 Dec              | 2026-12-03
                    3rd december       | 2026-12-03
                    Dec 3              | 2026-12-03
                    December 3, 2027   | 2027-12-03
                    Thu 3 Dec 2026     | 2026-12-03
                    thursday, 3 Dec    | 2026-12-03
                    3 Jan              | 2027-01-03
                    20 nov             | 2026-11-20
                    today              | 2026-11-29
                    Tomorrow           | 2026-11-30
                    yesterday          | 2026-11-28
                    thu                | 2026-12-03
                    Sunday             | 2026-12-06
                    29 Feb             | 2028-02-29
                    """)
    void isMeant(String typed, LocalDate day) {
        if (typed.equals("29 Feb")) {
            // no year beside this one has such a day
            assertThat(TypedDay.read(typed, TODAY)).isEmpty();
            assertThat(TypedDay.read("29 Feb 2028", TODAY)).contains(day);
            return;
        }
        assertThat(TypedDay.read(typed, TODAY)).contains(day);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "soon", "31 Feb", "32.1.", "0.5.", "13/13", "3", "th", "2026", "3 Foo", "2026-13-01"})
    void cannotBeMeant(String typed) {
        assertThat(TypedDay.read(typed, TODAY)).isEmpty();
    }

    @Test
    void whatIsShownIsRead() {
        for (LocalDate day = TODAY; day.isBefore(TODAY.plusYears(3)); day = day.plusDays(1)) {
            assertThat(TypedDay.read(TypedDay.shown(day), TODAY)).contains(day);
        }
        assertThat(TypedDay.shown("2026-12-03")).isEqualTo("Thu 3 Dec 2026");
        assertThat(TypedDay.shown("soon")).isEqualTo("soon");
    }

    @Test
    void aMomentIsADayAndAnHour() {
        assertThat(TypedDay.moment("yesterday 18:00", TODAY))
                .contains(TODAY.minusDays(1).atTime(18, 0));
        assertThat(TypedDay.moment("Thu 26 Nov 2026, 6 pm", TODAY))
                .contains(LocalDate.of(2026, 11, 26).atTime(18, 0));
        assertThat(TypedDay.moment("26.11. 0745", TODAY))
                .contains(LocalDate.of(2026, 11, 26).atTime(7, 45));
        assertThat(TypedDay.moment("2026-11-25T18:00", TODAY))
                .contains(LocalDate.of(2026, 11, 25).atTime(18, 0));
        assertThat(TypedDay.moment("yesterday", TODAY)).isEmpty();
        assertThat(TypedDay.moment("18:00", TODAY)).isEmpty();
    }
}
