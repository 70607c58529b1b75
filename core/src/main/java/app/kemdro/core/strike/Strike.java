package app.kemdro.core.strike;

import app.kemdro.core.body.Body;
import app.kemdro.core.layer.Stack;
import app.kemdro.core.look.Brief.Performer;
import app.kemdro.core.material.Material;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.schedule.Planner;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/**
 * Plans how a look comes off: zone by zone from the outside in. A form takes what lies on it along, once its glue has soaked;
 * what is no form is wiped or rolled off with its own remover, the outermost first. The same work in several zones is one step.
 */
public final class Strike {
    private final Trade trade;
    private final Body body;
    private final RemovalRules customs = RemovalRules.standard();
    private final Peeling peeling = new Peeling(customs);
    private final RemovalSteps steps;

    /**
     * Plans with this trade.
     *
     * @param removerPerCm2 g of remover for each film on a square centimetre
     */
    public Strike(Trade trade, double removerPerCm2, Planner planner) {
        this.trade = trade;
        this.body = trade.body();
        this.steps = new RemovalSteps(customs, body, removerPerCm2, planner);
    }

    /** How the look of this plan comes off again, by its crew. */
    public Removal of(Plan plan) {
        return of(plan, step -> true, false);
    }

    /**
     * How as much of a look comes off as has been laid.
     *
     * @param laid which steps of the plan were begun, by id
     * @param urgent whether mouth, nose and eyes must be free before anything else is touched that does not lie over them
     */
    public Removal of(Plan plan, Predicate<String> laid, boolean urgent) {
        Performer performer = plan.brief().performer();
        Map<String, Group> groups = new LinkedHashMap<>();
        plan.stacks().forEach((zone, whole) -> {
            Stack stack = new Stack(
                    whole.ground(),
                    whole.layers().stream()
                            .filter(l -> l.steps().stream().anyMatch(laid))
                            .toList());
            String before = "";
            for (Peel peel : peeling.peels(stack, urgent && isAirway(zone) ? customs.airwayWords() : part(zone))) {
                String key = peel.kind().isPresent()
                        ? peel.key()
                        : peel.key()
                                + remover(peel.first(), Set.of(zone), performer)
                                        .map(r -> " with " + r.id())
                                        .orElse("");
                Group group = groups.computeIfAbsent(key, k -> new Group(k, peel));
                group.add(zone, peel);
                if (!before.isEmpty() && !before.equals(key)) {
                    group.after.add(before);
                }
                before = key;
            }
        });
        List<String> unknown = new ArrayList<>();
        for (Group group : groups.values()) {
            if (group.liftsDry(customs)) {
                continue;
            }
            group.remover = remover(group.soaked(), group.wet(), performer);
            if (group.remover.isEmpty()) {
                unknown.add(group.soaked().name() + ", " + body.say(body.sorted(group.wet())));
            }
        }
        if (urgent) {
            airwayFirst(groups);
        } else {
            inTurn(groups);
        }
        return steps.scheduled(untied(groups), plan.brief(), unknown);
    }

    private boolean isAirway(String zone) {
        return customs.airways().contains(body.zone(zone).row());
    }

    /** Whatever does not lie over mouth, nose or eyes waits until they are free. */
    private void airwayFirst(Map<String, Group> groups) {
        Set<String> first = new LinkedHashSet<>();
        groups.values().stream()
                .filter(g -> g.zones.stream().anyMatch(this::isAirway))
                .forEach(g -> before(g, groups, first));
        groups.values().stream().filter(g -> !first.contains(g.key)).forEach(g -> g.after.addAll(first));
    }

    /** A group and all that leaves before it. */
    private static void before(Group group, Map<String, Group> groups, Set<String> all) {
        if (all.add(group.key)) {
            group.after.forEach(a -> before(groups.get(a), groups, all));
        }
    }

    /** Hair leaves before pieces, and the cap when no piece is left that its edge could hang on. */
    private void inTurn(Map<String, Group> groups) {
        for (Group later : groups.values()) {
            for (Group sooner : groups.values()) {
                if (rank(sooner) >= 0 && rank(sooner) < rank(later) && !sooner.after.contains(later.key)) {
                    later.after.add(sooner.key);
                }
            }
        }
    }

    private int rank(Group group) {
        return group.kind.filter(k -> !k.first()).map(customs.kinds()::indexOf).orElse(-1);
    }

    /** The head is wiped in one go, every other part of the body on its own, so that hands can share them. */
    private String part(String zone) {
        String row = body.zone(zone).row();
        return customs.ownParts().contains(row) ? row : "head";
    }

    /** The first remover that may go on all these zones and that the performer does not react to. */
    private Optional<Material> remover(Material soaked, Set<String> zones, Performer performer) {
        return soaked.removedBy().stream()
                .map(trade.materials()::family)
                .filter(r -> zones.stream()
                        .allMatch(z -> r.places().contains(body.zone(z).place())))
                .filter(r -> r.contains().stream().noneMatch(performer.reactsTo()::contains))
                .findFirst();
    }

    /** Films that lie round one another in different zones are taken off in turns: where groups wait for each other, each zone is its own. */
    private static List<Group> untied(Map<String, Group> groups) {
        List<Group> sorted = new ArrayList<>();
        Set<String> done = new LinkedHashSet<>();
        Map<String, Group> left = new LinkedHashMap<>(groups);
        while (!left.isEmpty()) {
            Optional<String> next = left.entrySet().stream()
                    .filter(e -> done.containsAll(e.getValue().after))
                    .map(Map.Entry::getKey)
                    .findFirst();
            String key = next.orElseGet(() -> left.entrySet().stream()
                    .min(Comparator.comparingInt(e -> e.getValue().after.size()))
                    .orElseThrow()
                    .getKey());
            Group group = left.remove(key);
            if (next.isEmpty()) {
                group.after.retainAll(done);
            }
            done.add(key);
            sorted.add(group);
        }
        return sorted;
    }
}
