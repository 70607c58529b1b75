package app.kemdro.web.chair;

import app.kemdro.core.method.Trade;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.RunEvent.Type;
import app.kemdro.web.chair.Runs.Standing;
import app.kemdro.web.figure.FigureModel;
import app.kemdro.web.figure.FigureModel.Tint;
import app.kemdro.web.job.Job;
import app.kemdro.web.job.Jobs;
import app.kemdro.web.plans.Words;
import app.kemdro.web.room.Json;
import app.kemdro.web.room.Rooms;
import java.security.Principal;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The chair: one dark screen, and the two addresses its script talks to. */
@Controller
class ChairController {
    private static final int LONGEST_TEXT = 500;

    private final Jobs jobs;
    private final Rooms rooms;
    private final Runs runs;
    private final Trade trade;
    private final Json json;
    private final Clock clock;

    ChairController(Jobs jobs, Rooms rooms, Runs runs, Trade trade, Json json, Clock clock) {
        this.jobs = jobs;
        this.rooms = rooms;
        this.runs = runs;
        this.trade = trade;
        this.json = json;
        this.clock = clock;
    }

    /** What a device reports; the server says when. */
    record Report(
            @Nullable String id,
            @Nullable Type type,
            @Nullable String hands,
            @Nullable String step,
            @Nullable Integer seconds,
            @Nullable String text) {}

    /** What came of it: where the run stands, and what the report changed in words. */
    record Answer(ChairView view, String said) {}

    /** Why a report was refused. */
    record Refusal(String wrong) {}

    @GetMapping("/jobs/{id}/chair")
    String chair(@PathVariable long id, Model model) {
        Job job = jobs.get(id);
        Optional<Run> run = runs.open(id);
        rooms.open(model, job, "chair");
        if (run.isEmpty()) {
            model.addAttribute("before", runs.of(id).size());
            LocalDateTime call = runs.callFor(job, now());
            model.addAttribute("rehearsal", !call.equals(job.brief().call()));
            model.addAttribute("callIfNow", Words.hour(call));
            return "chair/before";
        }
        Standing standing = runs.standing(run.get());
        model.addAttribute("view", json.text(ChairView.of(standing, now())));
        model.addAttribute("figure", json.text(FigureModel.of(trade.body(), Set.of(), z -> Tint.NONE)));
        return "chair/chair";
    }

    @PostMapping("/jobs/{id}/chair/begin")
    String begin(@PathVariable long id, Principal who, RedirectAttributes after) {
        try {
            runs.begin(id, who.getName());
        } catch (NotPossible refusal) {
            after.addFlashAttribute("refused", refusal.getMessage());
        }
        return "redirect:/jobs/" + id + "/chair";
    }

    @GetMapping("/jobs/{id}/chair/state")
    @ResponseBody
    ResponseEntity<?> state(@PathVariable long id) {
        return runs.of(id).stream()
                .findFirst()
                .<ResponseEntity<?>>map(
                        run -> ResponseEntity.ok(new Answer(ChairView.of(runs.standing(run), now()), "")))
                .orElseGet(() -> ResponseEntity.status(HttpStatus.NOT_FOUND).body(new Refusal("No run has begun.")));
    }

    @PostMapping("/jobs/{id}/chair/events")
    @ResponseBody
    Answer report(@PathVariable long id, @RequestBody Report report, Principal who) {
        RunEvent event = event(report);
        long before =
                runs.open(id).map(r -> runs.standing(r).schedule().ready()).orElse(0);
        Standing standing = runs.report(id, event, who.getName());
        long moved = Math.round((standing.schedule().ready() - before) / 60.0);
        ChairView view = ChairView.of(standing, now());
        String said =
                moved == 0 ? "" : Words.change(moved) + ": ready " + view.readyText() + ", " + view.inHandText() + ".";
        return new Answer(view, said);
    }

    private RunEvent event(Report report) {
        String id = report.id() == null ? "" : report.id();
        if (!id.matches("[A-Za-z0-9_-]{8,60}")) {
            throw new NotPossible("Every report needs an id of its own: 8 to 60 letters, digits or dashes.");
        }
        if (report.type() == null) {
            throw new NotPossible("The report does not say what happened.");
        }
        String text = report.text() == null ? "" : report.text().strip();
        if (text.length() > LONGEST_TEXT) {
            throw new NotPossible("Keep it under " + LONGEST_TEXT + " letters; this has " + text.length() + ".");
        }
        return new RunEvent(
                id,
                now(),
                report.hands() == null ? "" : report.hands(),
                report.type(),
                report.step() == null ? "" : report.step(),
                report.seconds() == null ? 0 : report.seconds(),
                0,
                text);
    }

    private LocalDateTime now() {
        return LocalDateTime.now(clock).truncatedTo(ChronoUnit.SECONDS);
    }

    @ExceptionHandler(NotPossible.class)
    ResponseEntity<Refusal> refuse(NotPossible refusal) {
        return ResponseEntity.status(HttpStatus.CONFLICT).body(new Refusal(refusal.getMessage()));
    }
}
