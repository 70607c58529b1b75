package app.kemdro.web.records.stock;

import app.kemdro.core.kit.Amounts;
import app.kemdro.core.kit.Need;
import app.kemdro.core.kit.Waste;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.StepState.Status;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.product.Product;
import app.kemdro.web.records.product.ProductValues;
import app.kemdro.web.records.product.Products;
import app.kemdro.web.records.run.Follower;
import app.kemdro.web.records.run.Run;
import app.kemdro.web.records.run.RunNow;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Takes off the stock what a day in the chair used up, by what was planned for the steps that were done; what is worn again is
 * counted as worn once more. It can be put back, and every product can be corrected by hand.
 */
@Component
public class UsedUp implements Follower {
    private final StockUseRepository uses;
    private final Products products;
    private final Amounts amounts;
    private final Waste waste;
    private final Clock clock;

    UsedUp(StockUseRepository uses, Products products, Trade trade, Clock clock) {
        this.uses = uses;
        this.products = products;
        this.waste = Waste.standard(trade.body());
        this.amounts = new Amounts(trade, waste);
        this.clock = clock;
    }

    @Override
    public String name() {
        return "stock";
    }

    /** A day in the chair is over; rehearsals use nothing up. */
    @Override
    public boolean follows(RunEvent event, Run run) {
        return event instanceof RunEvent.End && !run.isRehearsal();
    }

    @Override
    @Transactional
    public void follow(RunNow ended, String press) {
        if (!of(ended.run().jobId(), ended.run().id()).isEmpty()) {
            return;
        }
        Set<String> done = ended.plan().steps().stream()
                .map(PlannedStep::id)
                .filter(id -> ended.state().step(id).status() == Status.DONE)
                .collect(Collectors.toSet());
        List<Product> house = products.search("", false);
        LocalDate today = LocalDate.now(clock);
        // what takes it off is used at home time, which is planned and counted on its own
        for (Need need : amounts.laid(ended.plan().only(done), ended.changes().look())) {
            product(need, house, today).ifPresent(p -> take(need, p, ended.run()));
        }
    }

    /** The product that was taken: still good, measured as the need is, opened ones first. */
    private static Optional<Product> product(Need need, List<Product> house, LocalDate today) {
        return house.stream()
                .filter(p -> p.family().equals(need.family().id()))
                .filter(p -> p.goodUntil() == null || !p.goodUntil().isBefore(today))
                .filter(p -> p.values().packUnit().equals("pcs") == need.isCounted())
                .filter(p -> p.values().packs() > 0 && p.values().packSize() > 0)
                .min((a, b) ->
                        Boolean.compare(a.values().opened() == null, b.values().opened() == null));
    }

    private void take(Need need, Product product, Run run) {
        ProductValues v = product.values();
        if (need.isCounted() && waste.wears().containsKey(need.family().id())) {
            products.wear(v.code(), 1);
            uses.save(new StockUse(run.id(), run.jobId(), v.code(), v.name(), 0, "worn once more", true));
            return;
        }
        double used = need.isCounted() ? need.pieces() : need.grams();
        double packs = Math.min(
                v.packs(), used / Stock.contents(v, waste.density(need.family().id())));
        products.use(v.code(), packs);
        String said = need.isCounted() ? need.pieces() + " pcs" : Words.grams(used);
        uses.save(new StockUse(run.id(), run.jobId(), v.code(), v.name(), packs, said, false));
    }

    /** What one day of a job took, in words. */
    public List<String> of(long job, long run) {
        return uses.findByJobIdOrderByRunIdDescNameAsc(job).stream()
                .filter(u -> u.runId() == run)
                .map(StockUse::line)
                .toList();
    }

    /** What the last day of a job took, in words. */
    public List<String> last(long job) {
        List<StockUse> all = uses.findByJobIdOrderByRunIdDescNameAsc(job);
        return all.stream()
                .filter(u -> u.runId() == all.get(0).runId())
                .map(StockUse::line)
                .toList();
    }

    /** Puts back what the last day of a job took. */
    @Transactional
    public void putBack(long job) {
        List<StockUse> all = uses.findByJobIdOrderByRunIdDescNameAsc(job);
        for (StockUse use : all) {
            if (use.runId() == all.get(0).runId()) {
                if (use.worn()) {
                    products.wear(use.code(), -1);
                } else {
                    products.use(use.code(), -use.packs());
                }
                uses.delete(use);
            }
        }
    }
}
