package app.kemdro.web.records.strike;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Planning;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.RunEvent.Type;
import app.kemdro.core.run.RunState;
import app.kemdro.core.run.StepState.Status;
import app.kemdro.core.schedule.Placed;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.Worker;
import app.kemdro.core.strike.Removal;
import app.kemdro.core.strike.Undoing;
import app.kemdro.web.parts.mishap.NotPossible;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.plan.Removals;
import app.kemdro.web.records.run.Reports;
import app.kemdro.web.records.run.Run;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.run.Runs.Standing;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;

/** Taking off, carried out: presses are stored before they are answered, and the rest is planned again after each. */
@Service
public class Strikes {
    /** A day in the chair that ended longer ago than this has come off by now, hours. */
    private static final int WORN_AT_MOST = 36;

    /** What can be pressed. */
    private static final Set<Type> PRESSES =
            EnumSet.of(Type.START, Type.FINISH, Type.CLEAR, Type.NOT_YET, Type.NOTE, Type.UNDO, Type.END);

    /** After "not yet" it is looked at again so much later, seconds. */
    private static final int LOOK_AGAIN = 120;

    private static final int LONGEST_PRESS = 600;

    private final StrikeRunRepository strikes;
    private final StrikeEventRepository events;
    private final Removals removals;
    private final Jobs jobs;
    private final Runs runs;
    private final Reports reports;
    private final Plans plans;
    private final JsonMapper mapper;
    private final Clock clock;
    private final TransactionTemplate transaction;
    private final Map<Long, Base> made = new ConcurrentHashMap<>();
    private final Map<Long, Object> locks = new ConcurrentHashMap<>();

    /** What comes off, and how that was first planned. */
    public record Base(Plan plan, Removal removal) {}

    Strikes(
            StrikeRunRepository strikes,
            StrikeEventRepository events,
            Removals removals,
            Jobs jobs,
            Runs runs,
            Reports reports,
            Plans plans,
            JsonMapper mapper,
            Clock clock,
            TransactionTemplate transaction) {
        this.strikes = strikes;
        this.events = events;
        this.removals = removals;
        this.jobs = jobs;
        this.runs = runs;
        this.reports = reports;
        this.plans = plans;
        this.mapper = mapper;
        this.clock = clock;
        this.transaction = transaction;
    }

    /**
     * Where a strike stands.
     *
     * @param all everything that was pressed, what was taken back too
     */
    public record Now(
            StrikeRun run, Base base, List<RunEvent> all, RunState state, Undoing undoing, Schedule schedule) {
        public Removal removal() {
            return base.removal();
        }

        public List<String> hands() {
            return removal().network().workers().stream().map(Worker::id).toList();
        }
    }

    private Object lock(long jobId) {
        return locks.computeIfAbsent(jobId, k -> new Object());
    }

    public LocalDateTime now() {
        return LocalDateTime.now(clock).truncatedTo(ChronoUnit.SECONDS);
    }

    /** The strike of this job that has begun and not ended. */
    public Optional<StrikeRun> open(long jobId) {
        return strikes.findFirstByJobIdAndEndedAtIsNullOrderByIdDesc(jobId);
    }

    /** All strikes of a job, the latest first. */
    public List<StrikeRun> of(long jobId) {
        return strikes.findAllByJobIdOrderByIdDesc(jobId);
    }

    /** How long what was laid in a run took to come off, in words; empty where it has not. */
    public Optional<String> of(Run run) {
        return of(run.jobId()).stream()
                .filter(s -> Long.valueOf(run.id()).equals(s.runId()) && s.endedAt() != null)
                .findFirst()
                .map(s -> "Came off in "
                        + Words.span(Duration.between(s.beganAt(), s.endedAt()).toMinutes()) + ", planned "
                        + Words.span(Math.round(standing(s).removal().seconds() / 60.0)) + ".");
    }

    /** The day in the chair whose layers are still on. */
    public Optional<Run> worn(long jobId) {
        return runs.of(jobId).stream()
                .filter(r -> !r.isRehearsal())
                .findFirst()
                .filter(r -> r.endedAt() == null || r.endedAt().isAfter(now().minusHours(WORN_AT_MOST)))
                .filter(r -> of(jobId).stream()
                        .noneMatch(s -> Long.valueOf(r.id()).equals(s.runId())
                                && standing(s).undoing().over()));
    }

    /** Says no longer who this person is that it was taken off, or what they react to. */
    public void forgetHealth(long performer, String name, UnaryOperator<Brief.Performer> as) {
        takenOff(performer, name).forEach(s -> {
            Brief brief = mapper.readValue(s.brief(), Brief.class);
            s.forget(mapper.writeValueAsString(brief.on(as.apply(brief.performer()))));
            strikes.saveAndFlush(s);
            made.remove(s.id());
        });
    }

    /** Writes down who these were taken off, before their name is changed. */
    public void keepWhoSat(long performer, String name) {
        takenOff(performer, name).forEach(s -> {
            s.takenOff(performer);
            strikes.saveAndFlush(s);
        });
    }

    /** Strikes that say themselves whom they were taken off; of others a run says it. */
    private List<StrikeRun> takenOff(long performer, String name) {
        return strikes.findAll().stream()
                .filter(s -> !s.brief().isEmpty())
                .filter(s -> s.performerId().map(id -> id == performer).orElseGet(() -> isCalled(s, name)))
                .toList();
    }

    private boolean isCalled(StrikeRun strike, String name) {
        return mapper.readValue(strike.brief(), Brief.class).performer().name().equalsIgnoreCase(name);
    }

    /**
     * Begins to take off what was laid in the latest run, which ends with this; without one, all of the job's look.
     *
     * @param urgent whether mouth, nose and eyes come first
     */
    public StrikeRun begin(long jobId, boolean urgent, String account) {
        synchronized (lock(jobId)) {
            Optional<StrikeRun> already = open(jobId);
            if (already.isPresent()) {
                return already.get();
            }
            Job job = jobs.get(jobId);
            Optional<Run> worn = worn(jobId);
            StrikeRun fresh = worn.map(r -> new StrikeRun(jobId, r.id(), now(), urgent, "", ""))
                    .orElseGet(() -> new StrikeRun(
                            jobId,
                            null,
                            now(),
                            urgent,
                            mapper.writeValueAsString(job.look()),
                            mapper.writeValueAsString(job.brief())));
            fresh.takenOff(job.performer().id());
            Base base = base(fresh);
            if (base.removal().steps().isEmpty()) {
                throw new NotPossible("Nothing has been laid yet: there is nothing to take off.");
            }
            worn.filter(r -> r.endedAt() == null).ifPresent(r -> reports.end(r, "strike-" + r.id(), account));
            fresh.stand(mapper.writeValueAsString(base.removal().schedule()));
            StrikeRun run = strikes.saveAndFlush(fresh);
            made.put(run.id(), base);
            return run;
        }
    }

    /** How what was laid in a run comes off; what was begun and put down is on the skin as well. */
    public Base worn(Run run, boolean urgent) {
        Standing standing = runs.standing(run);
        Set<String> begun = standing.state().events().stream()
                .filter(e -> e.type() == Type.START || e.type() == Type.FINISH)
                .map(RunEvent::step)
                .collect(Collectors.toSet());
        return new Base(standing.plan(), removals.of(standing.plan(), begun::contains, urgent));
    }

    private Base base(StrikeRun strike) {
        if (strike.runId() != null) {
            Run run = runs.of(strike.jobId()).stream()
                    .filter(r -> strike.runId().equals(r.id()))
                    .findFirst()
                    .orElseThrow(() -> new NotPossible("The run that this takes off is gone."));
            return worn(run, strike.urgent());
        }
        Planning planning =
                plans.fresh(mapper.readValue(strike.look(), Look.class), mapper.readValue(strike.brief(), Brief.class));
        if (!(planning instanceof Planning.Done done)) {
            throw new NotPossible("The look has no plan: nobody can have laid it. See to it in Look.");
        }
        return new Base(done.plan(), removals.of(done.plan(), step -> true, strike.urgent()));
    }

    /** Where this strike stands. */
    public Now standing(StrikeRun run) {
        Base base = made.computeIfAbsent(run.id(), k -> base(run));
        List<RunEvent> all = events.findAllByStrikeIdOrderBySeq(run.id()).stream()
                .map(StrikeEventRow::event)
                .toList();
        RunState state = RunState.of(all);
        return new Now(
                run,
                base,
                all,
                state,
                new Undoing(base.removal(), run.beganAt(), state),
                mapper.readValue(run.standing(), Schedule.class));
    }

    /**
     * Takes in a press; the same again changes nothing. Whoever has finished begins what is next, where nothing keeps it.
     *
     * @throws NotPossible when what is reported cannot be
     */
    public Now press(long jobId, String press, Type type, String hands, String step, String text, String account) {
        synchronized (lock(jobId)) {
            StrikeRun run = open(jobId).orElseThrow(() -> new NotPossible("No strike is on. Begin one in Strike."));
            Now before = standing(run);
            if (press.isBlank() || press.length() > LONGEST_PRESS) {
                throw new NotPossible("The press does not say which it is. Load the page again.");
            }
            // whatever people and steps are called, and from whichever screen: the same press has the same id
            String id = UUID.nameUUIDFromBytes(
                            String.join("\n", press, type.name(), hands, step).getBytes(StandardCharsets.UTF_8))
                    .toString();
            if (before.all().stream().anyMatch(e -> e.id().equals(id))) {
                return before;
            }
            RunEvent event = checked(new RunEvent(id, now(), hands, type, step, LOOK_AGAIN, 0, text), before);
            return transaction.execute(t -> {
                Now after = store(run, List.of(event), account);
                if (type == Type.FINISH || type == Type.CLEAR) {
                    after = store(run, follow(after, id), account);
                }
                if (type == Type.END || after.undoing().over()) {
                    run.end(event.at());
                }
                strikes.saveAndFlush(run);
                return after;
            });
        }
    }

    private Now store(StrikeRun run, List<RunEvent> more, String account) {
        more.forEach(e -> events.saveAndFlush(new StrikeEventRow(run.id(), e, account)));
        Now now = standing(run);
        Schedule schedule = removals.again(now.undoing(), now.schedule(), now());
        run.stand(mapper.writeValueAsString(schedule));
        return new Now(run, now.base(), now.all(), now.state(), now.undoing(), schedule);
    }

    /** What free hands begin by themselves. */
    private List<RunEvent> follow(Now now, String after) {
        List<RunEvent> starts = new ArrayList<>();
        for (String hands : now.hands()) {
            List<Placed> ahead = now.undoing().ahead(now.schedule(), hands);
            if (now.undoing().doing(hands).isEmpty()
                    && !ahead.isEmpty()
                    && now.undoing().keeps(ahead.get(0).task(), now()).isEmpty()) {
                starts.add(new RunEvent(
                        after + "+" + hands,
                        now(),
                        hands,
                        Type.START,
                        ahead.get(0).task(),
                        0,
                        0,
                        ""));
            }
        }
        return starts;
    }

    private RunEvent checked(RunEvent e, Now now) {
        boolean known = now.removal().steps().stream().anyMatch(s -> s.id().equals(e.step()));
        if (!PRESSES.contains(e.type())) {
            throw new NotPossible("That is nothing that happens while it comes off.");
        }
        if (e.type() != Type.NOTE && e.type() != Type.END && e.type() != Type.UNDO && !known) {
            throw new NotPossible("That step is not one of this strike's.");
        }
        if ((e.type() == Type.START || e.type() == Type.FINISH) && !now.hands().contains(e.hands())) {
            throw new NotPossible("Nobody called " + e.hands() + " works on this.");
        }
        Status status = now.state().step(e.step()).status();
        switch (e.type()) {
            case START -> {
                if (status != Status.WAITING) {
                    throw new NotPossible("That has begun already.");
                }
                if (now.undoing().doing(e.hands()).isPresent()) {
                    throw new NotPossible(e.hands() + " has something in hand already. Finish it first.");
                }
                now.undoing().keeps(e.step(), e.at()).ifPresent(why -> {
                    throw new NotPossible("Not yet: " + why + ".");
                });
            }
            case FINISH -> {
                if (status != Status.RUNNING) {
                    throw new NotPossible("That has not begun, or is done.");
                }
            }
            case CLEAR, NOT_YET -> {
                if (status != Status.DONE) {
                    throw new NotPossible("That is not flooded yet.");
                }
            }
            case NOTE -> {
                if (e.text().isBlank() || e.text().length() > 500) {
                    throw new NotPossible("A note takes 1 to 500 letters.");
                }
            }
            case UNDO -> {
                return now.state()
                        .lastBy(e.hands())
                        .map(last -> new RunEvent(e.id(), e.at(), e.hands(), Type.UNDO, "", 0, 0, last.root()))
                        .orElseThrow(() -> new NotPossible("There is nothing to take back."));
            }
            default -> {}
        }
        return e;
    }
}
