package app.kemdro.core.question;

import static app.kemdro.core.plan.Samples.TRADE;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.entry;
import static app.kemdro.core.plan.Samples.lead;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.method.OrderSchool;
import app.kemdro.core.method.OrderSchool.Way;
import app.kemdro.core.plan.LookPlanner;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Planning;
import app.kemdro.core.schedule.Planner;
import app.kemdro.core.schedule.ScheduledTask;
import java.util.List;
import java.util.Set;
import java.util.function.ToIntFunction;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where practitioners differ, each way is kept by the times of the plan, and only what matters to a plan is asked. */
class OrderWaysTest {
    private static final OrderWays WAYS = new OrderWays(TRADE);
    private static final LookPlanner PLANNER = new LookPlanner(TRADE, Planner.trying(40));

    private static final LookEntry FACE = entry("base-cream", "forehead", "nose", "cheek-left", "cheek-right", "chin");
    private static final LookEntry NECK = new LookEntry("neck", "base-cream", List.of("throat", "nape"), 0);
    private static final LookEntry CHEST = new LookEntry("chest", "base-cream", List.of("chest"), 0);

    private static Brief dressed(String... covers) {
        Brief b = brief(lead("Ines"));
        return new Brief(
                b.call(),
                b.chairIn(),
                b.performer(),
                b.crew(),
                b.room(),
                Set.of(covers),
                10,
                false,
                b.purpose(),
                new Brief.Breaks(240, 10, 10));
    }

    private static Plan plan(Look look, Brief brief) {
        return ((Planning.Done) PLANNER.plan(look, brief)).plan();
    }

    private static OrderSchool school(String id) {
        return TRADE.orderSchools().stream()
                .filter(s -> s.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private static Plan by(String school, String way, Look look, Brief brief) {
        Way taken = school(school).way(way).orElseThrow();
        OrderWays.Other other = WAYS.by(school(school), taken, look, brief);
        Plan plan = plan(other.look(), other.brief());
        assertThat(WAYS.of(plan, other.look()))
                .filteredOn(a -> a.school().id().equals(school))
                .extracting(a -> a.now().id())
                .containsExactly(way);
        return plan;
    }

    private static int first(Plan plan, String entry) {
        return times(plan, entry, ScheduledTask::start).min().orElseThrow();
    }

    private static int last(Plan plan, String entry) {
        return times(plan, entry, ScheduledTask::end).max().orElseThrow();
    }

    private static IntStream times(Plan plan, String entry, ToIntFunction<ScheduledTask> when) {
        return plan.steps().stream()
                .filter(s -> s.entryId().equals(entry) || s.technique().slot().equals(entry))
                .mapToInt(s -> when.applyAsInt(plan.schedule().of(s.id())));
    }

    @Test
    void costumeComesLastUnlessSkinIsColouredToItsBorder() {
        Look look = new Look(List.of(FACE, NECK, CHEST));
        Plan usual = plan(look, dressed());
        assertThat(WAYS.of(usual, look)).extracting(a -> a.now().id()).containsExactly("last");
        assertThat(last(usual, "neck")).isLessThanOrEqualTo(first(usual, "costume"));
        Plan border = by("costume", "border", look, dressed());
        assertThat(last(border, FACE.id())).isLessThanOrEqualTo(first(border, "costume"));
        assertThat(first(border, "neck")).isGreaterThanOrEqualTo(last(border, "costume"));
        assertThat(first(border, "chest")).isGreaterThanOrEqualTo(last(border, "costume"));
    }

    /** What it closes over is coloured before, and so is what a piece is glued to. */
    @Test
    void whatCostumeClosesOverIsColouredBefore() {
        Look look = new Look(List.of(FACE, NECK, CHEST, entry("foam-piece", "throat")));
        Plan border = by("costume", "border", look, dressed("chest"));
        assertThat(last(border, "chest")).isLessThanOrEqualTo(first(border, "costume"));
        assertThat(last(border, "piece")).isLessThanOrEqualTo(first(border, "costume"));
        assertThat(first(border, "neck")).isGreaterThanOrEqualTo(last(border, "costume"));
    }

    @Test
    void browsAreBlockedBeforeTheCapOrAfterIt() {
        Look look = new Look(List.of(
                entry("hair-flat", "crown"),
                entry("cap-latex", "crown"),
                entry("brow-powder-last", "brow-left", "brow-right")));
        Plan before = by("brows", "before", look, brief(lead("Ines")));
        assertThat(last(before, "brow")).isLessThanOrEqualTo(first(before, "cap"));
        Plan after = by("brows", "after", look, brief(lead("Ines")));
        assertThat(last(after, "cap")).isLessThanOrEqualTo(first(after, "brow"));
    }

    @Test
    void hairIsSprayedEarlyOrOverWhatIsFinished() {
        Look look = new Look(
                List.of(FACE, entry("hair-spray-colour", "crown"), entry("eye-soot", "eye-left", "eye-right")));
        Plan early = by("hair-spray", "early", look, brief(lead("Ines")));
        assertThat(last(early, "hair-colour")).isLessThanOrEqualTo(first(early, "lids"));
        Plan late = by("hair-spray", "late", look, brief(lead("Ines")));
        assertThat(first(late, "hair-colour")).isGreaterThanOrEqualTo(last(late, "base"));
        assertThat(first(late, "hair-colour")).isGreaterThanOrEqualTo(last(late, "lids"));
    }

    /** Mist finds an open eye: lenses that should go in first then wait for the spray, and the plan says so. */
    @Test
    void sprayOverLensesIsSaid() {
        Look look = new Look(
                List.of(FACE, entry("hair-spray-colour", "crown"), entry("lenses-first", "eye-left", "eye-right")));
        assertThat(by("hair-spray", "early", look, brief(lead("Ines"))).notes())
                .noneMatch(n -> n.what().contains("begins before"));
        Plan late = by("hair-spray", "late", look, brief(lead("Ines")));
        assertThat(last(late, "hair-colour")).isLessThanOrEqualTo(first(late, "lens"));
        assertThat(late.notes()).anyMatch(n -> n.what().contains("begins before lenses before make-up is finished"));
    }

    @ParameterizedTest
    @CsvSource({"first, lens", "after-base, lens-mid", "last, lens-late"})
    void lensesGoInBeforeAllAfterTheBaseOrAtTheEnd(String way, String slot) {
        Look look = new Look(List.of(
                FACE,
                entry("lenses-first", "eye-left", "eye-right"),
                entry("eye-soot", "eye-left", "eye-right"),
                entry("lashes-strip", "eye-left", "eye-right")));
        Plan plan = by("lenses", way, look, brief(lead("Ines")));
        assertThat(first(plan, "lashes")).isGreaterThanOrEqualTo(last(plan, slot));
        if (way.equals("first")) {
            assertThat(last(plan, slot)).isLessThanOrEqualTo(first(plan, "base"));
        } else {
            assertThat(first(plan, slot)).isGreaterThanOrEqualTo(last(plan, "base"));
            boolean beforeEyes = last(plan, slot) <= first(plan, "lids");
            assertThat(beforeEyes).isEqualTo(way.equals("after-base"));
        }
    }

    /** Without cap, spray, lenses or costume there is nothing to differ about. */
    @Test
    void onlyWhatMattersIsAsked() {
        Look look = new Look(List.of(FACE, NECK));
        assertThat(WAYS.of(plan(look, brief(lead("Ines"))), look)).isEmpty();
        assertThat(WAYS.of(plan(new Look(List.of(FACE)), dressed()), new Look(List.of(FACE))))
                .isEmpty();
    }
}
