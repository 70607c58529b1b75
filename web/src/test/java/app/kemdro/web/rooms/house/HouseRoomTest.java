package app.kemdro.web.rooms.house;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.web.DemoTest;
import app.kemdro.web.records.product.Products;
import app.kemdro.web.records.school.UsualSchools;
import java.io.UnsupportedEncodingException;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.test.web.servlet.assertj.MvcTestResult;

@DemoTest
class HouseRoomTest {
    @Autowired
    private MockMvcTester mvc;

    @Autowired
    private Products products;

    @Autowired
    private UsualSchools schools;

    private String page(String address) throws UnsupportedEncodingException {
        MvcTestResult result =
                mvc.get().uri(address).with(user("ines").roles("LEAD")).exchange();
        assertThat(result).hasStatus(200);
        return result.getResponse().getContentAsString();
    }

    private MvcTestResult keep(String... fields) {
        var request =
                mvc.post().uri("/house/products").with(csrf()).with(user("ines").roles("LEAD"));
        for (int k = 0; k < fields.length; k += 2) {
            request.param(fields[k], fields[k + 1]);
        }
        return request.exchange();
    }

    private MvcTestResult upload(String text) {
        return mvc.post()
                .uri("/house/products/file")
                .multipart()
                .file(new MockMultipartFile("file", "kit.csv", "text/csv", text.getBytes(StandardCharsets.UTF_8)))
                .with(csrf())
                .with(user("ines").roles("LEAD"))
                .exchange();
    }

    @Test
    void theDemoKitHoldsAboutSixtyProductsOfKnownFamilies() throws Exception {
        assertThat(products.search("", true)).hasSizeBetween(55, 75);
        assertThat(products.search("", true)).allMatch(p -> products.family(p).isPresent());
        assertThat(page("/house")).contains("Quay acrylic adhesive").contains("past since");
    }

    @Test
    void theKitIsSearchedByNameFamilyAndSupplier() throws Exception {
        assertThat(page("/house?q=rubber row")).contains("Heath moulding latex").doesNotContain("Quay acrylic");
        assertThat(page("/house?q=zzzz")).contains("Nothing in the kit is called like that");
        assertThat(page("/house")).doesNotContain("Grease stick, crimson");
        assertThat(page("/house?retired=true")).contains("Grease stick, crimson");
    }

    @Test
    void aProductIsAddedEditedAndRetired() throws Exception {
        assertThat(keep(
                        "code",
                        "test-glue",
                        "name",
                        "Test glue",
                        "family",
                        "acrylic-adhesive",
                        "pack_size",
                        "10",
                        "pack_unit",
                        "g"))
                .hasStatus(302);
        assertThat(page("/house/products/test-glue")).contains("value=\"Test glue\"");
        keep(
                "known",
                "test-glue",
                "code",
                "test-glue",
                "name",
                "Test glue, new",
                "family",
                "acrylic-adhesive",
                "pack_size",
                "10",
                "pack_unit",
                "g",
                "retired",
                "yes");
        assertThat(page("/house")).doesNotContain("Test glue");
        assertThat(products.find("test-glue").orElseThrow().values().name()).isEqualTo("Test glue, new");
    }

    @Test
    void whatWasTypedStaysWhenItCannotBeMeant() throws Exception {
        MvcTestResult result = keep("code", "odd one", "name", "Kept name", "family", "marzipan", "pack_unit", "g");
        assertThat(result).hasStatus(200);
        assertThat(result.getResponse().getContentAsString())
                .contains("value=\"Kept name\"")
                .contains("is no family of materials")
                .contains("letters, digits, dots and dashes");
        assertThat(keep("code", "quay-acrylic", "name", "Twin", "family", "powder", "pack_size", "1", "pack_unit", "g"))
                .bodyText()
                .contains("is there already");
    }

    @Test
    void theKitGoesOutAndComesBackTheSame() throws Exception {
        String before = page("/house/products.csv");
        assertThat(upload(before)).hasStatus(302);
        String json = page("/house/products.json");
        assertThat(upload(json)).hasStatus(302);
        assertThat(page("/house/products.csv")).isEqualTo(before);
        assertThat(page("/house/products.json")).isEqualTo(json);
    }

    @Test
    void aWrongFileChangesNothingAndSaysWhere() throws Exception {
        String before = page("/house/products.csv");
        assertThat(upload(before.replace(",acrylic-adhesive,", ",marzipan,")))
                .hasStatus(200)
                .bodyText()
                .contains("Nothing was taken over")
                .contains("column 3 (family)");
        assertThat(page("/house/products.csv")).isEqualTo(before);
    }

    @Test
    void onesOwnSchoolIsPressedAndPressedAgain() {
        for (int press = 1; press <= 2; press++) {
            mvc.post()
                    .uri("/house/schools")
                    .param("technique", "brow-trowel")
                    .with(csrf())
                    .with(user("pell").roles("HANDS"))
                    .exchange();
            assertThat(schools.of("pell").containsKey("Block the brow")).isEqualTo(press == 1);
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/house/card",
                "/house/card?of=heath-latex-clear",
                "/house/card?of=paper-clay&on=BENCH",
                "/house/card?of=scar-gel&air=COOL",
                "/house/card?of=powder",
                "/house/card?of=no-such-thing",
                "/house/card?t=hot&rh=400&thickness=-3",
                "/house/materials?q=latex",
                "/house/materials?q=zzzz",
                "/house/room",
                "/house/products/new"
            })
    void everyPageOfTheHouseAnswers(String address) throws Exception {
        assertThat(page(address)).contains("<h1>House</h1>").doesNotContain("Exception");
    }

    @Test
    void aDryingCardSaysWhenToLookAndWhy() throws Exception {
        assertThat(page("/house/card?of=acrylic-adhesive&t=22&rh=45&t2=30&rh2=80"))
                .contains("Here, 22 °C, 45 %")
                .contains("There, 30 °C, 80 %")
                .contains("dry or clear after")
                .contains("9 of 10 between")
                .contains("never above 40 °C");
    }

    @Test
    void handsReadTheHouseButOnlyALeadChangesTheKit() {
        assertThat(mvc.get().uri("/house").with(user("pell").roles("HANDS"))).hasStatus(200);
        assertThat(mvc.get().uri("/house").with(user("board").roles("FLOOR"))).hasStatus(403);
        assertThat(mvc.post()
                        .uri("/house/products")
                        .with(csrf())
                        .with(user("pell").roles("HANDS")))
                .hasStatus(403);
    }
}
