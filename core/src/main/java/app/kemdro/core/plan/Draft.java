package app.kemdro.core.plan;

import app.kemdro.core.layer.Stack;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Hands;
import app.kemdro.core.plan.Expansion.Expanded;
import app.kemdro.core.schedule.BreakRule;
import app.kemdro.core.schedule.Lag;
import app.kemdro.core.schedule.Pin;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.core.schedule.Task;
import app.kemdro.core.schedule.TaskNetwork;
import app.kemdro.core.schedule.Worker;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * A look turned into steps, before any of them has a time.
 *
 * @param unkept rules of the trade that this look, or a wish, turns round
 * @param problems what stands in the way of planning it; then there are no steps
 */
record Draft(
        Brief brief,
        Composition composition,
        List<Expanded> steps,
        List<Lag> lags,
        List<RulesKept.Unkept> unkept,
        Wishes wishes,
        Map<String, Stack> stacks,
        List<Problem> problems) {
    static final int A_DAY = 24 * 3600;

    /** Who works on what in which order, for this chair-in. */
    TaskNetwork network(LocalDateTime chairIn) {
        return network(h -> worker(h, chairIn), wishes.pins(chairIn));
    }

    /** The same with hands and pins as these say. */
    TaskNetwork network(Function<Hands, Worker> worker, List<Pin> pins) {
        List<Task> tasks = steps.stream().map(Expanded::task).toList();
        List<Worker> workers = brief.crew().stream().map(worker).toList();
        return new TaskNetwork(
                tasks, lags, workers, brief.room().dryers(), wishedBreaks().around(tasks, lags, workers), pins);
    }

    /** Breaks as they are wished for. */
    BreakRule wishedBreaks() {
        Brief.Breaks breaks = brief.breaks();
        return new BreakRule(breaks.every() * 60, breaks.minutes() * 60, breaks.meal() * 60);
    }

    /** Hands from this second until that one. */
    static Worker worker(Hands hands, int from, int until) {
        return new Worker(hands.name(), hands.skill() == Brief.Skill.LEAD, hands.pace(), from, until);
    }

    /** Hands as they come and go. */
    static Worker worker(Hands hands, LocalDateTime chairIn) {
        return worker(hands, (int) Math.max(0, seconds(chairIn, hands.from())), (int) seconds(chairIn, hands.until()));
    }

    private static long seconds(LocalDateTime from, LocalDateTime to) {
        return Math.max(-A_DAY, Math.min(2L * A_DAY, Duration.between(from, to).getSeconds()));
    }

    /** Whether an order has just these steps. */
    boolean hasTheSteps(Schedule order) {
        Set<String> own = steps.stream().map(e -> e.step().id()).collect(Collectors.toSet());
        Set<String> placed = order.placed().stream().map(ScheduledTask::task).collect(Collectors.toSet());
        return problems.isEmpty() && own.equals(placed);
    }

    /** The steps, as a plan shows them. */
    List<PlannedStep> planned() {
        return steps.stream().map(Expanded::step).toList();
    }

    /** Entries of the look that these steps belong to. */
    List<String> entriesOf(List<String> ids) {
        return steps.stream()
                .filter(e -> ids.contains(e.step().id()) && !e.step().implied())
                .map(e -> e.step().entryId())
                .distinct()
                .toList();
    }
}
