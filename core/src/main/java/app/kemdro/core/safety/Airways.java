package app.kemdro.core.safety;

import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.layer.Stack;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import java.util.ArrayList;
import java.util.List;

/** What is worn over nose, mouth and much of the face. */
final class Airways implements SafetyRule {
    private final Trade trade;
    private final DataNode rules;

    Airways(Trade trade, DataNode rules) {
        this.trade = trade;
        this.rules = rules;
    }

    @Override
    public List<Finding> findings(SafetyCase of) {
        List<Finding> all = new ArrayList<>();
        Plan plan = of.plan();
        HealthRecord care = of.care();
        boolean nose = covered(plan, rules.get("airways").words("nose"));
        boolean mouth = covered(plan, rules.get("airways").words("mouth"));
        if (nose && mouth) {
            all.add(Finding.block(
                    "airways",
                    "Forms lie at nose and mouth both.",
                    "Nostrils and mouth stay free. A lead looks at the pieces and says so, with the reason.",
                    true));
        } else if (nose) {
            all.add(Finding.warn(
                    "sip", "A form lies at the nose: swallowing can stop breathing.", "Test a sip before going on."));
        }
        boolean face = plan.stacks().entrySet().stream()
                        .filter(e -> trade.body().zone(e.getKey()).region().equals("face"))
                        .filter(e -> isWorn(e.getValue()))
                        .count()
                >= 3;
        if (care.panics() && face) {
            all.add(Finding.warn(
                    "panic",
                    "This performer has trouble with masks or breathing, and much of the face is covered.",
                    "Talk it through beforehand, agree on a signal, plan pauses, know the fast way off."));
        }
        return all;
    }

    private static boolean covered(Plan plan, List<String> zones) {
        return zones.stream().map(plan.stacks()::get).filter(s -> s != null).anyMatch(Airways::isWorn);
    }

    private static boolean isWorn(Stack stack) {
        return stack.layers().stream().anyMatch(l -> l.technique().worn());
    }
}
