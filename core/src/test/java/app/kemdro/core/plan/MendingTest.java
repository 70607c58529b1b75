package app.kemdro.core.plan;

import static app.kemdro.core.plan.Samples.PLANNER;
import static app.kemdro.core.plan.Samples.TRADE;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.entry;
import static app.kemdro.core.plan.Samples.lead;
import static app.kemdro.core.plan.Samples.look;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.layer.Stack;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.method.Technique;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class MendingTest {
    private static final Mending MENDING = new Mending(TRADE, PLANNER);
    private static final Brief BRIEF = brief(lead("Ines"));

    @Test
    void waterOverUnpowderedCreamIsMendedByPowderAndTheMendGoesAgain() {
        Look look = look(entry("prepaint-wash", "cheek-left"), entry("base-water", "cheek-left"));
        Stack stack = PLANNER.stacks(look, BRIEF).get("cheek-left");
        int number = stack.layers().indexOf(stack.troubles().get(0));
        List<Mending.Offer> offers = MENDING.offers(look, BRIEF, "cheek-left", number);
        Mending.Offer powder = offers.stream()
                .filter(o -> o.says().startsWith("Powder between"))
                .findFirst()
                .orElseThrow();
        assertThat(PLANNER.stacks(powder.look(), BRIEF).get("cheek-left").troubles())
                .isEmpty();
        assertThat(powder.look().entries()).hasSize(3);
        Look without = new Look(powder.look().entries().subList(0, 2));
        assertThat(without).isEqualTo(look);
    }

    @Test
    void anotherSchoolIsOfferedWhereItHolds() {
        Look look = look(entry("silicone-silicone", "nose"), entry("base-cream", "nose"));
        assertThat(offersOn(look, "nose")).anyMatch(o -> o.says().contains("instead of"));
    }

    @Test
    void latexInHairIsMendedByABarrierOnTheHair() {
        Look look = look(entry("latex-piece", "brow-left", "forehead"));
        assertThat(offersOn(look, "brow-left")).anyMatch(o -> o.says().startsWith("Petroleum jelly"));
    }

    @Test
    void nothingIsOfferedWhereEverythingHolds() {
        Look look = look(entry("base-cream", "nose"));
        assertThat(MENDING.offers(look, BRIEF, "nose", 0)).isEmpty();
        assertThat(MENDING.offers(look, BRIEF, "nose", 99)).isEmpty();
        assertThat(MENDING.offers(look, BRIEF, "no-such-zone", 0)).isEmpty();
    }

    private static List<Mending.Offer> offersOn(Look look, String zone) {
        Stack stack = PLANNER.stacks(look, BRIEF).get(zone);
        List<Mending.Offer> all = new ArrayList<>();
        for (Stack.Layer trouble : stack.troubles()) {
            all.addAll(MENDING.offers(look, BRIEF, zone, stack.layers().indexOf(trouble)));
        }
        return all;
    }

    /** Any two techniques on one zone: whatever is offered leaves fewer troubles than there were. */
    @Test
    void whateverIsOfferedMends() {
        int offered = 0;
        for (String zone : List.of("cheek-left", "brow-left", "mouth")) {
            List<Technique> here = TRADE.techniques().stream()
                    .filter(t -> !t.between()
                            && !t.implied()
                            && t.covers().isEmpty()
                            && t.zones().contains(zone))
                    .toList();
            for (Technique a : here) {
                for (Technique b : here.subList(0, here.indexOf(a))) {
                    Look look = new Look(List.of(
                            new LookEntry("a", a.id(), List.of(zone), 0),
                            new LookEntry("b", b.id(), List.of(zone), 0)));
                    Map<String, Stack> now = PLANNER.stacks(look, BRIEF);
                    if (now.containsKey(zone) && !now.get(zone).troubles().isEmpty()) {
                        Stack stack = now.get(zone);
                        int number = stack.layers().indexOf(stack.troubles().get(0));
                        for (Mending.Offer offer : MENDING.offers(look, BRIEF, zone, number)) {
                            offered++;
                            assertThat(PLANNER.stacks(offer.look(), BRIEF)
                                            .get(zone)
                                            .troubles()
                                            .size())
                                    .as(offer.says() + " for " + a.id() + " and " + b.id())
                                    .isLessThanOrEqualTo(stack.troubles().size());
                        }
                    }
                }
            }
        }
        assertThat(offered).isGreaterThan(100);
    }
}
