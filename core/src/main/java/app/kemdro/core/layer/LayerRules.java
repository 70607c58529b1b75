package app.kemdro.core.layer;

import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.material.Material;
import app.kemdro.core.material.Materials;
import app.kemdro.core.method.Trade;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** The trade's rules about what lies on what. */
public final class LayerRules {
    private static final String ANYTHING = "anything";
    private static final String POWDER = "powder";

    private final Map<String, String> surfaces;
    private final Map<String, String> natures;
    private final List<LayerRule> rules;
    private final Map<String, Judgement> known = new ConcurrentHashMap<>();

    private LayerRules(Map<String, String> surfaces, Map<String, String> natures, List<LayerRule> rules) {
        this.surfaces = surfaces;
        this.natures = natures;
        this.rules = rules;
    }

    /**
     * Reads the rules that ship with Kemdro and checks them against the trade's materials and techniques.
     *
     * @throws app.kemdro.core.datafile.BrokenFile naming file, line and reason
     */
    public static LayerRules standard(Trade trade) {
        return read(DataNode.resource("/trade/layers.yaml"), trade);
    }

    /**
     * Reads rules from a file in the shape of the one that ships.
     *
     * @throws app.kemdro.core.datafile.BrokenFile naming file, line and reason
     */
    public static LayerRules read(DataNode file, Trade trade) {
        file.onlyKeys(Set.of("surfaces", "natures", "rules"));
        Map<String, String> surfaces = vocabulary(file.get("surfaces"));
        Map<String, String> natures = vocabulary(file.get("natures"));
        for (Material material : trade.materials().all()) {
            if (material.isLayer()
                    && (!natures.containsKey(material.nature()) || !surfaces.containsKey(material.surface()))) {
                throw file.broken("material " + material.id() + " has nature '" + material.nature() + "' and surface '"
                        + material.surface() + "', which are not both in the vocabulary here");
            }
        }
        requireOwnWords(file, surfaces.keySet(), trade, Material::surface);
        requireOwnWords(file, natures.keySet(), trade, Material::nature);
        List<LayerRule> rules = new ArrayList<>();
        file.get("rules").items().forEach(node -> rules.add(rule(node, surfaces, natures, trade)));
        return new LayerRules(surfaces, natures, rules);
    }

    /** A word that is also the id of a material of another kind would be taken for that material alone. */
    private static void requireOwnWords(
            DataNode file, Set<String> words, Trade trade, Function<Material, String> word) {
        words.stream()
                .filter(trade.materials()::has)
                .filter(w -> !word.apply(trade.materials().family(w)).equals(w))
                .findFirst()
                .ifPresent(w -> {
                    throw file.broken("'" + w + "' is both a word here and the id of a material of another kind");
                });
    }

    private static Map<String, String> vocabulary(DataNode node) {
        Map<String, String> words = new LinkedHashMap<>();
        node.entries().forEach((word, says) -> words.put(word, says.text()));
        return words;
    }

    private static LayerRule rule(
            DataNode node, Map<String, String> surfaces, Map<String, String> natures, Trade trade) {
        node.onlyKeys(Set.of("below", "above", "by", "verdict", "if", "through", "because", "mend"));
        Verdict verdict = node.get("verdict").choice(Verdict.class);
        if ((verdict == Verdict.HOLDS_IF) == (node.find("if") == null)) {
            throw node.broken("'holds-if' says under 'if' what must be seen to; no other verdict does");
        }
        Mend mend = mend(node.find("mend"), natures, trade);
        if ((verdict == Verdict.WEAK || verdict == Verdict.FAILS) && mend.isNone()) {
            throw node.broken("what is weak or fails names its mend");
        }
        return new LayerRule(
                words(node, "below", surfaces, trade.materials()),
                words(node, "above", natures, trade.materials()),
                node.known("by", trade::hasSlot, "no technique is of the kind"),
                node.flag("through"),
                new Judgement(verdict, node.text("if", ""), node.get("because").text(), mend));
    }

    private static Set<String> words(DataNode node, String key, Map<String, String> vocabulary, Materials materials) {
        List<String> words = node.words(key);
        if (words.isEmpty()) {
            throw node.broken("'" + key + "' names nothing; say anything if that is meant");
        }
        words.stream()
                .filter(w -> !w.equals(ANYTHING) && !vocabulary.containsKey(w) && !materials.has(w))
                .findFirst()
                .ifPresent(w -> {
                    throw node.broken("'" + w + "' under '" + key + "' is no word of this file and no material");
                });
        return words.contains(ANYTHING) ? Set.of() : new LinkedHashSet<>(words);
    }

    private static Mend mend(@Nullable DataNode node, Map<String, String> natures, Trade trade) {
        if (node == null) {
            return Mend.NONE;
        }
        node.onlyKeys(Set.of("lay", "above", "below", "turn"));
        node.words("lay").stream().filter(t -> !trade.has(t)).findFirst().ifPresent(t -> {
            throw node.broken("mend lays '" + t + "', which is no technique");
        });
        List<String> named = new ArrayList<>(node.words("above"));
        named.addAll(node.words("below"));
        named.stream().filter(n -> !natures.containsKey(n)).findFirst().ifPresent(n -> {
            throw node.broken("mend names '" + n + "', which is no nature");
        });
        return new Mend(node.words("lay"), node.words("above"), node.words("below"), node.flag("turn"));
    }

    /** What is said about laying this material on that surface, whatever it is laid for. */
    public Judgement judge(Surface below, Material above) {
        return judge(below, above, "");
    }

    /** What is said about laying this material on that surface for this kind of work. */
    public Judgement judge(Surface below, Material above, String slot) {
        return known.computeIfAbsent(below.word() + "/" + below.material() + "/" + above.id() + "/" + slot, k -> {
            LayerRule rule = strongest(below, above, slot, false);
            return rule == null ? Judgement.unknown(say(below), above.name()) : rule.judgement();
        });
    }

    /**
     * What is said about laying this material on powder that lies on that surface: powder stops grabbing and shining, not
     * chemistry.
     *
     * @return null where powder is all that matters
     */
    @Nullable
    Judgement throughPowder(Surface belowPowder, Material above) {
        LayerRule rule = strongest(belowPowder, above, "", true);
        return rule == null ? null : rule.judgement();
    }

    private @Nullable LayerRule strongest(Surface below, Material above, String slot, boolean through) {
        LayerRule best = null;
        int most = -1;
        for (LayerRule rule : rules) {
            int fit = through && !rule.through() ? -1 : rule.fit(below, above.id(), above.nature(), slot);
            boolean stronger = fit > most
                    || fit == most && best != null && best.judgement().verdict() != Verdict.FORBIDDEN;
            if (stronger) {
                best = rule;
                most = fit;
            }
        }
        return best;
    }

    static boolean isPowder(Material material) {
        return material.nature().equals(POWDER);
    }

    /** Surfaces of the vocabulary, with how they are said. */
    public Map<String, String> surfaces() {
        return surfaces;
    }

    /** Natures of the vocabulary, with how they are said. */
    public Map<String, String> natures() {
        return natures;
    }

    private String say(Surface surface) {
        return surfaces.getOrDefault(surface.word(), surface.word());
    }
}
