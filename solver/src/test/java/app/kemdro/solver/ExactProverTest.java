package app.kemdro.solver;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.schedule.BreakRule;
import app.kemdro.core.schedule.Lag;
import app.kemdro.core.schedule.Networks;
import app.kemdro.core.schedule.Outcome;
import app.kemdro.core.schedule.Planner;
import app.kemdro.core.schedule.Prover.Proof;
import app.kemdro.core.schedule.Prover.Watch;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduleCheck;
import app.kemdro.core.schedule.Task;
import app.kemdro.core.schedule.Task.Mode;
import app.kemdro.core.schedule.TaskNetwork;
import app.kemdro.core.schedule.Worker;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.function.LongFunction;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;

class ExactProverTest {
    private static final ExactProver PROVER = new ExactProver();
    private static final Duration AT_MOST = Duration.ofSeconds(300);
    private static final Path OPTIMA = Path.of("..", "core", "src", "test", "resources", "optima.csv");
    private static final Duration A_MOMENT = Duration.ofSeconds(10);
    private static final int BESIDE = 4;
    private static final int DEAD_ENDS = 4000;

    private static Proof prove(TaskNetwork network, Optional<Schedule> known) {
        return PROVER.prove(network, known, AT_MOST, () -> false);
    }

    private static Optional<Schedule> planned(TaskNetwork network) {
        return Planner.trying(60).plan(network) instanceof Outcome.Planned p
                ? Optional.of(p.schedule())
                : Optional.empty();
    }

    /**
     * Two hundred small networks with every feature have the optimum that a second, unrelated solver found and proved for
     * them. Its answers lie in optima.csv and are written anew with
     * {@code KEMDRO_WRITE=optima mvn -pl core,solver test -Dtest=ExactProverTest -Dsurefire.failIfNoSpecifiedTests=false}.
     */
    @Test
    void anotherSolverFoundTheSameOptima() throws IOException {
        if ("optima".equals(System.getenv("KEMDRO_WRITE"))) {
            Files.writeString(OPTIMA, optima());
        }
        List<String> lines = Files.readAllLines(OPTIMA);
        assertThat(lines).hasSizeGreaterThan(200);
        lines.stream().skip(1).parallel().forEach(line -> {
            String[] cells = line.split(",");
            TaskNetwork network = Networks.random(Long.parseLong(cells[0]), Integer.parseInt(cells[1]));
            Proof proof = prove(network, planned(network));
            assertThat(ScheduleCheck.problems(network, proof.schedule().orElseThrow()))
                    .isEmpty();
            assertThat(proof.schedule().get().ready()).as(line).isEqualTo(Integer.parseInt(cells[2]));
        });
    }

    /** The same, asked of both now, for a few. */
    @Test
    void anotherSolverFindsTheSameOptimumNow() {
        agreed(8, 1000, seed -> Networks.random(seed, 10));
    }

    /** Pins are kept by both, and both agree on what they cost. */
    @Test
    void anotherSolverAgreesOnPinnedNetworks() {
        agreed(12, 0, seed -> Networks.pinned(seed, 10));
    }

    /** Help and postures are understood alike by both. */
    @Test
    void anotherSolverAgreesWhereTwoWorkTogether() {
        List<Schedule> agreed = agreed(12, 0, seed -> Networks.together(seed, 8));
        assertThat(agreed)
                .filteredOn(s -> s.placed().stream().anyMatch(p -> p.helper() != null))
                .hasSizeGreaterThan(2);
    }

    /** The first so many networks that both solvers solved in a moment, each to the same optimum, by a schedule that is sound. */
    private static List<Schedule> agreed(int many, long from, LongFunction<TaskNetwork> drawn) {
        List<Schedule> agreed = new ArrayList<>();
        for (long seed = from; agreed.size() < many && seed < from + 100; seed += BESIDE) {
            agreed.addAll(LongStream.range(seed, seed + BESIDE)
                    .parallel()
                    .boxed()
                    .flatMap(s -> agreed(s, drawn.apply(s)).stream())
                    .toList());
        }
        assertThat(agreed).hasSizeGreaterThanOrEqualTo(many);
        return agreed.subList(0, many);
    }

    private static Optional<Schedule> agreed(long seed, TaskNetwork network) {
        Proof proof = PROVER.prove(network, planned(network), A_MOMENT, () -> false);
        OptionalInt second = proof.isBest() ? second(network, proof) : OptionalInt.empty();
        if (second.isEmpty()) {
            return Optional.empty();
        }
        Schedule found = proof.schedule().orElseThrow();
        assertThat(ScheduleCheck.problems(network, found)).isEmpty();
        assertThat(found.ready()).as("seed " + seed).isEqualTo(second.getAsInt());
        return Optional.of(found);
    }

    private static OptionalInt second(TaskNetwork network, Proof proof) {
        return SecondSolver.shortest(network, proof.schedule().orElseThrow().ready() + 60, DEAD_ENDS);
    }

    private static String optima() {
        Map<Long, String> lines = new ConcurrentSkipListMap<>();
        LongStream.range(0, 700).parallel().filter(seed -> lines.size() < 205).forEach(seed -> {
            int steps = 10 + (int) (seed % 3);
            TaskNetwork network = Networks.random(seed, steps);
            Proof proof = PROVER.prove(network, planned(network), A_MOMENT, () -> false);
            OptionalInt second = proof.isBest() ? second(network, proof) : OptionalInt.empty();
            second.ifPresent(best -> lines.put(seed, seed + "," + steps + "," + best));
        });
        return "seed,steps,optimum\n" + String.join("\n", lines.values()) + "\n";
    }

    @Test
    void theSameInputGivesTheSameAnswer() {
        TaskNetwork network = Networks.random(5);
        Optional<Schedule> known = planned(network);
        Proof once = PROVER.prove(network, known, Duration.ofSeconds(1), () -> false);
        Proof again = PROVER.prove(network, known, Duration.ofSeconds(1), () -> false);
        assertThat(again.schedule().orElseThrow().ready())
                .isEqualTo(once.schedule().orElseThrow().ready());
    }

    /** Asked for the best however long it takes, of a network that takes long, it answers only because it is told to stop. */
    @Test
    void aSearchIsGivenUpWhenNobodyWantsItAnyMore() {
        TaskNetwork network = Networks.random(20, 120);
        Proof proof = PROVER.prove(network, planned(network), Duration.ofDays(1), () -> true);
        assertThat(proof.schedule()).isPresent();
        assertThat(proof.isBest()).isFalse();
    }

    /**
     * By the clock, however far it comes on this machine: what is found is sound, what is said on the way goes only one way, and what is
     * proven is never more than the optimum another solver proved.
     */
    @Test
    void byTheClockNothingUntrueIsSaid() throws IOException {
        for (String line : Files.readAllLines(OPTIMA).subList(1, 13)) {
            String[] cells = line.split(",");
            TaskNetwork network = Networks.random(Long.parseLong(cells[0]), Integer.parseInt(cells[1]));
            int optimum = Integer.parseInt(cells[2]);
            List<Integer> found = new ArrayList<>();
            List<Integer> proven = new ArrayList<>();
            Proof proof = PROVER.settle(network, planned(network), Duration.ofMillis(1500), new Watch() {
                @Override
                public boolean isStopped() {
                    return false;
                }

                @Override
                public synchronized void found(Schedule better) {
                    found.add(better.ready());
                }

                @Override
                public void proven(int least, String because) {
                    proven.add(least);
                }
            });
            Schedule best = proof.schedule().orElseThrow();
            assertThat(ScheduleCheck.problems(network, best)).isEmpty();
            assertThat(best.ready()).as(line).isGreaterThanOrEqualTo(optimum);
            assertThat(proof.leastReady()).as(line).isLessThanOrEqualTo(optimum);
            assertThat(found).isSortedAccordingTo(java.util.Comparator.reverseOrder());
            assertThat(proven).isSorted().allMatch(l -> l <= optimum);
        }
    }

    /**
     * What is said to be the least possible never is more than what really is: a thousand small networks of every kind, each
     * solved to its optimum by a solver that knows nothing of bounds.
     */
    @Test
    void theLeastThatIsSaidIsNeverMoreThanTheBestThereIs() {
        long solved = LongStream.range(0, 1000)
                .parallel()
                .filter(seed -> {
                    TaskNetwork network = Networks.ofEveryKind(seed);
                    int known = planned(network).map(Schedule::ready).orElse(40_000);
                    OptionalInt best = SecondSolver.shortest(network, known + 60, DEAD_ENDS);
                    best.ifPresent(b -> assertThat(Planner.trying(1).least(network))
                            .as("seed " + seed)
                            .isLessThanOrEqualTo(b));
                    return best.isPresent();
                })
                .count();
        assertThat(solved).isGreaterThan(900);
    }

    /** By hand: 20 minutes of a lead, then an hour in which nobody can work; 80 minutes, and not 140. */
    @Test
    void aCostumeIsNotCountedTwice() {
        Task work = new Task("work", 1200, Set.of("nose"), Set.of(), Task.Needs.LEAD, List.of(Mode.NOTHING));
        Task costume = new Task("costume", 3600, Set.of(), Set.of("nose"), Task.Needs.NOBODY, List.of(Mode.NOTHING));
        TaskNetwork network = new TaskNetwork(
                List.of(work, costume),
                List.of(new Lag("work", "costume", Lag.Kind.SETTLED, null, "it comes last")),
                List.of(new Worker("Ines", true, 1, 0, 100_000)),
                0,
                BreakRule.USUAL);
        assertThat(Planner.trying(10).least(network)).isEqualTo(4800);
        assertThat(prove(network, planned(network)).schedule().orElseThrow().ready())
                .isEqualTo(4800);
    }

    @Test
    void whatCannotBeIsProvenImpossible() {
        Worker lead = new Worker("Ines", true, 1, 0, 100);
        Task long1 = new Task("a", 80, Set.of("nose"), Set.of(), Task.Needs.LEAD, List.of(Mode.NOTHING));
        Task long2 = new Task("b", 80, Set.of("chin"), Set.of(), Task.Needs.LEAD, List.of(Mode.NOTHING));
        TaskNetwork network = new TaskNetwork(List.of(long1, long2), List.of(), List.of(lead), 0, BreakRule.USUAL);
        assertThat(prove(network, Optional.empty()).impossible()).isTrue();
    }

    @Test
    void noStepsAndNoHandsAreAnsweredAtOnce() {
        assertThat(prove(new TaskNetwork(List.of(), List.of(), List.of(), 0, BreakRule.USUAL), Optional.empty())
                        .schedule())
                .isEmpty();
    }

    /** Classic job shops: Fisher & Thompson 1963, Lawrence 1984; optima as published, from memory. */
    @Test
    void classicJobShopsAreProvenOptimal() {
        JobShop.called("ft06|la0[1-9]|la1[0234]").parallelStream().forEach(shop -> {
            Proof proof = prove(shop.network(), planned(shop.network()));
            assertThat(proof.schedule().orElseThrow().ready()).as(shop.name()).isEqualTo(shop.optimum());
            assertThat(proof.isBest()).as(shop.name()).isTrue();
        });
    }
}
