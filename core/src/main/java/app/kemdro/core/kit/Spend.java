package app.kemdro.core.kit;

import app.kemdro.core.body.Body;
import app.kemdro.core.look.Brief.Performer;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Areas;
import app.kemdro.core.plan.Costs;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.plan.Reactions;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Map.Entry;
import java.util.Optional;

/**
 * Where the money of a day goes on the body.
 *
 * @param zones zones of one row of the running order on which something is used up
 * @param euros € used up there on one day
 * @param dearest what takes most of it
 * @param most € that it takes there
 * @param cheaper the school that takes least in its place, where that saves a euro or more
 */
public record Spend(List<String> zones, double euros, Technique dearest, double most, Optional<Cheaper> cheaper) {
    /** What saves less than this is not worth another school, € (judgement). */
    private static final double WORTH = 1;

    /**
     * Another school of the dearest, wherever that lies.
     *
     * @param saves € that a day takes less, about
     */
    public record Cheaper(Technique school, double saves) {}

    /** Every row of the body, the dearest first; together they are what the day uses up ({@link Costs#euros}). */
    public static List<Spend> of(Plan plan, Look look, Trade trade) {
        Map<String, Map<String, Double>> byRow = new LinkedHashMap<>();
        Map<String, Map<String, Double>> byEntry = byEntry(plan, trade);
        byEntry.forEach((entry, zones) -> zones.forEach(
                (zone, euros) -> byRow.computeIfAbsent(trade.body().zone(zone).row(), r -> new LinkedHashMap<>())
                        .merge(entry, euros, Double::sum)));
        Map<String, Technique> techniques = new HashMap<>();
        plan.steps().forEach(s -> techniques.putIfAbsent(s.entryId(), s.technique()));
        List<Spend> spends = new ArrayList<>();
        byRow.forEach((row, entries) -> {
            Entry<String, Double> most =
                    entries.entrySet().stream().max(Entry.comparingByValue()).orElseThrow();
            List<String> zones = trade.body()
                    .sorted(entries.keySet().stream()
                            .flatMap(e -> byEntry.get(e).keySet().stream())
                            .filter(z -> trade.body().zone(z).row().equals(row))
                            .distinct()
                            .toList());
            Technique dearest = techniques.get(most.getKey());
            spends.add(new Spend(
                    zones,
                    entries.values().stream().mapToDouble(Double::doubleValue).sum(),
                    dearest,
                    most.getValue(),
                    look.entry(most.getKey())
                            .flatMap(e -> cheaper(e, dearest, plan.brief().performer(), trade))));
        });
        spends.sort(Comparator.comparingDouble(Spend::euros).reversed());
        return List.copyOf(spends);
    }

    /** € of each entry on each of its zones: what is laid by surface, what is thrown away with it likewise. */
    private static Map<String, Map<String, Double>> byEntry(Plan plan, Trade trade) {
        Performer performer = plan.brief().performer();
        Map<String, Map<String, Double>> spent = new LinkedHashMap<>();
        Map<String, Technique> things = new HashMap<>();
        for (PlannedStep step : plan.steps()) {
            things.put(step.entryId(), step.technique());
            Map<String, Double> on = spent.computeIfAbsent(step.entryId(), e -> new LinkedHashMap<>());
            spread(Costs.euros(step, performer, trade), step.zones(), on, performer, trade.body());
        }
        things.forEach((entry, technique) -> {
            Map<String, Double> on = spent.get(entry);
            spread(technique.profile().eachTime(), List.copyOf(on.keySet()), on, performer, trade.body());
        });
        return spent;
    }

    private static void spread(
            double euros, List<String> zones, Map<String, Double> into, Performer performer, Body body) {
        double all = Areas.of(zones, performer, body);
        zones.forEach(z -> into.merge(z, euros * Areas.of(List.of(z), performer, body) / all, Double::sum));
    }

    private static Optional<Cheaper> cheaper(LookEntry entry, Technique now, Performer performer, Trade trade) {
        double takes = Costs.about(now, entry, entry.zones(), performer, trade);
        return trade.schoolsBeside(now, entry.zones()).stream()
                .filter(t -> t.profile().eachTime() <= now.profile().eachTime())
                .filter(t -> Reactions.barring(t, entry.zones(), performer.reactsTo(), trade)
                        .isEmpty())
                .map(t -> new Cheaper(t, takes - Costs.about(t, entry, entry.zones(), performer, trade)))
                .filter(c -> c.saves() >= WORTH)
                .max(Comparator.comparingDouble(Cheaper::saves));
    }
}
