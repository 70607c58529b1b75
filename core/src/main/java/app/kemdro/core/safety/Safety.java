package app.kemdro.core.safety;

import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.layer.Stack;
import app.kemdro.core.look.Look;
import app.kemdro.core.material.Material;
import app.kemdro.core.material.MaterialRole;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.strike.Removal;
import java.time.LocalDateTime;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** Reads a plan and what is known of its performer for what must be seen to. The rules are trade/safety.yaml. */
public final class Safety {
    /** What the key of a finding about a patch test begins with; the family follows. */
    public static final String PATCH = "patch ";

    private final Trade trade;
    private final PatchTests patchTests;
    private final Consents consents;
    private final Tools tools;
    private final List<SafetyRule> rules;

    /** Reads with this trade. */
    public Safety(Trade trade) {
        this.trade = trade;
        DataNode file = DataNode.resource("/trade/safety.yaml");
        file.onlyKeys(
                Set.of("patch-test", "lens-hours", "heavy", "airways", "rest", "consent", "dryer", "tools", "said"));
        this.patchTests = new PatchTests(file);
        this.consents = new Consents(trade, file);
        this.tools = new Tools(file);
        this.rules = List.of(
                patchTests,
                new SoreSkin(trade, file),
                new Airways(trade, file),
                new Lenses(file),
                new HeavyForms(trade, file),
                new Warmth(trade, file),
                tools,
                consents,
                Safety::ofAge,
                Safety::comesOff,
                new SaidAtTheChair(file));
    }

    /** Families of which a patch test is written down, by name. */
    public List<Material> tested() {
        return trade.materials().all().stream()
                .filter(patchTests::tests)
                .sorted(Comparator.comparing(Material::name))
                .toList();
    }

    /** Families that come near in this plan and need a patch test, by name. */
    public List<Material> toTest(Plan plan, Look look, Removal removal) {
        SafetyCase of = SafetyCase.of(trade, plan, look, removal, HealthRecord.UNKNOWN, Set.of(), plan.chairIn());
        return patchTests
                .needed(of)
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
        SafetyCase of = SafetyCase.of(trade, plan, look, removal, care, agreed, now);
        return rules.stream()
                .flatMap(r -> r.findings(of).stream())
                .sorted(Comparator.comparing(Finding::kind))
                .toList();
    }

    private static List<Finding> ofAge(SafetyCase of) {
        return of.care().minor() && !of.care().guardian()
                ? List.of(Finding.block(
                        "minor",
                        "The performer is not of age, and no guardian has agreed.",
                        "A guardian is there and agrees; local working hours of minors apply.",
                        false))
                : List.of();
    }

    private static List<Finding> comesOff(SafetyCase of) {
        return of.removal().unknown().stream()
                .map(u -> Finding.block(
                        "removal " + u,
                        "Nothing known takes this off where it lies: " + u + ".",
                        "Read its label before it goes on, or choose another way in Look.",
                        true))
                .toList();
    }

    /** Something a performer has to agree to before it is done. */
    public record Procedure(String id, String say) {}

    /** What this plan's performer has to agree to. */
    public List<Procedure> procedures(Plan plan) {
        return consents.procedures(plan);
    }

    /** What must not be in gloves, sponges and tools near somebody who reacts so, as the bag says it. */
    public List<String> withoutIn(Set<String> reactsTo) {
        return tools.withoutIn(reactsTo);
    }

    /** Families of this zone's layers that stick to skin, by id. */
    public static Set<String> stuck(Stack stack) {
        return stack.layers().stream()
                .map(Stack.Layer::material)
                .filter(m -> m.is(MaterialRole.GLUE))
                .map(Material::id)
                .collect(Collectors.toSet());
    }
}
