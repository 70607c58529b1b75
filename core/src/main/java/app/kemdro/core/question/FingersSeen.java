package app.kemdro.core.question;

import app.kemdro.core.method.FingerState;
import app.kemdro.core.method.Rule.Pick;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.HandsApart;
import app.kemdro.core.question.Answer.Fault;
import app.kemdro.core.question.OrderAsDone.Done;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** Whether somebody who works on themselves is asked for something with a hand that is greased, gluey, gloved, painted, nailed or wet. */
final class FingersSeen {
    private final OrderAsDone order;
    private final Trade trade;
    private final HandsApart hands;

    FingersSeen(OrderAsDone order, Trade trade) {
        this.order = order;
        this.trade = trade;
        this.hands = new HandsApart(trade, order.plan().brief());
    }

    List<Fault> faults() {
        List<Fault> faults = new ArrayList<>();
        if (order.plan().brief().selfApplied()) {
            trade.ownHands().states().forEach(state -> look(state, faults));
            order.steps().forEach(d -> wet(d, faults));
        }
        return faults;
    }

    private void look(FingerState state, List<Fault> faults) {
        for (Done soils : order.steps()) {
            boolean forGood = state.by() != null && isPicked(state.by(), soils);
            if (!forGood && !soils.step().template().fingers().equals(state.state())) {
                continue;
            }
            int until = forGood ? Integer.MAX_VALUE : washed(soils);
            order.steps().stream()
                    .filter(d -> d != soils && d.byHands() && soils.byHands())
                    .filter(d -> forGood ? isDoneWithWhatItLiesOn(d, soils) : sameHands(d, soils))
                    .filter(d -> d.at().start() >= soils.at().end() && d.at().start() < until)
                    .filter(d -> !d.step().template().cleansFingers() && isPicked(state.not(), d))
                    .findFirst()
                    .ifPresent(d -> faults.add(new Fault(
                            "%s comes with fingers still %s from %s".formatted(d.title(), state.state(), soils.title()),
                            List.of(soils.step().id(), d.step().id()),
                            1)));
        }
    }

    /** A hand on which something has not settled yet does nothing. */
    private void wet(Done done, List<Fault> faults) {
        Set<String> by = doing(done);
        order.steps().stream()
                .filter(l -> l != done && l.step().zones().stream().anyMatch(by::contains))
                .filter(l -> l.at().start() < done.at().end()
                        && l.at().settled() > done.at().start())
                .filter(l -> order.steps().stream().noneMatch(o -> worksInto(o, l, done)))
                .findFirst()
                .ifPresent(l -> faults.add(new Fault(
                        "%s is done with a hand still wet from %s".formatted(done.title(), l.title()),
                        List.of(l.step().id(), done.step().id()),
                        1)));
    }

    /** Whether something of the same work has been done to what was wet before this begins. */
    private static boolean worksInto(Done into, Done wet, Done before) {
        return into != wet
                && into.entry().equals(wet.entry())
                && into.at().start() >= wet.at().end()
                && into.at().end() <= before.at().start()
                && into.step().zones().stream().anyMatch(wet.step().zones()::contains);
    }

    private Set<String> doing(Done done) {
        return hands.doing(
                done.step().technique(), done.step().template(), done.step().zones());
    }

    private boolean isDoneWithWhatItLiesOn(Done done, Done soils) {
        Set<String> by = doing(done);
        return by.isEmpty()
                ? sameHands(done, soils)
                : by.stream()
                        .anyMatch(
                                h -> soils.zones().contains(h) || soils.zones().contains(h.replace("hand", "nails")));
    }

    /** When the fingers that did this are washed. */
    private int washed(Done soils) {
        return order.steps().stream()
                .filter(d -> d.step().template().cleansFingers() && sameHands(d, soils))
                .filter(d -> d.at().start() >= soils.at().end())
                .mapToInt(d -> d.at().start())
                .min()
                .orElse(Integer.MAX_VALUE);
    }

    private static boolean sameHands(Done a, Done b) {
        return a.byHands() && a.at().worker().equals(b.at().worker());
    }

    private boolean isPicked(Pick pick, Done done) {
        return order.fits(pick, List.of(done))
                && (!pick.picksSteps()
                        || done.step().material().filter(pick::fits).isPresent());
    }
}
