package app.kemdro.core.run;

import static app.kemdro.core.plan.Samples.TRADE;
import static app.kemdro.core.plan.Samples.assistant;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.lead;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Room;
import app.kemdro.core.look.Brief.Skill;
import app.kemdro.core.method.Repair;
import app.kemdro.core.plan.CharactersTest;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.plan.PuttingRight;
import app.kemdro.core.plan.Samples;
import app.kemdro.core.run.StepState.Status;
import app.kemdro.core.schedule.Progress;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduleCheck;
import app.kemdro.core.schedule.ScheduledTask;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class ChangesTest {
    private static final Brief TWO = brief(lead("Ines"), assistant("Pell"));

    private static Mornings morning() {
        return new Mornings(Samples.bellFounder(), TWO);
    }

    private static int ready(Mornings m, int second) {
        return m.rest(second).ready();
    }

    private static void sound(Mornings m, int second) {
        Plan plan = m.plan();
        Progress progress = new Chair(plan, m.state()).progress(m.at(second));
        assertThat(ScheduleCheck.problems(plan.network(), progress, m.rest(second)))
                .isEmpty();
    }

    /** The step of a piece that was pressed on first. */
    private static ScheduledTask pressed(Mornings m) {
        return m.first().schedule().placed().stream()
                .filter(p -> p.task().startsWith("foam-piece") && p.task().contains("/press"))
                .findFirst()
                .orElseThrow();
    }

    /** Common practice: a lifted spot is re-stuck, waits to dry, and only then is more laid there. */
    @Test
    void aLiftedEdgeIsStuckAgainBeforeMoreIsLaidThere() {
        ScheduledTask press = pressed(morning());
        int now = press.end() + 60;
        Mornings m = morning().carriedOutUntil(now);
        int without = ready(m, now);
        m.report(now, "Ines", s -> new RunEvent.Trouble(s, press.task(), "lifted-edge", List.of()));
        Schedule rest = m.rest(now);
        ScheduledTask stick = rest.of(m.step("extra-").replace("/clear", "/stick"));
        ScheduledTask last = rest.of(m.step("extra-").replace("/clear", "/powder"));
        assertThat(stick.settled() - stick.start())
                .as("it waits to dry, or is dried")
                .isGreaterThan(m.plan().network().task(stick.task()).work() + 30);
        List<String> zones = m.plan().step(press.task()).zones();
        assertThat(m.plan().steps())
                .filteredOn(s -> m.state().step(s.id()).status() == Status.WAITING)
                .filteredOn(s -> !s.id().startsWith("extra-") && !s.where().isEmpty())
                .filteredOn(s -> s.zones().stream().anyMatch(zones::contains))
                .isNotEmpty()
                .allSatisfy(s -> assertThat(rest.of(s.id()).start()).isGreaterThanOrEqualTo(last.end()));
        assertThat(rest.ready()).isGreaterThan(without);
        sound(m, now);
    }

    @Test
    void aTakenBackTroubleLeavesNoTrace() {
        ScheduledTask press = pressed(morning());
        int now = press.end() + 60;
        Mornings m = morning().carriedOutUntil(now);
        int steps = m.plan().steps().size();
        m.report(now, "Ines", s -> new RunEvent.Trouble(s, press.task(), "lifted-edge", List.of()));
        assertThat(m.plan().steps()).hasSizeGreaterThan(steps);
        String trouble = m.state().lastBy("Ines").orElseThrow().stamp().root();
        m.report(now + 5, "Ines", s -> new RunEvent.Undo(s, trouble));
        assertThat(m.plan().steps()).hasSize(steps);
    }

    @Test
    void aStepDoneOnceMoreIsFollowedByWhatWasToFollowIt() {
        Mornings fresh = morning();
        String coat = fresh.step("brow-powder-last");
        ScheduledTask first = fresh.first().schedule().of(coat);
        int now = first.end() + 1;
        Mornings m = morning().carriedOutUntil(now);
        m.report(now, "Ines", s -> new RunEvent.Redo(s, coat));
        ScheduledTask again = m.rest(now).of(coat + "~1");
        assertThat(again.end() - again.start()).isGreaterThan(30);
        List<String> next = m.plan().network().lags().stream()
                .filter(l -> l.from().equals(coat + "~1"))
                .map(l -> l.to())
                .toList();
        assertThat(next)
                .isNotEmpty()
                .allSatisfy(n -> assertThat(m.rest(now).of(n).start()).isGreaterThanOrEqualTo(again.end()));
        sound(m, now);
    }

    @Test
    void handsThatJoinTakeWorkAndHandsThatLeavePutItDown() {
        int now = 1800;
        Mornings alone = new Mornings(Samples.bellFounder(), brief(lead("Ines"))).carriedOutUntil(now);
        int before = ready(alone, now);
        alone.report(now, "Marit", s -> new RunEvent.Join(s, Skill.ASSISTANT));
        assertThat(ready(alone, now)).isLessThan(before - 300);
        sound(alone, now);
        String marits = alone.rest(now).placed().stream()
                .filter(p -> "Marit".equals(p.worker()))
                .findFirst()
                .orElseThrow()
                .task();
        alone.report(now + 60, "Marit", s -> new RunEvent.Start(s, marits));
        alone.report(now + 90, "Marit", s -> new RunEvent.Leave(s));
        assertThat(alone.state().step(marits).status()).isEqualTo(Status.WAITING);
        assertThat(alone.rest(now + 100).placed()).noneMatch(p -> "Marit".equals(p.worker()));
        sound(alone, now + 100);
    }

    @Test
    void whenTheLeadLeavesTheRestIsStillPlannedAndTheNeedIsSaid() {
        int now = 1800;
        Mornings m = morning().carriedOutUntil(now);
        m.report(now, "Ines", s -> new RunEvent.Leave(s));
        Chair.Again again = m.again(now);
        assertThat(again.trouble()).contains("lead");
        assertThat(again.schedule().placed()).hasSize(m.plan().steps().size());
    }

    @Test
    void whileThePerformerIsAwayEverythingWaits() {
        int now = 1800;
        Mornings m = new Mornings(Samples.bellFounder(), brief(lead("Ines"))).carriedOutUntil(now);
        int before = ready(m, now);
        m.report(now, "", s -> new RunEvent.Away(s, 900));
        assertThat(ready(m, now) - before).isBetween(100, 1000);
        assertThat(m.rest(now).placed()).filteredOn(p -> p.start() > now).allMatch(p -> p.start() >= now + 900);
        m.report(now + 300, "", s -> new RunEvent.Back(s));
        assertThat(ready(m, now + 300)).isLessThan(before + 700);
    }

    @Test
    void aDampRoomMovesWhatIsStillToDry() {
        int now = 900;
        Mornings m = new Mornings(Samples.bellFounder(), brief(lead("Ines"))).carriedOutUntil(now);
        int dry = m.plan().network().tasks().stream()
                .mapToInt(t -> t.modes().get(0).settled())
                .sum();
        m.report(now, "", s -> new RunEvent.Room(s, new Room(24, 82, 0)));
        int damp = m.plan().network().tasks().stream()
                .mapToInt(t -> t.modes().get(0).settled())
                .sum();
        assertThat(damp).isGreaterThan(dry * 5 / 4);
        assertThat(m.plan().network().tools()).isZero();
    }

    @Test
    void entriesNotBegunAreDroppedThinnedOrDoneByAnotherSchool() {
        Mornings m = morning().carriedOutUntil(600);
        int steps = m.plan().steps().size();
        m.report(600, "", s -> new RunEvent.Drop(s, "spatter-crown-forehead-cheek-left-cheek-right", "no time"));
        assertThat(m.plan().steps()).hasSizeLessThan(steps);
        m.report(610, "", s -> new RunEvent.Coats(s, "edge-latex-hairline", 2));
        assertThat(m.plan().steps())
                .filteredOn(s -> s.entryId().equals("edge-latex-hairline") && s.coat() == 3)
                .isEmpty();
        sound(m, 620);
    }

    /** [T50] Every repair can happen to some work of some character at the small places it is said of, and after each the rest is sound. */
    @ParameterizedTest
    @MethodSource("repairs")
    void everyRepairIsPlannedSoundly(Repair repair) {
        Set<String> at = TRADE.smallPlaces().stream()
                .filter(p -> repair.at().contains(p.id()))
                .flatMap(p -> p.zones().stream())
                .collect(Collectors.toSet());
        boolean happened = CharactersTest.characters().anyMatch(c -> {
            Mornings m = new Mornings(c.look(), c.brief());
            Optional<PlannedStep> can = m.plan().steps().stream()
                    .filter(s -> repair.happensTo(s.technique()) && s.material().isPresent())
                    .filter(s ->
                            s.zones().stream().anyMatch(z -> (at.isEmpty() || at.contains(z)) && repair.mayBeOn(z)))
                    .reduce((first, last) -> last);
            if (can.isEmpty()) {
                return false;
            }
            List<String> zones = can.get().zones().stream()
                    .filter(z -> at.isEmpty() || at.contains(z))
                    .toList();
            int now = m.first().schedule().of(can.get().id()).settled();
            m.carriedOutUntil(now);
            Standing stands = m.standing(now);
            Optional<PuttingRight.Chosen> way =
                    EventGuard.way(repair, can.get(), zones, stands, Samples.PLANNER.puttingRight());
            if (way.isEmpty()) {
                return false;
            }
            int steps = m.plan().steps().size();
            m.report(now, "Ines", s -> new RunEvent.Trouble(s, can.get().id(), repair.id(), zones));
            assertThat(m.plan().steps().size() - steps)
                    .as(repair.id() + " of " + c.name())
                    .isEqualTo(way.get().how().steps().size());
            sound(m, now);
            return true;
        });
        assertThat(happened).as(repair.id() + " happens to nothing").isTrue();
    }

    static Stream<Repair> repairs() {
        return TRADE.repairs().stream();
    }

    /** A repair that was reported at a step which was taken back since does not wait for itself. */
    @Test
    void aRepairOfWhatWasTakenBackLeavesNoRing() {
        int now = morning().first().schedule().ready() * 3 / 4;
        Mornings m = morning().carriedOutUntil(now);
        PlannedStep painted = m.plan().steps().stream()
                .filter(s -> m.state().step(s.id()).status() == Status.DONE
                        && TRADE.repair("running-paint").happensTo(s.technique()))
                .reduce((first, last) -> last)
                .orElseThrow();
        m.report(now, "Ines", s -> new RunEvent.Trouble(s, painted.id(), "running-paint", List.of()));
        for (int k = 0; k < 3; k++) {
            RunEvent last = m.state().lastBy("Ines").orElseThrow();
            m.report(now + 5, "Ines", s -> new RunEvent.Undo(s, last.stamp().root()));
        }
        assertThat(m.plan().network().cycle()).isEmpty();
        sound(m, now + 10);
    }

    /** Nor does one that was reported while its step was still under way. */
    @Test
    void aRepairOfWhatIsUnderWayLeavesNoRing() {
        int now = 900;
        Mornings m = morning().carriedOutUntil(now);
        m.plan().steps().stream()
                .filter(s -> m.state().step(s.id()).status() == Status.RUNNING)
                .filter(s -> TRADE.repairs().stream().anyMatch(r -> r.happensTo(s.technique())))
                .forEach(s -> TRADE.repairs().stream()
                        .filter(r -> r.happensTo(s.technique()))
                        .forEach(r -> m.report(now, "Ines", x -> new RunEvent.Trouble(x, s.id(), r.id(), List.of()))));
        assertThat(m.plan().network().cycle()).isEmpty();
        sound(m, now + 10);
    }

    @Test
    void eventsThatCameLateAreFoldedInTheOrderInWhichTheyHappened() {
        Mornings m = morning();
        m.report(0, "Ines", s -> new RunEvent.Start(s, "a"));
        m.report(300, "Ines", s -> new RunEvent.Start(s, "b"));
        m.report(290, "Ines", s -> new RunEvent.Finish(s, "a"));
        assertThat(m.state().step("a").ended()).isEqualTo(m.at(290));
        assertThat(m.state().runningBy("Ines")).contains("b");
        assertThat(m.state().events()).extracting(RunEvent::at).isSorted();
    }
}
