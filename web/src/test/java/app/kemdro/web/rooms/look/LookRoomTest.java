package app.kemdro.web.rooms.look;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Skill;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.web.AsLead;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.Plans;
import java.io.UnsupportedEncodingException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.jsoup.select.Elements;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import tools.jackson.databind.json.JsonMapper;

@DemoTest
class LookRoomTest {
    @Autowired
    private MockMvcTester mvc;

    @Autowired
    private Jobs jobs;

    @Autowired
    private Plans plans;

    private Job fresh(String title) {
        Job from = DemoJobs.called("Orrin Vask", jobs);
        Job copy = new Job(title, "", "", from.brief());
        copy.setLook(from.look());
        return jobs.add(copy);
    }

    private MvcTestResult press(Job job, String path, String... params) {
        var request = mvc.post()
                .uri("/jobs/" + job.id() + "/look/" + path)
                .with(csrf())
                .with(user("ines").roles("LEAD"));
        for (int k = 0; k < params.length; k += 2) {
            request.param(params[k], params[k + 1]);
        }
        return request.exchange();
    }

    @Test
    void aThirdEdgeCoatIsSaidInMinutes() {
        Job job = fresh("coats");
        MvcTestResult result = press(job, "coats", "entry", "crust-edges", "coats", "3", "zones", "cheek-left");
        assertThat(result).hasStatus(302);
        assertThat(String.valueOf(result.getMvcResult().getFlashMap().get("change")))
                .containsPattern(
                        "^(\\+\\d+ min|No change|−\\d+ min with \\d+ min more work, in a better order): ready \\d\\d:\\d\\d, ");
    }

    @Test
    void aZoneTakenOffIsCountedAsBare() {
        Job job = fresh("bare");
        press(job, "lift", "entry", "neck", "zones", "ear-left,ear-right");
        assertThat(mvc.get()
                        .uri("/jobs/" + job.id() + "/look")
                        .with(user("ines").roles("LEAD")))
                .bodyText()
                .contains("2 zones bare")
                .contains("both ears");
    }

    @Test
    void aContradictionIsNamedAndCanBeTakenOffAgain() {
        Job job = fresh("contradiction");
        press(job, "add", "technique", "brow-powder-each", "zones", "brow-left");
        assertThat(plans.of(jobs.get(job.id())).plan()).isPresent();
        assertThat(plans.of(jobs.get(job.id())).obstacles()).isNotEmpty();
        assertThat(mvc.get()
                        .uri("/jobs/" + job.id() + "/order")
                        .with(user("ines").roles("LEAD")))
                .bodyText()
                .contains("one excludes the other")
                .contains("Take one of them off");
        press(job, "remove", "entry", "brow-powder-each-1");
        assertThat(plans.of(jobs.get(job.id())).plan()).isPresent();
    }

    @Test
    void aBarredTechniqueCannotBePressedAndSaysWhy() {
        Job job = fresh("barred");
        assertThat(mvc.get()
                        .uri("/jobs/" + job.id() + "/look?zones=cheek-left")
                        .with(user("ines").roles("LEAD")))
                .bodyText()
                .contains("Tomas Brandvik reacts to resin gum.");
    }

    /** A half mask by presses: half of the base, and another base on the other half; then there is nothing left to share. */
    @Test
    void aFieldIsGivenToAnotherTechniqueBesideTheFirst() throws Exception {
        Job job = fresh("half mask");
        String offered = "(?s)look/add\\?[^>]*>(?:(?!</form>).)*value=\"base-water\"";
        press(job, "remove", "entry", "base-face");
        press(job, "add", "technique", "base-cream", "zones", "chin");
        LookEntry cream = jobs.get(job.id()).look().entries().stream()
                .filter(e -> e.techniqueId().equals("base-cream") && e.zones().contains("chin"))
                .findFirst()
                .orElseThrow();
        assertThat(body(job, "?zones=chin")).doesNotContainPattern(offered);
        press(job, "coverage", "entry", cream.id(), "coverage", "50", "zones", "chin");
        assertThat(body(job, "?zones=chin")).containsPattern(offered);
        press(job, "add", "technique", "base-water", "zones", "chin");
        assertThat(jobs.get(job.id()).look().entries())
                .filteredOn(e -> e.techniqueId().equals("base-water"))
                .extracting(LookEntry::coverage)
                .containsExactly(50);
        assertThat(plans.of(jobs.get(job.id())).problems())
                .noneMatch(p -> p.what().contains("excludes") || p.what().contains("side by side"));
    }

    @Test
    void anUnknownTechniqueChangesNothing() {
        Job job = fresh("unknown");
        press(job, "add", "technique", "no-such-thing", "zones", "nose");
        assertThat(jobs.get(job.id()).look()).isEqualTo(job.look());
    }

    @Test
    void aHostileZoneIsLeftAside() {
        assertThat(mvc.get()
                        .uri("/jobs/1/look?zones={z}", "<img src=x onerror=alert(1)>")
                        .with(user("ines").roles("LEAD")))
                .hasStatus(200)
                .bodyText()
                .doesNotContain("<img src=x");
    }

    @Test
    void theSameWorkElsewhereJoinsAndEveryPieceIsItsOwn() {
        Job job = fresh("joining");
        press(job, "add", "technique", "base-cream", "zones", "throat");
        press(job, "add", "technique", "foam-piece", "zones", "chin");
        var entries = jobs.get(job.id()).look().entries();
        assertThat(entries)
                .filteredOn(e -> e.techniqueId().equals("base-cream"))
                .singleElement()
                .satisfies(e -> assertThat(e.zones()).contains("throat", "chin"));
        assertThat(entries)
                .filteredOn(e -> e.techniqueId().equals("foam-piece"))
                .hasSize(5);
    }

    private String body(Job job, String query) throws UnsupportedEncodingException {
        return String.valueOf(mvc.get()
                .uri("/jobs/" + job.id() + "/look" + query)
                .with(user("ines").roles("LEAD"))
                .exchange()
                .getResponse()
                .getContentAsString());
    }

    /** Cream under water paint: the cut says so, one press lays powder between, one press takes it back. */
    @Test
    void aLayerThatFailsIsMendedWithOnePressAndUnmendedWithOne() throws Exception {
        Job job = fresh("mend");
        press(job, "lift", "entry", "base-face", "zones", "jaw-left,jaw-right");
        press(job, "add", "technique", "prepaint-wash", "zones", "jaw-left,jaw-right");
        press(job, "add", "technique", "base-water", "zones", "jaw-left,jaw-right");
        String cut = body(job, "?zones=jaw-left");
        assertThat(cut).contains("will fail").contains("Water beads on grease").contains("Powder between, both jaws");
        var before = jobs.get(job.id()).look();
        int layer = plans.of(jobs.get(job.id())).plan().orElseThrow().stacks().get("jaw-left").layers().stream()
                .map(l -> l.boundary().verdict().isFine())
                .toList()
                .indexOf(false);
        press(job, "mend", "zones", "jaw-left", "layer", "" + layer, "mend", "Powder between, both jaws");
        assertThat(jobs.get(job.id()).look().entries()).hasSize(before.entries().size() + 1);
        assertThat(body(job, "?zones=jaw-left"))
                .doesNotContain("will fail")
                .contains("Take back “Powder between”, both jaws");
        press(job, "back", "zones", "jaw-left");
        assertThat(jobs.get(job.id()).look()).isEqualTo(before);
    }

    @Test
    void bareSkinIsCoveredWithOnePress() throws Exception {
        Job job = fresh("fill");
        press(job, "remove", "entry", "neck");
        assertThat(body(job, "")).contains("zones bare");
        press(job, "fill");
        assertThat(body(job, "")).contains("No bare skin");
    }

    @Test
    void whatIsProposedIsDoneWithOnePressAndCalmlyRefusedWhenItIsNot() throws Exception {
        Job job = fresh("propose");
        press(job, "remove", "entry", "hair-1");
        String room = body(job, "");
        assertThat(room).contains("Kemdro proposes").contains("needs it first");
        String says = room.substring(room.indexOf("name=\"says\" value=\"") + 19);
        press(job, "propose", "says", says.substring(0, says.indexOf('"')));
        assertThat(plans.of(jobs.get(job.id())).plan()).isPresent();
        MvcTestResult odd = press(job, "propose", "says", "Gild the lily");
        assertThat(String.valueOf(odd.getMvcResult().getFlashMap().get("change")))
                .contains("not proposed any more");
    }

    @Test
    void strengthCoverageItemsAndSidesAreKept() throws Exception {
        Job job = fresh("design");
        press(job, "strength", "entry", "patina", "strength", "HEAVY");
        press(job, "coverage", "entry", "patina", "coverage", "50");
        press(job, "sides", "entry", "soot", "zones", "eye-left");
        press(job, "add", "technique", "nails-glued", "zones", "nails-left,nails-right");
        press(job, "items", "entry", "nails-glued-1", "items", "8");
        var entries = jobs.get(job.id()).look().entries();
        assertThat(entries)
                .filteredOn(e -> e.id().equals("patina"))
                .singleElement()
                .satisfies(e -> {
                    assertThat(e.strength().name()).isEqualTo("HEAVY");
                    assertThat(e.coverage()).isEqualTo(50);
                });
        assertThat(entries).filteredOn(e -> e.techniqueId().equals("eye-soot")).hasSize(2);
        assertThat(entries)
                .filteredOn(e -> e.id().equals("nails-glued-1"))
                .singleElement()
                .satisfies(e -> assertThat(e.items()).isEqualTo(8));
        press(job, "sides", "entry", "soot", "zones", "eye-left");
        assertThat(jobs.get(job.id()).look().entries())
                .filteredOn(e -> e.techniqueId().equals("eye-soot"))
                .hasSize(1);
        MvcTestResult absurd = press(job, "coverage", "entry", "patina", "coverage", "300");
        assertThat(absurd).hasStatus(302);
        assertThat(body(job, "")).contains("covers 1 to 100 % of its zones, not 300 %");
    }

    @Test
    void theFigureShowsLayersAndRisks() throws Exception {
        Job job = fresh("tints");
        assertThat(body(job, "?show=layers")).contains("\"tint\":\"min");
        assertThat(body(job, "?show=risk")).contains("\"tint\":\"risk1\"");
    }

    /** Zones are a set: covering what is covered in part ends after one press, and stores no zone twice. */
    @Test
    void coveringItAllEnds() {
        Job job = fresh("covered");
        jobs.change(
                job.id(),
                j -> j.setLook(new Look(
                        List.of(new LookEntry("base", "base-cream", List.of("nose", "chin"), 0).covering(75)))));
        for (int k = 0; k < 4; k++) {
            press(job, "fill");
        }
        Look covered = jobs.get(job.id()).look();
        press(job, "fill");
        assertThat(jobs.get(job.id()).look()).isEqualTo(covered);
        assertThat(covered.entries()).allSatisfy(e -> assertThat(e.zones()).doesNotHaveDuplicates());
        assertThat(plans.of(jobs.get(job.id())).plan()).isPresent();
    }

    /** An address is written from zones that are known, and from nothing else. */
    @Test
    void whatIsNoZoneIsInNoAddress() {
        Job job = fresh("hostile");
        for (String zones : List.of("{x}", "nose,{id}", "%7Bx%7D", "//elsewhere", "nose&show=x")) {
            String to = String.valueOf(press(job, "coats", "entry", "crust-edges", "coats", "2", "zones", zones)
                    .getResponse()
                    .getRedirectedUrl());
            assertThat(to).startsWith("/jobs/" + job.id() + "/look").doesNotContain("{", "elsewhere", "x}");
        }
        press(job, "school", "entry", "crust-edges", "technique", "no-such", "zones", "{0}");
        assertThat(jobs.get(job.id()).look()).isEqualTo(fresh("untouched").look());
    }

    /** One entry that cannot be planned stands aside and says why; the rest keeps its plan. */
    @Test
    void oneEntryThatCannotBeLeavesTheRestAPlan() throws Exception {
        Job job = fresh("aside");
        int steps = plans.of(job).plan().orElseThrow().steps().size();
        jobs.change(job.id(), j -> {
            List<LookEntry> more = new ArrayList<>(j.look().entries());
            more.add(new LookEntry("edge-of-nothing", "edge-latex", List.of("chin"), 0));
            j.setLook(j.look().with(more));
        });
        assertThat(plans.of(jobs.get(job.id())).plan().orElseThrow().steps()).hasSize(steps);
        assertThat(plans.of(jobs.get(job.id())).problems())
                .anyMatch(p -> p.stops() && p.what().contains("chin"));
        for (String room : List.of("look", "order", "kit", "strike", "chair")) {
            assertThat(mvc.get()
                            .uri("/jobs/" + job.id() + "/" + room)
                            .with(user("ines").roles("LEAD")))
                    .hasStatus(200)
                    .bodyText()
                    .doesNotContain("No plan yet");
        }
        assertThat(mvc.get()
                        .uri("/shelf")
                        .param("find", job.title())
                        .with(user("ines").roles("LEAD")))
                .bodyText()
                .contains("chin needs");
    }

    /** Nobody in the crew may lead: nothing can be planned, and each room that would show the plan says so and what helps. */
    @Test
    void aLookWithoutAPlanSaysWhyInEveryRoom() {
        Job from = fresh("nobody leads, from");
        Brief brief = from.brief();
        Job job = new Job(
                "nobody leads",
                "",
                "",
                brief.with(brief.crew().stream()
                        .filter(h -> h.skill() != Skill.LEAD)
                        .toList()));
        job.setLook(from.look());
        Job kept = jobs.add(job);
        assertThat(plans.of(kept).plan()).isEmpty();
        for (String page :
                List.of("/jobs/" + kept.id() + "/look", "/jobs/" + kept.id() + "/order", "/shelf?find=leads")) {
            assertThat(mvc.get().uri(page).with(user("ines").roles("LEAD")))
                    .hasStatusOk()
                    .bodyText()
                    .contains("Nobody on the crew leads")
                    .contains("Set one artist to lead.");
        }
    }

    @Test
    void aTechniqueIsFoundByWhatItMakes() throws Exception {
        AsLead lead = new AsLead(mvc);
        String found = lead.get("/jobs/2/look/find?q=barnacles");
        assertThat(found)
                .startsWith("[{\"name\":\"Texture patches glued in rounds\"")
                .contains("\"zone\":");
        assertThat(lead.get("/jobs/2/look/find?q=")).isEqualTo("[]");
        // and beside the figure every offer carries the words that it is found by
        assertThat(lead.get("/jobs/2/look?zones=chin")).containsPattern("data-words=\"[^\"]*barnacle");
    }

    /** A script is sent what stands open; each closed family says how many it has, and a page without scripts has them all. */
    @Test
    void whatNobodyOpenedIsNotSentToAScript() throws Exception {
        String whole = body(jobs.get(2), "?zones=chin");
        String live = mvc.get()
                .uri("/jobs/2/look?zones=chin")
                .header("X-Live", "1")
                .with(user("ines").roles("LEAD"))
                .exchange()
                .getResponse()
                .getContentAsString();
        Elements all = Jsoup.parse(whole).select(".offers-of");
        Elements left = Jsoup.parse(live).select(".offers-of");
        assertThat(all)
                .hasSizeGreaterThan(3)
                .allSatisfy(f -> assertThat(f.select(".offer-family"))
                        .hasSize(Integer.parseInt(f.select("summary em").text())));
        assertThat(left)
                .hasSameSizeAs(all)
                .allSatisfy(f -> assertThat(f.select(".offer-family").isEmpty())
                        .isEqualTo(f.hasAttr("data-later") && !f.hasAttr("open")));
        assertThat(left.select("summary").eachText())
                .isEqualTo(all.select("summary").eachText());
        assertThat(live.length()).isLessThan(whole.length() * 2 / 3);
    }

    /** What an offer is said to cost is about what it costs once it is pressed. */
    @Test
    void anOfferSaysItsMinutesBeforeThePress() throws Exception {
        Job job = DemoJobs.ofInesOnly("Offered", jobs);
        AsLead lead = new AsLead(mvc);
        String said =
                lead.get("/jobs/" + job.id() + "/look/additions?zones=chin&techniques=wax-build,no-such,nails-tabs");
        var minutes = java.util.regex.Pattern.compile("\\{\"wax-build\":\"\\+(\\d+) min")
                .matcher(said);
        assertThat(minutes.find()).as(said).isTrue();
        var before = plans.of(job).plan().orElseThrow();
        press(job, "add", "technique", "wax-build", "zones", "chin");
        var after = plans.of(jobs.get(job.id())).plan().orElseThrow();
        long cost = (after.schedule().ready() - before.schedule().ready()) / 60;
        assertThat(cost).isBetween(Long.parseLong(minutes.group(1)) - 8, Long.parseLong(minutes.group(1)) + 8);
    }

    /** A layer that is painted by a recipe has the colour that the paint table says of this mix when it lies thick; glue has none. */
    @Test
    void theCutIsDrawnInTheLooksOwnColours() throws Exception {
        Job job = DemoJobs.called("Orrin Vask", jobs);
        Element cut = Jsoup.parse(body(job, "?zones=cheek-left")).selectFirst("[data-cut] script");
        Map<String, String> drawn = new HashMap<>();
        new JsonMapper()
                .readTree(cut.data())
                .forEach(row ->
                        drawn.put(row.get("name").asString(), row.get("colour").asString()));
        String table = "/jobs/" + job.id() + "/colour";
        String recipe = Jsoup.parse(new AsLead(mvc).get(table))
                .selectFirst("a[aria-label='mix it: bronze crust']")
                .attr("href");
        String thick = Jsoup.parse(new AsLead(mvc).get(recipe)).select("ul.looks li").stream()
                .filter(l -> l.text().startsWith("thick"))
                .map(l -> l.selectFirst("code").text())
                .findFirst()
                .orElseThrow();
        assertThat(drawn.get("Castor grease for rubber")).isEqualTo(thick);
        assertThat(drawn.get("Water-borne acrylic adhesive")).isEmpty();
        assertThat(drawn.get("Setting powder")).as("no recipe says it").isEmpty();
        assertThat(drawn.get("Skin, degreased")).isNotEmpty().isNotEqualTo(drawn.get("Foam latex piece"));
    }
}
