package app.kemdro.web.parts.mishap;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.SQLException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.boot.test.system.CapturedOutput;
import org.springframework.boot.test.system.OutputCaptureExtension;
import org.springframework.dao.DataIntegrityViolationException;

@ExtendWith(OutputCaptureExtension.class)
class UnsaidTest {
    private static final String HEALTH = "reacts to birch pollen";

    /** As the database says it: with the value that was to be stored. */
    private static RuntimeException refused() {
        return new DataIntegrityViolationException(
                "could not store '" + HEALTH + "'",
                new SQLException("Value too long for column REACTS_TO: '" + HEALTH + "'", "22001", 22001));
    }

    @Test
    void whatIsKnownOfSomebodyNeverComesIntoTheLog(CapturedOutput log) {
        new ErrorAdvice().unexpected(refused());
        assertThat(log.toString())
                .contains("Unexpected")
                .contains(DataIntegrityViolationException.class.getName())
                .contains(SQLException.class.getName())
                .contains("UnsaidTest.refused")
                .doesNotContain(HEALTH);
    }

    @Test
    void aWrongProgramKeepsItsWords() {
        assertThat(Unsaid.of(new NullPointerException("cannot invoke name() because job is null")))
                .hasMessageContaining("because job is null");
        assertThat(Unsaid.of(new IllegalStateException(HEALTH)))
                .hasMessage(IllegalStateException.class.getName())
                .hasNoCause();
    }
}
