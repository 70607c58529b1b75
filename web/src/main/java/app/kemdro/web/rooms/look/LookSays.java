package app.kemdro.web.rooms.look;

import app.kemdro.core.look.BareSkin;
import app.kemdro.core.method.Trade;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.plan.KnownOf;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.plan.Removals;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;

/**
 * What the look room says of zones and what could be done there. It hangs on look, brief and plan alone, and is worked out once for each
 * plan: a press that was pointed at before finds it there.
 */
@Component
class LookSays {
    private final Trade trade;
    private final Plans plans;
    private final Removals removals;
    private final KnownOf<Map<Asked, Map<String, Object>>> known = new KnownOf<>();

    LookSays(Trade trade, Plans plans, Removals removals) {
        this.trade = trade;
        this.plans = plans;
        this.removals = removals;
    }

    /** What is asked about a plan: of these zones, by somebody with these usual schools. */
    private record Asked(List<String> zones, Map<String, String> usual) {}

    /** All of it, by the names the template knows it by. */
    Map<String, Object> of(Job job, List<String> zones, Map<String, String> usual) {
        return known.of(plans.of(job), ConcurrentHashMap::new)
                .computeIfAbsent(new Asked(List.copyOf(zones), Map.copyOf(usual)), asked -> says(job, asked));
    }

    private Map<String, Object> says(Job job, Asked asked) {
        List<String> zones = asked.zones();
        LookRoom room = new LookRoom(trade, plans, removals, job, plans.of(job).plan(), zones, asked.usual());
        Map<String, Object> says = new HashMap<>();
        says.put("zones", zones);
        says.put("joined", String.join(",", zones));
        says.put("mirrored", mirrored(zones));
        says.put("title", room.title());
        says.put("area", room.area());
        List<LookRoom.Chosen> chosen = room.chosen();
        Map<String, List<LookRoom.Offer>> offers = room.offers();
        says.put("chosen", chosen);
        says.put("offers", offers);
        says.put("opened", chosen.isEmpty() ? TechniqueOffers.first(offers) : "");
        says.put("fills", room.fills());
        if (zones.isEmpty()) {
            says.put("proposed", room.advised());
            says.put("benchWork", room.benchWork());
            says.put("benchTotal", room.benchTotal());
            says.put("whole", room.whole());
        }
        BareSkin bare = room.bare();
        says.put("bare", bare);
        says.put("bareSays", trade.body().say(bare.zones()));
        says.put("bareJoined", String.join(",", bare.zones()));
        return says;
    }

    private String mirrored(List<String> zones) {
        Set<String> both = new LinkedHashSet<>(zones);
        zones.forEach(z -> both.add(trade.body().mirror(z)));
        return both.size() == zones.size() ? "" : String.join(",", both);
    }
}
