package app.kemdro.web.records.paint;

import app.kemdro.core.kit.Waste;
import app.kemdro.core.material.MaterialRole;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Areas;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.stereotype.Component;

/** The recipes of a job as mixing cards, with as much of each paint as its zones take. */
@Component
public class ColourCards {
    private final KeptRecipes recipes;
    private final Trade trade;
    private final Waste waste;

    ColourCards(KeptRecipes recipes, Trade trade) {
        this.recipes = recipes;
        this.trade = trade;
        this.waste = Waste.standard(trade.body());
    }

    /** One paint on a card. */
    public record Line(String paint, int parts, String grams) {}

    /**
     * A recipe as a card.
     *
     * @param whole how much is needed, or empty where it is kept for no zone
     */
    public record Card(String name, String hex, String where, String whole, List<Line> lines) {}

    /** The cards of a job. */
    public List<Card> of(Plan plan, Job job) {
        return recipes.of(job.id()).stream().map(r -> card(r, plan, job)).toList();
    }

    /**
     * Paint by its shade, mixes as the paints they are stirred from.
     *
     * @param grams as much as all zones that are painted with it take
     */
    public record Shade(String paint, String grams) {}

    /** What a day takes of each paint for which there is a recipe; most first. */
    public List<Shade> shades(Plan plan, Job job) {
        Map<String, Double> sums = new TreeMap<>();
        for (KeptRecipe recipe : recipes.of(job.id())) {
            double grams = needed(recipe.entry(), plan);
            int all = recipe.parts().stream().mapToInt(KeptRecipe.Part::parts).sum();
            recipe.parts().forEach(p -> sums.merge(p.paint(), grams * p.parts() / all, Double::sum));
        }
        return sums.entrySet().stream()
                .filter(e -> e.getValue() > 0)
                .sorted(Map.Entry.<String, Double>comparingByValue().reversed())
                .map(e -> new Shade(e.getKey(), Words.grams(e.getValue())))
                .toList();
    }

    private Card card(KeptRecipe recipe, Plan plan, Job job) {
        double grams = needed(recipe.entry(), plan);
        int all = recipe.parts().stream().mapToInt(KeptRecipe.Part::parts).sum();
        return new Card(
                recipe.name(),
                recipes.paint(recipe).map(p -> PaintTable.hex(p.masstone())).orElse("#ffffff"),
                job.look()
                        .entry(recipe.entry())
                        .map(e -> trade.body().say(e.zones()))
                        .orElse(""),
                grams == 0 ? "" : Words.grams(grams),
                recipe.parts().stream()
                        .map(p ->
                                new Line(p.paint(), p.parts(), grams == 0 ? "" : Words.grams(grams * p.parts() / all)))
                        .toList());
    }

    /** Paint that an entry takes, with what sponge and palette keep, g. */
    private double needed(String entry, Plan plan) {
        double laid = plan.steps().stream()
                .filter(s -> s.entryId().equals(entry))
                .mapToDouble(s -> laid(s, plan))
                .sum();
        Waste.Kind kind = waste.of("paint");
        return laid == 0 ? 0 : laid * (1 + kind.loss()) + kind.cup();
    }

    private double laid(PlannedStep step, Plan plan) {
        return step.material()
                .filter(m -> m.is(MaterialRole.PAINT))
                .map(m -> Areas.laid(m, step, plan.brief().performer(), trade.body()))
                .orElse(0.0);
    }
}
