package app.kemdro.web.rooms;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.kit.UsualBox;
import app.kemdro.core.method.Trade;
import app.kemdro.web.AsLead;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.product.Products;
import java.io.IOException;
import java.nio.file.Files;
import java.time.LocalDate;
import java.util.regex.Pattern;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.web.servlet.assertj.MockMvcTester;

/** The first morning of a house of its own: a box, what it usually has, a first job. */
@SpringBootTest
@AutoConfigureMockMvc
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class OwnHouseBeginsTest {
    @Autowired
    private MockMvcTester mvc;

    @Autowired
    private Products products;

    @Autowired
    private Jobs jobs;

    @Autowired
    private Trade trade;

    @DynamicPropertySource
    static void empty(DynamicPropertyRegistry registry) throws IOException {
        String folder = Files.createTempDirectory("kemdro-first-house").toString();
        registry.add("kemdro.home", () -> folder);
    }

    private AsLead lead() {
        return new AsLead(mvc);
    }

    @Test
    @Order(1)
    void aPressLaysAUsualBoxIn() throws Exception {
        assertThat(lead().get("/shelf")).contains("Lay a usual box in").contains("Two minutes on a sample");
        assertThat(lead().get("/house")).contains("A usual box");
        int all = UsualBox.standard(trade.materials()).size();
        assertThat(lead().post("/house/products/usual-box").get("change"))
                .asString()
                .startsWith(all + " products are in the box");
        assertThat(products.search("", true)).hasSize(all);
        assertThat(lead().post("/house/products/usual-box").get("change"))
                .asString()
                .contains("Nothing was added");
        assertThat(products.search("", true)).hasSize(all);
        assertThat(lead().get("/shelf")).doesNotContain("Lay a usual box in");
        // what it writes out is what it takes in again
        assertThat(products.take(products.csv())).isEmpty();
    }

    @Test
    @Order(2)
    void whatTheHouseUsuallyHasIsWhatANewJobBeginsWith() throws Exception {
        assertThat(lead().get("/jobs/new")).contains("22 °C, 45 %, one dryer").contains("08:00");
        String[] usual = {
            "callHour", "9am",
            "temperature", "27,5",
            "humidity", "70",
            "dryers", "2",
            "costumeMinutes", "25",
            "benchDays", "5",
            "breakEvery", "90",
            "breakMinutes", "15",
            "mealMinutes", "40",
            "crew[0].name", "Ulla",
            "crew[0].skill", "LEAD",
            "crew[0].from", "5",
            "crew[0].until", "",
            "crew[1].name", "Bo",
            "crew[1].skill", "TRAINEE"
        };
        assertThat(lead().post("/house/usual", usual).get("change")).asString().startsWith("Kept.");
        String fresh = lead().get("/jobs/new");
        assertThat(fresh)
                .contains("27.5 °C, 70 %, two dryers")
                .contains("value=\"09:00\"")
                .contains("Ulla, lead, from 05:00; Bo, trainee.")
                .contains("A break of 15 min every 90, every third a meal of 40.")
                .contains("costume, drink and toilet 25 min");
        assertThat(lead().get("/house/usual")).contains("value=\"27.5\"").contains("value=\"Bo\"");
    }

    @Test
    @Order(3)
    void whatCannotBeMeantIsRefusedAndStays() throws Exception {
        String page = page(
                "/house/usual", "callHour", "soon", "temperature", "warm", "humidity", "45", "crew[0].name", "Ulla");
        assertThat(page)
                .contains("Temperature needs a number, such as 17")
                .contains("Set the call")
                .contains("value=\"warm\"");
        assertThat(lead().get("/jobs/new")).contains("27.5 °C");
    }

    private String page(String path, String... parameters) throws Exception {
        var request = mvc.post()
                .uri(path)
                .with(org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf())
                .with(org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user(
                                "ines")
                        .roles("LEAD"));
        for (int k = 0; k < parameters.length; k += 2) {
            request.param(parameters[k], parameters[k + 1]);
        }
        return request.exchange().getResponse().getContentAsString(java.nio.charset.StandardCharsets.UTF_8);
    }

    /** From what the fields of the page hold, as somebody sends them who types three things. */
    @Test
    @Order(4)
    void threeThingsAreEnoughAndKitAnswers() throws Exception {
        String form = lead().get("/jobs/new");
        var request = new java.util.ArrayList<String>();
        var fields = Pattern.compile("<input[^>]*name=\"([a-zA-Z\\[\\]0-9.]+)\"[^>]*>")
                .matcher(form);
        while (fields.find()) {
            var value = Pattern.compile("value=\"([^\"]*)\"").matcher(fields.group());
            boolean box = fields.group().contains("checkbox");
            if (value.find()
                    && (!box || fields.group().contains("checked"))
                    && !fields.group(1).matches("title|performer|callDay")) {
                request.add(fields.group(1));
                request.add(value.group(1));
            }
        }
        request.addAll(java.util.List.of(
                "crew[0].skill",
                "LEAD",
                "crew[1].skill",
                "TRAINEE",
                "title",
                "First head",
                "performer",
                "Mo",
                "callDay",
                LocalDate.now().plusDays(1).toString()));
        lead().post("/jobs/new", request.toArray(String[]::new));
        Job job = jobs.sitting().stream()
                .flatMap(p -> jobs.satFor(p.performer()).stream())
                .filter(j -> j.title().equals("First head"))
                .findFirst()
                .orElseThrow();
        assertThat(job.brief().room().temperatureC()).isEqualTo(27.5);
        assertThat(job.brief().crew()).extracting(h -> h.name()).containsExactly("Ulla", "Bo");
        String at = "/jobs/" + job.id();
        lead().post(at + "/look/add", "technique", "base-cream", "zones", "forehead,nose,cheek-left,cheek-right,chin");
        assertThat(lead().get(at + "/kit"))
                .contains("Enough of everything for one day")
                .contains("Cream foundation");
    }
}
