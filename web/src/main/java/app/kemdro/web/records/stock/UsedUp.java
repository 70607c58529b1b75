package app.kemdro.web.records.stock;

import app.kemdro.core.kit.Amounts;
import app.kemdro.core.kit.Need;
import app.kemdro.core.kit.Waste;
import app.kemdro.core.method.Trade;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.product.Product;
import app.kemdro.web.records.product.ProductValues;
import app.kemdro.web.records.product.Products;
import app.kemdro.web.records.run.RunEnded;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Takes off the stock what a day in the chair used up, by what was planned for the steps that were done; what is worn again is
 * counted as worn once more. It can be put back, and every product can be corrected by hand.
 */
@Component
public class UsedUp {
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

    @EventListener
    @Transactional
    public void take(RunEnded ended) {
        List<Product> house = products.search("", false);
        LocalDate today = LocalDate.now(clock);
        // what takes it off is used at home time, which is planned and counted on its own
        for (Need need : amounts.laid(ended.plan().only(ended.done()), ended.look())) {
            product(need, house, today).ifPresent(p -> take(need, p, ended));
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

    private void take(Need need, Product product, RunEnded ended) {
        ProductValues v = product.values();
        if (need.isCounted() && waste.wears().containsKey(need.family().id())) {
            products.wear(v.code(), 1);
            uses.save(new StockUse(ended.run(), ended.job(), v.code(), v.name(), 0, "worn once more", true));
            return;
        }
        double used = need.isCounted() ? need.pieces() : need.grams();
        double packs = Math.min(
                v.packs(), used / Stock.contents(v, waste.density(need.family().id())));
        products.use(v.code(), packs);
        String said = need.isCounted() ? need.pieces() + " pcs" : Words.grams(used);
        uses.save(new StockUse(ended.run(), ended.job(), v.code(), v.name(), packs, said, false));
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
