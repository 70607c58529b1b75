package app.kemdro.core.method;

import app.kemdro.core.body.Body;
import app.kemdro.core.body.Place;
import app.kemdro.core.body.Zone;
import app.kemdro.core.datafile.DataFiles;
import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.material.Materials;
import app.kemdro.core.method.Technique.Acceptance;
import app.kemdro.core.method.Technique.Count;
import app.kemdro.core.method.Technique.Effect;
import app.kemdro.core.method.Technique.Make;
import app.kemdro.core.method.Technique.Profile;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Turns the files of techniques, rules and strata into values, and complains by line about what cannot be meant. */
final class TradeReader {
    private static final int MOST_BENCH_MINUTES = 3000;

    private final Body body;
    private final Materials materials;
    private final StepReader stepReader;
    private final WorkLaws laws;
    private final DataNode fingers;

    private TradeReader(Body body, Materials materials, WorkLaws laws, DataNode fingers) {
        this.fingers = fingers;
        this.body = body;
        this.materials = materials;
        this.laws = laws;
        this.stepReader = new StepReader(body, materials, laws);
    }

    /**
     * Reads a trade.
     *
     * @param file the files beside those of techniques, by name
     */
    static Trade read(
            Body body,
            Materials materials,
            List<DataNode> techniqueFiles,
            Function<String, DataNode> file,
            WorkLaws laws) {
        TradeReader reader =
                new TradeReader(body, materials, laws, file.apply("fingers").get("states"));
        Strata strata = Strata.read(file.apply("strata"));
        Map<String, DataNode> nodes = Choices.opened(DataFiles.entries(techniqueFiles));
        List<Technique> techniques = new ArrayList<>();
        nodes.forEach((id, node) -> techniques.add(reader.technique(id, likeAnother(id, node, nodes), strata)));
        reader.checkStates(techniques, nodes);
        Set<String> slots = techniques.stream().map(Technique::slot).collect(Collectors.toSet());
        List<OrderSchool> schools = OrderSchools.read(file.apply("schools"), techniques);
        RuleReader ruleReader = new RuleReader(slots, strata, given(techniques), schools);
        List<Rule> rules = ruleReader.rules(file.apply("rules"));
        List<SmallPlace> places = new ArrayList<>();
        file.apply("small-places").entries().forEach((id, node) -> {
            node.onlyKeys(Set.of("says", "zones"));
            places.add(new SmallPlace(id, node.get("says").text(), reader.stepReader.zones(node, "zones")));
        });
        Set<String> placed = places.stream().map(SmallPlace::id).collect(Collectors.toSet());
        List<Repair> repairs = new ArrayList<>();
        RepairReader wrong =
                new RepairReader(materials, slots, placed, (id, node) -> reader.technique(id, node, strata));
        file.apply("repairs").entries().forEach((id, node) -> repairs.add(wrong.repair(id, node)));
        return new Trade(
                body,
                materials,
                techniques,
                rules,
                strata,
                repairs,
                reader.states(file.apply("states"), techniques),
                SenseOf.read(file.apply("sense")),
                ruleReader.hands(file.apply("fingers")),
                FineHair.read(file.apply("fine-hair"), techniques, body::has, ruleReader::pick),
                Touches.read(file.apply("transfer"), body, materials),
                places,
                LateWork.read(file.apply("additions"), techniques, slots),
                schools);
    }

    /** Words of states that some technique gives or needs. */
    private Map<String, String> states(DataNode file, List<Technique> techniques) {
        Set<String> given = techniques.stream().flatMap(t -> t.gives().stream()).collect(Collectors.toSet());
        techniques.forEach(t -> t.givesAround().values().forEach(given::addAll));
        techniques.forEach(t -> t.needs().forEach(n -> given.add(n.state())));
        Map<String, String> words = new LinkedHashMap<>();
        file.entries().forEach((state, node) -> {
            if (!given.contains(state)) {
                throw node.broken("no technique gives or needs the state '" + state + "'");
            }
            words.put(state, node.text());
        });
        return words;
    }

    /** The technique that a word of the data names. */
    static Technique named(DataNode word, List<Technique> techniques) {
        return techniques.stream()
                .filter(t -> t.id().equals(word.text()))
                .findFirst()
                .orElseThrow(() -> word.broken("no technique is called '" + word.text() + "'"));
    }

    /** A technique may say it is like an earlier one and name only what differs; single steps are changed under their ids. */
    static DataNode likeAnother(String id, DataNode node, Map<String, DataNode> nodes) {
        if (node.find("like") == null) {
            return node;
        }
        String other = node.get("like").text();
        if (!nodes.containsKey(other) || other.equals(id)) {
            throw node.get("like").broken("like '" + other + "': no technique has this name");
        }
        DataNode base = likeAnother(other, nodes.get(other), nodes);
        DataNode both = node.over(base, Set.of("like", "implied", "between", "of", "under", "choices"));
        if (node.find("steps") != null) {
            return node.find("change-steps") == null ? both.without(Set.of("change-steps")) : both;
        }
        boolean changed = node.find("change-steps") != null && base.find("change-steps") != null;
        return changed ? both.with("change-steps", node.get("change-steps").overEach(base.get("change-steps"))) : both;
    }

    private Technique technique(String id, DataNode node, Strata strata) {
        node.onlyKeys(Set.of(
                "name",
                "family",
                "like",
                "change-steps",
                "more-steps",
                "slot",
                "effect",
                "zones",
                "not-on",
                "covers",
                "roles",
                "implied",
                "between",
                "performer-only",
                "worn",
                "coats",
                "items",
                "needs",
                "gives",
                "gives-around",
                "spoils",
                "because",
                "cautions",
                "steps",
                "suits",
                "poor-for",
                "risk",
                "never-filmed",
                "each-time",
                "lasts",
                "bench",
                "weight",
                "thickness",
                "accepts",
                "choices",
                "choice"));
        Set<String> zones = stepReader.zones(node, "zones");
        if (zones.isEmpty()) {
            zones = body.zones().stream()
                    .filter(Zone::isSkin)
                    .map(Zone::id)
                    .collect(Collectors.toCollection(LinkedHashSet::new));
        }
        zones.removeAll(stepReader.zones(node, "not-on"));
        String name = node.get("name").text();
        String slot = node.get("slot").text();
        if (!strata.has(slot)) {
            throw node.get("slot").broken("slot '" + slot + "' is not in strata.yaml");
        }
        Technique technique = new Technique(
                id,
                name,
                node.text("family", name),
                slot,
                roles(node, strata.level(slot)),
                node.get("effect").choice(Effect.class),
                zones,
                stepReader.zones(node, "covers"),
                node.flag("implied"),
                node.flag("between"),
                node.flag("performer-only"),
                node.flag("worn"),
                count(node.find("coats"), "coats"),
                count(node.find("items"), "items"),
                node.find("needs") == null
                        ? List.of()
                        : node.get("needs").items().stream().map(this::need).toList(),
                new LinkedHashSet<>(node.words("gives")),
                givesAround(node),
                new LinkedHashSet<>(node.words("spoils")),
                node.get("because").text(),
                node.words("cautions"),
                steps(id, node),
                new Profile(
                        node.choices("suits", Fact.class),
                        node.choices("poor-for", Fact.class),
                        node.text("risk", ""),
                        node.text("never-filmed", ""),
                        node.number("each-time", 0, 0, 5000),
                        (int) node.number("lasts", 0, 0, 48)),
                new Make(
                        node.find("bench") == null
                                ? List.of()
                                : node.get("bench").items().stream()
                                        .map(this::bench)
                                        .toList(),
                        node.number("weight", 0, 0, 20),
                        node.number("thickness", 0, 0, 200)),
                accepts(node),
                Choices.of(id, node));
        checkPlaces(node, technique);
        return technique;
    }

    private static Set<Role> roles(DataNode node, Strata.Level kind) {
        Set<Role> all = node.choices("roles", Role.class);
        all.addAll(kind.roles());
        return Set.copyOf(all);
    }

    private List<StepTemplate> steps(String id, DataNode node) {
        Map<String, DataNode> changes = node.find("change-steps") == null
                ? Map.of()
                : new LinkedHashMap<>(node.get("change-steps").entries());
        Set<String> unused = new LinkedHashSet<>(changes.keySet());
        List<StepTemplate> steps = new ArrayList<>();
        for (DataNode step : StepReader.withMore(node)) {
            DataNode change = changes.get(step.get("id").text());
            unused.remove(step.get("id").text());
            if (change == null) {
                steps.add(stepReader.step(step, steps));
            } else if (change.isMapping()) {
                steps.add(stepReader.step(change.over(step, Set.of()), steps));
            } else if (!change.text().equals("none")) {
                throw change.broken("a changed step names what differs, or none to leave it out");
            }
        }
        if (!unused.isEmpty()) {
            throw node.get("change-steps")
                    .broken("there is no step '" + unused.iterator().next() + "' to change");
        }
        if (steps.isEmpty()) {
            throw node.broken(id + " has no steps");
        }
        new ArrayList<>(steps).forEach(s -> cleanedAfter(s, node, steps));
        return List.copyOf(steps);
    }

    /** What takes off again what a step leaves on the fingers. */
    private void cleanedAfter(StepTemplate soils, DataNode node, List<StepTemplate> steps) {
        if (soils.fingers().isEmpty() || soils.cleansFingers()) {
            return;
        }
        DataNode state = fingers.find(soils.fingers());
        if (state == null || state.find("off") == null) {
            throw node.broken("step '" + soils.id() + "' leaves the fingers '" + soils.fingers()
                    + "', and fingers.yaml does not say how that comes off");
        }
        steps.add(stepReader.step(state.get("off"), steps).after(soils));
    }

    /** What touches a zone must be made for that kind of surface. */
    private void checkPlaces(DataNode node, Technique technique) {
        for (StepTemplate step : technique.steps()) {
            Collection<String> on = step.zones().isEmpty() ? technique.zones() : step.zones();
            checkPlace(node, step, step.material(), on);
            checkPlace(node, step, step.sets(), step.setsOn().isEmpty() ? on : step.setsOn());
        }
    }

    private void checkPlace(DataNode node, StepTemplate step, @Nullable String material, Collection<String> on) {
        if (material == null) {
            return;
        }
        Set<Place> allowed = materials.family(material).places();
        on.stream()
                .filter(z -> !allowed.contains(body.zone(z).place()))
                .findFirst()
                .ifPresent(z -> {
                    throw node.broken("step '" + step.id() + "' lays " + material + " on " + z
                            + ", where the material may not be used");
                });
    }

    private Map<String, Set<String>> givesAround(DataNode node) {
        Map<String, Set<String>> around = new LinkedHashMap<>();
        if (node.find("gives-around") != null) {
            DataNode given = node.get("gives-around");
            given.entries().keySet().forEach(state -> around.put(state, stepReader.zones(given, state)));
        }
        return around;
    }

    private BenchStep bench(DataNode node) {
        node.onlyKeys(Set.of("id", "name", "minutes", "law", "times", "material", "thickness", "rests"));
        DataNode material = node.find("material");
        stepReader.requireKnown(material);
        return new BenchStep(
                node.get("id").text(),
                node.get("name").text(),
                laws.of(node, MOST_BENCH_MINUTES),
                material == null ? null : material.text(),
                node.number("thickness", 1, 0.1, 20),
                node.number("rests", 0, 0, 200));
    }

    private List<Acceptance> accepts(DataNode node) {
        if (node.find("accepts") == null) {
            return List.of();
        }
        return node.get("accepts").items().stream()
                .map(n -> {
                    n.onlyKeys(Set.of("below", "above", "if", "because"));
                    stepReader.requireKnown(n.get("above"));
                    return new Acceptance(
                            n.get("below").text(),
                            n.get("above").text(),
                            n.get("if").text(),
                            n.get("because").text());
                })
                .toList();
    }

    private Count count(@Nullable DataNode node, String word) {
        if (node == null) {
            return Count.ONE;
        }
        node.onlyKeys(Set.of("word", "usual", "least", "most", "per-100cm2"));
        Count count = new Count(
                node.text("word", word),
                (int) node.get("usual").number(1, 99),
                (int) node.get("least").number(1, 99),
                (int) node.get("most").number(1, 400),
                node.flag("per-100cm2"));
        if (count.least() > count.most()
                || !count.per100Cm2() && (count.usual() < count.least() || count.usual() > count.most())) {
            throw node.broken(word + " must satisfy least <= usual <= most");
        }
        return count;
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
                stepReader.zones(node, "zones"),
                node.find("where") == null ? null : node.get("where").text(),
                node.find("unless") == null ? null : node.get("unless").text());
    }

    private void checkStates(List<Technique> techniques, Map<String, DataNode> nodes) {
        Set<String> given = given(techniques);
        for (Technique technique : techniques) {
            for (Need need : technique.needs()) {
                if (need.givenBy().stream().noneMatch(given::contains)) {
                    throw nodes.get(technique.id())
                            .broken(technique.id() + " needs '" + need.state() + "', which no technique gives");
                }
            }
        }
    }

    private static Set<String> given(List<Technique> techniques) {
        return techniques.stream()
                .flatMap(t -> Stream.concat(t.gives().stream(), t.givesAround().keySet().stream()))
                .collect(Collectors.toSet());
    }
}
