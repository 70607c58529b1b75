package app.kemdro.core.sketch;

import app.kemdro.core.body.Zone;
import app.kemdro.core.colour.Paint;
import app.kemdro.core.colour.Reflectance;
import app.kemdro.core.layer.Stack;
import app.kemdro.core.look.Brief.Hair;
import app.kemdro.core.look.Brief.Performer;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.material.Material;
import app.kemdro.core.material.MaterialRole;
import app.kemdro.core.method.Role;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.schedule.ScheduledTask;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/** Colours every zone of a plan, from bare skin through each layer to the finished face. */
public final class Sketch {
    private static final double CM2_IN_M2 = 10_000;

    private final Trade trade;
    private final Appearance appearance;

    /** Sketches with this trade and these looks of things. */
    public Sketch(Trade trade, Appearance appearance) {
        this.trade = trade;
        this.appearance = appearance;
    }

    /**
     * What a zone looks like from a moment on.
     *
     * @param second of the schedule at which the layer is down; 0 for the bare zone
     * @param layer what came on, in words; empty for the bare zone
     * @param entry entry of the look it belongs to; empty for the bare zone
     * @param own colour of the layer itself, lying thick, where it is a form or a recipe was chosen for it; of the bare zone its own
     * @param claimed whether the colour is predicted; what shimmers is only hinted at
     */
    public record Stage(
            int second, String layer, String entry, Reflectance colour, Optional<Reflectance> own, boolean claimed) {}

    /** A layer of a colour: its own, and what lies below it through it. */
    private record Film(Optional<Reflectance> own, Reflectance over) {}

    /**
     * The stages of every zone that something is laid on, in order of time.
     *
     * @param skin the performer's skin
     * @param recipes the paint that an entry of the look is painted with, where one was chosen
     */
    public Map<String, List<Stage>> of(
            Plan plan, Look look, Reflectance skin, Function<String, Optional<Paint>> recipes) {
        Map<String, List<Stage>> zones = new LinkedHashMap<>();
        for (Zone zone : trade.body().zones()) {
            Stack stack = plan.stacks().get(zone.id());
            if (stack != null && !stack.layers().isEmpty()) {
                zones.put(zone.id(), stages(zone, stack, plan, look, skin, recipes));
            }
        }
        return zones;
    }

    /** What lies below an entry of the look where it is laid first, as these stages say; empty where it has no colour. */
    public static Optional<Reflectance> below(String entry, Map<String, List<Stage>> zones) {
        for (List<Stage> stages : zones.values()) {
            for (int k = 1; k < stages.size(); k++) {
                if (stages.get(k).entry().equals(entry)) {
                    return Optional.of(stages.get(k - 1).colour());
                }
            }
        }
        return Optional.empty();
    }

    /** What a zone looks like before anything is laid on it. */
    public Reflectance bare(Zone zone, Performer performer, Reflectance skin) {
        if (trade.first(Role.HIDES_BROWS).zones().contains(zone.id())) {
            return skin.beside(appearance.hair(), appearance.brows().getOrDefault(performer.brows(), 0.5));
        }
        return switch (zone.place()) {
            case TOOTH -> appearance.teeth();
            case NAIL -> appearance.nails();
            default -> trade.body().isScalp(zone) && performer.hair() != Hair.NONE ? appearance.hair() : skin;
        };
    }

    private List<Stage> stages(
            Zone zone, Stack stack, Plan plan, Look look, Reflectance skin, Function<String, Optional<Paint>> recipes) {
        List<Stage> stages = new ArrayList<>();
        Reflectance bare = bare(zone, plan.brief().performer(), skin);
        stages.add(new Stage(0, "", "", bare, Optional.of(bare), true));
        through(zone, stack, plan, look, skin, recipes).forEach(s -> s.ifPresent(stages::add));
        return stages;
    }

    /**
     * What a zone looks like once each of its layers is down, from the innermost; empty for a layer that changes no colour.
     *
     * @param stack what lies on the zone in this plan
     */
    public List<Optional<Stage>> through(
            Zone zone, Stack stack, Plan plan, Look look, Reflectance skin, Function<String, Optional<Paint>> recipes) {
        List<Optional<Stage>> stages = new ArrayList<>();
        Reflectance colour = bare(zone, plan.brief().performer(), skin);
        boolean claimed = true;
        for (Stack.Layer layer : stack.layers()) {
            Optional<Film> film = over(layer, colour, look, recipes);
            if (film.isEmpty()) {
                stages.add(Optional.empty());
                continue;
            }
            colour = film.get().over();
            claimed = !appearance.shimmers().contains(layer.material().id())
                    && (claimed
                            || appearance.forms().containsKey(layer.material().id()));
            stages.add(Optional.of(new Stage(
                    down(layer, plan),
                    layer.material().name(),
                    layer.entry(),
                    colour,
                    film.get().own(),
                    claimed)));
        }
        return stages;
    }

    private Optional<Film> over(
            Stack.Layer layer, Reflectance below, Look look, Function<String, Optional<Paint>> recipes) {
        Material material = layer.material();
        double covered = appearance.covered(layer.technique())
                * look.entry(layer.entry()).map(LookEntry::coverage).orElse(100)
                / 100;
        Reflectance form = appearance.forms().get(material.id());
        if (form != null) {
            return Optional.of(new Film(Optional.of(form), below.beside(form, covered)));
        }
        Optional<Paint> mixed = material.is(MaterialRole.PAINT) ? recipes.apply(layer.entry()) : Optional.empty();
        return mixed.or(() -> appearance.usual(material.id(), layer.technique()))
                .map(p -> new Film(
                        mixed.map(Paint::masstone),
                        below.beside(p.over(below, material.gramsPerCm2() * CM2_IN_M2 * layer.coats()), covered)));
    }

    /** The second at which the last coat of a layer is down. */
    private static int down(Stack.Layer layer, Plan plan) {
        return layer.steps().stream()
                .flatMap(id -> plan.schedule().find(id).stream())
                .mapToInt(ScheduledTask::end)
                .max()
                .orElse(0);
    }
}
