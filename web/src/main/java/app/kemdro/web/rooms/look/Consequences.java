package app.kemdro.web.rooms.look;

import app.kemdro.core.look.Look;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Costs;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Planning;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.plan.Removals;
import java.util.Optional;

/** What another look would change: minutes until ready, money a day, minutes until it is off. Planned roughly, both alike. */
final class Consequences {
    private final Trade trade;
    private final Plans plans;
    private final Removals removals;
    private final Job job;
    private final Optional<Plan> now;
    private final int offNow;

    Consequences(Trade trade, Plans plans, Removals removals, Job job) {
        this.trade = trade;
        this.plans = plans;
        this.removals = removals;
        this.job = job;
        this.now = rough(job.look());
        this.offNow = now.map(p -> removals.of(p).seconds()).orElse(0);
    }

    /** In words, such as "+4 min, +€ 2"; empty where there is no plan to compare with. */
    String change(Look other) {
        Optional<Plan> then = rough(other);
        if (then.isEmpty()) {
            return now.isEmpty() ? "" : "will not do";
        }
        return now.map(p -> change(p, then.get())).orElse("");
    }

    private String change(Plan from, Plan to) {
        String minutes =
                Words.change(Math.round((to.schedule().ready() - from.schedule().ready()) / 60.0));
        long money = Math.round(spent(to) - spent(from));
        long off = Math.round((removals.of(to).seconds() - offNow) / 60.0);
        return minutes
                + (money == 0 ? "" : ", " + (money > 0 ? "+" : "−") + "€ " + Math.abs(money))
                + (off == 0 ? "" : ", off " + (off > 0 ? "+" : "−") + Math.abs(off) + " min");
    }

    private double spent(Plan p) {
        return Costs.euros(p.steps(), job.brief().performer(), trade);
    }

    private Optional<Plan> rough(Look look) {
        return plans.rough(look, job.brief()) instanceof Planning.Done done
                ? Optional.of(done.plan())
                : Optional.empty();
    }
}
