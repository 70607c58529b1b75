package app.kemdro.web.rooms.order;

import app.kemdro.core.look.Look;
import app.kemdro.core.plan.Levers.Lever;
import app.kemdro.core.plan.Planning;
import app.kemdro.web.parts.ahead.Ahead;
import app.kemdro.web.parts.live.Unhurried;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.KnownOf;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.plan.Removals;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.rooms.Rooms;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** What would buy time: each is planned again, and one press does it. */
@Controller
@Ahead.Plannable
class LeversController {
    private static final int MOST_LEVERS = 8;

    /** Less than this is not worth a word, seconds. */
    private static final int WORTH = 60;

    private final Jobs jobs;
    private final Plans plans;
    private final Runs runs;
    private final Removals removals;
    private final Unhurried unhurried;
    private final KnownOf<List<Lever>> levers = new KnownOf<>();
    private final KnownOf<List<LeverLine>> lines = new KnownOf<>();

    LeversController(Jobs jobs, Plans plans, Runs runs, Removals removals, Unhurried unhurried) {
        this.unhurried = unhurried;
        this.jobs = jobs;
        this.plans = plans;
        this.runs = runs;
        this.removals = removals;
    }

    /** What would buy time, as it is said. */
    record LeverLine(String says, String saves, String costs, String risk) {}

    /** What would buy time; asked for once the room is shown. */
    @GetMapping("/jobs/{id}/order/levers")
    String levers(@PathVariable long id, Model model) {
        model.addAttribute("levers", unhurried.ask(() -> lines(jobs.get(id))));
        model.addAttribute("job", jobs.get(id));
        return "rooms/order/levers";
    }

    private List<Lever> found(Job job) {
        return levers.of(plans.of(job), () -> look(job));
    }

    private List<LeverLine> lines(Job job) {
        return lines.of(plans.of(job), () -> lines(found(job), job));
    }

    /** Rough plans find them, and the full plan says what each really brings: what brings less than a minute is not offered. */
    private List<Lever> look(Job job) {
        Look look = plans.of(job).look();
        List<Lever> single = plans.levers().of(look, job.brief());
        List<Lever> all = new ArrayList<>(single.subList(0, Math.min(MOST_LEVERS, single.size())));
        plans.levers().pairs(single, look, job.brief()).stream().limit(2).forEach(all::add);
        return all.stream()
                .map(l -> l.saving(plans.saves(job, l.look(), l.brief())))
                .filter(l -> l.saved() >= WORTH)
                .sorted(Comparator.comparingInt(Lever::saved).reversed())
                .toList();
    }

    private List<LeverLine> lines(List<Lever> levers, Job job) {
        int now = plans.of(job).plan().map(p -> removals.of(p).seconds()).orElse(0);
        return levers.stream()
                .map(l -> new LeverLine(
                        l.says(),
                        "−" + Words.span(Math.round(l.saved() / 60.0)),
                        costs(money(l.euros()), later(l, job, now)),
                        l.risk()))
                .toList();
    }

    private static String costs(String money, String later) {
        return money.isEmpty() || later.isEmpty() ? money + later : money + ", " + later;
    }

    /** What another glue costs at the end of the day, when it comes off. */
    private String later(Lever lever, Job job, int now) {
        if (lever.look().equals(job.look())
                || !(plans.rough(lever.look(), lever.brief()) instanceof Planning.Done done)) {
            return "";
        }
        long minutes = Math.round((removals.of(done.plan()).seconds() - now) / 60.0);
        return minutes == 0 ? "" : "removal " + Words.span(Math.abs(minutes)) + (minutes > 0 ? " longer" : " shorter");
    }

    private static String money(double euros) {
        long whole = Math.round(euros);
        return whole == 0 ? "" : (whole > 0 ? "+" : "−") + "€ " + Math.abs(whole);
    }

    /** Pulls a lever: the one that says so, planned again on the job as it is now. */
    @PostMapping("/jobs/{id}/order/levers")
    String pull(@PathVariable long id, @RequestParam String says, RedirectAttributes after) {
        runs.refuseWhileRunning(id);
        Job job = jobs.get(id);
        Optional<Lever> lever =
                found(job).stream().filter(l -> l.says().equals(says)).findFirst();
        String said = lever.map(l -> plans.pull(job, l.look(), l.brief()).said())
                .orElse("That would not buy time any more. Nothing was changed.");
        after.addFlashAttribute(Rooms.CHANGE, said);
        return "redirect:/jobs/" + id + "/order";
    }
}
