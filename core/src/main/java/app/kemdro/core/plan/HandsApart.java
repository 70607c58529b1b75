package app.kemdro.core.plan;

import app.kemdro.core.body.Body;
import app.kemdro.core.look.Brief;
import app.kemdro.core.method.OrderSchool;
import app.kemdro.core.method.OwnHands;
import app.kemdro.core.method.StepTemplate;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Which hand does what, of somebody who works on themselves and has no other help: each arm is the other hand's work, and a hand
 * that is wet does nothing.
 */
public final class HandsApart {
    private static final String LEFT = "-left";
    private static final String RIGHT = "-right";
    private static final String HAND = "hand";
    private static final Set<String> ON_A_HAND = Set.of("hands", "nails");

    private final Body body;
    private final OwnHands hands;
    private final boolean apart;
    private final String working;

    /** For this trade and day. */
    public HandsApart(Trade trade, Brief brief) {
        this.body = trade.body();
        this.hands = trade.ownHands();
        this.apart = brief.selfApplied() && brief.crew().size() == 1;
        Optional<String> way = trade.orderSchools().stream()
                .filter(OrderSchool::byHand)
                .findFirst()
                .map(s -> s.taken(brief.allowed().schools()).id());
        this.working = way.filter("left"::equals).isPresent() ? LEFT : RIGHT;
    }

    /** Whether each hand works by itself, and one of these regions of the body is a hand or its nails. */
    public boolean workOn(Collection<String> regions) {
        return apart && regions.stream().anyMatch(ON_A_HAND::contains);
    }

    /** Zones in as many parts as have to be done one after the other, what is left to the other hand last. */
    List<List<String>> parts(List<String> zones) {
        List<String> last = zones.stream().filter(z -> isOf(working, z)).toList();
        return !apart || last.isEmpty() || last.size() == zones.size()
                ? List.of(zones)
                : List.of(zones.stream().filter(z -> !last.contains(z)).toList(), last);
    }

    /** The hands that work on these zones, by zone of the body; none where others do it or it does not matter. */
    public Set<String> doing(Technique technique, StepTemplate step, Collection<String> zones) {
        if (!apart || step.skill() == StepTemplate.Skill.NONE && !technique.performerOnly()) {
            return Set.of();
        }
        Set<String> regions = zones.stream().map(z -> body.zone(z).region()).collect(Collectors.toSet());
        if (!step.aside() && hands.both().fits(technique, regions, false)) {
            return Set.of(HAND + LEFT, HAND + RIGHT);
        }
        return Set.of(HAND + (isOnWorking(zones) && !step.aside() ? other() : working));
    }

    /** How many times as long it takes there because the hand that one does not write with does it. */
    double slower(Collection<String> zones) {
        return apart && isOnWorking(zones) ? hands.slower() : 1;
    }

    private boolean isOnWorking(Collection<String> zones) {
        return !zones.isEmpty() && zones.stream().allMatch(z -> isOf(working, z));
    }

    private String other() {
        return working.equals(LEFT) ? RIGHT : LEFT;
    }

    private boolean isOf(String side, String zone) {
        return zone.endsWith(side)
                && Set.of("arms", "hands", "nails").contains(body.zone(zone).region());
    }
}
