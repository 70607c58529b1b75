package app.kemdro.core.plan;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.core.method.Trade;
import app.kemdro.core.schedule.Schedule;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** What is to be done only if there is time. */
final class IfTime {
    private final Trade trade;
    private final LookPlanner planner;

    IfTime(Trade trade, LookPlanner planner) {
        this.trade = trade;
        this.planner = planner;
    }

    private record Tried(String entry, Plan plan) {}

    private Optional<Tried> tried(Look look, Brief brief, String entry) {
        return planner.whole(look.without(entry), brief, Optional.empty()) instanceof Planning.Done done
                ? Optional.of(new Tried(entry, done.plan()))
                : Optional.empty();
    }

    /** That there is no time for something is said only after a harder look, where the bound leaves any hope. */
    Plan sooner(Look look, Brief brief, Plan late) {
        Schedule order = late.schedule();
        boolean hope = late.inHand() + order.ready() - order.leastReady() >= 0;
        return late.inHand() < 0
                        && hope
                        && planner.harder().asWished(look, brief, Optional.of(order)) instanceof Planning.Done done
                        && done.plan().inHand() > late.inHand()
                ? done.plan()
                : late;
    }

    /**
     * Leaves out what is to be done only if there is time, until the call is kept or nothing more may go: as little as
     * possible, and first the one whose going is enough; where none is enough, the one that saves most.
     *
     * @param late the plan with all of it; empty where the hours are too short even to be late
     */
    Optional<Plan> without(Look look, Brief brief, Optional<Plan> late) {
        Optional<Plan> best = late;
        Look less = look;
        List<String> out = new ArrayList<>();
        while (best.filter(p -> p.inHand() >= 0).isEmpty()
                && !less.ifTime().isEmpty()
                && less.entries().size() > 1) {
            Look from = less;
            Optional<Tried> tried = less.ifTime().stream()
                    .flatMap(id -> tried(from, brief, id).stream())
                    .min(Comparator.comparing((Tried t) -> t.plan().inHand() < 0)
                            .thenComparing(t -> Math.abs(t.plan().inHand())));
            if (tried.isEmpty() && best.isPresent()) {
                break;
            }
            String going = tried.map(Tried::entry)
                    .orElse(less.ifTime().get(less.ifTime().size() - 1));
            out.add(going);
            less = less.without(going);
            Look rest = less;
            best = tried.map(t -> sooner(rest, brief, t.plan()));
        }
        return best.map(plan -> leaving(out, plan, look));
    }

    /** The plan of what is left of a look, saying what is left out. */
    Plan leaving(List<String> out, Plan rest, Look look) {
        return rest.leaving(
                out,
                out.stream()
                        .map(id -> Problem.note(
                                "There is no time for " + Wishes.say(id, look, trade) + ". It is left out.",
                                "Sit the performer down sooner, or drop the wish in Order if it must be done.",
                                look.entry(id).orElseThrow().zones()))
                        .toList());
    }
}
