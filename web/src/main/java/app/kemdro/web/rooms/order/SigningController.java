package app.kemdro.web.rooms.order;

import app.kemdro.core.look.BareSkin;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.question.Calmer;
import app.kemdro.web.parts.live.Unhurried;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.rooms.Rooms;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** An order is looked over before it is signed: what is asked of it, what would mend it, and calmer ones. */
@Controller
class SigningController {
    /** Said where a press was meant for another order than stands now. */
    private static final String ANOTHER_ORDER =
            "The order has changed since, and stands as you see it now. Nothing of yours was done; press again if you still mean it.";

    private final Jobs jobs;
    private final Plans plans;
    private final Runs runs;
    private final Signings signings;
    private final SigningWords words;
    private final Trade trade;
    private final Unhurried unhurried;

    SigningController(
            Jobs jobs,
            Plans plans,
            Runs runs,
            Signings signings,
            SigningWords words,
            Trade trade,
            Unhurried unhurried) {
        this.unhurried = unhurried;
        this.jobs = jobs;
        this.plans = plans;
        this.runs = runs;
        this.signings = signings;
        this.words = words;
        this.trade = trade;
    }

    /** The same as the room shows, with what would mend it and with calmer orders; asked for once the room is shown. */
    @GetMapping("/jobs/{id}/order/signing")
    String signing(@PathVariable long id, Model model) {
        unhurried.ask(() -> choices(jobs.get(id)));
        Job job = jobs.get(id);
        model.addAttribute("job", job);
        plans.of(job).plan().ifPresent(p -> model.addAttribute("signing", words.of(job, p, choices(job))));
        return "rooms/order/signing";
    }

    private Optional<Signings.Choices> choices(Job job) {
        return plans.of(job).plan().map(p -> signings.choices(job, p));
    }

    /** Takes another order: one of those between the shortest and the calmest by its number, or the one that mends a question. */
    @PostMapping("/jobs/{id}/order/signing")
    String take(
            @PathVariable long id,
            @RequestParam String had,
            @RequestParam(required = false) Integer between,
            @RequestParam(defaultValue = "") String mends,
            RedirectAttributes after) {
        runs.refuseWhileRunning(id);
        Job job = jobs.get(id);
        Optional<Plan> plan = plans.of(job).plan();
        if (!had.equals(job.version()) || plan.isEmpty()) {
            after.addFlashAttribute(Rooms.CHANGE, ANOTHER_ORDER);
            return "redirect:/jobs/" + id + "/order";
        }
        Signings.Choices choices = signings.choices(job, plan.get());
        Optional<Calmer.Order> order = between == null
                ? Optional.ofNullable(choices.mending().get(mends))
                : choices.between().stream().skip(Math.max(0, between)).findFirst();
        after.addFlashAttribute(
                Rooms.CHANGE,
                order.map(o -> plans.calm(job, o.schedule(), o.allowed()).said())
                        .orElse("There is no such order any more. Nothing was changed."));
        return "redirect:/jobs/" + id + "/order";
    }

    /** Skin that is bare now is meant to be, or is not any more. */
    @PostMapping("/jobs/{id}/order/bare")
    String bare(
            @PathVariable long id, @RequestParam String had, @RequestParam boolean meant, RedirectAttributes after) {
        runs.refuseWhileRunning(id);
        Job job = jobs.get(id);
        if (Rooms.isOverdue(had, job)) {
            after.addFlashAttribute(Rooms.CHANGE, Rooms.CHANGED_MEANWHILE);
            return "redirect:/jobs/" + id + "/order";
        }
        Set<String> zones = new TreeSet<>();
        if (meant) {
            zones.addAll(job.brief().allowed().bare());
            zones.addAll(BareSkin.of(job.look(), job.brief(), trade).zones());
        }
        plans.change(job, j -> j.allow(j.brief().allowed().withBare(zones)));
        after.addFlashAttribute(
                Rooms.CHANGE,
                zones.isEmpty()
                        ? "Nothing is meant to stay bare."
                        : "Meant to stay bare: " + trade.body().say(trade.body().sorted(zones)) + ".");
        return "redirect:/jobs/" + id + "/order";
    }
}
