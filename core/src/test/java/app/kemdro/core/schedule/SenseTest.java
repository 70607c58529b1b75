package app.kemdro.core.schedule;

import static app.kemdro.core.schedule.Networks.INES;
import static app.kemdro.core.schedule.Networks.PELL;
import static app.kemdro.core.schedule.Networks.plain;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.schedule.Sense.Found;
import app.kemdro.core.schedule.SenseWeights.Term;
import app.kemdro.core.schedule.SenseWeights.Weight;
import app.kemdro.core.schedule.Task.Mode;
import app.kemdro.core.schedule.Task.Needs;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What goes against an artist's sense, counted by hand. */
class SenseTest {
    private static final SenseWeights WEIGHTS = new SenseWeights(Map.of(
            Term.TORN, new Weight(180, 1),
            Term.TWINS, new Weight(300, 1),
            Term.HANDOVERS, new Weight(0, 60),
            Term.CHANGES, new Weight(0, 30),
            Term.WORN, new Weight(0, 0.1),
            Term.FLOW, new Weight(0, 20),
            Term.OPEN, new Weight(0, 240),
            Term.AGAIN, new Weight(0, 120),
            Term.HELD, new Weight(600, 0.5)));

    private static Task task(String id, int seconds, String zone, Mode mode, Trait trait) {
        return new Task(id, seconds, Set.of(zone), Set.of(), Map.of(), Needs.ANYONE, List.of(mode), trait);
    }

    private static Trait work(String work) {
        return new Trait(work, "", "", "", -1, false, false, false, Set.of());
    }

    private static Trait twin(String twin) {
        return new Trait("", twin, "", "", -1, false, false, false, Set.of());
    }

    private static Trait loaded(String loaded, int level) {
        return new Trait("", "", "", loaded, level, false, false, false, Set.of());
    }

    private static TaskNetwork network(List<Task> tasks, Lag... lags) {
        return new TaskNetwork(tasks, List.of(lags), List.of(INES, PELL), 0, BreakRule.USUAL);
    }

    private static Found found(Term term, TaskNetwork network, int ready, ScheduledTask... placed) {
        return found(term, network, List.of(), ready, placed);
    }

    private static Found found(Term term, TaskNetwork network, List<Rest> rests, int ready, ScheduledTask... placed) {
        return new Sense(network, WEIGHTS)
                .of(new Schedule(List.of(placed), rests, ready, 0)).stream()
                        .filter(f -> f.term() == term)
                        .findFirst()
                        .orElseThrow();
    }

    /**
     * A coat ends at 100 and is dry at 300; what goes on with it begins at 1000: 700 s torn, of which 180 are nothing to speak of,
     * and less by a break of 200 s that lies between.
     */
    @Test
    void workIsTornByWhatItDoesNotHaveToWaitFor() {
        TaskNetwork network = network(
                List.of(
                        task("coat", 100, "nose", new Mode(0, 200, Mode.NEVER, 200), work("brow")),
                        task("dust", 100, "nose", Mode.NOTHING, work("brow"))),
                new Lag("coat", "dust", Lag.Kind.SETTLED, null, "dry"));
        ScheduledTask coat = new ScheduledTask("coat", "Ines", 0, 0, 100, 300, Mode.NEVER, 300, 0);
        assertThat(found(Term.TORN, network, 1100, coat, plain("dust", "Ines", 1000, 100)))
                .isEqualTo(new Found(Term.TORN, 520, 520, "dust"));
        assertThat(found(Term.TORN, network, List.of(new Rest(400, 600)), 1100, coat, plain("dust", "Ines", 1000, 100)))
                .isEqualTo(new Found(Term.TORN, 320, 320, "dust"));
        assertThat(found(Term.TORN, network, 580, coat, plain("dust", "Ines", 480, 100)))
                .isEqualTo(new Found(Term.TORN, 0, 0, ""));
    }

    /** Other work that merely has to come later is not torn by lying later. */
    @Test
    void otherWorkIsNotTorn() {
        TaskNetwork network = network(
                List.of(
                        task("coat", 100, "nose", Mode.NOTHING, work("brow")),
                        task("dust", 100, "nose", Mode.NOTHING, work("base"))),
                new Lag("coat", "dust", Lag.Kind.END, null, "it comes later"));
        assertThat(found(Term.TORN, network, 5100, plain("coat", "Ines", 0, 100), plain("dust", "Ines", 5000, 100))
                        .amount())
                .isZero();
    }

    @Test
    void twinsBelongTogetherWhoeverIsFirst() {
        TaskNetwork network = network(List.of(
                task("left", 100, "cheek-left", Mode.NOTHING, twin("press")),
                task("right", 100, "cheek-right", Mode.NOTHING, twin("press"))));
        assertThat(found(Term.TWINS, network, 900, plain("right", "Ines", 0, 100), plain("left", "Pell", 800, 100)))
                .isEqualTo(new Found(Term.TWINS, 400, 400, "left"));
        assertThat(found(Term.TWINS, network, 900, plain("left", "Ines", 0, 100), plain("right", "Pell", 0, 100))
                        .amount())
                .isZero();
    }

    /** Ines: base, base, dark, base: three times something is taken up after the first; Pell's are his own. */
    @Test
    void changesAreCountedHandsByHands() {
        TaskNetwork network = network(List.of(
                task("a", 100, "a", Mode.NOTHING, loaded("base", 0)),
                task("b", 100, "b", Mode.NOTHING, loaded("base", 3)),
                task("c", 100, "c", Mode.NOTHING, loaded("dark", 2)),
                task("d", 100, "d", Mode.NOTHING, loaded("base", 2)),
                task("e", 100, "e", Mode.NOTHING, loaded("dust", 9))));
        ScheduledTask[] placed = {
            plain("a", "Ines", 0, 100),
            plain("b", "Ines", 100, 100),
            plain("c", "Ines", 200, 100),
            plain("d", "Ines", 300, 100),
            plain("e", "Pell", 150, 100)
        };
        assertThat(found(Term.CHANGES, network, 400, placed)).isEqualTo(new Found(Term.CHANGES, 2, 60, "c"));
        assertThat(found(Term.FLOW, network, 400, placed)).isEqualTo(new Found(Term.FLOW, 1, 20, "c"));
    }

    /** A cap that Ines begins and Pell goes on with at this second. */
    private static Found takenOver(int second) {
        TaskNetwork network = network(List.of(
                task("a", 100, "a", Mode.NOTHING, work("cap")),
                task("b", 100, "b", Mode.NOTHING, work("cap")),
                task("c", 100, "c", Mode.NOTHING, work("cap"))));
        return found(
                Term.HANDOVERS,
                network,
                300,
                plain("a", "Ines", 0, 100),
                plain("b", "Pell", second, 100),
                plain("c", "Pell", 200, 100));
    }

    @Test
    void otherHandsThatGoOnAreCountedAndHelpIsNot() {
        assertThat(takenOver(100)).isEqualTo(new Found(Term.HANDOVERS, 1, 60, "b"));
        assertThat(takenOver(50).amount()).as("side by side nobody takes over").isZero();
    }

    /** Powder from 100 to 200 beside glue on the cheek that is wet until 150; on the far side of the head it does no harm, nor to its own work. */
    @Test
    void dustBesideWhatIsWetIsCounted() {
        Trait wet = new Trait("piece", "", "", "glue", 0, false, false, true, Set.of("cheek", "nose"));
        Trait dust = new Trait("base", "", "", "powder", 0, false, true, false, Set.of("cheek", "nose"));
        Trait own = new Trait("piece", "", "", "powder", 0, false, true, false, Set.of("cheek", "nose"));
        Trait far = new Trait("hand", "", "", "powder", 0, false, true, false, Set.of("hand"));
        for (Trait powder : List.of(dust, own, far)) {
            TaskNetwork network = network(List.of(
                    task("glue", 100, "cheek", new Mode(0, 50, Mode.NEVER, 50), wet),
                    task("powder", 100, "nose", Mode.NOTHING, powder)));
            int open = powder == dust ? 1 : 0;
            ScheduledTask glue = new ScheduledTask("glue", "Ines", 0, 0, 100, 150, Mode.NEVER, 150, 0);
            assertThat(found(Term.OPEN, network, 200, glue, plain("powder", "Pell", 100, 100))
                            .amount())
                    .isEqualTo(open);
            assertThat(found(Term.OPEN, network, 300, glue, plain("powder", "Pell", 150, 100))
                            .amount())
                    .isZero();
        }
    }

    /** Base on three places of one layer; between the second and the third the same hands take up something else. */
    @Test
    void aColourTakenUpAgainForOneLayerIsCounted() {
        Trait base = new Trait("base", "", "base 1", "cream", 0, false, false, false, Set.of());
        TaskNetwork network = network(List.of(
                task("a", 100, "a", Mode.NOTHING, base),
                task("b", 100, "b", Mode.NOTHING, base),
                task("c", 100, "c", Mode.NOTHING, base),
                task("line", 100, "d", Mode.NOTHING, loaded("pencil", 0))));
        ScheduledTask[] apart = {
            plain("a", "Ines", 0, 100),
            plain("b", "Ines", 100, 100),
            plain("line", "Ines", 200, 100),
            plain("c", "Ines", 300, 100)
        };
        assertThat(found(Term.AGAIN, network, 400, apart)).isEqualTo(new Found(Term.AGAIN, 1, 120, "c"));
        apart[2] = plain("line", "Pell", 200, 100);
        assertThat(found(Term.AGAIN, network, 400, apart).amount()).isZero();
    }

    /** Eyes shut from 0 to 700 with half a minute between, and again from 800: 100 s beyond ten minutes. */
    @Test
    void aPoseKeptForLongerThanTenMinutesIsCounted() {
        List<Task> tasks = new ArrayList<>();
        for (String id : List.of("a", "b", "c")) {
            tasks.add(new Task(
                    id,
                    300,
                    Set.of(id),
                    Set.of(),
                    Map.of("eyes", "closed"),
                    Task.Needs.LEAD,
                    List.of(Mode.NOTHING),
                    Trait.NONE));
        }
        ScheduledTask[] placed = {plain("a", "Ines", 0, 330), plain("b", "Ines", 360, 340), plain("c", "Ines", 800, 300)
        };
        assertThat(found(Term.HELD, network(tasks), 1100, placed)).isEqualTo(new Found(Term.HELD, 100, 50, "b"));
    }

    @Test
    void whatStrainsIsWornUntilAllIsReady() {
        TaskNetwork network = network(List.of(
                task("lens", 100, "eye-left", Mode.NOTHING, new Trait("", "", "", "", 3, true, false, false, Set.of())),
                task("base", 100, "nose", Mode.NOTHING, Trait.NONE)));
        assertThat(found(Term.WORN, network, 1000, plain("lens", "Ines", 0, 100), plain("base", "Ines", 900, 100)))
                .isEqualTo(new Found(Term.WORN, 900, 90, "lens"));
    }

    static LongStream seeds() {
        return LongStream.rangeClosed(1, 25);
    }

    /** Of networks whose tasks belong together in threes: minding sense nobody is ready later, and nothing is unsound. */
    @ParameterizedTest
    @MethodSource("seeds")
    void mindingSenseCostsNoMinute(long seed) {
        TaskNetwork network = inThrees(Networks.random(seed, 18));
        Outcome plain = Planner.trying(60).plan(network);
        Outcome minding = Planner.trying(60).minding(WEIGHTS).plan(network);
        if (plain instanceof Outcome.Planned p && minding instanceof Outcome.Planned m) {
            assertThat(ScheduleCheck.problems(network, m.schedule())).isEmpty();
            assertThat(m.schedule().ready()).isLessThanOrEqualTo(p.schedule().ready());
            assertThat(cost(network, m.schedule())).isLessThanOrEqualTo(cost(network, p.schedule()));
        } else {
            assertThat(minding).hasSameClassAs(plain);
        }
    }

    /** On the whole it makes a difference: more than a tenth of what goes against sense is gone. */
    @Test
    void mindingSenseMakesADifference() {
        double without = 0;
        double with = 0;
        for (long seed : seeds().toArray()) {
            TaskNetwork network = inThrees(Networks.random(seed, 18));
            if (Planner.trying(200).plan(network) instanceof Outcome.Planned p
                    && Planner.trying(200).minding(WEIGHTS).plan(network) instanceof Outcome.Planned m) {
                without += cost(network, p.schedule());
                with += cost(network, m.schedule());
            }
        }
        assertThat(with).isLessThan(0.9 * without);
    }

    private static TaskNetwork inThrees(TaskNetwork network) {
        List<Task> tasks = network.tasks();
        return new TaskNetwork(
                tasks.stream()
                        .map(t -> {
                            int k = tasks.indexOf(t);
                            return new Task(
                                    t.id(),
                                    t.work(),
                                    t.zones(),
                                    t.holds(),
                                    t.posture(),
                                    t.needs(),
                                    t.modes(),
                                    new Trait(
                                            "work " + k / 3,
                                            k % 7 == 0 ? "twin " + k / 14 : "",
                                            "",
                                            "tool " + k % 4,
                                            k % 5,
                                            false,
                                            false,
                                            false,
                                            Set.of()));
                        })
                        .toList(),
                network.lags(),
                network.workers(),
                network.tools(),
                network.breaks());
    }

    private static double cost(TaskNetwork network, Schedule schedule) {
        return new Sense(network, WEIGHTS)
                .of(schedule).stream().mapToDouble(Found::cost).sum();
    }
}
