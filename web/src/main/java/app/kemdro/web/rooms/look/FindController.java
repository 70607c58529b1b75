package app.kemdro.web.rooms.look;

import app.kemdro.core.method.FoundBy;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import app.kemdro.web.parts.live.Unhurried;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.plan.Removals;
import app.kemdro.web.records.school.UsualSchools;
import java.security.Principal;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** What is asked while somebody looks: techniques by what people call what they make, and what each would change. */
@Controller
class FindController {
    private static final int MOST = 8;
    private static final int MOST_ZONES = 6;

    private static final int MOST_OFFERS = 12;

    private final FoundBy foundBy;
    private final Trade trade;
    private final Jobs jobs;
    private final Plans plans;
    private final Removals removals;
    private final UsualSchools usual;
    private final Unhurried unhurried;

    FindController(
            FoundBy foundBy,
            Trade trade,
            Jobs jobs,
            Plans plans,
            Removals removals,
            UsualSchools usual,
            Unhurried unhurried) {
        this.unhurried = unhurried;
        this.foundBy = foundBy;
        this.trade = trade;
        this.jobs = jobs;
        this.plans = plans;
        this.removals = removals;
        this.usual = usual;
    }

    /** What other schools would change; asked for once the room is shown. */
    @GetMapping("/jobs/{id}/look/insteads")
    @ResponseBody
    Map<String, String> insteads(@PathVariable long id, @RequestParam List<String> zones, Principal who) {
        return unhurried.ask(() -> room(id, zones, who).insteads());
    }

    /** What adding these would change; asked for where offers are open. */
    @GetMapping("/jobs/{id}/look/additions")
    @ResponseBody
    Map<String, String> additions(
            @PathVariable long id,
            @RequestParam List<String> zones,
            @RequestParam List<String> techniques,
            Principal who) {
        return unhurried.ask(() -> room(id, zones, who)
                .additions(techniques.stream().limit(MOST_OFFERS).toList()));
    }

    private LookRoom room(long id, List<String> zones, Principal who) {
        Job job = jobs.get(id);
        List<String> known = zones.stream().filter(trade.body()::has).toList();
        return new LookRoom(trade, plans, removals, job, plans.of(job).plan(), known, usual.of(who.getName()));
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
