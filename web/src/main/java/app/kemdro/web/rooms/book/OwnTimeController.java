package app.kemdro.web.rooms.book;

import app.kemdro.core.learn.Pace;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Hands;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.schedule.Task;
import app.kemdro.web.parts.ahead.Ahead;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.jobfile.Again;
import app.kemdro.web.records.learning.Day;
import app.kemdro.web.records.learning.OwnPace;
import app.kemdro.web.records.learning.OwnTimes;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.rooms.Rooms;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** What was learnt of the steps and films of a job, library beside house, and whether it is planned with. */
@Controller
class OwnTimeController {
    private final Jobs jobs;
    private final Runs runs;
    private final Plans plans;
    private final Rooms rooms;
    private final OwnTimes times;
    private final OwnPace paces;
    private final Again again;

    OwnTimeController(Jobs jobs, Runs runs, Plans plans, Rooms rooms, OwnTimes times, OwnPace paces, Again again) {
        this.paces = paces;
        this.again = again;
        this.jobs = jobs;
        this.runs = runs;
        this.plans = plans;
        this.rooms = rooms;
        this.times = times;
    }

    /**
     * A step or a film as this job has it.
     *
     * @param library seconds by the library, on all its places together
     * @param house seconds as the house has learnt
     * @param seen how often it was seen
     */
    record Line(String what, String title, long library, long house, long seen, boolean out, boolean planned) {
        String minutes(long seconds) {
            return seconds < 90 ? seconds + " s" : Day.minutes((int) seconds);
        }

        public String says() {
            return minutes(library) + " → " + minutes(house);
        }

        long weight() {
            return Math.abs(house - library);
        }
    }

    @GetMapping("/jobs/{id}/book/times")
    String times(@PathVariable long id, Model model) {
        Job job = jobs.get(id);
        List<Line> all = new ArrayList<>();
        rooms.open(model, job, "book").ifPresent(plan -> all.addAll(lines(plan)));
        model.addAttribute(
                "steps", all.stream().filter(l -> l.what().contains("/")).toList());
        model.addAttribute(
                "films", all.stream().filter(l -> !l.what().contains("/")).toList());
        model.addAttribute("own", !job.brief().own().isEmpty());
        return "rooms/book/times";
    }

    private List<Line> lines(Plan plan) {
        Set<String> out = times.leftOut();
        Map<String, Line> lines = new LinkedHashMap<>();
        Map<String, Pace> believed = times.believed();
        for (PlannedStep step : plan.steps()) {
            Task task = plan.network().task(step.id());
            String of = Brief.step(step.technique().id(), step.template().id());
            add(lines, believed, out, of, step.template().name(), task.work(), plan.brief());
            step.material().ifPresent(m -> {
                String film = Brief.film(m.id());
                if (step.drying().isPresent() && !lines.containsKey(film)) {
                    add(
                            lines,
                            believed,
                            out,
                            film,
                            m.name() + ", " + step.where(),
                            task.way(0).settled(),
                            plan.brief());
                }
            });
        }
        return lines.values().stream()
                .sorted(Comparator.comparingLong(Line::weight).reversed())
                .toList();
    }

    private static void add(
            Map<String, Line> lines,
            Map<String, Pace> believed,
            Set<String> out,
            String what,
            String title,
            int planned,
            Brief brief) {
        Pace pace = believed.get(what);
        if (pace == null) {
            return;
        }
        double library = planned / brief.own(what);
        Line before = lines.get(what);
        lines.put(
                what,
                new Line(
                        what,
                        title,
                        Math.round(library) + (before == null ? 0 : before.library()),
                        Math.round(library * pace.factor()) + (before == null ? 0 : before.house()),
                        Math.round(pace.runs() - Pace.STEP.runs()),
                        out.contains(what),
                        brief.own().containsKey(what)));
    }

    /** Plans this job with what was learnt, or with the library again. */
    @Ahead.Plannable
    @PostMapping("/jobs/{id}/book/times")
    String plan(@PathVariable long id, @RequestParam boolean own, RedirectAttributes after) {
        runs.refuseWhileRunning(id);
        Map<String, Double> learnt = own ? times.factors() : Map.of();
        after.addFlashAttribute(
                Rooms.CHANGE, plans.change(jobs.get(id), j -> j.learn(learnt)).said());
        return "redirect:/jobs/" + id + "/book/times";
    }

    /** Repeats the job with what was learnt of everybody's pace and of steps and films. */
    @PostMapping("/jobs/{id}/book/again")
    String again(@PathVariable long id) {
        Map<String, Double> learnt = times.factors();
        Job copy =
                again.of(jobs.get(id), brief -> brief.with(paced(brief.crew())).with(learnt));
        return "redirect:/jobs/" + copy.id() + "/order";
    }

    private List<Hands> paced(List<Hands> crew) {
        List<Pace> own = paces.of(crew.stream().map(Hands::name).toList());
        List<Hands> paced = new ArrayList<>();
        for (int k = 0; k < crew.size(); k++) {
            Hands h = crew.get(k);
            paced.add(new Hands(
                    h.name(), h.skill(), h.from(), h.until(), own.get(k).factor()));
        }
        return paced;
    }

    /** Leaves out what was odd, in the whole house. */
    @PostMapping("/jobs/{id}/book/times/leave")
    String leave(
            @PathVariable long id, @RequestParam String what, @RequestParam boolean out, RedirectAttributes after) {
        if (what.length() <= 140 && times.believed().containsKey(what)) {
            times.leaveOut(what, out);
            after.addFlashAttribute(
                    Rooms.CHANGE,
                    out ? "It is left out: press “Plan with the house” to plan without it." : "It is taken in again.");
        }
        return "redirect:/jobs/" + id + "/book/times";
    }
}
