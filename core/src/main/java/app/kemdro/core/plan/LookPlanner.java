package app.kemdro.core.plan;

import app.kemdro.core.layer.LayerRules;
import app.kemdro.core.layer.Stack;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.core.method.Trade;
import app.kemdro.core.schedule.Outcome;
import app.kemdro.core.schedule.Planner;
import app.kemdro.core.schedule.Progress;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduleCheck;
import app.kemdro.core.schedule.SenseWeights;
import app.kemdro.core.schedule.TaskNetwork;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** From a look and its brief to an order of work: the one way in. */
public final class LookPlanner {
    /** A look of more entries than this is not planned for one chair. */
    public static final int MOST_ENTRIES = 200;

    /** How long work would last is only said about. */
    private static final int ROUGH = 40;

    private final Trade trade;
    private final LayerRules rules;
    private final Planner planner;
    private final Drafts drafts;
    private final PlanNotes notes;
    private final KeptPlans kept;
    private final WhyNot whyNot;
    private final WishClash clash;
    private final IfTime ifTime;

    /** Plans with this trade; the planner says how hard it looks for better orders. */
    public LookPlanner(Trade trade, Planner planner) {
        this(trade, LayerRules.standard(trade), planner);
    }

    /** Plans with this trade and these rules of what holds on what. */
    public LookPlanner(Trade trade, LayerRules rules, Planner planner) {
        this.trade = trade;
        this.rules = rules;
        this.planner = planner.minding(SenseOfTrade.weights(trade));
        this.drafts = new Drafts(trade, rules);
        this.notes = new PlanNotes(trade);
        this.kept = new KeptPlans(this.planner, notes);
        this.whyNot = new WhyNot(Planner.trying(ROUGH));
        this.clash = new WishClash(trade, drafts);
        this.ifTime = new IfTime(trade, this);
    }

    /**
     * What lies on every zone of a look, without planning it.
     *
     * @return empty where the look cannot be planned as it is
     */
    public Map<String, Stack> stacks(Look look, Brief brief) {
        Draft draft = drafts.of(look, brief);
        return draft.problems().isEmpty() ? draft.stacks() : Map.of();
    }

    /** Plans a look, or says what stands in the way. An empty look is refused with the advice to begin. */
    public Planning plan(Look look, Brief brief) {
        return plan(look, brief, Optional.empty());
    }

    /**
     * Plans a look near an order that people have in mind.
     *
     * @param before a schedule of an earlier state of the look, whose steps may be others
     */
    public Planning plan(Look look, Brief brief, Optional<Schedule> before) {
        Planning all = whole(look, brief, before);
        if (look.ifTime().isEmpty()
                || all instanceof Planning.Done done && done.plan().inHand() >= 0) {
            return all;
        }
        Optional<Plan> late = all instanceof Planning.Done done
                ? Optional.of(ifTime.sooner(look, brief, done.plan()))
                : Optional.empty();
        return late.isEmpty() && !drafts.of(look, brief).problems().isEmpty()
                ? all
                : ifTime.without(look, brief, late)
                        .<Planning>map(Planning.Done::new)
                        .orElse(all);
    }

    /**
     * As much of a look as can be planned.
     *
     * @param look what is planned
     * @param aside what stands aside, and why; empty where all of the look is planned
     */
    public record AsFar(Planning planning, Look look, List<Problem> aside) {
        public AsFar {
            aside = List.copyOf(aside);
        }
    }

    /**
     * Plans what of a look can be planned: an entry that cannot be stands aside and says why, the latest first, until the rest can.
     * What concerns no entry, as hours that are too short, still stops all of it.
     *
     * @param before the order people have in mind, kept as {@link #keeping} keeps it
     * @param provenOf fingerprint of the network that its bound was proven for, or empty
     */
    public AsFar asFarAsCanBe(Look look, Brief brief, Optional<Schedule> before, String provenOf) {
        Look rest = look;
        List<Problem> aside = new ArrayList<>();
        while (true) {
            Look tried = rest;
            Planning planning =
                    before.map(order -> keeping(tried, brief, order, provenOf)).orElseGet(() -> plan(tried, brief));
            if (!(planning instanceof Planning.Refused refused)) {
                return new AsFar(planning, rest, aside);
            }
            List<Problem> ofEntries = refused.problems().stream()
                    .filter(p -> p.entries().stream().anyMatch(e -> isIn(tried, e)))
                    .toList();
            Set<String> going =
                    ofEntries.stream().map(p -> latest(p.entries(), tried)).collect(Collectors.toSet());
            Look less = rest.with(
                    rest.entries().stream().filter(e -> !going.contains(e.id())).toList());
            if (going.isEmpty() || less.entries().isEmpty()) {
                return new AsFar(
                        aside.isEmpty() ? planning : new Planning.Refused(all(aside, refused)), look, List.of());
            }
            ofEntries.stream().filter(p -> !aside.contains(p)).forEach(aside::add);
            rest = less;
        }
    }

    private static List<Problem> all(List<Problem> aside, Planning.Refused refused) {
        return Stream.concat(aside.stream(), refused.problems().stream())
                .distinct()
                .toList();
    }

    private static boolean isIn(Look look, String entry) {
        return look.entry(origin(entry)).isPresent();
    }

    /** The one of these that came into the look last. */
    private static String latest(List<String> entries, Look look) {
        List<String> order = look.entries().stream().map(e -> e.id()).toList();
        return entries.stream()
                .map(LookPlanner::origin)
                .max(Comparator.comparingInt(order::indexOf))
                .orElseThrow();
    }

    /** The entry of the look that a part of the work belongs to. */
    static String origin(String part) {
        int cut = part.indexOf('~');
        return cut < 0 ? part : part.substring(0, cut);
    }

    Planning whole(Look look, Brief brief, Optional<Schedule> before) {
        Planning planning = asWishedOrLookedForHarder(look, brief, before);
        return planning instanceof Planning.Refused refused
                ? clash.named(refused, look, brief, l -> schedule(drafts.of(l, brief), Optional.empty()))
                : planning;
    }

    /** That there is no order at all is said only after a harder look. */
    private Planning asWishedOrLookedForHarder(Look look, Brief brief, Optional<Schedule> before) {
        Draft draft = drafts.of(look, brief);
        Planning quick = schedule(draft, before);
        return quick instanceof Planning.Refused && draft.problems().isEmpty()
                ? harder().schedule(draft, before)
                : quick;
    }

    LookPlanner harder() {
        return new LookPlanner(trade, rules, planner.harder());
    }

    Planning asWished(Look look, Brief brief, Optional<Schedule> before) {
        return schedule(drafts.of(look, brief), before);
    }

    /**
     * The plan that a stored schedule belonged to, without planning again.
     *
     * @return empty when the look no longer has just the steps of the schedule, as after a change of the trade's data
     */
    public Optional<Plan> restore(Look look, Brief brief, Schedule stored) {
        return kept.restore(drafts.of(look, brief), stored);
    }

    /**
     * Plans a look near the order people have in mind; that order stays as long as it is sound and none that is found from it
     * is shorter.
     *
     * @param before that order, whose steps may be others
     * @param provenOf fingerprint of the network that its bound was proven for; empty where it was not
     */
    public Planning keeping(Look look, Brief brief, Schedule before, String provenOf) {
        Planning kept = keepingWhole(look, brief, before, provenOf);
        if (look.ifTime().isEmpty()
                || kept instanceof Planning.Done done && done.plan().inHand() >= 0) {
            return kept;
        }
        if (!(plan(look, brief, Optional.of(before)) instanceof Planning.Done less)) {
            return kept;
        }
        Look rest = look.with(less.plan().carriedOut(look).entries());
        return keepingWhole(rest, brief, before, provenOf) instanceof Planning.Done near
                ? new Planning.Done(ifTime.leaving(less.plan().left(), near.plan(), look))
                : less;
    }

    private Planning keepingWhole(Look look, Brief brief, Schedule before, String provenOf) {
        Draft draft = drafts.of(look, brief);
        Planning anew = schedule(draft, Optional.of(before));
        Optional<Plan> same = kept.keep(draft, before, provenOf);
        if (anew instanceof Planning.Done done) {
            boolean shorter = same.isPresent()
                    && done.plan().schedule().ready() < same.get().schedule().ready() - Planner.WORTH_ANOTHER;
            return same.isPresent() && !shorter ? new Planning.Done(same.get()) : anew;
        }
        // an order that keeps every wish stays, though no other that does was found this time
        return same.<Planning>map(Planning.Done::new).orElseGet(() -> whole(look, brief, Optional.of(before)));
    }

    private Planning schedule(Draft draft, Optional<Schedule> before) {
        if (!draft.problems().isEmpty()) {
            return new Planning.Refused(draft.problems());
        }
        Brief brief = draft.brief();
        TaskNetwork always = draft.network(
                h -> Draft.worker(h, 0, Draft.A_DAY), draft.wishes().handsOnly());
        Optional<Outcome> free = brief.chairIn().isPresent()
                ? Optional.empty()
                : Optional.of(allowing(brief).plan(always, Progress.NOTHING, before));
        LocalDateTime chairIn = brief.chairIn()
                .orElseGet(() -> free.get() instanceof Outcome.Planned p
                        ? KeptPlans.sitsDown(brief, p.schedule().ready())
                        : brief.call().minusHours(4));
        TaskNetwork network = draft.network(chairIn);
        Outcome outcome = hoursFit(free, network) && !draft.wishes().timed()
                ? free.orElseThrow()
                : allowing(brief).plan(network, Progress.NOTHING, before);
        Outcome best = outcome instanceof Outcome.NoHands && !network.isShortOfHands()
                ? asIfTheyStayed(draft, network, chairIn, before).orElse(outcome)
                : outcome;
        return best instanceof Outcome.Planned p
                ? new Planning.Done(notes.plan(draft, network, chairIn, p.schedule()))
                : new Planning.Refused(List.of(whyNot.of(best, draft, network, chairIn)));
    }

    /** An order may be ready a little later where the artist allows it for a calmer one. */
    private Planner allowing(Brief brief) {
        return planner.allowing(brief.allowed().minutes() * 60);
    }

    /** Where hands go home too soon, an order that is short because nobody goes, and done by the time they do. */
    private Optional<Outcome> asIfTheyStayed(
            Draft draft, TaskNetwork network, LocalDateTime chairIn, Optional<Schedule> before) {
        TaskNetwork open = draft.network(
                h -> Draft.worker(h, Draft.worker(h, chairIn).from(), Draft.A_DAY),
                draft.wishes().pins(chairIn));
        return Optional.of(allowing(draft.brief()).plan(open, Progress.NOTHING, before))
                .filter(o -> o instanceof Outcome.Planned p
                        && ScheduleCheck.problems(network, p.schedule()).isEmpty());
    }

    /** Whether a plan made without regard to hours keeps them anyway. */
    private static boolean hoursFit(Optional<Outcome> free, TaskNetwork network) {
        return free.isPresent()
                && free.get() instanceof Outcome.Planned p
                && p.schedule().placed().stream()
                        .allMatch(t -> network.workers().stream()
                                .filter(w -> t.takes(w.id()))
                                .allMatch(w -> t.start() >= w.from() && t.end() <= w.until()));
    }

    /**
     * What is carried out now: the look and brief as events have left them, with the work that came in on the way. Its
     * schedule is the one given, which may not have all of the steps; plan the rest again.
     *
     * @return the plan, or why the look cannot be worked on like this
     */
    public Planning underWay(Look look, Brief brief, LocalDateTime chairIn, List<Extra> extras, Schedule planned) {
        // a brief was checked before the run began; since then hands may have left that it could not begin without
        Draft draft = drafts.of(look, brief, List.of());
        if (!draft.problems().isEmpty()) {
            return new Planning.Refused(draft.problems());
        }
        UnderWay work = new UnderWay(
                trade,
                new PuttingRight(trade, rules),
                draft.stacks(),
                brief.performer().reactsTo(),
                new Expansion(trade, brief, draft.composition()),
                draft.steps(),
                draft.lags());
        extras.forEach(work::add);
        TaskNetwork plain = draft.network(chairIn);
        return new Planning.Done(new Plan(
                work.steps(),
                new TaskNetwork(
                        work.tasks(), work.lags(), plain.workers(), plain.tools(), plain.breaks(), plain.pins()),
                planned,
                chairIn,
                brief,
                List.of(),
                draft.stacks(),
                List.of()));
    }

    /**
     * Another order of the same work that makes more sense by these weights.
     *
     * @param minutes so much later than it could be it may be ready
     */
    public Optional<Schedule> calmer(Plan plan, SenseWeights weights, int minutes) {
        return planner.minding(weights).allowing(minutes * 60).anew(plan.network(), plan.schedule())
                        instanceof Outcome.Planned p
                ? Optional.of(p.schedule())
                : Optional.empty();
    }

    /** How something that went wrong is put right, by the same trade and rules. */
    public PuttingRight puttingRight() {
        return new PuttingRight(trade, rules);
    }

    /** Plans on where nothing has changed but the time; what goes as it was thought is kept as it is. */
    public Outcome follow(Plan plan, Progress progress, Schedule before) {
        return allowing(plan.brief()).follow(plan.network(), progress, before);
    }

    /** The order people have in mind, moved to where it falls now; empty where it cannot go on like that. */
    public Optional<Schedule> drift(Plan plan, Progress progress, Schedule before) {
        return planner.drift(plan.network(), progress, before);
    }

    /** Plans again from the middle, close to the order people have in mind. */
    public Outcome again(Plan plan, Progress progress, Schedule before) {
        return allowing(plan.brief()).plan(plan.network(), progress, Optional.of(before));
    }
}
