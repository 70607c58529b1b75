package app.kemdro.web.rooms.chair;

import app.kemdro.core.method.Trade;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.Stamp;
import app.kemdro.web.parts.mishap.NotPossible;
import app.kemdro.web.records.run.Run;
import app.kemdro.web.records.run.RunPictures;
import app.kemdro.web.records.run.RunPictures.Shows;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.rooms.Rooms;
import app.kemdro.web.rooms.chair.Announcer.Answer;
import java.io.IOException;
import java.security.Principal;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Pictures for continuity, taken in the chair or added in the book, and shown there. */
@Controller
class PictureController {
    private final Runs runs;
    private final RunPictures pictures;
    private final Announcer announcer;
    private final Trade trade;

    PictureController(Runs runs, RunPictures pictures, Announcer announcer, Trade trade) {
        this.runs = runs;
        this.pictures = pictures;
        this.announcer = announcer;
        this.trade = trade;
    }

    /** Takes a picture from the chair's own screen. */
    @PostMapping("/jobs/{job}/chair/pictures")
    @ResponseBody
    ResponseEntity<?> take(
            @PathVariable long job,
            @RequestParam String id,
            @RequestParam(defaultValue = "") String hands,
            @RequestParam MultipartFile image,
            Principal who)
            throws IOException {
        try {
            Run run = runs.running(job);
            pictures.keep(run, id, image.getBytes(), runs.now(run), Shows.CHAIR, "");
            Answer answer = announcer.report(
                    job, new RunEvent.Picture(new Stamp("picture-" + id, runs.now(run), hands), id), who.getName());
            return ResponseEntity.ok(answer);
        } catch (NotPossible refusal) {
            return ResponseEntity.status(HttpStatus.CONFLICT)
                    .body(new Refusals.Refusal(String.valueOf(refusal.getMessage()), false));
        }
    }

    /** Adds a picture to a run in the book. */
    @PostMapping("/jobs/{job}/chair/runs/{number}/pictures")
    String add(
            @PathVariable long job,
            @PathVariable long number,
            @RequestParam MultipartFile image,
            @RequestParam Shows shows,
            @RequestParam(defaultValue = "") String zone,
            RedirectAttributes after)
            throws IOException {
        try {
            Run run = run(job, number);
            if (image.isEmpty()) {
                throw new NotPossible("Choose a picture first.");
            }
            boolean place = shows == Shows.ZONE || shows == Shows.SKIN;
            pictures.keep(
                    run,
                    UUID.randomUUID().toString(),
                    image.getBytes(),
                    runs.now(run),
                    shows,
                    place && trade.body().has(zone) ? zone : "");
            after.addFlashAttribute(Rooms.CHANGE, "The picture is in the book.");
        } catch (NotPossible refusal) {
            after.addFlashAttribute(Rooms.CHANGE, refusal.getMessage());
        }
        return shows == Shows.SKIN
                ? "redirect:/jobs/" + job + "/strike/skin"
                : "redirect:/jobs/" + job + "/book?run=" + number;
    }

    @PostMapping("/jobs/{job}/chair/runs/{number}/pictures/{id}/remove")
    String remove(
            @PathVariable long job, @PathVariable long number, @PathVariable String id, RedirectAttributes after) {
        pictures.remove(run(job, number), id);
        after.addFlashAttribute(Rooms.CHANGE, "The picture is taken out for good.");
        return "redirect:/jobs/" + job + "/book?run=" + number;
    }

    private Run run(long job, long number) {
        return runs.of(job).stream()
                .filter(r -> r.id() == number)
                .findFirst()
                .orElseThrow(() -> new NotPossible("No such run stands in this book."));
    }

    @GetMapping("/jobs/{job}/chair/pictures/{id}")
    ResponseEntity<byte[]> show(@PathVariable long job, @PathVariable String id) {
        return pictures.find(job, id)
                .map(p -> ResponseEntity.ok()
                        .contentType(MediaType.parseMediaType(p.kind()))
                        // not kept past signing out
                        .cacheControl(CacheControl.noStore())
                        .body(p.image()))
                .orElseGet(() -> ResponseEntity.notFound().build());
    }
}
