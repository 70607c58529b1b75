package app.kemdro.web.rooms.order;

import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.schedule.Confidence;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.web.parts.json.Json;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.plan.KnownOf;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.plan.Plans.Answer;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.stereotype.Component;

/**
 * What the room says of an order. It hangs on look, brief and plan alone, and is worked out once for each plan: a press that was pointed at
 * before finds it there. What wishes cost and how a search stands may change meanwhile and is no part of it.
 */
@Component
class OrderSays {
    private static final int MOST_RISKS = 4;

    /** Certainties people think in. */
    static final Map<Double, String> CERTAINTIES =
            new TreeMap<>(Map.of(0.5, "1 time of 2", 0.9, "9 times of 10", 0.98, "98 %, almost surely"));

    private final Plans plans;
    private final Trade trade;
    private final Json json;
    private final SigningWords signing;
    private final KnownOf<Map<String, Object>> known = new KnownOf<>();

    OrderSays(Plans plans, Trade trade, Json json, SigningWords signing) {
        this.plans = plans;
        this.trade = trade;
        this.json = json;
        this.signing = signing;
    }

    /** All of it, by the names the template knows it by. */
    Map<String, Object> of(Job job, Plan plan) {
        Answer answer = plans.of(job);
        return known.of(answer, () -> says(job, plan, answer.confidence().orElseThrow()));
    }

    private Map<String, Object> says(Job job, Plan plan, Confidence confidence) {
        Map<String, Object> says = new HashMap<>(steps(plan));
        says.put("chancesJson", json.text(chances(plan, confidence)));
        says.put("startBy", Words.hour(Words.startBySure(plan, confidence)));
        says.put("fromBest", fromBest(plan.schedule()));
        says.put("late", plan.ready().isAfter(plan.brief().call()));
        says.put("best", plan.schedule().ready() <= plan.schedule().leastReady());
        says.put("crew", plan.brief().crew());
        says.put("certainties", certainties(plan, confidence));
        says.put("risks", risks(plan, confidence));
        says.put("differs", !plans.ways().of(plan, job.look()).isEmpty());
        says.put("against", SenseWords.of(plan, trade));
        says.put("signing", signing.of(job, plan, Optional.empty()));
        return says;
    }

    /** The steps of an order, as drawing and list show them. */
    Map<String, Object> steps(Plan plan) {
        OrderModel order = OrderModel.of(plan, trade);
        Map<String, Object> says = new HashMap<>();
        says.put("order", order);
        says.put("orderJson", json.text(order));
        says.put("plan", plan);
        says.put("chairIn", Words.hour(plan.chairIn()));
        says.put("ready", Words.ready(plan.ready()));
        says.put("call", Words.hour(plan.brief().call()));
        says.put("day", Words.day(plan.brief().call()));
        return says;
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

    /** How far it may be from the best, in words. */
    private static String fromBest(Schedule schedule) {
        int gap = schedule.ready() - schedule.leastReady();
        if (gap <= 0) {
            return "Best possible: no order can be ready sooner.";
        }
        return gap < 60
                ? "Best possible to the minute: no order can be ready a minute sooner."
                : "At most " + Words.span(Math.round(gap / 60.0)) + " could still be saved.";
    }

    /** One point of the start-by curve: of 100 mornings begun so many minutes later than planned, how many make it. */
    record Chance(int shift, String hour, int ofHundred) {}

    private static List<Chance> chances(Plan plan, Confidence confidence) {
        long untilCall = Duration.between(plan.chairIn(), plan.brief().call()).getSeconds();
        List<Chance> chances = new ArrayList<>();
        for (int shift = -30; shift <= 30; shift += 2) {
            long left = untilCall - shift * 60L;
            long made = Arrays.stream(confidence.ready()).filter(r -> r <= left).count();
            chances.add(new Chance(shift, Words.hour(plan.chairIn().plusMinutes(shift)), (int)
                    (100 * made / confidence.ready().length)));
        }
        return chances;
    }
}
