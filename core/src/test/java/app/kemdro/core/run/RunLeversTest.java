package app.kemdro.core.run;

import static app.kemdro.core.plan.Samples.TRADE;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.lead;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.kemdro.core.material.Material;
import app.kemdro.core.plan.Levers;
import app.kemdro.core.plan.LookPlanner;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.plan.Samples;
import app.kemdro.core.run.RunLevers.Lever;
import app.kemdro.core.schedule.Planner;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

class RunLeversTest {
    private static final LookPlanner ROUGH = new LookPlanner(TRADE, Planner.trying(10));
    private static final RunLevers LEVERS = new RunLevers(new Levers(TRADE, ROUGH), ROUGH);
    private static final int NOW = 3600;

    private static Mornings morning() {
        return new Mornings(Samples.bellFounder(), brief(lead("Ines"))).carriedOutUntil(NOW);
    }

    @Test
    void leversInTheChairNeverTouchWhatHasBegunAndSaveWhatTheySay() {
        Mornings m = morning();
        List<Lever> levers = LEVERS.of(m.standing(NOW), m.at(NOW));
        assertThat(levers).hasSizeGreaterThan(2);
        assertThat(levers).anyMatch(l -> l.acts().get(0) instanceof RunEvent.Join);
        assertThat(levers).extracting(Lever::saved).isSortedAccordingTo((a, b) -> b - a);
        for (Lever lever : levers) {
            Mornings pulled = morning();
            pull(pulled, lever.acts());
            assertThat(RunLevers.keepsWhatHasBegun(pulled.plan(), m.plan(), pulled.state()))
                    .as(lever.says())
                    .isTrue();
        }
    }

    private static void pull(Mornings m, List<RunEvent.Reshaping> acts) {
        acts.forEach(a -> m.report(NOW, a.hands(), s -> reported(a, s)));
    }

    /** The same as somebody reports it. */
    private static RunEvent reported(RunEvent act, Stamp s) {
        if (act instanceof RunEvent.Drop a) {
            return new RunEvent.Drop(s, a.entry(), a.reason());
        }
        if (act instanceof RunEvent.School a) {
            return new RunEvent.School(s, a.entry(), a.technique());
        }
        if (act instanceof RunEvent.Coats a) {
            return new RunEvent.Coats(s, a.entry(), a.coats());
        }
        return act instanceof RunEvent.Join a
                ? new RunEvent.Join(s, a.skill())
                : new RunEvent.Room(s, ((RunEvent.Room) act).room());
    }

    @Test
    void theBestLeverReallySavesMinutes() {
        Mornings m = morning();
        Lever best = LEVERS.of(m.standing(NOW), m.at(NOW)).get(0);
        Mornings pulled = morning();
        int before = pulled.rest(NOW).ready();
        pull(pulled, best.acts());
        assertThat(before - pulled.rest(NOW).ready()).isGreaterThan(best.saved() / 3);
    }

    @Test
    void twoTogetherSaveMoreThanEither() {
        Mornings m = morning();
        List<Lever> levers = LEVERS.of(m.standing(NOW), m.at(NOW));
        LEVERS.together(levers, m.standing(NOW), m.at(NOW))
                .ifPresent(pair ->
                        assertThat(pair.saved()).isGreaterThan(levers.get(1).saved()));
    }

    private static RunState begun(Plan plan, int many) {
        return RunState.of(plan.steps().stream()
                .limit(many)
                .<RunEvent>map(p -> new RunEvent.Start(new Stamp("s" + p.id(), plan.clock(0), p.id()), p.id()))
                .toList());
    }

    private static Plan with(Plan plan, PlannedStep other) {
        List<PlannedStep> steps = plan.steps().stream()
                .map(s -> s.id().equals(other.id()) ? other : s)
                .toList();
        return new Plan(
                steps,
                plan.network(),
                plan.schedule(),
                plan.chairIn(),
                plan.brief(),
                plan.notes(),
                plan.stacks(),
                plan.left());
    }

    private static PlannedStep changed(PlannedStep s, int coat, List<String> zones, Optional<Material> lays) {
        return new PlannedStep(
                s.id(),
                s.entryId(),
                s.implied(),
                s.technique(),
                s.template(),
                coat,
                zones,
                s.rows(),
                s.where(),
                lays,
                s.form(),
                s.formZones(),
                s.thickness(),
                s.share(),
                s.drying(),
                s.dryingCool(),
                Optional.empty());
    }

    /** What has begun lays what it laid, where it laid it; of what has not begun anything may change. */
    @Test
    void whatHasBegunIsKeptAsItIs() {
        Plan plan = Samples.planned(Samples.bellFounder(), brief(lead("Ines")));
        RunState state = begun(plan, 1);
        PlannedStep first = plan.steps().get(0);
        assertThat(RunLevers.keepsWhatHasBegun(plan, plan, state)).isTrue();
        PlannedStep elsewhere = changed(first, first.coat(), List.of(), first.material());
        PlannedStep another = changed(first, first.coat() + 1, first.zones(), first.material());
        PlannedStep bare = changed(first, first.coat(), first.zones(), Optional.empty());
        assertThat(first.material()).isPresent();
        for (PlannedStep other : List.of(elsewhere, another, bare)) {
            assertThat(RunLevers.keepsWhatHasBegun(with(plan, other), plan, state))
                    .isFalse();
            assertThat(RunLevers.keepsWhatHasBegun(with(plan, other), plan, RunState.of(List.of())))
                    .isTrue();
        }
        PlannedStep last = plan.steps().get(plan.steps().size() - 1);
        assertThat(RunLevers.keepsWhatHasBegun(
                        with(plan, changed(last, last.coat() + 1, last.zones(), last.material())), plan, state))
                .isTrue();
        assertThat(RunLevers.keepsWhatHasBegun(plan.only(Set.of()), plan, state))
                .isFalse();
        assertThat(RunLevers.keepsWhatHasBegun(plan, plan.only(Set.of()), state))
                .as("not known of any more")
                .isTrue();
    }

    @Test
    void anEntryHasBegunWithItsFirstStep() {
        Plan plan = Samples.planned(Samples.bellFounder(), brief(lead("Ines")));
        RunState state = begun(plan, 1);
        String first = plan.steps().get(0).entryId();
        assertThat(RunLevers.hasBegun(plan, state, first)).isTrue();
        assertThat(plan.steps().stream()
                        .map(PlannedStep::entryId)
                        .filter(e -> !e.equals(first))
                        .distinct())
                .isNotEmpty()
                .noneMatch(e -> RunLevers.hasBegun(plan, state, e));
    }

    /** What a better planner says of it is the difference between its two orders, and less than a minute is nothing. */
    @Test
    void aLeverIsConfirmedByWhatABetterPlannerFinds() {
        Mornings m = morning();
        Lever best = LEVERS.of(m.standing(NOW), m.at(NOW)).get(0);
        Mornings pulled = morning();
        pull(pulled, best.acts());
        int saved = m.rest(NOW).ready() - pulled.rest(NOW).ready();
        assertThat(LEVERS.confirmed(best, m.standing(NOW), m.at(NOW), Samples.PLANNER))
                .hasValueSatisfying(l -> {
                    assertThat(l.saved()).isCloseTo(saved, within(120));
                    assertThat(l.acts()).isEqualTo(best.acts());
                });
        Lever nothing = new Lever("nothing", 0, 0, "", List.of());
        assertThat(LEVERS.confirmed(nothing, m.standing(NOW), m.at(NOW), Samples.PLANNER))
                .isEmpty();
    }

    /** Two that change the same thing are never pulled together; the pair that is found saves a minute more than either. */
    @Test
    void onlyWhatChangesDifferentThingsIsPulledTogether() {
        Mornings m = morning();
        Standing standing = m.standing(NOW);
        List<Lever> joins = LEVERS.of(standing, m.at(NOW)).stream()
                .filter(l -> l.acts().get(0) instanceof RunEvent.Join)
                .limit(1)
                .toList();
        assertThat(LEVERS.together(List.of(joins.get(0), joins.get(0)), standing, m.at(NOW)))
                .isEmpty();
        assertThat(LEVERS.together(List.of(), standing, m.at(NOW))).isEmpty();
        Lever none = new Lever("nobody knows", -10_000, 0, "", List.of(dropOfLongest(m.plan())));
        Lever worst = new Lever("a hand", -10_000, 0, "", joins.get(0).acts());
        assertThat(LEVERS.together(List.of(none, worst), standing, m.at(NOW))).hasValueSatisfying(pair -> {
            assertThat(pair.acts()).hasSize(2);
            assertThat(pair.saved()).isGreaterThanOrEqualTo(60);
        });
        Lever better = new Lever("a hand", 100_000, 0, "", joins.get(0).acts());
        assertThat(LEVERS.together(List.of(none, better), standing, m.at(NOW)))
                .as("no more than the one alone")
                .isEmpty();
    }

    /** What takes longest of all that has not begun and that nothing else needs. */
    private static RunEvent.Reshaping dropOfLongest(Plan plan) {
        String entry = plan.steps().stream()
                .filter(s -> !s.implied()
                        && Set.of("texture", "lids", "mottle")
                                .contains(s.technique().slot()))
                .max(Comparator.comparingInt(s -> plan.network().task(s.id()).work()))
                .orElseThrow()
                .entryId();
        return new RunEvent.Drop(new Stamp("", plan.clock(NOW), ""), entry, "test");
    }
}
