package app.kemdro.core.plan;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Hands;
import app.kemdro.core.look.Look;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Expansion.Expanded;
import app.kemdro.core.schedule.BreakRule;
import app.kemdro.core.schedule.Outcome;
import app.kemdro.core.schedule.Planner;
import app.kemdro.core.schedule.Progress;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.TaskNetwork;
import app.kemdro.core.schedule.Worker;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** From a look and its brief to an order of work: the one way in. */
public final class LookPlanner {
    private static final int A_DAY = 24 * 3600;

    private final Trade trade;
    private final Planner planner;

    /** Plans with this trade; the planner says how hard it looks for better orders. */
    public LookPlanner(Trade trade, Planner planner) {
        this.trade = trade;
        this.planner = planner;
    }

    /** Plans a look, or says what stands in the way. An empty look is refused with the advice to begin. */
    public Planning plan(Look look, Brief brief) {
        List<Problem> problems = new ArrayList<>(BriefCheck.problems(brief));
        if (!problems.isEmpty()) {
            return new Planning.Refused(problems);
        }
        if (look.entries().isEmpty()) {
            return new Planning.Refused(List.of(Problem.stop(
                    "Nothing happens on the body yet.", "Press a zone of the figure and say what happens there.")));
        }
        Composition composition = new Composition(look, brief, trade);
        if (!composition.problems().isEmpty()) {
            return new Planning.Refused(composition.problems());
        }
        List<Expanded> steps = expand(composition, brief, problems);
        if (!problems.isEmpty()) {
            return new Planning.Refused(problems);
        }
        return schedule(composition, steps, brief);
    }

    private List<Expanded> expand(Composition composition, Brief brief, List<Problem> problems) {
        Expansion expansion = new Expansion(trade, brief);
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
                        List.of(entry.id())));
            }
        }
        return steps;
    }

    private Planning schedule(Composition composition, List<Expanded> steps, Brief brief) {
        var lags = new Precedence(trade, composition, steps).lags();
        TaskNetwork always = new TaskNetwork(
                steps.stream().map(Expanded::task).toList(),
                lags,
                brief.crew().stream().map(h -> worker(h, 0, A_DAY)).toList(),
                brief.room().dryers(),
                BreakRule.USUAL);
        Optional<Outcome> free = brief.chairIn().isPresent() ? Optional.empty() : Optional.of(planner.plan(always));
        LocalDateTime chairIn = brief.chairIn()
                .orElseGet(() -> free.get() instanceof Outcome.Planned p
                        ? FiveMinutes.before(
                                brief.call().minusSeconds(p.schedule().ready()))
                        : brief.call().minusHours(4));
        TaskNetwork network = new TaskNetwork(
                always.tasks(),
                always.lags(),
                brief.crew().stream().map(h -> worker(h, chairIn)).toList(),
                always.tools(),
                always.breaks());
        boolean hoursMatter =
                free.isEmpty() || network.workers().stream().anyMatch(w -> w.from() > 0 || w.until() < A_DAY);
        Outcome outcome = hoursMatter && !hoursFit(free, network) ? planner.plan(network) : free.orElseThrow();
        return answer(composition, steps, network, brief, chairIn, outcome);
    }

    /** Whether a plan made without regard to hours keeps them anyway. */
    private static boolean hoursFit(Optional<Outcome> free, TaskNetwork network) {
        return free.isPresent()
                && free.get() instanceof Outcome.Planned p
                && p.schedule().placed().stream()
                        .allMatch(t -> network.workers().stream()
                                .filter(w -> w.id().equals(t.worker()))
                                .allMatch(w -> t.start() >= w.from() && t.end() <= w.until()));
    }

    private static Worker worker(Hands hands, int from, int until) {
        return new Worker(
                hands.name(), hands.skill() == Brief.Skill.LEAD, hands.skill().pace(), from, until);
    }

    private static Worker worker(Hands hands, LocalDateTime chairIn) {
        return worker(hands, (int) Math.max(0, seconds(chairIn, hands.from())), (int) seconds(chairIn, hands.until()));
    }

    private static long seconds(LocalDateTime from, LocalDateTime to) {
        return Math.max(-A_DAY, Math.min(2L * A_DAY, Duration.between(from, to).getSeconds()));
    }

    private Planning answer(
            Composition composition,
            List<Expanded> steps,
            TaskNetwork network,
            Brief brief,
            LocalDateTime chairIn,
            Outcome outcome) {
        List<PlannedStep> planned = steps.stream().map(Expanded::step).toList();
        if (outcome instanceof Outcome.Planned p) {
            return new Planning.Done(
                    new Plan(planned, network, p.schedule(), chairIn, brief, notes(composition, brief)));
        }
        if (outcome instanceof Outcome.Ring ring) {
            return new Planning.Refused(List.of(ringProblem(ring.tasks(), planned)));
        }
        if (outcome instanceof Outcome.NoHands none) {
            return new Planning.Refused(List.of(handsProblem(none.task(), planned, network, brief, chairIn)));
        }
        String task = ((Outcome.NoWindow) outcome).task();
        return new Planning.Refused(List.of(Problem.stop(
                "\"" + title(task, planned) + "\" cannot be begun before its window closes.",
                "Choose a slower adhesive or another school there, or put another pair of hands on the crew.")));
    }

    private static Problem ringProblem(List<String> ring, List<PlannedStep> steps) {
        List<String> titles = ring.stream().map(id -> title(id, steps)).toList();
        return Problem.stop(
                "These wait for one another: " + String.join(" → ", titles) + " → " + titles.get(0) + ".",
                "Take one of them out of the look or choose another technique for it.");
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
                network.breaks());
        LocalDateTime until = planner.plan(always) instanceof Outcome.Planned p
                ? chairIn.plusSeconds(p.schedule().ready())
                : brief.call();
        return BriefCheck.tooShort(brief, until, title(task, steps));
    }

    private static String title(String task, List<PlannedStep> steps) {
        return steps.stream()
                .filter(s -> s.id().equals(task))
                .map(PlannedStep::titleWithPlace)
                .findFirst()
                .orElse(task);
    }

    private List<Problem> notes(Composition composition, Brief brief) {
        List<Problem> notes = new ArrayList<>();
        if (brief.selfApplied()) {
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

    /** Plans again from the middle, close to the order people have in mind. */
    public Outcome again(Plan plan, Progress progress, Schedule before) {
        return planner.plan(plan.network(), progress, Optional.of(before));
    }
}
