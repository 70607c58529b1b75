package app.kemdro.web.rooms.order;

import app.kemdro.core.look.Wish;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.plan.Planning;
import app.kemdro.core.plan.Wishes;
import app.kemdro.core.schedule.Confidence;
import app.kemdro.core.schedule.Rest;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.web.parts.file.Files;
import app.kemdro.web.parts.json.Json;
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
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The running order, drawn with the body down the side, and as a numbered list for the mirror. */
@Controller
class OrderController {
    private static final int MOST_SECONDS = 60;
    private static final int MOST_RISKS = 4;

    /** Certainties people think in. */
    private static final Map<Double, String> CERTAINTIES =
            new TreeMap<>(Map.of(0.5, "1 time of 2", 0.9, "9 times of 10", 0.98, "98 %, almost surely"));

    private final Jobs jobs;
    private final Plans plans;
    private final Rooms rooms;
    private final Runs runs;
    private final Searches searches;
    private final Sheets sheets;
    private final Trade trade;
    private final Json json;
    private final SigningWords signing;

    OrderController(
            Jobs jobs,
            Plans plans,
            Rooms rooms,
            Runs runs,
            Searches searches,
            Sheets sheets,
            Trade trade,
            Json json,
            SigningWords signing) {
        this.signing = signing;
        this.sheets = sheets;
        this.runs = runs;
        this.searches = searches;
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
            model.addAttribute("fromBest", fromBest(p.schedule()));
            model.addAttribute("late", p.ready().isAfter(p.brief().call()));
            model.addAttribute("best", p.schedule().ready() <= p.schedule().leastReady());
            model.addAttribute("crew", p.brief().crew());
            model.addAttribute("certainties", certainties(p, confidence));
            model.addAttribute("risks", risks(p, confidence));
            model.addAttribute("differs", !plans.ways().of(p, job.look()).isEmpty());
            model.addAttribute("against", SenseWords.of(p, trade));
            model.addAttribute("signing", signing.of(job, p, Optional.empty()));
        });
        model.addAttribute("wishes", wishes(job));
        model.addAttribute("canTakeBack", plans.canTakeBack(job));
        return "rooms/order/order";
    }

    /** When to sit down so that the call is made so often. */
    record Certainty(String often, String hour, boolean now) {}

    private static List<Certainty> certainties(Plan plan, Confidence confidence) {
        return CERTAINTIES.entrySet().stream()
                .map(c -> {
                    LocalDateTime at = Words.startBy(plan, confidence, c.getKey());
                    return new Certainty(c.getValue(), Words.hour(at), at.equals(plan.chairIn()));
                })
                .toList();
    }

    /** A step that carries much of the risk, and of 100 mornings in how many ready hung on it. */
    record Risk(String step, String title, int ofHundred, String minutes) {}

    /** The steps whose running over would most often and most largely move ready: their share times their length. */
    private static List<Risk> risks(Plan plan, Confidence confidence) {
        return plan.schedule().placed().stream()
                .sorted(Comparator.comparingDouble(
                        p -> -confidence.carries().getOrDefault(p.task(), 0.0) * (p.settled() - p.start())))
                .limit(MOST_RISKS)
                .map(p -> new Risk(
                        p.task(),
                        plan.step(p.task()).titleWithPlace(),
                        (int) Math.round(100 * confidence.carries().getOrDefault(p.task(), 0.0)),
                        Words.span(Math.round((p.settled() - p.start()) / 60.0))))
                .toList();
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
        CERTAINTIES.entrySet().stream()
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

    /** A wish with what it costs; where wishes clash, whether it is one of those that do. */
    record WishLine(Wish wish, String says, String costs, boolean clashes) {}

    private List<WishLine> wishes(Job job) {
        Plans.Answer answer = plans.of(job);
        List<PlannedStep> steps = answer.plan().map(Plan::steps).orElseGet(() -> stepsWithoutWishes(job));
        List<Wish> clash = answer.planning() instanceof Planning.Refused refused ? refused.clash() : List.of();
        return job.look().wishes().stream()
                .map(w -> new WishLine(
                        w, Wishes.say(w, job.look(), steps, job.brief(), trade), costs(answer, w), clash.contains(w)))
                .toList();
    }

    private List<PlannedStep> stepsWithoutWishes(Job job) {
        return plans.rough(job.look().wishing(List.of()), job.brief()) instanceof Planning.Done done
                ? done.plan().steps()
                : List.of();
    }

    private static String costs(Plans.Answer answer, Wish wish) {
        if (wish.kind() == Wish.Kind.IF_TIME) {
            boolean left = answer.plan().stream().anyMatch(p -> p.left().contains(wish.step()));
            return left ? "no time, left out" : "there is time";
        }
        Integer seconds = answer.wishes().get(wish);
        if (seconds == null) {
            return "";
        }
        return seconds < 60 ? "costs nothing" : "+" + Words.span(Math.round(seconds / 60.0));
    }

    @GetMapping("/jobs/{id}/order/list")
    String list(@PathVariable long id, Model model) {
        Job job = jobs.get(id);
        rooms.open(model, job, "order").ifPresent(p -> fill(model, p));
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

    /** How far it may be from the best, in words. */
    static String fromBest(Schedule schedule) {
        int gap = schedule.ready() - schedule.leastReady();
        if (gap <= 0) {
            return "Best possible: no order can be ready sooner.";
        }
        return gap < 60
                ? "Best possible to the minute: no order can be ready a minute sooner."
                : "At most " + Words.span(Math.round(gap / 60.0)) + " could still be saved.";
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
