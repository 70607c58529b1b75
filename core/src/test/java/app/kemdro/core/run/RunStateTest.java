package app.kemdro.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.run.RunEvent.Type;
import app.kemdro.core.run.StepState.Status;
import java.time.LocalDateTime;
import java.util.List;
import org.junit.jupiter.api.Test;

class RunStateTest {
    private static final LocalDateTime FIVE = LocalDateTime.of(2026, 12, 3, 5, 0);

    private static RunEvent event(String id, int minute, Type type, String step, String text) {
        return new RunEvent(id, FIVE.plusMinutes(minute), "Ines", type, step, 0, 0, text);
    }

    @Test
    void anEventReportedTwiceCountsOnce() {
        RunEvent more = new RunEvent("add-1", FIVE.plusMinutes(1), "Ines", Type.ADD, "coat", 120, 0, "");
        RunState state = RunState.of(List.of(event("start-1", 0, Type.START, "coat", ""), more, more));
        assertThat(state.step("coat").addedSeconds()).isEqualTo(120);
    }

    @Test
    void takingBackAFinishAlsoTakesBackTheStepItLetBegin() {
        RunEvent finish = event("finish-1", 3, Type.FINISH, "coat", "");
        RunState state = RunState.of(List.of(
                event("start-1", 0, Type.START, "coat", ""),
                finish,
                finish.andStart("Ines", "next", 0),
                event("undo-1", 4, Type.UNDO, "", "finish-1")));
        assertThat(state.step("coat").status()).isEqualTo(Status.RUNNING);
        assertThat(state.step("next").status()).isEqualTo(Status.WAITING);
        assertThat(state.runningBy("Ines")).contains("coat");
    }

    @Test
    void notYetAsksToLookAgainLaterAndClearEndsIt() {
        RunEvent notYet = new RunEvent("n-1", FIVE.plusMinutes(5), "Ines", Type.NOT_YET, "coat", 90, 0, "");
        RunState waiting = RunState.of(
                List.of(event("s-1", 0, Type.START, "coat", ""), event("f-1", 2, Type.FINISH, "coat", ""), notYet));
        assertThat(waiting.step("coat").lookAgainAt())
                .isEqualTo(FIVE.plusMinutes(5).plusSeconds(90));
        RunState clear = RunState.of(List.of(
                event("s-1", 0, Type.START, "coat", ""),
                event("f-1", 2, Type.FINISH, "coat", ""),
                notYet,
                event("c-1", 6, Type.CLEAR, "coat", "")));
        assertThat(clear.step("coat").clearedAt()).isEqualTo(FIVE.plusMinutes(6));
        assertThat(clear.step("coat").lookAgainAt()).isNull();
    }

    @Test
    void aBreakIsOpenUntilItIsEnded() {
        assertThat(RunState.of(List.of(event("b-1", 0, Type.BREAK, "", ""))).onBreak())
                .isTrue();
        RunState back = RunState.of(List.of(event("b-1", 0, Type.BREAK, "", ""), event("k-1", 9, Type.BACK, "", "")));
        assertThat(back.onBreak()).isFalse();
        assertThat(back.pauses()).containsExactly(new RunState.Pause(FIVE, FIVE.plusMinutes(9), Type.BREAK, 0));
    }
}
