package app.kemdro.core.question;

import app.kemdro.core.method.FingerState;
import app.kemdro.core.method.Rule.Pick;
import app.kemdro.core.method.Trade;
import app.kemdro.core.question.Answer.Fault;
import app.kemdro.core.question.OrderAsDone.Done;
import java.util.ArrayList;
import java.util.List;

/** Whether somebody who works on themselves is asked for something with fingers that are greased, painted or nailed. */
final class FingersSeen {
    private final OrderAsDone order;
    private final Trade trade;

    FingersSeen(OrderAsDone order, Trade trade) {
        this.order = order;
        this.trade = trade;
    }

    List<Fault> faults() {
        List<Fault> faults = new ArrayList<>();
        if (order.plan().brief().selfApplied()) {
            trade.fingers().forEach(state -> look(state, faults));
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
                    .filter(d -> d != soils && sameHands(d, soils))
                    .filter(d -> d.at().start() >= soils.at().end() && d.at().start() < until)
                    .filter(d -> isPicked(state.not(), d))
                    .findFirst()
                    .ifPresent(d -> faults.add(new Fault(
                            "%s comes with fingers still %s from %s".formatted(d.title(), state.state(), soils.title()),
                            List.of(soils.step().id(), d.step().id()),
                            1)));
        }
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
