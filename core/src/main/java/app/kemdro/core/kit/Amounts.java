package app.kemdro.core.kit;

import app.kemdro.core.look.Brief.Performer;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.material.Material;
import app.kemdro.core.material.MaterialRole;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Areas;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.strike.Removal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;

/** What one day of a plan takes, and what takes it off again. */
public final class Amounts {
    private final Trade trade;
    private final Waste waste;

    /** Counts with this trade and this waste. */
    public Amounts(Trade trade, Waste waste) {
        this.trade = trade;
        this.waste = waste;
    }

    private static final class Sum {
        private double laid;
        private int pieces;
        private final Set<String> zones = new TreeSet<>();
    }

    /**
     * Everything a plan of this look takes: removers first, because they are first in the bag, then by kind and name.
     *
     * @param removal how it comes off: what it is taken off with is what is packed
     */
    public List<Need> of(Plan plan, Look look, Removal removal) {
        List<Need> needs = new ArrayList<>(laid(plan, look));
        removers(removal).forEach((family, sum) -> needs.add(need(family, sum, true)));
        return sorted(needs);
    }

    /** What a plan of this look lays and sets, without what takes it off, by kind and name. */
    public List<Need> laid(Plan plan, Look look) {
        Map<Material, Sum> laid = laid(plan);
        pieces(plan, look).forEach((family, sum) -> laid.merge(family, sum, (a, b) -> b));
        List<Need> needs = new ArrayList<>();
        laid.forEach((family, sum) -> needs.add(need(family, sum, false)));
        return sorted(needs);
    }

    private static List<Need> sorted(List<Need> needs) {
        needs.sort(Comparator.comparing((Need n) -> !n.removes())
                .thenComparing(n -> n.family().kind())
                .thenComparing(n -> n.family().name()));
        return List.copyOf(needs);
    }

    private Need need(Material family, Sum sum, boolean removes) {
        Waste.Kind kind = waste.of(family.kind());
        double grams = sum.pieces > 0 ? 0 : sum.laid * (1 + kind.loss()) + kind.cup();
        return new Need(
                family,
                sum.pieces > 0 ? 0 : sum.laid,
                grams,
                grams * (1 + kind.reserve()),
                sum.pieces,
                trade.body().sorted(sum.zones),
                removes);
    }

    /** Area × coat × thickness of every film and dust that is laid. */
    private Map<Material, Sum> laid(Plan plan) {
        Map<Material, Sum> sums = new LinkedHashMap<>();
        Performer performer = plan.brief().performer();
        for (PlannedStep step : plan.steps()) {
            step.material().filter(m -> !m.isForm() && !m.each()).ifPresent(m -> {
                Sum sum = sums.computeIfAbsent(m, k -> new Sum());
                sum.laid += Areas.laid(m, step, performer, trade.body());
                sum.zones.addAll(step.zones());
            });
        }
        return sums;
    }

    /** Forms: as many as are counted, or one for each entry that sets one. */
    private Map<Material, Sum> pieces(Plan plan, Look look) {
        Map<Material, Sum> sums = new LinkedHashMap<>();
        Set<String> counted = new HashSet<>();
        for (PlannedStep step : plan.steps()) {
            Stream.concat(step.form().stream(), step.material().filter(m -> m.isForm() || m.each()).stream())
                    .filter(m -> counted.add(step.entryId() + " " + m.id()))
                    .forEach(m -> {
                        Sum sum = sums.computeIfAbsent(m, k -> new Sum());
                        sum.pieces += number(step, m, plan, look);
                        sum.zones.addAll(step.formZones());
                    });
        }
        return sums;
    }

    private int number(PlannedStep step, Material material, Plan plan, Look look) {
        Waste.Counted counted = waste.counted(material.id());
        if (counted.eachZone()) {
            return (int) plan.steps().stream()
                    .filter(s -> s.entryId().equals(step.entryId())
                            && s.form().filter(material::equals).isPresent())
                    .flatMap(s -> s.formZones().stream())
                    .distinct()
                    .count();
        }
        return counted.pieces() * asked(step, look, plan.brief().performer());
    }

    private int asked(PlannedStep step, Look look, Performer performer) {
        Technique technique = step.technique();
        return look.entries().stream()
                .filter(e -> e.id().equals(step.entryId()) && technique.items().isChoice())
                .mapToInt((LookEntry e) -> Areas.items(e, technique, Areas.of(e.zones(), performer, trade.body())))
                .findFirst()
                .orElse(1);
    }

    /** Every remover that the strike takes in hand, as much as it takes. */
    private static Map<Material, Sum> removers(Removal removal) {
        Map<Material, Sum> sums = new LinkedHashMap<>();
        for (Removal.Step step : removal.steps()) {
            step.remover().filter(r -> step.grams() > 0).ifPresent(r -> {
                Sum sum = sums.computeIfAbsent(r, k -> new Sum());
                sum.laid += step.grams();
                sum.zones.addAll(step.zones());
            });
        }
        return sums;
    }

    /**
     * Wipes for taking paint off [F20]: as many as face, neck, chest and cap take, by the share of them that is painted, and on
     * for what is painted besides. The lower and the upper number.
     */
    public int[] wipes(Plan plan) {
        Performer performer = plan.brief().performer();
        Set<String> painted = new HashSet<>();
        plan.steps().stream()
                .filter(s -> s.material().map(m -> m.is(MaterialRole.PAINT)).orElse(false))
                .forEach(s -> painted.addAll(s.zones()));
        double whole = Areas.of(waste.wiped(), performer, trade.body());
        double share = Areas.of(painted, performer, trade.body()) / whole;
        return new int[] {(int) Math.ceil(waste.wipesLeast() * share), (int) Math.ceil(waste.wipesMost() * share)};
    }
}
