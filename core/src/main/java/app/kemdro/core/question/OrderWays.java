package app.kemdro.core.question;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.method.OrderSchool;
import app.kemdro.core.method.OrderSchool.Way;
import app.kemdro.core.method.Rule;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.HandsApart;
import app.kemdro.core.plan.Plan;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Where practitioners differ about the order of a look: what is asked of it, which way it goes, and how it goes another way. */
public final class OrderWays {
    private final Trade trade;

    /** The schools of this trade. */
    public OrderWays(Trade trade) {
        this.trade = trade;
    }

    /**
     * A question that matters to a plan.
     *
     * @param now the way it is done
     */
    public record Asked(OrderSchool school, Way now) {}

    /** What has to be planned for another way. */
    public record Other(Look look, Brief brief) {}

    /** Questions of which one way asks something else of this plan than another. */
    public List<Asked> of(Plan plan, Look look) {
        OrderAsDone order = new OrderAsDone(plan, trade.body());
        return trade.orderSchools().stream()
                .flatMap(s -> asked(s, order, look).stream())
                .toList();
    }

    private Optional<Asked> asked(OrderSchool school, OrderAsDone order, Look look) {
        if (school.byTechnique()) {
            return school.ways().stream()
                    .filter(w -> look.entries().stream().anyMatch(e -> isBy(w, e)))
                    .findFirst()
                    .map(w -> new Asked(school, w));
        }
        if (school.byHand()) {
            boolean matters = new HandsApart(trade, order.plan().brief()).workOn(order.regions(order.steps()));
            return matters ? Optional.of(taken(school, order)) : Optional.empty();
        }
        Set<Set<String>> asks =
                school.ways().stream().map(w -> asks(school, w, order)).collect(Collectors.toSet());
        return asks.size() < 2 ? Optional.empty() : Optional.of(taken(school, order));
    }

    private static Asked taken(OrderSchool school, OrderAsDone order) {
        return new Asked(school, school.taken(order.plan().brief().allowed().schools()));
    }

    private static boolean isBy(Way way, LookEntry entry) {
        return way.technique().filter(entry.techniqueId()::equals).isPresent();
    }

    /** What comes before what, by parts of entries, where this way is taken. */
    private Set<String> asks(OrderSchool school, Way way, OrderAsDone order) {
        OrderSchool.Taken taken = new OrderSchool.Taken(school.id(), way.id());
        Set<String> asks = new HashSet<>();
        for (Rule rule : trade.rules()) {
            if (rule.only().filter(taken::equals).isPresent()) {
                List<String> first = picked(rule.before(), order);
                List<String> second = picked(rule.after(), order);
                first.forEach(a -> second.stream().filter(b -> !b.equals(a)).forEach(b -> asks.add(a + " " + b)));
            }
        }
        return asks;
    }

    private static List<String> picked(Rule.Pick pick, OrderAsDone order) {
        return order.picked(pick).stream().map(p -> p.get(0).step().part()).toList();
    }

    /** What has to be planned so that this is done another way. */
    public Other by(OrderSchool school, Way way, Look look, Brief brief) {
        if (way.technique().isPresent()) {
            Set<String> ids = look.entries().stream()
                    .filter(e -> school.ways().stream().anyMatch(w -> isBy(w, e)))
                    .map(LookEntry::id)
                    .collect(Collectors.toSet());
            Look other = look;
            for (String id : ids) {
                other = other.changing(id, e -> e.by(way.technique().get()));
            }
            return new Other(other, brief);
        }
        Map<String, String> schools = new HashMap<>(brief.allowed().schools());
        schools.put(school.id(), way.id());
        return new Other(look, brief.allowing(brief.allowed().withSchools(schools)));
    }
}
