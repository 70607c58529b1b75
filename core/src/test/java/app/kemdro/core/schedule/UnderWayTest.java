package app.kemdro.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Networks of every kind, planned, carried out as far as some moment, late at times, and planned again from there. */
class UnderWayTest {
    static LongStream seeds() {
        return LongStream.rangeClosed(1, 30);
    }

    private static TaskNetwork network(long seed) {
        return seed % 3 == 0 ? Networks.together(seed, 14) : Networks.random(seed, 14);
    }

    /** What had begun by then; what is at work takes a minute more than it was to. */
    private static Progress at(Schedule schedule, int now) {
        List<ScheduledTask> past = schedule.placed().stream()
                .filter(p -> p.start() < now)
                .map(p -> p.end() <= now ? p : RunsOver.by(Math.max(60, now + 30 - p.end()), p))
                .toList();
        List<Rest> rests =
                schedule.rests().stream().filter(r -> r.start() < now).toList();
        return new Progress(now, past, rests, List.of());
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void whatIsPlannedFromTheMiddleIsSound(long seed) {
        TaskNetwork network = network(seed);
        if (!(Planner.trying(20).plan(network) instanceof Outcome.Planned first)) {
            return;
        }
        for (int third = 1; third <= 2; third++) {
            Progress progress = at(first.schedule(), first.schedule().ready() * third / 3);
            Optional<Schedule> before = Optional.of(first.schedule());
            Optional<Schedule> drifted = Planner.trying(1).drift(network, progress, first.schedule());
            drifted.ifPresent(d ->
                    assertThat(ScheduleCheck.problems(network, progress, d)).isEmpty());
            if (Planner.trying(20).plan(network, progress, before) instanceof Outcome.Planned again) {
                assertThat(ScheduleCheck.problems(network, progress, again.schedule()))
                        .isEmpty();
                assertThat(again.schedule().placed()).containsAll(progress.past());
                drifted.ifPresent(d -> assertThat(again.schedule().ready()).isLessThanOrEqualTo(d.ready()));
            } else {
                assertThat(drifted).as("what can simply go on is planned").isEmpty();
            }
        }
    }

    /** Of a hundred and twenty moments most can be planned on from: the test above asks something. */
    @Test
    void mostCanBePlannedOnFrom() {
        long planned = seeds().filter(seed -> {
                    TaskNetwork network = network(seed);
                    return Planner.trying(20).plan(network) instanceof Outcome.Planned first
                            && Planner.trying(5)
                                            .plan(
                                                    network,
                                                    at(
                                                            first.schedule(),
                                                            first.schedule().ready() / 3),
                                                    Optional.of(first.schedule()))
                                    instanceof Outcome.Planned;
                })
                .count();
        assertThat(planned).isGreaterThan(20);
    }
}
