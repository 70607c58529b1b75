package app.kemdro.core.plan;

import app.kemdro.core.body.Capitals;
import app.kemdro.core.look.Brief;
import app.kemdro.core.method.StepTemplate;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Expansion.Expanded;
import app.kemdro.core.schedule.BreakRule;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.TaskNetwork;
import app.kemdro.core.schedule.Unbroken;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;

/** What is said beside a plan that can be carried out. */
final class PlanNotes {
    private final Trade trade;

    PlanNotes(Trade trade) {
        this.trade = trade;
    }

    /** The plan that has this schedule, with what is said beside it. */
    Plan plan(Draft draft, TaskNetwork network, LocalDateTime chairIn, Schedule schedule) {
        return new Plan(
                draft.planned(),
                network,
                schedule,
                chairIn,
                draft.brief(),
                of(draft, network),
                draft.stacks(),
                List.of());
    }

    /** All of it. */
    List<Problem> of(Draft draft, TaskNetwork network) {
        return Stream.of(
                        notes(draft.composition(), draft.brief()),
                        draft.wishes().notes(),
                        sections(draft),
                        worksThrough(draft, network),
                        turnedRound(draft))
                .flatMap(List::stream)
                .toList();
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

    /** Work in one go that takes longer than anybody wants to work without a break, each piece at the step that ends it. */
    private static List<Problem> worksThrough(Draft draft, TaskNetwork network) {
        BreakRule wished = draft.wishedBreaks();
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

    /** Rules of the trade that a wish, or what the look needs, turns round. */
    private static List<Problem> turnedRound(Draft draft) {
        return draft.unkept().stream()
                .map(u -> Problem.note(
                        "%s begins before %s is finished. %s"
                                .formatted(
                                        u.after().technique().name(),
                                        Capitals.low(u.before().technique().name()),
                                        u.rule().because()),
                        !draft.wishes().lags().isEmpty()
                                ? "A wish of yours, or what the look needs, has it so: drop the wish in Order, or leave it."
                                : "What the look needs has it so, and no order of it keeps this: take one of both out, or leave it.",
                        u.after().zones()))
                .toList();
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
}
