package app.kemdro.web.rooms.brief;

import app.kemdro.core.hour.Wall;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Skill;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.BriefCheck;
import app.kemdro.core.plan.Problem;
import app.kemdro.web.parts.figure.FigureModel;
import app.kemdro.web.parts.figure.FigureModel.Tint;
import app.kemdro.web.parts.json.Json;
import app.kemdro.web.parts.sensor.RoomSensor;
import app.kemdro.web.parts.typed.Fields;
import app.kemdro.web.parts.typed.Typed;
import app.kemdro.web.records.account.Account;
import app.kemdro.web.records.account.Accounts;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.jobfile.JobReader;
import app.kemdro.web.records.jobfile.JobTaking;
import app.kemdro.web.records.performer.Performer;
import app.kemdro.web.records.performer.Performers;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.school.UsualSchools;
import app.kemdro.web.records.start.Starts;
import app.kemdro.web.records.usual.UsualHouses;
import app.kemdro.web.rooms.Rooms;
import jakarta.validation.Validator;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.security.Principal;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The brief: character, performer, crew, room, call and what the costume covers. */
@Controller
class BriefController {
    private final Jobs jobs;
    private final Plans plans;
    private final Rooms rooms;
    private final Runs runs;
    private final Trade trade;
    private final Json json;
    private final RoomSensor sensor;
    private final Clock clock;
    private final Performers performers;
    private final Accounts accounts;
    private final UsualSchools usual;
    private final UsualHouses houses;
    private final Starts starts;
    private final JobTaking taking;
    private final Typed typed;
    private final Validator validator;

    BriefController(
            Jobs jobs,
            Plans plans,
            Rooms rooms,
            Runs runs,
            Trade trade,
            Json json,
            RoomSensor sensor,
            Clock clock,
            Performers performers,
            Accounts accounts,
            Typed typed,
            Validator validator,
            UsualSchools usual,
            UsualHouses houses,
            Starts starts,
            JobTaking taking) {
        this.starts = starts;
        this.taking = taking;
        this.houses = houses;
        this.usual = usual;
        this.typed = typed;
        this.validator = validator;
        this.performers = performers;
        this.accounts = accounts;
        this.sensor = sensor;
        this.jobs = jobs;
        this.plans = plans;
        this.rooms = rooms;
        this.runs = runs;
        this.trade = trade;
        this.json = json;
        this.clock = clock;
    }

    @GetMapping("/jobs/new")
    String blank(@RequestParam(defaultValue = "0") long start, Model model, Principal who) {
        String lead = accounts.called().fullName(who.getName());
        BriefForm form = FreshBrief.of(LocalDate.now(clock), trade.body().named("dressed"), lead, houses.now());
        return show(
                model,
                start > 0 ? FreshBrief.with(form, start, starts.open(start).job()) : form);
    }

    @PostMapping("/jobs/new")
    String create(@ModelAttribute("form") BriefForm form, Model model, Principal who) {
        Optional<Brief> brief = read(form, model);
        if (brief.isEmpty()) {
            return show(model, form);
        }
        Job fresh = new Job(
                form.getTitle().strip(),
                form.getProduction().strip(),
                form.getIdea().strip(),
                brief.get().allowing(brief.get().allowed().withSchools(usual.ways(who.getName()))));
        fresh.atSensor(form.isAtSensor());
        return "redirect:/jobs/" + add(fresh, form.getStart()) + "/look";
    }

    /** Sets a job on the shelf; one that begins with a kept look has that, its mixes and its pictures. */
    private long add(Job fresh, String start) {
        if (!start.matches("\\d{1,12}")) {
            return jobs.add(fresh).id();
        }
        JobReader.Taken look = starts.open(Long.parseLong(start));
        fresh.setLook(look.job().look());
        long id = plans.add(fresh).id();
        taking.besides(id, look);
        return id;
    }

    @GetMapping("/jobs/{id}/brief")
    String brief(@PathVariable long id, Model model) {
        Job job = jobs.get(id);
        rooms.open(model, job, "brief");
        BriefForm form = BriefForm.of(job);
        model.addAttribute("was", typed.text(Fields.of(form)));
        return show(model, form);
    }

    @PostMapping("/jobs/{id}/brief")
    String change(
            @PathVariable long id, @ModelAttribute("form") BriefForm form, Model model, RedirectAttributes after) {
        Job job = jobs.get(id);
        runs.refuseWhileRunning(id);
        Optional<Brief> brief = read(form, model);
        if (brief.isEmpty()) {
            rooms.open(model, job, "brief");
            return show(model, form);
        }
        Optional<Performer> other = performers
                .named(brief.get().performer().name())
                .filter(p -> p.id() != job.performer().id());
        Brief meant = other.map(p -> brief.get().on(p.facts())).orElse(brief.get());
        String said = plans.change(job, j -> {
                    j.describe(
                            form.getTitle().strip(),
                            form.getProduction().strip(),
                            form.getIdea().strip(),
                            meant);
                    j.atSensor(form.isAtSensor());
                })
                .said();
        after.addFlashAttribute(
                Rooms.CHANGE,
                other.map(p -> p.name() + " is known: size, brows, hair and reactions are theirs now. " + said)
                        .orElse(said));
        return "redirect:/jobs/" + id + "/brief";
    }

    /** Takes the call from the next event of a calendar file; chair-in and the crew's hours move along with it. */
    @PostMapping("/jobs/{id}/brief/call")
    String call(@PathVariable long id, @RequestParam MultipartFile file, RedirectAttributes after) throws IOException {
        runs.refuseWhileRunning(id);
        Job job = jobs.get(id);
        String text = new String(file.getBytes(), StandardCharsets.UTF_8);
        Optional<CallFile.Found> found = CallFile.next(text, LocalDateTime.now(clock));
        Optional<String> doubt = found.flatMap(f -> Wall.doubt(f.at()));
        if (doubt.isPresent()) {
            after.addFlashAttribute(Rooms.CHANGE, doubt.get() + " Nothing was changed.");
            return "redirect:/jobs/" + id + "/brief";
        }
        String said = found.map(f -> "Call " + f.at().toLocalDate() + " at " + f.at().toLocalTime() + ", from \""
                        + f.title() + "\"; "
                        + plans.change(
                                        job,
                                        j -> j.describe(
                                                j.title(),
                                                j.production(),
                                                j.idea(),
                                                j.brief()
                                                        .moved(Duration.between(
                                                                j.brief().call(), f.at()))))
                                .said())
                .orElse(
                        "The file holds no event that is still to come. Nothing was changed; choose an .ics file with the call in it.");
        after.addFlashAttribute(Rooms.CHANGE, said);
        return "redirect:/jobs/" + id + "/brief";
    }

    /** The brief, if it can be meant; otherwise the model says what is wrong. */
    private Optional<Brief> read(BriefForm form, Model model) {
        BriefReading reading = form.read(validator, LocalDate.now(clock));
        Optional<Brief> brief = reading.brief();
        model.addAttribute("wrong", reading.wrong());
        List<Problem> problems = brief.map(BriefCheck::problems).orElse(List.of());
        model.addAttribute("refusals", problems);
        model.addAttribute("open", BriefLines.open(reading.wrong(), problems));
        return problems.isEmpty() ? brief : Optional.empty();
    }

    private String show(Model model, BriefForm form) {
        form.fillCrew();
        model.addAttribute("form", form);
        model.addAttribute("hasStarts", !model.containsAttribute("job") && !starts.isEmpty());
        model.addAttribute("skills", Skill.values());
        model.addAttribute("browKinds", Brief.Brows.values());
        model.addAttribute("hairKinds", Brief.Hair.values());
        model.addAttribute("hairOn", trade.fineHair().asked());
        model.addAttribute("seenKinds", Brief.Seen.values());
        model.addAttribute("sensed", sensor.now().orElse(null));
        Set<String> known = model.getAttribute("job") instanceof Job job
                ? job.performer().facts().reactsTo()
                : Set.of();
        model.addAttribute("known", trade.materials().reactions(known));
        model.addAttribute(
                "reactions",
                trade.materials().reactions().stream()
                        .filter(r -> !known.contains(r.id()))
                        .toList());
        model.addAttribute("zones", trade.body().zones());
        model.addAttribute("canVanish", trade.body().canVanish());
        model.addAttribute("sitters", performers.names());
        model.addAttribute(
                "artists", accounts.all().stream().map(Account::getDisplayName).toList());
        Set<String> covers = Set.copyOf(form.getCovers());
        model.addAttribute(
                "figure",
                json.text(FigureModel.of(
                        trade.body(), Set.of(), z -> covers.contains(z) ? new Tint("cover", "covered") : Tint.NONE)));
        if (!model.containsAttribute("wrong")) {
            model.addAttribute("wrong", Map.of());
            model.addAttribute("refusals", List.of());
            model.addAttribute("open", Set.of());
        }
        model.addAttribute(
                "lines",
                BriefLines.of(
                        form,
                        z -> trade.body().canVanish().getOrDefault(z, z),
                        r -> trade.materials().reactions(Set.of(r)).stream()
                                .map(x -> x.name())
                                .findFirst()
                                .orElse(r)));
        return "rooms/brief/brief";
    }
}
