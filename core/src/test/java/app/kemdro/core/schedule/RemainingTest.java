package app.kemdro.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.schedule.Outcome.Planned;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;

/** What is left in the middle of a morning, as a network that begins anew: an order of it is an order of the whole. */
class RemainingTest {
    private static final int A_DAY = 24 * 3600;

    private record Middle(TaskNetwork network, Schedule order, Progress progress) {}

    /** Networks of every kind, planned, at some second of their morning. */
    private static List<Middle> middles() {
        return LongStream.range(0, 240)
                .mapToObj(seed -> {
                    TaskNetwork network = seed % 3 == 0
                            ? Networks.ofEveryKind(seed)
                            : seed % 3 == 1 ? Networks.pinned(seed, 20) : Networks.together(seed, 20);
                    Outcome outcome = Planner.trying(40).plan(network);
                    return outcome instanceof Planned p
                            ? Optional.of(middle(network, p.schedule(), seed))
                            : Optional.<Middle>empty();
                })
                .flatMap(Optional::stream)
                .toList();
    }

    private static Middle middle(TaskNetwork network, Schedule order, long seed) {
        int now = (int) (order.ready() * new Random(seed).nextDouble());
        return new Middle(
                network,
                order,
                new Progress(
                        now,
                        order.placed().stream().filter(p -> p.start() < now).toList(),
                        order.rests().stream().filter(r -> r.start() < now).toList(),
                        List.of()));
    }

    @Test
    void whatIsFoundOfTheRestIsAnOrderOfTheWhole() {
        int found = 0;
        int unknown = 0;
        for (Middle m : middles()) {
            Remaining left = Remaining.of(m.network(), m.progress());
            AtomicInteger mornings = new AtomicInteger();
            Optional<Schedule> rest = new EagerSearch(left.network(), 3)
                    .look(A_DAY, 0, () -> mornings.getAndIncrement() / 200.0, () -> false);
            if (rest.isPresent()) {
                found++;
                List<String> problems =
                        ScheduleCheck.problems(m.network(), m.progress(), left.whole(rest.get(), m.progress()));
                unknown += problems.isEmpty() ? 0 : 1;
                assertThat(problems).allMatch(p -> p.contains("tool") || p.startsWith("break"));
            }
        }
        assertThat(found).isGreaterThan(150);
        assertThat(unknown)
                .as("a tool in use, and which of the breaks is the meal, it does not know; whoever uses it checks")
                .isLessThan(found / 10);
    }

    @Test
    void anOrderThatGoesOnIsAnOrderOfTheRestAndComesBackAsItWas() {
        List<Middle> all = middles();
        assertThat(all.stream().filter(m -> {
                    Remaining left = Remaining.of(m.network(), m.progress());
                    return ScheduleCheck.problems(left.network(), left.of(m.order(), m.progress()))
                            .isEmpty();
                }))
                .hasSizeGreaterThan(all.size() * 95 / 100);
        assertThat(all).hasSizeGreaterThan(200).allSatisfy(m -> {
            Remaining left = Remaining.of(m.network(), m.progress());
            Schedule rest = left.of(m.order(), m.progress());
            Schedule back = left.whole(rest, m.progress());
            assertThat(back.placed()).isEqualTo(m.order().placed());
            assertThat(back.rests()).isEqualTo(m.order().rests());
            assertThat(back.ready()).isEqualTo(m.order().ready());
        });
    }
}
