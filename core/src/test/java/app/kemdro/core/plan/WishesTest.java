package app.kemdro.core.plan;

import static app.kemdro.core.plan.Samples.CALL;
import static app.kemdro.core.plan.Samples.PLANNER;
import static app.kemdro.core.plan.Samples.assistant;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.entry;
import static app.kemdro.core.plan.Samples.lead;
import static app.kemdro.core.plan.Samples.look;
import static app.kemdro.core.plan.Samples.planned;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Hands;
import app.kemdro.core.look.Brief.Skill;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.Wish;
import app.kemdro.core.schedule.Planner;
import app.kemdro.core.schedule.ScheduleCheck;
import app.kemdro.core.schedule.ScheduledTask;
import java.time.LocalDateTime;
import java.util.List;
import org.junit.jupiter.api.Test;

class WishesTest {
    private static final Brief TWO = brief(lead("Ines"), assistant("Pell"));
    private static final Look BROWS_AND_NECK =
            look(entry("brow-powder-last", "brow-left", "brow-right"), entry("base-cream", "throat", "nape"));

    private static String step(Plan plan, String part) {
        return plan.steps().stream()
                .map(PlannedStep::id)
                .filter(id -> id.contains(part))
                .findFirst()
                .orElseThrow();
    }

    private static ScheduledTask at(Plan plan, String step) {
        return plan.schedule().of(step);
    }

    private static Plan done(Planning planning) {
        return ((Planning.Done) planning).plan();
    }

    private static Plan sound(Look look) {
        Plan plan = planned(look, TWO);
        assertThat(ScheduleCheck.problems(plan.network(), plan.schedule())).isEmpty();
        return plan;
    }

    @Test
    void anOrderIsKeptWhicheverWayRoundItIsWished() {
        Plan free = sound(BROWS_AND_NECK);
        String brow = step(free, "brow-powder-last");
        String neck = step(free, "base-cream");
        Plan first = sound(BROWS_AND_NECK.wishing(Wish.before(brow, neck)));
        assertThat(at(first, neck).start())
                .isGreaterThanOrEqualTo(at(first, brow).end());
        Plan last = sound(BROWS_AND_NECK.wishing(Wish.before(neck, brow)));
        assertThat(at(last, brow).start()).isGreaterThanOrEqualTo(at(last, neck).end());
    }

    @Test
    void workGoesToTheHandsItIsWishedFor() {
        Plan free = sound(BROWS_AND_NECK);
        String neck = step(free, "base-cream");
        for (String hands : List.of("Ines", "Pell")) {
            assertThat(at(sound(BROWS_AND_NECK.wishing(Wish.by(neck, hands))), neck)
                            .worker())
                    .isEqualTo(hands);
        }
    }

    @Test
    void aTimeOfDayIsKeptAndMovesAlongWithTheCall() {
        Plan free = sound(BROWS_AND_NECK);
        String neck = step(free, "base-cream");
        Look wished = BROWS_AND_NECK.wishing(Wish.notBefore(neck, 5));
        Plan plan = sound(wished);
        assertThat(plan.clock(at(plan, neck).start())).isEqualTo(CALL.minusMinutes(5));
        Brief later = TWO.moved(java.time.Duration.ofHours(3));
        Plan moved = planned(wished, later);
        assertThat(moved.clock(at(moved, neck).start()))
                .isEqualTo(CALL.plusHours(3).minusMinutes(5));
    }

    /** The chair is taken 50 minutes before the call: spatter goes, and only spatter; with time enough nothing goes. */
    @Test
    void whatIsDoneOnlyIfThereIsTimeIsLeftOutWhereThereIsNone() {
        Look whole = look(
                entry("base-cream", "forehead", "cheek-left", "cheek-right"),
                entry("shade-highlight", "forehead", "cheek-left", "cheek-right"),
                entry("spatter", "forehead", "cheek-left", "cheek-right"));
        Plan all = planned(whole, brief(lead("Ines")));
        String spatter = whole.entries().get(2).id();
        String shade = whole.entries().get(1).id();
        Look wished = whole.wishing(Wish.ifTime(spatter)).wishing(Wish.ifTime(shade));
        Brief enough =
                brief(lead("Ines")).seated(CALL.minusSeconds(all.schedule().ready()));
        assertThat(planned(wished, enough).left()).isEmpty();

        Brief short1 = enough.seated(CALL.minusSeconds(all.schedule().ready() - 60));
        Plan less = planned(wished, short1);
        assertThat(less.left()).hasSize(1);
        assertThat(less.inHand()).isNotNegative();
        assertThat(less.steps()).noneMatch(s -> less.left().contains(s.entryId()));
        assertThat(less.notes()).anyMatch(n -> n.what().contains("no time for"));
        assertThat(less.carriedOut(wished).entries()).hasSize(2);
        assertThat(less.carriedOut(wished).wishes()).isEmpty();

        Brief none = enough.seated(CALL.minusMinutes(1));
        assertThat(planned(wished, none).left()).containsExactlyInAnyOrder(spatter, shade);
    }

    /** The first order that is found is late, another is not: it is not said that there is no time. */
    @Test
    void nothingIsLeftOutBecauseALookWasShort() {
        Look whole = Samples.bellFounder();
        LookPlanner hasty = new LookPlanner(Samples.TRADE, Planner.trying(10));
        Brief two = brief(lead("Ines"), lead("Pell"));
        Plan first = done(hasty.plan(whole, two));
        Plan better = planned(whole, two);
        int within = first.schedule().ready() - 60;
        assertThat(better.schedule().ready()).isLessThan(within);
        Look wished = whole.wishing(
                Wish.ifTime(whole.entries().get(whole.entries().size() - 1).id()));
        Plan found = done(hasty.plan(wished, two.seated(CALL.minusSeconds(within))));
        assertThat(found.left()).isEmpty();
        assertThat(found.inHand()).isNotNegative();
        assertThat(ScheduleCheck.problems(found.network(), found.schedule())).isEmpty();
    }

    /** The only hands go home a minute before the spatter would be done: the rest is planned, and it says why. */
    @Test
    void whatIsDoneOnlyIfThereIsTimeIsLeftOutWhereTheHoursAreTooShort() {
        Look whole = look(entry("base-cream", "forehead", "cheek-left"), entry("spatter", "forehead", "cheek-left"));
        Plan all = planned(whole, brief(lead("Ines")));
        LocalDateTime chairIn = CALL.minusHours(3);
        int last = all.schedule().placed().stream()
                .filter(p -> p.worker() != null)
                .mapToInt(ScheduledTask::end)
                .max()
                .orElseThrow();
        Brief hurried = brief(new Hands("Ines", Skill.LEAD, chairIn, chairIn.plusSeconds(last - 60)))
                .seated(chairIn);
        assertThat(PLANNER.plan(whole, hurried)).isInstanceOf(Planning.Refused.class);
        String spatter = whole.entries().get(1).id();
        Plan less = planned(whole.wishing(Wish.ifTime(spatter)), hurried);
        assertThat(less.left()).containsExactly(spatter);
        assertThat(less.notes()).anyMatch(n -> n.what().contains("no time for"));
    }

    /** Everybody goes home before the first order that is found would be done; another is done by then. */
    @Test
    void hoursAreNotTooShortBecauseALookWasShort() {
        Look whole = Samples.bellFounder();
        LookPlanner hasty = new LookPlanner(Samples.TRADE, Planner.trying(10));
        Brief two = brief(lead("Ines"), lead("Pell"));
        Plan first = done(hasty.plan(whole, two));
        LocalDateTime chairIn = CALL.minusSeconds(first.schedule().ready());
        LocalDateTime until = CALL.minusSeconds(120);
        Brief hurried = brief(
                        new Hands("Ines", Skill.LEAD, chairIn, until), new Hands("Pell", Skill.LEAD, chairIn, until))
                .seated(chairIn);
        Plan found = done(hasty.plan(whole, hurried));
        assertThat(ScheduleCheck.problems(found.network(), found.schedule())).isEmpty();
        assertThat(found.schedule().placed().stream().filter(p -> p.worker() != null))
                .allMatch(p -> !found.clock(p.end()).isAfter(until));
    }

    /** An order that was kept in mind with everything in it is still given up where there is no time for it. */
    @Test
    void theOrderInMindDoesNotBringBackWhatThereIsNoTimeFor() {
        Look whole = look(entry("base-cream", "forehead"), entry("spatter", "forehead"));
        Plan all = planned(whole, brief(lead("Ines")));
        String spatter = whole.entries().get(1).id();
        Brief late = brief(lead("Ines")).seated(CALL.minusSeconds(all.schedule().ready() - 60));
        Planning kept = PLANNER.keeping(whole.wishing(Wish.ifTime(spatter)), late, all.schedule(), "");
        assertThat(((Planning.Done) kept).plan().left()).containsExactly(spatter);
    }

    /** Three wishes, of which two clash: only those two are named, whatever the third says. */
    @Test
    void theSmallestClashIsNamedAndNothingElse() {
        Plan free = sound(BROWS_AND_NECK);
        String brow = step(free, "brow-powder-last");
        String neck = step(free, "base-cream");
        Wish innocent = Wish.by(neck, "Pell");
        Wish one = Wish.before(brow, neck);
        Wish other = Wish.before(neck, brow);
        Look torn = BROWS_AND_NECK.wishing(List.of(one, innocent, other));
        Planning.Refused refused = (Planning.Refused) PLANNER.plan(torn, TWO);
        assertThat(refused.clash()).containsExactlyInAnyOrder(one, other);
        assertThat(refused.problems()).hasSize(1);
        assertThat(refused.problems().get(0).what())
                .contains("cannot all be kept")
                .contains("before");
        for (Wish dropped : refused.clash()) {
            List<Wish> rest =
                    torn.wishes().stream().filter(w -> !w.equals(dropped)).toList();
            assertThat(PLANNER.plan(torn.wishing(rest), TWO)).isInstanceOf(Planning.Done.class);
        }
    }

    @Test
    void aMomentBeforeWhatMustComeFirstIsRefusedWithTheMinutesItLacks() {
        Plan free = sound(BROWS_AND_NECK);
        String last = free.schedule()
                .placed()
                .get(free.schedule().placed().size() - 1)
                .task();
        Brief seated = TWO.seated(CALL.minusMinutes(60));
        Planning.Refused refused =
                (Planning.Refused) PLANNER.plan(BROWS_AND_NECK.wishing(Wish.begunBy(last, 60)), seated);
        assertThat(refused.clash()).containsExactly(Wish.begunBy(last, 60));
        assertThat(refused.problems().get(0).what())
                .contains("This wish cannot be kept")
                .containsPattern("\\d+ min after that");
    }

    @Test
    void workOfALeadIsNotGivenToAnAssistant() {
        Look crust = look(entry("foam-piece", "forehead"));
        Plan free = planned(crust, TWO);
        String leads = free.network().tasks().stream()
                .filter(t -> t.needs() == app.kemdro.core.schedule.Task.Needs.LEAD)
                .findFirst()
                .orElseThrow()
                .id();
        Planning.Refused refused = (Planning.Refused) PLANNER.plan(crust.wishing(Wish.by(leads, "Pell")), TWO);
        assertThat(refused.problems().get(0).what()).contains("is a lead's work, and Pell is not one");
    }

    @Test
    void aWishAboutWhatIsGoneIsSaidAndStopsNothing() {
        Look wished = BROWS_AND_NECK.wishing(Wish.by("no-such-step", "Pell"));
        assertThat(planned(wished, TWO).notes()).anyMatch(n -> n.what().contains("counts no more"));
    }

    @Test
    void aLaterWishOfTheSameSortTakesThePlaceOfTheEarlier() {
        Look wished = BROWS_AND_NECK.wishing(Wish.by("a", "Ines")).wishing(Wish.by("a", "Pell"));
        assertThat(wished.wishes()).containsExactly(Wish.by("a", "Pell"));
        Look both = BROWS_AND_NECK.wishing(Wish.before("a", "b")).wishing(Wish.before("a", "c"));
        assertThat(both.wishes()).hasSize(2);
    }
}
