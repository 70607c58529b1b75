package app.kemdro.core.plan;

import app.kemdro.core.look.Brief;
import app.kemdro.core.schedule.Outcome;
import app.kemdro.core.schedule.Planner;
import app.kemdro.core.schedule.TaskNetwork;
import app.kemdro.core.schedule.Worker;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;

/** Why no order was found, in words. */
final class WhyNot {
    /** A ring of more steps than this is said with its middle left out. */
    private static final int MOST_NAMED = 5;

    private final Planner planner;

    WhyNot(Planner planner) {
        this.planner = planner;
    }

    /** What stands in the way, and what to do. */
    Problem of(Outcome outcome, Draft draft, TaskNetwork network, LocalDateTime chairIn) {
        List<PlannedStep> planned = draft.planned();
        if (outcome instanceof Outcome.Ring ring) {
            return ringProblem(ring.tasks(), draft);
        }
        if (outcome instanceof Outcome.NoHands none) {
            return handsProblem(none.task(), planned, network, draft.brief(), chairIn);
        }
        if (outcome instanceof Outcome.TooLate late) {
            return tooLate(late, planned);
        }
        String task = ((Outcome.NoWindow) outcome).task();
        return Problem.stop(
                "\"" + title(task, planned) + "\" cannot be begun before its window closes.",
                "Choose a slower adhesive or another school there, or put another pair of hands on the crew.",
                List.of(),
                draft.entriesOf(List.of(task)));
    }

    private static Problem tooLate(Outcome.TooLate late, List<PlannedStep> steps) {
        return Problem.stop(
                "\"%s\" cannot be begun before %d min after that, as far as was found."
                        .formatted(title(late.task(), steps), (late.seconds() + 59) / 60),
                "Wish for a later time, or sit the performer down sooner.");
    }

    private static Problem ringProblem(List<String> ring, Draft draft) {
        List<PlannedStep> steps = draft.planned();
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
                draft.entriesOf(ring));
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
}
