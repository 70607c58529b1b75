package app.kemdro.web.records.run;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.run.Chair;
import app.kemdro.core.run.Changes;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.RunState;
import app.kemdro.core.run.Standing;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.web.parts.mishap.NotPossible;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.plan.Snapshots;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Where runs stand: what they began with, folded with everything reported since. */
@Component
public class Standings {
    /** What so many runs began with, and what is carried out in so many, is kept at hand. */
    private static final int AT_HAND = 60;

    private final EventLog log;
    private final Plans plans;
    private final Runs runs;
    private final Snapshots snapshots;
    private final Cache<Long, Base> begun =
            Caffeine.newBuilder().maximumSize(AT_HAND).build();
    private final Cache<Long, Made> made =
            Caffeine.newBuilder().maximumSize(AT_HAND).build();

    /** What a run began with. */
    record Base(Look look, Brief brief, Plan plan) {}

    /** What is carried out after these events. */
    private record Made(String after, Changes changes, Plan plan) {}

    Standings(EventLog log, Plans plans, Runs runs, Snapshots snapshots) {
        this.log = log;
        this.plans = plans;
        this.runs = runs;
        this.snapshots = snapshots;
    }

    /** The run begins with this. */
    void begins(long run, Base base) {
        begun.put(run, base);
    }

    /** What is known of the run is worked out afresh next time. */
    void forget(long run) {
        begun.invalidate(run);
        made.invalidate(run);
    }

    private Base base(Run run) {
        return begun.get(run.id(), k -> {
            Look look = snapshots.look(run.look());
            Brief brief = snapshots.brief(run.brief());
            Schedule planned = snapshots.schedule(run.planned());
            return new Base(look, brief, NotPossible.unlessPlanned(plans.restored(look, brief, planned)));
        });
    }

    /** The plan a run began with. */
    public Plan planned(Run run) {
        return base(run).plan();
    }

    /** The same; empty where the library of today can no longer make it. */
    public Optional<Plan> stillPlanned(Run run) {
        try {
            return Optional.of(planned(run));
        } catch (NotPossible e) {
            return Optional.empty();
        }
    }

    /** Everything reported in a run, in the order in which it came in. */
    public List<RunEvent> eventsOf(Run run) {
        return log.of(Course.ofRun(run.id()));
    }

    /** Where a run stands. */
    public RunNow of(Run run) {
        return of(run, eventsOf(run), snapshots.schedule(run.standing()));
    }

    /** Where a run stands after these of its events, with this schedule in mind. */
    RunNow of(Run run, List<RunEvent> happened, Schedule inMind) {
        RunState state = RunState.of(happened);
        Made now = carriedOut(run, state);
        return new RunNow(run, List.copyOf(happened), new Standing(now.plan(), now.changes(), state, inMind));
    }

    /** Where a run stands at this moment: what is late has moved on with the clock, though nobody has pressed. */
    public RunNow asItGoes(Run run) {
        RunNow stands = of(run);
        if (run.endedAt() != null) {
            return stands;
        }
        Schedule now =
                new Chair(stands.plan(), stands.state()).asItGoes(plans.live(), stands.schedule(), runs.now(run));
        return stands.planned(now, stands.trouble());
    }

    /** The plan that is carried out, made anew only when something has happened that changes it. */
    private Made carriedOut(Run run, RunState state) {
        Base base = base(run);
        String after = state.events().stream()
                .filter(e -> e instanceof RunEvent.Reshaping)
                .map(RunEvent::id)
                .collect(Collectors.joining(" "));
        if (after.isEmpty()) {
            return new Made("", Changes.none(base.look(), base.brief()), base.plan());
        }
        Made known = made.getIfPresent(run.id());
        if (known == null || !known.after().equals(after)) {
            Changes changes = Changes.of(base.look(), base.brief(), state);
            known = new Made(
                    after,
                    changes,
                    NotPossible.unlessPlanned(plans.live()
                            .underWay(
                                    changes.look(),
                                    changes.brief(),
                                    base.plan().chairIn(),
                                    changes.extras(),
                                    base.plan().schedule())));
            made.put(run.id(), known);
        }
        return known;
    }
}
