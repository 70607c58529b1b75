package app.kemdro.web.rooms.strike;

import app.kemdro.core.layer.Stack;
import app.kemdro.core.method.Trade;
import app.kemdro.core.safety.HealthRecord.Skin;
import app.kemdro.core.safety.HealthRecord.SkinSeen;
import app.kemdro.core.safety.Safety;
import app.kemdro.web.parts.figure.FigureModel;
import app.kemdro.web.parts.json.Json;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.performer.Performers;
import app.kemdro.web.records.performer.SkinSeenRow;
import app.kemdro.web.records.performer.SkinWords;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.run.RunPictures;
import app.kemdro.web.records.run.RunPictures.Shows;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.strike.StrikeRun;
import app.kemdro.web.records.strike.Strikes;
import app.kemdro.web.rooms.Rooms;
import java.security.Principal;
import java.time.LocalDateTime;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** What skin looks like when all is off: it decides what may go there next. */
@Controller
class SkinController {
    private static final int LONGEST_NOTE = 400;

    private final Jobs jobs;
    private final Performers performers;
    private final Strikes strikes;
    private final Runs runs;
    private final RunPictures pictures;
    private final Plans plans;
    private final Trade trade;
    private final Json json;

    SkinController(
            Jobs jobs,
            Performers performers,
            Strikes strikes,
            Runs runs,
            RunPictures pictures,
            Plans plans,
            Trade trade,
            Json json) {
        this.runs = runs;
        this.pictures = pictures;
        this.jobs = jobs;
        this.performers = performers;
        this.strikes = strikes;
        this.plans = plans;
        this.trade = trade;
        this.json = json;
    }

    /** A zone that was worked on, and what was seen of it last. */
    record Zone(String id, String name, String seen, String kind) {}

    /** A picture of skin, and where it was taken. */
    record Seen(String id, String place) {}

    @GetMapping("/jobs/{id}/strike/skin")
    String skin(@PathVariable long id, Model model) {
        Job job = jobs.get(id);
        Map<String, SkinSeen> last = job.performer().care().lastSeen();
        Map<String, Set<String>> worked = worked(job);
        List<Zone> zones = trade.body().sorted(worked.keySet()).stream()
                .map(z -> new Zone(
                        z,
                        trade.body().zone(z).name(),
                        last.containsKey(z) ? said(last.get(z)) : "not looked at yet",
                        last.containsKey(z) ? last.get(z).skin().name() : ""))
                .toList();
        model.addAttribute("job", job);
        model.addAttribute("room", "strike");
        model.addAttribute("zones", zones);
        model.addAttribute(
                "unseen", zones.stream().filter(z -> z.kind().isEmpty()).count());
        runs.of(id).stream().filter(r -> !r.isRehearsal()).findFirst().ifPresent(r -> {
            model.addAttribute("run", r.id());
            model.addAttribute(
                    "pictures",
                    pictures.of(r).stream()
                            .filter(p -> p.shows() == Shows.SKIN)
                            .map(p -> new Seen(
                                    p.id(),
                                    p.zone().isEmpty()
                                            ? ""
                                            : trade.body().zone(p.zone()).name()))
                            .toList());
        });
        model.addAttribute(
                "took",
                strikes.of(id).stream()
                        .filter(s -> s.endedAt() != null)
                        .findFirst()
                        .map(s -> Words.span(Math.max(
                                1,
                                java.time.Duration.between(s.beganAt(), s.endedAt())
                                        .toMinutes())))
                        .orElse(""));
        model.addAttribute(
                "figure",
                json.text(FigureModel.of(
                        trade.body(),
                        Set.of(),
                        z -> SkinWords.tint(job.performer().care(), z))));
        return "rooms/strike/skin";
    }

    private static String said(SkinSeen seen) {
        return SkinWords.word(seen.skin()) + ", " + Words.moment(seen.at());
    }

    /** Zones of skin that were worked on, with what had been stuck there. */
    private Map<String, Set<String>> worked(Job job) {
        Map<String, Stack> stacks = strikes.of(job.id()).stream()
                .findFirst()
                .map(s -> strikes.standing(s).base().plan().stacks())
                .or(() -> plans.of(job).plan().map(p -> p.stacks()))
                .orElse(Map.of());
        Map<String, Set<String>> worked = new LinkedHashMap<>();
        stacks.forEach((zone, stack) -> {
            if (trade.body().zone(zone).isSkin() && !stack.layers().isEmpty()) {
                worked.put(zone, Safety.stuck(stack));
            }
        });
        return worked;
    }

    @PostMapping("/jobs/{id}/strike/skin")
    String see(
            @PathVariable long id,
            @RequestParam Skin skin,
            @RequestParam(defaultValue = "") Set<String> zones,
            @RequestParam(defaultValue = "") String note,
            Principal who,
            RedirectAttributes after) {
        Job job = jobs.get(id);
        Map<String, Set<String>> worked = worked(job);
        List<String> chosen =
                trade.body().sorted(skin == Skin.FINE && zones.isEmpty() ? rest(job, worked.keySet()) : known(zones));
        if (chosen.isEmpty()) {
            return say(id, "Press the places first. Nothing was written down.", after);
        }
        if (note.strip().length() > LONGEST_NOTE) {
            return say(id, "A note takes up to " + LONGEST_NOTE + " letters. Nothing was written down.", after);
        }
        LocalDateTime now = strikes.now();
        performers.change(
                job.performer().id(),
                p -> chosen.forEach(z -> p.see(new SkinSeenRow(
                        z,
                        now,
                        skin,
                        String.join(",", worked.getOrDefault(z, Set.of())),
                        note.strip(),
                        who.getName()))));
        return say(
                id,
                "Written down: " + trade.body().say(chosen) + ". "
                        + switch (skin) {
                            case FINE -> "Soothe and moisturise all the same.";
                            case RED -> "It rests; Safety says for how long, on the next job too.";
                            case BROKEN ->
                                "Nothing goes there until somebody has seen it whole again. Have it looked at.";
                        },
                after);
    }

    private Set<String> known(Set<String> zones) {
        return zones.stream().filter(trade.body()::has).collect(java.util.stream.Collectors.toSet());
    }

    /** All that was worked on and has not been seen as red or broken since. */
    private Set<String> rest(Job job, Set<String> worked) {
        LocalDateTime since = strikes.of(job.id()).stream()
                .findFirst()
                .map(StrikeRun::beganAt)
                .orElse(strikes.now().minusHours(1));
        Map<String, SkinSeen> last = job.performer().care().lastSeen();
        return worked.stream()
                .filter(z -> !last.containsKey(z)
                        || last.get(z).skin() == Skin.FINE
                        || last.get(z).at().isBefore(since))
                .collect(java.util.stream.Collectors.toSet());
    }

    private static String say(long id, String said, RedirectAttributes after) {
        after.addFlashAttribute(Rooms.CHANGE, said);
        return "redirect:/jobs/" + id + "/strike/skin";
    }
}
