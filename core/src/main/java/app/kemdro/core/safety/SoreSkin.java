package app.kemdro.core.safety;

import app.kemdro.core.body.Body;
import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.layer.Stack;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.safety.HealthRecord.Skin;
import app.kemdro.core.safety.HealthRecord.SkinSeen;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** Skin as it was seen last: what is broken is not worked on, what was red rests. */
final class SoreSkin implements SafetyRule {
    private final Trade trade;
    private final DataNode rules;

    SoreSkin(Trade trade, DataNode rules) {
        this.trade = trade;
        this.rules = rules;
    }

    @Override
    public List<Finding> findings(SafetyCase of) {
        List<Finding> all = new ArrayList<>();
        Plan plan = of.plan();
        HealthRecord care = of.care();
        Body body = trade.body();
        Set<String> worked =
                plan.steps().stream().flatMap(s -> s.zones().stream()).collect(Collectors.toSet());
        List<SkinSeen> last = body.sorted(care.lastSeen().keySet()).stream()
                .map(care.lastSeen()::get)
                .toList();
        Set<String> broken = new HashSet<>(care.broken());
        last.stream().filter(s -> s.skin() == Skin.BROKEN).map(SkinSeen::zone).forEach(broken::add);
        last.stream().filter(s -> s.skin() == Skin.RED).forEach(s -> sore(s, plan, all));
        List<String> both = body.sorted(broken.stream().filter(worked::contains).collect(Collectors.toSet()));
        if (!both.isEmpty()) {
            all.add(Finding.block(
                    "broken",
                    "Skin is broken, burnt, infected or irritated where work is planned: " + body.say(both) + ".",
                    "It is not worked on. Take it out of the look, or wait until it has healed.",
                    false));
        }
        return all;
    }

    /** Skin that was red rests for a while from what is stuck, and longer from what it was red under. */
    private void sore(SkinSeen seen, Plan plan, List<Finding> all) {
        Stack stack = plan.stacks().get(seen.zone());
        Set<String> stuck = stack == null ? Set.of() : Safety.stuck(stack);
        DataNode rest = rules.get("rest");
        LocalDateTime until = seen.at().plusHours((int) rest.get("hours").number(1, 240));
        boolean same = stuck.stream().anyMatch(seen.under()::contains);
        LocalDateTime away = seen.at().plusHours((int) rest.get("same-hours").number(1, 2400));
        String zone = trade.body().zone(seen.zone()).name();
        if (!stuck.isEmpty() && plan.chairIn().isBefore(until)) {
            all.add(Finding.warn(
                    "rest " + seen.zone(),
                    "Skin was red at the " + zone + " on " + Finding.moment(seen.at()) + ".",
                    "Let it rest until " + Finding.moment(until) + ", or leave it out of what is stuck."));
        } else if (same && plan.chairIn().isBefore(away)) {
            all.add(Finding.warn(
                    "rest " + seen.zone(),
                    "Skin was red at the " + zone + " on " + Finding.moment(seen.at())
                            + ", under what is to go there again.",
                    "Take another adhesive there: Kit, do without."));
        }
    }
}
