package app.kemdro.web.rooms.chair;

import app.kemdro.core.plan.Plan;
import app.kemdro.core.run.Review;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.run.EventWords;
import app.kemdro.web.records.run.Replanning;
import app.kemdro.web.records.run.Run;
import app.kemdro.web.records.run.RunNow;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.run.Standings;
import app.kemdro.web.rooms.Rooms;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** After a run: where the minutes went, which turns cost, and what the planner would have done. */
@Controller
class ReviewController {
    private static final int MOST = 6;

    private final Jobs jobs;
    private final Runs runs;
    private final Plans plans;
    private final Rooms rooms;
    private final EventWords words;
    private final Standings standings;
    private final Replanning replanning;

    ReviewController(
            Jobs jobs,
            Runs runs,
            Plans plans,
            Rooms rooms,
            EventWords words,
            Standings standings,
            Replanning replanning) {
        this.replanning = replanning;
        this.standings = standings;
        this.words = words;
        this.jobs = jobs;
        this.runs = runs;
        this.plans = plans;
        this.rooms = rooms;
    }

    /** A line: what, when or where, and minutes with their sign. */
    record Line(String what, String when, String minutes, boolean late) {}

    @GetMapping("/jobs/{id}/chair/review")
    String review(@PathVariable long id, @RequestParam Optional<Long> run, Model model) {
        Job job = jobs.get(id);
        Optional<Run> shown = runs.of(id).stream()
                .filter(r -> run.isEmpty() || r.id() == run.get())
                .findFirst();
        if (shown.isEmpty()) {
            return "redirect:/jobs/" + id + "/chair";
        }
        rooms.open(model, job, "chair");
        fill(model, shown.get());
        return "rooms/chair/review";
    }

    private void fill(Model model, Run run) {
        RunNow s = standings.of(run);
        Plan first = standings.planned(run);
        int took = Review.took(s.plan(), s.state());
        OptionalInt hindsight = Review.hindsight(s.plan(), s.state(), plans.patient());
        model.addAttribute("run", run);
        model.addAttribute("open", run.endedAt() == null);
        model.addAttribute("planned", Words.span(Math.round(first.schedule().ready() / 60.0)));
        model.addAttribute("took", Words.span(Math.round(took / 60.0)));
        model.addAttribute("ready", Words.ready(first.clock(took)));
        model.addAttribute("call", Words.hour(run.callAt()));
        long inHand = Math.floorDiv(
                java.time.Duration.between(first.clock(took), run.callAt()).getSeconds(), 60);
        model.addAttribute("inHand", Words.inHand(inHand));
        model.addAttribute("late", inHand < 0);
        long lost = Math.round((took - hindsight.orElse(took)) / 60.0);
        model.addAttribute("hindsight", lost > 0 ? Words.span(Math.round(hindsight.getAsInt() / 60.0)) : "no sooner");
        model.addAttribute("lost", lost > 0 ? Words.span(lost) : "");
        model.addAttribute("over", over(first, s));
        model.addAttribute("turns", turns(run, first));
        model.addAttribute("idle", idle(s));
    }

    private List<Line> over(Plan first, RunNow s) {
        return Review.over(first, s.state()).stream()
                .filter(o -> Math.abs(o.seconds()) >= 60)
                .limit(MOST)
                .map(o -> new Line(
                        o.step().titleWithPlace(),
                        "planned " + Words.span(Math.round(o.planned() / 60.0)) + ", took "
                                + Words.span(Math.round(o.took() / 60.0)),
                        Words.change(Math.round(o.seconds() / 60.0)),
                        o.seconds() > 0))
                .toList();
    }

    private static List<Line> idle(RunNow s) {
        Map<String, Integer> idle = Review.idle(s.plan(), s.state());
        return idle.entrySet().stream()
                .map(e -> new Line(e.getKey(), "", Words.span(Math.round(e.getValue() / 60.0)), false))
                .toList();
    }

    /** Replays the run, event by event, and keeps where ready jumped. */
    private List<Line> turns(Run run, Plan first) {
        List<RunEvent> events = standings.eventsOf(run);
        List<RunEvent> happened = new ArrayList<>();
        List<Schedule> after = new ArrayList<>();
        Schedule before = first.schedule();
        for (RunEvent event : events) {
            happened.add(event);
            before = replanning.after(run, happened, before).schedule();
            after.add(before);
        }
        Plan last = standings.of(run).plan();
        return Review.turns(events, after, first.schedule(), MOST).stream()
                .map(t -> new Line(
                        words.of(t.event(), last),
                        Words.hour(t.event().at()),
                        Words.change(Math.round(t.seconds() / 60.0)),
                        t.seconds() > 0))
                .toList();
    }
}
