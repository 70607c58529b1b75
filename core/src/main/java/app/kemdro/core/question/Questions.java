package app.kemdro.core.question;

import app.kemdro.core.look.BareSkin;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.core.method.Role;
import app.kemdro.core.method.Rule;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.question.Answer.Fault;
import app.kemdro.core.schedule.Rest;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Asks of a finished order what an artist asks before signing it. */
public final class Questions {
    private final Trade trade;
    private final List<Question> questions;

    /** Those of this trade. */
    public Questions(Trade trade) {
        this.trade = trade;
        this.questions = Question.standard(trade);
    }

    /** What is true of this order, question by question. */
    public List<Answer> of(Plan plan, Look look) {
        OrderAsDone order = new OrderAsDone(plan, trade.body());
        Brief brief = plan.brief();
        Set<String> held = trade.rules(brief.selfApplied(), brief.allowed().schools()).stream()
                .map(Rule::id)
                .collect(Collectors.toSet());
        return questions.stream()
                .map(q -> new Answer(q, StepsSeen.sorted(faults(q, order, look, held))))
                .toList();
    }

    private List<Fault> faults(Question question, OrderAsDone order, Look look, Set<String> held) {
        StepsSeen steps = new StepsSeen(order, look, trade);
        List<Fault> faults = new ArrayList<>();
        RulesSeen rules = new RulesSeen(order);
        question.rules().stream().filter(r -> held.contains(r.id())).forEach(r -> faults.addAll(rules.faults(r)));
        faults.addAll(
                switch (question.how()) {
                    case RULES -> List.of();
                    case OVERLAPS -> steps.overlaps();
                    case TWINS -> steps.twins(question.most());
                    case WINDOWS -> steps.windows();
                    case DUST -> steps.dust();
                    case MINUTES ->
                        Stream.concat(steps.minutes(question.most()).stream(), looksAndBreaks(order).stream())
                                .toList();
                    case HANDS -> new FingersSeen(order, trade).faults();
                    case PICK_UP -> steps.pickUp(question.most());
                    case WAITS -> new WaitsSeen(order).faults(question.most());
                    case BARE -> bare(order, look);
                });
        return faults;
    }

    private List<Fault> bare(OrderAsDone order, Look look) {
        BareSkin bare = BareSkin.of(order.plan().carriedOut(look), order.plan().brief(), trade);
        return bare.zones().isEmpty()
                ? List.of()
                : List.of(new Fault(trade.body().say(bare.zones()) + " stays bare", List.of(), bare.areaCm2()));
    }

    /** Breaks as the house has them, a look when it is modelled, where something is, and one at the end. */
    private List<Fault> looksAndBreaks(OrderAsDone order) {
        List<Fault> faults = new ArrayList<>();
        boolean modelled =
                order.steps().stream().anyMatch(d -> d.step().technique().is(Role.MODELS));
        if (modelled
                && order.steps().stream().noneMatch(d -> d.step().technique().is(Role.HALF_WAY_LOOK))) {
            faults.add(new Fault("nobody steps back and looks when it is modelled", List.of(), 1));
        }
        if (order.steps().stream().noneMatch(d -> d.step().technique().is(Role.LAST_LOOK))) {
            faults.add(new Fault("nobody looks at it before it leaves", List.of(), 1));
        }
        int from = 0;
        int longest = 0;
        for (Rest rest : order.plan().schedule().rests()) {
            longest = Math.max(longest, rest.start() - from);
            from = rest.end();
        }
        int end = order.steps().stream().mapToInt(d -> d.at().end()).max().orElse(0);
        longest = Math.max(longest, end - from);
        if (longest > order.plan().brief().breaks().every() * 60) {
            faults.add(new Fault(
                    "%d min are worked without a break".formatted(OrderAsDone.minutes(longest)), List.of(), longest));
        }
        return faults;
    }
}
