package app.kemdro.web.rooms.kit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.Stamp;
import app.kemdro.core.run.StepState.Status;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.web.AsLead;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.paint.ColourCards;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.product.Products;
import app.kemdro.web.records.run.Reports;
import app.kemdro.web.records.run.Run;
import app.kemdro.web.records.run.Seats;
import app.kemdro.web.records.run.Standings;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MockMvcTester;

@DemoTest
class KitRoomTest {
    @Autowired
    private Products products;

    @Autowired
    private Jobs jobs;

    @Autowired
    private Plans plans;

    @Autowired
    private ColourCards colours;

    @Autowired
    private Seats seats;

    @Autowired
    private Standings standings;

    @Autowired
    private Reports reports;

    @Autowired
    private MockMvcTester mvc;

    private String get(String path) throws Exception {
        return new AsLead(mvc).get(path);
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
            assertThat(kit).contains("2 things to sort out").contains(">short<").contains(">past its day<");
            assertThat(kit).contains("Tollhouse Supplies").contains("1 × 60 ml");
            assertThat(get("/jobs/2/kit.csv"))
                    .contains("water-borne acrylic adhesive")
                    .contains(",short,");
        } finally {
            change("quay-acrylic", "packs", "2");
            change("heath-latex", "expires", "2028-01-31");
        }
    }

    /** [T47] Pieces by where they go, and made for this look, not taken off a shelf; paint by its shade, as much as its parts are of what its zones take. */
    @Test
    void theBagHasPiecesByPlaceAndPaintByShade() throws Exception {
        String bag = get("/jobs/2/kit/bag");
        assertThat(bag)
                .contains("Pieces, by place")
                .containsPattern("foam latex piece</b> <span>[^<]*(nose|forehead|cheek)");
        assertThat(get("/jobs/2/kit")).contains("made on the bench");
        assertThat(bag).contains("Paint, by shade");
        Plan plan = plans.of(jobs.get(2)).plan().orElseThrow();
        List<ColourCards.Card> cards = colours.of(plan, jobs.get(2));
        double whole = cards.stream()
                .filter(c -> !c.whole().isEmpty())
                .mapToDouble(c -> grams(c.whole()))
                .sum();
        double shades = colours.shades(plan, jobs.get(2)).stream()
                .mapToDouble(s -> grams(s.grams()))
                .sum();
        assertThat(whole).isPositive();
        assertThat(shades).isCloseTo(whole, within(0.1 * whole));
    }

    private static double grams(String said) {
        return Double.parseDouble(said.replaceAll("[^0-9.]", ""));
    }

    @Test
    void theBagBeginsWithTheRemover() throws Exception {
        String bag = get("/jobs/2/kit/bag");
        assertThat(bag.indexOf("adhesive remover")).isBetween(0, bag.indexOf("water-borne acrylic adhesive"));
        assertThat(bag).contains("second mirror").contains("wipes");
    }

    private Map<String, Object> post(String path, String... parameters) {
        return new AsLead(mvc).post(path, parameters);
    }

    @Test
    void aRunOfDaysTakesMoreAndThePiecesOfEachDay() throws Exception {
        assertThat(get("/jobs/2/kit?days=9")).contains("pack 36").contains("short");
        assertThat(get("/jobs/2/kit?days=0")).contains("value=\"1\"");
    }

    @Test
    void doingWithoutAMaterialNamesTheOtherSchoolsAndOneIsTakenWithAPress() throws Exception {
        Job job = DemoJobs.like("Sprue", "kit", jobs);
        String at = "/jobs/" + job.id() + "/kit";
        String page = get(at + "?without=acrylic-adhesive");
        assertThat(page).contains("Without water-borne acrylic adhesive").contains("do it so");
        String entry = page.replaceAll("(?s).*?name=\"entry\" value=\"([^\"]+)\".*", "$1");
        String school = page.replaceAll("(?s).*?name=\"school\" value=\"([^\"]+)\".*", "$1");
        assertThat(post(at + "/instead", "entry", entry, "school", school)).containsKey("change");
        assertThat(jobs.get(job.id()).look().entry(entry).orElseThrow().techniqueId())
                .isEqualTo(school);
        assertThat(post(at + "/instead", "entry", entry, "school", "magic").get("change"))
                .asString()
                .contains("Nothing was changed");
    }

    @Test
    void mixingCardsAreScaledAndAbsurdAmountsRefusedInWords() throws Exception {
        assertThat(get("/jobs/2/kit/mixes?grams=110"))
                .contains("50 g", "60 g", "50 ml")
                .contains("bronze crust");
        assertThat(get("/jobs/2/kit/mixes?grams=-4")).contains("&#39;-4&#39; is no amount");
        assertThat(get("/jobs/2/kit/mixes?grams=much")).contains("is no amount");
    }

    @Test
    void theBagIsOnOneSheetOfPaper() throws Exception {
        byte[] pdf = mvc.get()
                .uri("/jobs/2/bag.pdf")
                .with(user("ines").roles("LEAD"))
                .exchange()
                .getResponse()
                .getContentAsByteArray();
        try (var document = Loader.loadPDF(pdf)) {
            assertThat(document.getNumberOfPages()).isLessThanOrEqualTo(2);
            assertThat(new PDFTextStripper().getText(document))
                    .contains("The bag for Orrin Vask", "liquid latex", "wipes");
        }
    }

    /** What the day took goes off the stock by what was done, and comes back with one press. */
    @Test
    void aDayInTheChairTakesItsMaterialsOffTheStock() throws Exception {
        Job job = DemoJobs.like("Sprue", "stock", jobs);
        double latex = packs("heath-latex");
        double cream = packs("bell-cream-pale");
        Run run = seats.begin(job.id(), "ines");
        for (ScheduledTask p : standings.of(run).schedule().placed()) {
            String hands = p.worker() == null ? "" : p.worker();
            if (standings.of(run).state().step(p.task()).status() == Status.WAITING) {
                Stamp begun = new Stamp("begun-" + p.task(), run.beganAt().plusSeconds(p.start()), hands);
                reports.take(job.id(), new RunEvent.Start(begun, p.task(), 0, true), "ines");
            }
            Stamp done = new Stamp("done-" + p.task(), run.beganAt().plusSeconds(p.end()), hands);
            reports.take(job.id(), new RunEvent.Finish(done, p.task()), "ines");
        }
        reports.take(
                job.id(), new RunEvent.End(new Stamp("end-sprue", run.beganAt().plusHours(2), "")), "ines");
        assertThat(packs("heath-latex")).isLessThan(latex);
        assertThat(get("/jobs/" + job.id() + "/kit")).contains("Taken off the stock", "Heath moulding latex");
        post("/jobs/" + job.id() + "/kit/put-back");
        assertThat(packs("heath-latex")).isEqualTo(latex);
        assertThat(packs("bell-cream-pale")).isEqualTo(cream);
        assertThat(get("/jobs/" + job.id() + "/kit")).doesNotContain("Taken off the stock");
    }

    private double packs(String code) {
        return products.find(code).orElseThrow().values().packs();
    }

    @Test
    void whatIsWornAgainIsCountedAndSaysWhenItsEdgeShows() throws Exception {
        Job job = DemoJobs.like("Sprue", "wig", jobs);
        Map<String, String> typed =
                new LinkedHashMap<>(Products.typed(products.find("dome-wig-cap").orElseThrow()));
        typed.putAll(Map.of("code", "moor-wig", "name", "Moor wig", "family", "wig"));
        assertThat(products.keep("", typed)).isEmpty();
        jobs.change(
                job.id(), j -> j.setLook(new Look(List.of(new LookEntry("wig-1", "wig-pulled", List.of("crown"), 0)))));
        products.wear("moor-wig", 5);
        assertThat(get("/jobs/" + job.id() + "/kit")).contains("Worn 5 times of about 12. The lace frays");
    }

    /** Whatever the strike takes in hand is in the kit and in the bag: solution for lenses, the remover of a piece's own glue. */
    @Test
    void whatTakesItOffIsPackedAsWell() throws Exception {
        Job job = DemoJobs.like("Sprue", "off again", jobs);
        jobs.change(
                job.id(),
                j -> j.setLook(new Look(List.of(
                        new LookEntry("eyes", "lenses-first", List.of("eye-left", "eye-right"), 0),
                        new LookEntry("piece", "silicone-silicone", List.of("nose"), 0)))));
        for (String page : List.of("kit", "kit/bag", "kit.csv")) {
            assertThat(get("/jobs/" + job.id() + "/" + page)).contains("lens solution", "silicone remover");
        }
    }
}
