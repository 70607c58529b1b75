package app.kemdro.core.plan;

import app.kemdro.core.layer.LayerRules;
import app.kemdro.core.layer.Stack;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Expansion.Expanded;
import app.kemdro.core.schedule.Lag;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Turns looks into drafts: completes them, lays them out in steps, says what must come before what and what lies on what. */
final class Drafts {
    private final Trade trade;
    private final LayerRules rules;

    Drafts(Trade trade, LayerRules rules) {
        this.trade = trade;
        this.rules = rules;
    }

    Draft of(Look look, Brief brief) {
        return of(look, brief, BriefCheck.problems(brief));
    }

    /** The same where this is known to stand in the way. */
    Draft of(Look look, Brief brief, List<Problem> known) {
        List<Problem> problems = new ArrayList<>(known);
        if (problems.isEmpty() && look.entries().isEmpty()) {
            problems.add(Problem.stop(
                    "Nothing happens on the body yet.", "Press a zone of the figure and say what happens there."));
        }
        if (look.entries().size() > LookPlanner.MOST_ENTRIES) {
            problems.add(Problem.stop(
                    "This look has %d entries; %d is the most that is planned for one chair."
                            .formatted(look.entries().size(), LookPlanner.MOST_ENTRIES),
                    "Split it into several jobs."));
        }
        Composition composition = new Composition(problems.isEmpty() ? look : Look.EMPTY, brief, trade);
        problems.addAll(composition.problems());
        List<Expanded> steps = problems.isEmpty() ? expand(composition, brief, problems) : List.of();
        Wishes wishes =
                new Wishes(look.wishes(), steps.stream().map(Expanded::step).toList(), brief);
        Optional<Precedence> order = problems.isEmpty()
                ? Optional.of(new Precedence(trade, composition, steps, wishes.lags(), brief))
                : Optional.empty();
        problems.addAll(wishes.problems(steps));
        List<Lag> lags = order.map(Precedence::lags).orElse(List.of());
        List<RulesKept.Unkept> unkept = order.map(Precedence::unkept).orElse(List.of());
        Map<String, Stack> stacks = problems.isEmpty() ? Layering.of(steps, lags, brief, trade, rules) : Map.of();
        return new Draft(brief, composition, steps, lags, unkept, wishes, stacks, problems);
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
}
