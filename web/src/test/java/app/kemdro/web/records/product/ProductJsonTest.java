package app.kemdro.web.records.product;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.material.Materials;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ProductJsonTest {
    private static final Materials MATERIALS = Materials.standard();
    private static final String GOOD = """
            [{"code": "quay", "name": "Quay adhesive", "family": "acrylic-adhesive", "supplier": "Tollhouse",
              "pack_size": 60, "pack_unit": "ml", "price_eur": 14.5, "opened": "2026-10-01", "months_after_opening": "12",
              "expires": null, "packs": 2, "solids": 0.48, "note": "=1+1", "retired": "no"}]""";

    @Test
    void whatIsWrittenIsReadAgainAndIsWhatTheTableHolds() {
        ProductRows.Read read = ProductJson.read(GOOD, MATERIALS);
        assertThat(read.wrong()).isEmpty();
        assertThat(read.products())
                .singleElement()
                .satisfies(p -> assertThat(p.code()).isEqualTo("quay"));
        assertThat(ProductJson.read(ProductJson.write(read.products()), MATERIALS)
                        .products())
                .isEqualTo(read.products());
        assertThat(ProductCsv.read(ProductCsv.write(read.products()), MATERIALS).products())
                .isEqualTo(read.products());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "60, | -1, | product 1, pack_size: -1 is outside",
                "acrylic-adhesive | marzipan | product 1, family: 'marzipan' is no family",
                "\"supplier\" | \"shop\" | product 1: 'shop' is not known here",
                "\"Tollhouse\" | [\"Tollhouse\"] | product 1, supplier: it must be text or a number",
                "[{ | [7,{ | product 1: it must have its columns by name",
                "}] | } | The file cannot be read as JSON"
            })
    void whatIsWrongIsSaidByProductAndName(String good, String bad, String says) {
        ProductRows.Read read = ProductJson.read(GOOD.replace(good, bad), MATERIALS);
        assertThat(read.products()).isEmpty();
        assertThat(read.wrong().get(0)).startsWith(says);
    }

    @Test
    void nothingAndTheSameTwiceAreRefused() {
        assertThat(ProductJson.read("[]", MATERIALS).wrong()).containsExactly("The file holds no product.");
        assertThat(ProductJson.read("{}", MATERIALS).wrong()).containsExactly("The file must be a list of products.");
        String one = GOOD.substring(1, GOOD.length() - 1);
        assertThat(ProductJson.read("[" + one + "," + one + "]", MATERIALS).wrong())
                .singleElement()
                .asString()
                .contains("product 2, code: 'quay' stands in the file twice");
        assertThat(ProductJson.read("[".repeat(4000), MATERIALS).wrong()).isNotEmpty();
    }

    /** Thousands of mutated files: always an answer, never an exception. */
    @Test
    void noFileBreaksTheReader() {
        Random dice = new Random(7);
        for (int k = 0; k < 3000; k++) {
            StringBuilder odd = new StringBuilder(GOOD);
            for (int m = 0; m < 1 + dice.nextInt(5); m++) {
                odd.setCharAt(dice.nextInt(odd.length()), "\"[]{},:\n0\u0000-".charAt(dice.nextInt(11)));
            }
            ProductRows.Read read = ProductJson.read(odd.toString(), MATERIALS);
            assertThat(read.wrong().isEmpty()).isNotEqualTo(read.products().isEmpty());
        }
    }
}
