package app.kemdro.web.rooms.shelf;

import app.kemdro.web.parts.mishap.NotPossible;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.start.Starts;
import app.kemdro.web.rooms.Rooms;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Looks that are kept as a start for others. */
@Controller
class StartsController {
    private final Starts starts;
    private final Jobs jobs;

    StartsController(Starts starts, Jobs jobs) {
        this.starts = starts;
        this.jobs = jobs;
    }

    /** A start as it is shown. */
    record Line(long id, String name, String says) {}

    @GetMapping("/jobs/starts")
    String all(Model model) {
        model.addAttribute("starts", lines(false));
        model.addAttribute("aside", lines(true));
        return "rooms/shelf/starts";
    }

    private List<Line> lines(boolean aside) {
        return starts.all().stream()
                .filter(s -> s.setAside() == aside)
                .map(s -> new Line(
                        s.id(),
                        s.name(),
                        (s.techniques() == 1 ? "1 technique" : s.techniques() + " techniques") + ", kept on "
                                + Words.day(s.keptAt())))
                .toList();
    }

    @PostMapping("/jobs/{id}/starts")
    String keep(@PathVariable long id, @RequestParam(defaultValue = "") String name, RedirectAttributes after) {
        try {
            starts.keep(jobs.get(id), name);
            after.addFlashAttribute(
                    Rooms.CHANGE, "“" + name.strip() + "” is kept: a blank head (N on the shelf) can begin with it.");
        } catch (NotPossible refusal) {
            after.addFlashAttribute(Rooms.CHANGE, refusal.getMessage());
        }
        return "redirect:/jobs/" + id + "/look";
    }

    @PostMapping("/jobs/starts/{start}/aside")
    String setAside(@PathVariable long start) {
        starts.setAside(start, true);
        return "redirect:/jobs/starts";
    }

    @PostMapping("/jobs/starts/{start}/back")
    String putBack(@PathVariable long start) {
        starts.setAside(start, false);
        return "redirect:/jobs/starts";
    }
}
