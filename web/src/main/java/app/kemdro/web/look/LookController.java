package app.kemdro.web.look;

import app.kemdro.core.look.BareSkin;
import app.kemdro.core.look.Look;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.web.chair.Runs;
import app.kemdro.web.figure.FigureModel;
import app.kemdro.web.figure.FigureModel.Tint;
import app.kemdro.web.figure.LookTints;
import app.kemdro.web.job.Job;
import app.kemdro.web.job.Jobs;
import app.kemdro.web.plans.Plans;
import app.kemdro.web.plans.Words;
import app.kemdro.web.room.Json;
import app.kemdro.web.room.Rooms;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The look: press zones, say what happens there. */
@Controller
class LookController {
    private final Jobs jobs;
    private final Plans plans;
    private final Rooms rooms;
    private final Runs runs;
    private final Trade trade;
    private final Json json;

    LookController(Jobs jobs, Plans plans, Rooms rooms, Runs runs, Trade trade, Json json) {
        this.jobs = jobs;
        this.plans = plans;
        this.rooms = rooms;
        this.runs = runs;
        this.trade = trade;
        this.json = json;
    }

    @GetMapping("/jobs/{id}/look")
    String look(
            @PathVariable long id,
            @RequestParam(defaultValue = "") List<String> zones,
            @RequestParam(defaultValue = "look") String show,
            Model model) {
        Job job = jobs.get(id);
        Optional<Plan> plan = rooms.open(model, job, "look");
        List<String> known =
                trade.body().sorted(zones.stream().filter(trade.body()::has).toList());
        LookRoom room = new LookRoom(trade, plans, job, plan, known);
        BareSkin bare = room.bare();
        model.addAttribute("zones", known);
        model.addAttribute("joined", String.join(",", known));
        model.addAttribute("mirrored", mirrored(known));
        model.addAttribute("title", room.title());
        model.addAttribute("area", room.area());
        model.addAttribute("chosen", room.chosen());
        model.addAttribute("offers", room.offers());
        model.addAttribute("layers", room.layers());
        model.addAttribute("layersJson", json.text(room.layers()));
        model.addAttribute("bare", bare);
        model.addAttribute("bareSays", trade.body().say(bare.zones()));
        model.addAttribute("bareJoined", String.join(",", bare.zones()));
        model.addAttribute("show", show);
        model.addAttribute("figure", json.text(figure(job, plan, show, Set.copyOf(known), bare)));
        model.addAttribute("allZones", trade.body().zones());
        return "look/look";
    }

    private String mirrored(List<String> zones) {
        Set<String> both = new java.util.LinkedHashSet<>(zones);
        zones.forEach(z -> both.add(trade.body().mirror(z)));
        return both.size() == zones.size() ? "" : String.join(",", both);
    }

    private FigureModel figure(Job job, Optional<Plan> plan, String show, Set<String> selected, BareSkin bare) {
        return switch (show) {
            case "bare" ->
                FigureModel.of(
                        trade.body(),
                        selected,
                        z -> bare.zones().contains(z) ? new Tint("bareskin", "bare") : Tint.NONE);
            case "minutes" -> FigureModel.of(trade.body(), selected, z -> minutes(plan, z));
            default -> LookTints.figure(job.look(), selected, trade);
        };
    }

    /** Where the time goes: hands-on minutes in which a zone is worked on, shared among the zones of a step. */
    private static Tint minutes(Optional<Plan> plan, String zone) {
        double minutes = plan.map(p -> p.steps().stream()
                        .filter(s -> s.zones().contains(zone))
                        .mapToDouble(s -> {
                            var at = p.schedule().of(s.id());
                            return (at.end() - at.start()) / 60.0 / s.zones().size();
                        })
                        .sum())
                .orElse(0.0);
        long whole = Math.round(minutes);
        if (whole == 0) {
            return Tint.NONE;
        }
        return new Tint(whole < 4 ? "min1" : whole < 8 ? "min2" : whole < 14 ? "min3" : "min4", whole + " min");
    }

    @PostMapping("/jobs/{id}/look/add")
    String add(
            @PathVariable long id,
            @RequestParam String technique,
            @RequestParam List<String> zones,
            @RequestParam(defaultValue = "false") boolean join,
            RedirectAttributes after) {
        if (!trade.has(technique)) {
            return refuse(id, zones, "There is no technique '" + technique + "' here.", after);
        }
        return change(id, zones, look -> LookChange.add(look, trade.technique(technique), zones, join), after);
    }

    @PostMapping("/jobs/{id}/look/remove")
    String remove(
            @PathVariable long id,
            @RequestParam String entry,
            @RequestParam(defaultValue = "") List<String> zones,
            RedirectAttributes after) {
        return change(id, zones, look -> LookChange.remove(look, entry), after);
    }

    @PostMapping("/jobs/{id}/look/lift")
    String lift(
            @PathVariable long id,
            @RequestParam String entry,
            @RequestParam List<String> zones,
            RedirectAttributes after) {
        return change(id, zones, look -> LookChange.lift(look, entry, zones), after);
    }

    @PostMapping("/jobs/{id}/look/coats")
    String coats(
            @PathVariable long id,
            @RequestParam String entry,
            @RequestParam int coats,
            @RequestParam(defaultValue = "") List<String> zones,
            RedirectAttributes after) {
        return change(id, zones, look -> LookChange.coats(look, entry, coats), after);
    }

    @PostMapping("/jobs/{id}/look/school")
    String school(
            @PathVariable long id,
            @RequestParam String entry,
            @RequestParam String technique,
            @RequestParam(defaultValue = "") List<String> zones,
            RedirectAttributes after) {
        if (!trade.has(technique)) {
            return refuse(id, zones, "There is no technique '" + technique + "' here.", after);
        }
        return change(id, zones, look -> LookChange.school(look, entry, trade.technique(technique)), after);
    }

    private String refuse(long id, List<String> zones, String says, RedirectAttributes after) {
        after.addFlashAttribute(Rooms.CHANGE, says);
        return back(id, zones);
    }

    private String change(long id, List<String> zones, UnaryOperator<Look> change, RedirectAttributes after) {
        runs.refuseWhileRunning(id);
        Job job = jobs.get(id);
        Optional<Plan> before = plans.of(job).plan();
        Job stored = jobs.change(id, j -> j.setLook(change.apply(j.look())));
        after.addFlashAttribute(
                Rooms.CHANGE, Words.changed(before, plans.of(stored).plan()));
        return back(id, zones);
    }

    private static String back(long id, List<String> zones) {
        return "redirect:/jobs/" + id + "/look" + (zones.isEmpty() ? "" : "?zones=" + String.join(",", zones));
    }
}
