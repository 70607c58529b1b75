package app.kemdro.web.rooms.people;

import app.kemdro.core.method.Trade;
import app.kemdro.core.safety.HealthRecord;
import app.kemdro.web.parts.figure.FigureModel;
import app.kemdro.web.parts.json.Json;
import app.kemdro.web.parts.typed.TakeBack;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.forgetting.Forgetting;
import app.kemdro.web.records.performer.HealthLooks;
import app.kemdro.web.records.performer.Performer;
import app.kemdro.web.records.performer.Performers;
import app.kemdro.web.records.performer.SkinSeenRow;
import app.kemdro.web.records.performer.SkinWords;
import app.kemdro.web.rooms.Rooms;
import java.security.Principal;
import java.util.Comparator;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** One performer: what is known of them, who has looked at it, and how it is forgotten. */
@Controller
class PerformerController {
    private static final int LONGEST_NAME = 80;

    private final Performers performers;
    private final HealthLooks looks;
    private final Forgetting forgetting;
    private final Trade trade;
    private final Json json;

    PerformerController(Performers performers, HealthLooks looks, Forgetting forgetting, Trade trade, Json json) {
        this.performers = performers;
        this.looks = looks;
        this.forgetting = forgetting;
        this.trade = trade;
        this.json = json;
    }

    /** A line with the hour it is about. */
    record Line(String when, String what, String who) {}

    @GetMapping("/people/{id}")
    String performer(@PathVariable long id, Principal who, Model model) {
        Performer performer = performers.get(id);
        looks.looked(performer.id(), who.getName(), "people");
        HealthRecord care = performer.care();
        model.addAttribute("performer", performer);
        model.addAttribute("facts", performer.facts());
        model.addAttribute("care", care);
        model.addAttribute(
                "reactions", trade.materials().reactions(performer.facts().reactsTo()));
        model.addAttribute("sits", forgetting.jobsOf(performer));
        model.addAttribute(
                "tests",
                care.tests().stream()
                        .map(t -> new Line(Words.moment(t.put()), name(t.family()), SkinWords.word(t.result())))
                        .toList());
        model.addAttribute(
                "seen",
                performer.skinSeen().stream()
                        .sorted(Comparator.comparing(SkinSeenRow::seenAt).reversed())
                        .map(s -> new Line(
                                Words.moment(s.seenAt()),
                                trade.body().zone(s.zone()).name() + " " + SkinWords.word(s.skin())
                                        + (s.note().isEmpty() ? "" : ": " + s.note()),
                                s.byAccount()))
                        .toList());
        model.addAttribute(
                "looked",
                looks.of(performer).stream()
                        .map(l -> new Line(Words.moment(l.seenAt()), l.place(), l.account()))
                        .toList());
        model.addAttribute("figure", json.text(FigureModel.of(trade.body(), Set.of(), z -> SkinWords.tint(care, z))));
        return "rooms/people/performer";
    }

    private String name(String family) {
        return trade.materials().has(family) ? trade.materials().family(family).name() : family;
    }

    @PostMapping("/people/{id}/name")
    String rename(@PathVariable long id, @RequestParam String name, RedirectAttributes after) {
        String other = name.strip();
        if (other.isEmpty() || other.length() > LONGEST_NAME) {
            return say(id, "A name takes 1 to " + LONGEST_NAME + " letters. Nothing was changed.", after);
        }
        if (performers.named(other).filter(p -> p.id() != id).isPresent()) {
            return say(id, "Somebody else is called " + other + ". Nothing was changed.", after);
        }
        String before = performers.get(id).facts().name();
        forgetting.rename(performers.get(id), other);
        after.addFlashAttribute(
                TakeBack.OFFER,
                TakeBack.of(
                        "Take back: called " + before + " again", "/people/" + id + "/name", Map.of("name", before)));
        return say(id, "The name is changed on every job.", after);
    }

    @PostMapping("/people/{id}/forget-health")
    String forgetHealth(@PathVariable long id, RedirectAttributes after) {
        forgetting.health(performers.get(id));
        return say(id, "Reactions, tests, lenses and what was seen of skin are forgotten, in past runs too.", after);
    }

    /** Of past runs only minutes and layers stay; whoever sits for no job is removed. */
    @PostMapping("/people/{id}/forget")
    String forget(@PathVariable long id, RedirectAttributes after) {
        Performer performer = performers.get(id);
        forgetting.person(performer);
        if (forgetting.jobsOf(performer).isEmpty()) {
            performers.remove(performers.get(id));
            return "redirect:/people";
        }
        return say(id, "Nothing here says any more who this was. Look through titles and notes yourself.", after);
    }

    private static String say(long id, String said, RedirectAttributes after) {
        after.addFlashAttribute(Rooms.CHANGE, said);
        return "redirect:/people/" + id;
    }
}
