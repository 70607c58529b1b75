package app.kemdro.core.kit;

import static app.kemdro.core.plan.Samples.TRADE;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.kemdro.core.look.Look;
import app.kemdro.core.plan.CharactersTest;
import app.kemdro.core.plan.Costs;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Planning;
import app.kemdro.core.plan.Samples;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class SpendTest {
    static Stream<CharactersTest.Character> characters() {
        return CharactersTest.characters();
    }

    /** All rows together are the money of the day, and no zone is counted twice. */
    @ParameterizedTest
    @MethodSource("characters")
    void rowsAddUpToTheDay(CharactersTest.Character character) {
        Plan plan = ((Planning.Done) Samples.PLANNER.plan(character.look(), character.brief())).plan();
        List<Spend> spends = Spend.of(plan, character.look(), TRADE);
        assertThat(spends.stream().mapToDouble(Spend::euros).sum())
                .isCloseTo(Costs.euros(plan.steps(), plan.brief().performer(), TRADE), within(1e-6));
        Set<String> zones = new HashSet<>();
        spends.forEach(s -> assertThat(s.zones()).allMatch(zones::add));
    }

    /** A school that is said to be cheaper is so when it is planned, about as much as was said. */
    @Test
    void whatIsCheaperIsCheaperWhenItIsDone() {
        int said = 0;
        for (CharactersTest.Character character : CharactersTest.characters().toList()) {
            Plan plan = ((Planning.Done) Samples.PLANNER.plan(character.look(), character.brief())).plan();
            for (Spend spend : Spend.of(plan, character.look(), TRADE)) {
                if (spend.cheaper().isEmpty()) {
                    continue;
                }
                Spend.Cheaper cheaper = spend.cheaper().get();
                Look other = character
                        .look()
                        .with(character.look().entries().stream()
                                .map(e -> e.techniqueId().equals(spend.dearest().id())
                                                && e.zones().stream().anyMatch(spend.zones()::contains)
                                        ? e.by(cheaper.school().id())
                                        : e)
                                .toList());
                if (Samples.PLANNER.plan(other, character.brief()) instanceof Planning.Done done) {
                    said++;
                    double saved = Costs.euros(plan.steps(), plan.brief().performer(), TRADE)
                            - Costs.euros(done.plan().steps(), plan.brief().performer(), TRADE);
                    assertThat(saved)
                            .as(
                                    "%s: %s by %s",
                                    character,
                                    spend.dearest().id(),
                                    cheaper.school().id())
                            .isBetween(0.6 * cheaper.saves(), 1.6 * cheaper.saves());
                }
            }
        }
        assertThat(said).isPositive();
    }
}
