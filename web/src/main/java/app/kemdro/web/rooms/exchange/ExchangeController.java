package app.kemdro.web.rooms.exchange;

import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.web.parts.file.Files;
import app.kemdro.web.parts.file.Tables;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.jobfile.JobReader;
import app.kemdro.web.records.jobfile.JobTaking;
import app.kemdro.web.records.jobfile.JobWriter;
import app.kemdro.web.records.jobfile.Unreadable;
import app.kemdro.web.records.plan.Plans;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** Jobs and runs out as JSON, steps out as CSV, jobs in as JSON. */
@Controller
class ExchangeController {
    private final Jobs jobs;
    private final Plans plans;
    private final JobReader reader;
    private final JobWriter writer;
    private final JobTaking taking;

    ExchangeController(Jobs jobs, Plans plans, JobReader reader, JobWriter writer, JobTaking taking) {
        this.jobs = jobs;
        this.plans = plans;
        this.reader = reader;
        this.writer = writer;
        this.taking = taking;
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
        return Files.kept(Files.named(job.title()) + ".json", "application/json", writer.text(job, health));
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
            long id = taking.take(reader.read(new String(file.getBytes(), StandardCharsets.UTF_8)));
            return "redirect:/jobs/" + id + "/brief";
        } catch (Unreadable wrong) {
            model.addAttribute("wrong", wrong.getMessage());
            return "rooms/exchange/import";
        }
    }
}
