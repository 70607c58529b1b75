package app.kemdro.web.rooms.exchange;

import app.kemdro.core.look.Brief;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.web.parts.file.Files;
import app.kemdro.web.parts.file.Tables;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.jobfile.FilePictures;
import app.kemdro.web.records.jobfile.JobFile;
import app.kemdro.web.records.jobfile.JobReader;
import app.kemdro.web.records.jobfile.Unreadable;
import app.kemdro.web.records.paint.JobColours;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.reference.References;
import app.kemdro.web.records.run.EventFormat;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.run.Standings;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.TreeMap;
import java.util.TreeSet;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Jobs and runs out as JSON, steps out as CSV, jobs in as JSON. */
@Controller
class ExchangeController {
    private final Jobs jobs;
    private final Runs runs;
    private final Plans plans;
    private final Trade trade;
    private final JobReader reader;
    private final JobColours colours;
    private final References references;
    private final TransactionTemplate transaction;
    private final JsonMapper mapper;
    private final EventFormat format;
    private final Standings standings;

    ExchangeController(
            Jobs jobs,
            Runs runs,
            Plans plans,
            Trade trade,
            JobReader reader,
            JobColours colours,
            References references,
            TransactionTemplate transaction,
            JsonMapper mapper,
            EventFormat format,
            Standings standings) {
        this.standings = standings;
        this.format = format;
        this.colours = colours;
        this.references = references;
        this.transaction = transaction;
        this.jobs = jobs;
        this.runs = runs;
        this.plans = plans;
        this.trade = trade;
        this.reader = reader;
        this.mapper =
                mapper.rebuild().enable(SerializationFeature.INDENT_OUTPUT).build();
    }

    /** The job and its runs, without what is known of the performer's health. */
    @GetMapping("/jobs/{id}/export.json")
    ResponseEntity<byte[]> json(@PathVariable long id) {
        return kept(jobs.get(id), false);
    }

    /** The same with reactions, for somebody who is to make the performer up. */
    @GetMapping("/jobs/{id}/health.json")
    ResponseEntity<byte[]> withHealth(@PathVariable long id) {
        return kept(jobs.get(id), true);
    }

    private ResponseEntity<byte[]> kept(Job job, boolean health) {
        return Files.kept(
                Files.named(job.title()) + ".json", "application/json", mapper.writeValueAsString(file(job, health)));
    }

    private JobFile file(Job job, boolean health) {
        Brief b = job.brief();
        return new JobFile(
                JobFile.FORMAT,
                JobFile.VERSION,
                job.title(),
                job.production(),
                job.idea(),
                new JobFile.Performer(
                        b.performer().name(),
                        b.performer().heightCm(),
                        b.performer().weightKg(),
                        b.performer().headCm(),
                        health ? b.performer().reactsTo().stream().sorted().toList() : null,
                        b.performer().brows(),
                        b.performer().hair(),
                        b.performer().fineHair().stream().sorted().toList()),
                b.call(),
                b.chairIn().orElse(null),
                new JobFile.Room(
                        b.room().temperatureC(),
                        b.room().humidityPercent(),
                        b.room().dryers()),
                b.crew().stream()
                        .map(h -> new JobFile.Hands(h.name(), h.skill(), h.from(), h.until(), h.factor()))
                        .toList(),
                trade.body().sorted(b.costumeCovers()),
                b.costumeMinutes(),
                b.selfApplied(),
                new JobFile.Purpose(
                        b.purpose().seen(),
                        b.purpose().lastsHours(),
                        trade.body().sorted(b.purpose().mustVanish()),
                        b.purpose().moneyShort(),
                        b.purpose().benchDays()),
                new JobFile.Breaks(
                        b.breaks().every(), b.breaks().minutes(), b.breaks().meal()),
                new JobFile.Allowed(
                        trade.body().sorted(b.allowed().bare()),
                        b.allowed().minutes(),
                        b.allowed().schools().isEmpty()
                                ? null
                                : new TreeMap<>(b.allowed().schools())),
                job.look().entries().stream()
                        .map(e -> new JobFile.Entry(
                                e.id(),
                                e.techniqueId(),
                                e.zones(),
                                e.coats(),
                                e.items(),
                                e.strength(),
                                e.coverage(),
                                e.over()))
                        .toList(),
                job.look().wishes().stream()
                        .map(w -> new JobFile.Wish(w.kind(), w.step(), w.to(), w.minutes()))
                        .toList(),
                new JobFile.Bench(
                        job.benchHours().from(),
                        job.benchHours().until(),
                        job.benchHours().hands(),
                        new TreeSet<>(job.benchHours().off()),
                        job.made()),
                new TreeMap<>(b.own()),
                colours.mixes(job.id()).stream()
                        .map(m -> new JobFile.Mix(m.name(), m.entry(), m.parts()))
                        .toList(),
                colours.paints(colours.mixes(job.id())),
                FilePictures.written(references.kept(job.id()).stream()
                        .filter(p -> health || !p.ofPerformer())
                        .toList()),
                plans.of(job).plan().map(p -> order(p.schedule())).orElse(null),
                runs.of(job.id()).stream()
                        .map(r -> new JobFile.Happened(r.beganAt(), r.endedAt(), told(standings.eventsOf(r), health)))
                        .toList());
    }

    private static JobFile.Order order(Schedule schedule) {
        return new JobFile.Order(
                schedule.placed().stream()
                        .map(p -> new JobFile.Step(p.task(), p.worker(), p.helper(), p.mode(), p.start(), p.end()))
                        .toList(),
                schedule.rests().stream()
                        .map(r -> new JobFile.Break(r.start(), r.end()))
                        .toList(),
                schedule.ready());
    }

    /** What was reported; where health stays at home, skin that reacted is not told of. */
    private List<ObjectNode> told(List<RunEvent> events, boolean health) {
        return events.stream()
                .filter(e -> health || !(e instanceof RunEvent.Reaction))
                .map(format::whole)
                .toList();
    }

    @GetMapping("/jobs/{id}/steps.csv")
    ResponseEntity<byte[]> csv(@PathVariable long id) throws IOException {
        Job job = jobs.get(id);
        StringBuilder text = new StringBuilder();
        try (CSVPrinter csv = new CSVPrinter(
                text,
                CSVFormat.RFC4180
                        .builder()
                        .setHeader("number", "begins", "ends", "dry", "hands", "step", "zones", "material", "look_for")
                        .get())) {
            List<Plan> plan = plans.of(job).plan().stream().toList();
            for (Plan p : plan) {
                int number = 1;
                for (ScheduledTask placed : p.schedule().placed()) {
                    row(csv, number++, p, placed);
                }
            }
        }
        return Files.kept(Files.named(job.title()) + ".csv", "text/csv", text.toString());
    }

    private static void row(CSVPrinter csv, int number, Plan plan, ScheduledTask p) throws IOException {
        PlannedStep step = plan.step(p.task());
        csv.printRecord(
                number,
                Words.hour(plan.clock(p.start())),
                Words.hour(plan.clock(p.end())),
                Words.hour(plan.clock(p.settled())),
                Tables.harmless(Words.hands(p)),
                Tables.harmless(step.title()),
                String.join(" ", step.zones()),
                step.material().map(m -> m.name()).orElse(""),
                step.lookFor());
    }

    @GetMapping("/import")
    String form() {
        return "rooms/exchange/import";
    }

    @PostMapping("/import")
    String take(@RequestParam MultipartFile file, Model model) throws IOException {
        try {
            if (file.isEmpty()) {
                throw new Unreadable("Choose a file first.");
            }
            JobReader.Taken taken = reader.read(new String(file.getBytes(), StandardCharsets.UTF_8));
            long id = transaction.execute(t -> {
                long stored = plans.add(taken.job(), taken.order()).id();
                colours.take(stored, taken.mixes(), taken.paints());
                references.take(stored, taken.pictures());
                return stored;
            });
            return "redirect:/jobs/" + id + "/brief";
        } catch (Unreadable wrong) {
            model.addAttribute("wrong", wrong.getMessage());
            return "rooms/exchange/import";
        }
    }
}
