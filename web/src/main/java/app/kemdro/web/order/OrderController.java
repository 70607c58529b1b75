package app.kemdro.web.order;

import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.schedule.Confidence;
import app.kemdro.web.job.Job;
import app.kemdro.web.job.Jobs;
import app.kemdro.web.plans.Plans;
import app.kemdro.web.plans.Words;
import app.kemdro.web.room.Json;
import app.kemdro.web.room.Rooms;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** The running order, drawn with the body down the side, and as a numbered list for the mirror. */
@Controller
class OrderController {
    private final Jobs jobs;
    private final Plans plans;
    private final Rooms rooms;
    private final Trade trade;
    private final Json json;

    OrderController(Jobs jobs, Plans plans, Rooms rooms, Trade trade, Json json) {
        this.jobs = jobs;
        this.plans = plans;
        this.rooms = rooms;
        this.trade = trade;
        this.json = json;
    }

    /** One point of the start-by curve: of 100 mornings begun so many minutes later than planned, how many make it. */
    record Chance(int shift, String hour, int ofHundred) {}

    @GetMapping("/jobs/{id}/order")
    String order(@PathVariable long id, Model model) {
        Job job = jobs.get(id);
        Optional<Plan> plan = rooms.open(model, job, "order");
        plan.ifPresent(p -> {
            Confidence confidence = plans.of(job).confidence().orElseThrow();
            fill(model, p);
            model.addAttribute("chancesJson", json.text(chances(p, confidence)));
            model.addAttribute("startBy", Words.hour(Words.startBySure(p, confidence)));
            model.addAttribute("fromBest", fromBest(p));
        });
        return "order/order";
    }

    @GetMapping("/jobs/{id}/order/list")
    String list(@PathVariable long id, Model model) {
        Job job = jobs.get(id);
        rooms.open(model, job, "order").ifPresent(p -> fill(model, p));
        return "order/list";
    }

    private void fill(Model model, Plan plan) {
        OrderModel order = OrderModel.of(plan, trade);
        model.addAttribute("order", order);
        model.addAttribute("orderJson", json.text(order));
        model.addAttribute("plan", plan);
        model.addAttribute("chairIn", Words.hour(plan.chairIn()));
        model.addAttribute("ready", Words.ready(plan.ready()));
        model.addAttribute("call", Words.hour(plan.brief().call()));
        model.addAttribute("day", Words.day(plan.brief().call()));
    }

    /** The schedule is never claimed to be best; the gap to a bound no order can beat is said instead. */
    private static String fromBest(Plan plan) {
        int gap = plan.schedule().ready() - plan.schedule().leastReady();
        return gap < 60
                ? "No order can be ready sooner."
                : "No order can be ready more than " + Words.span(Math.round(gap / 60.0)) + " sooner.";
    }

    private static List<Chance> chances(Plan plan, Confidence confidence) {
        long untilCall =
                java.time.Duration.between(plan.chairIn(), plan.brief().call()).getSeconds();
        List<Chance> chances = new ArrayList<>();
        for (int shift = -30; shift <= 30; shift += 2) {
            long left = untilCall - shift * 60L;
            long made = java.util.Arrays.stream(confidence.ready())
                    .filter(r -> r <= left)
                    .count();
            chances.add(new Chance(shift, Words.hour(plan.chairIn().plusMinutes(shift)), (int)
                    (100 * made / confidence.ready().length)));
        }
        return chances;
    }
}
