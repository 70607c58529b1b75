package app.kemdro.web.rooms.order;

import app.kemdro.core.method.OrderSchool.Way;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Planning;
import app.kemdro.core.plan.Problem;
import app.kemdro.core.question.OrderWays;
import app.kemdro.core.question.OrderWays.Asked;
import app.kemdro.web.parts.ahead.Ahead;
import app.kemdro.web.parts.live.Unhurried;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.KnownOf;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.rooms.Rooms;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Where practitioners differ about the order: each way with its minutes and its risk, and one press takes it. */
@Controller
@Ahead.Plannable
class WaysController {
    private final Jobs jobs;
    private final Plans plans;
    private final Runs runs;
    private final Unhurried unhurried;
    private final KnownOf<List<Line>> lines = new KnownOf<>();

    WaysController(Jobs jobs, Plans plans, Runs runs, Unhurried unhurried) {
        this.unhurried = unhurried;
        this.jobs = jobs;
        this.plans = plans;
        this.runs = runs;
    }

    /** A question with its answers. */
    record Line(String id, String asks, List<Answer> ways) {}

    /**
     * One answer.
     *
     * @param costs by how much all is ready later or sooner; empty for the way it is done
     * @param breaks what could not be as it should be any more
     */
    record Answer(String id, String says, String because, String risk, boolean now, String costs, String breaks) {}

    /** Each question that matters to the plan; every other way is planned. */
    @GetMapping("/jobs/{id}/order/ways")
    String ways(@PathVariable long id, Model model) {
        model.addAttribute("ways", unhurried.ask(() -> lines(jobs.get(id))));
        model.addAttribute("job", jobs.get(id));
        return "rooms/order/ways";
    }

    private List<Line> lines(Job job) {
        return lines.of(
                plans.of(job),
                () -> plans.of(job)
                        .plan()
                        .map(p -> plans.ways().of(p, job.look()).stream()
                                .map(a -> line(a, job, p))
                                .toList())
                        .orElse(List.of()));
    }

    private Line line(Asked asked, Job job, Plan plan) {
        return new Line(
                asked.school().id(),
                asked.school().asks(),
                asked.school().ways().stream()
                        .map(w -> answer(asked, w, job, plan))
                        .toList());
    }

    private Answer answer(Asked asked, Way way, Job job, Plan plan) {
        boolean now = way.equals(asked.now());
        String costs = "";
        String breaks = "";
        if (!now) {
            OrderWays.Other other = plans.ways().by(asked.school(), way, job.look(), job.brief());
            Planning planning = plans.instead(job, plan, other.look(), other.brief());
            if (planning instanceof Planning.Done done) {
                costs = Words.later(
                        done.plan().schedule().ready() - plan.schedule().ready());
                breaks = worse(plan.notes(), done.plan().notes());
            } else {
                breaks = "No plan: "
                        + ((Planning.Refused) planning).problems().get(0).what();
            }
        }
        return new Answer(way.id(), way.says(), way.because(), way.risk(), now, costs, breaks);
    }

    /** What is worth knowing of the other plan and not of this one. */
    private static String worse(List<Problem> now, List<Problem> then) {
        Set<String> known = now.stream().map(Problem::what).collect(Collectors.toSet());
        return then.stream()
                .map(Problem::what)
                .filter(w -> !known.contains(w))
                .findFirst()
                .orElse("");
    }

    /** Goes another way. */
    @PostMapping("/jobs/{id}/order/ways")
    String take(
            @PathVariable long id,
            @RequestParam String had,
            @RequestParam String school,
            @RequestParam String way,
            RedirectAttributes after) {
        runs.refuseWhileRunning(id);
        Job job = jobs.get(id);
        Optional<Plan> plan = plans.of(job).plan();
        if (Rooms.isOverdue(had, job) || plan.isEmpty()) {
            after.addFlashAttribute(Rooms.CHANGE, Rooms.CHANGED_MEANWHILE);
            return "redirect:/jobs/" + id + "/order";
        }
        after.addFlashAttribute(
                Rooms.CHANGE,
                plans.ways().of(plan.get(), job.look()).stream()
                        .filter(a -> a.school().id().equals(school))
                        .findFirst()
                        .flatMap(a -> a.school()
                                .way(way)
                                .map(w -> plans.goBy(job, plans.ways().by(a.school(), w, job.look(), job.brief()))
                                        .said()))
                        .orElse("There is no such way any more. Nothing was changed."));
        return "redirect:/jobs/" + id + "/order";
    }
}
