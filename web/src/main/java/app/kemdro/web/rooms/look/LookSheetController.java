package app.kemdro.web.rooms.look;

import app.kemdro.core.method.Trade;
import app.kemdro.web.parts.file.Files;
import app.kemdro.web.parts.print.Sheets;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.plan.Removals;
import java.util.List;
import java.util.Map;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** The look on paper: what is done where, and what to look out for. */
@Controller
class LookSheetController {
    private final Jobs jobs;
    private final Plans plans;
    private final Removals removals;
    private final Sheets sheets;
    private final Trade trade;

    LookSheetController(Jobs jobs, Plans plans, Removals removals, Sheets sheets, Trade trade) {
        this.jobs = jobs;
        this.plans = plans;
        this.removals = removals;
        this.sheets = sheets;
        this.trade = trade;
    }

    @GetMapping("/jobs/{id}/look.pdf")
    ResponseEntity<byte[]> sheet(@PathVariable long id) {
        Job job = jobs.get(id);
        // everything that is done anywhere, as if all of the body were pressed
        List<String> all = trade.body().zones().stream().map(z -> z.id()).toList();
        LookRoom room = new LookRoom(trade, plans, removals, job, plans.of(job).plan(), all, Map.of());
        return Files.sheet(
                "look-" + id + ".pdf",
                sheets.pdf(
                        "rooms/look/sheet",
                        Map.of(
                                "title", job.title(),
                                "performer", job.brief().performer().name(),
                                "idea", job.idea(),
                                "call", Words.moment(job.brief().call()),
                                "chosen", room.chosen())));
    }
}
