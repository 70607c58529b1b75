package app.kemdro.core.strike;

import static app.kemdro.core.plan.Samples.TRADE;
import static app.kemdro.core.plan.Samples.assistant;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.lead;
import static app.kemdro.core.plan.Samples.planned;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.plan.Samples;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.RunState;
import app.kemdro.core.run.Stamp;
import app.kemdro.core.schedule.Planner;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.core.strike.Removal.Step;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import org.junit.jupiter.api.Test;

class UndoingTest {
    private static final Planner PLANNER = Planner.trying(20);
    private static final Removal REMOVAL =
            new Strike(TRADE, 0.02, PLANNER).of(planned(Samples.bellFounder(), brief(lead("Ines"), assistant("Pell"))));
    private static final LocalDateTime BEGAN = LocalDateTime.of(2026, 1, 5, 18, 0);

    private final List<RunEvent> events = new ArrayList<>();

    private void report(int second, String hands, Function<Stamp, RunEvent> event) {
        events.add(event.apply(new Stamp("e" + events.size(), BEGAN.plusSeconds(second), hands)));
    }

    private Undoing now() {
        return new Undoing(REMOVAL, BEGAN, RunState.of(events));
    }

    private static Step flood() {
        return REMOVAL.steps().stream()
                .filter(s -> s.soakSeconds() > 0)
                .findFirst()
                .orElseThrow();
    }

    private static String lift(Step flood) {
        return flood.id().replace("/flood", "/lift");
    }

    /** Followed press by press, always what comes next for whoever is free: all comes off, nothing before its time. */
    @Test
    void followedStepByStepEverythingComesOff() {
        Schedule schedule = REMOVAL.schedule();
        int second = 0;
        int presses = 0;
        while (!now().over()) {
            assertThat(presses++).isLessThan(1000);
            LocalDateTime at = BEGAN.plusSeconds(second);
            for (String hands : List.of("Ines", "Pell")) {
                String doing = now().doing(hands).map(Step::id).orElse("");
                if (!doing.isEmpty() && schedule.of(doing).end() <= second + 30) {
                    report(second, hands, s -> new RunEvent.Finish(s, doing));
                    schedule = now().again(PLANNER, schedule, at);
                }
                List<ScheduledTask> ahead = now().ahead(schedule, hands);
                if (now().doing(hands).isEmpty()
                        && !ahead.isEmpty()
                        && now().keeps(ahead.get(0).task(), at).isEmpty()) {
                    report(
                            second,
                            hands,
                            s -> new RunEvent.Start(s, ahead.get(0).task()));
                    schedule = now().again(PLANNER, schedule, at);
                }
            }
            second += 30;
        }
        assertThat(now().covered()).isEmpty();
        assertThat(now().soaking()).isEmpty();
        // somebody looks every half minute, and presses up to that much too soon or too late
        assertThat(second).isBetween(REMOVAL.seconds() * 8 / 10, REMOVAL.seconds() * 5 / 4);
    }

    @Test
    void whatSoaksIsNotLiftedBeforeItsTimeUnlessSomebodyLooked() {
        Step flood = flood();
        report(0, "Ines", s -> new RunEvent.Start(s, flood.id()));
        report(60, "Ines", s -> new RunEvent.Finish(s, flood.id()));
        LocalDateTime loose = BEGAN.plusSeconds(60 + flood.soakSeconds());
        assertThat(now().looseAt(flood)).isEqualTo(loose);
        assertThat(now().soaking()).containsExactly(flood);
        assertThat(now().keeps(lift(flood), loose.minusSeconds(1))).isPresent();
        assertThat(now().covered())
                .containsAll(REMOVAL.step(lift(flood)).takes().keySet());
        report(70, "Ines", s -> new RunEvent.Clear(s, flood.id()));
        assertThat(now().looseAt(flood)).isEqualTo(BEGAN.plusSeconds(70));
    }

    @Test
    void notYetPutsTheLiftOffAndTheRestIsPlannedRoundIt() {
        Step flood = flood();
        report(0, "Ines", s -> new RunEvent.Start(s, flood.id()));
        report(60, "Ines", s -> new RunEvent.Finish(s, flood.id()));
        int due = 60 + flood.soakSeconds();
        report(due, "Ines", s -> new RunEvent.NotYet(s, flood.id(), 180));
        assertThat(now().looseAt(flood)).isEqualTo(BEGAN.plusSeconds(due + 180));
        Schedule schedule = now().again(PLANNER, REMOVAL.schedule(), BEGAN.plusSeconds(due));
        assertThat(schedule.of(lift(flood)).start()).isGreaterThanOrEqualTo(due + 180);
    }

    @Test
    void nothingIsLiftedFromUnderWhatStillLiesOnIt() {
        assertThat(now().keeps("wash", BEGAN))
                .hasValueSatisfying(w -> assertThat(w).startsWith("first: "));
        assertThat(now().over()).isFalse();
    }

    /** Once somebody has it in hand it soaks no longer; what was never flooded never did. */
    @Test
    void whatIsBeingLiftedSoaksNoLonger() {
        Step flood = flood();
        report(0, "Ines", s -> new RunEvent.Start(s, flood.id()));
        assertThat(now().soaking()).isEmpty();
        report(60, "Ines", s -> new RunEvent.Finish(s, flood.id()));
        report(70, "Ines", s -> new RunEvent.Clear(s, flood.id()));
        assertThat(now().soaking()).containsExactly(flood);
        report(80, "Ines", s -> new RunEvent.Start(s, lift(flood)));
        assertThat(now().soaking()).isEmpty();
        report(200, "Ines", s -> new RunEvent.Finish(s, lift(flood)));
        assertThat(now().soaking()).isEmpty();
    }

    @Test
    void eachPairOfHandsHasItsOwnAhead() {
        List<ScheduledTask> ines = now().ahead(REMOVAL.schedule(), "Ines");
        List<ScheduledTask> pell = now().ahead(REMOVAL.schedule(), "Pell");
        assertThat(ines).isNotEmpty().allMatch(p -> "Ines".equals(p.worker()));
        assertThat(pell).isNotEmpty().allMatch(p -> "Pell".equals(p.worker()));
        assertThat(ines.size() + pell.size()).isEqualTo(REMOVAL.steps().size());
    }

    /** What takes longer than it was thought to is still in hand, and what it soaks is lifted that much later. */
    @Test
    void whatOverrunsPutsOffWhatComesAfter() {
        Step flood = flood();
        String hands = REMOVAL.schedule().of(flood.id()).worker();
        report(0, hands, s -> new RunEvent.Start(s, flood.id()));
        Schedule soon = now().again(PLANNER, REMOVAL.schedule(), BEGAN.plusSeconds(5));
        int usual = REMOVAL.schedule().of(flood.id()).end()
                - REMOVAL.schedule().of(flood.id()).start();
        assertThat(soon.of(flood.id()).end()).as("as long as it takes").isEqualTo(usual);
        assertThat(soon.of(lift(flood)).start()).isGreaterThanOrEqualTo(usual + flood.soakSeconds());
        Schedule late = now().again(PLANNER, REMOVAL.schedule(), BEGAN.plusSeconds(1800));
        assertThat(late.of(flood.id()).end()).isGreaterThan(1800);
        assertThat(late.of(lift(flood)).start())
                .isGreaterThanOrEqualTo(late.of(flood.id()).end() + flood.soakSeconds());
        assertThat(late.placed())
                .filteredOn(p -> hands.equals(p.worker()) && !p.task().equals(flood.id()))
                .allMatch(p -> p.start() >= late.of(flood.id()).end());
    }
}
