package app.kemdro.web.records.strike;

import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.RunState;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.strike.Removal;
import app.kemdro.core.strike.Undoing;
import app.kemdro.web.records.strike.Strikes.Base;
import java.util.List;

/**
 * A strike and where it stands.
 *
 * @param happened everything that was pressed, what was taken back too
 * @param schedule the order people have in mind
 */
public record StrikeNow(
        StrikeRun run, Base base, List<RunEvent> happened, RunState state, Undoing undoing, Schedule schedule) {

    static StrikeNow of(StrikeRun run, Base base, List<RunEvent> happened, Schedule inMind) {
        RunState state = RunState.of(happened);
        return new StrikeNow(
                run, base, List.copyOf(happened), state, new Undoing(base.removal(), run.beganAt(), state), inMind);
    }

    /** The same with another order in mind. */
    StrikeNow planned(Schedule next) {
        return new StrikeNow(run, base, happened, state, undoing, next);
    }

    public Removal removal() {
        return base.removal();
    }

    public List<String> hands() {
        return removal().hands();
    }
}
