package app.kemdro.core.strike;

import static app.kemdro.core.plan.Samples.TRADE;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.entry;
import static app.kemdro.core.plan.Samples.lead;
import static app.kemdro.core.plan.Samples.look;
import static app.kemdro.core.plan.Samples.planned;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.run.Ruling;
import app.kemdro.core.run.Ruling.Can;
import app.kemdro.core.run.Ruling.Cannot;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.RunState;
import app.kemdro.core.run.Stamp;
import app.kemdro.core.schedule.Planner;
import app.kemdro.core.strike.Removal.Sort;
import app.kemdro.core.strike.Removal.Step;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import org.junit.jupiter.api.Test;

/** What may be reported while it comes off, of a piece that is flooded, lifted and washed off. */
class StrikeGuardTest {
    private static final Removal REMOVAL = new Strike(TRADE, 0.02, Planner.trying(20))
            .of(planned(look(entry("foam-piece", "cheek-left")), brief(lead("Ines"), lead("Pell"))));
    private static final LocalDateTime BEGAN = LocalDateTime.of(2026, 1, 5, 18, 0);
    private static final String FLOOD = REMOVAL.steps().stream()
            .filter(s -> s.sort() == Sort.FLOOD)
            .map(Step::id)
            .findFirst()
            .orElseThrow();
    private static final String LIFT = FLOOD.replace("/flood", "/lift");

    private final List<RunEvent> events = new ArrayList<>();
    private int second;

    private Ruling ask(String hands, Function<Stamp, RunEvent> event) {
        RunState state = RunState.of(events);
        Stamp stamp = new Stamp("e" + events.size(), BEGAN.plusSeconds(second), hands);
        return StrikeGuard.check(
                event.apply(stamp), REMOVAL, new Undoing(REMOVAL, BEGAN, state), state, List.of("Ines", "Pell"));
    }

    private void can(String hands, Function<Stamp, RunEvent> event) {
        Ruling ruling = ask(hands, event);
        assertThat(ruling).isInstanceOf(Can.class);
        events.add(((Can) ruling).event());
    }

    private void cannot(String hands, Function<Stamp, RunEvent> event, String why) {
        assertThat(ask(hands, event))
                .isInstanceOfSatisfying(Cannot.class, c -> assertThat(c.why()).contains(why));
    }

    private static Function<Stamp, RunEvent> start(String step) {
        return s -> new RunEvent.Start(s, step);
    }

    private static Function<Stamp, RunEvent> finish(String step) {
        return s -> new RunEvent.Finish(s, step);
    }

    /** Flooded, not yet loose, loose, lifted: each press at its time, and no sooner. */
    @Test
    void itGoesFromFloodToLiftAndEachPressHasItsTime() {
        cannot("Ines", finish(FLOOD), "has not begun");
        cannot("Ines", s -> new RunEvent.Clear(s, FLOOD), "not flooded yet");
        cannot("Ines", s -> new RunEvent.NotYet(s, FLOOD, 60), "not flooded yet");
        cannot("Ines", start(LIFT), "Not yet: first: Flood");
        can("Ines", start(FLOOD));
        cannot("Ines", start(FLOOD), "has begun already");
        cannot("Pell", start(FLOOD), "has begun already");
        second = 60;
        can("Ines", finish(FLOOD));
        cannot("Ines", finish(FLOOD), "has not begun, or is done");
        cannot("Ines", start(LIFT), "still soaks");
        can("Ines", s -> new RunEvent.NotYet(s, FLOOD, 999));
        assertThat(((RunEvent.NotYet) events.get(events.size() - 1)).seconds())
                .as("it is looked at again when the house says")
                .isEqualTo(120);
        cannot("Ines", start(LIFT), "still soaks");
        can("Ines", s -> new RunEvent.Clear(s, FLOOD));
        assertThat(events.get(events.size() - 1)).isInstanceOf(RunEvent.Clear.class);
        can("Ines", start(LIFT));
        cannot("Ines", start("wash"), "has something in hand already");
        cannot("Pell", start("wash"), "Not yet: first:");
    }

    @Test
    void onlyHandsThatTakeOffWorkAndOnlyOnItsSteps() {
        cannot("Zoë", start(FLOOD), "Nobody called Zoë works on this");
        cannot("Ines", start("paint#1"), "not one of this strike's");
        cannot("Ines", s -> new RunEvent.Skip(s, FLOOD, "no time"), "nothing that happens while it comes off");
        cannot("Ines", RunEvent.Break::new, "nothing that happens while it comes off");
        can("Ines", start(FLOOD));
        cannot("Zoë", finish(FLOOD), "Nobody called Zoë");
        second = 30;
        can("Pell", finish(FLOOD));
        can("Zoë", s -> new RunEvent.Clear(s, FLOOD));
    }

    @Test
    void notesAreOneToFiveHundredLetters() {
        can("Ines", s -> new RunEvent.Note(s, "x"));
        can("Ines", s -> new RunEvent.Note(s, "x".repeat(500)));
        cannot("Ines", s -> new RunEvent.Note(s, "x".repeat(501)), "1 to 500 letters");
        cannot("Ines", s -> new RunEvent.Note(s, " "), "1 to 500 letters");
    }

    @Test
    void itEndsAtAnyTimeAndTheLastPressIsTakenBack() {
        cannot("Ines", s -> new RunEvent.Undo(s, ""), "nothing to take back");
        can("Ines", start(FLOOD));
        Ruling back = ask("Ines", s -> new RunEvent.Undo(s, ""));
        assertThat(((RunEvent.Undo) ((Can) back).event()).event()).isEqualTo("e0");
        can("Ines", s -> new RunEvent.Undo(s, "e0"));
        can("Ines", start(FLOOD));
        can("Ines", RunEvent.End::new);
    }
}
