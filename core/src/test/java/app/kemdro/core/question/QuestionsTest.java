package app.kemdro.core.question;

import static app.kemdro.core.plan.Samples.TRADE;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.entry;
import static app.kemdro.core.plan.Samples.lead;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.kemdro.core.datafile.BrokenFile;
import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.plan.LookPlanner;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.plan.Planning;
import app.kemdro.core.plan.Samples;
import app.kemdro.core.schedule.Planner;
import app.kemdro.core.schedule.Rest;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.core.schedule.Task.Mode;
import java.io.StringReader;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** An order of which everything is true is broken on purpose, one thing at a time: the question that asks for it says so. */
class QuestionsTest {
    private static final Questions QUESTIONS = new Questions(TRADE);
    private static final LookPlanner PLANNER = new LookPlanner(TRADE, Planner.trying(800));
    private static final int FAR = 6 * 3600;

    /** A head with cap, brows, two cheeks, opening, texture, lashes and teeth, by one pair of hands. */
    private static final Look LOOK = new Look(List.of(
            entry("hair-flat", "crown"),
            entry("cap-latex", "crown"),
            entry("edge-latex", "hairline"),
            entry("brow-powder-last", "brow-left", "brow-right"),
            entry("under-colour", "eye-left", "eye-right"),
            entry("foam-piece", "cheek-left"),
            entry("foam-piece", "cheek-right"),
            new LookEntry("edges", "edge-latex", List.of("cheek-left", "cheek-right"), 2),
            entry(
                    "base-cream",
                    "forehead",
                    "temple-left",
                    "temple-right",
                    "brow-left",
                    "brow-right",
                    "nose",
                    "cheek-left",
                    "cheek-right",
                    "upper-lip",
                    "chin",
                    "jaw-left",
                    "jaw-right",
                    "ear-left",
                    "ear-right",
                    "throat",
                    "nape"),
            entry("shade-highlight", "cheek-left", "cheek-right"),
            entry("set-powder", "cheek-left", "cheek-right"),
            entry("spatter", "cheek-left", "cheek-right"),
            entry("lashes-strip", "eye-left", "eye-right"),
            entry("tooth-paint", "teeth-upper")));

    private static final Brief BRIEF = bareAllowed(withCostume(brief(lead("Ines"))));
    private static final Plan PLAN = planned(LOOK, BRIEF);

    private static Brief withCostume(Brief b) {
        return new Brief(
                b.call(),
                b.chairIn(),
                b.performer(),
                b.crew(),
                b.room(),
                Set.of(),
                10,
                false,
                b.purpose(),
                new Brief.Breaks(240, 10, 10));
    }

    private static Brief bareAllowed(Brief b) {
        Set<String> all = new java.util.TreeSet<>();
        TRADE.body().zones().stream().filter(z -> z.isSkin()).forEach(z -> all.add(z.id()));
        return b.allowing(new Brief.Allowed(all, 4));
    }

    private static Plan planned(Look look, Brief brief) {
        Planning planning = PLANNER.plan(look, brief);
        assertThat(planning).isInstanceOf(Planning.Done.class);
        return ((Planning.Done) planning).plan();
    }

    private static Answer answer(String question, Plan plan, Look look) {
        return QUESTIONS.of(plan, look).stream()
                .filter(a -> a.question().id().equals(question))
                .findFirst()
                .orElseThrow();
    }

    /** The same plan with some steps so much later, or sooner, whatever becomes of the rest. */
    private static Plan moved(Plan plan, Predicate<PlannedStep> some, int by) {
        List<ScheduledTask> placed = new ArrayList<>();
        for (ScheduledTask p : plan.schedule().placed()) {
            placed.add(
                    some.test(plan.step(p.task()))
                            ? new ScheduledTask(
                                    p.task(),
                                    p.worker(),
                                    p.helper(),
                                    p.mode(),
                                    p.start() + by,
                                    p.end() + by,
                                    p.usable() + by,
                                    p.closes() >= Mode.NEVER ? p.closes() : p.closes() + by,
                                    p.settled() + by,
                                    0)
                            : p);
        }
        Schedule s = plan.schedule();
        return plan.with(new Schedule(placed, s.rests(), s.ready(), s.leastReady()));
    }

    private static Predicate<PlannedStep> of(String technique) {
        return s -> s.technique().id().equals(technique);
    }

    private static Predicate<PlannedStep> step(String technique, String step) {
        return of(technique).and(s -> s.template().id().equals(step));
    }

    @Test
    void allFifteenAreTrueOfTheOrderAsItIsPlanned() {
        List<Answer> answers = QUESTIONS.of(PLAN, LOOK);
        assertThat(answers).hasSize(15);
        assertThat(answers).filteredOn(a -> !a.yes()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "guards, brow-powder-last",
        "cap, cap-latex",
        "overlaps, base-cream",
        "openings, under-colour",
        "edges, edge-latex",
        "eyes, spatter",
        "meal, costume-change"
    })
    void whatComesTooLateIsFound(String question, String late) {
        assertThat(answer(question, moved(PLAN, of(late), FAR), LOOK).faults())
                .isNotEmpty()
                .allSatisfy(f -> assertThat(f.steps()).isNotEmpty());
        assertThat(answer(question, PLAN, LOOK).yes()).isTrue();
    }

    @Test
    void theLastLookComesLast() {
        assertThat(answer("bare", moved(PLAN, of("final-look"), -FAR), LOOK).yes())
                .isFalse();
    }

    /** 54 min after the first side: by hand. */
    @Test
    void theSecondSideIsTimedFromTheEndOfTheFirst() {
        ScheduledTask first = placed("press", "cheek-left");
        ScheduledTask second = placed("press", "cheek-right");
        ScheduledTask earlier = first.start() < second.start() ? first : second;
        ScheduledTask later = earlier == first ? second : first;
        int by = earlier.end() + 54 * 60 - later.start();
        Plan apart = moved(PLAN, s -> s.id().equals(later.task()), by);
        assertThat(answer("twins", apart, LOOK).faults().get(0).says()).contains("comes 54 min after");
        Plan near = moved(PLAN, s -> s.id().equals(later.task()), by - 49 * 60);
        assertThat(answer("twins", near, LOOK).faults())
                .noneMatch(f -> f.steps().contains(later.task()) && f.steps().contains(earlier.task()));
    }

    private static ScheduledTask placed(String step, String zone) {
        PlannedStep found = PLAN.steps().stream()
                .filter(step("foam-piece", step))
                .filter(s -> s.zones().contains(zone))
                .findFirst()
                .orElseThrow();
        return PLAN.schedule().of(found.id());
    }

    @Test
    void powderThatComesAnHourAfterItsLatexIsTooLate() {
        assertThat(answer("windows", moved(PLAN, step("edge-latex", "powder"), 3600), LOOK)
                        .faults())
                .anyMatch(f -> f.says().startsWith("“Powder") && f.says().contains("too late"));
    }

    /** Powder on the cheeks, moved to just after the glue of the forehead's neighbour. */
    @Test
    void dustBesideWhatIsWetIsFound() {
        ScheduledTask wet = PLAN.schedule().placed().stream()
                .filter(p -> step("foam-piece", "glue").test(PLAN.step(p.task())))
                .filter(p -> p.settled() > p.end() + 60)
                .findFirst()
                .orElseThrow();
        PlannedStep powder =
                PLAN.steps().stream().filter(of("set-powder")).findFirst().orElseThrow();
        int by = wet.end() + 10 - PLAN.schedule().of(powder.id()).start();
        assertThat(answer("dust", moved(PLAN, s -> s.equals(powder), by), LOOK).faults())
                .anyMatch(f -> f.steps().equals(List.of(powder.id(), wet.task())));
    }

    @Test
    void aStepThatTakesThreeTimesItsLawIsNamed() {
        Brief slow = BRIEF.with(Map.of(Brief.step("spatter", "flick"), 3.0));
        assertThat(answer("minutes", planned(LOOK, slow), LOOK).faults())
                .singleElement()
                .satisfies(f -> assertThat(f.says()).contains("Flick").contains("not about"));
    }

    @Test
    void tooLongWithoutABreakIsNamed() {
        Schedule s = PLAN.schedule();
        Plan tired = PLAN.with(new Schedule(
                moved(PLAN, of("final-look"), 5 * 3600).schedule().placed(), List.of(), s.ready(), s.leastReady()));
        assertThat(answer("minutes", tired, LOOK).faults())
                .anyMatch(f -> f.says().contains("without a break"));
    }

    /** One cheek's glue is laid, something else is taken up, then the other cheek's is. */
    @Test
    void aColourThatIsTakenUpTwiceForOneLayerIsFound() {
        Look two = Samples.look(
                entry("tissue-build", "cheek-left", "cheek-right"),
                entry("base-cream", "forehead", "nose"),
                entry("shade-highlight", "forehead", "nose"));
        Plan plan = planned(two, BRIEF);
        List<ScheduledTask> rolls = plan.schedule().placed().stream()
                .filter(p -> step("tissue-build", "roll").test(plan.step(p.task())))
                .toList();
        assertThat(rolls).hasSize(2);
        ScheduledTask base = plan.schedule().placed().stream()
                .filter(p -> step("base-cream", "lay").test(plan.step(p.task())))
                .findFirst()
                .orElseThrow();
        Plan apart = moved(
                plan,
                s -> s.id().equals(rolls.get(1).task()),
                base.end() + 60 - rolls.get(1).start());
        Plan between = base.start() >= rolls.get(0).end()
                ? apart
                : moved(apart, s -> s.id().equals(base.task()), rolls.get(0).end() - base.start());
        assertThat(answer("pick-up", between, two).faults())
                .anyMatch(f -> f.says().contains("takes up again"));
    }

    /** All that comes after the cap's first step is put off by 20 min: something of it could be done meanwhile. */
    @Test
    void twentyMinutesInWhichNobodyWorksAreFound() {
        int at = PLAN.schedule().placed().stream()
                .mapToInt(ScheduledTask::end)
                .min()
                .orElseThrow();
        Plan waiting = moved(PLAN, s -> PLAN.schedule().of(s.id()).start() >= at, 1200);
        Schedule s = waiting.schedule();
        List<Rest> rests = s.rests().stream()
                .map(r -> new Rest(r.start() + 1200, r.end() + 1200))
                .toList();
        Plan shifted = waiting.with(new Schedule(s.placed(), rests, s.ready() + 1200, s.leastReady()));
        assertThat(answer("waits", shifted, LOOK).faults())
                .anyMatch(f -> f.says().contains("nobody works for"));
    }

    @Test
    void skinThatStaysBareIsNamedUnlessItIsMeantTo() {
        Look face = Samples.look(entry("base-cream", "forehead", "nose"));
        Brief strict = BRIEF.allowing(Brief.Allowed.NOTHING);
        Plan plan = planned(face, strict);
        assertThat(answer("bare", plan, face).faults().get(0).says()).contains("stays bare");
        assertThat(answer("bare", planned(face, BRIEF), face).yes()).isTrue();
    }

    /** On oneself: grease on the fingers is washed off before any glue, hands are coloured last; both broken on purpose. */
    @Test
    void fingersAreCleanForWhatNeedsThem() {
        Look look = Samples.look(
                entry("brow-wax", "brow-left", "brow-right"),
                entry("foam-piece", "nose"),
                entry("base-cream", "hand-left", "hand-right"),
                entry("eye-soot", "eye-left", "eye-right"));
        Brief alone = alone(BRIEF);
        Plan plan = planned(look, alone);
        assertThat(answer("hands", plan, look).faults()).isEmpty();
        assertThat(plan.steps()).anyMatch(step("brow-wax", "wash"));
        assertThat(planned(look, BRIEF).steps()).noneMatch(step("brow-wax", "wash"));

        assertThat(answer("hands", moved(plan, step("brow-wax", "wash"), FAR), look)
                        .faults())
                .anyMatch(f -> f.says().contains("fingers still greased"));
        assertThat(answer("hands", moved(plan, of("base-cream"), -FAR), look).faults())
                .anyMatch(f -> f.says().contains("fingers still painted"));
    }

    /** Gluey fingers and a hand that is wet, each put where it must not be. */
    @Test
    void eachHandIsLookedAtByItself() {
        Look look = Samples.look(
                entry("foam-piece", "nose"),
                entry("foam-piece", "chin"),
                entry("base-cream", "hand-left", "hand-right"));
        Plan plan = planned(look, alone(BRIEF, 0));
        assertThat(answer("hands", plan, look).faults()).isEmpty();
        assertThat(answer("hands", moved(plan, step("foam-piece", "wipe"), FAR), look)
                        .faults())
                .anyMatch(f -> f.says().contains("fingers still sticky"));
        Predicate<PlannedStep> right = of("base-cream").and(s -> s.zones().equals(List.of("hand-right")));
        int between = plan.steps().stream()
                .filter(right)
                .mapToInt(s -> plan.schedule().of(s.id()).start())
                .min()
                .orElseThrow();
        int left = plan.steps().stream()
                .filter(of("base-cream").and(s -> s.zones().equals(List.of("hand-left"))))
                .mapToInt(s -> plan.schedule().of(s.id()).start())
                .min()
                .orElseThrow();
        assertThat(answer("hands", moved(plan, right, left + 60 - between), look)
                        .faults())
                .anyMatch(f -> f.says().contains("with a hand still wet from"));
    }

    /** No costume stands between, and somebody is free to colour the hands at once: they are last all the same. Read from the times. */
    @Test
    void ownHandsAreColouredLast() {
        Look look = Samples.look(
                entry("base-cream", "hand-left", "hand-right"),
                entry("eye-soot", "eye-left", "eye-right"),
                entry("foam-piece", "nose"));
        Plan plan = planned(look, alone(BRIEF.with(List.of(lead("Ines"), lead("Pell"))), 0));
        int hands = plan.steps().stream()
                .filter(of("base-cream"))
                .mapToInt(s -> plan.schedule().of(s.id()).start())
                .min()
                .orElseThrow();
        assertThat(plan.steps())
                .filteredOn(of("eye-soot").or(of("foam-piece")))
                .isNotEmpty()
                .allSatisfy(s -> assertThat(plan.schedule().of(s.id()).end()).isLessThanOrEqualTo(hands));
    }

    /** Nobody shapes both eyes with both shut. */
    @Test
    void noPoseIsAskedForThatOneCannotTakeOnOneself() {
        Look eyes = Samples.look(entry("eye-soot", "eye-left", "eye-right"));
        assertThat(planned(eyes, alone(BRIEF)).steps())
                .filteredOn(of("eye-soot").and(s -> s.template().id().equals("dark")))
                .singleElement()
                .satisfies(s -> {
                    assertThat(s.template().performer()).isEqualTo("one eye shut at a time");
                    assertThat(s.template().posture()).isEmpty();
                });
        assertThat(planned(eyes, BRIEF).steps())
                .filteredOn(step("eye-soot", "dark"))
                .allSatisfy(s -> assertThat(s.template().posture()).containsEntry("eyes", "closed"));
    }

    private static Brief alone(Brief b) {
        return alone(b, 10);
    }

    private static Brief alone(Brief b, int costumeMinutes) {
        return new Brief(
                        b.call(),
                        Optional.<LocalDateTime>empty(),
                        b.performer(),
                        b.crew(),
                        b.room(),
                        Set.of(),
                        costumeMinutes,
                        true,
                        b.purpose(),
                        b.breaks())
                .allowing(b.allowed());
    }

    @Test
    void aQuestionThatNobodyCanLookAtIsRefusedByLine() {
        assertBroken("- { id: odd, says: Odd, how: guess }", "how");
        assertBroken("- { id: odd, says: Odd, how: rules, rules: [no-such] }", "no rule 'no-such'");
    }

    private static void assertBroken(String text, String says) {
        DataNode file = DataNode.read("questions.yaml", new StringReader(text));
        assertThatThrownBy(() -> Question.read(file, TRADE))
                .isInstanceOf(BrokenFile.class)
                .hasMessageContaining("questions.yaml, line 1")
                .hasMessageContaining(says);
    }
}
