package app.kemdro.web.records.product;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.material.Materials;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ProductCsvTest {
    private static final Materials MATERIALS = Materials.standard();
    private static final String HEADER = String.join(",", ProductReading.COLUMNS);
    private static final String GOOD =
            "quay,Quay adhesive,acrylic-adhesive,Tollhouse,60,ml,14.5,2026-10-01,12,2027-12-01,2,0.48,,shake first,no";

    private static List<String> wrong(String... rows) {
        return ProductCsv.read(HEADER + "\r\n" + String.join("\r\n", rows), MATERIALS)
                .wrong();
    }

    @Test
    void whatIsWrittenIsReadAgain() {
        ProductRows.Read read = ProductCsv.read(HEADER + "\n" + GOOD, MATERIALS);
        assertThat(read.wrong()).isEmpty();
        ProductRows.Read again = ProductCsv.read(ProductCsv.write(read.products()), MATERIALS);
        assertThat(again.products()).isEqualTo(read.products());
    }

    @Test
    void aCellThatASpreadsheetWouldRunIsMadeTextAndReadBackAsItWas() {
        ProductRows.Read read = ProductCsv.read(HEADER + "\n" + GOOD.replace("shake first", "=1+1"), MATERIALS);
        String written = ProductCsv.write(read.products());
        assertThat(written).contains("'=1+1").doesNotContain(",=1+1");
        assertThat(ProductCsv.read(written, MATERIALS).products()).isEqualTo(read.products());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "60,ml,14.5 | three,ml,14.5 | line 3, column 5 (pack_size): 'three' is no number",
                "60,ml,14.5 | -1,ml,14.5 | line 3, column 5 (pack_size): -1 is outside",
                "60,ml,14.5 | 60,litre,14.5 | line 3, column 6 (pack_unit): 'litre' is no unit here",
                "acrylic-adhesive | marzipan | line 3, column 3 (family): 'marzipan' is no family",
                "2026-10-01 | yesterday | line 3, column 8 (opened): 'yesterday' is no day",
                "0.48 | 48 | line 3, column 12 (solids): 48 is outside",
                "Quay adhesive | '' | line 3, column 2 (name): it is missing",
                "shake first,no | shake first,maybe | line 3, column 15 (retired): 'maybe' is neither",
                "shake first,no | shake first | line 3: it has 14 cells; the header has 15"
            })
    void aWrongCellIsSaidByLineAndColumn(String good, String bad, String says) {
        List<String> wrong = wrong(GOOD, GOOD.replace("quay,", "other,").replace(good, bad));
        assertThat(wrong).hasSize(1);
        assertThat(wrong.get(0)).startsWith(says);
    }

    @Test
    void aWrongRowKeepsTheWholeFileOut() {
        assertThat(ProductCsv.read(HEADER + "\n" + GOOD + "\n" + GOOD, MATERIALS)
                        .products())
                .isEmpty();
        assertThat(wrong(GOOD, GOOD)).singleElement().asString().contains("stands in the file twice");
    }

    @Test
    void aStrangeHeaderIsSaid() {
        assertThat(ProductCsv.read("name,price\nx,1", MATERIALS).wrong().get(0))
                .startsWith("line 1: the column 'code' is missing");
        assertThat(ProductCsv.read("", MATERIALS).wrong()).isNotEmpty();
        assertThat(ProductCsv.read(HEADER, MATERIALS).wrong()).containsExactly("The file holds no product.");
    }

    @Test
    void ownNumbersAreForFilmsOnly() {
        assertThat(wrong(GOOD.replace("acrylic-adhesive", "scar-wax")))
                .singleElement()
                .asString()
                .contains("only what dries as a thin film has it");
    }

    /** Thousands of mutated files: always an answer, never an exception. */
    @Test
    void noFileBreaksTheReader() {
        Random dice = new Random(7);
        String text = HEADER + "\n" + GOOD + "\n" + GOOD.replace("quay,", "other,");
        for (int k = 0; k < 3000; k++) {
            StringBuilder odd = new StringBuilder(text);
            for (int m = 0; m < 1 + dice.nextInt(5); m++) {
                odd.setCharAt(dice.nextInt(odd.length()), "\",\n\r;x0\u0000'=-".charAt(dice.nextInt(11)));
            }
            ProductRows.Read read = ProductCsv.read(odd.toString(), MATERIALS);
            assertThat(read.wrong().isEmpty()).isNotEqualTo(read.products().isEmpty());
        }
    }
}
