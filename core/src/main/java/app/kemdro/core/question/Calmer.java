package app.kemdro.core.question;

import app.kemdro.core.look.Look;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.LookPlanner;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.SenseOfTrade;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.Sense;
import app.kemdro.core.schedule.SenseWeights;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Other orders of the same work: what lies between the shortest and the calmest, and what would mend an answer. */
public final class Calmer {
    /** Minutes that are tried. */
    private static final List<Integer> MINUTES = List.of(0, 1, 2, 4, 8);

    /** By so much more weighs what is to be mended. */
    private static final double STRESS = 10;

    /** An order that saves less of sense than this is no other to speak of, seconds. */
    private static final int WORTH = 60;

    private final LookPlanner planner;
    private final Questions questions;
    private final SenseWeights weights;

    /** Looks for orders with this planner. */
    public Calmer(Trade trade, LookPlanner planner, Questions questions) {
        this.planner = planner;
        this.questions = questions;
        this.weights = SenseOfTrade.weights(trade);
    }

    /**
     * Another order.
     *
     * @param allowed minutes that have to be allowed for it
     * @param against what of it goes against sense, term by term
     * @param answers what is true of it
     */
    public record Order(Schedule schedule, int allowed, List<Sense.Found> against, List<Answer> answers) {
        public Order {
            against = List.copyOf(against);
            answers = List.copyOf(answers);
        }

        /** What of it goes against sense, in seconds that one would give. */
        public double cost() {
            return against.stream().mapToDouble(Sense.Found::cost).sum();
        }

        /** Questions that are answered with no. */
        public Set<String> no() {
            return answers.stream()
                    .filter(a -> !a.yes())
                    .map(a -> a.question().id())
                    .collect(Collectors.toSet());
        }
    }

    /** The order as it is. */
    public Order now(Plan plan, Look look) {
        return order(plan, look, plan.schedule(), plan.brief().allowed().minutes());
    }

    /** From the shortest to the calmest that was found; none that another one is as soon as and calmer than. */
    public List<Order> between(Plan plan, Look look) {
        List<Order> all = new ArrayList<>();
        Plan from = plan;
        for (int minutes : MINUTES) {
            // each is looked for from the one before
            Optional<Schedule> found = planner.calmer(from, weights, minutes)
                    .filter(s -> s.ready() <= plan.schedule().ready() + minutes * 60);
            from = found.map(from::with).orElse(from);
            found.map(s -> order(plan, look, s, minutes))
                    .filter(o -> all.stream().noneMatch(a -> a.cost() < o.cost() + WORTH))
                    .ifPresent(o -> {
                        all.removeIf(a -> a.schedule().ready() >= o.schedule().ready());
                        all.add(o);
                    });
        }
        return all;
    }

    /**
     * The soonest order that was found in which this is as it should be, and all else that is so now stays so.
     *
     * @param asIs the order as it is
     * @param found orders that are there already
     */
    public Optional<Order> mending(Answer no, Order asIs, Plan plan, Look look, List<Order> found) {
        Set<String> now = asIs.no();
        Optional<Order> there = found.stream().filter(o -> mends(o, no, now)).findFirst();
        if (there.isPresent() || no.question().terms().isEmpty()) {
            return there;
        }
        SenseWeights stressed = weights.stressing(no.question().terms(), STRESS);
        return MINUTES.stream()
                .flatMap(m -> planner.calmer(plan, stressed, m).map(s -> order(plan, look, s, m)).stream())
                .filter(o -> mends(o, no, now))
                .findFirst();
    }

    /** The same order, or another that is ready as soon, but for minutes that are allowed, and in which more is as it should be and nothing less. */
    public Schedule signed(Plan plan, Look look) {
        Plan now = plan;
        int minutes = plan.brief().allowed().minutes();
        for (Answer answer : questions.of(plan, look)) {
            Set<String> no = now(now, look).no();
            if (no.contains(answer.question().id())
                    && !answer.question().terms().isEmpty()) {
                SenseWeights stressed = weights.stressing(answer.question().terms(), STRESS);
                now = planner.calmer(now, stressed, minutes)
                        .map(s -> order(plan, look, s, minutes))
                        .filter(o -> mends(o, answer, no)
                                && o.schedule().ready() <= plan.schedule().ready() + minutes * 60)
                        .map(o -> plan.with(o.schedule()))
                        .orElse(now);
            }
        }
        return now.schedule();
    }

    /** An order that is ready as soon as this one, or as late as is allowed, and makes more sense where one is found. */
    public Schedule calmed(Plan plan, Schedule found) {
        int minutes = plan.brief().allowed().minutes();
        return planner.calmer(plan.with(found), weights, minutes)
                .filter(s -> s.ready() <= found.ready() + minutes * 60)
                .map(s -> new Schedule(s.placed(), s.rests(), s.ready(), Math.min(s.ready(), found.leastReady())))
                .orElse(found);
    }

    private static boolean mends(Order order, Answer no, Set<String> now) {
        return !order.no().contains(no.question().id()) && now.containsAll(order.no());
    }

    private Order order(Plan plan, Look look, Schedule schedule, int minutes) {
        return new Order(
                schedule,
                minutes,
                new Sense(plan.network(), weights).of(schedule),
                questions.of(plan.with(schedule), look));
    }
}
