package app.kemdro.web.records.plan;

import app.kemdro.core.kit.Waste;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.schedule.Planner;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.strike.Removal;
import app.kemdro.core.strike.Strike;
import app.kemdro.core.strike.Undoing;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.LocalDateTime;
import java.util.function.Predicate;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** How looks come off, by the one planner of removals. */
@Component
public class Removals {
    private static final int PLACEMENTS = 60;

    private final Planner planner = Planner.trying(PLACEMENTS);
    private final Strike strike;
    private final Cache<Plan, Removal> known = Caffeine.newBuilder().weakKeys().build();

    Removals(Trade trade) {
        this.strike = new Strike(trade, Waste.standard(trade.body()).removerPerCm2(), planner);
    }

    /** How all of a plan's look comes off. */
    public Removal of(Plan plan) {
        return known.get(plan, strike::of);
    }

    @EventListener
    void ahead(PlannedAhead would) {
        would.answer().plan().ifPresent(this::of);
    }

    /** How as much of it comes off as was laid. */
    public Removal of(Plan plan, Predicate<String> laid, boolean urgent) {
        return strike.of(plan, laid, urgent);
    }

    /** The rest of it, planned again from now. */
    public Schedule again(Undoing undoing, Schedule before, LocalDateTime now) {
        return undoing.again(planner, before, now);
    }
}
