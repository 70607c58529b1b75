package app.kemdro.web.rooms.brief;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Skill;
import app.kemdro.core.plan.BriefCheck;
import app.kemdro.core.plan.Problem;
import app.kemdro.web.parts.typed.TypedHour;
import app.kemdro.web.records.account.Account;
import app.kemdro.web.records.account.Accounts;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.usual.UsualHouse;
import app.kemdro.web.records.usual.UsualHouses;
import app.kemdro.web.rooms.Rooms;
import jakarta.validation.Validator;
import java.security.Principal;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** What the house usually has: call, room, hands, rest. Every new job begins with it. */
@Controller
class UsualController {
    private final UsualHouses houses;
    private final Jobs jobs;
    private final Accounts accounts;
    private final Validator validator;
    private final Clock clock;

    UsualController(UsualHouses houses, Jobs jobs, Accounts accounts, Validator validator, Clock clock) {
        this.houses = houses;
        this.jobs = jobs;
        this.accounts = accounts;
        this.validator = validator;
        this.clock = clock;
    }

    @GetMapping("/house/usual")
    String usual(Model model, Principal who) {
        String lead = accounts.called().fullName(who.getName());
        return show(model, FreshBrief.of(LocalDate.now(clock), List.of(), lead, houses.now()), Map.of(), List.of());
    }

    @PostMapping("/house/usual")
    String keep(@ModelAttribute("form") BriefForm form, Model model, RedirectAttributes after) {
        // a brief of a day like any other, of which only what is usual is kept
        form.setTitle("usual");
        form.setPerformer("somebody");
        form.setCallDay(LocalDate.now(clock).plusDays(1).toString());
        BriefReading reading = form.read(validator, LocalDate.now(clock));
        Optional<Brief> brief = reading.brief();
        List<Problem> refusals = brief.map(BriefCheck::problems).orElse(List.of());
        if (brief.isEmpty() || !refusals.isEmpty()) {
            return show(model, form, reading.wrong(), refusals);
        }
        houses.keep(usual(form, brief.get()));
        after.addFlashAttribute(Rooms.CHANGE, "Kept. Every new job begins with this.");
        return "redirect:/house/usual";
    }

    /** Takes over what a job has. */
    @PostMapping("/jobs/{id}/brief/usual")
    String keep(@PathVariable long id, RedirectAttributes after) {
        Job job = jobs.get(id);
        houses.keep(usual(BriefForm.of(job), job.brief()));
        after.addFlashAttribute(
                Rooms.CHANGE, "Kept as the house's usual: call, room, hands, rest. Every new job begins with it.");
        return "redirect:/jobs/" + id + "/brief";
    }

    private static UsualHouse usual(BriefForm form, Brief brief) {
        return new UsualHouse(
                brief.call().toLocalTime(),
                brief.room(),
                form.isAtSensor(),
                brief.costumeMinutes(),
                brief.purpose().benchDays(),
                brief.breaks(),
                form.getCrew().stream()
                        .filter(h -> !h.getName().isBlank())
                        .map(h -> new UsualHouse.Hands(
                                h.getName().strip(), h.getSkill(), hour(h.getFrom()), hour(h.getUntil())))
                        .toList());
    }

    private static @Nullable LocalTime hour(String typed) {
        return typed.isBlank() ? null : TypedHour.meant(typed);
    }

    private String show(Model model, BriefForm form, Map<String, String> wrong, List<Problem> refusals) {
        form.fillCrew();
        model.addAttribute("form", form);
        model.addAttribute("wrong", wrong);
        model.addAttribute("refusals", refusals);
        model.addAttribute("skills", Skill.values());
        model.addAttribute(
                "artists", accounts.all().stream().map(Account::getDisplayName).toList());
        return "rooms/brief/usual";
    }
}
