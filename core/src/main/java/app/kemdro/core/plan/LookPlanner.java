package app.kemdro.core.plan;

import app.kemdro.core.layer.LayerRules;
import app.kemdro.core.layer.Stack;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Hands;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.Wish;
import app.kemdro.core.method.StepTemplate;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Expansion.Expanded;
import app.kemdro.core.schedule.BreakRule;
import app.kemdro.core.schedule.Lag;
import app.kemdro.core.schedule.Outcome;
import app.kemdro.core.schedule.Pin;
import app.kemdro.core.schedule.Planner;
import app.kemdro.core.schedule.Progress;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduleCheck;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.core.schedule.Task;
import app.kemdro.core.schedule.TaskNetwork;
import app.kemdro.core.schedule.Unbroken;
import app.kemdro.core.schedule.Worker;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** From a look and its brief to an order of work: the one way in. */
public final class LookPlanner {
    /** A look of more entries than this is not planned for one chair. */
    public static final int MOST_ENTRIES = 200;

    /** A ring of more steps than this is said with its middle left out. */
    private static final int MOST_NAMED = 5;

    /** By how many times five minutes an order that is kept may begin earlier, for wishes that name a time of day. */
    private static final int KEPT_EARLIER = 6;

    private static final int A_DAY = 24 * 3600;

    private final Trade trade;
    private final LayerRules rules;
    private final Planner planner;

    /** Plans with this trade; the planner says how hard it looks for better orders. */
    public LookPlanner(Trade trade, Planner planner) {
        this(trade, LayerRules.standard(trade), planner);
    }

    /** Plans with this trade and these rules of what holds on what. */
    public LookPlanner(Trade trade, LayerRules rules, Planner planner) {
        this.trade = trade;
        this.rules = rules;
        this.planner = planner;
    }

    /**
     * What lies on every zone of a look, without planning it.
     *
     * @return empty where the look cannot be planned as it is
     */
    public Map<String, Stack> stacks(Look look, Brief brief) {
        Draft draft = draft(look, brief);
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
        Optional<Plan> late =
                all instanceof Planning.Done done ? Optional.of(sooner(look, brief, done.plan())) : Optional.empty();
        return late.isEmpty() && !draft(look, brief).problems().isEmpty()
                ? all
                : inTime(look, brief, late).<Planning>map(Planning.Done::new).orElse(all);
    }

    /** That there is no time for something is said only after a harder look, where the bound leaves any hope. */
    private Plan sooner(Look look, Brief brief, Plan late) {
        Schedule order = late.schedule();
        boolean hope = late.inHand() + order.ready() - order.leastReady() >= 0;
        return late.inHand() < 0
                        && hope
                        && harder().asWished(look, brief, Optional.of(order)) instanceof Planning.Done done
                        && done.plan().inHand() > late.inHand()
                ? done.plan()
                : late;
    }

    /**
     * Leaves out what is to be done only if there is time, until the call is kept or nothing more may go: as little as
     * possible, and first the one whose going is enough; where none is enough, the one that saves most.
     *
     * @param late the plan with all of it; empty where the hours are too short even to be late
     */
    private Optional<Plan> inTime(Look look, Brief brief, Optional<Plan> late) {
        Optional<Plan> best = late;
        Look less = look;
        List<String> out = new ArrayList<>();
        while (best.filter(p -> p.inHand() >= 0).isEmpty()
                && !less.ifTime().isEmpty()
                && less.entries().size() > 1) {
            Look from = less;
            Optional<Tried> tried = less.ifTime().stream()
                    .flatMap(id -> tried(from, brief, id).stream())
                    .min(Comparator.comparing((Tried t) -> t.plan().inHand() < 0)
                            .thenComparing(t -> Math.abs(t.plan().inHand())));
            if (tried.isEmpty() && best.isPresent()) {
                break;
            }
            String going = tried.map(Tried::entry)
                    .orElse(less.ifTime().get(less.ifTime().size() - 1));
            out.add(going);
            less = less.without(going);
            Look rest = less;
            best = tried.map(t -> sooner(rest, brief, t.plan()));
        }
        return best.map(plan -> leaving(out, plan, look));
    }

    /** The plan of what is left of a look, saying what is left out. */
    private Plan leaving(List<String> out, Plan rest, Look look) {
        return rest.leaving(
                out,
                out.stream()
                        .map(id -> Problem.note(
                                "There is no time for " + Wishes.say(id, look, trade) + ". It is left out.",
                                "Sit the performer down sooner, or drop the wish in Order if it must be done.",
                                look.entry(id).orElseThrow().zones()))
                        .toList());
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

    private record Tried(String entry, Plan plan) {}

    private Optional<Tried> tried(Look look, Brief brief, String entry) {
        return whole(look.without(entry), brief, Optional.empty()) instanceof Planning.Done done
                ? Optional.of(new Tried(entry, done.plan()))
                : Optional.empty();
    }

    private Planning whole(Look look, Brief brief, Optional<Schedule> before) {
        Planning planning = asWishedOrLookedForHarder(look, brief, before);
        return planning instanceof Planning.Refused refused && !look.wishes().isEmpty()
                ? clash(look, brief)
                        .<Planning>map(w -> clashing(w, look, brief))
                        .orElse(refused)
                : planning;
    }

    /** That there is no order at all is said only after a harder look. */
    private Planning asWishedOrLookedForHarder(Look look, Brief brief, Optional<Schedule> before) {
        Draft draft = draft(look, brief);
        Planning quick = schedule(draft, before);
        return quick instanceof Planning.Refused && draft.problems().isEmpty()
                ? harder().schedule(draft, before)
                : quick;
    }

    private LookPlanner harder() {
        return new LookPlanner(trade, rules, planner.harder());
    }

    private Planning asWished(Look look, Brief brief, Optional<Schedule> before) {
        return schedule(draft(look, brief), before);
    }

    /**
     * The smallest set of wishes that cannot all be kept: each is left out in turn, and stays out where the rest still
     * cannot be kept without it.
     *
     * @return empty where it cannot be planned without any wish either
     */
    private Optional<List<Wish>> clash(Look look, Brief brief) {
        if (!(asWished(look.wishing(List.of()), brief, Optional.empty()) instanceof Planning.Done)) {
            return Optional.empty();
        }
        List<Wish> clash = new ArrayList<>(look.wishes());
        for (Wish wish : look.wishes()) {
            List<Wish> without = clash.stream().filter(w -> !w.equals(wish)).toList();
            if (asWished(look.wishing(without), brief, Optional.empty()) instanceof Planning.Refused) {
                clash.remove(wish);
            }
        }
        return Optional.of(clash);
    }

    private Planning clashing(List<Wish> clash, Look look, Brief brief) {
        Draft free = draft(look.wishing(List.of()), brief);
        List<PlannedStep> steps = free.steps().stream().map(Expanded::step).toList();
        String said = clash.stream()
                .map(w -> Wishes.say(w, look, steps, brief, trade))
                .collect(Collectors.joining("; "));
        String why = asWished(look.wishing(clash), brief, Optional.empty()) instanceof Planning.Refused r
                ? " " + r.problems().get(0).what()
                : "";
        Problem problem = clash.size() == 1
                ? Problem.stop(
                        "This wish cannot be kept: " + said + "." + why,
                        "Drop it, or wish for another time or other hands.")
                : Problem.stop(
                        "These wishes cannot all be kept: " + said + "." + why, "Drop one of them; any one will do.");
        return new Planning.Refused(List.of(problem), clash);
    }

    /**
     * The plan that a stored schedule belonged to, without planning again.
     *
     * @return empty when the look no longer has just the steps of the schedule, as after a change of the trade's data
     */
    public Optional<Plan> restore(Look look, Brief brief, Schedule stored) {
        Draft draft = draft(look, brief);
        LocalDateTime chairIn = brief.chairIn().orElse(brief.call());
        if (!hasTheSteps(draft, stored)) {
            return Optional.empty();
        }
        return Optional.of(done(draft, network(draft, chairIn), chairIn, stored));
    }

    private static boolean hasTheSteps(Draft draft, Schedule order) {
        Set<String> steps = draft.steps().stream().map(e -> e.step().id()).collect(Collectors.toSet());
        Set<String> placed = order.placed().stream().map(ScheduledTask::task).collect(Collectors.toSet());
        return draft.problems().isEmpty() && steps.equals(placed);
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
                ? new Planning.Done(leaving(less.plan().left(), near.plan(), look))
                : less;
    }

    private Planning keepingWhole(Look look, Brief brief, Schedule before, String provenOf) {
        Draft draft = draft(look, brief);
        Planning anew = schedule(draft, Optional.of(before));
        Optional<Plan> kept = keep(draft, before, provenOf);
        if (anew instanceof Planning.Done done) {
            boolean shorter = kept.isPresent()
                    && done.plan().schedule().ready() < kept.get().schedule().ready();
            return kept.isPresent() && !shorter ? new Planning.Done(kept.get()) : anew;
        }
        // an order that keeps every wish stays, though no other that does was found this time
        return kept.<Planning>map(Planning.Done::new).orElseGet(() -> whole(look, brief, Optional.of(before)));
    }

    /** The plan that has this order, if the order is still sound for the look and the brief as they are now. */
    private Optional<Plan> keep(Draft draft, Schedule known, String provenOf) {
        if (!hasTheSteps(draft, known)) {
            return Optional.empty();
        }
        return chairIns(draft, known)
                .flatMap(at -> keep(draft, at, known, provenOf).stream())
                .findFirst();
    }

    /** When the performer sits down for so many seconds: as late as the call allows, and never before any hands are there. */
    private static LocalDateTime sitsDown(Brief brief, int ready) {
        LocalDateTime asCalled = FiveMinutes.before(brief.call().minusSeconds(ready));
        return brief.crew().stream()
                .map(Hands::from)
                .min(Comparator.naturalOrder())
                .filter(asCalled::isBefore)
                .orElse(asCalled);
    }

    /**
     * When the performer may sit down for an order that is kept: as late as the call allows, or somewhat sooner, for wishes that name
     * a time of day; and where hands come so late, or something must wait so long, that the call is not kept, as soon as that makes it
     * possible.
     */
    private static Stream<LocalDateTime> chairIns(Draft draft, Schedule known) {
        Brief brief = draft.brief();
        if (brief.chairIn().isPresent()) {
            return brief.chairIn().stream();
        }
        LocalDateTime asCalled = sitsDown(brief, known.ready());
        Stream<LocalDateTime> asHandsCome = brief.crew().stream()
                .flatMap(h -> known.placed().stream()
                        .filter(p -> p.takes(h.name()))
                        .findFirst()
                        .map(first -> h.from().minusSeconds(first.start()))
                        .stream());
        Stream<LocalDateTime> late = Stream.concat(asHandsCome, draft.wishes().soonest(known))
                .max(Comparator.naturalOrder())
                .filter(asCalled::isBefore)
                .stream();
        return Stream.concat(IntStream.rangeClosed(0, KEPT_EARLIER).mapToObj(n -> asCalled.minusMinutes(5L * n)), late);
    }

    private Optional<Plan> keep(Draft draft, LocalDateTime chairIn, Schedule known, String provenOf) {
        TaskNetwork network = network(draft, chairIn);
        Schedule order = known.in(network);
        if (!ScheduleCheck.problems(network, order).isEmpty()) {
            return Optional.empty();
        }
        int least = network.fingerprint().equals(provenOf) ? order.leastReady() : planner.least(network);
        Schedule kept = new Schedule(order.placed(), order.rests(), order.ready(), Math.min(order.ready(), least));
        return Optional.of(done(draft, network, chairIn, kept));
    }

    /** A look turned into steps, before any of them has a time. */
    private record Draft(
            Brief brief,
            Composition composition,
            List<Expanded> steps,
            List<Lag> lags,
            Wishes wishes,
            Map<String, Stack> stacks,
            List<Problem> problems) {}

    private Draft draft(Look look, Brief brief) {
        return draft(look, brief, BriefCheck.problems(brief));
    }

    private Draft draft(Look look, Brief brief, List<Problem> known) {
        List<Problem> problems = new ArrayList<>(known);
        if (problems.isEmpty() && look.entries().isEmpty()) {
            problems.add(Problem.stop(
                    "Nothing happens on the body yet.", "Press a zone of the figure and say what happens there."));
        }
        if (look.entries().size() > MOST_ENTRIES) {
            problems.add(Problem.stop(
                    "This look has %d entries; %d is the most that is planned for one chair."
                            .formatted(look.entries().size(), MOST_ENTRIES),
                    "Split it into several jobs."));
        }
        Composition composition = new Composition(problems.isEmpty() ? look : Look.EMPTY, brief, trade);
        problems.addAll(composition.problems());
        List<Expanded> steps = problems.isEmpty() ? expand(composition, brief, problems) : List.of();
        List<Lag> lags = problems.isEmpty() ? new Precedence(trade, composition, steps).lags() : List.of();
        Wishes wishes =
                new Wishes(look.wishes(), steps.stream().map(Expanded::step).toList(), brief);
        problems.addAll(wishes.problems(steps));
        lags = Stream.concat(lags.stream(), wishes.lags().stream()).toList();
        Map<String, Stack> stacks = problems.isEmpty() ? Layering.of(steps, lags, brief, trade, rules) : Map.of();
        return new Draft(brief, composition, steps, lags, wishes, stacks, problems);
    }

    private List<Expanded> expand(Composition composition, Brief brief, List<Problem> problems) {
        Expansion expansion = new Expansion(trade, brief, composition);
        List<Expanded> steps = new ArrayList<>();
        for (Composition.Entry entry : composition.entries()) {
            try {
                steps.addAll(expansion.expand(entry));
            } catch (NeverDry never) {
                problems.add(Problem.stop(
                        "%s never dries at %.0f °C and %.0f %% humidity."
                                .formatted(
                                        never.getMessage(),
                                        brief.room().temperatureC(),
                                        brief.room().humidityPercent()),
                        "Dry the air, warm the room or bring a dryer.",
                        entry.zones(),
                        List.of(entry.origin())));
            }
        }
        return steps;
    }

    private Planning schedule(Draft draft, Optional<Schedule> before) {
        if (!draft.problems().isEmpty()) {
            return new Planning.Refused(draft.problems());
        }
        Brief brief = draft.brief();
        TaskNetwork always =
                network(draft, h -> worker(h, 0, A_DAY), draft.wishes().handsOnly());
        Optional<Outcome> free = brief.chairIn().isPresent()
                ? Optional.empty()
                : Optional.of(planner.plan(always, Progress.NOTHING, before));
        LocalDateTime chairIn = brief.chairIn()
                .orElseGet(() -> free.get() instanceof Outcome.Planned p
                        ? sitsDown(brief, p.schedule().ready())
                        : brief.call().minusHours(4));
        TaskNetwork network = network(draft, chairIn);
        Outcome outcome = hoursFit(free, network) && !draft.wishes().timed()
                ? free.orElseThrow()
                : planner.plan(network, Progress.NOTHING, before);
        return answer(
                draft,
                network,
                chairIn,
                outcome instanceof Outcome.NoHands
                        ? asIfTheyStayed(draft, network, chairIn, before).orElse(outcome)
                        : outcome);
    }

    /** Where hands go home too soon, an order that is short because nobody goes, and done by the time they do. */
    private Optional<Outcome> asIfTheyStayed(
            Draft draft, TaskNetwork network, LocalDateTime chairIn, Optional<Schedule> before) {
        TaskNetwork open = network(
                draft,
                h -> worker(h, worker(h, chairIn).from(), A_DAY),
                draft.wishes().pins(chairIn));
        return Optional.of(planner.plan(open, Progress.NOTHING, before))
                .filter(o -> o instanceof Outcome.Planned p
                        && ScheduleCheck.problems(network, p.schedule()).isEmpty());
    }

    private TaskNetwork network(Draft draft, LocalDateTime chairIn) {
        return network(draft, h -> worker(h, chairIn), draft.wishes().pins(chairIn));
    }

    private TaskNetwork network(Draft draft, Function<Hands, Worker> worker, List<Pin> pins) {
        List<Task> tasks = draft.steps().stream().map(Expanded::task).toList();
        List<Worker> workers = draft.brief().crew().stream().map(worker).toList();
        return new TaskNetwork(
                tasks,
                draft.lags(),
                workers,
                draft.brief().room().dryers(),
                rule(draft.brief().breaks()).around(tasks, draft.lags(), workers),
                pins);
    }

    private static BreakRule rule(Brief.Breaks breaks) {
        return new BreakRule(breaks.every() * 60, breaks.minutes() * 60, breaks.meal() * 60);
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

    private static Worker worker(Hands hands, int from, int until) {
        return new Worker(hands.name(), hands.skill() == Brief.Skill.LEAD, hands.pace(), from, until);
    }

    private static Worker worker(Hands hands, LocalDateTime chairIn) {
        return worker(hands, (int) Math.max(0, seconds(chairIn, hands.from())), (int) seconds(chairIn, hands.until()));
    }

    private static long seconds(LocalDateTime from, LocalDateTime to) {
        return Math.max(-A_DAY, Math.min(2L * A_DAY, Duration.between(from, to).getSeconds()));
    }

    private Planning answer(Draft draft, TaskNetwork network, LocalDateTime chairIn, Outcome outcome) {
        List<PlannedStep> planned = draft.steps().stream().map(Expanded::step).toList();
        if (outcome instanceof Outcome.Planned p) {
            return new Planning.Done(done(draft, network, chairIn, p.schedule()));
        }
        if (outcome instanceof Outcome.Ring ring) {
            return new Planning.Refused(List.of(ringProblem(ring.tasks(), draft)));
        }
        if (outcome instanceof Outcome.NoHands none) {
            return new Planning.Refused(List.of(handsProblem(none.task(), planned, network, draft.brief(), chairIn)));
        }
        if (outcome instanceof Outcome.TooLate late) {
            return new Planning.Refused(List.of(tooLate(late, planned)));
        }
        String task = ((Outcome.NoWindow) outcome).task();
        return new Planning.Refused(List.of(Problem.stop(
                "\"" + title(task, planned) + "\" cannot be begun before its window closes.",
                "Choose a slower adhesive or another school there, or put another pair of hands on the crew.",
                List.of(),
                entriesOf(List.of(task), draft))));
    }

    /** Entries of the look that these steps belong to. */
    private static List<String> entriesOf(List<String> steps, Draft draft) {
        return draft.steps().stream()
                .filter(e -> steps.contains(e.step().id()) && !e.step().implied())
                .map(e -> e.step().entryId())
                .distinct()
                .toList();
    }

    private Plan done(Draft draft, TaskNetwork network, LocalDateTime chairIn, Schedule schedule) {
        return new Plan(
                draft.steps().stream().map(Expanded::step).toList(),
                network,
                schedule,
                chairIn,
                draft.brief(),
                Stream.of(
                                notes(draft.composition(), draft.brief()),
                                draft.wishes().notes(),
                                sections(draft),
                                worksThrough(draft, network))
                        .flatMap(List::stream)
                        .toList(),
                draft.stacks(),
                List.of());
    }

    /** Work in one go that takes longer than anybody wants to work without a break, each piece at the step that ends it. */
    private static List<Problem> worksThrough(Draft draft, TaskNetwork network) {
        BreakRule wished = rule(draft.brief().breaks());
        if (network.breaks().every() == wished.every()) {
            return List.of();
        }
        Map<String, Integer> inOneGo =
                Unbroken.seconds(network.tasks(), network.lags(), network.workers(), wished.length());
        return draft.steps().stream()
                .filter(e -> inOneGo.get(e.task().id()) > wished.every())
                .map(e -> worksThrough(e, inOneGo.get(e.task().id()), wished.every()))
                .toList();
    }

    private static Problem worksThrough(Expanded step, int seconds, int every) {
        boolean alone = step.task().work() > every;
        return Problem.note(
                "“%s” %s %d min in one go, longer than the %d min after which there should be a break."
                        .formatted(
                                step.step().titleWithPlace(),
                                alone ? "takes" : "and what leaves no time before it take",
                                seconds / 60,
                                every / 60),
                "Breaks fall before and after it. Divide it over several entries, or rest in the middle of it.",
                step.step().zones());
    }

    /** Steps whose film closes before all of it is laid. */
    private static List<Problem> sections(Draft draft) {
        List<Problem> notes = new ArrayList<>();
        for (Expanded step : draft.steps()) {
            if (step.sections() > 1) {
                notes.add(Problem.note(
                        "“%s” closes before all of it is laid."
                                .formatted(step.step().titleWithPlace()),
                        "Lay and work it in %d sections, each while it is open.".formatted(step.sections()),
                        step.step().zones()));
            }
        }
        return notes;
    }

    private static Problem tooLate(Outcome.TooLate late, List<PlannedStep> steps) {
        return Problem.stop(
                "\"%s\" cannot be begun before %d min after that, as far as was found."
                        .formatted(title(late.task(), steps), (late.seconds() + 59) / 60),
                "Wish for a later time, or sit the performer down sooner.");
    }

    private static Problem ringProblem(List<String> ring, Draft draft) {
        List<PlannedStep> steps = draft.steps().stream().map(Expanded::step).toList();
        List<String> titles =
                new ArrayList<>(ring.stream().map(id -> title(id, steps)).toList());
        if (titles.size() > MOST_NAMED) {
            List<String> between = titles.subList(2, titles.size() - 1);
            String more = between.size() + " more";
            between.clear();
            titles.add(2, more);
        }
        return Problem.stop(
                "These wait for one another: " + String.join(" → ", titles) + " → " + titles.get(0) + ".",
                "Take one of them out of the look or choose another technique for it.",
                List.of(),
                entriesOf(ring, draft));
    }

    private Problem handsProblem(
            String task, List<PlannedStep> steps, TaskNetwork network, Brief brief, LocalDateTime chairIn) {
        TaskNetwork always = new TaskNetwork(
                network.tasks(),
                network.lags(),
                network.workers().stream()
                        .map(w -> new Worker(w.id(), w.lead(), w.pace(), Math.max(0, w.from()), Integer.MAX_VALUE / 4))
                        .toList(),
                network.tools(),
                network.breaks(),
                network.pins());
        LocalDateTime until = planner.plan(always) instanceof Outcome.Planned p
                ? chairIn.plusSeconds(p.schedule().ready())
                : brief.call();
        return BriefCheck.tooShort(brief, until, title(task, steps), network.isShortOfHands());
    }

    private static String title(String task, List<PlannedStep> steps) {
        return steps.stream()
                .filter(s -> s.id().equals(task))
                .map(PlannedStep::titleWithPlace)
                .findFirst()
                .orElse(task);
    }

    private List<Problem> notes(Composition composition, Brief brief) {
        List<Problem> notes = new ArrayList<>(composition.notes());
        if (brief.selfApplied()) {
            notes.addAll(needingHelp(composition));
            List<String> blind = composition.entries().stream()
                    .flatMap(e -> e.reach().stream())
                    .filter(z -> trade.body().zone(z).blindInMirror())
                    .distinct()
                    .toList();
            if (!blind.isEmpty()) {
                notes.add(Problem.note(
                        "Alone in the mirror " + trade.body().say(blind)
                                + " is reached blind; nobody gets a tight seal there.",
                        "Plan a clip, a second mirror, or help.",
                        blind));
            }
        }
        return notes;
    }

    /** Steps that nobody does well on their own face. */
    private static List<Problem> needingHelp(Composition composition) {
        List<Problem> notes = new ArrayList<>();
        for (Composition.Entry entry : composition.entries()) {
            entry.technique().steps().stream()
                    .filter(s -> s.alone() == StepTemplate.Alone.HELP)
                    .findFirst()
                    .ifPresent(s -> notes.add(Problem.note(
                            "\"%s\" is hardly done alone: %s."
                                    .formatted(
                                            entry.technique().name(), s.name().toLowerCase(Locale.ROOT)),
                            "Plan a helper for it, or choose another school.",
                            entry.zones())));
        }
        return notes;
    }

    /**
     * What is carried out now: the look and brief as events have left them, with the work that came in on the way. Its
     * schedule is the one given, which may not have all of the steps; plan the rest again.
     *
     * @return the plan, or why the look cannot be worked on like this
     */
    public Planning underWay(Look look, Brief brief, LocalDateTime chairIn, List<Extra> extras, Schedule planned) {
        // a brief was checked before the run began; since then hands may have left that it could not begin without
        Draft draft = draft(look, brief, List.of());
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
        TaskNetwork plain = network(draft, chairIn);
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

    /** How something that went wrong is put right, by the same trade and rules. */
    public PuttingRight puttingRight() {
        return new PuttingRight(trade, rules);
    }

    /** Plans on where nothing has changed but the time; what goes as it was thought is kept as it is. */
    public Outcome follow(Plan plan, Progress progress, Schedule before) {
        return planner.follow(plan.network(), progress, before);
    }

    /** The order people have in mind, moved to where it falls now; empty where it cannot go on like that. */
    public Optional<Schedule> drift(Plan plan, Progress progress, Schedule before) {
        return planner.drift(plan.network(), progress, before);
    }

    /** Plans again from the middle, close to the order people have in mind. */
    public Outcome again(Plan plan, Progress progress, Schedule before) {
        return planner.plan(plan.network(), progress, Optional.of(before));
    }
}
