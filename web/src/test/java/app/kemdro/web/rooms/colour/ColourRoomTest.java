package app.kemdro.web.rooms.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.web.AsLead;
import app.kemdro.web.DemoTest;
import app.kemdro.web.parts.figure.PaintedFigure;
import app.kemdro.web.records.paint.KeptRecipe;
import app.kemdro.web.records.paint.KeptRecipes;
import app.kemdro.web.records.paint.SwatchValues;
import app.kemdro.web.records.paint.Swatches;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.assertj.MockMvcTester;

@DemoTest
class ColourRoomTest {
    @Autowired
    private Swatches swatches;

    @Autowired
    private KeptRecipes recipes;

    @Autowired
    private MockMvcTester mvc;

    private String get(String path) throws Exception {
        return new AsLead(mvc).get(path);
    }

    private Map<String, Object> post(String path, String... parameters) {
        return new AsLead(mvc).post(path, parameters);
    }

    private long id(String name) {
        return swatches.named(name).orElseThrow().id();
    }

    @Test
    void aMixIsShownCoatByCoatWithWhatItHides() throws Exception {
        String page =
                get("/jobs/2/colour?coats=2&mix=" + id("Bell cream, ochre") + ":3," + id("Bell cream, soot") + ":1");
        assertThat(page)
                .contains("coats until a brow no longer shows")
                .contains("hide black and white alike")
                .contains("under a lamp")
                .doesNotContain("do not go together");
        assertThat(get("/jobs/2/colour?mix=" + id("Bell cream, ochre") + ":1," + id("Weir water paint, rust") + ":1"))
                .contains("do not go together in one pot");
    }

    private String ask(String field, String typed) throws Exception {
        return mvc.get()
                .uri("/jobs/2/colour")
                .param(field, typed)
                .with(user("ines").roles("LEAD"))
                .exchange()
                .getResponse()
                .getContentAsString(StandardCharsets.UTF_8);
    }

    @Test
    void theNearestMixIsOfOneNatureAndFromThisHouse() throws Exception {
        String nearest = ask("aim", "#9c5428").replaceAll("(?s).*<ol class=\"nears\">(.*?)</ol>.*", "$1");
        assertThat(nearest).contains("nobody sees the difference");
        for (String line : nearest.split("</li>")) {
            assertThat(line.contains("Bell cream") && line.contains("Weir water"))
                    .as(line)
                    .isFalse();
        }
    }

    @Test
    void aBlueShadowAsksForSomethingWarm() throws Exception {
        assertThat(ask("shadow", "#777a90"))
                .containsPattern("“[^”]*(orange|peach|red oxide|ochre|umber|yellow|flesh)”, about .* of the cast away");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "aim|burgundy|write it as #a05c30",
                "shadow|97 90 0|No painted surface",
                "aim|50 300 0|−128 to 128",
                "aim|x y z|is no colour"
            })
    void aColourThatCannotBeIsSaidBesideItsField(String field, String typed, String says) throws Exception {
        assertThat(ask(field, typed)).contains(says).contains("value=\"" + typed + "\"");
    }

    @Test
    void aMixIsLookedAtOverWhatTheLayersSayIsBelow() throws Exception {
        String mix = "mix=" + id("Bell cream, verdigris") + ":1";
        String skin = get("/jobs/2/colour?" + mix + "&on=skin")
                .replaceAll("(?s).*<figure class=\"coats\">(.*?)</figure>.*", "$1");
        String below = get("/jobs/2/colour?" + mix + "&on=patina")
                .replaceAll("(?s).*<figure class=\"coats\">(.*?)</figure>.*", "$1");
        assertThat(below).isNotEqualTo(skin);
    }

    @Test
    void twoRecipesAreComparedAfterPowder() throws Exception {
        List<KeptRecipe> all = recipes.of(2);
        long light = all.stream()
                .filter(r -> r.name().equals("bronze crust"))
                .findFirst()
                .orElseThrow()
                .id();
        long dark = all.stream()
                .filter(r -> r.name().equals("soot"))
                .findFirst()
                .orElseThrow()
                .id();
        assertThat(get("/jobs/2/colour?light=" + light + "&dark=" + dark)).contains("They still read apart");
        assertThat(get("/jobs/2/colour?light=" + light + "&dark=" + light)).contains("They run together");
    }

    @Test
    void oddAddressesAreReadAsFarAsTheyMakeSense() throws Exception {
        assertThat(get("/jobs/2/colour?mix=999999:3,abc,:,4:&coats=99&on=moon")).contains("Press paints to mix them");
    }

    @Test
    void aRecipeIsKeptForAnEntryColoursTheFaceAndIsRemoved() throws Exception {
        String before = get("/jobs/3/colour");
        String mix = id("Bell cream, verdigris") + ":1";
        assertThat(post("/jobs/3/colour/recipes", "name", "green", "entry", "base", "mix", mix))
                .containsEntry("change", "“green” is kept.");
        String after = get("/jobs/3/colour");
        assertThat(after).contains("green").contains("for Cream base");
        assertThat(turns(after)).isNotEqualTo(turns(before));
        assertThat(post("/jobs/3/colour/recipes", "name", "", "mix", mix).get("change"))
                .asString()
                .contains("Give it a name");
        assertThat(post("/jobs/3/colour/recipes", "name", "nothing").get("change"))
                .asString()
                .contains("press a paint");
        post("/jobs/3/colour/recipes/" + recipes.of(3).get(0).id() + "/remove");
        assertThat(turns(get("/jobs/3/colour"))).isEqualTo(turns(before));
    }

    private static String turns(String page) {
        return page.replaceAll("(?s).*data-turns>(.*?)</script>.*", "$1");
    }

    @Test
    void anotherSkinChangesWhatLiesOnIt() throws Exception {
        String fair = turns(get("/jobs/4/colour"));
        post("/jobs/4/colour/skin", "skin", "deep");
        assertThat(turns(get("/jobs/4/colour"))).isNotEqualTo(fair);
        assertThat(post("/jobs/4/colour/skin", "skin", "green").get("change"))
                .asString()
                .contains("not known");
    }

    @Test
    void aSwatchIsTypedAsScreenColourOrLab() {
        assertThat(post(
                        "/house/paints",
                        "name",
                        "Test umber",
                        "family",
                        "cream",
                        "over_white",
                        "#5a4030",
                        "over_black",
                        "28 6 10",
                        "grams_per_m2",
                        "20"))
                .containsEntry("says", "“Test umber” is kept.");
        assertThat(swatches.named("Test umber").orElseThrow().values().black()).isNotNull();
        assertThat(post(
                                "/house/paints",
                                "name",
                                "Odd",
                                "family",
                                "moonlight",
                                "over_white",
                                "",
                                "over_black",
                                "#ffffff",
                                "grams_per_m2",
                                "-3")
                        .get("wrong"))
                .asString()
                .contains("no family of paints", "no colour", "0.5 to 500");
        assertThat(swatches.named("Odd")).isEmpty();
    }

    @Test
    void swatchesGoOutAndComeInAgainTheSame() throws Exception {
        String csv = get("/house/paints.csv");
        assertThat(csv).startsWith("name,family,over_white,over_black,grams_per_m2,shimmers");
        assertThat(take("paints.csv", csv).get("says")).isEqualTo("The file is taken.");
        assertThat(get("/house/paints.csv")).isEqualTo(csv);
        assertThat(get("/house/paints.gpl")).contains("Palette", "Bell cream, ochre");
    }

    private Map<String, Object> take(String name, String text) {
        return Map.copyOf(mvc.post()
                .multipart()
                .uri("/house/paints/file")
                .file(new MockMultipartFile("file", name, "text/plain", text.getBytes(StandardCharsets.UTF_8)))
                .param("family", "cream")
                .with(csrf())
                .with(user("ines").roles("LEAD"))
                .exchange()
                .getMvcResult()
                .getFlashMap());
    }

    @SuppressWarnings("unchecked")
    private List<String> complaints(String name, String text) {
        return (List<String>) take(name, text).get("complaints");
    }

    @Test
    void aPaletteBecomesPaintsThatHide() {
        assertThat(complaints("moor.gpl", "Any Palette\nName: moor\n# a note\n 90  64  48\tPeat\n120 110 90 Reed\n"))
                .isEmpty();
        SwatchValues peat = swatches.named("Peat").orElseThrow().values();
        assertThat(peat.black()).isNull();
        assertThat(app.kemdro.core.colour.Srgb.of(peat.white()).hex()).isEqualTo("#5a4030");
    }

    @Test
    void filesThatCannotBeMeantAreRefusedWhole() {
        long before = swatches.all().size();
        String many = "A Palette\n"
                + String.join(
                        "\n",
                        IntStream.range(0, 10_000)
                                .mapToObj(k -> k % 256 + " 10 10 c" + k)
                                .toList());
        assertThat(complaints("a.gpl", many)).anyMatch(c -> c.contains("10000 colours; 500 is the most"));
        assertThat(complaints("a.gpl", "not one")).anyMatch(c -> c.contains("no palette file"));
        assertThat(complaints("a.gpl", "A Palette\n300 1 1 red\nx y z\n"))
                .anyMatch(c -> c.contains("line 2: numbers are 0 to 255"))
                .anyMatch(c -> c.contains("line 3"));
        assertThat(complaints("a.csv", "name,family\nx,cream\n")).anyMatch(c -> c.contains("'over_white' is missing"));
        String header = "name,family,over_white,over_black,grams_per_m2,shimmers\n";
        assertThat(complaints("a.csv", header + "ok,cream,#202020,,20,no\nbad,cream,#20202,#ffffff,20,maybe\n"))
                .anyMatch(c -> c.startsWith("line 3 (over_white)"))
                .anyMatch(c -> c.startsWith("line 3 (shimmers)"));
        assertThat(complaints("a.csv", "")).anyMatch(c -> c.contains("empty"));
        assertThat(swatches.all()).hasSize((int) before);
    }

    @Test
    void aNameThatASpreadsheetWouldRunIsMadePlainAndComesBack() throws Exception {
        post(
                "/house/paints",
                "name",
                "=SUM(1)",
                "family",
                "cream",
                "over_white",
                "#5a4030",
                "over_black",
                "",
                "grams_per_m2",
                "20");
        String csv = get("/house/paints.csv");
        assertThat(csv).contains("'=SUM(1)").doesNotContain("\n=SUM");
        take("paints.csv", csv);
        assertThat(swatches.named("=SUM(1)")).isPresent();
        assertThat(swatches.named("'=SUM(1)")).isEmpty();
    }

    /** A drawing that stands by itself: well-formed, every zone of it painted, the crust another colour than the jaw. */
    @Test
    void theFinishedHeadGoesOutAsADrawing() throws Exception {
        for (String view : PaintedFigure.VIEWS) {
            String drawing = get("/jobs/2/figure.svg?view=" + view);
            var factory = javax.xml.parsers.DocumentBuilderFactory.newInstance();
            var root = factory.newDocumentBuilder()
                    .parse(new org.xml.sax.InputSource(new java.io.StringReader(drawing)))
                    .getDocumentElement();
            assertThat(root.getTagName()).isEqualTo("svg");
            assertThat(root.getAttribute("aria-label")).isEqualTo("Orrin Vask, " + view);
            assertThat(drawing).contains("data-zone=\"").doesNotContain("class=\"zone\"");
        }
        String front = get("/jobs/2/figure.svg");
        assertThat(fill(front, "forehead")).matches("#[0-9a-f]{6}").isNotEqualTo(fill(front, "jaw-left"));
        assertThat(get("/jobs/2/figure.svg?view=../../x")).isEqualTo(front);
    }

    private static String fill(String drawing, String zone) {
        return drawing.replaceAll("(?s).*data-zone=\"" + zone + "\" fill=\"([^\"]+)\".*", "$1");
    }
}
