package app.kemdro.core.run;

import static app.kemdro.core.plan.Samples.TRADE;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.entry;
import static app.kemdro.core.plan.Samples.lead;
import static app.kemdro.core.plan.Samples.look;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.layer.Stack;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry.Strength;
import app.kemdro.core.method.Technique;
import app.kemdro.core.plan.CharactersTest;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.plan.Planning;
import app.kemdro.core.plan.Samples;
import app.kemdro.core.schedule.Progress;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduleCheck;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** [T49] Something is put on, taken away or done otherwise while a run is on. */
class AdditionsTest {
    private static final Brief BRIEF = brief(lead("Ines"));
    private static final EventGuard GUARD = new EventGuard(TRADE, Samples.PLANNER);

    private static Ruling asked(Mornings m, int second, String technique, String... zones) {
        return GUARD.check(
                new RunEvent.Addition(
                        new Stamp("press-1", m.at(second), "Ines"), technique, List.of(zones), 0, List.of()),
                m.standing(second));
    }

    private static Mornings added(Mornings m, int second, String technique, String... zones) {
        RunEvent event = ((Ruling.Can) asked(m, second, technique, zones)).event();
        return m.report(second, "Ines", s -> event);
    }

    private static List<String> materials(Plan plan, String zone) {
        Stack stack = plan.stacks().get(zone);
        return stack.layers().stream().map(l -> l.material().id()).toList();
    }

    private static void sound(Mornings m, int second) {
        Plan plan = m.plan();
        Progress progress = new Chair(plan, m.state()).progress(m.at(second));
        Schedule rest = m.rest(second);
        assertThat(ScheduleCheck.problems(plan.network(), progress, rest)).isEmpty();
        for (PlannedStep step : plan.steps()) {
            assertThat(rest.find(step.id())).as(step.id()).isPresent();
        }
    }

    /** Ear tips after the ears are painted: wiped bare, degreased, glued, and the ears' own colours again over them; read from layers and times. */
    @Test
    void earTipsOverPaintedEarsBringTheirWholeChain() {
        Look ears = look(
                entry("base-cream", "ear-left", "ear-right", "cheek-left"), entry("eye-soot", "eye-left", "eye-right"));
        Mornings m = new Mornings(ears, BRIEF);
        int now = m.first()
                        .schedule()
                        .of(m.step("base-cream-ear-left-ear-right-cheek-left/lay"))
                        .settled()
                + 30;
        m.carriedOutUntil(now);
        int before = m.rest(now).ready();
        added(m, now, "false-ears", "ear-left", "ear-right");
        Plan plan = m.plan();
        // what was wiped off is not there any more
        assertThat(materials(plan, "ear-left"))
                .containsSubsequence("spirit-gum", "foam-ear-tip", "castor-grease", "cream");
        assertThat(materials(plan, "cheek-left")).filteredOn("cream"::equals).hasSize(1);
        Schedule rest = m.rest(now);
        int wiped = rest.of(step(plan, ".bare/wipe")).start();
        int pressed = rest.of(step(plan, "/press@ear-left")).start();
        int coloured = rest.of(step(plan, ".base-cream-ear-left-ear-right-cheek-left/lay"))
                .start();
        assertThat(wiped).isGreaterThanOrEqualTo(now - 1);
        assertThat(pressed).isGreaterThan(wiped);
        assertThat(coloured).isGreaterThan(pressed);
        assertThat(rest.ready()).isGreaterThan(before + 4 * 60);
        assertThat(plan.troubles()).isZero();
        sound(m, now);
    }

    private static String step(Plan plan, String part) {
        return plan.steps().stream()
                .map(PlannedStep::id)
                .filter(id -> id.contains(part))
                .findFirst()
                .orElseThrow();
    }

    /** What comes on top anyway, or where nothing lies yet, comes as it would have in the look. */
    @Test
    void bloodAndABareChinNeedNothingElse() {
        Look face = look(entry("base-cream", "cheek-left", "forehead"));
        Mornings m = new Mornings(face, BRIEF);
        m.carriedOutUntil(m.first().schedule().ready() / 2);
        int now = m.first().schedule().ready() / 2;
        added(m, now, "foam-piece", "chin");
        assertThat(m.changes().look().entries()).hasSize(2);
        assertThat(materials(m.plan(), "chin")).contains("acrylic-adhesive", "foam-latex");
        // the face was cleaned long ago, and this chin was not
        assertThat(m.plan().steps())
                .filteredOn(s -> s.technique().id().equals("skin-prep"))
                .filteredOn(s -> s.zones().contains("chin"))
                .isNotEmpty()
                .allSatisfy(s -> assertThat(m.state().step(s.id()).status()).isEqualTo(StepState.Status.WAITING));
        sound(m, now);
    }

    @Test
    void whatCannotBePutOnAnyMoreIsSaid() {
        Mornings m = new Mornings(look(entry("base-cream", "forehead")), BRIEF).carriedOutUntil(60);
        assertThat(((Ruling.Cannot) asked(m, 60, "cap-latex", "crown", "hairline", "back-of-head")).why())
                .contains("not put on any more");
        assertThat(((Ruling.Cannot) asked(m, 60, "foam-piece", "crown")).why()).contains("does not go there");
        assertThat(((Ruling.Cannot) asked(m, 60, "foam-piece")).why()).contains("Say where");
    }

    @Test
    void whatHasNotBegunIsDoneMoreStronglyAndWhatHasIsNot() {
        Mornings m = new Mornings(look(entry("base-cream", "cheek-left"), entry("spatter", "cheek-left")), BRIEF);
        int now = m.first().schedule().of(m.step("spatter")).start() - 10;
        m.carriedOutUntil(now);
        int before = m.rest(now).ready();
        m.report(now, "Ines", s -> new RunEvent.Strength(s, "spatter-cheek-left", Strength.HEAVY));
        assertThat(m.rest(now).ready()).isGreaterThan(before);
        assertThat(GUARD.check(
                        new RunEvent.Strength(
                                new Stamp("x", m.at(now), "Ines"), "base-cream-cheek-left", Strength.LIGHT),
                        m.standing(now)))
                .isInstanceOf(Ruling.Cannot.class);
    }

    static Stream<CharactersTest.Character> characters() {
        return CharactersTest.characters();
    }

    /** Drawn by chance, at any moment of any character: what can be added is planned soundly, and nothing that has begun is lost. */
    @ParameterizedTest
    @MethodSource("characters")
    void whateverIsAddedIsPlannedSoundlyAndNothingBegunIsLost(CharactersTest.Character c) {
        Random dice = new Random(c.name().hashCode());
        AtomicInteger planned = new AtomicInteger();
        List<Technique> can =
                TRADE.techniques().stream().filter(TRADE.lateWork()::allows).toList();
        for (int k = 0; k < 3; k++) {
            Mornings m = new Mornings(c.look(), c.brief());
            int now = dice.nextInt(Math.max(1, m.first().schedule().ready()));
            m.carriedOutUntil(now);
            Technique technique = can.get(dice.nextInt(can.size()));
            List<String> all = List.copyOf(technique.zones());
            String zone = all.get(dice.nextInt(all.size()));
            Ruling ruling = asked(m, now, technique.id(), zone);
            assertThat(ruling).isInstanceOf(Ruling.Can.class);
            Plan was = m.plan();
            m.report(now, "Ines", s -> ((Ruling.Can) ruling).event());
            Optional<Planning> planning = Optional.of(m.planning());
            if (planning.get() instanceof Planning.Refused) {
                continue;
            }
            planned.incrementAndGet();
            assertThat(RunLevers.keepsWhatHasBegun(m.plan(), was, m.state()))
                    .as("%s on %s", technique.id(), zone)
                    .isTrue();
            sound(m, now);
        }
        assertThat(planned.get()).isPositive();
    }
}
