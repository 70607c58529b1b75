package app.kemdro.web.records.paint;

import app.kemdro.core.colour.Reflectance;
import app.kemdro.core.layer.Stack;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.sketch.Appearance;
import app.kemdro.core.sketch.Sketch;
import app.kemdro.web.records.job.Job;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** What a job's body looks like while it is painted, by its recipes and the house's paints. */
@Service
public class Faces {
    private final Trade trade;
    private final Appearance appearance;
    private final Sketch sketch;
    private final KeptRecipes recipes;

    Faces(Trade trade, KeptRecipes recipes) {
        this.trade = trade;
        this.appearance = Appearance.standard(trade);
        this.sketch = new Sketch(trade, appearance);
        this.recipes = recipes;
    }

    public Appearance appearance() {
        return appearance;
    }

    /** Zones that something is laid on, through all their layers. */
    public Map<String, List<Sketch.Stage>> stages(Job job, Plan plan) {
        return sketch.of(plan, job.look(), skin(job), recipes.byEntry(job.id()));
    }

    /** Of one zone, as colours of a screen: bare first, then each layer by itself, from the innermost; empty where one has none that is known. */
    public List<String> layers(Job job, Plan plan, String zone) {
        Stack stack = plan.stacks().get(zone);
        Stream<Optional<Reflectance>> laid = stack == null
                ? Stream.of()
                : sketch
                        .through(trade.body().zone(zone), stack, plan, job.look(), skin(job), recipes.byEntry(job.id()))
                        .stream()
                        .map(s -> s.flatMap(Sketch.Stage::own));
        return Stream.concat(Stream.of(Optional.of(bare(job, zone))), laid)
                .map(c -> c.map(PaintTable::hex).orElse(""))
                .toList();
    }

    /**
     * The colour of a screen that a zone has in the end.
     *
     * @param stages of this job
     */
    public String finished(Job job, String zone, Map<String, List<Sketch.Stage>> stages) {
        List<Sketch.Stage> own = stages.get(zone);
        return PaintTable.hex(
                own == null ? bare(job, zone) : own.get(own.size() - 1).colour());
    }

    private Reflectance bare(Job job, String zone) {
        return sketch.bare(trade.body().zone(zone), job.brief().performer(), skin(job));
    }

    private Reflectance skin(Job job) {
        return appearance.skin(job.performer().skin());
    }
}
