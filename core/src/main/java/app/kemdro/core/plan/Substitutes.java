package app.kemdro.core.plan;

import app.kemdro.core.layer.Judgement;
import app.kemdro.core.layer.Stack;
import app.kemdro.core.layer.Verdict;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** How a look can do without a family of materials, and what each way changes. */
public final class Substitutes {
    private final Trade trade;
    private final LookPlanner planner;

    /** Plans every way with this planner, roughly: they are only compared with one another. */
    public Substitutes(Trade trade, LookPlanner planner) {
        this.trade = trade;
        this.planner = planner;
    }

    /**
     * One entry done by another school that does without.
     *
     * @param later seconds by which all is ready later; below 0 sooner
     * @param dearer € that it costs more; below 0 less
     * @param troubles boundaries more that would not hold
     * @param conditions what must be so that the others hold, and need not be as it is done now
     */
    public record Substitute(
            LookEntry entry, Technique school, int later, double dearer, long troubles, List<String> conditions) {}

    /** Schools that do without a family, for every entry that uses it: what holds first, then what is soonest. */
    public List<Substitute> of(Look look, Brief brief, String family) {
        Optional<Plan> now = plan(look, brief);
        List<Substitute> found = new ArrayList<>();
        for (LookEntry entry : look.entries()) {
            Technique technique = trade.technique(entry.techniqueId());
            if (!technique.materials().contains(family)) {
                continue;
            }
            trade.schoolsBeside(technique, entry.zones()).stream()
                    .filter(t -> !t.materials().contains(family))
                    .filter(t -> Reactions.barring(
                                    t, entry.zones(), brief.performer().reactsTo(), trade)
                            .isEmpty())
                    .flatMap(t -> plan(look.changing(entry.id(), e -> e.by(t.id())), brief).stream()
                            .map(p -> substitute(entry, t, p, now)))
                    .forEach(found::add);
        }
        found.sort(Comparator.comparingLong(Substitute::troubles).thenComparingInt(Substitute::later));
        return List.copyOf(found);
    }

    private Substitute substitute(LookEntry entry, Technique school, Plan plan, Optional<Plan> now) {
        return new Substitute(
                entry,
                school,
                now.map(n -> plan.schedule().ready() - n.schedule().ready()).orElse(0),
                now.map(n -> Costs.euros(plan.steps(), plan.brief().performer(), trade)
                                - Costs.euros(n.steps(), n.brief().performer(), trade))
                        .orElse(0.0),
                Math.max(0, plan.troubles() - now.map(Plan::troubles).orElse(0L)),
                conditions(plan)
                        .filter(c ->
                                now.stream().flatMap(Substitutes::conditions).noneMatch(c::equals))
                        .distinct()
                        .sorted()
                        .toList());
    }

    private static Stream<String> conditions(Plan plan) {
        return plan.stacks().values().stream()
                .flatMap(s -> s.layers().stream())
                .map(Stack.Layer::boundary)
                .filter(b -> b.verdict() == Verdict.HOLDS_IF)
                .map(Judgement::condition);
    }

    private Optional<Plan> plan(Look look, Brief brief) {
        return planner.plan(look, brief) instanceof Planning.Done done ? Optional.of(done.plan()) : Optional.empty();
    }
}
