package app.kemdro.web.rooms.order;

import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.plan.Transfer;
import app.kemdro.core.schedule.Critical;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.core.schedule.Task.Mode;
import app.kemdro.web.parts.figure.Stratum;
import app.kemdro.web.parts.ribbon.Labels;
import app.kemdro.web.parts.words.Shares;
import app.kemdro.web.parts.words.Words;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * The order, ready to be drawn: the body down the side, minutes after chair-in across.
 *
 * @param rows rows in which something happens, from the crown down
 * @param pins where their threads leave the profile, by row; none for a row that does not show in it
 */
public record OrderModel(List<String> rows, Map<String, List<Integer>> pins, List<Step> steps) {

    /** A step with its times and its words. */
    public record Step(
            int number,
            String id,
            List<String> rows,
            int hands,
            String who,
            String whose,
            double from,
            double to,
            double settled,
            @Nullable Double tacky,
            @Nullable Double closes,
            String label,
            String title,
            String clock,
            String until,
            String look,
            String performer,
            List<String> cautions,
            String why,
            boolean critical,
            boolean implied,
            boolean dryer,
            String material,
            String kind,
            String minutes) {}

    static OrderModel of(Plan plan, Trade trade) {
        Map<String, Integer> slack = Critical.slack(plan.network(), plan.schedule());
        WhyWords why = new WhyWords(plan);
        List<String> names = plan.network().workers().stream().map(w -> w.id()).toList();
        List<Step> steps = new ArrayList<>();
        for (ScheduledTask p : plan.schedule().placed()) {
            steps.add(step(steps.size() + 1, plan, plan.step(p.task()), p, names, slack.get(p.task()), why, trade));
        }
        List<String> rows = trade.body().rows().stream()
                .filter(r -> steps.stream().anyMatch(s -> s.rows().contains(r)))
                .toList();
        Map<String, List<Integer>> pins = new LinkedHashMap<>();
        rows.forEach(r -> trade.body().pin(r).ifPresent(p -> pins.put(r, p)));
        return new OrderModel(rows, pins, steps);
    }

    private static Step step(
            int number,
            Plan plan,
            PlannedStep step,
            ScheduledTask p,
            List<String> names,
            int slack,
            WhyWords why,
            Trade trade) {
        boolean everywhere = step.where().isEmpty();
        boolean grabs = step.drying().map(d -> d.tacky().isPresent()).orElse(false) && p.settled() > p.end();
        boolean dryer = plan.network().task(step.id()).way(p.mode()).tool() > 0;
        return new Step(
                number,
                step.id(),
                everywhere ? List.of() : step.rows(),
                p.worker() == null ? -1 : names.indexOf(p.worker()),
                p.worker() == null ? "" : p.worker(),
                Shares.hands(step, p),
                minutes(p.start()),
                minutes(p.end()),
                minutes(p.settled()),
                grabs ? minutes(p.usable()) : null,
                p.closes() >= Mode.NEVER ? null : minutes(p.closes()),
                Labels.brief(step),
                step.titleWithPlace(),
                Words.hour(plan.clock(p.start())),
                Words.hour(plan.clock(p.end())),
                step.lookFor(),
                step.template().performer(),
                Transfer.cautions(plan, step, trade),
                why.of(step, slack),
                slack < 30,
                step.implied(),
                dryer,
                step.material().map(m -> m.name()).orElse(""),
                Stratum.of(step),
                Words.span(Math.max(1, Math.round((p.end() - p.start()) / 60.0))));
    }

    private static double minutes(int seconds) {
        return Math.round(seconds / 6.0) / 10.0;
    }
}
