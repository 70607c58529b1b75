package app.kemdro.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.DoubleSupplier;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;

/** What is found is sound, shorter than what was known, and never shorter than the best there is. */
class EagerSearchTest {
    private static final int A_DAY = 24 * 3600;

    /** So many mornings, counted and not timed. */
    private static DoubleSupplier mornings(int many) {
        AtomicInteger done = new AtomicInteger();
        return () -> done.getAndIncrement() / (double) many;
    }

    private static Optional<Schedule> look(TaskNetwork network, int shorterThan, int mornings, long seed) {
        return new EagerSearch(network, seed).look(shorterThan, 0, mornings(mornings), () -> false);
    }

    /** Optima that another solver found and proved. */
    @Test
    void nothingIsShorterThanTheOptimumAndSomeOptimaAreReached() throws IOException {
        List<String> lines = Files.readAllLines(Path.of("src/test/resources/optima.csv"));
        int found = 0;
        int reached = 0;
        for (String line : lines.subList(1, lines.size())) {
            String[] cells = line.split(",");
            TaskNetwork network = Networks.random(Long.parseLong(cells[0]), Integer.parseInt(cells[1]));
            int optimum = Integer.parseInt(cells[2]);
            Optional<Schedule> best = look(network, A_DAY, 600, 1);
            if (best.isPresent()) {
                found++;
                assertThat(ScheduleCheck.problems(network, best.get())).isEmpty();
                assertThat(best.get().ready()).as(line).isGreaterThanOrEqualTo(optimum);
                reached += best.get().ready() == optimum ? 1 : 0;
            }
        }
        assertThat(found).isGreaterThan(190);
        assertThat(reached).isGreaterThan(50);
    }

    /** Networks of every kind: pins, postures, help, breaks close together, hands of any pace. */
    @Test
    void whatIsFoundOfAnyKindIsSoundAndShorterThanWhatWasKnown() {
        long found = LongStream.range(0, 300)
                .mapToObj(seed -> seed % 3 == 0
                        ? Networks.ofEveryKind(seed)
                        : seed % 3 == 1 ? Networks.pinned(seed, 20) : Networks.together(seed, 20))
                .filter(network -> {
                    Optional<Schedule> best = look(network, A_DAY, 300, 7);
                    best.ifPresent(s -> {
                        assertThat(ScheduleCheck.problems(network, s)).isEmpty();
                        look(network, s.ready(), 300, 8)
                                .ifPresent(t -> assertThat(t.ready()).isLessThan(s.ready()));
                    });
                    return best.isPresent();
                })
                .count();
        assertThat(found).isGreaterThan(250);
    }

    @Test
    void theSameSeedFindsTheSame() {
        TaskNetwork network = Networks.together(4, 30);
        assertThat(look(network, A_DAY, 500, 3)).isEqualTo(look(network, A_DAY, 500, 3));
    }

    @Test
    void itEndsWhenNobodyWantsIt() {
        assertThat(new EagerSearch(Networks.random(1), 1).look(A_DAY, 0, () -> 0, () -> true))
                .isEmpty();
    }
}
