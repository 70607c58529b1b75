package app.kemdro.web.rooms.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.web.AsLead;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.TestPictures;
import app.kemdro.web.parts.figure.FigureView;
import app.kemdro.web.records.forgetting.Forgetting;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.jobfile.Again;
import app.kemdro.web.records.performer.Performers;
import app.kemdro.web.records.reference.Reference;
import app.kemdro.web.records.reference.References;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Reference pictures. The pictures of these tests are white on their left half and black on their right one. */
@DemoTest
class PicturesRoomTest {
    @Autowired
    private MockMvcTester mvc;

    @Autowired
    private Jobs jobs;

    @Autowired
    private References references;

    @Autowired
    private Performers performers;

    @Autowired
    private Forgetting forgetting;

    @Autowired
    private Again again;

    @Autowired
    private JsonMapper json;

    private AsLead lead;
    private Job job;
    private String at;
    private static int made;

    @BeforeEach
    void aJob() {
        lead = new AsLead(mvc);
        job = DemoJobs.ofInesOnly("Pictured " + ++made, jobs);
        at = "/jobs/" + job.id() + "/pictures";
    }

    private Object add(byte[]... pictures) {
        var request = mvc.post().uri(at).multipart();
        for (byte[] p : pictures) {
            request.file(new MockMultipartFile("image", "study.png", "image/png", p));
        }
        return request.with(csrf())
                .with(user("ines").roles("LEAD"))
                .exchange()
                .getMvcResult()
                .getFlashMap()
                .get("change");
    }

    private Reference one() {
        add(TestPictures.png(400, 200));
        return references.of(job.id()).get(0);
    }

    private Reference again(Reference r) {
        return references.get(job.id(), r.id());
    }

    @Test
    void severalAreTakenAtOnceAndWhatIsNoneIsNamed() throws Exception {
        assertThat(add(TestPictures.png(40, 20), TestPictures.fromACamera(40, 30)))
                .isEqualTo("2 pictures are kept.");
        assertThat(add(TestPictures.png(40, 20), "no picture".getBytes(StandardCharsets.UTF_8)))
                .isEqualTo("The picture is kept. study.png: Only JPEG and PNG pictures are taken.");
        assertThat(add(new byte[0])).isEqualTo("Choose a picture first.");
        List<Reference> kept = references.of(job.id());
        assertThat(kept).hasSize(3);
        byte[] image = lead.answer(at + "/" + kept.get(1).id()).getContentAsByteArray();
        assertThat(new String(image, StandardCharsets.ISO_8859_1)).doesNotContain("Exif");
        assertThat(lead.get(at)).contains("Add pictures");
    }

    @Test
    void thereAreNoMoreThanSomebodyLooksAt() {
        for (int k = 0; k < References.MOST; k++) {
            references.add(job.id(), TestPictures.png(20, 20));
        }
        assertThat(add(TestPictures.png(20, 20))).asString().contains("A job keeps 24 pictures. Remove one first");
        assertThat(references.of(job.id())).hasSize(References.MOST);
    }

    @Test
    void aMarkHasTheColourOfItsPlaceAlsoWhereThePictureIsCropped() throws Exception {
        Reference r = one();
        lead.post(at + "/" + r.id() + "/marks", "x", "25", "y", "50", "note", "dry bark");
        assertThat(again(r).marks()).containsExactly(new Reference.Mark(0.25, 0.5, "#ffffff", "dry bark"));
        // shown from the middle on, a tenth from the left is 55 % of the whole, which is black
        lead.post(at + "/" + r.id() + "/crop", "left", "50", "top", "0", "right", "100", "bottom", "50 %");
        lead.post(at + "/" + r.id() + "/marks", "x", "10,0", "y", "50");
        assertThat(again(r).marks().get(1)).isEqualTo(new Reference.Mark(0.55, 0.25, "#000000", ""));
        byte[] shown = lead.answer(at + "/" + r.id()).getContentAsByteArray();
        var image = ImageIO.read(new ByteArrayInputStream(shown));
        assertThat(image.getWidth()).isEqualTo(200);
        assertThat(image.getHeight()).isEqualTo(100);
        String page = lead.get(at);
        assertThat(page).contains("outside what is shown").contains("10 % from the left, 50 % from the top");
        // its colour is a target at the paint table
        assertThat(page).contains("/colour?aim=%23000000");
        assertThat(lead.get("/jobs/" + job.id() + "/colour?aim=%23ffffff")).contains("Aim at #ffffff: dry bark");

        lead.post(at + "/" + r.id() + "/marks/0/say", "note", "wet bark");
        lead.post(at + "/" + r.id() + "/marks/1/remove");
        assertThat(again(r).marks()).extracting(Reference.Mark::note).containsExactly("wet bark");
        lead.post(at + "/" + r.id() + "/whole");
        assertThat(ImageIO.read(new ByteArrayInputStream(
                                lead.answer(at + "/" + r.id()).getContentAsByteArray()))
                        .getWidth())
                .isEqualTo(400);
    }

    @Test
    void whatCannotBeMeantIsSaidAndChangesNothing() {
        Reference r = one();
        assertThat(lead.post(at + "/" + r.id() + "/marks", "x", "110", "y", "5").get("change"))
                .isEqualTo("“from left” takes 0 to 100 per cent of the picture, and not “110”. Nothing was changed.");
        assertThat(lead.post(at + "/" + r.id() + "/crop", "left", "40", "top", "0", "right", "41", "bottom", "90")
                        .get("change"))
                .asString()
                .contains("at least a twentieth");
        assertThat(lead.post(at + "/" + r.id() + "/say", "note", "x".repeat(601))
                        .get("change"))
                .asString()
                .contains("up to 600 letters, and this one has 601");
        assertThat(lead.post(at + "/" + r.id() + "/marks/7/remove").get("change"))
                .isEqualTo("This mark is not there any more.");
        assertThat(lead.post(at + "/999999/pin", "zones", "nose").get("change"))
                .isEqualTo("This picture is not there any more.");
        assertThat(again(r)).satisfies(x -> {
            assertThat(x.marks()).isEmpty();
            assertThat(x.note()).isEmpty();
            assertThat(x.frame().isWhole()).isTrue();
        });
    }

    @Test
    void itStandsBesideTheFigureWithWhatItIsPinnedTo() throws Exception {
        Reference r = one();
        lead.post(at + "/" + r.id() + "/pin", "zones", "nose,no-such-zone,chin");
        lead.post(at + "/" + r.id() + "/say", "note", "study of bark", "view", "left");
        JsonNode beside = json.readTree(lead.get(at + "/beside"));
        JsonNode p = beside.get("pictures").get(0);
        assertThat(p.get("zones").valueStream().map(JsonNode::asString)).containsExactlyInAnyOrder("nose", "chin");
        assertThat(p.get("view").asString()).isEqualTo("left");
        assertThat(p.get("says").asString()).isEqualTo("study of bark");
        assertThat(beside.get("now")).isEmpty();
        for (String room : List.of("look", "order")) {
            assertThat(lead.get("/jobs/" + job.id() + "/" + room)).contains("data-beside=\"" + at + "/beside\"");
        }
    }

    @Test
    void whatIsSetAsideComesBackAndIsGoneOnlyForGood() throws Exception {
        Reference r = one();
        lead.post(at + "/" + r.id() + "/aside");
        assertThat(references.of(job.id())).isEmpty();
        assertThat(lead.get(at)).contains("1 set aside").contains("Put back");
        lead.post(at + "/" + r.id() + "/back");
        assertThat(references.of(job.id())).hasSize(1);
        lead.post(at + "/" + r.id() + "/remove");
        assertThat(references.of(job.id())).isEmpty();
        assertThat(references.aside(job.id())).isEmpty();
        assertThat(lead.answer(at + "/" + r.id()).getStatus()).isEqualTo(404);
    }

    /** Out as a file, in again, out again: the same pictures, those on which the performer is to be known only with the health file. */
    @Test
    void picturesGoWithTheJob() throws Exception {
        Reference r = one();
        references.pin(job.id(), r.id(), Set.of("nose"));
        references.say(job.id(), r.id(), "bark", FigureView.FRONT, false);
        references.mark(job.id(), r.id(), 0.75, 0.5, "soot");
        references.show(job.id(), r.id(), new app.kemdro.web.parts.picture.Frame(0.5, 0, 0.5, 1));
        Reference known = references.add(job.id(), TestPictures.png(60, 60));
        references.say(job.id(), known.id(), "his own nose", null, true);

        JsonNode out = json.readTree(lead.get("/jobs/" + job.id() + "/export.json"));
        assertThat(out.get("pictures")).hasSize(1);
        JsonNode whole = json.readTree(lead.get("/jobs/" + job.id() + "/health.json"));
        assertThat(whole.get("pictures")).hasSize(2);

        long copy = take(whole.toString());
        List<Reference> came = references.of(copy);
        assertThat(came).extracting(Reference::note).containsExactly("bark", "his own nose");
        assertThat(came.get(0)).satisfies(c -> {
            assertThat(c.zones()).containsExactly("nose");
            assertThat(c.seenFrom()).contains(FigureView.FRONT);
            assertThat(c.marks()).containsExactly(new Reference.Mark(0.75, 0.5, "#000000", "soot"));
            assertThat(c.shownWidth()).isEqualTo(200);
        });
        assertThat(came.get(1).isOfPerformer()).isTrue();
        assertThat(references.shown(copy, came.get(0).id())).isPresent();

        // the same again for another day
        Job next = again.of(job, b -> b);
        assertThat(references.of(next.id())).extracting(Reference::note).containsExactly("bark", "his own nose");

        // forgotten, only what does not show them is left
        forgetting.person(performers.get(job.performer().id()));
        assertThat(references.of(job.id())).extracting(Reference::note).containsExactly("bark");
        assertThat(references.of(next.id())).extracting(Reference::note).containsExactly("bark");
    }

    private long take(String file) {
        String to = String.valueOf(mvc.post()
                .uri("/import")
                .multipart()
                .file(new MockMultipartFile(
                        "file", "job.json", "application/json", file.getBytes(StandardCharsets.UTF_8)))
                .with(csrf())
                .with(user("ines").roles("LEAD"))
                .exchange()
                .getResponse()
                .getRedirectedUrl());
        var id = Pattern.compile("/jobs/(\\d+)/brief").matcher(to);
        assertThat(id.matches()).as(to).isTrue();
        return Long.parseLong(id.group(1));
    }

    @Test
    void aFileWhosePicturesCannotBeTakenIsRefusedWithThePlace() throws Exception {
        one();
        String file = lead.get("/jobs/" + job.id() + "/export.json");
        for (List<String> broken : List.of(
                List.of(
                        "\"zones\" : [ ],\n    \"frame\"",
                        "\"zones\" : [ \"tail\" ],\n    \"frame\"",
                        "pictures[0].zones: 'tail'"),
                List.of("\"wide\"", "", ""))) {
            if (broken.get(1).isEmpty()) {
                continue;
            }
            assertThat(refused(file.replace(broken.get(0), broken.get(1)))).contains(broken.get(2));
        }
        JsonNode tree = json.readTree(file);
        ((tools.jackson.databind.node.ObjectNode) tree.get("pictures").get(0)).put("image", "bm8gcGljdHVyZQ==");
        assertThat(refused(tree.toString())).contains("pictures[0]: Only JPEG and PNG pictures are taken.");
    }

    private String refused(String file) throws Exception {
        return mvc.post()
                .uri("/import")
                .multipart()
                .file(new MockMultipartFile(
                        "file", "job.json", "application/json", file.getBytes(StandardCharsets.UTF_8)))
                .with(csrf())
                .with(user("ines").roles("LEAD"))
                .exchange()
                .getResponse()
                .getContentAsString(StandardCharsets.UTF_8)
                .replace("&#39;", "'");
    }

    @Test
    void handsSeeThemAndOnlyALeadChangesThem() {
        Reference r = one();
        for (HttpMethod method : List.of(HttpMethod.GET, HttpMethod.POST)) {
            int status = mvc.method(method)
                    .uri(method == HttpMethod.GET ? at + "/" + r.id() : at + "/" + r.id() + "/aside")
                    .with(csrf())
                    .with(user("pell").roles("HANDS"))
                    .exchange()
                    .getResponse()
                    .getStatus();
            assertThat(status).isEqualTo(403);
        }
        assertThat(references.of(job.id())).hasSize(1);
    }

    /** The figure of the browser and the server know the same views by the same names. */
    @Test
    void viewsAreThoseOfTheFigure() throws Exception {
        String script = Files.readString(Path.of("src/main/resources/static/js/parts/views.js"));
        String views = script.substring(script.indexOf("const VIEWS"), script.indexOf("// zones that the front"));
        List<String> named = Pattern.compile("(?m)^  '?([a-z-]+)'?: \\{")
                .matcher(views)
                .results()
                .map(m -> m.group(1))
                .toList();
        assertThat(named)
                .containsExactlyElementsOf(
                        Stream.of(FigureView.values()).map(FigureView::key).toList());
    }
}
