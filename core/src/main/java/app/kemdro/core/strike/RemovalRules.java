package app.kemdro.core.strike;

import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.layer.Stack;
import app.kemdro.core.material.Film;
import app.kemdro.core.material.Material;
import app.kemdro.core.method.WorkLaw;
import app.kemdro.core.method.WorkLaws;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * How long it takes and in which order kinds of layer leave, from trade/strike.yaml.
 *
 * @param kinds forms, those that leave first coming first
 * @param clings kinds of material that cling without any glue, so that their own remover is wanted
 * @param soakLatest minutes after a soak by which it must be lifted
 * @param ownParts rows of the body that are wiped on their own
 * @param airways rows that are free before anything else in an emergency
 */
record RemovalRules(
        List<Kind> kinds,
        Set<String> clings,
        int soakLatest,
        WorkLaw films,
        WorkLaw flood,
        Set<String> ownParts,
        Set<String> airways,
        String airwayWords,
        Rinse rinse,
        Last wash,
        Last soothe) {
    private static final double MOST_MINUTES = 60;

    /**
     * A kind of form.
     *
     * @param materials what is of this kind, though it was laid wet, where it was laid as one of the slots: a build in latex comes off
     *     as a form and not as a film
     * @param first whether it is off before anything wet comes near
     * @param alone whether it takes nothing along of what was laid after it
     * @param fingers whether it is taken off with free fingers, so that on oneself what binds them is off before
     */
    record Kind(
            String id,
            Set<String> kinds,
            Set<String> materials,
            Set<String> slots,
            boolean first,
            boolean alone,
            boolean fingers,
            WorkLaw pace,
            String say,
            String because) {}

    /** Something done once at the end. */
    record Last(double minutes, String say) {}

    /**
     * What the performer rinses off alone.
     *
     * @param removers ids of what it takes no more than
     * @param rows of the body where that is done
     */
    record Rinse(Set<String> removers, Set<String> rows, double minutes, String say, String because) {}

    /** The kind of a form; empty for what is no form. */
    Optional<Kind> of(Stack.Layer layer) {
        Material material = layer.material();
        return kinds.stream()
                .filter(k -> k.materials().contains(material.id())
                                && k.slots().contains(layer.technique().slot())
                        || !(material.setting() instanceof Film) && k.kinds().contains(material.kind()))
                .findFirst();
    }

    static RemovalRules standard() {
        DataNode file = DataNode.resource("/trade/strike.yaml");
        file.onlyKeys(Set.of(
                "kinds", "clings", "soak-latest", "films", "flood", "own-parts", "airways", "rinse", "wash", "soothe"));
        WorkLaws laws = WorkLaws.standard();
        return new RemovalRules(
                file.get("kinds").items().stream().map(k -> kind(k, laws)).toList(),
                Set.copyOf(file.words("clings")),
                (int) file.get("soak-latest").number(1, 60),
                laws.of(file.get("films"), MOST_MINUTES),
                laws.of(file.get("flood"), MOST_MINUTES),
                Set.copyOf(file.words("own-parts")),
                Set.copyOf(file.get("airways").words("rows")),
                file.get("airways").get("say").text(),
                rinse(file.get("rinse")),
                last(file.get("wash")),
                last(file.get("soothe")));
    }

    private static Kind kind(DataNode node, WorkLaws laws) {
        node.onlyKeys(Set.of(
                "id",
                "kinds",
                "materials",
                "slots",
                "first",
                "alone",
                "fingers",
                "minutes",
                "law",
                "times",
                "say",
                "because"));
        return new Kind(
                node.get("id").text(),
                Set.copyOf(node.words("kinds")),
                Set.copyOf(node.words("materials")),
                Set.copyOf(node.words("slots")),
                node.flag("first"),
                node.flag("alone"),
                node.flag("fingers"),
                laws.of(node, MOST_MINUTES),
                node.get("say").text(),
                node.get("because").text());
    }

    private static Rinse rinse(DataNode node) {
        node.onlyKeys(Set.of("removers", "rows", "minutes", "say", "because"));
        return new Rinse(
                Set.copyOf(node.words("removers")),
                Set.copyOf(node.words("rows")),
                node.get("minutes").number(1, MOST_MINUTES),
                node.get("say").text(),
                node.get("because").text());
    }

    private static Last last(DataNode node) {
        return new Last(node.get("minutes").number(0.1, 60), node.get("say").text());
    }
}
