package app.kemdro.core.plan;

import static app.kemdro.core.plan.Samples.CALL;
import static app.kemdro.core.plan.Samples.PLANNER;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.entry;
import static app.kemdro.core.plan.Samples.lead;
import static app.kemdro.core.plan.Samples.look;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Hands;
import app.kemdro.core.look.Brief.Performer;
import app.kemdro.core.look.Brief.Room;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What cannot be planned is said: what, where, and what to do. */
class RefusedLooksTest {
    @Test
    void aLookOfThousandsOfEntriesIsRefusedWithWordsAndAtOnce() {
        List<LookEntry> pieces = java.util.stream.IntStream.range(0, 2000)
                .mapToObj(k -> new LookEntry("piece-" + k, "foam-piece", List.of("nose"), 0))
                .toList();
        Planning planning = PLANNER.plan(new Look(pieces), brief(lead("Ines")));
        assertThat(((Planning.Refused) planning).problems())
                .anyMatch(p -> p.what().contains("is the most that is planned"));
    }

    @Test
    void twoSchoolsOnOneBrowContradictEachOther() {
        assertRefused(
                look(entry("brow-powder-each", "brow-left"), entry("brow-powder-last", "brow-left", "brow-right")),
                brief(lead("Ines")),
                "Left brow has both",
                "Take one of them off");
        assertRefused(
                look(
                        entry("brow-powder-each", "brow-left", "brow-right"),
                        entry("brow-powder-last", "brow-left", "brow-right")),
                brief(lead("Ines")),
                "Both brows have both",
                "Take one of them off");
    }

    /** Two schools may share a zone side by side, each on a field of its own; together they take no more of it than there is. */
    @Test
    void fieldsSideBySideTakeNoMoreThanAll() {
        LookEntry water = entry("base-water", "nose").covering(40);
        LookEntry cream = entry("base-cream", "nose").covering(40);
        LookEntry airbrush = entry("base-airbrush", "nose").covering(30);
        assertRefused(
                look(water, cream, airbrush),
                brief(lead("Ines")),
                "Nose: its fields side by side take 110 % of it",
                "Make one of them smaller");
        assertRefused(look(water.covering(70), cream), brief(lead("Ines")), "Nose has both", "Take one of them off");
        // water paint never lies on the cream beside it, on which it would bead, whichever is laid first
        for (Look fields : List.of(look(water, cream), look(cream, water))) {
            Plan plan = ((Planning.Done) PLANNER.plan(fields, brief(lead("Ines")))).plan();
            assertThat(plan.stacks().get("nose").layers())
                    .hasSize(3)
                    .allMatch(l -> l.boundary().verdict().isFine());
        }
    }

    @Test
    void anEdgeWithNothingToBlendSaysWhatIsMissing() {
        assertRefused(
                look(entry("edge-latex", "cheek-left")),
                brief(lead("Ines")),
                "left cheek needs foam latex piece, silicone piece or the like first",
                "Add it there");
    }

    @Test
    void aReactionBarsWhatContainsItsCause() {
        assertRefused(
                look(entry("foam-piece-gum", "nose")),
                with(brief(lead("Ines")), 0, Set.of("resin-gum"), new Room(22, 45, 1)),
                "Tomas reacts to resin gum",
                "No spirit gum");
        assertRefused(
                Samples.fullCap(),
                with(brief(lead("Ines")), 0, Set.of("latex"), new Room(22, 45, 1)),
                "reacts to natural rubber latex",
                "emergency");
    }

    @Test
    void aTechniqueOnAZoneItIsNotForIsRefused() {
        assertRefused(
                look(entry("eye-soot", "nose")), brief(lead("Ines")), "cannot be used on nose", "Take that zone out");
    }

    @Test
    void moreThanTheWholeOfAZoneIsRefused() {
        LookEntry shade = entry("shade-highlight", "cheek-left", "cheek-right", "forehead");
        assertRefused(
                look(shade.covering(400)), brief(lead("Ines")), "covers 1 to 100 % of its zones", "Choose a number");
    }

    @Test
    void coatsOutsideTheSchoolsRangeAreRefused() {
        LookEntry nine = new LookEntry("b", "brow-powder-each", List.of("brow-left"), 9);
        assertRefused(new Look(List.of(nine)), brief(lead("Ines")), "takes 2 to 4 coats, not 9", "Choose a number");
    }

    @Test
    void hoursThatEndTooEarlyNameTheStepAndTheHourNeeded() {
        Hands early = new Hands("Ines", Brief.Skill.LEAD, CALL.minusHours(5), CALL.minusMinutes(150));
        assertRefused(
                Samples.fullCap(),
                new Brief(
                        CALL,
                        Optional.of(CALL.minusMinutes(170)),
                        brief(early).performer(),
                        List.of(early),
                        new Room(22, 45, 1),
                        Set.of(),
                        0,
                        false),
                "hours are too short: ",
                "Let somebody stay longer");
    }

    /** There are hours enough, only not when the lead's work comes: that there is no order is not proven, and not claimed. */
    @Test
    void thatHoursAreTooShortIsClaimedOnlyWhereTheyCannotBeEnough() {
        Hands early = new Hands("Ines", Brief.Skill.LEAD, CALL.minusHours(5), CALL.minusMinutes(100));
        Hands stays = new Hands("Pell", Brief.Skill.ASSISTANT, CALL.minusHours(5), CALL.plusHours(5));
        assertRefused(
                Samples.fullCap(),
                brief(early, stays).seated(CALL.minusMinutes(170)),
                "hours are too short, as far as was found",
                "Let somebody stay longer");
    }

    @Test
    void nothingIsClaimedAboutAnEmptyLook() {
        assertRefused(Look.EMPTY, brief(lead("Ines")), "Nothing happens on the body yet", "Press a zone");
    }

    /** Two entries that each want to lie over the other: the ring is read out. */
    @Test
    void layersThatWantToLieOverOneAnotherAreReadOutAsARing() {
        assertRefused(
                look(
                        entry("wash-alcohol", "nose").above("b"),
                        new LookEntry("b", "mottle-stipple", List.of("nose"), 0).above("wash-alcohol-nose"),
                        entry("base-cream", "nose")),
                brief(lead("Ines")),
                "These wait for one another",
                "Take one of them out");
    }

    @Test
    void aTechniqueThatKemdroPlansItselfIsRefusedOnAZone() {
        assertRefused(
                look(entry("costume-change", "nose")),
                brief(lead("Ines")),
                "is not put on a zone",
                "Kemdro plans it from the brief");
    }

    private static Brief with(Brief b, int costume, Set<String> reactsTo, Room room) {
        return new Brief(
                b.call(),
                b.chairIn(),
                new Performer("Tomas", 0, 0, 0, reactsTo),
                b.crew(),
                room,
                b.costumeCovers(),
                costume,
                false);
    }

    private static void assertRefused(Look look, Brief brief, String what, String remedy) {
        Planning planning = PLANNER.plan(look, brief);
        assertThat(planning).isInstanceOf(Planning.Refused.class);
        List<Problem> problems = ((Planning.Refused) planning).problems();
        assertThat(problems).anySatisfy(p -> {
            assertThat(p.what()).contains(what);
            assertThat(p.remedy()).contains(remedy);
        });
    }
}
