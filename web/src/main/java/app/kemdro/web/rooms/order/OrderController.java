package app.kemdro.web.rooms.order;

import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.schedule.Rest;
import app.kemdro.web.parts.file.Files;
import app.kemdro.web.parts.print.Sheets;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.search.SearchState;
import app.kemdro.web.records.search.Searches;
import app.kemdro.web.rooms.Rooms;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The running order, drawn with the body down the side, and as a numbered list for the mirror. */
@Controller
class OrderController {
    private static final int MOST_SECONDS = 60;

    private final Jobs jobs;
    private final Plans plans;
    private final Rooms rooms;
    private final Runs runs;
    private final Searches searches;
    private final Sheets sheets;
    private final Trade trade;
    private final OrderRoom room;
    private final OrderSays says;

    OrderController(
            Jobs jobs,
            Plans plans,
            Rooms rooms,
            Runs runs,
            Searches searches,
            Sheets sheets,
            Trade trade,
            OrderRoom room,
            OrderSays says) {
        this.room = room;
        this.says = says;
        this.sheets = sheets;
        this.runs = runs;
        this.searches = searches;
        this.jobs = jobs;
        this.plans = plans;
        this.rooms = rooms;
        this.trade = trade;
    }

    @GetMapping("/jobs/{id}/order")
    String order(
            @PathVariable long id,
            @RequestHeader(name = "X-Live", required = false) @Nullable String live,
            Model model) {
        return room.open(jobs.get(id), live != null, model);
    }

    /** Waits until it is known what the wishes cost. */
    @GetMapping("/jobs/{id}/order/wishes/costs")
    @ResponseBody
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void costs(@PathVariable long id) {
        plans.of(jobs.get(id)).wishes().all();
    }

    /** Sits the performer down at this hour from now on. */
    @PostMapping("/jobs/{id}/order/chair-in")
    String sit(
            @PathVariable long id,
            @RequestParam String often,
            @RequestParam(defaultValue = "") String had,
            RedirectAttributes after) {
        runs.refuseWhileRunning(id);
        Job job = jobs.get(id);
        if (Rooms.isOverdue(had, job)) {
            after.addFlashAttribute(Rooms.CHANGE, Rooms.CHANGED_MEANWHILE);
            return "redirect:/jobs/" + id + "/order";
        }
        Plans.Answer answer = plans.of(job);
        OrderSays.CERTAINTIES.entrySet().stream()
                .filter(c -> c.getValue().equals(often) && answer.plan().isPresent())
                .findFirst()
                .ifPresent(c -> {
                    Plan plan = answer.plan().orElseThrow();
                    LocalDateTime at = Words.startBy(plan, answer.confidence().orElseThrow(), c.getKey());
                    String said =
                            plans.pull(job, job.look(), job.brief().seated(at)).said();
                    after.addFlashAttribute(Rooms.CHANGE, "Chair-in " + Words.hour(at) + ". " + said);
                });
        return "redirect:/jobs/" + id + "/order";
    }

    @GetMapping("/jobs/{id}/order/list")
    String list(@PathVariable long id, Model model) {
        Job job = jobs.get(id);
        rooms.open(model, job, "order").ifPresent(p -> model.addAllAttributes(says.steps(p)));
        return "rooms/order/list";
    }

    /** A line of the sheet for the mirror. */
    record Line(String clock, String who, String title, String look, boolean critical, boolean rest) {}

    /** The running order on paper. */
    @GetMapping("/jobs/{id}/order.pdf")
    ResponseEntity<byte[]> sheet(@PathVariable long id) {
        Job job = jobs.get(id);
        Optional<Plan> planned = plans.of(job).plan();
        if (planned.isEmpty()) {
            return Files.elsewhere("/jobs/" + id + "/order");
        }
        Plan plan = planned.get();
        byte[] pdf = sheets.readable(
                "rooms/order/sheet",
                Map.of(
                        "title", job.title(),
                        "day", Words.day(plan.brief().call()),
                        "performer", plan.brief().performer().name(),
                        "chairIn", Words.hour(plan.chairIn()),
                        "ready", Words.ready(plan.ready()),
                        "call", Words.hour(plan.brief().call()),
                        "lines", lines(plan)));
        return Files.sheet("running-order-" + id + ".pdf", pdf);
    }

    private List<Line> lines(Plan plan) {
        List<Line> lines = new ArrayList<>();
        List<Rest> rests = new ArrayList<>(plan.schedule().rests());
        for (OrderModel.Step s : OrderModel.of(plan, trade).steps()) {
            while (!rests.isEmpty() && rests.get(0).start() / 60.0 <= s.from()) {
                Rest rest = rests.remove(0);
                String length = Words.span(Math.round((rest.end() - rest.start()) / 60.0));
                lines.add(new Line(
                        Words.hour(plan.clock(rest.start())),
                        "all",
                        "Break, " + length,
                        "drink, stretch",
                        false,
                        true));
            }
            String performer = s.performer().isEmpty() ? "" : (s.look().isEmpty() ? "" : "; ") + s.performer();
            lines.add(new Line(
                    s.clock(),
                    s.whose(),
                    s.title() + (s.dryer() ? ", cool dryer" : ""),
                    s.look() + performer,
                    s.critical(),
                    false));
        }
        return lines;
    }

    /** Looks for a better order, beside the work. */
    @PostMapping("/jobs/{id}/order/search")
    String search(@PathVariable long id, @RequestParam(defaultValue = "10") int seconds) {
        runs.refuseWhileRunning(id);
        searches.ask(jobs.get(id), Duration.ofSeconds(Math.max(1, Math.min(MOST_SECONDS, seconds))));
        return "redirect:/jobs/" + id + "/order";
    }

    @PostMapping("/jobs/{id}/order/search/stop")
    String stop(@PathVariable long id) {
        searches.stop(id);
        return "redirect:/jobs/" + id + "/order";
    }

    @GetMapping("/jobs/{id}/order/search")
    @ResponseBody
    SearchState state(@PathVariable long id) {
        return searches.state(id);
    }
}
