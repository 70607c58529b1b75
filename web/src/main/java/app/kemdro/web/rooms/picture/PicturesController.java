package app.kemdro.web.rooms.picture;

import app.kemdro.core.method.Trade;
import app.kemdro.web.parts.figure.FigureModel;
import app.kemdro.web.parts.figure.FigureView;
import app.kemdro.web.parts.json.Json;
import app.kemdro.web.parts.mishap.NotPossible;
import app.kemdro.web.parts.picture.Frame;
import app.kemdro.web.parts.typed.TakeBack;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.reference.Reference;
import app.kemdro.web.records.reference.References;
import app.kemdro.web.records.run.Run;
import app.kemdro.web.records.run.RunPictures;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.rooms.Rooms;
import java.io.IOException;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Pictures of what the character shall look like: added, pinned, cropped, marked; and what stands beside the figure with V. */
@Controller
class PicturesController {
    private static final int MOST_OF_NOW = 6;

    private final Jobs jobs;
    private final References references;
    private final Runs runs;
    private final RunPictures taken;
    private final Rooms rooms;
    private final Trade trade;
    private final Json json;

    PicturesController(
            Jobs jobs, References references, Runs runs, RunPictures taken, Rooms rooms, Trade trade, Json json) {
        this.jobs = jobs;
        this.references = references;
        this.runs = runs;
        this.taken = taken;
        this.rooms = rooms;
        this.trade = trade;
        this.json = json;
    }

    @GetMapping("/jobs/{job}/pictures")
    String page(@PathVariable long job, @RequestParam(defaultValue = "0") long of, Model model) {
        Job shown = jobs.get(job);
        rooms.open(model, shown, "look");
        List<ShownPicture> all = shown(job, references.of(job));
        Optional<ShownPicture> picture = all.stream()
                .filter(p -> p.id() == of)
                .findFirst()
                .or(() -> all.stream().findFirst());
        model.addAttribute("pictures", all);
        model.addAttribute("picture", picture.orElse(null));
        model.addAttribute("aside", shown(job, references.aside(job)));
        model.addAttribute("views", FigureView.values());
        Set<String> pinned = picture.map(p -> Set.copyOf(p.zones())).orElse(Set.of());
        model.addAttribute("figure", json.text(FigureModel.of(trade.body(), pinned, z -> FigureModel.Tint.NONE)));
        return "rooms/picture/pictures";
    }

    private List<ShownPicture> shown(long job, List<Reference> pictures) {
        return pictures.stream().map(r -> ShownPicture.of(job, r, trade.body())).toList();
    }

    /** A photograph of how it is now. */
    record Now(String src, String says) {}

    /**
     * What stands beside the figure.
     *
     * @param now photographs of the last run, the newest first
     * @param all address where pictures are added and changed
     */
    record Beside(List<ShownPicture> pictures, List<Now> now, String all) {}

    @GetMapping("/jobs/{job}/pictures/beside")
    @ResponseBody
    Beside beside(@PathVariable long job) {
        jobs.get(job);
        List<Now> now = runs.of(job).stream()
                .filter(r -> !r.isRehearsal() || r.endedAt() == null)
                .max(Comparator.comparing(Run::beganAt))
                .map(r -> now(job, r))
                .orElse(List.of());
        return new Beside(shown(job, references.of(job)), now, "/jobs/" + job + "/pictures");
    }

    private List<Now> now(long job, Run run) {
        return taken.of(run).stream()
                .filter(p -> p.shows() != RunPictures.Shows.SKIN)
                .sorted(Comparator.comparing(RunPictures.Shown::takenAt).reversed())
                .limit(MOST_OF_NOW)
                .map(p -> new Now("/jobs/" + job + "/chair/pictures/" + p.id(), Words.hour(p.takenAt())))
                .toList();
    }

    @GetMapping("/jobs/{job}/pictures/{id}")
    ResponseEntity<byte[]> image(@PathVariable long job, @PathVariable long id) {
        return references
                .shown(job, id)
                .map(image -> ResponseEntity.ok()
                        .contentType(MediaType.IMAGE_JPEG)
                        // not kept past signing out
                        .cacheControl(CacheControl.noStore())
                        .body(image))
                .orElseGet(() -> ResponseEntity.notFound().build());
    }

    @PostMapping("/jobs/{job}/pictures")
    String add(@PathVariable long job, @RequestParam List<MultipartFile> image, RedirectAttributes after)
            throws IOException {
        jobs.get(job);
        long last = 0;
        int count = 0;
        String wrong = "";
        for (MultipartFile file : image) {
            if (file.isEmpty()) {
                continue;
            }
            try {
                last = references.add(job, file.getBytes()).id();
                count++;
            } catch (NotPossible refusal) {
                wrong = named(file) + refusal.getMessage();
            }
        }
        String says = count == 0 ? "" : count == 1 ? "The picture is kept. " : count + " pictures are kept. ";
        after.addFlashAttribute(
                Rooms.CHANGE, count == 0 && wrong.isEmpty() ? "Choose a picture first." : (says + wrong).strip());
        return back(job, last);
    }

    private static String named(MultipartFile file) {
        String name = file.getOriginalFilename();
        return name == null || name.isBlank() ? "" : name + ": ";
    }

    @PostMapping("/jobs/{job}/pictures/{id}/say")
    String say(
            @PathVariable long job,
            @PathVariable long id,
            @RequestParam(defaultValue = "") String note,
            @RequestParam(defaultValue = "") String view,
            @RequestParam(defaultValue = "false") boolean ofPerformer,
            RedirectAttributes after) {
        return change(
                job,
                id,
                after,
                "Kept.",
                () -> references.say(job, id, note, FigureView.of(view).orElse(null), ofPerformer));
    }

    @PostMapping("/jobs/{job}/pictures/{id}/pin")
    String pin(
            @PathVariable long job,
            @PathVariable long id,
            @RequestParam(defaultValue = "") List<String> zones,
            RedirectAttributes after) {
        Set<String> known = zones.stream().filter(trade.body()::has).collect(Collectors.toSet());
        String says = known.isEmpty()
                ? "It belongs to the whole character."
                : "Pinned to " + trade.body().say(trade.body().sorted(known)) + ".";
        return change(job, id, after, says, () -> references.pin(job, id, known));
    }

    /** Marks a place of what is shown; in per cent from its left and its top. */
    @PostMapping("/jobs/{job}/pictures/{id}/marks")
    String mark(
            @PathVariable long job,
            @PathVariable long id,
            @RequestParam(defaultValue = "") String x,
            @RequestParam(defaultValue = "") String y,
            @RequestParam(defaultValue = "") String note,
            RedirectAttributes after) {
        return change(job, id, after, "Marked, with the colour it has there.", () -> {
            Frame frame = references.get(job, id).frame();
            references.mark(job, id, frame.x(share("from left", x)), frame.y(share("from top", y)), note);
        });
    }

    @PostMapping("/jobs/{job}/pictures/{id}/marks/{mark}/say")
    String sayAt(
            @PathVariable long job,
            @PathVariable long id,
            @PathVariable int mark,
            @RequestParam(defaultValue = "") String note,
            RedirectAttributes after) {
        return change(job, id, after, "Kept.", () -> references.sayAt(job, id, mark, note));
    }

    @PostMapping("/jobs/{job}/pictures/{id}/marks/{mark}/remove")
    String unmark(@PathVariable long job, @PathVariable long id, @PathVariable int mark, RedirectAttributes after) {
        return change(job, id, after, "The mark is taken off.", () -> {
            Reference picture = references.get(job, id);
            if (mark >= 0 && mark < picture.marks().size()) {
                Reference.Mark was = picture.marks().get(mark);
                after.addFlashAttribute(
                        TakeBack.OFFER,
                        TakeBack.of(
                                "Take back: mark " + (mark + 1) + " off",
                                "/jobs/" + job + "/pictures/" + id + "/marks",
                                Map.of(
                                        "x", percent(picture.frame().shownX(was.fromLeft())),
                                        "y", percent(picture.frame().shownY(was.fromTop())),
                                        "note", was.note())));
            }
            references.unmark(job, id, mark);
        });
    }

    /** Shows only what lies between two corners of what is shown; in per cent. */
    @PostMapping("/jobs/{job}/pictures/{id}/crop")
    String crop(
            @PathVariable long job,
            @PathVariable long id,
            @RequestParam(defaultValue = "") String left,
            @RequestParam(defaultValue = "") String top,
            @RequestParam(defaultValue = "") String right,
            @RequestParam(defaultValue = "") String bottom,
            RedirectAttributes after) {
        return change(job, id, after, "Cropped. The rest is kept; “show all of it” brings it back.", () -> {
            Reference reference = references.get(job, id);
            Frame inside = Frame.between(
                    share("left", left), share("top", top), share("right", right), share("bottom", bottom));
            references.show(job, id, reference.frame().inside(inside));
        });
    }

    @PostMapping("/jobs/{job}/pictures/{id}/whole")
    String whole(@PathVariable long job, @PathVariable long id, RedirectAttributes after) {
        return change(job, id, after, "All of it is shown.", () -> references.show(job, id, Frame.WHOLE));
    }

    @PostMapping("/jobs/{job}/pictures/{id}/aside")
    String setAside(@PathVariable long job, @PathVariable long id, RedirectAttributes after) {
        change(job, 0, after, "Set aside. It can be put back below.", () -> references.setAside(job, id, true));
        return back(job, 0);
    }

    @PostMapping("/jobs/{job}/pictures/{id}/back")
    String putBack(@PathVariable long job, @PathVariable long id, RedirectAttributes after) {
        return change(job, id, after, "It is back.", () -> references.setAside(job, id, false));
    }

    @PostMapping("/jobs/{job}/pictures/{id}/remove")
    String remove(@PathVariable long job, @PathVariable long id, RedirectAttributes after) {
        return change(job, 0, after, "The picture is gone for good.", () -> references.remove(job, id));
    }

    private String change(long job, long id, RedirectAttributes after, String says, Runnable change) {
        try {
            change.run();
            after.addFlashAttribute(Rooms.CHANGE, says);
        } catch (NotPossible | IllegalArgumentException refusal) {
            after.addFlashAttribute(Rooms.CHANGE, refusal.getMessage());
        }
        return back(job, id);
    }

    private static String percent(double share) {
        return Double.toString(share * 100);
    }

    /** A share of a picture's side that was typed or pressed in per cent. */
    private static double share(String field, String typed) {
        try {
            double percent =
                    Double.parseDouble(typed.replace("%", "").replace(',', '.').strip());
            if (percent >= 0 && percent <= 100) {
                return percent / 100;
            }
        } catch (NumberFormatException e) {
            // said below
        }
        throw new NotPossible("“" + field + "” takes 0 to 100 per cent of the picture, and not “" + typed
                + "”. Nothing was changed.");
    }

    private static String back(long job, long of) {
        return "redirect:/jobs/" + job + "/pictures" + (of == 0 ? "" : "?of=" + of);
    }
}
