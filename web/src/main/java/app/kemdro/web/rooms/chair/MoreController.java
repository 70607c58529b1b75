package app.kemdro.web.rooms.chair;

import app.kemdro.core.body.Capitals;
import app.kemdro.core.body.Zone;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.plan.Reactions;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.RunLevers;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.run.Reports;
import app.kemdro.web.records.run.Run;
import app.kemdro.web.records.run.RunNow;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.run.Standings;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import tools.jackson.databind.node.ObjectNode;

/** What can be changed of a look while a run is on, and what each change would cost before it is pressed. */
@Controller
class MoreController {
    private static final int MOST_SAID = 6;

    private final Runs runs;
    private final Standings standings;
    private final Reports reports;
    private final PressReader reader;
    private final Trade trade;

    MoreController(Runs runs, Standings standings, Reports reports, PressReader reader, Trade trade) {
        this.runs = runs;
        this.standings = standings;
        this.reports = reports;
        this.reader = reader;
        this.trade = trade;
    }

    /** A part of the body on which something more can be put. */
    record Part(String row, String says) {}

    /** What has not begun and can still be done otherwise. */
    record Waiting(String entry, String says, String where, String strength) {}

    /** What can be changed. */
    record Changeable(List<Part> parts, List<Waiting> waiting) {}

    @GetMapping("/jobs/{id}/chair/more")
    @ResponseBody
    Changeable more(@PathVariable long id) {
        RunNow s = standings.of(runs.running(id));
        List<Part> parts = trade.body().rows().stream()
                .filter(row -> trade.techniques().stream()
                        .anyMatch(t ->
                                trade.lateWork().allows(t) && !zones(t, row).isEmpty()))
                .map(row -> new Part(row, Capitals.capital(row)))
                .toList();
        List<Waiting> waiting = s.changes().look().entries().stream()
                .filter(e -> !RunLevers.hasBegun(s.plan(), s.state(), e.id()))
                .map(e -> new Waiting(
                        e.id(),
                        trade.technique(e.techniqueId()).name(),
                        trade.body().say(e.zones()),
                        e.strength().name()))
                .toList();
        return new Changeable(parts, waiting);
    }

    private List<String> zones(Technique technique, String row) {
        return trade.body().zones().stream()
                .filter(z -> z.row().equals(row) && technique.zones().contains(z.id()))
                .map(Zone::id)
                .toList();
    }

    /** Where of a part it can go. */
    record Where(String says, List<String> zones) {}

    /** Something more. */
    record Offer(String technique, String family, String says, String because, List<Where> where) {}

    @GetMapping("/jobs/{id}/chair/more/at")
    @ResponseBody
    List<Offer> at(@PathVariable long id, @RequestParam String row) {
        RunNow s = standings.of(runs.running(id));
        Set<String> reactsTo = s.plan().brief().performer().reactsTo();
        return trade.techniques().stream()
                .filter(t -> trade.lateWork().allows(t) && !zones(t, row).isEmpty())
                .filter(t ->
                        Reactions.barring(t, zones(t, row), reactsTo, trade).isEmpty())
                .map(t -> new Offer(t.id(), t.family(), t.name(), t.because(), where(zones(t, row))))
                .toList();
    }

    private List<Where> where(List<String> zones) {
        List<Where> all = new ArrayList<>();
        all.add(new Where(Capitals.capital(trade.body().say(zones)), zones));
        if (zones.size() > 1) {
            zones.forEach(z -> all.add(new Where(Capitals.capital(trade.body().say(List.of(z))), List.of(z))));
        }
        return all;
    }

    /**
     * What a change would do.
     *
     * @param comes what is done more because of it
     * @param goes what is not done any more
     * @param asks what is asked before it is pressed
     * @param wrong what would not hold then, in words
     */
    record Would(String ready, String change, List<String> comes, List<String> goes, List<String> asks, String wrong) {}

    @PostMapping("/jobs/{id}/chair/would")
    @ResponseBody
    Would would(@PathVariable long id, @RequestBody ObjectNode report) {
        Run run = runs.running(id);
        RunEvent event = reader.read(report, run);
        RunNow before = standings.of(run);
        RunNow after = reports.would(run, event);
        long minutes = Math.round((after.schedule().ready() - before.schedule().ready()) / 60.0);
        long worse = after.plan().troubles() - before.plan().troubles();
        return new Would(
                Words.ready(after.plan().clock(after.schedule().ready())),
                Words.change(minutes),
                only(after.plan(), before.plan()),
                only(before.plan(), after.plan()),
                event instanceof RunEvent.Addition more && trade.has(more.technique())
                        ? trade.lateWork()
                                .kinds()
                                .get(trade.technique(more.technique()).slot())
                                .asks()
                        : List.of(),
                worse > 0 ? "Layers would lie on one another there that do not hold: look at it in Look first." : "");
    }

    /** Titles of what one plan has and the other has not. */
    private static List<String> only(Plan plan, Plan other) {
        Set<String> there = other.steps().stream().map(PlannedStep::id).collect(Collectors.toSet());
        Predicate<PlannedStep> isNew = s -> !there.contains(s.id());
        List<String> titles = plan.steps().stream()
                .filter(isNew)
                .map(PlannedStep::title)
                .distinct()
                .toList();
        return titles.size() <= MOST_SAID
                ? titles
                : Stream.concat(
                                titles.stream().limit(MOST_SAID - 1L),
                                Stream.of("and " + (titles.size() - MOST_SAID + 1) + " more"))
                        .toList();
    }
}
