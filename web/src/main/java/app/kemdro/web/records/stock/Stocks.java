package app.kemdro.web.records.stock;

import app.kemdro.core.kit.Amounts;
import app.kemdro.core.kit.Need;
import app.kemdro.core.kit.Waste;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Problem;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.plan.InTheWay;
import app.kemdro.web.records.plan.Removals;
import app.kemdro.web.records.product.Products;
import java.util.List;
import org.springframework.stereotype.Component;

/** What the house has of everything a job needs, what takes it off again included. */
@Component
public class Stocks implements InTheWay {
    private static final int ONE_DAY = 1;

    private final Products products;
    private final Removals removals;
    private final Trade trade;
    private final Amounts amounts;
    private final Waste waste;

    Stocks(Products products, Removals removals, Trade trade) {
        this.products = products;
        this.removals = removals;
        this.trade = trade;
        this.waste = Waste.standard(trade.body());
        this.amounts = new Amounts(trade, waste);
    }

    /** The stock beside what so many days take. */
    public List<Stock> of(Plan plan, Job job, int days) {
        var house = products.search("", false);
        return amounts.of(plan, job.look(), removals.of(plan)).stream()
                .map(n -> Stock.of(
                        n,
                        days,
                        waste.density(n.family().id()),
                        house,
                        plan.brief().call().toLocalDate(),
                        plan.brief().performer().reactsTo(),
                        barring(n, plan)))
                .toList();
    }

    private List<String> barring(Need need, Plan plan) {
        return trade.materials().reactions().stream()
                .filter(r -> need.family().contains().contains(r.id())
                        && plan.brief().performer().reactsTo().contains(r.id()))
                .map(r -> r.name())
                .toList();
    }

    @Override
    public String room() {
        return "kit";
    }

    @Override
    public Said of(Job job, Plan plan) {
        List<String> missing = of(plan, job, ONE_DAY).stream()
                .filter(Stock::isShort)
                .map(s -> s.need().family().name())
                .toList();
        return Said.always(
                missing.isEmpty()
                        ? List.of()
                        : List.of(new Line(
                                Problem.obstacle(
                                        false,
                                        "Not enough of " + Words.few(missing) + ".",
                                        "What to buy stands in Kit.",
                                        List.of()),
                                missing.size() + " missing")));
    }
}
