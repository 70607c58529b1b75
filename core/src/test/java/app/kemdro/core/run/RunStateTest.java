package app.kemdro.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.run.StepState.Status;
import java.time.LocalDateTime;
import java.util.List;
import org.junit.jupiter.api.Test;

class RunStateTest {
    private static final LocalDateTime FIVE = LocalDateTime.of(2026, 12, 3, 5, 0);

    private static Stamp stamp(String id, int minute) {
        return new Stamp(id, FIVE.plusMinutes(minute), "Ines");
    }

    @Test
    void anEventReportedTwiceCountsOnce() {
        RunEvent more = new RunEvent.Add(new Stamp("add-1", FIVE.plusMinutes(1), "Ines"), "coat", 120);
        RunState state = RunState.of(List.of(new RunEvent.Start(stamp("start-1", 0), "coat"), more, more));
        assertThat(state.step("coat").addedSeconds()).isEqualTo(120);
    }

    @Test
    void takingBackAFinishAlsoTakesBackTheStepItLetBegin() {
        RunEvent finish = new RunEvent.Finish(stamp("finish-1", 3), "coat");
        RunState state = RunState.of(List.of(
                new RunEvent.Start(stamp("start-1", 0), "coat"),
                finish,
                new RunEvent.Start(finish.stamp().followedBy("Ines", finish.at()), "next"),
                new RunEvent.Undo(stamp("undo-1", 4), "finish-1")));
        assertThat(state.step("coat").status()).isEqualTo(Status.RUNNING);
        assertThat(state.step("next").status()).isEqualTo(Status.WAITING);
        assertThat(state.runningBy("Ines")).contains("coat");
    }

    @Test
    void notYetAsksToLookAgainLaterAndClearEndsIt() {
        RunEvent notYet = new RunEvent.NotYet(new Stamp("n-1", FIVE.plusMinutes(5), "Ines"), "coat", 90);
        RunState waiting = RunState.of(List.of(
                new RunEvent.Start(stamp("s-1", 0), "coat"), new RunEvent.Finish(stamp("f-1", 2), "coat"), notYet));
        assertThat(waiting.step("coat").lookAgainAt())
                .isEqualTo(FIVE.plusMinutes(5).plusSeconds(90));
        RunState clear = RunState.of(List.of(
                new RunEvent.Start(stamp("s-1", 0), "coat"),
                new RunEvent.Finish(stamp("f-1", 2), "coat"),
                notYet,
                new RunEvent.Clear(stamp("c-1", 6), "coat")));
        assertThat(clear.step("coat").clearedAt()).isEqualTo(FIVE.plusMinutes(6));
        assertThat(clear.step("coat").lookAgainAt()).isNull();
    }

    @Test
    void aBreakIsOpenUntilItIsEnded() {
        assertThat(RunState.of(List.of(new RunEvent.Break(stamp("b-1", 0)))).onBreak())
                .isTrue();
        RunState back = RunState.of(List.of(new RunEvent.Break(stamp("b-1", 0)), new RunEvent.Back(stamp("k-1", 9))));
        assertThat(back.onBreak()).isFalse();
        assertThat(back.pauses())
                .containsExactly(new RunState.Pause(FIVE, FIVE.plusMinutes(9), RunState.Pause.Why.BREAK, 0));
    }
}
