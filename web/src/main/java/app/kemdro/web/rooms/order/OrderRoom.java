package app.kemdro.web.rooms.order;

import app.kemdro.core.look.Wish;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.plan.Planning;
import app.kemdro.core.plan.Wishes;
import app.kemdro.web.parts.live.ShownAhead;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.plan.WishCosts;
import app.kemdro.web.records.search.SearchState;
import app.kemdro.web.records.search.Searches;
import app.kemdro.web.rooms.Rooms;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** What the order shows, for whoever opens it and for whoever pressed something in it. */
@Component
class OrderRoom {
    private final Plans plans;
    private final Rooms rooms;
    private final Trade trade;
    private final OrderSays says;
    private final Searches searches;

    OrderRoom(Plans plans, Rooms rooms, Trade trade, OrderSays says, Searches searches) {
        this.plans = plans;
        this.rooms = rooms;
        this.trade = trade;
        this.says = says;
        this.searches = searches;
    }

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
        plan.ifPresent(p -> model.addAllAttributes(says.of(job, p)));
        model.addAttribute("wished", new Wished(wishes(job, costs.orElse(Map.of())), costs.isEmpty()));
        model.addAttribute("canTakeBack", plans.canTakeBack(job));
        return "rooms/order/order";
    }

    /** Before the ribbon is drawn, which says them too. */
    private Optional<Map<Wish, Integer>> costs(Job job, boolean isLive) {
        WishCosts costs = plans.of(job).wishes();
        return isLive ? costs.known() : Optional.of(costs.all());
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
}
