package app.kemdro.web.chair;

import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.RunEvent.Type;
import app.kemdro.web.chair.Announcer.Answer;
import java.io.IOException;
import java.security.Principal;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;

/** Pictures for continuity, taken in the chair and shown in the book. */
@Controller
class PictureController {
    private static final int LARGEST = 1_500_000;

    private final Runs runs;
    private final Pictures pictures;
    private final Announcer announcer;

    PictureController(Runs runs, Pictures pictures, Announcer announcer) {
        this.runs = runs;
        this.pictures = pictures;
        this.announcer = announcer;
    }

    @PostMapping("/jobs/{job}/chair/pictures")
    @ResponseBody
    Answer take(
            @PathVariable long job,
            @RequestParam String id,
            @RequestParam(defaultValue = "") String hands,
            @RequestParam MultipartFile image,
            Principal who)
            throws IOException {
        Run run = runs.running(job);
        byte[] bytes = image.getBytes();
        if (!id.matches("[A-Za-z0-9-]{8,55}")) {
            throw new NotPossible("The picture has no id of its own.");
        }
        if (bytes.length > LARGEST) {
            throw new NotPossible("A picture takes up to 1.5 MB.");
        }
        String kind = kind(bytes);
        if (pictures.findById(id).isEmpty()) {
            pictures.saveAndFlush(new Picture(id, run.id(), runs.now(run), kind, bytes));
        }
        return announcer.report(
                job, new RunEvent("picture-" + id, runs.now(run), hands, Type.PICTURE, "", 0, 0, id), who.getName());
    }

    /** What the bytes say they are, whatever the file was called. */
    private static String kind(byte[] b) {
        if (b.length > 3 && (b[0] & 0xff) == 0xff && (b[1] & 0xff) == 0xd8) {
            return MediaType.IMAGE_JPEG_VALUE;
        }
        if (b.length > 8 && (b[0] & 0xff) == 0x89 && b[1] == 'P' && b[2] == 'N' && b[3] == 'G') {
            return MediaType.IMAGE_PNG_VALUE;
        }
        throw new NotPossible("Only JPEG and PNG pictures are taken.");
    }

    @GetMapping("/jobs/{job}/chair/pictures/{id}")
    ResponseEntity<byte[]> show(@PathVariable long job, @PathVariable String id) {
        return pictures.findById(id)
                .filter(p -> runs.of(job).stream().anyMatch(r -> r.id() == p.runId()))
                .map(p -> ResponseEntity.ok()
                        .contentType(MediaType.parseMediaType(p.kind()))
                        .cacheControl(CacheControl.maxAge(java.time.Duration.ofDays(1))
                                .cachePrivate())
                        .body(p.image()))
                .orElseGet(() -> ResponseEntity.notFound().build());
    }

    @ExceptionHandler(NotPossible.class)
    ResponseEntity<ChairController.Refusal> refuse(NotPossible refusal) {
        return ResponseEntity.status(HttpStatus.CONFLICT)
                .body(new ChairController.Refusal(String.valueOf(refusal.getMessage())));
    }
}
