package app.kemdro.web.records.run;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.plan.Planning;
import app.kemdro.core.run.Chair;
import app.kemdro.core.run.Changes;
import app.kemdro.core.run.Moves;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.RunEvent.Type;
import app.kemdro.core.run.RunLevers;
import app.kemdro.core.run.RunState;
import app.kemdro.core.run.StepState.Status;
import app.kemdro.core.schedule.Placed;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.web.parts.mishap.NotPossible;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.Plans;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;

/** Runs: events are stored before they are answered, and the rest is planned again after each. */
@Service
public class Runs {
    /** A next step that may begin this soon begins by itself when the one before is done, seconds. */
    private static final int AT_ONCE = 15;

    /** Events after which what is carried out is another plan. */
    private static final Set<Type> STRUCTURAL =
            EnumSet.of(Type.SCHOOL, Type.COATS, Type.DROP, Type.JOIN, Type.LEAVE, Type.ROOM, Type.TROUBLE, Type.REDO);

    private final RunRepository runs;
    private final EventRepository events;
    private final Jobs jobs;
    private final Plans plans;
    private final JsonMapper mapper;
    private final Clock clock;
    private final TransactionTemplate transaction;
    private final Trade trade;
    private final ApplicationEventPublisher told;
    private final Map<Long, Base> begun = new ConcurrentHashMap<>();
    private final Map<Long, Made> made = new ConcurrentHashMap<>();
    private final Map<Long, List<RunEvent>> happened = new ConcurrentHashMap<>();
    private final Map<Long, Object> locks = new ConcurrentHashMap<>();

    /** What a run began with. */
    private record Base(Look look, Brief brief, Plan plan) {}

    /** What is carried out after these events. */
    private record Made(String after, Changes changes, Plan plan) {}

    Runs(
            RunRepository runs,
            EventRepository events,
            Jobs jobs,
            Plans plans,
            JsonMapper mapper,
            Clock clock,
            TransactionTemplate transaction,
            Trade trade,
            ApplicationEventPublisher told) {
        this.told = told;
        this.trade = trade;
        this.runs = runs;
        this.events = events;
        this.jobs = jobs;
        this.plans = plans;
        this.mapper = mapper;
        this.clock = clock;
        this.transaction = transaction;
    }

    /**
     * A run with what is carried out now, its state and the schedule people have in mind.
     *
     * @param happened everything reported, in the order in which it came in
     * @param trouble what somebody has to see to so that the schedule can be kept, or empty
     * @param moves what the last report changed in the order, in words
     * @param readyBefore second of being ready before the last report
     */
    public record Standing(
            Run run,
            List<RunEvent> happened,
            Plan plan,
            Changes changes,
            RunState state,
            Schedule schedule,
            String trouble,
            List<String> moves,
            int readyBefore) {

        Standing(Run run, List<RunEvent> happened, Plan plan, Changes changes, RunState state, Schedule schedule) {
            this(run, happened, plan, changes, state, schedule, run.trouble(), List.of(), schedule.ready());
        }

        private Standing planned(Schedule next, String missing) {
            return new Standing(run, happened, plan, changes, state, next, missing, moves, readyBefore);
        }

        private Standing reported(Run stored, Standing before) {
            List<String> words = Moves.between(plan, before.schedule, schedule, state);
            int second = before.schedule.ready();
            return new Standing(stored, happened, plan, changes, state, schedule, trouble, words, second);
        }

        /** The same for whoever looks for levers. */
        public RunLevers.Standing forLevers() {
            return new RunLevers.Standing(plan, changes, state, schedule);
        }
    }

    /** The run of this job that has begun and not ended. */
    public Optional<Run> open(long jobId) {
        return runs.findFirstByJobIdAndEndedAtIsNullOrderByIdDesc(jobId);
    }

    /**
     * The run of this job that is on.
     *
     * @throws NotPossible where none is
     */
    public Run running(long jobId) {
        return open(jobId).orElseThrow(() -> new NotPossible("No run is on. Begin one in the chair."));
    }

    /** Rehearsals that have begun and not ended. */
    List<Run> rehearsals() {
        return runs.findAllByEndedAtIsNullAndPaceGreaterThan(0);
    }

    /** Runs that have begun and not ended and are no rehearsals. */
    List<Run> atWork() {
        return runs.findAllByEndedAtIsNullAndPace(0);
    }

    /** The latest runs of the house that are over and were no rehearsals. */
    public List<Run> held() {
        return runs.findTop30ByEndedAtIsNotNullAndPaceOrderByIdDesc(0);
    }

    /** Hands that have joined the run of this job that is on, and have not left it. */
    public Set<String> joined(long jobId) {
        Set<String> here = new HashSet<>();
        open(jobId).stream()
                .flatMap(r -> RunState.of(eventsOf(r)).events().stream())
                .forEach(e -> {
                    if (e.type() == Type.JOIN) {
                        here.add(e.hands());
                    } else if (e.type() == Type.LEAVE) {
                        here.remove(e.hands());
                    }
                });
        return here;
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

    private Object lock(long jobId) {
        return locks.computeIfAbsent(jobId, k -> new Object());
    }

    private LocalDateTime real() {
        return LocalDateTime.now(clock).truncatedTo(ChronoUnit.MILLIS);
    }

    /** What the clock of this run says; its own clock where it is a rehearsal. */
    public LocalDateTime now(Run run) {
        return run.time(real()).truncatedTo(ChronoUnit.SECONDS);
    }

    /** Seats the performer now; the plan is made for the chair-in that really was. */
    public Run begin(long jobId, String account) {
        synchronized (lock(jobId)) {
            LocalDateTime at = real().truncatedTo(ChronoUnit.SECONDS);
            Optional<Run> already = open(jobId);
            if (already.isPresent()) {
                return already.get();
            }
            Job job = jobs.get(jobId);
            Base base = planned(job, Seating.brief(job.brief(), at, callFor(job, at)));
            return transaction.execute(t -> seat(job, base, account, 0));
        }
    }

    /** Begins a rehearsal at the planned chair-in, on a clock of its own. */
    public Run rehearse(long jobId, String account, int pace) {
        synchronized (lock(jobId)) {
            Optional<Run> already = open(jobId);
            if (already.isPresent()) {
                return already.get();
            }
            Job job = jobs.get(jobId);
            Plan plan = plans.of(job).plan().orElseThrow(() -> refused(plans.near(job, job.brief())));
            Base base =
                    new Base(plan.carriedOut(plans.of(job).look()), plan.brief().seated(plan.chairIn()), plan);
            return transaction.execute(t -> seat(job, base, account, pace));
        }
    }

    private static RunEnded ended(Standing over) {
        return new RunEnded(
                over.run().jobId(),
                over.run().id(),
                over.plan(),
                over.changes().look(),
                over.plan().steps().stream()
                        .map(PlannedStep::id)
                        .filter(id -> over.state().step(id).status() == Status.DONE)
                        .collect(Collectors.toSet()));
    }

    private Base planned(Job job, Brief seated) {
        Planning planning = plans.near(job, seated);
        // what stands aside is not begun
        Look look = plans.of(job).look();
        if (planning instanceof Planning.Refused && !look.wishes().isEmpty()) {
            // a wish that this chair-in does not allow must not keep anybody from beginning
            look = look.wishing(List.of());
            planning = plans.fresh(look, seated);
        }
        Plan plan = planOrRefuse(planning);
        return new Base(plan.carriedOut(look), seated, plan);
    }

    private Run seat(Job job, Base base, String account, int pace) {
        Plan plan = base.plan();
        Run fresh = new Run(
                job.id(),
                plan.chairIn(),
                plan.brief().call(),
                mapper.writeValueAsString(base.look()),
                mapper.writeValueAsString(base.brief()),
                mapper.writeValueAsString(plan.schedule()));
        fresh.satBy(job.performer().id());
        if (pace > 0) {
            fresh.pace(real(), plan.chairIn(), pace);
        }
        Run run = runs.saveAndFlush(fresh);
        events.saveAndFlush(new EventRow(
                run.id(), new RunEvent("begin-" + run.id(), plan.chairIn(), "", Type.BEGIN, "", 0, 0, ""), account));
        begun.put(run.id(), base);
        return run;
    }

    /** Sets the pace of a rehearsal. */
    public void pace(long jobId, int pace) {
        synchronized (lock(jobId)) {
            open(jobId).filter(Run::isRehearsal).ifPresent(run -> {
                LocalDateTime real = real();
                run.pace(real, run.time(real), pace);
                runs.saveAndFlush(run);
            });
        }
    }

    private static NotPossible refused(Planning planning) {
        return planning instanceof Planning.Refused refused
                ? new NotPossible(refused.problems().get(0).what() + " "
                        + refused.problems().get(0).remedy())
                : new NotPossible("There is no order yet.");
    }

    private static Plan planOrRefuse(Planning planning) {
        if (planning instanceof Planning.Done done) {
            return done.plan();
        }
        throw refused(planning);
    }

    private Base base(Run run) {
        return begun.computeIfAbsent(run.id(), k -> {
            Look look = mapper.readValue(run.look(), Look.class);
            Brief brief = mapper.readValue(run.brief(), Brief.class);
            Schedule planned = mapper.readValue(run.planned(), Schedule.class);
            return new Base(look, brief, planOrRefuse(plans.restored(look, brief, planned)));
        });
    }

    /** The call that a run begun at this time works towards: the job's own, or one moved along for a rehearsal. */
    public LocalDateTime callFor(Job job, LocalDateTime at) {
        Optional<Plan> plan = plans.of(job).plan();
        return plan.isEmpty() ? job.brief().call() : Seating.call(plan.get(), at);
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

    /** Where a run stands. */
    public Standing standing(Run run) {
        List<RunEvent> all = eventsOf(run);
        RunState state = RunState.of(all);
        Made now = carriedOut(run, state);
        Schedule schedule = mapper.readValue(run.standing(), Schedule.class);
        return new Standing(run, all, now.plan(), now.changes(), state, schedule);
    }

    /** Where a run stands at this moment: what is late has moved on with the clock, though nobody has pressed. */
    public Standing asItGoes(Run run) {
        Standing stands = standing(run);
        if (run.endedAt() != null) {
            return stands;
        }
        Schedule now = new Chair(stands.plan(), stands.state()).asItGoes(plans.live(), stands.schedule(), now(run));
        return stands.planned(now, stands.trouble());
    }

    /** Where a run stood after these of its events, with the schedule that was in mind before the last of them. */
    public Standing after(Run run, List<RunEvent> until, Schedule before) {
        RunState state = RunState.of(until);
        Made then = carriedOut(run, state);
        return again(
                new Standing(run, List.copyOf(until), then.plan(), then.changes(), state, before),
                until.get(until.size() - 1).at(),
                STRUCTURAL.contains(until.get(until.size() - 1).type()));
    }

    /** The plan that is carried out, made anew only when something has happened that changes it. */
    private Made carriedOut(Run run, RunState state) {
        Base base = base(run);
        String after = state.events().stream()
                .filter(e -> STRUCTURAL.contains(e.type()))
                .map(RunEvent::id)
                .collect(Collectors.joining(" "));
        if (after.isEmpty()) {
            return new Made("", Changes.none(base.look(), base.brief()), base.plan());
        }
        Made known = made.get(run.id());
        if (known == null || !known.after().equals(after)) {
            Changes changes = Changes.of(base.look(), base.brief(), state);
            Planning planning = plans.live()
                    .underWay(
                            changes.look(),
                            changes.brief(),
                            base.plan().chairIn(),
                            changes.extras(),
                            base.plan().schedule());
            known = new Made(after, changes, planOrRefuse(planning));
            made.put(run.id(), known);
        }
        return known;
    }

    /** Everything reported in a run, in the order in which it came in. */
    public List<RunEvent> eventsOf(Run run) {
        return happened.computeIfAbsent(
                run.id(),
                k -> events.findAllByRunIdOrderBySeq(k).stream()
                        .map(EventRow::event)
                        .toList());
    }

    /**
     * Takes in an event and plans the rest again. The same id again changes nothing.
     *
     * @throws NotPossible when what is reported cannot be
     */
    public Standing report(long jobId, RunEvent event, String account) {
        synchronized (lock(jobId)) {
            Run run = running(jobId);
            Standing before = standing(run);
            if (before.happened().stream().anyMatch(e -> e.id().equals(event.id()))) {
                return before;
            }
            RunEvent checked = Legal.check(event, before, trade, plans.live().puttingRight());
            Standing done = transaction.execute(t -> {
                Standing after = changedBy(checked, before, account);
                if (checked.type() == Type.FINISH || checked.type() == Type.SKIP || checked.type() == Type.BACK) {
                    after = startNext(after, checked, account);
                }
                if (checked.type() == Type.END) {
                    run.end(checked.at());
                }
                run.stand(mapper.writeValueAsString(after.schedule()), after.trouble());
                return after.reported(runs.saveAndFlush(run), before);
            });
            happened.put(run.id(), done.happened());
            if (checked.type() == Type.END && !run.isRehearsal()) {
                told.publishEvent(ended(done));
            }
            return done;
        }
    }

    /** The run after this event; refused where what has begun would no longer be a part of it. */
    private Standing changedBy(RunEvent event, Standing before, String account) {
        events.saveAndFlush(new EventRow(before.run().id(), event, account));
        List<RunEvent> all = new ArrayList<>(before.happened());
        all.add(event);
        RunState state = RunState.of(all);
        Made now = carriedOut(before.run(), state);
        boolean replans = STRUCTURAL.contains(event.type()) || event.type() == Type.UNDO;
        if (replans && !RunLevers.keepsWhatHasBegun(now.plan(), before.plan(), state)) {
            made.remove(before.run().id());
            throw new NotPossible(
                    event.type() == Type.UNDO
                            ? "That cannot be taken back any more: what was begun since then would have no place."
                            : "It has begun already and stays as it is.");
        }
        return again(
                new Standing(before.run(), List.copyOf(all), now.plan(), now.changes(), state, before.schedule()),
                later(event.at(), now(before.run())),
                replans);
    }

    private static LocalDateTime later(LocalDateTime a, LocalDateTime b) {
        return a.isAfter(b) ? a : b;
    }

    /** Plans the rest; where the plan itself has changed, whatever the order was. */
    private Standing again(Standing was, LocalDateTime now, boolean changed) {
        Chair chair = new Chair(was.plan(), was.state());
        Chair.Again again = changed
                ? chair.planAgain(plans.live(), was.schedule(), now)
                : chair.planOn(plans.live(), was.schedule(), now);
        return was.planned(again.schedule(), again.trouble());
    }

    /** The next step of the same hands begins by itself when nothing keeps it. */
    private Standing startNext(Standing now, RunEvent after, String account) {
        int second = (int) ChronoUnit.SECONDS.between(now.plan().chairIn(), later(after.at(), now(now.run())));
        Standing result = now;
        for (var worker : now.plan().network().workers()) {
            boolean theirs = worker.id().equals(after.hands())
                    || after.type() == Type.BACK
                    || after.hands().equals(Chair.NOBODY);
            Chair chair = new Chair(result.plan(), result.state());
            List<Placed> ahead = chair.ahead(result.schedule(), worker.id());
            if (!theirs
                    || ahead.isEmpty()
                    || result.state().onBreak()
                    || result.state().runningBy(worker.id()).isPresent()) {
                continue;
            }
            Placed next = ahead.get(0);
            if (next.start() <= second + AT_ONCE && !restBefore(result, next)) {
                result = changedBy(after.andStart(worker.id(), next.task(), next.mode()), result, account);
            }
        }
        return result;
    }

    /** Whether a break that was not taken yet is planned just before this step. */
    static boolean restBefore(Standing s, Placed next) {
        return s.schedule().rests().stream().skip(s.state().pauses().size()).anyMatch(r -> r.end() == next.start());
    }

    /** Runs in which this person sat, whoever sits for their jobs now and whatever they were called then. */
    public List<Run> satBy(long performer, String name) {
        return runs.findAll().stream()
                .filter(r -> r.performerId().map(id -> id == performer).orElseGet(() -> isCalled(r, name)))
                .toList();
    }

    private boolean isCalled(Run run, String name) {
        return mapper.readValue(run.brief(), Brief.class).performer().name().equalsIgnoreCase(name);
    }

    /** Writes down whose runs these are, before their name is changed. */
    public void keepWhoSat(long performer, String name) {
        satBy(performer, name).forEach(r -> {
            r.satBy(performer);
            runs.saveAndFlush(r);
        });
    }

    /**
     * Takes the performer's health out of what is kept of a run.
     *
     * @param as who is to have sat instead, with the same measures
     */
    public void forgetHealth(Run run, UnaryOperator<Brief.Performer> as) {
        synchronized (lock(run.jobId())) {
            Brief brief = mapper.readValue(run.brief(), Brief.class);
            run.forget(mapper.writeValueAsString(brief.on(as.apply(brief.performer()))));
            runs.saveAndFlush(run);
            for (EventRow row : events.findAllByRunIdOrderBySeq(run.id())) {
                if (row.event().type() == Type.REACTION) {
                    row.say("taken out");
                    events.saveAndFlush(row);
                }
            }
            begun.remove(run.id());
            made.remove(run.id());
            happened.remove(run.id());
        }
    }

    /**
     * Stores a run that followed this plan and is over; for runs that were not held here.
     *
     * @param pace minutes that passed in one, where it was a rehearsal; else 0
     */
    public void storeFinished(Job job, Plan plan, List<RunEvent> reports, String account, int pace) {
        transaction.executeWithoutResult(t -> {
            Run run = seat(job, new Base(plan.carriedOut(job.look()), plan.brief(), plan), account, pace);
            events.saveAll(reports.stream()
                    .map(e -> new EventRow(run.id(), e, account))
                    .toList());
            run.end(reports.get(reports.size() - 1).at());
        });
    }

    /** The plan a run at this time would follow. */
    public Plan planAt(Job job, LocalDateTime chairIn) {
        return planned(job, Seating.brief(job.brief(), chairIn, job.brief().call()))
                .plan();
    }

    /** Whether every step is done or left out. */
    public static boolean allDone(Standing s) {
        return s.plan().steps().stream()
                .map(p -> s.state().step(p.id()).status())
                .allMatch(x -> x == Status.DONE || x == Status.SKIPPED);
    }
}
