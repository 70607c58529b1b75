package app.kemdro.core.plan;

import static app.kemdro.core.plan.Samples.PLANNER;
import static app.kemdro.core.plan.Samples.TRADE;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.plan.CharactersTest.Character;
import app.kemdro.core.schedule.Planner;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** No must of the trade's order is broken, read afresh from techniques, materials and zones. */
class MustsTest {
    /** So many looks are drawn; with KEMDRO_LOOKS in the environment so many more. */
    private static final int LOOKS = Integer.parseInt(System.getenv().getOrDefault("KEMDRO_LOOKS", "300"));

    private static final LookPlanner QUICK = new LookPlanner(TRADE, Planner.trying(5));

    static Stream<Character> characters() {
        return CharactersTest.characters();
    }

    @ParameterizedTest
    @MethodSource("characters")
    void noMustIsBrokenInAnyCharacter(Character character) {
        Plan plan = ((Planning.Done) PLANNER.plan(character.look(), character.brief())).plan();
        assertThat(MustsOfOrder.broken(TRADE, plan)).isEmpty();
    }

    /** Where what a look needs turns a rule round, the plan says so; that is seldom. */
    @Test
    void norInLooksDrawnByChance() {
        AtomicInteger planned = new AtomicInteger();
        AtomicInteger turned = new AtomicInteger();
        List<String> broken = LongStream.range(0, LOOKS)
                .parallel()
                .boxed()
                .flatMap(seed -> {
                    if (!(QUICK.plan(RandomLooks.look(seed), RandomLooks.brief(seed)) instanceof Planning.Done done)) {
                        return Stream.empty();
                    }
                    planned.incrementAndGet();
                    if (done.plan().notes().stream().anyMatch(n -> n.what().contains(" begins before "))) {
                        turned.incrementAndGet();
                        return Stream.empty();
                    }
                    return MustsOfOrder.broken(TRADE, done.plan()).stream().map(b -> seed + ": " + b);
                })
                .toList();
        assertThat(broken).isEmpty();
        assertThat(planned.get()).isGreaterThan(LOOKS / 6);
        // 10 of 147 in six hundred looks
        assertThat(turned.get()).isLessThan(planned.get() / 8);
    }
}
