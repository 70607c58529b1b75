package app.kemdro.core.plan;

import static app.kemdro.core.plan.Samples.CALL;
import static app.kemdro.core.plan.Samples.TRADE;
import static app.kemdro.core.plan.Samples.assistant;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.entry;
import static app.kemdro.core.plan.Samples.lead;
import static app.kemdro.core.plan.Samples.look;
import static app.kemdro.core.plan.Samples.planned;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Hands;
import app.kemdro.core.look.Brief.Performer;
import app.kemdro.core.look.Brief.Room;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.look.Wish;
import app.kemdro.core.schedule.Lag;
import app.kemdro.core.schedule.Planner;
import app.kemdro.core.schedule.ScheduleCheck;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.core.schedule.Task;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

class LookPlannerTest {

    /** [F4] common practice: at least 90 minutes for one person, its base colour included, less with an assistant. */
    @Test
    void theFullCapTakesOnePersonAtLeastNinetyMinutesAndLessWithAnAssistant() {
        Plan alone = planned(Samples.fullCap(), brief(lead("Ines")));
        Plan helped = planned(Samples.fullCap(), brief(lead("Ines"), assistant("Pell")));
        assertThat(alone.schedule().ready() / 60).isBetween(90, 130);
        assertThat(helped.schedule().ready()).isLessThan(alone.schedule().ready());
    }

    @Test
    void theBellFounderIsPlannedSoundlyAndMakesAMorning() {
        Plan plan = planned(Samples.bellFounder(), brief(lead("Ines"), assistant("Pell")));
        assertThat(plan.steps()).hasSizeBetween(45, 80);
        assertThat(ScheduleCheck.problems(plan.network(), plan.schedule())).isEmpty();
        assertThat(plan.schedule().ready() / 60).isBetween(100, 170);
    }

    /** [F1] common practice: about three coats, each powdered. */
    @Test
    void eachBrowCoatIsPowderedBeforeTheNext() {
        Plan plan = planned(look(entry("brow-powder-each", "brow-left", "brow-right")), brief(lead("Ines")));
        assertThat(stepsOf(plan, "coat")).hasSize(3);
        assertThat(stepsOf(plan, "powder")).hasSize(3);
        for (int coat = 1; coat < 3; coat++) {
            assertThat(at(plan, "powder#" + coat).end())
                    .isLessThanOrEqualTo(at(plan, "coat#" + (coat + 1)).start());
        }
    }

    /** [F2] common practice: the last coat is powdered while it is still wet. */
    @Test
    void theLastBrowCoatIsPowderedInsideItsWetWindow() {
        Plan plan = planned(Samples.bellFounder(), brief(lead("Ines"), assistant("Pell")));
        ScheduledTask last = at(plan, "brow-left-brow-right/last");
        ScheduledTask powder = at(plan, "brow-left-brow-right/powder");
        assertThat(powder.start()).isBetween(last.end(), last.usable());
        assertThat(last.usable()).as("the window is a real one").isGreaterThan(last.end());
    }

    /** Hands come when it is too late to keep the call: the performer sits down with them, not hours before anybody is there. */
    @Test
    void nobodySitsDownBeforeHandsAreThere() {
        Hands late = new Hands("Ines", Brief.Skill.LEAD, CALL.minusHours(1), CALL.plusHours(12));
        Plan plan = planned(Samples.bellFounder(), brief(late));
        assertThat(plan.chairIn()).isEqualTo(late.from());
        assertThat(plan.inHand()).isNegative();
    }

    /** The second pair of hands comes late, so that the call cannot be kept and work waits for it; the order stays all the same. */
    @Test
    void anOrderThatWaitsForHandsIsKept() {
        Hands late = new Hands("Ines", Brief.Skill.LEAD, CALL.minusMinutes(30), CALL.plusHours(12));
        Brief brief = brief(assistant("Pell"), late);
        Plan plan = planned(Samples.bellFounder(), brief);
        assertThat(plan.inHand()).isNegative();
        LookPlanner hasty = new LookPlanner(TRADE, Planner.trying(1));
        Planning.Done kept = (Planning.Done) hasty.keeping(Samples.bellFounder(), brief, plan.schedule(), "");
        assertThat(kept.plan().schedule().placed()).isEqualTo(plan.schedule().placed());
        assertThat(kept.plan().chairIn()).isEqualTo(plan.chairIn());
    }

    /** Something that must not begin before a time so late that the call cannot be kept: the order stays all the same. */
    @Test
    void anOrderThatWaitsForATimeOfDayIsKept() {
        Brief brief = brief(lead("Ines"));
        Plan free = planned(Samples.bellFounder(), brief);
        String last = free.schedule()
                .placed()
                .get(free.schedule().placed().size() / 2)
                .task();
        Look look = Samples.bellFounder().wishing(List.of(Wish.notBefore(last, 10)));
        Plan plan = planned(look, brief);
        assertThat(plan.inHand()).isNegative();
        Planning.Done kept =
                (Planning.Done) new LookPlanner(TRADE, Planner.trying(1)).keeping(look, brief, plan.schedule(), "");
        assertThat(kept.plan().schedule().placed()).isEqualTo(plan.schedule().placed());
        assertThat(kept.plan().chairIn()).isEqualTo(plan.chairIn());
    }

    @Test
    void latexIsPowderedBeforeAnythingTouchesIt() {
        Plan plan = planned(Samples.bellFounder(), brief(lead("Ines"), assistant("Pell")));
        PlannedStep latex = step(plan, "cap-latex-crown/stipple-all");
        PlannedStep powder = step(plan, "cap-latex-crown/powder-all");
        ScheduledTask laid = plan.schedule().of(latex.id());
        ScheduledTask powdered = plan.schedule().of(powder.id());
        assertThat(powdered.start()).isBetween(laid.settled(), laid.settled() + 4 * 60);
        assertThat(plan.schedule().placed())
                .filteredOn(p -> p.start() > laid.start() && p.start() < powdered.start())
                .noneMatch(p -> plan.network().task(p.task()).zones().stream().anyMatch(latex.zones()::contains));
    }

    @Test
    void edgeCoatsAreEachThinnerAndDrySooner() {
        Plan plan = planned(Samples.fullCap(), brief(lead("Ines")));
        List<Double> times = stepsOf(plan, "edge-latex-hairline/coat").stream()
                .map(s -> s.drying().orElseThrow().clear().orElseThrow())
                .toList();
        assertThat(times).hasSize(3).isSortedAccordingTo(java.util.Comparator.reverseOrder());
    }

    @Test
    void skinIsCleanedAndCreamIsPowderedWithoutBeingAsked() {
        Plan plan = planned(look(entry("base-cream", "nose", "cheek-left")), brief(lead("Ines")));
        assertThat(plan.steps())
                .filteredOn(PlannedStep::implied)
                .extracting(s -> s.technique().id())
                .contains("skin-prep", "set-powder", "final-look");
        assertThat(at(plan, "degrease").end())
                .isLessThanOrEqualTo(at(plan, "/lay").start());
        assertThat(at(plan, "/lay").end())
                .isLessThanOrEqualTo(at(plan, "set-powder-face/powder").start());
    }

    @Test
    void creamOnALatexCapGetsCastorGreaseBetween() {
        Plan plan = planned(Samples.fullCap(), brief(lead("Ines")));
        assertThat(plan.steps()).anyMatch(s -> s.implied() && s.technique().id().equals("castor-ground"));
        assertThat(at(plan, "castor-ground-head/powder").end())
                .isLessThanOrEqualTo(at(plan, "base-cream").start());
    }

    @Test
    void handsComeAfterCostumeAndLidsAfterTheBase() {
        Brief costume = with(brief(lead("Ines"), assistant("Pell")), 15, Set.of(), new Room(22, 45, 1));
        Plan plan = planned(Samples.bellFounder(), costume);
        assertThat(at(plan, "finish-skin-hand-left-hand-right/base").start())
                .isGreaterThanOrEqualTo(at(plan, "costume-change/dress").end());
        assertThat(at(plan, "eye-soot").start())
                .isGreaterThanOrEqualTo(at(plan, "base-cream").end());
        assertThat(plan.schedule()
                        .placed()
                        .get(plan.schedule().placed().size() - 1)
                        .task())
                .contains("final-look");
    }

    @Test
    void aLargerHeadTakesLonger() {
        Brief small = brief(lead("Ines"));
        Brief large = new Brief(
                CALL,
                Optional.empty(),
                new Performer("Tomas", 0, 0, 62, Set.of()),
                small.crew(),
                small.room(),
                Set.of(),
                0,
                false);
        assertThat(planned(Samples.fullCap(), large).schedule().ready())
                .isGreaterThan(planned(Samples.fullCap(), small).schedule().ready());
    }

    @Test
    void oneselfInTheMirrorTakesLongerAndIsWarnedAboutTheBack() {
        Brief own = new Brief(
                CALL,
                Optional.empty(),
                new Performer("Ines", 0, 0, 0, Set.of()),
                List.of(lead("Ines")),
                new Room(22, 45, 1),
                Set.of(),
                0,
                true);
        Plan plan = planned(Samples.fullCap(), own);
        assertThat(plan.schedule().ready())
                .isGreaterThan(planned(Samples.fullCap(), brief(lead("Ines")))
                        .schedule()
                        .ready());
        assertThat(plan.notes()).anyMatch(n -> n.what().contains("reached blind"));
    }

    /**
     * A coat over back and belly takes 40 minutes, and its powder must follow within three: where breaks are wished for every 40
     * minutes no break falls between, and the morning is not drawn out in search of one.
     */
    @Test
    void aCoatAndItsPowderAreWorkedThroughWhereNoBreakFitsBetween() {
        Brief usual = brief(lead("Ines"));
        Brief often = new Brief(
                CALL,
                usual.chairIn(),
                new Brief.Performer("Tomas", 194, 0, 53, Set.of()),
                usual.crew(),
                new Room(14, 82, 3),
                Set.of(),
                0,
                false,
                usual.purpose(),
                new Brief.Breaks(40, 15, 30));
        Plan plan = planned(look(entry("age-stretch", "lower-back", "belly")), often);
        assertThat(ScheduleCheck.problems(plan.network(), plan.schedule())).isEmpty();
        int work = plan.network().tasks().stream().mapToInt(Task::work).sum();
        assertThat(plan.schedule().ready()).isLessThan(2 * work);
        assertThat(plan.notes())
                .extracting(Problem::what)
                .anyMatch(what -> what.matches("“Powder.*” and what leaves no time before it take \\d+ min in one go,"
                        + " longer than the 40 min after which there should be a break\\."));
    }

    @Test
    void chairInIsWorkedOutFromTheCall() {
        Plan plan = planned(Samples.fullCap(), brief(lead("Ines")));
        assertThat(plan.inHand()).isBetween(0L, 299L);
        assertThat(plan.chairIn().getMinute() % 5).isZero();
    }

    @Test
    void aHumidHotRoomMakesItReadyLater() {
        Plan dry = planned(Samples.bellFounder(), brief(lead("Ines")));
        Plan damp = planned(Samples.bellFounder(), with(brief(lead("Ines")), 0, Set.of(), new Room(30, 80, 0)));
        assertThat(damp.schedule().ready()).isGreaterThan(dry.schedule().ready());
    }

    @Test
    void everyWindowIsAWindowOfTheTrade() {
        Plan plan = planned(Samples.bellFounder(), brief(lead("Ines"), assistant("Pell")));
        assertThat(plan.network().lags())
                .filteredOn(l -> l.kind() == Lag.Kind.FRESH || l.within() != null)
                .isNotEmpty()
                .allSatisfy(l -> assertThat(l.because()).isNotBlank());
        assertThat(TRADE.rules()).isNotEmpty();
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

    private static List<PlannedStep> stepsOf(Plan plan, String part) {
        return plan.steps().stream()
                .filter(s -> s.id().contains("/" + part + "#") || s.id().contains(part + "#"))
                .toList();
    }

    private static PlannedStep step(Plan plan, String part) {
        return plan.steps().stream()
                .filter(s -> s.id().contains(part))
                .findFirst()
                .orElseThrow();
    }

    private static ScheduledTask at(Plan plan, String part) {
        return plan.schedule().of(step(plan, part).id());
    }

    @Test
    void handsAndFaceOfOneEntryArePiecesOfWorkOfTheirOwn() {
        Plan plan = planned(look(entry("base-cream", "nose", "hand-left", "chest")), brief(lead("Ines")));
        assertThat(plan.steps())
                .filteredOn(s -> s.technique().id().equals("base-cream"))
                .hasSize(3)
                .allMatch(s -> s.entryId().equals("base-cream-nose-hand-left-chest"));
    }

    @Test
    void strengthAndCoverageChangeTheWork() {
        LookEntry usual = entry("shade-highlight", "cheek-left", "cheek-right", "forehead");
        int work = work(usual);
        assertThat(work(usual.strong(LookEntry.Strength.HEAVY))).isGreaterThan(work);
        assertThat(work(usual.strong(LookEntry.Strength.LIGHT))).isLessThan(work);
        assertThat(work(usual.covering(25))).isLessThan(work);
    }

    private static int work(LookEntry shade) {
        return planned(look(shade, entry("base-cream", "cheek-left", "cheek-right", "forehead")), brief(lead("Ines")))
                .network()
                .tasks()
                .stream()
                .filter(t -> t.id().startsWith("shade"))
                .mapToInt(t -> t.work())
                .sum();
    }

    /** A gel warms while other work goes on: warming takes no zone. */
    @Test
    void gelWarmsWhileOtherWorkGoesOn() {
        Plan plan = planned(
                look(entry("gel-scar", "cheek-left"), entry("base-cream", "forehead", "nose", "cheek-right")),
                brief(lead("Ines")));
        var warm = plan.schedule().of("gel-scar-cheek-left/warm");
        var place = plan.schedule().of("gel-scar-cheek-left/place");
        assertThat(place.start() - warm.end()).isGreaterThanOrEqualTo(6 * 60);
        assertThat(plan.schedule().placed()).anyMatch(p -> p.start() >= warm.end() && p.end() <= place.start());
    }
}
