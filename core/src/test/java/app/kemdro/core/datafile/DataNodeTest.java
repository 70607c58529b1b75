package app.kemdro.core.datafile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.StringReader;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DataNodeTest {
    private static DataNode read(String text) {
        return DataNode.read("trade.yaml", new StringReader(text));
    }

    @Test
    void whatIsMissingIsNamedWithFileAndLine() {
        DataNode glue = read("glue:\n  name: acrylic\n").get("glue");
        assertThatThrownBy(() -> glue.get("coat"))
                .isInstanceOf(BrokenFile.class)
                .hasMessage("trade.yaml, line 2: 'coat' is missing");
    }

    @Test
    void brokenYamlIsNamedWithItsLine() {
        assertThatThrownBy(() -> read("a: 1\nb: [1, 2\nc: 3\n"))
                .isInstanceOf(BrokenFile.class)
                .hasMessageContaining("trade.yaml, line 3");
    }

    @Test
    void theSameNameTwiceIsRefused() {
        assertThatThrownBy(() -> read("a: 1\na: 2\n").entries()).hasMessageContaining("'a' stands here twice");
    }

    @ParameterizedTest
    @CsvSource({"12, true", "0, true", "-1, false", "101, false", "NaN, false", "much, false"})
    void numbersKeepTheirRange(String written, boolean fits) {
        DataNode number = read("n: " + written).get("n");
        if (fits) {
            assertThat(number.number(0, 100)).isEqualTo(Double.parseDouble(written));
        } else {
            assertThatThrownBy(() -> number.number(0, 100)).isInstanceOf(BrokenFile.class);
        }
    }

    @Test
    void yesAndNoAreTheOnlyAnswers() {
        assertThat(read("dryer: yes").flag("dryer")).isTrue();
        assertThat(read("dryer: no").flag("dryer")).isFalse();
        assertThat(read("other: 1").flag("dryer")).isFalse();
        assertThatThrownBy(() -> read("dryer: often").flag("dryer")).hasMessageContaining("expected yes or no");
    }

    @Test
    void anEmptyOrMissingFileIsRefused() {
        assertThatThrownBy(() -> read("")).hasMessageContaining("the file is empty");
        assertThatThrownBy(() -> DataNode.resource("/trade/none.yaml")).hasMessageContaining("the file is missing");
    }
}
