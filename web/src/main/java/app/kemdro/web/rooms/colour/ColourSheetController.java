package app.kemdro.web.rooms.colour;

import app.kemdro.core.plan.Plan;
import app.kemdro.web.parts.file.Files;
import app.kemdro.web.parts.print.Sheets;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.paint.ColourCards;
import app.kemdro.web.records.plan.Plans;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** The mixes of a job as cards on paper, beside the palette. */
@Controller
class ColourSheetController {
    private final Jobs jobs;
    private final Plans plans;
    private final ColourCards cards;
    private final Sheets sheets;

    ColourSheetController(Jobs jobs, Plans plans, ColourCards cards, Sheets sheets) {
        this.jobs = jobs;
        this.plans = plans;
        this.cards = cards;
        this.sheets = sheets;
    }

    @GetMapping("/jobs/{id}/colour.pdf")
    ResponseEntity<byte[]> sheet(@PathVariable long id) {
        Job job = jobs.get(id);
        Optional<Plan> plan = plans.of(job).plan();
        if (plan.isEmpty()) {
            return Files.elsewhere("/jobs/" + id + "/colour");
        }
        return Files.sheet(
                "colour-" + id + ".pdf",
                sheets.pdf(
                        "rooms/colour/sheet",
                        Map.of(
                                "title", job.title(),
                                "cards", cards.of(plan.get(), job),
                                "shades", cards.shades(plan.get(), job))));
    }
}
