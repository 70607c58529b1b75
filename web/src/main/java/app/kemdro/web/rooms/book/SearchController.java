package app.kemdro.web.rooms.book;

import app.kemdro.core.look.LookEntry;
import app.kemdro.core.method.Trade;
import app.kemdro.core.run.RunEvent;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.learning.Held;
import app.kemdro.web.records.paint.KeptMixes;
import app.kemdro.web.records.run.Run;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.run.Standings;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Finds a word in the books of all jobs that somebody sees: notes, reasons, techniques, mixes, people. */
@Controller
class SearchController {
    private static final int MOST = 200;

    private final Held held;
    private final Runs runs;
    private final KeptMixes mixes;
    private final Trade trade;
    private final Standings standings;

    SearchController(Held held, Runs runs, KeptMixes mixes, Trade trade, Standings standings) {
        this.standings = standings;
        this.held = held;
        this.runs = runs;
        this.mixes = mixes;
        this.trade = trade;
    }

    /** Something that was found, and where. */
    record Found(String where, String text, String link) {}

    /** What was found in one job. */
    record InJob(String title, String on, long job, List<Found> found) {}

    @GetMapping("/book")
    String search(@RequestParam(defaultValue = "") String find, Model model, Authentication who) {
        String words = find.strip();
        List<InJob> all = new ArrayList<>();
        int left = MOST;
        if (!words.isEmpty()) {
            for (Job job : held.jobs(who)) {
                List<Found> found = in(job).stream()
                        .filter(f -> holds(f.where() + " " + f.text(), words))
                        .limit(left)
                        .toList();
                left -= found.size();
                if (!found.isEmpty()) {
                    all.add(new InJob(job.title(), job.brief().performer().name(), job.id(), found));
                }
            }
        }
        model.addAttribute("room", "find");
        model.addAttribute("find", words);
        model.addAttribute("all", all);
        model.addAttribute("full", left <= 0);
        return "rooms/book/search";
    }

    private static boolean holds(String text, String words) {
        String low = text.toLowerCase(Locale.ROOT);
        for (String word : words.toLowerCase(Locale.ROOT).split("\\s+")) {
            if (!low.contains(word)) {
                return false;
            }
        }
        return true;
    }

    /** Everything that can be found in a job, in the order in which it is read. */
    private List<Found> in(Job job) {
        String at = "/jobs/" + job.id();
        List<Found> all = new ArrayList<>();
        all.add(new Found(
                "job", job.title() + (job.production().isEmpty() ? "" : ", " + job.production()), at + "/look"));
        all.add(new Found("sits", job.brief().performer().name(), at + "/brief"));
        if (!job.idea().isEmpty()) {
            all.add(new Found("idea", job.idea(), at + "/brief"));
        }
        for (LookEntry entry : job.look().entries()) {
            if (trade.has(entry.techniqueId())) {
                all.add(new Found(
                        "look",
                        trade.technique(entry.techniqueId()).name() + ", "
                                + trade.body().say(entry.zones()),
                        at + "/look?zones=" + String.join(",", entry.zones())));
            }
        }
        mixes.of(job.id()).forEach(m -> all.add(new Found("mix", m, at + "/colour")));
        for (Run run : runs.of(job.id())) {
            String day = Words.day(run.beganAt());
            for (RunEvent e : standings.eventsOf(run)) {
                if (e instanceof RunEvent.InWords said && !said.text().isEmpty()) {
                    all.add(new Found(
                            day + ", " + Words.hour(e.at()) + (e.hands().isEmpty() ? "" : ", " + e.hands()),
                            (e instanceof RunEvent.Skip ? "left out: " : "") + said.text(),
                            at + "/book?run=" + run.id()));
                }
            }
        }
        return all;
    }
}
