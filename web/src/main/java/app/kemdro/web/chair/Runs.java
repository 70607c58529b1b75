package app.kemdro.web.chair;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Planning;
import app.kemdro.core.run.Chair;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.RunEvent.Type;
import app.kemdro.core.run.RunState;
import app.kemdro.core.run.StepState.Status;
import app.kemdro.core.schedule.Placed;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.web.job.Job;
import app.kemdro.web.job.Jobs;
import app.kemdro.web.plans.Plans;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;

/** Runs: events are stored before they are answered, and the rest is planned again after each. */
@Service
public class Runs {
    /** A next step that may begin this soon begins by itself when the one before is done, seconds. */
    private static final int AT_ONCE = 15;

    private final RunRepository runs;
    private final EventRepository events;
    private final Jobs jobs;
    private final Plans plans;
    private final JsonMapper mapper;
    private final Clock clock;
    private final TransactionTemplate transaction;
    private final Map<Long, Plan> made = new ConcurrentHashMap<>();

    Runs(
            RunRepository runs,
            EventRepository events,
            Jobs jobs,
            Plans plans,
            JsonMapper mapper,
            Clock clock,
            TransactionTemplate transaction) {
        this.runs = runs;
        this.events = events;
        this.jobs = jobs;
        this.plans = plans;
        this.mapper = mapper;
        this.clock = clock;
        this.transaction = transaction;
    }

    /** A run with its plan, its state and the schedule people have in mind. */
    public record Standing(Run run, Plan plan, RunState state, Schedule schedule) {}

    /** The run of this job that has begun and not ended. */
    public Optional<Run> open(long jobId) {
        return runs.findAllByJobIdOrderByIdDesc(jobId).stream()
                .filter(r -> r.endedAt() == null)
                .findFirst();
    }

    /** All runs of a job, the latest first. */
    public List<Run> of(long jobId) {
        return runs.findAllByJobIdOrderByIdDesc(jobId);
    }

    /**
     * Refuses to change what is being carried out.
     *
     * @throws NotPossible while a run of this job is open
     */
    public void refuseWhileRunning(long jobId) {
        if (open(jobId).isPresent()) {
            throw new NotPossible(
                    "The run is on: look and brief stay as they are until it has ended. End it in the chair first.");
        }
    }

    /** Seats the performer now; the plan is made for the chair-in that really was. */
    public synchronized Run begin(long jobId, String account) {
        LocalDateTime at = LocalDateTime.now(clock).truncatedTo(ChronoUnit.SECONDS);
        Optional<Run> already = open(jobId);
        if (already.isPresent()) {
            return already.get();
        }
        Job job = jobs.get(jobId);
        Plan plan = planFrom(job, at, callFor(job, at));
        return transaction.execute(t -> seat(job, plan, account));
    }

    private Run seat(Job job, Plan plan, String account) {
        Run run = runs.saveAndFlush(new Run(
                job.id(),
                plan.chairIn(),
                plan.brief().call(),
                mapper.writeValueAsString(job.look()),
                mapper.writeValueAsString(plan.brief()),
                mapper.writeValueAsString(plan.schedule())));
        store(run, new RunEvent("begin-" + run.id(), plan.chairIn(), "", Type.BEGIN, "", 0, 0, ""), account);
        made.put(run.id(), plan);
        return run;
    }

    /** The plan from this chair-in towards this call; hours of the crew move along when the call does. */
    private Plan planFrom(Job job, LocalDateTime chairIn, LocalDateTime call) {
        return planOrRefuse(plans.near(job, Seating.brief(job.brief(), chairIn, call)));
    }

    private static Plan planOrRefuse(Planning planning) {
        if (planning instanceof Planning.Refused refused) {
            throw new NotPossible(refused.problems().get(0).what() + " "
                    + refused.problems().get(0).remedy());
        }
        return ((Planning.Done) planning).plan();
    }

    private Plan planOf(Run run) {
        return planOrRefuse(plans.restored(
                mapper.readValue(run.look(), Look.class),
                mapper.readValue(run.brief(), Brief.class),
                mapper.readValue(run.planned(), Schedule.class)));
    }

    /** The call that a run begun at this time works towards: the job's own, or one moved along for a rehearsal. */
    public LocalDateTime callFor(Job job, LocalDateTime at) {
        Optional<Plan> plan = plans.of(job).plan();
        return plan.isEmpty() ? job.brief().call() : Seating.call(plan.get(), at);
    }

    /** Where a run stands. */
    public Standing standing(Run run) {
        Plan plan = made.computeIfAbsent(run.id(), k -> planOf(run));
        return new Standing(run, plan, RunState.of(eventsOf(run)), mapper.readValue(run.standing(), Schedule.class));
    }

    /** Everything reported in a run, in the order in which it came in. */
    public List<RunEvent> eventsOf(Run run) {
        return events.findAllByRunIdOrderBySeq(run.id()).stream()
                .map(EventRow::event)
                .toList();
    }

    /**
     * Takes in an event and plans the rest again. The same id again changes nothing.
     *
     * @throws NotPossible when what is reported cannot be
     */
    public synchronized Standing report(long jobId, RunEvent event, String account) {
        Run run = open(jobId).orElseThrow(() -> new NotPossible("No run is on. Begin one in the chair."));
        if (events.existsByRunIdAndEventId(run.id(), event.id())) {
            return standing(run);
        }
        Standing before = standing(run);
        RunEvent checked = Legal.check(event, before);
        return transaction.execute(t -> {
            store(run, checked, account);
            Standing after = again(before, checked.at());
            if (checked.type() == Type.FINISH || checked.type() == Type.SKIP || checked.type() == Type.BACK) {
                after = startNext(after, checked, account);
            }
            if (checked.type() == Type.END) {
                run.end(checked.at());
            }
            run.stand(mapper.writeValueAsString(after.schedule()));
            Run stored = runs.saveAndFlush(run);
            return new Standing(stored, after.plan(), after.state(), after.schedule());
        });
    }

    private void store(Run run, RunEvent event, String account) {
        events.saveAndFlush(new EventRow(run.id(), event, account));
    }

    private Standing again(Standing was, LocalDateTime now) {
        RunState state = RunState.of(eventsOf(was.run()));
        Schedule next = new Chair(was.plan(), state).planAgain(plans.live(), was.schedule(), now);
        return new Standing(was.run(), was.plan(), state, next);
    }

    /** The next step of the same hands begins by itself when nothing keeps it. */
    private Standing startNext(Standing now, RunEvent after, String account) {
        Chair chair = new Chair(now.plan(), now.state());
        int second = (int) ChronoUnit.SECONDS.between(now.plan().chairIn(), after.at());
        Standing result = now;
        for (var worker : now.plan().network().workers()) {
            boolean theirs = worker.id().equals(after.hands())
                    || after.type() == Type.BACK
                    || after.hands().equals(Chair.NOBODY);
            List<Placed> ahead = chair.ahead(now.schedule(), worker.id());
            if (!theirs
                    || ahead.isEmpty()
                    || now.state().onBreak()
                    || now.state().runningBy(worker.id()).isPresent()) {
                continue;
            }
            Placed next = ahead.get(0);
            if (next.start() <= second + AT_ONCE && !restBefore(result.schedule(), next)) {
                store(now.run(), after.andStart(worker.id(), next.task(), next.mode()), account);
                result = again(now, after.at());
            }
        }
        return result;
    }

    /** Whether a break is planned between now and this step. */
    private static boolean restBefore(Schedule schedule, Placed next) {
        return schedule.rests().stream().anyMatch(r -> r.end() == next.start());
    }

    /** Stores a run that followed this plan and is over; for runs that were not held here. */
    public synchronized void storeFinished(Job job, Plan plan, List<RunEvent> happened, String account) {
        transaction.executeWithoutResult(t -> {
            Run run = seat(job, plan, account);
            happened.forEach(e -> store(run, e, account));
            run.end(happened.get(happened.size() - 1).at());
        });
    }

    /** The plan a run at this time would follow. */
    public Plan planAt(Job job, LocalDateTime chairIn) {
        return planFrom(job, chairIn, job.brief().call());
    }

    /** Whether every step is done or left out. */
    static boolean allDone(Standing s) {
        return s.plan().steps().stream()
                .map(p -> s.state().step(p.id()).status())
                .allMatch(x -> x == Status.DONE || x == Status.SKIPPED);
    }
}
