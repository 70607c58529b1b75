package app.kemdro.web.rooms.chair;

import app.kemdro.core.method.Repair;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.plan.PuttingRight;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.RunEvent.Type;
import app.kemdro.core.run.RunLevers.Lever;
import app.kemdro.core.run.StepState.Status;
import app.kemdro.web.parts.figure.FigureModel;
import app.kemdro.web.parts.figure.FigureModel.Tint;
import app.kemdro.web.parts.json.Json;
import app.kemdro.web.parts.live.MayListen;
import app.kemdro.web.parts.live.Screens;
import app.kemdro.web.parts.mishap.NotPossible;
import app.kemdro.web.parts.print.Printable;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.run.Asked;
import app.kemdro.web.records.run.Legal;
import app.kemdro.web.records.run.Run;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.run.Runs.Standing;
import app.kemdro.web.records.run.Swaps;
import app.kemdro.web.records.safety.Gate;
import app.kemdro.web.rooms.Rooms;
import app.kemdro.web.rooms.chair.Announcer.Answer;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.security.Principal;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The chair: one dark screen, and the addresses its script talks to. */
@Controller
class ChairController {
    private static final int LONGEST_TEXT = 500;
    private static final int MOST_LEVERS = 4;
    private static final int MOST_PLACES = 9;
    private static final Duration LONGEST_KEPT = Duration.ofHours(12);

    /** A report older than this was kept on a device that was cut off. */
    private static final long KEPT_MS = 3000;

    private static final Set<Integer> PACES = Set.of(1, 10, 30, 60, 120);

    private final Jobs jobs;
    private final Rooms rooms;
    private final Runs runs;
    private final Gate gate;
    private final Plans plans;
    private final Announcer announcer;
    private final Swaps swaps;
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
            Swaps swaps,
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
        this.swaps = swaps;
        this.screens = screens;
        this.mayListen = mayListen;
        this.trade = trade;
        this.json = json;
        this.clock = clock;
    }

    /**
     * What a device reports; the server says when.
     *
     * @param ago how long ago it was pressed, milliseconds by the device's own count, where the device had been cut off
     */
    record Report(
            @Nullable String id,
            @Nullable Type type,
            @Nullable String hands,
            @Nullable String step,
            @Nullable Integer seconds,
            @Nullable String text,
            @Nullable String device,
            @Nullable Long ago) {}

    /**
     * Why a report was refused.
     *
     * @param ask whether it may be reported again by whoever means it
     */
    record Refusal(String wrong, boolean ask) {}

    @GetMapping("/jobs/{id}/chair")
    String chair(@PathVariable long id, Model model) {
        Job job = jobs.get(id);
        Optional<Run> run = runs.open(id);
        rooms.open(model, job, "chair");
        if (run.isEmpty()) {
            model.addAttribute("before", runs.of(id).size());
            LocalDateTime call = runs.callFor(job, LocalDateTime.now(clock).truncatedTo(ChronoUnit.SECONDS));
            model.addAttribute("rehearsal", !call.equals(job.brief().call()));
            model.addAttribute("callIfNow", Words.hour(call));
            return "rooms/chair/before";
        }
        Standing standing = runs.asItGoes(run.get());
        model.addAttribute("view", json.text(ChairView.of(standing, runs.now(run.get()))));
        model.addAttribute("figure", json.text(FigureModel.of(trade.body(), Set.of(), z -> Tint.NONE)));
        model.addAttribute("run", run.get());
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
            runs.begin(id, who.getName());
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
            runs.rehearse(id, who.getName(), PACES.contains(pace) ? pace : 30);
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
        runs.pace(id, minutes);
        announcer.again(id);
        return state(id);
    }

    /** Tells this screen whenever something changes. */
    @GetMapping(path = "/jobs/{id}/chair/stream", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter stream(@PathVariable long id, Principal who, HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        return screens.listen(
                Announcer.channel(id), json.text(state(id)), () -> isOpen(session) && mayListen.mayListen(who, id));
    }

    @GetMapping("/jobs/{id}/chair/state")
    @ResponseBody
    Answer state(@PathVariable long id) {
        Run run = runs.of(id).stream().findFirst().orElseThrow(() -> new NotPossible("No run has begun."));
        return new Answer(ChairView.of(runs.asItGoes(run), runs.now(run)), "", "");
    }

    @PostMapping("/jobs/{id}/chair/events")
    @ResponseBody
    Answer report(@PathVariable long id, @RequestBody Report report, Principal who) {
        RunEvent event = event(id, report);
        try {
            return announcer.report(id, event, who.getName());
        } catch (NotPossible refusal) {
            if (report.ago() != null && report.ago() > KEPT_MS) {
                leaveAside(id, event, refusal, who.getName());
            }
            throw refusal;
        }
    }

    /** What a device that was cut off had kept, and what can no longer be, is said to everybody. */
    private void leaveAside(long id, RunEvent event, NotPossible refusal, String account) {
        runs.open(id)
                .ifPresent(run -> announcer.report(
                        id,
                        new RunEvent(
                                event.id() + "-aside",
                                runs.now(run),
                                event.hands(),
                                Type.NOTE,
                                "",
                                0,
                                0,
                                "A press that was kept on a cut-off screen was left aside: " + refusal.getMessage()),
                        account));
    }

    private RunEvent event(long job, Report report) {
        String id = report.id() == null ? "" : report.id();
        if (!id.matches("[A-Za-z0-9_-]{8,55}")) {
            throw new NotPossible("Every report needs an id of its own: 8 to 55 letters, digits or dashes.");
        }
        if (report.type() == null) {
            throw new NotPossible("The report does not say what happened.");
        }
        String text = report.text() == null ? "" : Printable.of(report.text()).strip();
        String device = report.device() == null ? "" : report.device().strip();
        if (text.length() > LONGEST_TEXT) {
            throw new NotPossible("Keep it under " + LONGEST_TEXT + " letters; this has " + text.length() + ".");
        }
        boolean kept = report.ago() != null && report.ago() > KEPT_MS;
        if (report.type() == Type.START && kept) {
            text = Legal.SURE; // what was begun while the line was down has begun
        }
        if (device.length() > 60 || (report.step() != null && report.step().length() > 200)) {
            throw new NotPossible("The report names no device or step of this run.");
        }
        Run run = runs.running(job);
        return new RunEvent(
                id,
                when(run, report.ago() == null ? 0 : report.ago()),
                report.hands() == null ? "" : Printable.of(report.hands()).strip(),
                report.type(),
                report.step() == null ? "" : report.step(),
                report.seconds() == null ? 0 : report.seconds(),
                0,
                text,
                device);
    }

    /** When something happened that was pressed so long ago; never before the run began. */
    private LocalDateTime when(Run run, long agoMillis) {
        long kept = Math.max(0, Math.min(LONGEST_KEPT.toMillis(), agoMillis));
        LocalDateTime at = runs.now(run)
                .minus(Duration.ofMillis(kept * Math.max(1, run.pace())))
                .truncatedTo(ChronoUnit.SECONDS);
        return at.isBefore(run.beganAt()) ? run.beganAt() : at;
    }

    /** A measure as the chair shows it. */
    record LeverLine(String says, String saves, String ready, String costs, String risk, Object acts) {}

    /** What would still buy time. */
    record Helps(List<LeverLine> levers, @Nullable LeverLine together) {}

    @GetMapping("/jobs/{id}/chair/levers")
    @ResponseBody
    Helps levers(@PathVariable long id) {
        Run run = runs.running(id);
        Standing s = runs.standing(run);
        LocalDateTime now = runs.now(run);
        List<Lever> best = confirmed(plans.runLevers().of(s.forLevers(), now).stream(), s, now)
                .limit(MOST_LEVERS)
                .toList();
        return new Helps(
                best.stream().map(l -> line(l, s)).toList(),
                confirmed(plans.runLevers().together(best, s.forLevers(), now).stream(), s, now)
                        .findFirst()
                        .map(l -> line(l, s))
                        .orElse(null));
    }

    /** Rough plans find them; what is offered is what the planner of the chair makes of them. */
    private Stream<Lever> confirmed(Stream<Lever> found, Standing s, LocalDateTime now) {
        return found.limit(MOST_LEVERS + 2)
                .flatMap(l -> plans.runLevers().confirmed(l, s.forLevers(), now, plans.live()).stream())
                .sorted(Comparator.comparingInt(Lever::saved).reversed());
    }

    private static LeverLine line(Lever l, Standing s) {
        long euros = Math.round(l.euros());
        return new LeverLine(
                l.says(),
                "−" + Math.round(l.saved() / 60.0),
                Words.ready(s.plan().clock(s.schedule().ready() - l.saved())),
                euros == 0 ? "" : (euros > 0 ? "€ " + euros : "saves € " + -euros),
                l.risk(),
                l.acts());
    }

    /** Where something may have gone wrong. */
    record Place(String step, String title, String where) {}

    /** What may have gone wrong, and where. */
    record TroubleLine(String id, String says, String how, List<Place> places) {}

    @GetMapping("/jobs/{id}/chair/troubles")
    @ResponseBody
    List<TroubleLine> troubles(@PathVariable long id) {
        Run run = runs.running(id);
        Standing s = runs.standing(run);
        PuttingRight right = plans.live().puttingRight();
        List<TroubleLine> lines = new ArrayList<>();
        for (Repair repair : trade.repairs()) {
            Map<String, List<Place>> byWay = new LinkedHashMap<>();
            s.plan().steps().stream()
                    .filter(step -> s.state().step(step.id()).status() == Status.DONE)
                    .filter(step -> !step.id().startsWith("extra-") && repair.happensTo(step.technique()))
                    .filter(step -> step.zones().stream().anyMatch(repair::mayBeOn))
                    .filter(step -> lies(s, step))
                    .sorted(Comparator.comparing((PlannedStep step) -> latest(s, step))
                            .reversed())
                    .filter(distinctPlaces())
                    .limit(MOST_PLACES)
                    .forEach(step -> Legal.way(repair, step, List.of(), s, right)
                            .ifPresent(way -> byWay.computeIfAbsent(way.how().name(), k -> new ArrayList<>())
                                    .add(new Place(step.id(), step.technique().name(), step.where()))));
            byWay.forEach((how, places) -> lines.add(new TroubleLine(repair.id(), repair.says(), how, places)));
        }
        return lines;
    }

    /** What could be done another way where a product is missing. */
    @GetMapping("/jobs/{id}/chair/swaps")
    @ResponseBody
    List<Swaps.Swap> swaps(@PathVariable long id) {
        Run run = runs.running(id);
        return swaps.of(runs.standing(run), runs.now(run));
    }

    /** What is done, the latest first: what could be done once more. */
    @GetMapping("/jobs/{id}/chair/done")
    @ResponseBody
    List<Place> done(@PathVariable long id) {
        Run run = runs.running(id);
        Standing s = runs.standing(run);
        return s.plan().steps().stream()
                .filter(step -> s.state().step(step.id()).status() == Status.DONE)
                .sorted(Comparator.comparing((PlannedStep step) -> latest(s, step))
                        .reversed())
                .limit(9)
                .map(step -> new Place(step.id(), step.title(), step.where()))
                .toList();
    }

    private static LocalDateTime latest(Standing s, PlannedStep step) {
        LocalDateTime ended = s.state().step(step.id()).ended();
        return ended == null ? LocalDateTime.MIN : ended;
    }

    /** Whether something of this step's work lies on its zones already: what was only fitted cannot lift. */
    private static boolean lies(Standing s, PlannedStep step) {
        return s.plan().steps().stream()
                .filter(x -> x.entryId().equals(step.entryId()))
                .filter(x -> s.state().step(x.id()).status() == Status.DONE)
                .filter(x -> x.material().isPresent() || x.form().isPresent())
                .anyMatch(x -> x.zones().stream().anyMatch(step.zones()::contains));
    }

    /** Each place once, with what was done there last. */
    private static java.util.function.Predicate<PlannedStep> distinctPlaces() {
        Set<String> seen = new java.util.HashSet<>();
        return step -> seen.add(step.where());
    }

    /** A page that is a pedal: one press of it is the key of whoever drives these hands. */
    @GetMapping("/jobs/{id}/chair/pedal")
    String pedal(@PathVariable long id, Model model) {
        model.addAttribute("job", jobs.get(id));
        model.addAttribute(
                "hands",
                runs.open(id)
                        .map(r -> runs.standing(r).plan().network().workers().stream()
                                .map(w -> w.id())
                                .toList())
                        .orElse(List.of()));
        return "rooms/chair/pedal";
    }

    @PostMapping("/jobs/{id}/chair/pedal")
    @ResponseBody
    ResponseEntity<Void> step(@PathVariable long id, @RequestParam String hands) {
        screens.tell(Announcer.channel(id), "pedal", json.text(hands));
        return ResponseEntity.noContent().build();
    }

    @ExceptionHandler(NotPossible.class)
    ResponseEntity<Refusal> refuse(NotPossible refusal) {
        return ResponseEntity.status(HttpStatus.CONFLICT)
                .body(new Refusal(refusal.getMessage(), refusal instanceof Asked));
    }

    /** Whoever has signed out hears nothing more. */
    private static boolean isOpen(@Nullable HttpSession session) {
        try {
            return session == null || session.getCreationTime() > 0;
        } catch (IllegalStateException signedOut) {
            return false;
        }
    }
}
