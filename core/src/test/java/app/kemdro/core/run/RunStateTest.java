package app.kemdro.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.run.StepState.Status;
import java.time.LocalDateTime;
import java.util.ArrayList;
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

    private static Stamp of(String hands, int minute) {
        return new Stamp(hands + minute, FIVE.plusMinutes(minute), hands);
    }

    /** What is said, used and shown is kept, in turn; a reaction is one of it. */
    @Test
    void whatIsSaidIsKept() {
        List<RunEvent> all = List.of(
                new RunEvent.Note(of("Ines", 1), "edge lifts"),
                new RunEvent.Used(of("Ines", 2), "cream, 4 g"),
                new RunEvent.Picture(of("Ines", 3), "p-1"),
                new RunEvent.Trouble(of("Ines", 4), "coat", "tear", List.of("nose")),
                new RunEvent.Reaction(of("Ines", 5), "left cheek burns"));
        assertThat(RunState.of(all).notes()).containsExactlyElementsOf(all);
    }

    /** Where skin reacts everybody puts down what they are at, and what was done stays done; who leaves puts down only theirs. */
    @Test
    void aReactionStopsEverybodyAndLeavingOnlyOne() {
        List<RunEvent> begun = List.of(
                new RunEvent.Begin(of("", 0)),
                new RunEvent.Start(of("Ines", 0), "wash"),
                new RunEvent.Finish(of("Ines", 1), "wash"),
                new RunEvent.Start(of("Ines", 2), "coat"),
                new RunEvent.Start(of("Pell", 2), "other"));
        assertThat(RunState.of(begun).began()).isEqualTo(FIVE);
        List<RunEvent> burns = new ArrayList<>(begun);
        burns.add(new RunEvent.Reaction(of("Ines", 5), "burns"));
        RunState stopped = RunState.of(burns);
        assertThat(stopped.step("coat").status()).isEqualTo(Status.WAITING);
        assertThat(stopped.step("other").status()).isEqualTo(Status.WAITING);
        assertThat(stopped.step("wash").status()).isEqualTo(Status.DONE);
        assertThat(stopped.pause()).hasValueSatisfying(p -> assertThat(p.why()).isEqualTo(RunState.Pause.Why.REACTION));
        List<RunEvent> left = new ArrayList<>(begun);
        left.add(new RunEvent.Leave(of("Pell", 5)));
        RunState alone = RunState.of(left);
        assertThat(alone.runningBy("Ines")).contains("coat");
        assertThat(alone.runningBy("Pell")).isEmpty();
        assertThat(alone.step("wash").status()).isEqualTo(Status.DONE);
    }

    @Test
    void whoDrivesAndWhenItEndedAreKnown() {
        RunState state = RunState.of(List.of(
                new RunEvent.Drive(of("Pell", 1), "phone"),
                new RunEvent.Away(of("Ines", 2), 300),
                new RunEvent.End(of("", 9))));
        assertThat(state.drivers()).containsEntry("Pell", "phone");
        assertThat(state.ended()).isEqualTo(FIVE.plusMinutes(9));
        assertThat(state.pauses())
                .singleElement()
                .satisfies(p -> assertThat(p.expected()).isEqualTo(300));
        assertThat(RunState.of(List.of()).pause()).isEmpty();
        assertThat(RunState.of(List.of()).lastBy("Ines")).isEmpty();
    }
}
