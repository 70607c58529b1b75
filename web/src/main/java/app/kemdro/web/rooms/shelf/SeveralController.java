package app.kemdro.web.rooms.shelf;

import app.kemdro.core.hour.Wall;
import app.kemdro.core.plan.BriefCheck;
import app.kemdro.web.parts.file.Files;
import app.kemdro.web.parts.mishap.NotPossible;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.jobfile.Again;
import app.kemdro.web.records.jobfile.JobWriter;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.rooms.Rooms;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The same for several jobs at once. What cannot be done with one of them is said with its name; the others are done. */
@Controller
class SeveralController {
    private static final int MOST = 60;
    private static final int MOST_DAYS = 730;

    private final Jobs jobs;
    private final Plans plans;
    private final Runs runs;
    private final Again again;
    private final JobWriter writer;
    private final Clock clock;

    SeveralController(Jobs jobs, Plans plans, Runs runs, Again again, JobWriter writer, Clock clock) {
        this.jobs = jobs;
        this.plans = plans;
        this.runs = runs;
        this.again = again;
        this.writer = writer;
        this.clock = clock;
    }

    /** What is done with them. */
    enum Several {
        AGAIN,
        MOVE,
        EXPORT,
        ASIDE
    }

    @PostMapping("/shelf/several")
    Object several(
            @RequestParam(name = "jobs", defaultValue = "") List<Long> ids,
            @RequestParam Several press,
            @RequestParam(defaultValue = "") String days,
            RedirectAttributes after)
            throws IOException {
        if (ids.isEmpty() || ids.size() > MOST) {
            return say(
                    ids.isEmpty() ? "Choose jobs first: the box before their name." : "Choose up to " + MOST + ".",
                    after);
        }
        List<Job> chosen = ids.stream().distinct().map(jobs::get).toList();
        return switch (press) {
            case EXPORT -> Files.kept("jobs.zip", "application/zip", zip(chosen));
            case AGAIN -> each(chosen, j -> again.of(j, b -> b), "Again the next day", after);
            case ASIDE -> each(chosen, this::setAside, "Taken off the shelf", after);
            case MOVE -> move(chosen, days, after);
        };
    }

    private String move(List<Job> chosen, String typed, RedirectAttributes after) {
        int days;
        try {
            days = Integer.parseInt(typed.strip().replaceFirst("^\\+", "").replace('−', '-'));
        } catch (NumberFormatException e) {
            return say(
                    "“" + typed + "” is no number of days; write 1, or -2 for two days sooner. Nothing was moved.",
                    after);
        }
        if (days == 0 || Math.abs(days) > MOST_DAYS) {
            return say("Jobs are moved by 1 to " + MOST_DAYS + " days, sooner or later. Nothing was moved.", after);
        }
        Duration by = Duration.ofDays(days);
        String says =
                "Moved by " + (Math.abs(days) == 1 ? "a day" : Math.abs(days) + " days") + (days < 0 ? " sooner" : "");
        return each(
                chosen,
                j -> {
                    runs.refuseWhileRunning(j.id());
                    LocalDateTime call = j.brief().call().plus(by);
                    if (!BriefCheck.isDay(call.toLocalDate(), LocalDate.now(clock))) {
                        throw new NotPossible("it would be called more than five years off.");
                    }
                    Wall.doubt(call).ifPresent(doubt -> {
                        throw new NotPossible(doubt);
                    });
                    plans.change(
                            j,
                            x -> x.describe(
                                    x.title(),
                                    x.production(),
                                    x.idea(),
                                    x.brief().moved(by)));
                },
                says,
                after);
    }

    private void setAside(Job job) {
        if (runs.open(job.id()).isPresent()) {
            throw new NotPossible("somebody sits for it. End the run in the chair first.");
        }
        jobs.setAside(job.id(), LocalDateTime.now(clock));
    }

    private static String each(List<Job> chosen, Consumer<Job> act, String says, RedirectAttributes after) {
        List<String> done = new ArrayList<>();
        List<String> not = new ArrayList<>();
        for (Job job : chosen) {
            try {
                act.accept(job);
                done.add(job.title());
            } catch (NotPossible refusal) {
                not.add(job.title() + ": " + refusal.getMessage());
            }
        }
        String all = done.isEmpty() ? "" : says + ": " + String.join(", ", done) + ". ";
        return say(all + (not.isEmpty() ? "" : "Not " + String.join(" Not ", not)), after);
    }

    private static String say(String said, RedirectAttributes after) {
        after.addFlashAttribute(Rooms.CHANGE, said.strip());
        return "redirect:/shelf";
    }

    /** Each as its own file, as one alone is written. */
    private byte[] zip(List<Job> chosen) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8)) {
            for (Job job : chosen) {
                zip.putNextEntry(new ZipEntry(Files.named(job.title()) + "-" + job.id() + ".json"));
                zip.write(writer.text(job, false).getBytes(StandardCharsets.UTF_8));
                zip.closeEntry();
            }
        }
        return out.toByteArray();
    }
}
