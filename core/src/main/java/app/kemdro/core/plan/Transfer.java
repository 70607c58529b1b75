package app.kemdro.core.plan;

import app.kemdro.core.body.Body;
import app.kemdro.core.body.Capitals;
import app.kemdro.core.layer.Stack.Layer;
import app.kemdro.core.material.Material;
import app.kemdro.core.material.MaterialRole;
import app.kemdro.core.method.Touches.Coming;
import app.kemdro.core.method.Touches.Touch;
import app.kemdro.core.method.Trade;
import app.kemdro.core.schedule.ScheduledTask;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What comes off on whatever a performer touches who leaves the chair to dress, by what lies on top at that moment. */
public final class Transfer {
    private Transfer() {}

    /**
     * Something that comes off.
     *
     * @param what what it comes off on
     * @param zones where, from the crown down
     * @param says what happens
     * @param stop what stops it
     */
    public record Comes(String what, List<String> zones, String says, String stop) {}

    /** What comes off during a step that the performer does away from the chair; nothing during any other. */
    public static List<Comes> at(Plan plan, PlannedStep step, Trade trade) {
        Optional<ScheduledTask> placed = plan.schedule().find(step.id());
        if (!step.technique().performerOnly() || placed.isEmpty()) {
            return List.of();
        }
        Map<String, Top> tops = tops(plan, placed.get().start());
        List<Comes> all = new ArrayList<>();
        for (Touch touch : trade.touches().touched()) {
            Map<Top, List<String>> byTop = new LinkedHashMap<>();
            for (String zone : trade.body().sorted(zones(touch, plan, trade.body()))) {
                byTop.computeIfAbsent(tops.getOrDefault(zone, Top.NOTHING), t -> new ArrayList<>())
                        .add(zone);
            }
            byTop.forEach((top, zones) -> {
                Coming coming = trade.touches().coming().get(top.surface());
                String says = coming == null ? "" : top.powdered() ? coming.powdered() : coming.says();
                if (!says.isEmpty()) {
                    all.add(new Comes(touch.what(), zones, says, coming.stop()));
                }
            });
        }
        return List.copyOf(all);
    }

    /** Everything a step warns of: what comes off meanwhile, as one thing to say, then what its technique always says. */
    public static List<String> cautions(Plan plan, PlannedStep step, Trade trade) {
        List<Comes> comes = at(plan, step, trade);
        if (comes.isEmpty()) {
            return step.technique().cautions();
        }
        String said = comes.stream()
                .map(c -> "%s, %s: %s; %s."
                        .formatted(Capitals.capital(c.what()), trade.body().say(c.zones()), c.says(), c.stop()))
                .collect(Collectors.joining(" "));
        return Stream.concat(Stream.of(said), step.technique().cautions().stream())
                .toList();
    }

    /** The surface on top, below powder. */
    private record Top(String surface, boolean powdered) {
        private static final Top NOTHING = new Top("", false);
    }

    private static Map<String, Top> tops(Plan plan, int when) {
        Map<String, Top> tops = new HashMap<>();
        plan.stacks().forEach((zone, stack) -> {
            for (Layer layer : stack.layers()) {
                if (layer.steps().stream().anyMatch(s -> isLaid(plan, s, when))) {
                    Material laid = layer.material();
                    tops.merge(
                            zone,
                            new Top(laid.surface(), false),
                            (below, own) -> laid.is(MaterialRole.DUST) ? new Top(below.surface(), true) : own);
                }
            }
        });
        return tops;
    }

    /** Whether it is over by then; what was left out never is. */
    private static boolean isLaid(Plan plan, String step, int when) {
        return plan.schedule().find(step).filter(p -> p.end() <= when).isPresent();
    }

    private static Set<String> zones(Touch touch, Plan plan, Body body) {
        Set<String> zones = new TreeSet<>(touch.zones());
        if (touch.costume()) {
            for (String zone : plan.brief().costumeCovers()) {
                zones.add(zone);
                zones.addAll(body.zone(zone).neighbours());
            }
        }
        return zones;
    }
}
