package app.kemdro.core.plan;

import static app.kemdro.core.plan.Samples.TRADE;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.entry;
import static app.kemdro.core.plan.Samples.lead;
import static app.kemdro.core.plan.Samples.look;
import static app.kemdro.core.plan.Samples.planned;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.method.Technique;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.core.schedule.Task;
import app.kemdro.core.schedule.Task.Mode;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** How long a film stays open for what is pressed into it: the first of it closes first. */
class OpenTimeTest {
    private static Task task(Plan plan, String part) {
        return plan.network().tasks().stream()
                .filter(t -> t.id().contains(part))
                .findFirst()
                .orElseThrow();
    }

    /** The window of a large area is shorter by what laying it takes: what was laid first is open least. */
    @Test
    void theWindowCountsFromTheFirstStroke() {
        Task small = task(planned(look(entry("foam-piece-gum", "nose")), brief(lead("Ines"))), "/glue");
        Task large = task(planned(look(entry("foam-piece-gum", "forehead")), brief(lead("Ines"))), "/glue");
        int shorter = small.modes().get(0).closes() - large.modes().get(0).closes();
        assertThat(large.work()).isGreaterThan(small.work());
        assertThat(shorter).isEqualTo(large.work() - small.work());
    }

    /** A closing glue on a whole back cannot be laid in one go; the plan says in how many. */
    @Test
    void whatClosesBeforeAllOfItIsLaidIsWorkedInSections() {
        Plan plan = planned(look(entry("foam-piece-gum", "chest", "upper-back", "belly")), brief(lead("Ines")));
        assertThat(plan.notes()).anySatisfy(n -> {
            assertThat(n.what()).contains("closes before all of it is laid");
            assertThat(n.remedy()).containsPattern("in [2-9]\\d* sections");
        });
        assertThat(planned(look(entry("foam-piece-gum", "nose")), brief(lead("Ines")))
                        .notes())
                .noneMatch(n -> n.what().contains("closes before all of it"));
    }

    static Stream<Technique> gluing() {
        return TRADE.techniques().stream()
                .filter(t -> t.steps().stream().anyMatch(s -> s.dryer() && s.material() != null))
                .filter(t -> !TRADE.strata().level(t.slot()).block());
    }

    /** A dryer never makes the window of a closing film vanish: where still air closes it, blowing leaves a window too, or none is wanted. */
    @ParameterizedTest
    @MethodSource("gluing")
    void aDryerLeavesAWindowAWindow(Technique technique) {
        String zone = TRADE.body().sorted(technique.zones()).get(0);
        if (!(Samples.PLANNER.plan(look(entry(technique.id(), zone)), brief(lead("Ines")))
                instanceof Planning.Done done)) {
            return;
        }
        for (Task task : done.plan().network().tasks()) {
            if (task.modes().get(0).closes() < Mode.NEVER) {
                assertThat(task.modes()).as(task.id()).allMatch(m -> m.closes() < Mode.NEVER);
            }
        }
    }

    /** Gelatine is warmed, then cools to what skin takes, and only then is it laid. */
    @Test
    void gelatineIsLaidAtATemperatureThatSkinTakes() {
        Plan plan = planned(look(entry("gel-scar", "cheek-left")), brief(lead("Ines")));
        ScheduledTask cool = plan.schedule().of(task(plan, "/cool").id());
        ScheduledTask place = plan.schedule().of(task(plan, "/place").id());
        assertThat(place.start() - cool.end()).isBetween(4 * 60, 4 * 60 + 5 * 60);
    }
}
