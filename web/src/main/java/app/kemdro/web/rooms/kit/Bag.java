package app.kemdro.web.rooms.kit;

import app.kemdro.core.body.Body;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.look.LookEntry.Strength;
import app.kemdro.core.material.Material;
import app.kemdro.core.material.MaterialRole;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Areas;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.web.records.job.Job;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What goes into the bag by place, side and size, and what of it is made for this look and not taken off a shelf. */
@Component
class Bag {
    private final Trade trade;
    private final Body body;

    Bag(Trade trade) {
        this.trade = trade;
        this.body = trade.body();
    }

    /** A thing as one looks for it: "hollow horn, large" and where it goes. */
    record Thing(String name, String where) {}

    /** Everything that is set on the body, by size; how many where it is counted. */
    List<Thing> things(Plan plan, Job job) {
        Map<String, Set<String>> where = new LinkedHashMap<>();
        Map<String, String> counts = new LinkedHashMap<>();
        for (PlannedStep step : plan.steps()) {
            if (step.form().isEmpty()) {
                continue;
            }
            LookEntry entry = job.look().entry(step.entryId()).orElse(null);
            String name = step.form().get().name() + size(entry);
            where.computeIfAbsent(name, k -> new LinkedHashSet<>()).addAll(step.formZones());
            if (entry != null && step.technique().items().isChoice()) {
                counts.put(
                        name,
                        Areas.items(
                                        entry,
                                        step.technique(),
                                        Areas.of(entry.zones(), plan.brief().performer(), body))
                                + " " + step.technique().items().word() + ", ");
            }
        }
        List<Thing> things = new ArrayList<>();
        where.forEach((name, zones) ->
                things.add(new Thing(name, counts.getOrDefault(name, "") + body.say(body.sorted(zones)))));
        return things;
    }

    private static String size(@org.jspecify.annotations.Nullable LookEntry entry) {
        return entry == null || entry.strength() == Strength.USUAL
                ? ""
                : entry.strength() == Strength.LIGHT ? ", small" : ", large";
    }

    /** Families of what is cast, run or modelled for this look. */
    Set<String> made(Plan plan) {
        return plan.steps().stream()
                .filter(s -> isMade(s.technique()))
                .flatMap(s -> s.form().stream())
                .filter(f -> !f.is(MaterialRole.PAINT))
                .map(Material::id)
                .collect(Collectors.toSet());
    }

    /** What is only painted or dressed beforehand is not made. */
    private boolean isMade(Technique technique) {
        return technique.make().bench().stream()
                .anyMatch(b -> b.material() != null
                        && !trade.materials().family(b.material()).is(MaterialRole.PAINT));
    }
}
