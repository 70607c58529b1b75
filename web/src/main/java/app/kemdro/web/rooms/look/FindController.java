package app.kemdro.web.rooms.look;

import app.kemdro.core.method.FoundBy;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** Techniques by what people call what they make, before any zone is pressed: where can barnacles go? */
@Controller
class FindController {
    private static final int MOST = 8;
    private static final int MOST_ZONES = 6;

    private final FoundBy foundBy;
    private final Trade trade;

    FindController(FoundBy foundBy, Trade trade) {
        this.foundBy = foundBy;
        this.trade = trade;
    }

    /** A zone to press. */
    record Where(String zone, String name) {}

    /**
     * A technique that was found.
     *
     * @param ways how many other ways of doing the same there are
     * @param where some of the zones it is for
     * @param more how many more there are
     */
    record Found(String name, String because, int ways, List<Where> where, int more) {}

    @GetMapping("/jobs/{id}/look/find")
    @ResponseBody
    List<Found> find(@PathVariable long id, @RequestParam(defaultValue = "") String q) {
        Map<String, List<Technique>> families = foundBy.find(q).stream()
                .filter(t -> !t.between() && !t.zones().isEmpty())
                .collect(Collectors.groupingBy(Technique::family, LinkedHashMap::new, Collectors.toList()));
        return families.values().stream().limit(MOST).map(this::found).toList();
    }

    private Found found(List<Technique> schools) {
        Technique t = schools.get(0);
        List<String> zones = trade.body().sorted(t.zones());
        return new Found(
                t.name(),
                t.because(),
                schools.size() - 1,
                zones.stream()
                        .limit(MOST_ZONES)
                        .map(z -> new Where(z, trade.body().zone(z).name()))
                        .toList(),
                Math.max(0, zones.size() - MOST_ZONES));
    }
}
