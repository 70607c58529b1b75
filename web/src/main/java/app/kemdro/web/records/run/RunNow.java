package app.kemdro.web.records.run;

import app.kemdro.core.plan.Plan;
import app.kemdro.core.run.Changes;
import app.kemdro.core.run.Moves;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.RunState;
import app.kemdro.core.run.Standing;
import app.kemdro.core.run.StepState.Status;
import app.kemdro.core.schedule.Confidence;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduledTask;
import java.time.LocalDateTime;
import java.util.List;

/**
 * A run and where it stands.
 *
 * @param happened everything reported, in the order in which it came in
 * @param trouble what somebody has to see to so that the schedule can be kept, or empty
 * @param moves what the last report changed in the order, in words
 * @param readyBefore second of being ready before the last report
 */
public record RunNow(
        Run run, List<RunEvent> happened, Standing stands, String trouble, List<String> moves, int readyBefore) {

    RunNow(Run run, List<RunEvent> happened, Standing stands) {
        this(run, happened, stands, run.trouble(), List.of(), stands.schedule().ready());
    }

    /** What is carried out now. */
    public Plan plan() {
        return stands.plan();
    }

    public Changes changes() {
        return stands.changes();
    }

    public RunState state() {
        return stands.state();
    }

    /** The order people have in mind. */
    public Schedule schedule() {
        return stands.schedule();
    }

    /** How sure the rest of it is, as it stands now. */
    public Confidence confidence(LocalDateTime now) {
        return Mornings.of(this, now);
    }

    RunNow planned(Schedule next, String missing) {
        Standing then = new Standing(plan(), changes(), state(), next);
        return new RunNow(run, happened, then, missing, moves, readyBefore);
    }

    /** The same once it is stored, with what came of it since. */
    RunNow reported(Run stored, RunNow before) {
        List<String> words = Moves.between(plan(), before.schedule(), schedule(), state());
        return new RunNow(
                stored, happened, stands, trouble, words, before.schedule().ready());
    }

    /** Whether every step is done or left out. */
    public boolean allDone() {
        return plan().steps().stream()
                .map(p -> state().step(p.id()).status())
                .allMatch(x -> x == Status.DONE || x == Status.SKIPPED);
    }

    /** Whether a break that was not taken yet is planned just before this step. */
    boolean restBefore(ScheduledTask next) {
        return schedule().rests().stream().skip(state().pauses().size()).anyMatch(r -> r.end() == next.start());
    }
}
