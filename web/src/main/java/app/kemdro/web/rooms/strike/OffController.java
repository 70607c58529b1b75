package app.kemdro.web.rooms.strike;

import app.kemdro.core.hour.Wall;
import app.kemdro.core.method.Trade;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.core.strike.Removal.Sort;
import app.kemdro.core.strike.Removal.Step;
import app.kemdro.web.parts.figure.FigureModel;
import app.kemdro.web.parts.figure.FigureModel.Tint;
import app.kemdro.web.parts.json.Json;
import app.kemdro.web.parts.live.MayListen;
import app.kemdro.web.parts.live.Screens;
import app.kemdro.web.parts.mishap.NotPossible;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.run.Run;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.strike.StrikeNow;
import app.kemdro.web.records.strike.StrikeReports;
import app.kemdro.web.records.strike.StrikeRun;
import app.kemdro.web.records.strike.Strikes;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.security.Principal;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Taking off, live: the same dark screen as the chair, with clocks for what soaks. */
@Controller
class OffController {
    private static final int MOST_NEXT = 2;

    private final Jobs jobs;
    private final Runs runs;
    private final Strikes strikes;
    private final StrikeReports reports;
    private final Screens screens;
    private final MayListen mayListen;
    private final Trade trade;
    private final Json json;

    OffController(
            Jobs jobs,
            Runs runs,
            Strikes strikes,
            StrikeReports reports,
            Screens screens,
            MayListen mayListen,
            Trade trade,
            Json json) {
        this.runs = runs;
        this.jobs = jobs;
        this.strikes = strikes;
        this.reports = reports;
        this.screens = screens;
        this.mayListen = mayListen;
        this.trade = trade;
        this.json = json;
    }

    /**
     * What one pair of hands is to do.
     *
     * @param press what Space says for them, and the step it says it of; empty where they wait
     * @param waits why they wait, if they do
     * @param until when it should be done, milliseconds; 0 where nothing runs
     */
    record Hands(
            String name,
            String title,
            String where,
            String with,
            List<String> cautions,
            String press,
            String step,
            String waits,
            long until,
            List<String> next) {}

    /** Something that soaks. */
    record Clock(String step, String where, String what, long from, long loose, boolean looked) {}

    private static String channel(long job) {
        return "strike " + job;
    }

    /** A step of taking off, in words. */
    record Line(String where, String what, String with, List<String> cautions) {}

    /** How everything that is on comes off, at a glance: fast while the run is on, in the usual order when it is over. */
    @GetMapping("/jobs/{id}/chair/off")
    String off(@PathVariable long id, Model model) {
        Optional<Run> last = runs.of(id).stream().findFirst();
        if (last.isEmpty()) {
            return "redirect:/jobs/" + id + "/chair";
        }
        Run run = last.get();
        boolean over = run.endedAt() != null;
        model.addAttribute("job", jobs.get(id));
        model.addAttribute(
                "lines",
                strikes.worn(run, !over).removal().steps().stream()
                        .map(s -> new Line(s.where(), said(s), with(s), s.cautions()))
                        .toList());
        model.addAttribute("ended", over);
        model.addAttribute("rehearsal", run.isRehearsal());
        model.addAttribute(
                "worn",
                Words.span(Duration.between(run.beganAt(), runs.now(run)).toMinutes()));
        return "rooms/strike/off";
    }

    private static String with(Step step) {
        String remover =
                step.remover().filter(r -> step.grams() > 0).map(r -> r.name()).orElse("");
        String soak = step.soakSeconds() == 0
                ? ""
                : Words.span(Math.round(step.soakSeconds() / 60.0)) + " before it is lifted";
        return remover.isEmpty() || soak.isEmpty() ? remover + soak : remover + ", " + soak;
    }

    @PostMapping("/jobs/{id}/strike/begin")
    String begin(
            @PathVariable long id,
            @RequestParam(defaultValue = "false") boolean urgent,
            Principal who,
            RedirectAttributes after) {
        try {
            strikes.begin(id, urgent, who.getName());
        } catch (NotPossible refusal) {
            after.addFlashAttribute("refused", refusal.getMessage());
            return "redirect:/jobs/" + id + "/strike";
        }
        return "redirect:/jobs/" + id + "/strike/live";
    }

    @GetMapping("/jobs/{id}/strike/live")
    String live(@PathVariable long id, Model model) {
        Job job = jobs.get(id);
        Optional<StrikeRun> open = strikes.open(id);
        if (open.isEmpty()) {
            return strikes.of(id).isEmpty()
                    ? "redirect:/jobs/" + id + "/strike"
                    : "redirect:/jobs/" + id + "/strike/skin";
        }
        StrikeNow now = strikes.standing(open.get());
        LocalDateTime at = strikes.now();
        LocalDateTime off = now.run().beganAt().plusSeconds(now.schedule().ready());
        model.addAttribute("job", job);
        model.addAttribute("urgent", now.run().urgent());
        model.addAttribute("nowAt", Words.hour(at));
        model.addAttribute("offAt", Words.hour(later(off, at)));
        model.addAttribute(
                "left",
                Words.span(Math.max(1, Duration.between(at, later(off, at)).toMinutes())));
        long done = now.removal().steps().stream()
                .filter(s -> now.state().step(s.id()).ended() != null)
                .count();
        model.addAttribute("progress", done + " of " + now.removal().steps().size());
        model.addAttribute("count", now.happened().size());
        model.addAttribute("hands", hands(now, at));
        model.addAttribute("clocks", clocks(now));
        model.addAttribute(
                "notes",
                now.state().notes().stream()
                        .filter(RunEvent.InWords.class::isInstance)
                        .map(n -> ((RunEvent.InWords) n).text())
                        .toList());
        model.addAttribute("figure", json.text(FigureModel.of(trade.body(), Set.of(), z -> tint(now, z, at))));
        return "rooms/strike/live";
    }

    private static LocalDateTime later(LocalDateTime a, LocalDateTime b) {
        return a.isAfter(b) ? a : b;
    }

    private static Tint tint(StrikeNow now, String zone, LocalDateTime at) {
        Optional<Step> soaks = now.undoing().soaking().stream()
                .filter(s -> s.zones().contains(zone))
                .findFirst();
        if (soaks.isPresent()) {
            return now.undoing().looseAt(soaks.get()).isAfter(at)
                    ? new Tint("wet", "soaks")
                    : new Tint("tacky", "look");
        }
        return now.undoing().covered().contains(zone) ? new Tint("cover", "on") : Tint.NONE;
    }

    private static List<Hands> hands(StrikeNow now, LocalDateTime at) {
        List<Hands> all = new ArrayList<>();
        Set<String> said = new HashSet<>();
        for (String name : now.hands()) {
            List<ScheduledTask> ahead = now.undoing().ahead(now.schedule(), name);
            Optional<Step> doing = now.undoing().doing(name);
            Optional<Step> step = doing.or(
                    () -> ahead.stream().findFirst().map(p -> now.removal().step(p.task())));
            List<String> next = ahead.stream()
                    .skip(doing.isPresent() ? 0 : 1)
                    .limit(MOST_NEXT)
                    .map(p -> now.removal().step(p.task()))
                    .map(s -> said(s) + ", " + s.where())
                    .toList();
            String waits = doing.isPresent() || step.isEmpty()
                    ? ""
                    : now.undoing().keeps(step.get().id(), at).orElse("");
            String press = step.isEmpty() || !waits.isEmpty() ? "" : (doing.isPresent() ? "Done" : "Begin");
            all.add(new Hands(
                    name,
                    step.map(OffController::said).orElse("Nothing more"),
                    step.map(Step::where).orElse(""),
                    step.filter(s -> s.grams() > 0)
                            .flatMap(s -> s.remover().map(r -> r.name() + ", " + Words.grams(s.grams())))
                            .orElse(""),
                    step.map(Step::cautions).orElse(List.of()).stream()
                            .filter(said::add)
                            .toList(),
                    press,
                    step.map(Step::id).orElse(""),
                    waits,
                    doing.map(s -> millis(now, now.schedule().of(s.id()).end())).orElse(0L),
                    next));
        }
        return all;
    }

    /** What is done; with what something is flooded is said beside it. */
    private static String said(Step step) {
        return step.sort() == Sort.FLOOD ? step.title().split(" with ")[0] : step.title();
    }

    private static List<Clock> clocks(StrikeNow now) {
        return now.undoing().soaking().stream()
                .map(s -> new Clock(
                        s.id(),
                        s.where(),
                        s.remover().map(r -> r.name()).orElse(""),
                        millis(now.state().step(s.id()).ended()),
                        millis(now.undoing().looseAt(s)),
                        now.state().step(s.id()).clearedAt() != null))
                .toList();
    }

    private static long millis(StrikeNow now, int second) {
        return millis(now.run().beganAt().plusSeconds(second));
    }

    /** For a screen's own clock, which counts from what the server said last. */
    private static long millis(@org.jspecify.annotations.Nullable LocalDateTime at) {
        return at == null ? 0 : Wall.instant(at).toEpochMilli();
    }

    @PostMapping("/jobs/{id}/strike/press")
    String press(
            @PathVariable long id,
            @RequestParam String press,
            @RequestParam String type,
            @RequestParam(defaultValue = "") String hands,
            @RequestParam(defaultValue = "") String step,
            @RequestParam(defaultValue = "") String text,
            Principal who,
            RedirectAttributes after) {
        try {
            reports.press(id, press, type, hands, step, text.strip(), who.getName());
            screens.tell(channel(id), "now", press);
        } catch (NotPossible refusal) {
            after.addFlashAttribute("refused", refusal.getMessage());
        }
        return "redirect:/jobs/" + id + "/strike/live";
    }

    /** Tells this screen whenever somebody else presses. */
    @GetMapping(path = "/jobs/{id}/strike/stream", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter stream(@PathVariable long id, Principal who, HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        return screens.listen(channel(id), "", session, () -> mayListen.mayListen(who, id));
    }
}
