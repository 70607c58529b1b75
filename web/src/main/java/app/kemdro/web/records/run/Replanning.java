package app.kemdro.web.records.run;

import app.kemdro.core.run.Chair;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.RunLevers;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.web.parts.mishap.NotPossible;
import app.kemdro.web.records.plan.Plans;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** What an event makes of a run: the rest is planned again, and what nothing keeps begins by itself. Nothing is stored here. */
@Component
public class Replanning {
    /** A next step that may begin this soon begins by itself when the one before is done, seconds. */
    private static final int AT_ONCE = 15;

    private final Standings standings;
    private final Runs runs;
    private final Plans plans;

    Replanning(Standings standings, Runs runs, Plans plans) {
        this.standings = standings;
        this.runs = runs;
        this.plans = plans;
    }

    /**
     * The run after this event, and what began by itself because of it.
     *
     * @throws NotPossible where what has begun would no longer be a part of it
     */
    RunNow after(RunEvent event, RunNow before) {
        RunNow after = changedBy(event, before);
        boolean letsBegin =
                event instanceof RunEvent.Finish || event instanceof RunEvent.Skip || event instanceof RunEvent.Back;
        return letsBegin ? startNext(after, event) : after;
    }

    /** Where a run stood after these of its events, with the schedule that was in mind before the last of them. */
    public RunNow after(Run run, List<RunEvent> until, Schedule before) {
        RunEvent last = until.get(until.size() - 1);
        return again(standings.of(run, until, before), last.at(), last instanceof RunEvent.Reshaping);
    }

    private RunNow changedBy(RunEvent event, RunNow before) {
        List<RunEvent> all = new ArrayList<>(before.happened());
        all.add(event);
        RunNow now = standings.of(before.run(), all, before.schedule());
        boolean undo = event instanceof RunEvent.Undo;
        boolean replans = undo || event instanceof RunEvent.Reshaping;
        if (replans && !RunLevers.keepsWhatHasBegun(now.plan(), before.plan(), now.state())) {
            throw new NotPossible(
                    undo
                            ? "That cannot be taken back any more: what was begun since then would have no place."
                            : "It has begun already and stays as it is.");
        }
        return again(now, later(event.at(), runs.now(before.run())), replans);
    }

    private static LocalDateTime later(LocalDateTime a, LocalDateTime b) {
        return a.isAfter(b) ? a : b;
    }

    /** Plans the rest; where the plan itself has changed, whatever the order was. */
    private RunNow again(RunNow was, LocalDateTime now, boolean changed) {
        Chair chair = new Chair(was.plan(), was.state());
        Chair.Again again = changed
                ? chair.planAgain(plans.live(), was.schedule(), now)
                : chair.planOn(plans.live(), was.schedule(), now);
        return was.planned(again.schedule(), again.trouble());
    }

    /** The next step of the same hands begins by itself when nothing keeps it. */
    private RunNow startNext(RunNow now, RunEvent after) {
        LocalDateTime at = later(after.at(), runs.now(now.run()));
        int second = (int) ChronoUnit.SECONDS.between(now.plan().chairIn(), at);
        RunNow result = now;
        for (var worker : now.plan().network().workers()) {
            boolean theirs = worker.id().equals(after.hands())
                    || after instanceof RunEvent.Back
                    || after.hands().equals(Chair.NOBODY);
            List<ScheduledTask> ahead = new Chair(result.plan(), result.state()).ahead(result.schedule(), worker.id());
            if (!theirs
                    || ahead.isEmpty()
                    || result.state().onBreak()
                    || result.state().runningBy(worker.id()).isPresent()) {
                continue;
            }
            ScheduledTask next = ahead.get(0);
            if (next.start() <= second + AT_ONCE && !result.restBefore(next)) {
                result = changedBy(
                        new RunEvent.Start(
                                after.stamp().followedBy(worker.id(), after.at()), next.task(), next.mode(), false),
                        result);
            }
        }
        return result;
    }
}
