package app.kemdro.core.safety;

import app.kemdro.core.body.Body;
import app.kemdro.core.body.Capitals;
import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.layer.Stack;
import app.kemdro.core.look.Look;
import app.kemdro.core.material.Material;
import app.kemdro.core.material.MaterialRole;
import app.kemdro.core.material.Melt;
import app.kemdro.core.method.Role;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Costs;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.safety.Finding.Kind;
import app.kemdro.core.safety.HealthRecord.PatchTest;
import app.kemdro.core.safety.HealthRecord.Result;
import app.kemdro.core.safety.HealthRecord.Skin;
import app.kemdro.core.safety.HealthRecord.SkinSeen;
import app.kemdro.core.strike.Removal;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Reads a plan and what is known of its performer for what must be seen to. The rules are trade/safety.yaml. */
public final class Safety {
    /** What the key of a finding about a patch test begins with; the family follows. */
    public static final String PATCH = "patch ";

    private final Trade trade;
    private final DataNode rules;
    private final Set<String> tested;
    private final int hours;
    private final int better;

    /** Reads with this trade. */
    public Safety(Trade trade) {
        this.trade = trade;
        this.rules = DataNode.resource("/trade/safety.yaml");
        rules.onlyKeys(
                Set.of("patch-test", "lens-hours", "heavy", "airways", "rest", "consent", "dryer", "tools", "said"));
        DataNode test = rules.get("patch-test");
        this.tested = Set.copyOf(test.words("kinds"));
        this.hours = (int) test.get("hours").number(1, 240);
        this.better = (int) test.get("better").number(1, 240);
    }

    /** Families of which a patch test is written down, by name. */
    public List<Material> tested() {
        return trade.materials().all().stream()
                .filter(m -> tested.contains(m.kind()))
                .sorted(Comparator.comparing(Material::name))
                .toList();
    }

    /**
     * Everything that is to be seen to at this moment, what blocks first.
     *
     * @param agreed ids of what the performer has agreed to
     */
    public List<Finding> of(
            Plan plan, Look look, Removal removal, HealthRecord care, Set<String> agreed, LocalDateTime now) {
        List<Finding> all = new ArrayList<>();
        Map<String, Material> used = used(plan, removal);
        tests(used.values(), plan, care, now, all);
        skin(plan, care, all);
        airways(plan, care, all);
        lenses(plan, care, all);
        weight(plan, look, all);
        heat(plan, all);
        tools(plan.brief().performer().reactsTo(), all);
        consents(plan, agreed, all);
        if (care.minor() && !care.guardian()) {
            all.add(block(
                    "minor",
                    "The performer is not of age, and no guardian has agreed.",
                    "A guardian is there and agrees; local working hours of minors apply.",
                    false));
        }
        removal.unknown()
                .forEach(u -> all.add(block(
                        "removal " + u,
                        "Nothing known takes this off where it lies: " + u + ".",
                        "Read its label before it goes on, or choose another way in Look.",
                        true)));
        said(used.values(), all);
        all.sort(Comparator.comparing(Finding::kind));
        return List.copyOf(all);
    }

    private static Finding block(String key, String what, String remedy, boolean mayBeLifted) {
        return new Finding(key, Kind.BLOCKS, what, remedy, mayBeLifted);
    }

    private static Finding warn(String key, String what, String remedy) {
        return new Finding(key, Kind.WARNS, what, remedy, false);
    }

    /** Materials that come near the performer: laid, set, inside what is made for them, and what takes it off. */
    private Map<String, Material> used(Plan plan, Removal removal) {
        Map<String, Material> used = new LinkedHashMap<>();
        for (PlannedStep step : plan.steps()) {
            Stream.of(step.material(), step.form()).flatMap(Optional::stream).forEach(m -> used.put(m.id(), m));
            step.technique().make().bench().stream()
                    .flatMap(b -> Stream.ofNullable(b.material()))
                    .map(trade.materials()::family)
                    .filter(m -> !m.places().isEmpty())
                    .forEach(m -> used.put(m.id(), m));
        }
        removal.steps().stream().flatMap(s -> s.remover().stream()).forEach(m -> used.put(m.id(), m));
        return used;
    }

    private void tests(Collection<Material> used, Plan plan, HealthRecord care, LocalDateTime now, List<Finding> all) {
        for (Material material : used) {
            if (!tested.contains(material.kind()) || material.pricePer100g() == 0) {
                continue;
            }
            List<PatchTest> tests = care.tests().stream()
                    .filter(t -> t.family().equals(material.id()))
                    .toList();
            String name = material.name();
            String key = PATCH + material.id();
            Optional<PatchTest> reacted =
                    tests.stream().filter(t -> t.result() == Result.REACTED).findFirst();
            Optional<PatchTest> clear =
                    tests.stream().filter(t -> t.result() == Result.CLEAR).findFirst();
            LocalDateTime latest = plan.chairIn().minusHours(hours);
            if (reacted.isPresent()) {
                all.add(block(
                        key,
                        "Skin reacted to the patch test of " + name + ".",
                        "Choose another family: Kit, do without.",
                        false));
            } else if (clear.isEmpty() && tests.stream().anyMatch(t -> !t.put().isAfter(latest))) {
                all.add(warn(
                        key,
                        "The patch test of " + name + " has not been read yet.",
                        "Look at it after " + hours + " and " + better + " hours and write down what you see."));
            } else if (clear.isEmpty() && tests.isEmpty()) {
                all.add(warn(
                        key,
                        "No patch test of " + name + ".",
                        now.isAfter(latest)
                                ? "It is too late for " + hours
                                        + " hours before the chair: use what was tested before, or move the chair."
                                : "Put one on by " + moment(latest) + ", better a day sooner."));
            } else if (clear.isEmpty() || clear.get().put().isAfter(latest)) {
                all.add(warn(
                        key,
                        "The patch test of " + name + " is too fresh: less than " + hours + " hours before the chair.",
                        "Skin may still react; look again before it goes on, or move the chair."));
            }
        }
    }

    private static String moment(LocalDateTime at) {
        return "%td %<tB, %<tR".formatted(at);
    }

    private void skin(Plan plan, HealthRecord care, List<Finding> all) {
        Body body = trade.body();
        Set<String> worked =
                plan.steps().stream().flatMap(s -> s.zones().stream()).collect(Collectors.toSet());
        List<SkinSeen> last = body.sorted(care.lastSeen().keySet()).stream()
                .map(care.lastSeen()::get)
                .filter(s -> worked.contains(s.zone()))
                .toList();
        Set<String> broken = new HashSet<>(care.broken());
        last.stream().filter(s -> s.skin() == Skin.BROKEN).map(SkinSeen::zone).forEach(broken::add);
        last.stream().filter(s -> s.skin() == Skin.RED).forEach(s -> sore(s, plan, all));
        List<String> both = body.sorted(broken.stream().filter(worked::contains).collect(Collectors.toSet()));
        if (!both.isEmpty()) {
            all.add(block(
                    "broken",
                    "Skin is broken, burnt, infected or irritated where work is planned: " + body.say(both) + ".",
                    "It is not worked on. Take it out of the look, or wait until it has healed.",
                    false));
        }
    }

    /** Skin that was red rests for a while from what is stuck, and longer from what it was red under. */
    private void sore(SkinSeen seen, Plan plan, List<Finding> all) {
        Stack stack = plan.stacks().get(seen.zone());
        Set<String> stuck = stack == null ? Set.of() : stuck(stack);
        DataNode rest = rules.get("rest");
        LocalDateTime until = seen.at().plusHours((int) rest.get("hours").number(1, 240));
        boolean same = stuck.stream().anyMatch(seen.under()::contains);
        LocalDateTime away = seen.at().plusHours((int) rest.get("same-hours").number(1, 2400));
        String zone = trade.body().zone(seen.zone()).name();
        if (!stuck.isEmpty() && plan.chairIn().isBefore(until)) {
            all.add(warn(
                    "rest " + seen.zone(),
                    "Skin was red at the " + zone + " on " + moment(seen.at()) + ".",
                    "Let it rest until " + moment(until) + ", or leave it out of what is stuck."));
        } else if (same && plan.chairIn().isBefore(away)) {
            all.add(warn(
                    "rest " + seen.zone(),
                    "Skin was red at the " + zone + " on " + moment(seen.at()) + ", under what is to go there again.",
                    "Take another adhesive there: Kit, do without."));
        }
    }

    /** Families of this zone's layers that stick to skin, by id. */
    public static Set<String> stuck(Stack stack) {
        return stack.layers().stream()
                .map(Stack.Layer::material)
                .filter(m -> m.is(MaterialRole.GLUE))
                .map(Material::id)
                .collect(Collectors.toSet());
    }

    /** Something a performer has to agree to before it is done. */
    public record Procedure(String id, String say) {}

    /** What this plan's performer has to agree to. */
    public List<Procedure> procedures(Plan plan) {
        Set<String> slots = plan.steps().stream().map(s -> s.technique().slot()).collect(Collectors.toSet());
        List<Procedure> asked = new ArrayList<>();
        for (DataNode node : rules.get("consent").items()) {
            node.onlyKeys(Set.of("id", "slots", "kinds", "worn", "zones", "always", "say"));
            List<String> zones = node.words("zones").stream()
                    .flatMap(z -> trade.body().named(z).stream())
                    .toList();
            List<String> kinds = node.words("kinds");
            boolean lies = plan.stacks().entrySet().stream()
                    .filter(e -> zones.isEmpty() || zones.contains(e.getKey()))
                    .flatMap(e -> e.getValue().layers().stream())
                    .anyMatch(l -> kinds.contains(l.material().kind())
                            || node.flag("worn") && l.technique().worn());
            if (node.flag("always") || lies || node.words("slots").stream().anyMatch(slots::contains)) {
                asked.add(new Procedure(node.get("id").text(), node.get("say").text()));
            }
        }
        return asked;
    }

    private void consents(Plan plan, Set<String> agreed, List<Finding> all) {
        List<String> open = procedures(plan).stream()
                .filter(p -> !agreed.contains(p.id()))
                .map(Procedure::say)
                .toList();
        if (!open.isEmpty()) {
            all.add(warn(
                    "consent",
                    "Not agreed to yet: " + String.join("; ", open) + ".",
                    "Say what is done, how long it lasts and how it comes off; tick what is agreed to."));
        }
    }

    private void airways(Plan plan, HealthRecord care, List<Finding> all) {
        boolean nose = covered(plan, rules.get("airways").words("nose"));
        boolean mouth = covered(plan, rules.get("airways").words("mouth"));
        if (nose && mouth) {
            all.add(block(
                    "airways",
                    "Forms lie at nose and mouth both.",
                    "Nostrils and mouth stay free. A lead looks at the pieces and says so, with the reason.",
                    true));
        } else if (nose) {
            all.add(warn(
                    "sip", "A form lies at the nose: swallowing can stop breathing.", "Test a sip before going on."));
        }
        boolean face = plan.stacks().entrySet().stream()
                        .filter(e -> trade.body().zone(e.getKey()).region().equals("face"))
                        .filter(e -> e.getValue().layers().stream()
                                .anyMatch(l -> l.technique().worn()))
                        .count()
                >= 3;
        if (care.panics() && face) {
            all.add(warn(
                    "panic",
                    "Being covered is a matter for this performer, and much of the face is.",
                    "Talk it through beforehand, agree on a signal, plan pauses, know the fast way off."));
        }
    }

    private static boolean covered(Plan plan, List<String> zones) {
        return zones.stream()
                .map(plan.stacks()::get)
                .filter(s -> s != null)
                .anyMatch(s -> s.layers().stream().anyMatch(l -> l.technique().worn()));
    }

    private void lenses(Plan plan, HealthRecord care, List<Finding> all) {
        plan.steps().stream()
                .filter(s -> s.technique().is(Role.IN_THE_EYE))
                .findFirst()
                .ifPresent(s -> {
                    int limit = care.lensHours() > 0
                            ? care.lensHours()
                            : (int) rules.get("lens-hours").number(1, 24);
                    LocalDateTime in = plan.clock(plan.schedule().of(s.id()).start());
                    LocalDateTime out =
                            plan.brief().call().plusHours(plan.brief().purpose().lastsHours());
                    long worn = Duration.between(in, out).toMinutes();
                    if (care.lensHours() == 0) {
                        all.add(warn(
                                "lens fitted",
                                "Nobody has said for how long these lenses were fitted.",
                                "Ask whoever fitted them and write it down; own pair, prescribed."));
                    }
                    if (worn > limit * 60L) {
                        all.add(warn(
                                "lens hours",
                                "Lenses would be worn for %.1f hours; %d is the most.".formatted(worn / 60.0, limit),
                                "Put them in later, take them out between, or shorten the day."));
                    }
                });
    }

    private void weight(Plan plan, Look look, List<Finding> all) {
        double grams = look.entries().stream()
                .filter(e -> trade.has(e.techniqueId()))
                .mapToDouble(e -> Costs.carried(e, plan.brief().performer(), trade))
                .sum();
        DataNode heavy = rules.get("heavy");
        int lasts = plan.brief().purpose().lastsHours();
        if (grams >= heavy.get("grams").number(1, 10_000)
                && lasts > heavy.get("hours").number(1, 24)) {
            all.add(warn(
                    "heavy",
                    "About %.0f g are carried for %d hours.".formatted(grams, lasts),
                    "Plan water, cooling and pauses; support the weight by the cap."));
        }
    }

    /** What touches the performer without being laid: gloves, sponges, bands. */
    private void tools(Set<String> reactsTo, List<Finding> all) {
        withoutIn(reactsTo)
                .forEach(say -> all.add(
                        warn("tools " + say, "Tools touch the skin too.", Capitals.capital(say) + ", whoever works.")));
    }

    /** What must not be in gloves, sponges and tools near somebody who reacts so, as the bag says it. */
    public List<String> withoutIn(Set<String> reactsTo) {
        return rules.get("tools").items().stream()
                .filter(n -> reactsTo.contains(n.get("reaction").text()))
                .map(n -> n.get("say").text())
                .toList();
    }

    /** What is laid warm, and what a dryer blows at. */
    private void heat(Plan plan, List<Finding> all) {
        Map<String, Melt> warm = new TreeMap<>();
        for (PlannedStep step : plan.steps()) {
            step.material()
                    .filter(m -> step.zones().stream()
                            .anyMatch(z -> trade.body().zone(z).isSkin()))
                    .ifPresent(m -> {
                        if (m.setting() instanceof Melt melt) {
                            warm.put(m.name(), melt);
                        }
                    });
        }
        warm.forEach((name, melt) -> all.add(warn(
                "heat " + name,
                "%s melts at %.0f °C; skin takes %.0f °C at most."
                        .formatted(Capitals.capital(name), melt.from(), melt.safe()),
                "Test a drop on the wrist first, every time: no hotter than a warm bath.")));
        boolean dryer = plan.schedule().placed().stream()
                .anyMatch(p -> plan.network().task(p.task()).way(p.mode()).tool() > 0);
        if (dryer) {
            all.add(new Finding("said dryer", Kind.SAID, rules.get("dryer").text(), "", false));
        }
    }

    private void said(Collection<Material> used, List<Finding> all) {
        Set<String> kinds = used.stream().map(Material::kind).collect(Collectors.toSet());
        for (DataNode node : rules.get("said").items()) {
            node.onlyKeys(Set.of("kinds", "say"));
            if (node.words("kinds").stream().anyMatch(kinds::contains)) {
                String say = node.get("say").text();
                all.add(new Finding("said " + say.hashCode(), Kind.SAID, say, "", false));
            }
        }
    }
}
