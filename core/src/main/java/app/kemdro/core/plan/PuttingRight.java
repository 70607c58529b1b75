package app.kemdro.core.plan;

import app.kemdro.core.layer.LayerRules;
import app.kemdro.core.layer.Stack;
import app.kemdro.core.layer.Surface;
import app.kemdro.core.material.Material;
import app.kemdro.core.material.MaterialRole;
import app.kemdro.core.method.Repair;
import app.kemdro.core.method.StepTemplate;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/** How something that went wrong is put right here: by what lies there, by what the performer bears and by what holds. */
public final class PuttingRight {
    private static final String SKIN = "skin";
    private static final String CLEAN_SKIN = "clean-skin";

    private final Trade trade;
    private final LayerRules rules;

    public PuttingRight(Trade trade, LayerRules rules) {
        this.trade = trade;
        this.rules = rules;
    }

    /**
     * The first way that fits on as many of these zones as any does.
     *
     * @param entry the entry of the look it happened to
     * @param stacks what will lie on every zone
     * @param laid which steps have been done, by id
     * @param reactsTo what the performer reacts to
     * @return the way, and the zones it is done on; empty where none is for any of them
     */
    public Optional<Chosen> way(
            Repair repair,
            String entry,
            Collection<String> zones,
            Map<String, Stack> stacks,
            Predicate<String> laid,
            Set<String> reactsTo) {
        List<Chosen> fitting = new ArrayList<>();
        for (Repair.Way way : repair.ways()) {
            List<String> on = zones.stream()
                    .filter(way.how().zones()::contains)
                    .filter(z -> Reactions.barring(way.how(), List.of(z), reactsTo, trade)
                            .isEmpty())
                    .filter(z -> holds(way, entry, stacks.get(z), laid))
                    .toList();
            if (!on.isEmpty()) {
                fitting.add(new Chosen(way.how(), on));
            }
        }
        int most = fitting.stream().mapToInt(c -> c.zones().size()).max().orElse(0);
        return fitting.stream().filter(c -> c.zones().size() == most).findFirst();
    }

    /** A way, and where it is done. */
    public record Chosen(Technique how, List<String> zones) {}

    private boolean holds(
            Repair.Way way, String entry, @org.jspecify.annotations.Nullable Stack whole, Predicate<String> laid) {
        List<Stack.Layer> layers = whole == null
                ? List.of()
                : whole.layers().stream()
                        .filter(l -> l.steps().stream().anyMatch(laid))
                        .toList();
        Optional<Stack.Layer> own = layers.stream()
                .filter(l -> way.of().contains(l.material().id()))
                .reduce((lower, upper) -> upper);
        if (!way.of().isEmpty() && own.isEmpty()) {
            return false;
        }
        List<Material> lays = way.how().steps().stream()
                .flatMap(this::layers)
                .filter(Material::isLayer)
                .toList();
        if (lays.isEmpty()) {
            return true;
        }
        if (!way.under()) {
            return chain(own.map(l -> Surface.of(l.material())), lays);
        }
        int form = form(layers, entry);
        if (form < 0) {
            return false;
        }
        int below = form - 1;
        while (below >= 0 && layers.get(below).material().is(MaterialRole.GLUE)) {
            below--;
        }
        Surface base = below >= 0 ? Surface.of(layers.get(below).material()) : cleaned(whole.ground());
        List<Material> beneath = untilGlue(lays);
        return chain(Optional.of(base), beneath)
                && rules.judge(
                                Surface.of(beneath.get(beneath.size() - 1)),
                                layers.get(form).material())
                        .verdict()
                        .isFine();
    }

    /** What goes beneath the form: all up to the first glue, or the first thing where there is none. */
    private static List<Material> untilGlue(List<Material> lays) {
        for (int k = 0; k < lays.size(); k++) {
            if (lays.get(k).is(MaterialRole.GLUE)) {
                return lays.subList(0, k + 1);
            }
        }
        return lays.subList(0, 1);
    }

    private java.util.stream.Stream<Material> layers(StepTemplate step) {
        return java.util.stream.Stream.of(step.material(), step.sets())
                .filter(m -> m != null)
                .map(trade.materials()::family);
    }

    /** Whether each holds on the one before, the first on that surface if there is one. */
    private boolean chain(Optional<Surface> first, List<Material> lays) {
        Optional<Surface> below = first;
        for (Material next : lays) {
            if (below.isPresent() && !rules.judge(below.get(), next).verdict().isFine()) {
                return false;
            }
            below = Optional.of(Surface.of(next));
        }
        return true;
    }

    /** The uppermost form, else the lowest layer of this entry; −1 where there is neither. */
    private static int form(List<Stack.Layer> layers, String entry) {
        for (int i = layers.size() - 1; i >= 0; i--) {
            if (layers.get(i).material().isForm()) {
                return i;
            }
        }
        for (int i = 0; i < layers.size(); i++) {
            Stack.Layer layer = layers.get(i);
            if (layer.entry().equals(entry) || layer.entry().startsWith(entry + "~")) {
                return i;
            }
        }
        return -1;
    }

    /** The edge is wiped clean before it is stuck again. */
    private static Surface cleaned(Surface ground) {
        return ground.word().equals(SKIN) ? Surface.body(CLEAN_SKIN) : ground;
    }
}
