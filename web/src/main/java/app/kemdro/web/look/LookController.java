package app.kemdro.web.look;

import app.kemdro.core.look.BareSkin;
import app.kemdro.core.look.Look;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.web.chair.Runs;
import app.kemdro.web.figure.FigureModel;
import app.kemdro.web.figure.FigureModel.Tint;
import app.kemdro.web.figure.LookTints;
import app.kemdro.web.job.Job;
import app.kemdro.web.job.Jobs;
import app.kemdro.web.plans.Plans;
import app.kemdro.web.room.Json;
import app.kemdro.web.room.Rooms;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
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
        return room(jobs.get(id), zones, show, model);
    }

    private String room(Job job, List<String> zones, String show, Model model) {
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

    /** What other schools would change; asked for once the room is shown. */
    @GetMapping("/jobs/{id}/look/insteads")
    @ResponseBody
    Map<String, String> insteads(@PathVariable long id, @RequestParam List<String> zones) {
        Job job = jobs.get(id);
        return new LookRoom(trade, plans, job, plans.of(job).plan(), zones).insteads();
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

    /**
     * A change to the look.
     *
     * @param zones zones that stay pressed
     * @param live whether a script asks and swaps the room in, so that it need not be sent to fetch it
     */
    record Press(long id, List<String> zones, String show, boolean live) {}

    @ModelAttribute
    Press press(
            @PathVariable long id,
            @RequestParam(defaultValue = "") List<String> zones,
            @RequestParam(defaultValue = "look") String show,
            @RequestHeader(name = "X-Live", required = false) @Nullable String live) {
        return new Press(id, zones, show, live != null);
    }

    @PostMapping("/jobs/{id}/look/add")
    String add(@ModelAttribute Press press, @RequestParam String technique, Model model, RedirectAttributes after) {
        return change(press, look -> LookChange.add(look, known(technique), press.zones()), model, after);
    }

    @PostMapping("/jobs/{id}/look/remove")
    String remove(@ModelAttribute Press press, @RequestParam String entry, Model model, RedirectAttributes after) {
        return change(press, look -> LookChange.remove(look, entry), model, after);
    }

    @PostMapping("/jobs/{id}/look/lift")
    String lift(@ModelAttribute Press press, @RequestParam String entry, Model model, RedirectAttributes after) {
        return change(press, look -> LookChange.lift(look, entry, press.zones()), model, after);
    }

    @PostMapping("/jobs/{id}/look/coats")
    String coats(
            @ModelAttribute Press press,
            @RequestParam String entry,
            @RequestParam int coats,
            Model model,
            RedirectAttributes after) {
        return change(press, look -> LookChange.coats(look, entry, coats), model, after);
    }

    @PostMapping("/jobs/{id}/look/school")
    String school(
            @ModelAttribute Press press,
            @RequestParam String entry,
            @RequestParam String technique,
            Model model,
            RedirectAttributes after) {
        return change(press, look -> LookChange.school(look, entry, known(technique)), model, after);
    }

    private Technique known(String technique) {
        if (!trade.has(technique)) {
            throw new Unknown("There is no technique '" + technique + "' here. Nothing was changed.");
        }
        return trade.technique(technique);
    }

    /** A technique was asked for that the trade does not know. */
    private static final class Unknown extends RuntimeException {
        private static final long serialVersionUID = 1L;

        Unknown(String message) {
            super(message);
        }
    }

    private String change(Press press, UnaryOperator<Look> change, Model model, RedirectAttributes after) {
        runs.refuseWhileRunning(press.id());
        Job job = jobs.get(press.id());
        String said;
        try {
            Plans.Changed changed = plans.change(job, j -> j.setLook(change.apply(j.look())));
            job = changed.job();
            said = changed.said();
        } catch (Unknown unknown) {
            said = String.valueOf(unknown.getMessage());
        }
        if (press.live()) {
            model.addAttribute(Rooms.CHANGE, said);
            return room(job, press.zones(), press.show(), model);
        }
        after.addFlashAttribute(Rooms.CHANGE, said);
        return "redirect:/jobs/" + press.id() + "/look"
                + (press.zones().isEmpty() ? "" : "?zones=" + String.join(",", press.zones()));
    }
}
