package app.kemdro.web.records.plan;

import app.kemdro.core.layer.LayerRules;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.LayerTroubles;
import app.kemdro.core.plan.Levers;
import app.kemdro.core.plan.LookPlanner;
import app.kemdro.core.plan.Mending;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Planning;
import app.kemdro.core.plan.Problem;
import app.kemdro.core.plan.Substitutes;
import app.kemdro.core.plan.Trials;
import app.kemdro.core.question.Calmer;
import app.kemdro.core.question.OrderWays;
import app.kemdro.core.question.Questions;
import app.kemdro.core.run.RunLevers;
import app.kemdro.core.schedule.Confidence;
import app.kemdro.core.schedule.Planner;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.web.parts.ahead.Ahead;
import app.kemdro.web.parts.mishap.Unsaid;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.job.Kept;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.util.function.SingletonSupplier;

/** Plans of jobs, made once for each version of a job. */
@Service
public class Plans {
    /** Placements tried for a plan, and at a press near the order it has: what a press misses is found while it settles. */
    private static final int FULL = 200;

    private static final int PRESSED = 100;
    private static final int THOROUGH = 800;
    private static final int LIVE = 40;
    private static final int ROUGH = 8;
    private static final int MORNINGS = 300;

    private static final Logger LOG = LoggerFactory.getLogger(Plans.class);

    private final Trade trade;
    private final Jobs jobs;
    private final Snapshots snapshots;
    private final LookPlanner full;
    private final LookPlanner pressed;
    private final LookPlanner thorough;
    private final LookPlanner rough;
    private final LookPlanner glance;
    private final LookPlanner live;
    private final Substitutes substitutes;
    private final Mending mending;
    private final Calmer calmer;
    private final OrderWays ways;
    private final Levers levers;
    private final RunLevers runLevers;
    private final SingletonSupplier<List<WhenPlanned>> told;
    private final ApplicationEventPublisher events;
    private final KnownAnswers answers;
    private final Cache<Answer, Trials> trials =
            Caffeine.newBuilder().weakKeys().build();

    /**
     * What was computed for a version of a job; confidence only where there is a plan.
     *
     * @param look as much of the look as is planned
     * @param obstacles what of the look stands aside or will not hold
     * @param wishes what each wish costs
     */
    public record Answer(
            Planning planning, Look look, List<Problem> obstacles, Optional<Confidence> confidence, WishCosts wishes) {

        public Optional<Plan> plan() {
            return planning instanceof Planning.Done done ? Optional.of(done.plan()) : Optional.empty();
        }

        /** What stands in the way, or what is worth knowing where nothing does. */
        public List<Problem> problems() {
            return planning instanceof Planning.Refused refused
                    ? refused.problems()
                    : Stream.concat(obstacles.stream(), plan().map(Plan::notes).orElse(List.of()).stream())
                            .toList();
        }
    }

    Plans(
            Trade trade,
            Jobs jobs,
            Snapshots snapshots,
            ObjectProvider<WhenPlanned> told,
            ApplicationEventPublisher events) {
        this.events = events;
        this.told = SingletonSupplier.of(() -> told.orderedStream().toList());
        this.trade = trade;
        this.jobs = jobs;
        this.snapshots = snapshots;
        answers = new KnownAnswers(this::order);
        LayerRules rules = LayerRules.standard(trade);
        full = new LookPlanner(trade, rules, Planner.trying(FULL));
        pressed = new LookPlanner(trade, rules, Planner.trying(PRESSED, 10 * FULL));
        thorough = new LookPlanner(trade, rules, Planner.trying(THOROUGH));
        rough = new LookPlanner(trade, rules, Planner.trying(ROUGH));
        glance = new LookPlanner(trade, rules, Planner.trying(1, 10 * ROUGH));
        live = new LookPlanner(trade, rules, Planner.trying(LIVE));
        substitutes = new Substitutes(trade, rough);
        mending = new Mending(trade, rough);
        ways = new OrderWays(trade);
        calmer = new Calmer(trade, thorough, new Questions(trade));
        levers = new Levers(trade, rough);
        runLevers = new RunLevers(levers, rough);
    }

    /** The plan of this job, or what stands in its way. */
    public Answer of(Job job) {
        Answer known = job.isSupposed() ? answers.ahead(job, this::answered) : answers.of(job);
        if (known == null) {
            known = answers.of(job, this::answered);
            Answer made = known;
            told.obtain().forEach(w -> w.planned(job, made));
        }
        return known;
    }

    /** One job that cannot be planned or read never stops another, or its own other rooms. */
    private Answer answered(Job job) {
        try {
            return answer(asFar(job), job);
        } catch (RuntimeException e) {
            LOG.error("job {} could not be planned", job.id(), Unsaid.of(e));
            Problem problem = Problem.obstacle(
                    true,
                    "This job could not be planned.",
                    "Nothing of it is lost. Take back what was changed last, or take a wish or an entry out.",
                    List.of());
            return new Answer(
                    new Planning.Refused(List.of(problem)), job.look(), List.of(), Optional.empty(), WishCosts.NONE);
        }
    }

    private LookPlanner.AsFar asFar(Job job) {
        Optional<Schedule> before = orderBefore(job);
        return (before.isPresent() ? pressed : full)
                .asFarAsCanBe(job.look(), job.brief(), before, job.kept().orderProof());
    }

    /**
     * Takes over an order that was found for a job, and what was proven of it.
     *
     * @param job as it stood when it was last looked at
     * @return whether it still stands so; else nothing is done
     */
    public boolean takeFound(Job job, Plan plan, Schedule order) {
        String written = snapshots.write(order);
        return jobs.change(job.id(), j -> {
                    if (j.version().equals(job.version())) {
                        j.kept().findOrder(written, plan.network().fingerprint());
                    }
                })
                .kept()
                .order()
                .equals(written);
    }

    /** By how many seconds the plan of a job is really ready sooner with this look and brief, planned as a press plans it. */
    public int saves(Job job, Look look, Brief brief) {
        Optional<Plan> now = of(job).plan();
        return now.map(n -> instead(job, n, look, brief) instanceof Planning.Done done
                        ? n.schedule().ready() - done.plan().schedule().ready()
                        : 0)
                .orElse(0);
    }

    /** What becomes of a job's plan with this look and brief, planned as a press plans it. */
    public Planning instead(Job job, Plan now, Look look, Brief brief) {
        return pressed.keeping(look, brief, now.schedule(), job.kept().orderProof());
    }

    /** Takes another way where practitioners differ: rules between steps, or other techniques. */
    public Changed goBy(Job job, OrderWays.Other other) {
        return other.look().equals(job.look())
                ? change(job, j -> j.allow(other.brief().allowed()))
                : changeLook(job, look -> other.look());
    }

    /** Where practitioners differ about the order of a look. */
    public OrderWays ways() {
        return ways;
    }

    /** Takes another order of the same work, for which so many minutes are allowed. */
    public Changed calm(Job job, Schedule order, int minutes) {
        return change(job, j -> {
            j.allow(j.brief().allowed().withMinutes(minutes));
            j.kept().keepOrder(snapshots.write(order), "");
        });
    }

    /** Calmer orders of the same work, and what would mend one. */
    public Calmer calmer() {
        return calmer;
    }

    /** What would buy time. */
    public Levers levers() {
        return levers;
    }

    private Answer answer(LookPlanner.AsFar asFar, Job job) {
        if (!(asFar.planning() instanceof Planning.Done done)) {
            return new Answer(asFar.planning(), asFar.look(), List.of(), Optional.empty(), WishCosts.NONE);
        }
        List<Problem> obstacles = new ArrayList<>(asFar.aside());
        obstacles.addAll(LayerTroubles.of(done.plan(), trade.body()));
        return new Answer(
                done,
                asFar.look(),
                List.copyOf(obstacles),
                Optional.of(Confidence.of(done.plan().network(), done.plan().schedule(), MORNINGS)),
                WishCosts.of(rough, asFar.look(), done.plan(), orderBefore(job)));
    }

    private Optional<Schedule> orderBefore(Job job) {
        return Optional.of(job.kept()).filter(Kept::wasPlanned).map(k -> snapshots.schedule(k.order()));
    }

    /** Changes a job and keeps the order people had in mind until then, so that the next plan stays near it. */
    public Changed change(Job job, Consumer<Job> change) {
        Optional<Plan> before = of(job).plan();
        Consumer<Job> whole = j -> {
            before.ifPresent(p ->
                    j.kept().keepOrder(snapshots.write(p.schedule()), j.kept().orderProof()));
            change.accept(j);
        };
        if (Ahead.isAsked()) {
            Job copy = jobs.get(job.id());
            whole.accept(copy);
            copy.suppose();
            Answer after = of(copy);
            events.publishEvent(new PlannedAhead(after, copy));
            throw new Supposed(changed(before, copy, after));
        }
        return changed(before, jobs.change(job.id(), whole));
    }

    private Changed changed(Optional<Plan> before, Job stored) {
        Answer after = of(stored);
        if (!after.plan().map(Plan::schedule).equals(before.map(Plan::schedule))) {
            events.publishEvent(new Replanned(stored, after));
        }
        return changed(before, stored, after);
    }

    private static Changed changed(Optional<Plan> before, Job job, Answer after) {
        return new Changed(job, Words.changed(before, after.plan(), job.kept().wasPlanned()));
    }

    /** Changes the look of a job and keeps the one before, with its order, so that the change can be taken back. */
    public Changed changeLook(Job job, UnaryOperator<Look> change) {
        String order = order(of(job));
        return change(job, j -> set(j, change.apply(j.look()), order));
    }

    private void set(Job job, Look look, String order) {
        if (!look.equals(job.look())) {
            job.kept().keepLook(snapshots.write(job.look()), order);
            job.setLook(look);
        }
    }

    private String order(Answer answer) {
        return answer.plan().map(p -> snapshots.write(p.schedule())).orElse("");
    }

    /** Takes the last change of the look back: the look before it, in the order it had then. */
    public Changed takeBack(Job job) {
        Optional<Look> before = lookBefore(job);
        if (before.isEmpty()) {
            return new Changed(job, Words.changed(of(job).plan(), of(job).plan(), true));
        }
        String order = order(of(job));
        Optional<Plan> now = of(job).plan();
        Job stored = jobs.change(job.id(), j -> {
            String then = j.kept().lookOrder();
            j.kept().keepLook(snapshots.write(j.look()), order);
            j.setLook(before.get());
            j.kept().keepOrder(then, j.kept().orderProof());
        });
        return changed(now, stored);
    }

    /** Changes look and brief together, as a lever does. */
    public Changed pull(Job job, Look look, Brief brief) {
        String order = order(of(job));
        return change(job, j -> {
            set(j, look, order);
            j.describe(j.title(), j.production(), j.idea(), brief);
        });
    }

    /** Whether the last change of the look can be taken back. */
    public boolean canTakeBack(Job job) {
        return !job.kept().look().isEmpty();
    }

    /** The look before its last change. */
    public Optional<Look> lookBefore(Job job) {
        return snapshots.lookIfRead(job.kept().look());
    }

    /** What would make layers hold. */
    public Mending mending() {
        return mending;
    }

    /** Adds a job whose look is there already, with an order that was looked for more thoroughly than a press allows. */
    public Job add(Job job) {
        return add(job, Optional.empty());
    }

    /** The same with an order that came along; it is taken where it fits and none that is found is shorter. */
    public Job add(Job job, Optional<Schedule> order) {
        if (thorough.asFarAsCanBe(job.look(), job.brief(), order, "").planning() instanceof Planning.Done done) {
            job.kept().keepOrder(snapshots.write(calmer.signed(done.plan(), job.look())), "");
        }
        return jobs.add(job);
    }

    /** A changed job, and what the change did to the plan, in words. */
    public record Changed(Job job, String said) {}

    /** A plan of as much of the job's look as is planned, under another brief, near the order of the job's own plan. */
    public Planning near(Job job, Brief brief) {
        Answer answer = of(job);
        return pressed.plan(answer.look(), brief, answer.plan().map(Plan::schedule));
    }

    /** The plan a stored schedule belonged to; planned anew where the trade's data have changed since. */
    public Planning restored(Look look, Brief brief, Schedule stored) {
        return full.restore(look, brief, stored)
                .<Planning>map(Planning.Done::new)
                .orElseGet(() -> full.plan(look, brief, Optional.of(stored)));
    }

    /** A plan of a look that is no job's own. */
    public Planning fresh(Look look, Brief brief) {
        return full.plan(look, brief);
    }

    /** A rough plan, for comparing choices with one another; only ever compared with another rough one. */
    public Planning rough(Look look, Brief brief) {
        return rough.plan(look, brief);
    }

    /** Tries changes of a job's look on a copy, with every rule, before they are offered. */
    public Trials trials(Job job) {
        return trials.get(of(job), a -> trials(job.look(), job));
    }

    /** The same for another look of the job. */
    public Trials trials(Look look, Job job) {
        return new Trials(glance, look, job.brief(), of(job).plan().map(Plan::schedule));
    }

    /** How a look can do without a material. */
    public Substitutes substitutes() {
        return substitutes;
    }

    /** What would still buy time in the middle of a run. */
    public RunLevers runLevers() {
        return runLevers;
    }

    /** A planner that takes its time, for looking back. */
    public LookPlanner patient() {
        return thorough;
    }

    /** The planner for what is left of a run. */
    public LookPlanner live() {
        return live;
    }
}
