package app.kemdro.web.rooms.look;

import app.kemdro.core.look.BareSkin;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry.Strength;
import app.kemdro.core.method.FoundBy;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Mending;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Proposals;
import app.kemdro.web.parts.ahead.Ahead;
import app.kemdro.web.parts.json.Json;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.paint.Faces;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.plan.Removals;
import app.kemdro.web.records.plan.Supposed;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.school.UsualSchools;
import app.kemdro.web.rooms.Rooms;
import java.security.Principal;
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
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The look: press zones, say what happens there. */
@Controller
@Ahead.Plannable
class LookController {
    private final Jobs jobs;
    private final Plans plans;
    private final Removals removals;
    private final LookSays says;
    private final Rooms rooms;
    private final Runs runs;
    private final UsualSchools usual;
    private final FoundBy foundBy;
    private final Trade trade;
    private final Json json;
    private final Faces faces;

    LookController(
            Jobs jobs,
            Plans plans,
            Removals removals,
            LookSays says,
            Rooms rooms,
            Runs runs,
            UsualSchools usual,
            FoundBy foundBy,
            Trade trade,
            Json json,
            Faces faces) {
        this.faces = faces;
        this.foundBy = foundBy;
        this.usual = usual;
        this.jobs = jobs;
        this.plans = plans;
        this.removals = removals;
        this.says = says;
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
            Principal who,
            Model model) {
        return room(jobs.get(id), zones, show, who.getName(), model);
    }

    private String room(Job job, List<String> zones, String show, String artist, Model model) {
        Optional<Plan> plan = rooms.open(model, job, "look");
        List<String> known =
                trade.body().sorted(zones.stream().filter(trade.body()::has).toList());
        Map<String, Object> there = says.of(job, known, usual.of(artist));
        model.addAllAttributes(there);
        Optional<Cut> cut = new LookRoom(trade, plans, removals, job, plan, known, Map.of()).cut(faces);
        model.addAttribute("cut", cut.orElse(null));
        model.addAttribute("cutJson", cut.map(c -> json.text(c.layers())).orElse("[]"));
        model.addAttribute(
                "undo",
                plans.lookBefore(job)
                        .map(before -> TakeBack.says(job.look(), before, trade))
                        .orElse(null));
        model.addAttribute("show", show);
        BareSkin bare = (BareSkin) there.get("bare");
        model.addAttribute("figure", json.text(new LookFigure(trade).of(job, plan, show, Set.copyOf(known), bare)));
        model.addAttribute("foundBy", foundBy);
        model.addAttribute("allZones", trade.body().zones());
        return "rooms/look/look";
    }

    /** Whether a script asked; it fetches what lies in closed families when somebody opens one. */
    @ModelAttribute("live")
    boolean isLive(@RequestHeader(name = "X-Live", required = false) @Nullable String live) {
        return live != null;
    }

    @ModelAttribute
    Press press(
            @PathVariable long id,
            @RequestParam(defaultValue = "") List<String> zones,
            @RequestParam(defaultValue = "look") String show,
            @RequestParam(defaultValue = "") String entry,
            @RequestParam(defaultValue = "") String had,
            @RequestHeader(name = "X-Live", required = false) @Nullable String live,
            Principal who) {
        return new Press(id, zones, show, live != null, who.getName(), entry, had);
    }

    @PostMapping("/jobs/{id}/look/add")
    String add(@ModelAttribute Press press, @RequestParam String technique, Model model, RedirectAttributes after) {
        return change(press, look -> LookChange.add(look, known(technique), press.zones(), trade), model, after);
    }

    @PostMapping("/jobs/{id}/look/remove")
    String remove(@ModelAttribute Press press, @RequestParam String entry, Model model, RedirectAttributes after) {
        return change(press, look -> look.without(entry), model, after);
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
        return change(press, look -> look.changing(entry, e -> e.coated(coats)), model, after);
    }

    @PostMapping("/jobs/{id}/look/school")
    String school(
            @ModelAttribute Press press,
            @RequestParam String entry,
            @RequestParam String technique,
            Model model,
            RedirectAttributes after) {
        return change(
                press,
                look -> {
                    Technique school = known(technique);
                    if (look.entry(entry).stream()
                            .anyMatch(e ->
                                    school.covers().isEmpty() && !school.zones().containsAll(e.zones()))) {
                        throw new Unknown(school.name() + " is not for all of these zones. Nothing was changed.");
                    }
                    return LookChange.school(look, entry, school);
                },
                model,
                after);
    }

    @PostMapping("/jobs/{id}/look/items")
    String items(
            @ModelAttribute Press press,
            @RequestParam String entry,
            @RequestParam int items,
            Model model,
            RedirectAttributes after) {
        return change(press, look -> look.changing(entry, e -> e.counted(items)), model, after);
    }

    @PostMapping("/jobs/{id}/look/strength")
    String strength(
            @ModelAttribute Press press,
            @RequestParam String entry,
            @RequestParam Strength strength,
            Model model,
            RedirectAttributes after) {
        return change(press, look -> look.changing(entry, e -> e.strong(strength)), model, after);
    }

    @PostMapping("/jobs/{id}/look/coverage")
    String coverage(
            @ModelAttribute Press press,
            @RequestParam String entry,
            @RequestParam int coverage,
            Model model,
            RedirectAttributes after) {
        return change(press, look -> look.changing(entry, e -> e.covering(coverage)), model, after);
    }

    @PostMapping("/jobs/{id}/look/sides")
    String sides(@ModelAttribute Press press, @RequestParam String entry, Model model, RedirectAttributes after) {
        return change(press, look -> LookChange.sides(look, entry, trade.body()), model, after);
    }

    @PostMapping("/jobs/{id}/look/apart")
    String apart(@ModelAttribute Press press, @RequestParam String entry, Model model, RedirectAttributes after) {
        return change(press, look -> LookChange.apart(look, entry, press.zones()), model, after);
    }

    /** Applies a mend: the one that says so, tried again on the look as it is now. */
    @PostMapping("/jobs/{id}/look/mend")
    String mend(
            @ModelAttribute Press press,
            @RequestParam int layer,
            @RequestParam String mend,
            Model model,
            RedirectAttributes after) {
        Job job = jobs.get(press.id());
        String zone = press.zones().isEmpty() ? "" : press.zones().get(0);
        return change(
                press,
                look -> plans.mending().offers(look, job.brief(), zone, layer).stream()
                        .filter(o -> o.says().equals(mend))
                        .findFirst()
                        .map(Mending.Offer::look)
                        .orElseThrow(() -> new Unknown("That mend is not needed any more. Nothing was changed.")),
                model,
                after);
    }

    /** Does what was proposed: the one that says so. */
    @PostMapping("/jobs/{id}/look/propose")
    String propose(@ModelAttribute Press press, @RequestParam String says, Model model, RedirectAttributes after) {
        Job job = jobs.get(press.id());
        LookRoom room = new LookRoom(
                trade, plans, removals, job, plans.of(job).plan(), press.zones(), usual.of(press.artist()));
        return change(
                press,
                look -> room.proposed().stream()
                        .filter(p -> p.says().equals(says))
                        .findFirst()
                        .map(Proposals.Proposal::look)
                        .orElseThrow(() -> new Unknown("That is not proposed any more. Nothing was changed.")),
                model,
                after);
    }

    /** Covers all skin that is bare, region by region. */
    @PostMapping("/jobs/{id}/look/fill")
    String fill(@ModelAttribute Press press, Model model, RedirectAttributes after) {
        Job job = jobs.get(press.id());
        Proposals proposals = new Proposals(trade, job.brief(), false, usual.of(press.artist()));
        return change(press, look -> Filling.of(look, job, proposals, plans), model, after);
    }

    /** Takes the last change of the look back. */
    @PostMapping("/jobs/{id}/look/back")
    String back(@ModelAttribute Press press, Model model, RedirectAttributes after) {
        runs.refuseWhileRunning(press.id());
        Job job = jobs.get(press.id());
        return answer(
                press,
                press.isAsSeen(job) ? plans.takeBack(job) : new Plans.Changed(job, Rooms.CHANGED_MEANWHILE),
                model,
                after);
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
        if (!press.isAsSeen(job)) {
            return answer(press, new Plans.Changed(job, Rooms.CHANGED_MEANWHILE), model, after);
        }
        try {
            return answer(press, plans.changeLook(job, change), model, after);
        } catch (Supposed ahead) {
            return answer(press, ahead.would(), model, after);
        } catch (Unknown unknown) {
            return answer(press, new Plans.Changed(job, String.valueOf(unknown.getMessage())), model, after);
        }
    }

    private String answer(Press press, Plans.Changed changed, Model model, RedirectAttributes after) {
        if (press.live()) {
            model.addAttribute(Rooms.CHANGE, changed.said());
            return room(changed.job(), press.zones(), press.show(), press.artist(), model);
        }
        after.addFlashAttribute(Rooms.CHANGE, changed.said());
        // only zones of the body go back into an address: anything else is whatever somebody sent
        List<String> known = press.zones().stream().filter(trade.body()::has).toList();
        return "redirect:/jobs/" + press.id() + "/look" + (known.isEmpty() ? "" : "?zones=" + String.join(",", known));
    }
}
