package app.kemdro.core.question;

import app.kemdro.core.method.Rule;
import app.kemdro.core.method.Rule.Near;
import app.kemdro.core.method.Rule.Pick;
import app.kemdro.core.question.Answer.Fault;
import app.kemdro.core.question.OrderAsDone.Done;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;

/** Whether rules of the trade are kept in an order, by when each step ends and begins. */
final class RulesSeen {
    private final OrderAsDone order;

    RulesSeen(OrderAsDone order) {
        this.order = order;
    }

    List<Fault> faults(Rule rule) {
        List<Fault> faults = new ArrayList<>();
        List<List<Done>> seconds = order.picked(rule.after());
        for (List<Done> first : order.picked(rule.before())) {
            for (List<Done> second : seconds) {
                if (first != second && !slot(first).equals(slot(second))) {
                    worst(rule, first, second, faults);
                }
            }
        }
        return faults;
    }

    private static String slot(List<Done> entry) {
        return entry.get(0).step().technique().slot();
    }

    private void worst(Rule rule, List<Done> first, List<Done> second, List<Fault> faults) {
        Done late = null;
        Done early = null;
        for (Done a : meant(rule.before(), first)) {
            for (Done b : meant(rule.after(), second)) {
                List<String> here = rule.before().picksSteps() ? a.zones() : all(first);
                List<String> there = rule.after().picksSteps() ? b.zones() : all(second);
                boolean near = rule.near() == Near.ANYWHERE
                        || order.touch(here, there)
                                && (rule.near() == Near.TOUCHING
                                        || here.stream().noneMatch(there::contains));
                if (near
                        && a.at().end() > b.at().start()
                        && (late == null
                                || a.at().end() - b.at().start()
                                        > late.at().end() - early.at().start())) {
                    late = a;
                    early = b;
                }
            }
        }
        if (late != null) {
            int by = late.at().end() - early.at().start();
            faults.add(new Fault(
                    "%s begins %d min before %s is done"
                            .formatted(early.title(), OrderAsDone.minutes(by), late.title()),
                    List.of(early.step().id(), late.step().id()),
                    by));
        }
    }

    private static List<String> all(List<Done> entry) {
        return entry.stream()
                .map(Done::zones)
                .flatMap(Collection::stream)
                .distinct()
                .toList();
    }

    private List<Done> meant(Pick pick, List<Done> entry) {
        return entry.stream()
                .filter(d -> !pick.picksSteps()
                        || d.step().material().filter(pick::fits).isPresent())
                .filter(d -> pick.regions().isEmpty()
                        || d.zones().isEmpty()
                        || order.regions(List.of(d)).stream().anyMatch(pick.regions()::contains))
                .toList();
    }
}
