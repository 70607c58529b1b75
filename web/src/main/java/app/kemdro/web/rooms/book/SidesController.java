package app.kemdro.web.rooms.book;

import app.kemdro.core.measure.Sides;
import app.kemdro.core.measure.Sides.Difference;
import app.kemdro.core.measure.Sides.Mark;
import app.kemdro.core.measure.Sides.Pair;
import app.kemdro.web.parts.mishap.NotPossible;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.run.RunPictures;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseBody;

/** Left against right on a photograph, by marks that the artist sets. */
@Controller
class SidesController {
    private static final double FIGURE_HEAD_CM = 56;
    private static final int MOST_PAIRS = 30;
    private static final double TURNED = 2;

    private final Jobs jobs;
    private final RunPictures pictures;

    SidesController(Jobs jobs, RunPictures pictures) {
        this.jobs = jobs;
        this.pictures = pictures;
    }

    /**
     * Marks as they were set: both edges of the head, two of its middle, then pairs.
     *
     * @param width of the head, mm; 0 where it was not measured
     * @param error how far a mark may lie beside what was meant, pixels of the picture
     */
    record Marks(@Nullable List<Mark> marks, double width, double error) {}

    /** How one pair differs, in words. */
    record Line(String further, String lower, String error, boolean sure) {}

    record Compared(String scale, List<Line> lines) {}

    record Wrong(String wrong) {}

    @GetMapping("/jobs/{job}/chair/pictures/{picture}/sides")
    String page(@PathVariable long job, @PathVariable String picture, Model model) {
        if (pictures.find(job, picture).isEmpty()) {
            return "redirect:/jobs/" + job + "/book";
        }
        Job of = jobs.get(job);
        model.addAttribute("job", of);
        model.addAttribute("room", "book");
        model.addAttribute("picture", picture);
        model.addAttribute("width", Math.round(usual(of)));
        model.addAttribute("measured", of.brief().performer().headCm() > 0);
        model.addAttribute("turned", Math.round(Sides.turnedMm(TURNED)));
        return "rooms/book/sides";
    }

    private static double usual(Job job) {
        double girth = job.brief().performer().headCm();
        return Sides.usualWidthMm(girth > 0 ? girth : FIGURE_HEAD_CM);
    }

    @PostMapping("/jobs/{job}/chair/pictures/{picture}/sides")
    @ResponseBody
    ResponseEntity<?> compare(@PathVariable long job, @PathVariable String picture, @RequestBody Marks set) {
        try {
            if (pictures.find(job, picture).isEmpty()) {
                throw new NotPossible("This picture is not there any more.");
            }
            return ResponseEntity.ok(compared(set, usual(jobs.get(job))));
        } catch (IllegalArgumentException | NotPossible wrong) {
            return ResponseEntity.status(HttpStatus.CONFLICT).body(new Wrong(String.valueOf(wrong.getMessage())));
        }
    }

    private static Compared compared(Marks set, double usual) {
        List<Mark> m = set.marks() == null ? List.of() : set.marks();
        if (m.size() < 6 || m.size() % 2 != 0 || m.size() > 4 + 2 * MOST_PAIRS) {
            throw new IllegalArgumentException("Set both edges of the head, two marks of its middle, then pairs.");
        }
        boolean measured = set.width() > 0;
        Sides sides = new Sides(
                m.get(0),
                m.get(1),
                m.get(2),
                m.get(3),
                measured ? set.width() : usual,
                measured ? 1 : Sides.usualErrorMm(),
                Math.max(0.5, Math.min(50, set.error())));
        List<Pair> pairs = IntStream.range(2, m.size() / 2)
                .mapToObj(k -> new Pair(m.get(2 * k), m.get(2 * k + 1)))
                .toList();
        List<Difference> differences = sides.of(pairs);
        return new Compared(
                "1 mm is %.1f px".formatted(1 / sides.scale()),
                IntStream.range(0, pairs.size())
                        .mapToObj(k -> line(differences.get(k), pairs.get(k)))
                        .toList());
    }

    /** Sides are called as they are seen on the picture. */
    private static Line line(Difference d, Pair pair) {
        boolean leftFirst = pair.one().x() <= pair.other().x();
        String one = leftFirst ? "left" : "right";
        String other = leftFirst ? "right" : "left";
        return new Line(
                Math.abs(d.furtherMm()) < 0.05
                        ? "equally far from the middle"
                        : "%s %.1f mm further out (%.1f, %.1f)"
                                .formatted(
                                        d.furtherMm() > 0 ? one : other,
                                        Math.abs(d.furtherMm()),
                                        d.oneMm(),
                                        d.otherMm()),
                Math.abs(d.lowerMm()) < 0.05
                        ? "level"
                        : "%s %.1f mm lower".formatted(d.lowerMm() > 0 ? one : other, Math.abs(d.lowerMm())),
                String.format(Locale.ROOT, "± %.1f mm", d.errorMm()),
                d.isSure());
    }
}
