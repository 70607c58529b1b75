package app.kemdro.web.rooms.order;

import app.kemdro.core.look.Brief.Allowed;
import app.kemdro.core.method.SenseOf;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.question.Answer;
import app.kemdro.core.question.Calmer;
import app.kemdro.core.question.Question.How;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.Sense;
import app.kemdro.core.schedule.SenseWeights.Term;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;

/** What is asked of an order, in words. */
@Component
class SigningWords {
    private static final int MOST_GAINS = 3;

    /** Less than this is not worth another order, seconds. */
    private static final int WORTH = 60;

    private final Signings signings;
    private final Trade trade;

    SigningWords(Signings signings, Trade trade) {
        this.signings = signings;
        this.trade = trade;
    }

    /**
     * A question that is answered with no.
     *
     * @param but what is not as it should be
     * @param more how much more of that there is, or empty
     * @param mends what mending it costs; empty where nothing is known that would
     * @param bare whether it is about skin that could be meant to stay bare
     */
    record No(String id, String says, String but, String more, String mends, boolean bare) {}

    /**
     * An order that could be taken.
     *
     * @param now whether it is the one that is planned
     */
    record Other(int number, String ready, String later, String gains, boolean now) {}

    /**
     * All of it.
     *
     * @param looked whether it has been looked for what would mend it
     * @param meantBare skin that is meant to stay bare, or empty
     */
    record Signing(
            List<No> no, List<String> yes, List<Other> between, boolean looked, String meantBare, String allowed) {}

    /**
     * Of the order as it is.
     *
     * @param choices empty where it has not been looked for any yet
     */
    Signing of(Job job, Plan plan, Optional<Signings.Choices> choices) {
        List<Answer> answers = choices.map(c -> c.now().answers()).orElseGet(() -> signings.answers(job, plan));
        Allowed allowed = job.brief().allowed();
        return new Signing(
                answers.stream()
                        .filter(a -> !a.yes())
                        .map(a -> no(a, plan, choices))
                        .toList(),
                answers.stream()
                        .filter(Answer::yes)
                        .map(a -> a.question().says())
                        .toList(),
                choices.map(c -> between(c, plan)).orElse(List.of()),
                choices.isPresent(),
                allowed.bare().isEmpty() ? "" : trade.body().say(trade.body().sorted(allowed.bare())),
                allowed.minutes() == 0 ? "" : Words.span(allowed.minutes()));
    }

    private static No no(Answer answer, Plan plan, Optional<Signings.Choices> choices) {
        int more = answer.faults().size() - 1;
        return new No(
                answer.question().id(),
                answer.question().says(),
                answer.faults().get(0).says(),
                more == 0 ? "" : "and " + more + " more",
                choices.map(c -> c.mending().get(answer.question().id()))
                        .map(o -> costs(o, plan))
                        .orElse(""),
                answer.question().how() == How.BARE
                        && answer.faults().stream().anyMatch(f -> f.steps().isEmpty()));
    }

    private static String costs(Calmer.Order order, Plan plan) {
        long minutes = minutesLater(order.schedule(), plan);
        return minutes == 0 ? "0 min" : Words.later((int) minutes * 60);
    }

    private static long minutesLater(Schedule schedule, Plan plan) {
        return Math.round((schedule.ready() - plan.schedule().ready()) / 60.0);
    }

    /** The order as it is, and those that are sooner or make more sense. */
    private List<Other> between(Signings.Choices choices, Plan plan) {
        List<Calmer.Order> all = choices.between();
        List<Other> others = new ArrayList<>();
        others.add(new Other(-1, Words.ready(plan.ready()), "as planned", "", true));
        for (int k = 0; k < all.size(); k++) {
            Calmer.Order order = all.get(k);
            boolean sooner = order.schedule().ready() < plan.schedule().ready() - WORTH;
            if (sooner || order.cost() < choices.now().cost() - WORTH) {
                others.add(new Other(
                        k,
                        Words.ready(plan.clock(order.schedule().ready())),
                        costs(order, plan),
                        gains(order, choices.now()),
                        false));
            }
        }
        return others;
    }

    /** What goes less against sense than in the order as it is, what weighs most first. */
    private String gains(Calmer.Order order, Calmer.Order asIs) {
        Map<Term, SenseOf> said = SenseWords.said(trade);
        List<Sense.Found> now = asIs.against();
        List<Sense.Found> then = order.against();
        List<Integer> terms = IntStream.range(0, now.size())
                .boxed()
                .filter(k -> Math.abs(SenseWords.amount(now.get(k)) - SenseWords.amount(then.get(k))) > 0)
                .sorted(Comparator.comparingDouble(
                        k -> -Math.abs(now.get(k).cost() - then.get(k).cost())))
                .toList();
        List<String> gains = new ArrayList<>();
        for (int k : terms.subList(0, Math.min(MOST_GAINS, terms.size()))) {
            int less = SenseWords.amount(now.get(k)) - SenseWords.amount(then.get(k));
            gains.add("%s: %d%s %s"
                    .formatted(
                            said.get(now.get(k).term()).name(),
                            Math.abs(less),
                            now.get(k).term().isCounted() ? "" : " min",
                            less > 0 ? now.get(k).term().isCounted() ? "fewer" : "less" : "more"));
        }
        return String.join("; ", gains);
    }
}
