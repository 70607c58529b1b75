package app.kemdro.core.method;

import app.kemdro.core.body.Body;
import app.kemdro.core.body.Zone;
import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.material.Film;
import app.kemdro.core.material.Materials;
import app.kemdro.core.method.StepTemplate.Begins;
import app.kemdro.core.method.StepTemplate.Coats;
import app.kemdro.core.method.StepTemplate.Skill;
import app.kemdro.core.method.Technique.CoatRange;
import app.kemdro.core.method.Technique.Effect;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Turns techniques.yaml and rules.yaml into values, and complains by line about what cannot be meant. */
final class TradeReader {
    private final Body body;
    private final Materials materials;

    private TradeReader(Body body, Materials materials) {
        this.body = body;
        this.materials = materials;
    }

    static Trade read(Body body, Materials materials, DataNode techniqueFile, DataNode ruleFile) {
        TradeReader reader = new TradeReader(body, materials);
        List<Technique> techniques = new ArrayList<>();
        techniqueFile.entries().forEach((id, node) -> techniques.add(reader.technique(id, node)));
        reader.checkStates(techniques, techniqueFile);
        Set<String> slots = techniques.stream().map(Technique::slot).collect(Collectors.toSet());
        List<Rule> rules = ruleFile.items().stream()
                .map(node -> new Rule(
                        reader.pick(node.get("before"), slots),
                        reader.pick(node.get("after"), slots),
                        node.get("because").text()))
                .toList();
        return new Trade(body, materials, techniques, rules);
    }

    private Technique technique(String id, DataNode node) {
        node.onlyKeys(Set.of(
                "name",
                "family",
                "slot",
                "effect",
                "zones",
                "covers",
                "implied",
                "performer-only",
                "coats",
                "needs",
                "gives",
                "gives-around",
                "spoils",
                "because",
                "cautions",
                "steps"));
        Set<String> zones = zones(node, "zones");
        List<StepTemplate> steps = new ArrayList<>();
        for (DataNode step : node.get("steps").items()) {
            steps.add(step(step, steps));
        }
        if (steps.isEmpty()) {
            throw node.broken(id + " has no steps");
        }
        String name = node.get("name").text();
        return new Technique(
                id,
                name,
                node.text("family", name),
                node.get("slot").text(),
                node.get("effect").choice(Effect.class),
                zones.isEmpty()
                        ? body.zones().stream().map(Zone::id).collect(Collectors.toCollection(LinkedHashSet::new))
                        : zones,
                zones(node, "covers"),
                node.flag("implied"),
                node.flag("performer-only"),
                coats(node.find("coats")),
                node.find("needs") == null
                        ? List.of()
                        : node.get("needs").items().stream().map(this::need).toList(),
                new LinkedHashSet<>(node.words("gives")),
                new LinkedHashSet<>(node.words("gives-around")),
                new LinkedHashSet<>(node.words("spoils")),
                node.get("because").text(),
                node.words("cautions"),
                List.copyOf(steps));
    }

    private CoatRange coats(@Nullable DataNode node) {
        if (node == null) {
            return CoatRange.ONE;
        }
        node.onlyKeys(Set.of("usual", "least", "most"));
        CoatRange range = new CoatRange(
                (int) node.get("usual").number(1, 9), (int) node.get("least").number(1, 9), (int)
                        node.get("most").number(1, 9));
        if (range.least() > range.usual() || range.usual() > range.most()) {
            throw node.broken("coats must satisfy least <= usual <= most");
        }
        return range;
    }

    private Need need(DataNode node) {
        try {
            node.entries();
        } catch (RuntimeException notAMapping) {
            String word = node.text();
            boolean required = !word.endsWith("?");
            String state = required ? word : word.substring(0, word.length() - 1);
            return new Need(state, List.of(state), required, Set.of(), null, null);
        }
        node.onlyKeys(Set.of("state", "zones", "given-by", "where", "unless"));
        String state = node.get("state").text();
        List<String> givers = node.words("given-by");
        return new Need(
                state,
                givers.isEmpty() ? List.of(state) : givers,
                true,
                zones(node, "zones"),
                node.find("where") == null ? null : node.get("where").text(),
                node.find("unless") == null ? null : node.get("unless").text());
    }

    private StepTemplate step(DataNode node, List<StepTemplate> earlier) {
        node.onlyKeys(Set.of(
                "id",
                "name",
                "coats",
                "minutes",
                "per-100cm2",
                "zones",
                "each",
                "holds",
                "after",
                "begins",
                "within",
                "material",
                "coat-weight",
                "thinner-each-coat",
                "dryer",
                "skill",
                "look-for",
                "performer"));
        DataNode material = node.find("material");
        if (material != null && !materials.has(material.text())) {
            throw material.broken("material '" + material.text() + "' is not in materials.yaml");
        }
        List<String> after = node.words("after");
        Set<String> known = earlier.stream().map(StepTemplate::id).collect(Collectors.toSet());
        after.stream().filter(id -> !known.contains(id)).findFirst().ifPresent(id -> {
            throw node.broken("after '" + id + "': no earlier step has this id");
        });
        DataNode each = node.find("each");
        boolean listedEach = each != null;
        List<String> zones = new ArrayList<>(zones(node, listedEach ? "each" : "zones"));
        StepTemplate step = new StepTemplate(
                node.get("id").text(),
                node.get("name").text(),
                node.find("coats") == null ? Coats.ONCE : node.get("coats").choice(Coats.class),
                node.get("minutes").number(0.1, 240),
                node.number("per-100cm2", 0, 0, 60),
                zones,
                listedEach,
                zones(node, "holds"),
                after,
                node.find("begins") == null ? Begins.CLEAR : node.get("begins").choice(Begins.class),
                node.find("within") == null
                        ? null
                        : (int) Math.round(node.get("within").number(0.5, 240) * 60),
                material == null ? null : material.text(),
                node.number("coat-weight", 1, 0.1, 10),
                node.flag("thinner-each-coat"),
                node.flag("dryer"),
                node.find("skill") == null ? Skill.LEAD : node.get("skill").choice(Skill.class),
                node.text("look-for", ""),
                node.text("performer", ""));
        checkBegins(node, step, earlier);
        return step;
    }

    /** A step can wait for tack only on a film that grabs, and for clear only on something that dries. */
    private void checkBegins(DataNode node, StepTemplate step, List<StepTemplate> earlier) {
        if (step.begins() == Begins.DONE || step.begins() == Begins.CLEAR || earlier.isEmpty()) {
            return;
        }
        StepTemplate before = earlier.get(earlier.size() - 1);
        Film film = before.material() == null
                ? null
                : materials.family(before.material()).film();
        if (film == null || film.tacky() == null) {
            throw node.broken("begins " + step.begins().name().toLowerCase(java.util.Locale.ROOT) + " after '"
                    + before.id() + "', which lays nothing that grabs");
        }
    }

    private Set<String> zones(DataNode node, String key) {
        Set<String> ids = new LinkedHashSet<>(node.words(key));
        ids.stream().filter(id -> !body.has(id)).findFirst().ifPresent(id -> {
            throw node.get(key).broken("'" + id + "' is no zone of the body");
        });
        return ids;
    }

    private Rule.Pick pick(DataNode node, Set<String> slots) {
        node.onlyKeys(Set.of("slots", "regions"));
        Set<String> picked = new HashSet<>(node.words("slots"));
        picked.stream().filter(s -> !slots.contains(s)).findFirst().ifPresent(s -> {
            throw node.broken("no technique has the slot '" + s + "'");
        });
        return new Rule.Pick(picked, new HashSet<>(node.words("regions")));
    }

    private void checkStates(List<Technique> techniques, DataNode file) {
        Set<String> given = techniques.stream().flatMap(t -> t.gives().stream()).collect(Collectors.toSet());
        for (Technique technique : techniques) {
            for (Need need : technique.needs()) {
                if (need.givenBy().stream().noneMatch(given::contains)) {
                    throw file.get(technique.id())
                            .broken(technique.id() + " needs '" + need.state() + "', which no technique gives");
                }
            }
        }
    }
}
