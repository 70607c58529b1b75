package app.kemdro.web.rooms.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.Stamp;
import app.kemdro.web.AsLead;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.run.Reports;
import app.kemdro.web.records.run.Run;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.run.Seats;
import app.kemdro.web.records.run.Standings;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.assertj.MockMvcTester;

@DemoTest
class BookRoomTest {
    @Autowired
    private Jobs jobs;

    @Autowired
    private Standings standings;

    @Autowired
    private Seats seats;

    @Autowired
    private Reports reports;

    @Autowired
    private Runs runs;

    @Autowired
    private MockMvcTester mvc;

    private AsLead lead;
    private Job test;
    private Run held;

    @BeforeEach
    void theCameraTest() {
        lead = new AsLead(mvc);
        test = DemoJobs.called("Orrin Vask, camera test", jobs);
        held = runs.of(test.id()).get(0);
    }

    private String add(byte[] bytes, String shows, String zone, String who, String role) {
        Object said = mvc.post()
                .uri("/jobs/" + test.id() + "/chair/runs/" + held.id() + "/pictures")
                .multipart()
                .file(new MockMultipartFile("image", "p.jpg", "image/jpeg", bytes))
                .param("shows", shows)
                .param("zone", zone)
                .with(csrf())
                .with(user(who).roles(role))
                .exchange()
                .getMvcResult()
                .getFlashMap()
                .get("change");
        return String.valueOf(said);
    }

    private static byte[] picture() throws Exception {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(80, 60, BufferedImage.TYPE_INT_RGB), "jpg", out);
        return out.toByteArray();
    }

    /** [T51] 300 px are 150 mm: 80 px beside 90 px are 40 and 45 mm; the mark that was pressed first is the right one of the picture. */
    private void sidesAreCompared(String page) throws Exception {
        assertThat(lead.get(page)).contains("Left against right", "widest, on one side");
        String marks = "{\"marks\":[%s],\"width\":150,\"error\":1}";
        assertThat(sides(page, marks.formatted(mark(100, 200) + "," + mark(400, 200))))
                .contains("two marks of its middle");
        assertThat(sides(
                        page,
                        marks.formatted(String.join(
                                ",",
                                mark(100, 200),
                                mark(400, 200),
                                mark(250, 100),
                                mark(250, 500),
                                mark(340, 200),
                                mark(170, 212)))))
                .contains("1 mm is 2.0 px", "right 5.0 mm further out (45.0, 40.0)", "left 6.0 mm lower");
    }

    private static String mark(int x, int y) {
        return "{\"x\":" + x + ",\"y\":" + y + "}";
    }

    private String sides(String page, String marks) throws Exception {
        return mvc.post()
                .uri(page)
                .contentType(MediaType.APPLICATION_JSON)
                .content(marks)
                .with(csrf())
                .with(user("pell").roles("HANDS"))
                .exchange()
                .getResponse()
                .getContentAsString(java.nio.charset.StandardCharsets.UTF_8);
    }

    @Test
    void picturesComeIntoTheBookByEverybodyWhoWorksOnItAndGoOutAgain() throws Exception {
        String book = "/jobs/" + test.id() + "/book?run=" + held.id();
        assertThat(add("no picture".getBytes(java.nio.charset.StandardCharsets.UTF_8), "AFTER", "", "ines", "LEAD"))
                .contains("Only JPEG and PNG");
        assertThat(add(new byte[0], "AFTER", "", "ines", "LEAD")).contains("Choose a picture first");
        assertThat(add(picture(), "ZONE", "nose", "pell", "HANDS")).contains("is in the book");
        Matcher shown = Pattern.compile("chair/pictures/([0-9a-f-]{36})\"><img[^>]+alt=\"nose\"")
                .matcher(lead.get(book));
        assertThat(shown.find()).isTrue();
        String picture = "/jobs/" + test.id() + "/chair/pictures/" + shown.group(1);
        assertThat(lead.answer(picture).getContentType()).isEqualTo("image/jpeg");
        sidesAreCompared("/jobs/" + test.id() + "/chair/pictures/" + shown.group(1) + "/sides");
        lead.post("/jobs/" + test.id() + "/chair/runs/" + held.id() + "/pictures/" + shown.group(1) + "/remove");
        assertThat(lead.answer(picture).getStatus()).isEqualTo(404);
        assertThat(lead.get(book)).doesNotContain(shown.group(1));
        assertThat(add(picture(), "SKIN", "chin", "pell", "HANDS")).contains("is in the book");
        assertThat(lead.get("/jobs/" + test.id() + "/strike/skin")).contains("alt=\"Skin, chin\"");
    }

    @Test
    void theContinuitySheetTellsAnotherArtistEverythingButHealth() throws Exception {
        add(picture(), "AFTER", "", "ines", "LEAD");
        add(picture(), "SKIN", "nose", "ines", "LEAD");
        byte[] pdf = lead.answer("/jobs/" + test.id() + "/continuity.pdf?run=" + held.id())
                .getContentAsByteArray();
        try (PDDocument sheet = Loader.loadPDF(pdf)) {
            String text = new PDFTextStripper().getText(sheet);
            assertThat(text)
                    .contains("as it was on")
                    .contains("bronze crust")
                    .contains("4 Bell castor grease, bronze")
                    .contains("foam latex piece")
                    .contains("liquid latex ×2")
                    .contains("third coat would have paid for itself")
                    .contains("Comes off in");
            for (var step : standings.planned(held).steps()) {
                assertThat(text.replaceAll("\\s+", " ")).contains(step.title());
            }
            assertThat(text).doesNotContainIgnoringCase("resin").doesNotContain("patch test of");
            int images = 0;
            for (var page : sheet.getPages()) {
                for (var name : page.getResources().getXObjectNames()) {
                    images += page.getResources().isImageXObject(name) ? 1 : 0;
                }
            }
            assertThat(images)
                    .as("three sketches and the picture; that of the skin stays away")
                    .isEqualTo(3 + 1);
        }
    }

    @Test
    void withoutARunTheSheetSaysWhatIsPlanned() throws Exception {
        Job fresh = DemoJobs.like("Sprue", "never run", jobs);
        byte[] pdf = lead.answer("/jobs/" + fresh.id() + "/continuity.pdf").getContentAsByteArray();
        try (PDDocument sheet = Loader.loadPDF(pdf)) {
            assertThat(new PDFTextStripper().getText(sheet)).contains("as it is planned");
        }
    }

    @Test
    void twoDaysStandSideBySideWithWhatDifferedMostFirst() throws Exception {
        List<Run> both = runs.of(test.id());
        String page = lead.get("/jobs/" + test.id() + "/book/compare?run="
                + both.get(0).id() + "&with=" + both.get(1).id());
        assertThat(page).contains("rehearsal").contains("What differed most");
        int steps = standings.planned(held).steps().size();
        assertThat(Pattern.compile("<th scope=\"row\">").matcher(page).results())
                .hasSize(steps);
        List<Integer> minutes = Pattern.compile("<li( class=\"late\")?><b>([+−])(\\d+) min</b>")
                .matcher(page)
                .results()
                .map(m -> Integer.parseInt(m.group(3)))
                .toList();
        assertThat(minutes).hasSizeGreaterThan(2).isSortedAccordingTo(java.util.Comparator.reverseOrder());
    }

    @Test
    void aDayOfAJobSomebodyDoesNotSeeIsNotCompared() {
        Job other = DemoJobs.like("The Night Shift, first founder", "not Pell's", jobs);
        Run run = seats.begin(other.id(), "ines");
        assertThat(mvc.get()
                        .uri("/jobs/" + test.id() + "/book/compare?run=" + held.id() + "&with=" + run.id())
                        .with(user("pell").roles("HANDS")))
                .hasStatus(302);
    }

    @Test
    void aWordIsFoundInTheBooksOfTheJobsSomebodySees() throws Exception {
        Job closed = DemoJobs.like("The Night Shift, first founder", "unseen by Pell", jobs);
        Run run = seats.begin(closed.id(), "ines");
        reports.take(
                closed.id(),
                new RunEvent.Note(new Stamp("note-found-1", runs.now(run), "Ines"), "Marzipan smell of the gel"),
                "ines");
        assertThat(lead.get("/book?find=MARZIPAN gel"))
                .contains("Marzipan smell")
                .contains("unseen by Pell");
        assertThat(lead.get("/book?find=marzipan spoon")).contains("Nothing says");
        assertThat(lead.get("/book?find=third coat")).contains("paid for itself");
        assertThat(lead.get("/book?find=verdigris")).contains("Bell cream, verdigris");
        assertThat(mvc.get().uri("/book?find=marzipan").with(user("pell").roles("HANDS")))
                .hasStatus(200)
                .bodyText()
                .contains("Nothing says");
        assertThat(mvc.get().uri("/book?find=coat").with(user("floor").roles("FLOOR")))
                .hasStatus(403);
    }
}
