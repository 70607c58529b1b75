package app.kemdro.web.kit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.web.DemoTest;
import app.kemdro.web.product.Products;
import java.util.LinkedHashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MockMvcTester;

@DemoTest
class KitRoomTest {
    @Autowired
    private Products products;

    @Autowired
    private MockMvcTester mvc;

    private String get(String path) throws Exception {
        return mvc.get()
                .uri(path)
                .with(user("ines").roles("LEAD"))
                .exchange()
                .getResponse()
                .getContentAsString();
    }

    private void change(String code, String column, String value) {
        Map<String, String> typed =
                new LinkedHashMap<>(Products.typed(products.find(code).orElseThrow()));
        typed.put(column, value);
        assertThat(products.keep(code, typed)).isEmpty();
    }

    @Test
    void theDemosHouseHasEnoughForTheBellFounder() throws Exception {
        assertThat(get("/jobs/2/kit"))
                .contains("Enough of everything for one day")
                .contains("from the tap")
                .contains("4 pieces");
    }

    /** What is short, past its day or missing is said, and what closes the gap stands on the list with its supplier. */
    @Test
    void whatIsNotAsItMustBeIsSaidAndBought() throws Exception {
        change("quay-acrylic", "packs", "0.01");
        change("heath-latex", "expires", "2026-01-31");
        try {
            String kit = get("/jobs/2/kit");
            assertThat(kit)
                    .contains("2 things are not as it must be")
                    .contains(">short<")
                    .contains(">past its day<");
            assertThat(kit).contains("Tollhouse Supplies").contains("1 × 60 ml");
            assertThat(get("/jobs/2/kit.csv"))
                    .contains("water-borne acrylic adhesive")
                    .contains(",short,");
        } finally {
            change("quay-acrylic", "packs", "2");
            change("heath-latex", "expires", "2028-01-31");
        }
    }

    @Test
    void theBagBeginsWithTheRemover() throws Exception {
        String bag = get("/jobs/2/kit/bag");
        assertThat(bag.indexOf("adhesive remover")).isBetween(0, bag.indexOf("water-borne acrylic adhesive"));
        assertThat(bag).contains("a second mirror").contains("wipes");
    }
}
