package app.kemdro.core.plan;

import static app.kemdro.core.plan.Samples.TRADE;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.lead;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.kemdro.core.plan.BenchDays.Hours;
import app.kemdro.core.plan.BenchDays.Slot;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class BenchDaysTest {
    private static final LocalDateTime NEEDED = LocalDateTime.of(2026, 12, 3, 5, 5);
    private static final LocalDateTime NOW = LocalDateTime.of(2026, 11, 1, 9, 0);
    private static final List<BenchWork> FOUNDER = BenchWork.of(Samples.bellFounder(), brief(lead("Ines")), TRADE);
    private static final BenchDays DAYS = BenchDays.of(FOUNDER, NEEDED, Hours.USUAL, NOW);

    /** By hand: 60 minutes that then dry 18 hours are done by 11:05 the day before a chair at 05:05. */
    @Test
    void oneThingThatDriesOvernight() {
        BenchWork piece = new BenchWork("a", "a piece", "Build", 60, 18);
        Slot slot =
                BenchDays.of(List.of(piece), NEEDED, Hours.USUAL, NOW).slots().get(0);
        assertThat(slot.until()).isEqualTo(LocalDateTime.of(2026, 12, 2, 11, 5));
        assertThat(slot.from()).isEqualTo(LocalDateTime.of(2026, 12, 2, 10, 5));
    }

    @Test
    void workLongerThanADayGoesOnTheDayBefore() {
        BenchWork sculpt = new BenchWork("a", "a head", "Sculpt", 24 * 60, 0);
        BenchDays days = BenchDays.of(List.of(sculpt), NEEDED, Hours.USUAL, NOW);
        assertThat(days.slots()).hasSize(3);
        assertThat(days.begins()).isEqualTo(LocalDateTime.of(2026, 11, 30, 9, 0));
    }

    /** By hand: two heads of a day each are made side by side, and nobody comes in on a Tuesday. */
    @Test
    void twoPairsOfHandsShareTheDaysAndDaysOffAreOff() {
        List<BenchWork> heads = List.of(
                new BenchWork("a", "a head", "Sculpt", 8 * 60, 0), new BenchWork("b", "a head", "Sculpt", 8 * 60, 0));
        Hours two = new Hours(Hours.USUAL.from(), Hours.USUAL.until(), 2, Set.of());
        assertThat(BenchDays.of(heads, NEEDED, two, NOW).begins()).isEqualTo(LocalDateTime.of(2026, 12, 2, 9, 0));
        Hours noTuesday = new Hours(Hours.USUAL.from(), Hours.USUAL.until(), 1, Set.of(DayOfWeek.TUESDAY));
        assertThat(BenchDays.of(heads, NEEDED, noTuesday, NOW).slots())
                .extracting(s -> s.from().getDayOfWeek())
                .containsExactly(DayOfWeek.MONDAY, DayOfWeek.WEDNESDAY);
    }

    @Test
    void aBenchThatNobodyCouldWorkAtIsRefusedInWords() {
        assertThatThrownBy(() -> new Hours(LocalTime.of(17, 0), LocalTime.of(9, 0), 1, Set.of()))
                .hasMessageContaining("an hour a day");
        assertThatThrownBy(() -> new Hours(LocalTime.of(9, 0), LocalTime.of(17, 0), 5, Set.of()))
                .hasMessageContaining("pairs of hands");
        assertThatThrownBy(() -> new Hours(LocalTime.of(9, 0), LocalTime.of(17, 0), 1, Set.of(DayOfWeek.values())))
                .hasMessageContaining("one day of the week");
    }

    @Test
    void handsDoOneThingAtATimeInWorkingHoursAndEverythingRests() {
        for (Slot slot : DAYS.slots()) {
            assertThat(slot.from().toLocalTime()).isAfterOrEqualTo(Hours.USUAL.from());
            assertThat(slot.until().toLocalTime()).isBeforeOrEqualTo(Hours.USUAL.until());
            assertThat(slot.until().plusMinutes(Math.round(slot.work().restsHours() * 60)))
                    .isBeforeOrEqualTo(slot.rested());
            assertThat(DAYS.slots())
                    .filteredOn(o -> o != slot)
                    .noneMatch(
                            o -> o.from().isBefore(slot.until()) && slot.from().isBefore(o.until()));
        }
    }

    @Test
    void everythingIsLaidWholeAndInOrder() {
        Map<BenchWork, Long> laid = DAYS.slots().stream()
                .collect(Collectors.groupingBy(
                        Slot::work,
                        Collectors.summingLong(
                                s -> Duration.between(s.from(), s.until()).toMinutes())));
        assertThat(laid.keySet()).containsExactlyInAnyOrderElementsOf(FOUNDER);
        laid.forEach((work, minutes) -> assertThat(minutes).isGreaterThanOrEqualTo((long) work.minutes()));
        for (int k = 1; k < FOUNDER.size(); k++) {
            if (FOUNDER.get(k).entry().equals(FOUNDER.get(k - 1).entry())) {
                BenchWork before = FOUNDER.get(k - 1);
                BenchWork after = FOUNDER.get(k);
                assertThat(last(before).plusMinutes(Math.round(before.restsHours() * 60)))
                        .isBeforeOrEqualTo(first(after));
            }
        }
    }

    private static LocalDateTime last(BenchWork work) {
        return DAYS.slots().stream()
                .filter(s -> s.work().equals(work))
                .map(Slot::until)
                .max(LocalDateTime::compareTo)
                .orElseThrow();
    }

    private static LocalDateTime first(BenchWork work) {
        return DAYS.slots().stream()
                .filter(s -> s.work().equals(work))
                .map(Slot::from)
                .min(LocalDateTime::compareTo)
                .orElseThrow();
    }

    @Test
    void aBeginningThatIsPastIsSaid() {
        assertThat(DAYS.tooLate()).isFalse();
        assertThat(BenchDays.of(FOUNDER, NEEDED, Hours.USUAL, NEEDED.minusHours(3))
                        .tooLate())
                .isTrue();
        assertThat(BenchDays.of(List.of(), NEEDED, Hours.USUAL, NOW).slots()).isEmpty();
    }
}
