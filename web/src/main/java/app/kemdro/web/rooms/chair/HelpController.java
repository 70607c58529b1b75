package app.kemdro.web.rooms.chair;

import app.kemdro.core.body.Zone;
import app.kemdro.core.method.Repair;
import app.kemdro.core.method.SmallPlace;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.plan.PuttingRight;
import app.kemdro.core.run.EventGuard;
import app.kemdro.core.run.RunLevers.Lever;
import app.kemdro.core.run.StepState.Status;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.run.EventFormat;
import app.kemdro.web.records.run.Run;
import app.kemdro.web.records.run.RunNow;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.run.Standings;
import app.kemdro.web.records.run.Swaps;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.ResponseBody;

/** What the chair can be asked in the middle of a run: what would buy time, what went wrong where, what could be done otherwise. */
@Controller
class HelpController {
    private static final int MOST_LEVERS = 4;
    private static final int MOST_PLACES = 9;

    private final Runs runs;
    private final Standings standings;
    private final Plans plans;
    private final Swaps swaps;
    private final EventFormat format;
    private final Trade trade;

    HelpController(Runs runs, Standings standings, Plans plans, Swaps swaps, EventFormat format, Trade trade) {
        this.runs = runs;
        this.standings = standings;
        this.plans = plans;
        this.swaps = swaps;
        this.format = format;
        this.trade = trade;
    }

    /** A measure as the chair shows it. */
    record LeverLine(String says, String saves, String ready, String costs, String risk, Object acts) {}

    /** What would still buy time. */
    record Helps(List<LeverLine> levers, @Nullable LeverLine together) {}

    @GetMapping("/jobs/{id}/chair/levers")
    @ResponseBody
    Helps levers(@PathVariable long id) {
        Run run = runs.running(id);
        RunNow s = standings.of(run);
        LocalDateTime now = runs.now(run);
        List<Lever> best = confirmed(plans.runLevers().of(s.stands(), now).stream(), s, now)
                .limit(MOST_LEVERS)
                .toList();
        return new Helps(
                best.stream().map(l -> line(l, s)).toList(),
                confirmed(plans.runLevers().together(best, s.stands(), now).stream(), s, now)
                        .findFirst()
                        .map(l -> line(l, s))
                        .orElse(null));
    }

    /** Rough plans find them; what is offered is what the planner of the chair makes of them. */
    private Stream<Lever> confirmed(Stream<Lever> found, RunNow s, LocalDateTime now) {
        return found.limit(MOST_LEVERS + 2)
                .flatMap(l -> plans.runLevers().confirmed(l, s.stands(), now, plans.live()).stream())
                .sorted(Comparator.comparingInt(Lever::saved).reversed());
    }

    private LeverLine line(Lever l, RunNow s) {
        long euros = Math.round(l.euros());
        return new LeverLine(
                l.says(),
                "−" + Math.round(l.saved() / 60.0),
                Words.ready(s.plan().clock(s.schedule().ready() - l.saved())),
                euros == 0 ? "" : (euros > 0 ? "€ " + euros : "saves € " + -euros),
                l.risk(),
                l.acts().stream().map(format::toReport).toList());
    }

    /** Work to which something may have happened, and on which of its zones. */
    record Place(String step, String title, String where, List<String> zones) {}

    /** What may have gone wrong, and with what. */
    record TroubleLine(String id, String says, String how, List<Place> places) {}

    /** A small place, and what may have gone wrong there. */
    record Spot(String says, List<TroubleLine> troubles) {}

    /**
     * Where something may have gone wrong.
     *
     * @param spare what time that is left is best spent on, where nothing has
     */
    record Troubles(List<Spot> spots, List<TroubleLine> spare) {}

    @GetMapping("/jobs/{id}/chair/troubles")
    @ResponseBody
    Troubles troubles(@PathVariable long id) {
        RunNow s = standings.of(runs.running(id));
        List<Spot> spots = new ArrayList<>();
        for (SmallPlace place : trade.smallPlaces()) {
            List<TroubleLine> lines = lines(s, r -> !r.spare() && r.happensAt(place), place.zones());
            // what may happen anywhere is no reason to name a place at which nothing else does
            if (lines.stream().anyMatch(l -> !trade.repair(l.id()).at().isEmpty())) {
                spots.add(new Spot(place.says(), lines));
            }
        }
        List<TroubleLine> anywhere = lines(s, r -> !r.spare() && r.at().isEmpty(), everywhere());
        if (!anywhere.isEmpty()) {
            spots.add(new Spot(spots.isEmpty() ? "Anywhere" : "Anywhere else", anywhere));
        }
        return new Troubles(spots, lines(s, Repair::spare, everywhere()));
    }

    private Set<String> everywhere() {
        return trade.body().zones().stream().map(Zone::id).collect(Collectors.toSet());
    }

    /** What can have happened to what is done on these zones, each with the way it is put right there. */
    private List<TroubleLine> lines(RunNow s, Predicate<Repair> which, Set<String> zones) {
        PuttingRight right = plans.live().puttingRight();
        List<TroubleLine> lines = new ArrayList<>();
        for (Repair repair : trade.repairs().stream().filter(which).toList()) {
            Map<String, List<Place>> byWay = new LinkedHashMap<>();
            s.plan().steps().stream()
                    .filter(step -> s.state().step(step.id()).status() == Status.DONE)
                    .filter(step -> !step.id().startsWith("extra-") && repair.happensTo(step.technique()))
                    .filter(step -> step.zones().stream().anyMatch(z -> zones.contains(z) && repair.mayBeOn(z)))
                    .filter(step -> lies(s, step))
                    .sorted(Comparator.comparing((PlannedStep step) -> latest(s, step))
                            .reversed())
                    .filter(distinctPlaces())
                    .limit(MOST_PLACES)
                    .forEach(step -> {
                        List<String> here =
                                step.zones().stream().filter(zones::contains).toList();
                        EventGuard.way(repair, step, here, s.stands(), right)
                                .ifPresent(
                                        way -> byWay.computeIfAbsent(way.how().name(), k -> new ArrayList<>())
                                                .add(new Place(
                                                        step.id(),
                                                        step.technique().name(),
                                                        trade.body().say(here),
                                                        here)));
                    });
            byWay.forEach((how, places) -> lines.add(new TroubleLine(repair.id(), repair.says(), how, places)));
        }
        return lines;
    }

    /** What could be done another way where a product is missing. */
    @GetMapping("/jobs/{id}/chair/swaps")
    @ResponseBody
    List<Swaps.Swap> swaps(@PathVariable long id) {
        Run run = runs.running(id);
        return swaps.of(standings.of(run), runs.now(run));
    }

    /** What is done, the latest first: what could be done once more. */
    @GetMapping("/jobs/{id}/chair/done")
    @ResponseBody
    List<Place> done(@PathVariable long id) {
        Run run = runs.running(id);
        RunNow s = standings.of(run);
        return s.plan().steps().stream()
                .filter(step -> s.state().step(step.id()).status() == Status.DONE)
                .sorted(Comparator.comparing((PlannedStep step) -> latest(s, step))
                        .reversed())
                .limit(MOST_PLACES)
                .map(step -> new Place(step.id(), step.title(), step.where(), step.zones()))
                .toList();
    }

    private static LocalDateTime latest(RunNow s, PlannedStep step) {
        LocalDateTime ended = s.state().step(step.id()).ended();
        return ended == null ? LocalDateTime.MIN : ended;
    }

    /** Whether something of this step's work lies on its zones already: what was only fitted cannot lift. */
    private static boolean lies(RunNow s, PlannedStep step) {
        return s.plan().steps().stream()
                .filter(x -> x.entryId().equals(step.entryId()))
                .filter(x -> s.state().step(x.id()).status() == Status.DONE)
                .filter(x -> x.material().isPresent() || x.form().isPresent())
                .anyMatch(x -> x.zones().stream().anyMatch(step.zones()::contains));
    }

    /** Each place once, with what was done there last. */
    private static Predicate<PlannedStep> distinctPlaces() {
        Set<String> seen = new HashSet<>();
        return step -> seen.add(step.where());
    }
}
