package app.kemdro.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.core.schedule.ScheduledTask;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** On oneself each hand is a tool of its own. Everything is read from the times of finished orders. */
class HandsApartTest {
    private static final Look HANDS = Samples.look(
            Samples.entry("base-cream", "hand-left", "hand-right"),
            Samples.entry("nails-tabs", "nails-left", "nails-right"));

    /** What has to dry on one of them first holds up the other. */
    private static Look held(String hand) {
        return Samples.look(
                Samples.entry("tissue-build", hand), Samples.entry("base-cream", "hand-left", "hand-right"));
    }

    private static Brief alone(Map<String, String> ways, String... crew) {
        Brief b = Samples.brief(Samples.lead("Ines"));
        return new Brief(
                        b.call(),
                        Optional.empty(),
                        b.performer(),
                        List.of(crew).stream().map(Samples::lead).toList(),
                        b.room(),
                        Set.of(),
                        0,
                        true,
                        b.purpose(),
                        b.breaks())
                .allowing(b.allowed().withSchools(ways));
    }

    private static List<ScheduledTask> on(Plan plan, String zone) {
        return plan.steps().stream()
                .filter(s -> s.zones().contains(zone))
                .map(s -> plan.schedule().of(s.id()))
                .toList();
    }

    private static List<ScheduledTask> on(Plan plan, String zone, String technique) {
        return plan.steps().stream()
                .filter(s -> s.zones().contains(zone) && s.technique().id().equals(technique))
                .map(s -> plan.schedule().of(s.id()))
                .toList();
    }

    /** The left hand, by the right one, and then the other way round; nothing is done with a hand while it is wet. */
    @ParameterizedTest
    @CsvSource({"right, left", "left, right"})
    void theWorkingHandIsDoneLastAndNoWetHandWorks(String working, String other) {
        Plan plan = Samples.planned(HANDS, alone(Map.of("working-hand", working), "Ines"));
        int compared = 0;
        for (PlannedStep s : plan.steps()) {
            if (!s.zones().equals(List.of("hand-" + working)) && !s.zones().equals(List.of("nails-" + working))) {
                continue;
            }
            ScheduledTask last = plan.schedule().of(s.id());
            ScheduledTask first = plan.steps().stream()
                    .filter(o -> o.template().id().equals(s.template().id())
                            && o.entryId().equals(s.entryId())
                            && o.zones().equals(List.of(s.zones().get(0).replace(working, other))))
                    .map(o -> plan.schedule().of(o.id()))
                    .findFirst()
                    .orElseThrow();
            assertThat(last.start()).isGreaterThanOrEqualTo(first.end());
            // with the hand that one does not write with it takes about a third longer
            assertThat((last.end() - last.start()) / (double) (first.end() - first.start()))
                    .isBetween(1.25, 1.45);
            compared++;
        }
        assertThat(compared).isGreaterThan(2);
        for (String hand : List.of(working, other)) {
            String by = hand.equals(working) ? other : working;
            for (ScheduledTask done : on(plan, "hand-" + hand)) {
                for (ScheduledTask wet : on(plan, "hand-" + by)) {
                    boolean powdered = on(plan, "hand-" + by).stream()
                            .anyMatch(p -> p != wet && p.start() >= wet.end() && p.end() <= done.start());
                    assertThat(done.end() <= wet.start() || done.start() >= wet.settled() || powdered)
                            .as("%s while %s is wet", done.task(), wet.task())
                            .isTrue();
                }
            }
        }
    }

    /** Even where the other one is wet for long and the working hand could have been done meanwhile. */
    @Test
    void theWorkingHandWaitsForTheOther() {
        Plan plan = Samples.planned(held("hand-left"), alone(Map.of(), "Ines"));
        ScheduledTask left = on(plan, "hand-left", "base-cream").get(0);
        ScheduledTask right = on(plan, "hand-right", "base-cream").get(0);
        assertThat(right.start()).isGreaterThanOrEqualTo(left.end());
    }

    /** What one reaches and does not see is looked at in a second mirror; only on oneself, and only there. */
    @Test
    void whatOneDoesNotSeeIsLookedAtOtherwise() {
        Look neck = Samples.look(Samples.entry("base-cream", "nape"), Samples.entry("foam-piece", "chin"));
        assertThat(Samples.planned(neck, alone(Map.of(), "Ines")).steps())
                .filteredOn(s -> s.technique().id().equals("base-cream")
                        || s.technique().id().equals("foam-piece"))
                .filteredOn(s -> !s.template().aside())
                .isNotEmpty()
                .allSatisfy(s -> assertThat(s.lookFor().contains("second mirror"))
                        .isEqualTo(s.zones().contains("nape")));
        assertThat(Samples.planned(neck, Samples.brief(Samples.lead("Ines"))).steps())
                .noneMatch(s -> s.lookFor().contains("second mirror"));
    }

    /** Somebody else paints both hands as one, and neither last. */
    @Test
    void othersPaintBothHandsAtOnce() {
        Brief b = Samples.brief(Samples.lead("Ines"));
        assertThat(Samples.planned(HANDS, b).steps())
                .anyMatch(s -> s.zones().containsAll(List.of("hand-left", "hand-right")));
        assertThat(Samples.planned(HANDS, alone(Map.of(), "Ines", "Pell")).steps())
                .anyMatch(s -> s.zones().containsAll(List.of("hand-left", "hand-right")));
    }

    /** Glue on the fingers is wiped off before the next piece, the hair or a lash is taken up; dye comes off with the gloves. */
    @Test
    void gluedAndGlovedFingersAreCleanedAtOnce() {
        Look look = Samples.look(
                Samples.entry("foam-piece", "nose"),
                Samples.entry("foam-piece", "chin"),
                Samples.entry("hair-colour", "crown"),
                Samples.entry("beard-lace", "upper-lip"));
        Plan plan = Samples.planned(look, alone(Map.of(), "Ines"));
        List<PlannedStep> soiled = plan.steps().stream()
                .filter(s -> Set.of("press", "colour").contains(s.template().id()))
                .toList();
        assertThat(soiled).hasSize(4);
        for (PlannedStep s : soiled) {
            ScheduledTask soils = plan.schedule().of(s.id());
            Optional<String> next = plan.schedule().placed().stream()
                    .filter(p -> p.worker() != null && p.start() >= soils.end())
                    .min(java.util.Comparator.comparingInt(ScheduledTask::start))
                    .map(p -> plan.step(p.task()).title());
            assertThat(next).get().asString().containsAnyOf("Wipe the fingers", "Gloves off");
        }
    }
}
