package app.kemdro.core.layer;

import app.kemdro.core.material.Material;
import app.kemdro.core.method.Technique;
import java.util.ArrayList;
import java.util.List;

/**
 * What lies on a zone, from the body outwards, and what every boundary is worth.
 *
 * @param ground the body's own surface
 */
public record Stack(Surface ground, List<Layer> layers) {
    private static final String DEGREASED = "clean-skin";

    public Stack {
        layers = List.copyOf(layers);
    }

    /**
     * One layer; coats of one material laid one after another are one layer.
     *
     * @param entry entry of the look that brought it
     * @param steps steps that laid it
     * @param coats how often it was laid
     * @param millimetres thickness of what stays
     * @param boundary what is said about its lower boundary
     */
    public record Layer(
            Material material,
            String entry,
            Technique technique,
            List<String> steps,
            String what,
            int coats,
            double millimetres,
            Judgement boundary) {}

    /** Boundaries that do not hold, from the body outwards. */
    public List<Layer> troubles() {
        return layers.stream().filter(l -> !l.boundary().verdict().isFine()).toList();
    }

    /** The worst verdict of all boundaries. */
    public Verdict worst() {
        return layers.stream()
                .map(l -> l.boundary().verdict())
                .max(java.util.Comparator.naturalOrder())
                .orElse(Verdict.HOLDS);
    }

    /** Builds the stack of a zone from everything that is laid there, in working order. */
    public static Stack of(Surface ground, List<Laid> laid, LayerRules rules) {
        List<Layer> layers = new ArrayList<>();
        Surface body = ground;
        for (Laid next : laid) {
            if (!next.material().isLayer()) {
                wipe(layers, next.material());
                if (layers.isEmpty()
                        && next.material().degreases()
                        && body.word().equals("skin")) {
                    body = Surface.body(DEGREASED);
                }
                continue;
            }
            Layer top = layers.isEmpty() ? null : layers.get(layers.size() - 1);
            if (top != null
                    && top.material().equals(next.material())
                    && top.entry().equals(next.entry())) {
                layers.set(layers.size() - 1, another(top, next));
            } else {
                layers.add(layer(next, judge(body, below(layers, next), next, rules)));
            }
        }
        return new Stack(body, layers);
    }

    /** What it really lies on: not what lies beside it. */
    private static List<Layer> below(List<Layer> layers, Laid next) {
        return layers.stream().filter(l -> !next.beside().contains(l.entry())).toList();
    }

    /** A cleaner takes off what it dissolves, down to what it does not. */
    private static void wipe(List<Layer> layers, Material cleaner) {
        while (!layers.isEmpty()
                && cleaner.strips()
                        .contains(layers.get(layers.size() - 1).material().surface())) {
            layers.remove(layers.size() - 1);
        }
    }

    private static Judgement judge(Surface body, List<Layer> layers, Laid next, LayerRules rules) {
        Surface below = layers.isEmpty()
                ? body
                : Surface.of(layers.get(layers.size() - 1).material());
        for (Technique.Acceptance accepted : accepted(layers, next)) {
            if (accepted.below().equals(below.word())
                    && accepted.above().equals(next.material().id())) {
                return new Judgement(Verdict.HOLDS_IF, accepted.condition(), accepted.because(), Mend.NONE);
            }
        }
        if (!layers.isEmpty()
                && LayerRules.isPowder(layers.get(layers.size() - 1).material())) {
            Surface underneath = layers.size() == 1
                    ? body
                    : Surface.of(layers.get(layers.size() - 2).material());
            Judgement through = rules.throughPowder(underneath, next.material());
            if (through != null) {
                return through;
            }
        }
        return rules.judge(below, next.material(), next.technique().slot());
    }

    /** What the school laid now accepts, and what the one below it does. */
    private static List<Technique.Acceptance> accepted(List<Layer> layers, Laid next) {
        List<Technique.Acceptance> all = new ArrayList<>(next.technique().accepts());
        if (!layers.isEmpty()) {
            all.addAll(layers.get(layers.size() - 1).technique().accepts());
        }
        return all;
    }

    private static Layer layer(Laid laid, Judgement boundary) {
        return new Layer(
                laid.material(),
                laid.entry(),
                laid.technique(),
                List.of(laid.step()),
                laid.what(),
                1,
                millimetres(laid),
                boundary);
    }

    private static Layer another(Layer top, Laid next) {
        List<String> steps = new ArrayList<>(top.steps());
        steps.add(next.step());
        return new Layer(
                top.material(),
                top.entry(),
                top.technique(),
                List.copyOf(steps),
                top.what(),
                top.coats() + 1,
                top.millimetres() + millimetres(next),
                top.boundary());
    }

    private static double millimetres(Laid laid) {
        if (laid.technique().make().thicknessMm() > 0 && laid.material().isForm()) {
            return laid.technique().make().thicknessMm();
        }
        return laid.material().thicknessMm() * laid.thickness();
    }
}
