package app.kemdro.core.run;

import app.kemdro.core.layer.Stack;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.method.LateWork;
import app.kemdro.core.method.Role;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Technique.Effect;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.LookPlanner;
import app.kemdro.core.plan.Mending;
import app.kemdro.core.run.StepState.Status;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** Work that is asked for while a run is on, with all that comes with it where something lies there already. */
public final class Additions {
    private static final int MOST_MENDS = 4;
    private static final Set<Effect> COLOURS = Set.of(Effect.COLOUR, Effect.TEXTURE, Effect.FINISH, Effect.VANISH);

    private final Trade trade;
    private final LateWork late;
    private final LookPlanner planner;
    private final Mending mending;

    /** By this trade; this planner says what would not hold. */
    public Additions(Trade trade, LookPlanner planner) {
        this.trade = trade;
        this.planner = planner;
        this.mending = new Mending(trade, planner);
        this.late = trade.lateWork();
    }

    /**
     * Entries that put it on: by itself where nothing lies above it yet; else over all that does, on a shape that is wiped bare where
     * it has to be, with its edges blended as others of the look are, and the colours that lay there laid over it again.
     *
     * @param id what they are called after
     */
    public List<LookEntry> of(String id, Technique technique, List<String> zones, int items, Standing now) {
        return mended(LookEntry.ADDED + id, chain(id, technique, zones, items, now), now.changes());
    }

    /** The same, with what has to lie between for it to hold. */
    private List<LookEntry> mended(String name, List<LookEntry> chain, Changes now) {
        Look look = now.look()
                .with(Stream.concat(now.look().entries().stream(), chain.stream())
                        .toList());
        List<LookEntry> all = new ArrayList<>(chain);
        for (int k = 1; k <= MOST_MENDS; k++) {
            Look before = look;
            Optional<LookEntry> between = trouble(before, now, name).flatMap(t -> between(before, now, t));
            if (between.isEmpty()) {
                return all;
            }
            LookEntry lay = between.get();
            LookEntry named = new LookEntry(name + ".mend" + k, lay.techniqueId(), lay.zones(), 0).above(lay.over());
            all.add(named);
            look = look.with(
                    Stream.concat(look.entries().stream(), Stream.of(named)).toList());
        }
        return all;
    }

    /** A boundary that does not hold: the layer of this number in a zone. */
    private record Boundary(String zone, int number) {}

    /** The first boundary of what is added that does not hold. */
    private Optional<Boundary> trouble(Look look, Changes now, String name) {
        for (var e : planner.stacks(look, now.brief()).entrySet()) {
            List<Stack.Layer> layers = e.getValue().layers();
            for (int k = 0; k < layers.size(); k++) {
                boolean ours = layers.get(k).entry().startsWith(name)
                        || k > 0 && layers.get(k - 1).entry().startsWith(name);
                if (ours && !layers.get(k).boundary().verdict().isFine()) {
                    return Optional.of(new Boundary(e.getKey(), k));
                }
            }
        }
        return Optional.empty();
    }

    /** What is laid between there, if that helps. */
    private Optional<LookEntry> between(Look look, Changes now, Boundary at) {
        return mending.offers(look, now.brief(), at.zone(), at.number()).stream()
                .map(o -> o.look().entries())
                .filter(e -> e.size() == look.entries().size() + 1)
                .map(e -> e.get(e.size() - 1))
                .filter(e -> trade.technique(e.techniqueId()).between())
                .findFirst();
    }

    private List<LookEntry> chain(String id, Technique technique, List<String> zones, int items, Standing now) {
        String name = LookEntry.ADDED + id;
        LookEntry asked = new LookEntry(name, technique.id(), zones, 0).counted(items);
        List<LookEntry> above = laidAbove(technique, zones, now);
        if (above.isEmpty()) {
            return List.of(asked);
        }
        List<LookEntry> chain = new ArrayList<>();
        LateWork.Kind kind = late.kinds().get(technique.slot());
        String over = String.join(" ", laid(zones, now));
        if (!kind.needsBare()) {
            return List.of(asked.above(over));
        }
        chain.add(new LookEntry(name + ".bare", late.bare(), zones, 0).above(over));
        chain.add(asked.above(name + ".bare"));
        edge(technique, zones, now)
                .ifPresent(e -> chain.add(new LookEntry(name + ".edge", e.id(), zones, 0).above(name)));
        for (LookEntry colour : above) {
            Technique again = trade.technique(colour.techniqueId());
            if (COLOURS.contains(again.effect()) && again.covers().isEmpty()) {
                chain.add(new LookEntry(
                        name + "." + colour.id(),
                        colour.techniqueId(),
                        shared(colour.zones(), zones),
                        colour.coats(),
                        0,
                        colour.strength(),
                        colour.coverage(),
                        chain.get(chain.size() - 1).id()));
            }
        }
        return chain;
    }

    /** Entries that have begun on these zones and lie above such work, from the body outwards. */
    private List<LookEntry> laidAbove(Technique technique, List<String> zones, Standing now) {
        int height = height(technique);
        return now.changes().look().entries().stream()
                .filter(e -> !shared(e.zones(), zones).isEmpty() && height(trade.technique(e.techniqueId())) > height)
                .filter(e -> RunLevers.hasBegun(now.plan(), now.state(), e.id()))
                .sorted(Comparator.comparingInt(e -> height(trade.technique(e.techniqueId()))))
                .toList();
    }

    /** Ids of all entries of which something lies on these zones, what Kemdro put in included. */
    private static Set<String> laid(List<String> zones, Standing now) {
        Set<String> ids = new LinkedHashSet<>();
        for (String zone : zones) {
            Stack stack = now.plan().stacks().get(zone);
            if (stack != null) {
                stack.layers().stream()
                        .filter(l -> l.steps().stream()
                                .anyMatch(s -> now.state().step(s).status() != Status.WAITING))
                        .forEach(l -> ids.add(l.entry()));
            }
        }
        return ids;
    }

    /** How edges of such work are blended in this look, where that can be done there too. */
    private Optional<Technique> edge(Technique technique, List<String> zones, Standing now) {
        return late.edged().contains(technique.slot())
                ? now.changes().look().entries().stream()
                        .map(e -> trade.technique(e.techniqueId()))
                        .filter(t -> t.is(Role.BLENDS_EDGES)
                                && t.covers().isEmpty()
                                && t.zones().containsAll(zones))
                        .findFirst()
                : Optional.empty();
    }

    private int height(Technique technique) {
        return trade.strata().level(technique.slot()).height();
    }

    private static List<String> shared(Collection<String> some, Collection<String> others) {
        return some.stream().filter(others::contains).toList();
    }
}
