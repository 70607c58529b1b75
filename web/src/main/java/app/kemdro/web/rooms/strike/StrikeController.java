package app.kemdro.web.rooms.strike;

import app.kemdro.core.plan.Plan;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.core.strike.Removal;
import app.kemdro.core.strike.Removal.Sort;
import app.kemdro.core.strike.Removal.Step;
import app.kemdro.web.parts.file.Files;
import app.kemdro.web.parts.print.Sheets;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.plan.Removals;
import app.kemdro.web.records.run.Run;
import app.kemdro.web.records.strike.Strikes;
import app.kemdro.web.rooms.Rooms;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** How the look of a job comes off again. */
@Controller
class StrikeController {
    private static final double WIDTH = 1000;

    private final Jobs jobs;
    private final Plans plans;
    private final Rooms rooms;
    private final Sheets sheets;
    private final Removals removals;
    private final Strikes strikes;

    StrikeController(Jobs jobs, Plans plans, Rooms rooms, Sheets sheets, Removals removals, Strikes strikes) {
        this.jobs = jobs;
        this.plans = plans;
        this.rooms = rooms;
        this.sheets = sheets;
        this.removals = removals;
        this.strikes = strikes;
    }

    /** A step as it is read. */
    record Line(
            int number,
            String begins,
            String hands,
            String title,
            String where,
            String with,
            String soak,
            String because,
            List<String> cautions,
            boolean flood) {}

    /** A remover and how much of it. */
    record Remover(String name, String amount) {}

    /** Hands-on work or soaking as it is drawn. */
    record Bar(double x, double width, String word) {}

    /** What one pair of hands does. */
    record Row(String name, List<Bar> bars) {}

    @GetMapping("/jobs/{id}/strike")
    String strike(@PathVariable long id, Model model) {
        Job job = jobs.get(id);
        model.addAttribute("on", strikes.open(id).isPresent());
        model.addAttribute(
                "worn", strikes.worn(id).map(StrikeController::says).orElse("all of the look as it is planned"));
        rooms.open(model, job, "strike").ifPresent(plan -> {
            Removal removal = removals.of(plan);
            int whole = Math.max(1, removal.seconds());
            model.addAttribute("lines", lines(removal));
            model.addAttribute("removers", removers(removal));
            model.addAttribute("takes", Words.span(Math.round(removal.seconds() / 60.0)));
            model.addAttribute("unknown", removal.unknown());
            model.addAttribute("rows", rows(removal, whole));
            model.addAttribute("soaks", soaks(removal, whole));
            model.addAttribute("booked", booked(plan, removal));
        });
        return "rooms/strike/strike";
    }

    /** Which day in the chair is still worn. */
    private static String says(Run run) {
        return "what was laid on " + Words.day(run.beganAt()) + " from " + Words.hour(run.beganAt())
                + (run.endedAt() == null ? "; the run ends with it" : "");
    }

    private static String booked(Plan plan, Removal removal) {
        long before = Duration.between(plan.chairIn(), plan.brief().call()).toMinutes();
        return Words.span(before) + " before the call and " + Words.span(Math.round(removal.seconds() / 60.0))
                + " after the last shot";
    }

    private static List<Line> lines(Removal removal) {
        List<Line> lines = new ArrayList<>();
        Set<String> said = new HashSet<>();
        for (Step step : removal.steps()) {
            ScheduledTask placed = removal.schedule().of(step.id());
            lines.add(new Line(
                    lines.size() + 1,
                    clock(placed.start()),
                    Words.hands(placed),
                    step.title(),
                    step.where(),
                    step.grams() > 0
                            ? step.remover()
                                    .map(r -> r.name() + ", " + Words.grams(step.grams()))
                                    .orElse("")
                            : "",
                    step.soakSeconds() == 0 ? "" : "soaks " + Words.span(Math.round(step.soakSeconds() / 60.0)),
                    said.add(step.because()) ? step.because() : "",
                    step.cautions().stream().filter(said::add).toList(),
                    step.sort() == Sort.FLOOD));
        }
        return lines;
    }

    private static String clock(int second) {
        return String.format(Locale.ROOT, "%d:%02d", second / 3600, second % 3600 / 60);
    }

    private static List<Remover> removers(Removal removal) {
        Map<String, Double> sums = new TreeMap<>();
        removal.steps().forEach(s -> s.remover().ifPresent(r -> sums.merge(r.name(), s.grams(), Double::sum)));
        return sums.entrySet().stream()
                .filter(e -> e.getValue() > 0)
                .map(e -> new Remover(e.getKey(), Words.grams(e.getValue())))
                .toList();
    }

    private static List<Row> rows(Removal removal, int whole) {
        Map<String, List<Bar>> byHands = new LinkedHashMap<>();
        removal.hands().forEach(h -> byHands.put(h, new ArrayList<>()));
        for (ScheduledTask p : removal.schedule().placed()) {
            byHands.get(Removal.by(p))
                    .add(bar(
                            p.start(),
                            p.end(),
                            whole,
                            removal.step(p.task()).title().split("[ :,]")[0]));
        }
        return byHands.entrySet().stream()
                .map(e -> new Row(e.getKey(), e.getValue()))
                .toList();
    }

    private static List<Bar> soaks(Removal removal, int whole) {
        return removal.schedule().placed().stream()
                .filter(p -> p.settled() > p.end())
                .map(p -> bar(p.end(), p.settled(), whole, ""))
                .toList();
    }

    private static Bar bar(int from, int to, int whole, String word) {
        double width = WIDTH * (to - from) / whole;
        return new Bar(WIDTH * from / whole, Math.max(2, width - 1.5), width > word.length() * 8.5 ? word : "");
    }

    /** The same on paper. */
    @GetMapping("/jobs/{id}/strike.pdf")
    ResponseEntity<byte[]> sheet(@PathVariable long id) {
        Job job = jobs.get(id);
        Optional<Plan> plan = plans.of(job).plan();
        if (plan.isEmpty()) {
            return Files.elsewhere("/jobs/" + id + "/strike");
        }
        Removal removal = removals.of(plan.get());
        byte[] pdf = sheets.readable(
                "rooms/strike/sheet",
                Map.of(
                        "title", job.title(),
                        "performer", job.brief().performer().name(),
                        "takes", Words.span(Math.round(removal.seconds() / 60.0)),
                        "lines", lines(removal),
                        "removers", removers(removal)));
        return Files.sheet("strike-" + id + ".pdf", pdf);
    }
}
