package app.kemdro.web.parts.typed;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Hours as people write them. */
class TypedHourTest {
    @ParameterizedTest
    @CsvSource({
        "07:45, 07:45",
        "7.45, 07:45",
        "745, 07:45",
        "0745, 07:45",
        "7h45, 07:45",
        "7h, 07:00",
        "7, 07:00",
        "9am, 09:00",
        "9 AM, 09:00",
        "9.30 pm, 21:30",
        "930p.m., 21:30",
        "12am, 00:00",
        "12 pm, 12:00",
        "noon, 12:00",
        "Midnight, 00:00",
        "23:59, 23:59",
        "0000, 00:00"
    })
    void areUnderstood(String typed, String meant) {
        assertThat(TypedHour.read(typed)).hasToString("Optional[" + meant + "]");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "24:00", "7:60", "13pm", "0am", "early", "7:4", "12345", "-7", "7:45:00:00"})
    void whatIsNoHourIsNone(String typed) {
        assertThat(TypedHour.read(typed)).isEmpty();
    }
}
