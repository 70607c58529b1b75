package app.kemdro.web.rooms.book;

import app.kemdro.core.layer.Stack;
import app.kemdro.core.material.Material;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Areas;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.core.sketch.Sketch;
import app.kemdro.core.strike.Removal;
import app.kemdro.web.parts.figure.PaintedFigure;
import app.kemdro.web.parts.file.Files;
import app.kemdro.web.parts.print.Sheets;
import app.kemdro.web.parts.words.Shares;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.learning.Day;
import app.kemdro.web.records.paint.ColourCards;
import app.kemdro.web.records.paint.Faces;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.plan.Removals;
import app.kemdro.web.records.reference.References;
import app.kemdro.web.records.run.Run;
import app.kemdro.web.records.run.RunPictures;
import app.kemdro.web.records.run.RunPictures.Shown;
import app.kemdro.web.records.run.RunPictures.Shows;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.run.Standings;
import app.kemdro.web.records.stock.UsedUp;
import java.util.ArrayList;
import java.util.Base64;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** The continuity sheet: what another artist needs to do it again exactly. It says nothing of the performer's health. */
@Controller
class ContinuityController {
    private static final List<String> SIDES = List.of("front", "three-quarter", "three-quarter-right");

    /** Height of a drawn figure, pixels: 200 an inch on paper. */
    private static final int FIGURE = 460;

    private static final int MOST_PICTURES = 6;
    private static final int MOST_MEANT = 3;

    /** Less than this is not worth weighing, g. */
    private static final double TRACE = 0.05;

    private final Jobs jobs;
    private final Runs runs;
    private final Plans plans;
    private final RunPictures pictures;
    private final References references;
    private final ColourCards cards;
    private final Faces faces;
    private final UsedUp used;
    private final Removals removals;
    private final Sheets sheets;
    private final Trade trade;
    private final Standings standings;

    ContinuityController(
            Jobs jobs,
            Runs runs,
            Plans plans,
            RunPictures pictures,
            References references,
            ColourCards cards,
            Faces faces,
            UsedUp used,
            Removals removals,
            Sheets sheets,
            Trade trade,
            Standings standings) {
        this.standings = standings;
        this.jobs = jobs;
        this.runs = runs;
        this.plans = plans;
        this.pictures = pictures;
        this.references = references;
        this.cards = cards;
        this.faces = faces;
        this.used = used;
        this.removals = removals;
        this.sheets = sheets;
        this.trade = trade;
    }

    /** A picture as it is printed. */
    record Image(String data, String says) {}

    /** What lies on some zones, from the skin outwards. */
    record Layers(String where, String lies) {}

    /** A step as it is read. */
    record Line(String at, String who, String title, String with, String took, String look, boolean changed) {}

    @GetMapping("/jobs/{id}/continuity.pdf")
    ResponseEntity<byte[]> sheet(@PathVariable long id, @RequestParam Optional<Long> run) {
        Job job = jobs.get(id);
        Optional<Run> held = runs.of(id).stream()
                .filter(r -> run.isEmpty() ? !r.isRehearsal() : r.id() == run.get())
                .findFirst();
        Optional<Day> day = held.map(r -> Day.of(job, r, standings));
        Optional<Plan> plan = day.map(Day::plan).or(() -> plans.of(job).plan());
        if (plan.isEmpty()) {
            return Files.elsewhere("/jobs/" + id + "/book");
        }
        return Files.sheet(
                "continuity-" + id + ".pdf", sheets.pdf("rooms/book/continuity", values(job, held, day, plan.get())));
    }

    private Map<String, Object> values(Job job, Optional<Run> held, Optional<Day> day, Plan plan) {
        Removal removal = removals.of(plan);
        Map<String, Object> values = new LinkedHashMap<>();
        values.put("title", job.title());
        values.put("performer", job.brief().performer().name());
        values.put("day", day.map(d -> "as it was on " + d.name()).orElse("as it is planned"));
        values.put("chairIn", Words.hour(held.map(Run::beganAt).orElse(plan.chairIn())));
        values.put("ready", day.map(d -> Words.hour(d.ready())).orElse(Words.ready(plan.ready())));
        values.put("call", Words.hour(held.map(Run::callAt).orElse(plan.brief().call())));
        values.put(
                "took",
                day.map(d -> Words.span(d.took() / 60) + ", planned " + Words.span(Math.round(d.planned() / 60.0)))
                        .orElse(Words.span(Math.round(plan.schedule().ready() / 60.0)) + " planned"));
        values.put("room", Words.air(plan.brief().room()));
        values.put(
                "images",
                Stream.of(
                                sketched(job, plan),
                                meant(job),
                                held.map(r -> images(job, r)).orElse(List.of()))
                        .flatMap(List::stream)
                        .toList());
        values.put("cards", cards.of(plan, job));
        values.put("layers", layers(plan));
        values.put("lines", day.map(this::went).orElseGet(() -> planned(plan)));
        values.put("notes", held.map(this::notes).orElse(List.of()));
        values.put("used", held.map(r -> used.of(job.id(), r.id())).orElse(List.of()));
        values.put("strike", Words.span(Math.round(removal.seconds() / 60.0)));
        values.put(
                "removers",
                removal.steps().stream()
                        .flatMap(s -> s.remover().stream().map(Material::name))
                        .distinct()
                        .collect(Collectors.joining(", ")));
        return values;
    }

    /** The painted figure from three sides. */
    private List<Image> sketched(Job job, Plan plan) {
        Map<String, List<Sketch.Stage>> stages = faces.stages(job, plan);
        return SIDES.stream()
                .map(view -> new Image(
                        inline("image/png", PaintedFigure.png(view, FIGURE, zone -> faces.finished(job, zone, stages))),
                        "sketch, " + view.replace('-', ' ') + "; colours as predicted"))
                .toList();
    }

    /** What it shall look like; where the performer is to be known on it, it stays in the house. */
    private List<Image> meant(Job job) {
        return references.of(job.id()).stream()
                .filter(r -> !r.isOfPerformer())
                .limit(MOST_MEANT)
                .flatMap(r -> references.shown(job.id(), r.id()).stream()
                        .map(b -> new Image(inline(b), "as meant" + (r.note().isEmpty() ? "" : ": " + r.note()))))
                .toList();
    }

    private static String inline(byte[] jpeg) {
        return inline("image/jpeg", jpeg);
    }

    private static String inline(String type, byte[] image) {
        return "data:" + type + ";base64," + Base64.getEncoder().encodeToString(image);
    }

    /** What it looked like when it was ready comes first; a look at skin is nobody's but the performer's. */
    private List<Image> images(Job job, Run run) {
        List<Shows> order = List.of(Shows.AFTER, Shows.ZONE, Shows.CHAIR, Shows.BEFORE);
        return pictures.of(run).stream()
                .filter(p -> p.shows() != Shows.SKIN)
                .sorted(Comparator.comparing(p -> order.indexOf(p.shows())))
                .limit(MOST_PICTURES)
                .flatMap(p -> pictures.bytes(job.id(), p.id()).stream().map(b -> new Image(inline(b), says(p))))
                .toList();
    }

    private String says(Shown p) {
        return switch (p.shows()) {
            case BEFORE -> "before";
            case AFTER -> "ready";
            case CHAIR -> "at " + Words.hour(p.takenAt());
            case ZONE, SKIN ->
                p.zone().isEmpty() ? "one place" : trade.body().zone(p.zone()).name();
        };
    }

    /** Zones with the same layers are one line. */
    private List<Layers> layers(Plan plan) {
        Map<String, List<String>> zones = new LinkedHashMap<>();
        trade.body().sorted(plan.stacks().keySet()).forEach(zone -> {
            String lies = plan.stacks().get(zone).layers().stream()
                    .map(ContinuityController::said)
                    .collect(Collectors.joining(" · "));
            if (!lies.isEmpty()) {
                zones.computeIfAbsent(lies, k -> new ArrayList<>()).add(zone);
            }
        });
        return zones.entrySet().stream()
                .map(e -> new Layers(
                        e.getValue().stream()
                                .map(z -> trade.body().zone(z).name())
                                .collect(Collectors.joining(", ")),
                        e.getKey()))
                .toList();
    }

    private static String said(Stack.Layer layer) {
        return layer.material().name() + (layer.coats() > 1 ? " ×" + layer.coats() : "");
    }

    private List<Line> went(Day day) {
        return day.steps().entrySet().stream()
                .sorted(Comparator.comparing(
                        e -> e.getValue().done() ? e.getValue().start() : Integer.MAX_VALUE))
                .map(e -> went(day, e.getKey(), e.getValue()))
                .toList();
    }

    private Line went(Day day, String id, Day.Step step) {
        Optional<PlannedStep> known =
                day.plan().steps().stream().filter(s -> s.id().equals(id)).findFirst();
        return new Line(
                step.done() ? Words.hour(day.run().beganAt().plusSeconds(step.start())) : "–",
                step.hands(),
                step.title(),
                known.map(s -> with(s, day.plan())).orElse(""),
                step.done() ? Day.minutes(step.took()) : step.undone(),
                known.map(PlannedStep::lookFor).orElse(""),
                step.planned().isEmpty() || !step.done());
    }

    private List<Line> planned(Plan plan) {
        return plan.schedule().placed().stream().map(p -> planned(p, plan)).toList();
    }

    private Line planned(ScheduledTask p, Plan plan) {
        PlannedStep step = plan.step(p.task());
        return new Line(
                Words.hour(plan.clock(p.start())),
                Shares.hands(step, p),
                step.titleWithPlace(),
                with(step, plan),
                Day.minutes(p.end() - p.start()),
                step.lookFor(),
                false);
    }

    /** What it is done with, and how much of it. */
    private String with(PlannedStep step, Plan plan) {
        return step.material()
                .map(m -> {
                    double grams = Areas.laid(m, step, plan.brief().performer(), trade.body());
                    return m.name() + (grams >= TRACE ? ", " + Words.grams(grams) : "");
                })
                .orElse("");
    }

    /** Notes, amounts and reasons; what was said of skin is left out. */
    private List<String> notes(Run run) {
        return standings.eventsOf(run).stream()
                .filter(e -> e instanceof RunEvent.Note || e instanceof RunEvent.Used)
                .map(e -> said((RunEvent.InWords) e))
                .toList();
    }

    private static String said(RunEvent.InWords e) {
        return Words.hour(e.at()) + (e.hands().isEmpty() ? "" : ", " + e.hands()) + ": "
                + (e instanceof RunEvent.Used ? "used " : "") + e.text();
    }
}
