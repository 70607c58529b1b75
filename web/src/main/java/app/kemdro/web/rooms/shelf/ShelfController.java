package app.kemdro.web.rooms.shelf;

import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Problem;
import app.kemdro.web.parts.figure.LookTints;
import app.kemdro.web.parts.json.Json;
import app.kemdro.web.parts.mishap.NotPossible;
import app.kemdro.web.parts.ribbon.Ribbon;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.jobfile.Again;
import app.kemdro.web.records.plan.Obstacles;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.run.OnTheJob;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.sample.ColdCasting;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** The shelf: every job by its call, with when to start and what stands in its way. */
@Controller
class ShelfController {
    private final Jobs jobs;
    private final Plans plans;
    private final Runs runs;
    private final Trade trade;
    private final Json json;
    private final Clock clock;
    private final OnTheJob onTheJob;
    private final Again again;
    private final Obstacles obstacles;

    ShelfController(
            Jobs jobs,
            Plans plans,
            Runs runs,
            Trade trade,
            Json json,
            Clock clock,
            OnTheJob onTheJob,
            Again again,
            Obstacles obstacles) {
        this.obstacles = obstacles;
        this.again = again;
        this.onTheJob = onTheJob;
        this.jobs = jobs;
        this.plans = plans;
        this.runs = runs;
        this.trade = trade;
        this.json = json;
        this.clock = clock;
    }

    /** A job as it stands on the shelf. */
    record OnShelf(
            Job job,
            String day,
            boolean newDay,
            String startBy,
            String call,
            String says,
            List<Problem> problems,
            boolean running,
            boolean sees,
            String figure,
            String ribbon) {}

    @GetMapping("/")
    String home() {
        return "redirect:/shelf";
    }

    @GetMapping("/shelf")
    String shelf(Model model, Authentication who) {
        LocalDateTime now = LocalDateTime.now(clock);
        List<OnShelf> all = new java.util.ArrayList<>();
        Set<Long> running = runs.openJobs();
        String day = "";
        for (Job job : comingFirst(jobs.byCall(), now)) {
            boolean past = job.brief().call().isBefore(now);
            String own = past
                    ? "Past " + Words.day(job.brief().call())
                    : Words.day(job.brief().call());
            all.add(standing(job, own, !own.equals(day), onTheJob.sees(who, job), running.contains(job.id())));
            day = own;
        }
        model.addAttribute("jobs", all);
        model.addAttribute("today", Words.day(now) + ", " + Words.hour(now));
        model.addAttribute("next", next(all, now));
        model.addAttribute("aside", aside(now));
        return "rooms/shelf/shelf";
    }

    /** Sets the bell-founder on the shelf, for tomorrow morning. */
    @PostMapping("/jobs/sample")
    String sample() {
        LocalDateTime call = LocalDateTime.now(clock).toLocalDate().plusDays(1).atTime(7, 45);
        return "redirect:/jobs/"
                + plans.add(ColdCasting.founder("Orrin Vask", call)).id() + "/look";
    }

    /** A copy of a job for the next day, with everything but what happened. */
    @PostMapping("/jobs/{id}/again")
    String again(@PathVariable long id) {
        return "redirect:/jobs/" + again.of(jobs.get(id), b -> b).id() + "/brief";
    }

    /** Takes a job off the shelf; not while somebody sits for it. */
    @PostMapping("/jobs/{id}/remove")
    String remove(@PathVariable long id) {
        if (runs.open(id).isPresent()) {
            throw new NotPossible(
                    "The run is on: a job is not taken off the shelf while somebody sits for it. End it in the chair first.");
        }
        jobs.setAside(id, LocalDateTime.now(clock));
        return "redirect:/shelf";
    }

    @PostMapping("/jobs/{id}/put-back")
    String putBack(@PathVariable long id) {
        jobs.putBack(id);
        return "redirect:/shelf";
    }

    /** A job that was taken off the shelf, and until when it can be put back. */
    record Aside(long id, String title, String until) {}

    private List<Aside> aside(LocalDateTime now) {
        jobs.letGo(now);
        return jobs.setAside().stream()
                .map(j -> new Aside(
                        j.id(), j.title(), Words.day(j.setAside().orElse(now).plusDays(Jobs.DAYS_ASIDE))))
                .toList();
    }

    /** What is still to come by its call, then what is past, the latest first. */
    private static List<Job> comingFirst(List<Job> byCall, LocalDateTime now) {
        List<Job> order = new java.util.ArrayList<>();
        byCall.stream().filter(j -> !j.brief().call().isBefore(now)).forEach(order::add);
        for (int k = byCall.size() - 1; k >= 0; k--) {
            if (byCall.get(k).brief().call().isBefore(now)) {
                order.add(byCall.get(k));
            }
        }
        return order;
    }

    private OnShelf standing(Job job, String day, boolean newDay, boolean sees, boolean running) {
        Plans.Answer answer = plans.of(job);
        Optional<Plan> plan = answer.plan();
        return new OnShelf(
                job,
                day,
                newDay,
                plan.map(p -> Words.hour(p.startBy())).orElse("–"),
                Words.hour(job.brief().call()),
                plan.map(ShelfController::says).orElse("No plan yet."),
                sees ? obstacles.of(job, answer) : List.of(),
                running,
                sees,
                json.text(LookTints.figure(job.look(), Set.of(), trade)),
                json.text(plan.map(p -> Ribbon.of(p, null))
                        .orElseGet(() -> Ribbon.empty(job.brief().call()))));
    }

    private static String says(Plan plan) {
        return "Chair-in stands at " + Words.hour(plan.chairIn()) + ": ready " + Words.ready(plan.ready()) + ", "
                + Words.inHand(Words.minutesInHand(plan)) + ".";
    }

    private String next(List<OnShelf> all, LocalDateTime now) {
        return all.stream()
                .flatMap(s -> plans.of(s.job()).plan().stream())
                .map(Plan::chairIn)
                .filter(t -> t.isAfter(now))
                .min(LocalDateTime::compareTo)
                .map(t -> Words.span(Duration.between(now, t).toMinutes()) + " until the next chair-in.")
                .orElse(all.isEmpty() ? "Nothing stands here yet." : "No chair-in is due.");
    }
}
