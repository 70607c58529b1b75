package app.kemdro.web.rooms.order;

import app.kemdro.core.look.Wish;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.plan.Planning;
import app.kemdro.core.plan.Wishes;
import app.kemdro.core.schedule.Confidence;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.web.parts.json.Json;
import app.kemdro.web.parts.live.ShownAhead;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.plan.WishCosts;
import app.kemdro.web.records.search.SearchState;
import app.kemdro.web.records.search.Searches;
import app.kemdro.web.rooms.Rooms;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** What the order shows, for whoever opens it and for whoever pressed something in it. */
@Component
class OrderRoom {
    private static final int MOST_RISKS = 4;

    /** Certainties people think in. */
    static final Map<Double, String> CERTAINTIES =
            new TreeMap<>(Map.of(0.5, "1 time of 2", 0.9, "9 times of 10", 0.98, "98 %, almost surely"));

    private final Plans plans;
    private final Rooms rooms;
    private final Trade trade;
    private final Json json;
    private final SigningWords signing;
    private final Searches searches;

    OrderRoom(Plans plans, Rooms rooms, Trade trade, Json json, SigningWords signing, Searches searches) {
        this.searches = searches;
        this.plans = plans;
        this.rooms = rooms;
        this.trade = trade;
        this.json = json;
        this.signing = signing;
    }

    /** One point of the start-by curve: of 100 mornings begun so many minutes later than planned, how many make it. */
    record Chance(int shift, String hour, int ofHundred) {}

    /**
     * Fills the room.
     *
     * @param isLive whether a script asked: it need not wait for what the wishes cost, and asks again when that is known
     */
    String open(Job job, boolean isLive, Model model) {
        Optional<Map<Wish, Integer>> costs = costs(job, isLive);
        Optional<Plan> plan = rooms.open(model, job, "order");
        SearchState search = searches.state(job);
        model.addAttribute("search", search.looking() && search.asked() ? search : null);
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
        model.addAttribute("wished", new Wished(wishes(job, costs.orElse(Map.of())), costs.isEmpty()));
        model.addAttribute("canTakeBack", plans.canTakeBack(job));
        return "rooms/order/order";
    }

    /** Before the ribbon is drawn, which says them too. */
    private Optional<Map<Wish, Integer>> costs(Job job, boolean isLive) {
        WishCosts costs = plans.of(job).wishes();
        return isLive ? costs.known() : Optional.of(costs.all());
    }

    /** The steps of an order, as drawing and list show them. */
    void fill(Model model, Plan plan) {
        OrderModel order = OrderModel.of(plan, trade);
        model.addAttribute("order", order);
        model.addAttribute("orderJson", json.text(order));
        model.addAttribute("plan", plan);
        model.addAttribute("chairIn", Words.hour(plan.chairIn()));
        model.addAttribute("ready", Words.ready(plan.ready()));
        model.addAttribute("call", Words.hour(plan.brief().call()));
        model.addAttribute("day", Words.day(plan.brief().call()));
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

    /** A wish with what it costs; where wishes clash, whether it is one of those that do. */
    record WishLine(Wish wish, String says, String costs, boolean clashes) {}

    /**
     * All wishes.
     *
     * @param open whether it is not known yet what they cost
     */
    record Wished(List<WishLine> lines, boolean open) implements ShownAhead.Said {
        /** A room that does not say yet what they cost asks for it; so it can be sent where that has become known meanwhile. */
        @Override
        public Object shown() {
            return lines.stream()
                    .map(l -> List.of(l.wish(), l.says(), l.clashes()))
                    .toList();
        }
    }

    private List<WishLine> wishes(Job job, Map<Wish, Integer> costs) {
        Plans.Answer answer = plans.of(job);
        List<PlannedStep> steps = answer.plan().map(Plan::steps).orElseGet(() -> stepsWithoutWishes(job));
        List<Wish> clash = answer.planning() instanceof Planning.Refused refused ? refused.clash() : List.of();
        return job.look().wishes().stream()
                .map(w -> new WishLine(
                        w,
                        Wishes.say(w, job.look(), steps, job.brief(), trade),
                        costs(answer, w, costs),
                        clash.contains(w)))
                .toList();
    }

    private List<PlannedStep> stepsWithoutWishes(Job job) {
        return plans.rough(job.look().wishing(List.of()), job.brief()) instanceof Planning.Done done
                ? done.plan().steps()
                : List.of();
    }

    private static String costs(Plans.Answer answer, Wish wish, Map<Wish, Integer> costs) {
        if (wish.kind() == Wish.Kind.IF_TIME) {
            boolean left = answer.plan().stream().anyMatch(p -> p.left().contains(wish.step()));
            return left ? "no time, left out" : "there is time";
        }
        Integer seconds = costs.get(wish);
        if (seconds == null) {
            return "";
        }
        return seconds < 60 ? "costs nothing" : "+" + Words.span(Math.round(seconds / 60.0));
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
