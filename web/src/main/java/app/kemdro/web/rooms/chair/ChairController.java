package app.kemdro.web.rooms.chair;

import app.kemdro.core.hour.Wall;
import app.kemdro.core.method.Trade;
import app.kemdro.web.parts.figure.FigureModel;
import app.kemdro.web.parts.figure.FigureModel.Tint;
import app.kemdro.web.parts.json.Json;
import app.kemdro.web.parts.live.MayListen;
import app.kemdro.web.parts.live.Screens;
import app.kemdro.web.parts.mishap.NotPossible;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.run.Run;
import app.kemdro.web.records.run.RunNow;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.run.Seats;
import app.kemdro.web.records.run.Standings;
import app.kemdro.web.records.safety.Gate;
import app.kemdro.web.rooms.Rooms;
import app.kemdro.web.rooms.chair.Announcer.Answer;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.security.Principal;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The chair: one dark screen, and the addresses its script talks to. */
@Controller
class ChairController {
    private static final Set<Integer> PACES = Set.of(1, 10, 30, 60, 120);

    private final Jobs jobs;
    private final Rooms rooms;
    private final Runs runs;
    private final Gate gate;
    private final Plans plans;
    private final Announcer announcer;
    private final Standings standings;
    private final Seats seats;
    private final Screens screens;
    private final MayListen mayListen;
    private final Trade trade;
    private final Json json;
    private final Clock clock;

    ChairController(
            Jobs jobs,
            Rooms rooms,
            Runs runs,
            Plans plans,
            Announcer announcer,
            Standings standings,
            Seats seats,
            Screens screens,
            MayListen mayListen,
            Trade trade,
            Json json,
            Clock clock,
            Gate gate) {
        this.gate = gate;
        this.jobs = jobs;
        this.rooms = rooms;
        this.runs = runs;
        this.plans = plans;
        this.announcer = announcer;
        this.standings = standings;
        this.seats = seats;
        this.screens = screens;
        this.mayListen = mayListen;
        this.trade = trade;
        this.json = json;
        this.clock = clock;
    }

    @GetMapping("/jobs/{id}/chair")
    String chair(@PathVariable long id, Model model) {
        Job job = jobs.get(id);
        Optional<Run> run = runs.open(id);
        rooms.open(model, job, "chair");
        if (run.isEmpty()) {
            model.addAttribute("before", runs.of(id).size());
            LocalDateTime call = seats.callFor(job, Wall.now(clock.instant()).truncatedTo(ChronoUnit.SECONDS));
            model.addAttribute("rehearsal", !call.equals(job.brief().call()));
            model.addAttribute("callIfNow", Words.hour(call));
            return "rooms/chair/before";
        }
        RunNow standing = standings.asItGoes(run.get());
        model.addAttribute("view", json.text(ChairView.of(standing, runs.now(run.get()), trade)));
        model.addAttribute("figure", json.text(FigureModel.of(trade.body(), Set.of(), z -> Tint.NONE)));
        model.addAttribute("run", run.get());
        model.addAttribute("clock", System.currentTimeMillis());
        return "rooms/chair/chair";
    }

    @PostMapping("/jobs/{id}/chair/begin")
    String begin(@PathVariable long id, Principal who, RedirectAttributes after) {
        Job job = jobs.get(id);
        List<String> closed = plans.of(job).plan().map(p -> gate.closed(job, p)).orElse(List.of());
        if (!closed.isEmpty()) {
            after.addFlashAttribute("refused", "Nobody begins yet. " + closed.get(0) + " See to it in Safety.");
            return "redirect:/jobs/" + id + "/chair";
        }
        try {
            seats.begin(id, who.getName());
        } catch (NotPossible refusal) {
            after.addFlashAttribute("refused", refusal.getMessage());
        }
        return "redirect:/jobs/" + id + "/chair";
    }

    /** Begins a rehearsal: the same screens on a clock of its own. */
    @PostMapping("/jobs/{id}/chair/rehearse")
    String rehearse(
            @PathVariable long id,
            @RequestParam(defaultValue = "30") int pace,
            Principal who,
            RedirectAttributes after) {
        try {
            seats.rehearse(id, who.getName(), PACES.contains(pace) ? pace : 30);
        } catch (NotPossible refusal) {
            after.addFlashAttribute("refused", refusal.getMessage());
        }
        return "redirect:/jobs/" + id + "/chair";
    }

    @PostMapping("/jobs/{id}/chair/pace")
    @ResponseBody
    Answer pace(@PathVariable long id, @RequestParam int minutes) {
        if (!PACES.contains(minutes)) {
            throw new NotPossible("A rehearsal runs 1, 10, 30, 60 or 120 times as fast.");
        }
        seats.pace(id, minutes);
        announcer.again(id);
        return state(id);
    }

    /** Tells this screen whenever something changes. */
    @GetMapping(path = "/jobs/{id}/chair/stream", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter stream(@PathVariable long id, Principal who, HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        return screens.listen(Announcer.channel(id), json.text(state(id)), session, () -> mayListen.mayListen(who, id));
    }

    @GetMapping("/jobs/{id}/chair/state")
    @ResponseBody
    Answer state(@PathVariable long id) {
        Run run = runs.of(id).stream().findFirst().orElseThrow(() -> new NotPossible("No run has begun."));
        return new Answer(ChairView.of(standings.asItGoes(run), runs.now(run), trade), "", "");
    }

    /** A page that is a pedal: one press of it is the key of whoever drives these hands. */
    @GetMapping("/jobs/{id}/chair/pedal")
    String pedal(@PathVariable long id, Model model) {
        model.addAttribute("job", jobs.get(id));
        model.addAttribute(
                "hands",
                runs.open(id)
                        .map(r -> standings.of(r).plan().network().workers().stream()
                                .map(w -> w.id())
                                .toList())
                        .orElse(List.of()));
        return "rooms/chair/pedal";
    }

    /** One tread: a screen takes it once, and not when it is old, as after it slept. */
    record Tread(String id, String hands, long at) {}

    @PostMapping("/jobs/{id}/chair/pedal")
    @ResponseBody
    ResponseEntity<Void> step(
            @PathVariable long id, @RequestParam String hands, @RequestParam(defaultValue = "") String press) {
        String known = press.isBlank() ? UUID.randomUUID().toString() : press;
        screens.tell(Announcer.channel(id), "pedal", json.text(new Tread(known, hands, System.currentTimeMillis())));
        return ResponseEntity.noContent().build();
    }
}
