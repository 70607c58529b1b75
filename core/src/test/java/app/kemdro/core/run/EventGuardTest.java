package app.kemdro.core.run;

import static app.kemdro.core.plan.Samples.TRADE;
import static app.kemdro.core.plan.Samples.assistant;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.lead;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Skill;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.plan.Samples;
import app.kemdro.core.run.StepState.Status;
import app.kemdro.core.schedule.ScheduledTask;
import java.util.Arrays;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What can be reported, and what cannot, said so that one can act on it. */
class EventGuardTest {
    private final EventGuard guard = new EventGuard(TRADE, Samples.PLANNER);
    private static final Brief TWO = brief(lead("Ines"), assistant("Pell"));

    private final Mornings m = new Mornings(Samples.bellFounder(), TWO);

    private Ruling check(int second, String hands, Function<Stamp, RunEvent> event) {
        return guard.check(event.apply(new Stamp("asked", m.at(second), hands)), m.standing(second));
    }

    private static String cannot(Ruling ruling) {
        return ruling instanceof Ruling.Cannot no ? no.why() : "it can: " + ruling;
    }

    private static RunEvent can(Ruling ruling) {
        return ruling instanceof Ruling.Can yes ? yes.event() : null;
    }

    private ScheduledTask first() {
        return m.first().schedule().placed().stream()
                .filter(p -> "Ines".equals(p.worker()))
                .findFirst()
                .orElseThrow();
    }

    private static Stream<Class<?>> kinds(Class<?> of) {
        return of.isRecord()
                ? Stream.of(of)
                : Arrays.stream(of.getPermittedSubclasses()).flatMap(EventGuardTest::kinds);
    }

    /** A new kind of event is forgotten nowhere: each says here what is asked of it. */
    @Test
    void everyKindHasARule() {
        String brow = "brow-powder-last-brow-left-brow-right";
        List<Function<Stamp, RunEvent>> one = List.of(
                RunEvent.Begin::new,
                s -> new RunEvent.Start(s, "x"),
                s -> new RunEvent.Finish(s, "x"),
                s -> new RunEvent.Clear(s, "x"),
                s -> new RunEvent.NotYet(s, "x", 0),
                s -> new RunEvent.Skip(s, "x", "y"),
                s -> new RunEvent.Add(s, "x", 60),
                RunEvent.Break::new,
                RunEvent.Back::new,
                s -> new RunEvent.Note(s, " "),
                s -> new RunEvent.Undo(s, ""),
                s -> new RunEvent.Dryer(s, "x"),
                s -> new RunEvent.Redo(s, "x"),
                s -> new RunEvent.Trouble(s, "x", "y", List.of()),
                s -> new RunEvent.School(s, brow, "no-such"),
                s -> new RunEvent.Coats(s, brow, 99),
                s -> new RunEvent.Drop(s, "x", ""),
                s -> new RunEvent.Addition(s, "no-such", List.of(), 0, List.of()),
                s -> new RunEvent.Strength(s, "x", app.kemdro.core.look.LookEntry.Strength.HEAVY),
                s -> new RunEvent.Join(s, Skill.LEAD),
                RunEvent.Leave::new,
                s -> new RunEvent.Room(s, new Brief.Room(80, 45, 1)),
                s -> new RunEvent.Away(s, 5),
                s -> new RunEvent.Reaction(s, ""),
                s -> new RunEvent.Used(s, ""),
                s -> new RunEvent.Drive(s, "tablet"),
                s -> new RunEvent.Picture(s, "p"),
                RunEvent.End::new);
        assertThat(one.stream()
                        .map(make ->
                                make.apply(new Stamp("a", m.at(0), "Nobody")).getClass())
                        .distinct()
                        .count())
                .as("kinds that are looked at")
                .isEqualTo(kinds(RunEvent.class).distinct().count());
        assertThat(one.stream().map(make -> check(0, "Nobody", make)).map(EventGuardTest::cannot))
                .noneMatch(why -> why.contains("nothing that happens"));
    }

    @Test
    void aStepIsBegunOnceByHandsThatAreFree() {
        ScheduledTask p = first();
        m.report(p.start(), "Ines", s -> new RunEvent.Start(s, p.task()));
        assertThat(cannot(check(p.start() + 5, "Pell", s -> new RunEvent.Start(s, p.task()))))
                .contains("was begun already");
        String other = m.first().schedule().placed().stream()
                .map(ScheduledTask::task)
                .filter(t -> !t.equals(p.task()))
                .findFirst()
                .orElseThrow();
        assertThat(cannot(check(p.start() + 5, "Ines", s -> new RunEvent.Start(s, other, 0, true))))
                .contains("Ines is at “")
                .contains("Finish it first");
        assertThat(cannot(check(5, "Ines", s -> new RunEvent.Start(s, "no-such-step"))))
                .contains("no such step");
    }

    /** Which way of settling a step is begun with is the plan's to say, not the device's. */
    @Test
    void aStartTakesThePlansWay() {
        ScheduledTask p = m.first().schedule().placed().stream()
                .filter(x -> x.mode() > 0 && x.worker() != null)
                .findFirst()
                .orElseThrow();
        m.carriedOutUntil(p.start());
        int way = m.standing(p.start()).schedule().of(p.task()).mode();
        RunEvent begun = can(check(p.start(), p.worker(), s -> new RunEvent.Start(s, p.task(), 7, true)));
        assertThat(begun)
                .isInstanceOfSatisfying(
                        RunEvent.Start.class, s -> assertThat(s.mode()).isEqualTo(way));
    }

    @Test
    void aStepBeforeItsTurnIsAskedAboutAndDoneIfMeant() {
        String late = m.step("foam-piece-nose/press");
        assertThat(check(10, "Ines", s -> new RunEvent.Start(s, late)))
                .isInstanceOfSatisfying(
                        Ruling.Asks.class, asks -> assertThat(asks.question()).contains("comes before it"));
        assertThat(can(check(10, "Ines", s -> new RunEvent.Start(s, late, 0, true))))
                .isNotNull();
    }

    @Test
    void whatIsUnderWayIsFinishedForWhoeverIsAtIt() {
        ScheduledTask p = first();
        assertThat(cannot(check(5, "Ines", s -> new RunEvent.Finish(s, p.task()))))
                .contains("not under way");
        assertThat(cannot(check(5, "Ines", s -> new RunEvent.Add(s, p.task(), 120))))
                .contains("only to what is under");
        m.report(p.start(), "Ines", s -> new RunEvent.Start(s, p.task()));
        assertThat(can(check(p.end(), "Pell", s -> new RunEvent.Finish(s, p.task())))
                        .hands())
                .isEqualTo("Ines");
        assertThat(cannot(check(p.end(), "Ines", s -> new RunEvent.Add(s, p.task(), 29))))
                .contains("half a minute");
        assertThat(can(check(p.end(), "Ines", s -> new RunEvent.Add(s, p.task(), 30))))
                .isNotNull();
        assertThat(can(check(p.end(), "Ines", s -> new RunEvent.Add(s, p.task(), 3600))))
                .isNotNull();
        assertThat(cannot(check(p.end(), "Ines", s -> new RunEvent.Add(s, p.task(), 3601))))
                .contains("an hour");
        assertThat(cannot(check(p.end(), "Ines", RunEvent.Break::new))).contains("Ines is still at “");
        assertThat(cannot(check(p.end(), "Ines", s -> new RunEvent.Redo(s, p.task()))))
                .contains("Only what is done");
    }

    @Test
    void whatIsOverIsNotLeftOut() {
        ScheduledTask p = first();
        assertThat(cannot(check(5, "Ines", s -> new RunEvent.Skip(s, p.task(), " "))))
                .contains("why it is left out");
        assertThat(can(check(5, "Ines", s -> new RunEvent.Skip(s, p.task(), "no time"))))
                .isNotNull();
        m.report(p.start(), "Ines", s -> new RunEvent.Start(s, p.task()))
                .report(p.end(), "Ines", s -> new RunEvent.Finish(s, p.task()));
        assertThat(cannot(check(p.end() + 5, "Ines", s -> new RunEvent.Skip(s, p.task(), "no time"))))
                .contains("over already");
        m.report(p.end() + 6, "Ines", s -> new RunEvent.Redo(s, p.task()));
        assertThat(can(check(p.end() + 9, "Ines", s -> new RunEvent.Redo(s, p.task()))))
                .isNotNull();
    }

    /** "Not yet" asks to look again after three tenths of what the film was thought to take; common practice of small steps. */
    @Test
    void notYetLooksAgainAfterThreeTenthsOfTheFilm() {
        ScheduledTask p = m.first().schedule().placed().stream()
                .filter(x -> m.first()
                        .step(x.task())
                        .drying()
                        .map(d -> d.clear().isPresent())
                        .orElse(false))
                .findFirst()
                .orElseThrow();
        assertThat(cannot(check(5, "", s -> new RunEvent.NotYet(s, p.task(), 0))))
                .contains("is drying");
        m.carriedOutUntil(p.end());
        PlannedStep step = m.plan().step(p.task());
        double clear = step.drying().orElseThrow().clear().getAsDouble();
        assertThat(can(check(p.end() + 1, "", s -> new RunEvent.NotYet(s, p.task(), 0))))
                .isInstanceOfSatisfying(
                        RunEvent.NotYet.class,
                        n -> assertThat(n.seconds()).isEqualTo(Math.max(60, (int) Math.round(clear * 3 / 10))));
        assertThat(can(check(p.end() + 1, "", s -> new RunEvent.Clear(s, p.task()))))
                .isNotNull();
    }

    @Test
    void theDryerIsForFilmsThatItHelps() {
        ScheduledTask helped = m.first().schedule().placed().stream()
                .filter(x -> m.first().step(x.task()).dryingCool().isPresent())
                .findFirst()
                .orElseThrow();
        assertThat(cannot(check(5, "", s -> new RunEvent.Dryer(s, helped.task()))))
                .contains("is drying");
        m.carriedOutUntil(helped.end());
        assertThat(can(check(helped.end() + 1, "", s -> new RunEvent.Dryer(s, helped.task()))))
                .isNotNull();
    }

    @Test
    void aPauseEndsOnceAndNothingBeginsInIt() {
        assertThat(cannot(check(5, "", RunEvent.Back::new))).contains("No break");
        assertThat(cannot(check(5, "", s -> new RunEvent.Away(s, 59)))).contains("a minute to two hours");
        assertThat(can(check(5, "", s -> new RunEvent.Away(s, 60)))).isNotNull();
        assertThat(can(check(5, "", s -> new RunEvent.Away(s, 7200)))).isNotNull();
        assertThat(cannot(check(5, "", s -> new RunEvent.Away(s, 7201)))).contains("a minute to two hours");
        m.report(5, "", RunEvent.Break::new);
        assertThat(cannot(check(9, "", RunEvent.Break::new))).contains("on already");
        assertThat(cannot(check(9, "", s -> new RunEvent.Away(s, 600)))).contains("on already");
        assertThat(cannot(check(9, "Ines", s -> new RunEvent.Start(s, first().task()))))
                .contains("End it first");
        assertThat(can(check(9, "", RunEvent.Back::new))).isNotNull();
    }

    /** A covered performer is never left alone; more than three pairs of hands get in each other's way. */
    @Test
    void somebodyIsAlwaysThereAndNeverMoreThanThree() {
        assertThat(cannot(check(5, "Nobody", RunEvent.Leave::new))).contains("is not here");
        assertThat(cannot(check(5, "Ines", s -> new RunEvent.Join(s, Skill.LEAD))))
                .contains("here already");
        assertThat(cannot(check(5, "x".repeat(41), s -> new RunEvent.Join(s, Skill.LEAD))))
                .contains("Say who joins");
        assertThat(can(check(5, "x".repeat(40), s -> new RunEvent.Join(s, Skill.LEAD))))
                .isNotNull();
        m.report(5, "Marit", s -> new RunEvent.Join(s, Skill.ASSISTANT));
        assertThat(cannot(check(6, "Nils", s -> new RunEvent.Join(s, Skill.LEAD))))
                .contains("Three pairs of hands");
        m.report(7, "Ines", RunEvent.Leave::new).report(8, "Pell", RunEvent.Leave::new);
        assertThat(cannot(check(9, "Marit", RunEvent.Leave::new))).contains("never left alone");
        assertThat(cannot(check(9, "Marit", s -> new RunEvent.Undo(s, "")))).contains("never left alone");
        m.report(9, "Ines", s -> new RunEvent.Join(s, Skill.LEAD));
        assertThat(can(check(10, "Marit", s -> new RunEvent.Undo(s, ""))))
                .isInstanceOfSatisfying(
                        RunEvent.Undo.class, u -> assertThat(u.event()).isEqualTo("event-0"));
    }

    @Test
    void aStepThatBeganByItselfIsTakenBackWithThePressThatLetIt() {
        ScheduledTask p = first();
        m.report(p.start(), "Ines", s -> new RunEvent.Start(s, p.task()));
        m.report(p.end(), "Ines", s -> new RunEvent.Finish(s, p.task()));
        m.report(
                p.end(),
                "Ines",
                s -> new RunEvent.Start(new Stamp("event-1", s.at(), "Ines").followedBy("Ines", s.at()), "brow/next"));
        assertThat(can(check(p.end() + 1, "Ines", s -> new RunEvent.Undo(s, ""))))
                .isInstanceOfSatisfying(
                        RunEvent.Undo.class, u -> assertThat(u.event()).isEqualTo("event-1"));
        assertThat(cannot(check(5, "Pell", s -> new RunEvent.Undo(s, "")))).contains("nothing of Pell");
    }

    @Test
    void aRoomIsOneToWorkIn() {
        for (Brief.Room room : List.of(
                new Brief.Room(4.9, 45, 1),
                new Brief.Room(45.1, 45, 1),
                new Brief.Room(20, 4.9, 1),
                new Brief.Room(20, 98.1, 1),
                new Brief.Room(20, 45, -1),
                new Brief.Room(20, 45, 5),
                new Brief.Room(Double.NaN, 45, 1))) {
            assertThat(cannot(check(5, "", s -> new RunEvent.Room(s, room))))
                    .as(room.toString())
                    .contains("no room");
        }
        for (Brief.Room room : List.of(new Brief.Room(5, 5, 0), new Brief.Room(45, 98, 4))) {
            assertThat(can(check(5, "", s -> new RunEvent.Room(s, room))))
                    .as(room.toString())
                    .isNotNull();
        }
    }

    @Test
    void whatHasBegunStaysAsItIsButMayGetOtherCoats() {
        String brows = "brow-powder-last-brow-left-brow-right";
        assertThat(can(check(5, "Ines", s -> new RunEvent.Drop(s, brows, "no time"))))
                .isNotNull();
        assertThat(cannot(check(5, "Ines", s -> new RunEvent.School(s, brows, "cap-plastic"))))
                .contains("no such school");
        assertThat(can(check(5, "Ines", s -> new RunEvent.School(s, brows, "brow-powder-each"))))
                .isNotNull();
        assertThat(cannot(check(5, "Ines", s -> new RunEvent.Drop(s, "no-such", ""))))
                .contains("not in the look");
        ScheduledTask p = m.first().schedule().placed().stream()
                .filter(x -> x.task().startsWith(brows))
                .findFirst()
                .orElseThrow();
        m.carriedOutUntil(p.end());
        assertThat(cannot(check(p.end(), "Ines", s -> new RunEvent.Drop(s, brows, ""))))
                .contains("has begun already");
        assertThat(cannot(check(p.end(), "Ines", s -> new RunEvent.School(s, brows, "brow-powder-each"))))
                .contains("has begun already");
        int most = TRADE.technique("brow-powder-last").coats().most();
        int least = TRADE.technique("brow-powder-last").coats().least();
        assertThat(can(check(p.end(), "Ines", s -> new RunEvent.Coats(s, brows, most))))
                .isNotNull();
        assertThat(can(check(p.end(), "Ines", s -> new RunEvent.Coats(s, brows, least))))
                .isNotNull();
        assertThat(cannot(check(p.end(), "Ines", s -> new RunEvent.Coats(s, brows, most + 1))))
                .contains("takes " + least);
        assertThat(cannot(check(p.end(), "Ines", s -> new RunEvent.Coats(s, brows, least - 1))))
                .contains("to " + most);
    }

    @Test
    void onlyWhatHappensToAStepWentWrongWithIt() {
        String press = m.step("foam-piece-nose/press");
        assertThat(cannot(check(5, "Ines", s -> new RunEvent.Trouble(s, press, "lifted-edge", List.of()))))
                .contains("has not begun");
        int done = m.first().schedule().of(press).end();
        m.carriedOutUntil(done);
        assertThat(m.state().step(press).status()).isEqualTo(Status.DONE);
        assertThat(can(check(done, "Ines", s -> new RunEvent.Trouble(s, press, "lifted-edge", List.of()))))
                .isNotNull();
        assertThat(cannot(check(done, "Ines", s -> new RunEvent.Trouble(s, press, "popped-brow", List.of()))))
                .contains("does not happen");
        assertThat(cannot(check(done, "Ines", s -> new RunEvent.Trouble(s, press, "lifted-edge", List.of("chin")))))
                .contains("is not on that zone");
    }

    @Test
    void onlyTheDeviceThatDrivesPressesForTheHands() {
        ScheduledTask p = first();
        m.report(p.start(), "Ines", s -> new RunEvent.Start(new Stamp(s.id(), s.at(), "Ines", "tablet"), p.task()));
        Stamp phone = new Stamp("a", m.at(p.end()), "Ines", "phone");
        Stamp tablet = new Stamp("a", m.at(p.end()), "Ines", "tablet");
        Standing now = m.standing(p.end());
        assertThat(cannot(guard.check(new RunEvent.Finish(phone, p.task()), now)))
                .contains("driven on another screen");
        assertThat(can(guard.check(new RunEvent.Finish(tablet, p.task()), now))).isNotNull();
        assertThat(can(guard.check(new RunEvent.Note(phone, "seen"), now))).isNotNull();
        assertThat(cannot(check(p.end(), "Nobody", s -> new RunEvent.Drive(s, "phone"))))
                .contains("Nobody is called");
        assertThat(can(check(p.end(), "Ines", s -> new RunEvent.Drive(s, "phone"))))
                .isNotNull();
    }
}
