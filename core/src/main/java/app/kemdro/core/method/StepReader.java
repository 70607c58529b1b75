package app.kemdro.core.method;

import app.kemdro.core.body.Body;
import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.material.Materials;
import app.kemdro.core.material.Setting;
import app.kemdro.core.method.StepTemplate.Alone;
import app.kemdro.core.method.StepTemplate.Begins;
import app.kemdro.core.method.StepTemplate.Coats;
import app.kemdro.core.method.StepTemplate.Skill;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Turns the steps of techniques and repairs into values. */
final class StepReader {
    private static final int MOST_MINUTES = 240;

    /** Ways in which a performer can keep a part, of which only one is possible at a time. */
    private static final Map<String, Set<String>> POSTURES = Map.of(
            "eyes", Set.of("open", "closed"),
            "mouth", Set.of("open", "shut"),
            "head", Set.of("upright", "back"));

    private final Body body;
    private final Materials materials;
    private final WorkLaws laws;

    StepReader(Body body, Materials materials, WorkLaws laws) {
        this.laws = laws;
        this.body = body;
        this.materials = materials;
    }

    /** A step that comes after these. */
    StepTemplate step(DataNode node, List<StepTemplate> earlier) {
        node.onlyKeys(Set.of(
                "id",
                "name",
                "coats",
                "minutes",
                "law",
                "times",
                "per-item",
                "zones",
                "each",
                "holds",
                "after",
                "begins",
                "within",
                "waits",
                "aside",
                "material",
                "sets",
                "sets-on",
                "alone",
                "coat-weight",
                "thinner-each-coat",
                "dryer",
                "skill",
                "look-for",
                "performer",
                "posture",
                "together",
                "strip",
                "mist",
                "only-alone",
                "fingers",
                "alone-says"));
        DataNode material = node.find("material");
        DataNode sets = node.find("sets");
        requireKnown(material);
        requireKnown(sets);
        List<String> after = node.words("after");
        Set<String> known = earlier.stream().map(StepTemplate::id).collect(Collectors.toSet());
        after.stream().filter(id -> !known.contains(id)).findFirst().ifPresent(id -> {
            throw node.broken("after '" + id + "': no earlier step has this id");
        });
        DataNode each = node.find("each");
        boolean eachOwn = each != null && !each.isList();
        boolean listedEach = each != null && each.isList();
        List<String> zones = new ArrayList<>(zones(node, listedEach ? "each" : "zones"));
        StepTemplate step = new StepTemplate(
                node.get("id").text(),
                node.get("name").text(),
                node.find("coats") == null ? Coats.ONCE : node.get("coats").choice(Coats.class),
                laws.of(node, MOST_MINUTES),
                node.number("per-item", 0, 0, 60),
                zones,
                listedEach,
                eachOwn,
                zones(node, "holds"),
                after,
                node.find("begins") == null ? Begins.CLEAR : node.get("begins").choice(Begins.class),
                node.find("within") == null
                        ? null
                        : (int) Math.round(node.get("within").number(0.5, 240) * 60),
                material == null ? null : material.text(),
                sets == null ? null : sets.text(),
                zones(node, "sets-on"),
                node.number("waits", 0, 0, 240),
                node.flag("aside"),
                node.number("coat-weight", 1, 0.1, 10),
                node.flag("thinner-each-coat"),
                node.flag("dryer"),
                node.find("skill") == null ? Skill.LEAD : node.get("skill").choice(Skill.class),
                node.find("alone") == null ? Alone.SLOWER : node.get("alone").choice(Alone.class),
                node.text("look-for", ""),
                node.text("performer", ""),
                posture(node),
                node.number("together", 0, 0.5, 0.95),
                strip(node),
                node.flag("mist"),
                node.flag("only-alone"),
                node.text("fingers", ""),
                node.text("alone-says", ""));
        checkBegins(node, step, earlier);
        return step;
    }

    private static StepTemplate.@Nullable Strip strip(DataNode node) {
        if (node.find("strip") == null) {
            return null;
        }
        DataNode strip = node.get("strip");
        strip.onlyKeys(Set.of("width-mm", "length-cm"));
        return new StepTemplate.Strip(
                strip.get("width-mm").number(1, 200), strip.get("length-cm").number(1, 300));
    }

    private static Map<String, String> posture(DataNode node) {
        Map<String, String> kept = new TreeMap<>();
        if (node.find("posture") != null) {
            node.get("posture").onlyKeys(POSTURES.keySet());
            node.get("posture").entries().forEach((part, how) -> {
                if (!POSTURES.get(part).contains(how.text())) {
                    throw how.broken("the " + part + " are kept in one of these ways: " + POSTURES.get(part));
                }
                kept.put(part, how.text());
            });
        }
        return kept;
    }

    /** A step can wait for tack only on a film that grabs, and for clear only on something that dries. */
    private void checkBegins(DataNode node, StepTemplate step, List<StepTemplate> earlier) {
        if (step.begins() == Begins.DONE || step.begins() == Begins.CLEAR || earlier.isEmpty()) {
            return;
        }
        StepTemplate before = step.after().isEmpty()
                ? earlier.get(earlier.size() - 1)
                : earlier.stream()
                        .filter(e -> e.id().equals(step.after().get(0)))
                        .findFirst()
                        .orElseThrow();
        Setting setting = before.material() == null
                ? null
                : materials.family(before.material()).setting();
        if (setting == null || step.begins() == Begins.TACKY && !setting.grabs()) {
            throw node.broken("begins " + step.begins().name().toLowerCase(java.util.Locale.ROOT) + " after '"
                    + before.id() + "', which lays nothing that grabs");
        }
    }

    /** Zones that a word or several name. */
    Set<String> zones(DataNode node, String key) {
        Set<String> ids = new LinkedHashSet<>();
        for (String word : node.words(key)) {
            List<String> named = body.named(word);
            if (named.isEmpty()) {
                throw node.get(key).broken("'" + word + "' is no zone of the body and no group of zones");
            }
            ids.addAll(named);
        }
        return ids;
    }

    /** Complains where this is named and is no family of materials. */
    void requireKnown(@Nullable DataNode material) {
        if (material != null && !materials.has(material.text())) {
            throw material.broken("there is no material '" + material.text() + "'");
        }
    }

    /** Steps, with those that come in each before the one it names. */
    static List<DataNode> withMore(DataNode node) {
        List<DataNode> steps = new ArrayList<>(node.get("steps").items());
        for (DataNode more : node.find("more-steps") == null
                ? List.<DataNode>of()
                : node.get("more-steps").items()) {
            String before = more.get("before").text();
            int at = 0;
            while (at < steps.size() && !steps.get(at).get("id").text().equals(before)) {
                at++;
            }
            if (at == steps.size()) {
                throw more.get("before").broken("there is no step '" + before + "' to come before");
            }
            steps.add(at, more.without(Set.of("before")));
        }
        return steps;
    }
}
