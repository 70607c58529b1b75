package app.kemdro.web.rooms.look;

import app.kemdro.core.layer.Stack;
import app.kemdro.core.look.BareSkin;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.web.parts.figure.FigureModel;
import app.kemdro.web.parts.figure.FigureModel.Tint;
import app.kemdro.web.parts.figure.LookTints;
import app.kemdro.web.records.job.Job;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** What the figure of the room says of each zone. */
record LookFigure(Trade trade) {
    /** What the figure shows with this choice: the look itself, or bare skin, minutes, layers or risk. */
    FigureModel of(Job job, Optional<Plan> plan, String show, Set<String> selected, BareSkin bare) {
        return switch (show) {
            case "bare" ->
                FigureModel.of(
                        trade.body(),
                        selected,
                        z -> bare.zones().contains(z) ? new Tint("bareskin", "bare") : Tint.NONE);
            case "minutes" -> FigureModel.of(trade.body(), selected, z -> minutes(plan, z));
            case "layers" -> FigureModel.of(trade.body(), selected, z -> layers(plan, z));
            case "risk" -> FigureModel.of(trade.body(), selected, z -> risk(job, z));
            default -> LookTints.figure(job.look(), selected, trade);
        };
    }

    /** How much lies there, and whether it holds. */
    private static Tint layers(Optional<Plan> plan, String zone) {
        Stack stack = plan.map(p -> p.stacks().get(zone)).orElse(null);
        if (stack == null) {
            return Tint.NONE;
        }
        int count = stack.layers().size();
        return Cut.trouble(stack)
                .map(word -> new Tint(Cut.mark(stack.worst()), word))
                .orElseGet(() ->
                        new Tint(count < 4 ? "min1" : count < 8 ? "min2" : count < 12 ? "min3" : "min4", "" + count));
    }

    /** Where something may go wrong, or must not be filmed. */
    private Tint risk(Job job, String zone) {
        List<Technique> here = job.look().entries().stream()
                .filter(e -> trade.has(e.techniqueId()))
                .filter(e -> e.zones().contains(zone)
                        || trade.technique(e.techniqueId()).covers().contains(zone))
                .map(e -> trade.technique(e.techniqueId()))
                .toList();
        if (here.stream().anyMatch(t -> !t.profile().neverFilmed().isEmpty())) {
            return new Tint("fail", "unseen");
        }
        long risks = here.stream().filter(t -> !t.profile().risk().isEmpty()).count();
        return risks == 0
                ? Tint.NONE
                : new Tint(risks == 1 ? "risk1" : "risk2", risks == 1 ? "risk" : risks + " risks");
    }

    /** Where the time goes: hands-on minutes in which a zone is worked on, shared among the zones of a step. */
    private static Tint minutes(Optional<Plan> plan, String zone) {
        double minutes = plan.map(p -> p.steps().stream()
                        .filter(s -> s.zones().contains(zone))
                        .mapToDouble(s -> {
                            var at = p.schedule().of(s.id());
                            return (at.end() - at.start()) / 60.0 / s.zones().size();
                        })
                        .sum())
                .orElse(0.0);
        long whole = Math.round(minutes);
        if (whole == 0) {
            return Tint.NONE;
        }
        return new Tint(whole < 4 ? "min1" : whole < 8 ? "min2" : whole < 14 ? "min3" : "min4", whole + " min");
    }
}
