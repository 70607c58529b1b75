package app.kemdro.web.rooms.safety;

import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.safety.Finding;
import app.kemdro.core.safety.Finding.Kind;
import app.kemdro.core.safety.HealthRecord;
import app.kemdro.core.safety.HealthRecord.PatchTest;
import app.kemdro.core.safety.HealthRecord.Result;
import app.kemdro.core.safety.Safety;
import app.kemdro.web.parts.file.Files;
import app.kemdro.web.parts.print.Sheets;
import app.kemdro.web.parts.typed.TakeBack;
import app.kemdro.web.parts.typed.Typed;
import app.kemdro.web.parts.typed.TypedDay;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.performer.SkinWords;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.safety.Gate;
import app.kemdro.web.rooms.Rooms;
import java.security.Principal;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.format.DateTimeParseException;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** What must be seen to before the chair, and what is known of the performer. */
@Controller
class SafetyController {
    private static final int MOST_TESTS = 60;

    private final Jobs jobs;
    private final Plans plans;
    private final Rooms rooms;
    private final Gate gate;
    private final Sheets sheets;
    private final Trade trade;
    private final StandingConsent consents;
    private final Typed typed;
    private final Clock clock;

    SafetyController(
            Jobs jobs,
            Plans plans,
            Rooms rooms,
            Gate gate,
            Sheets sheets,
            Trade trade,
            StandingConsent consents,
            Typed typed,
            Clock clock) {
        this.clock = clock;
        this.consents = consents;
        this.typed = typed;
        this.jobs = jobs;
        this.plans = plans;
        this.rooms = rooms;
        this.gate = gate;
        this.sheets = sheets;
        this.trade = trade;
    }

    /** A finding as it is shown. */
    record Line(String key, String what, String remedy, boolean mayBeLifted, String lifted) {
        /** The family that the look could do without, where that would see to it; empty elsewhere. */
        public String without() {
            return key.startsWith(Safety.PATCH) ? key.substring(Safety.PATCH.length()) : "";
        }
    }

    /** A patch test as it is shown, and by what it is known. */
    record Test(String family, String at, String name, String put, String result) {}

    /** Something to choose. */
    record Choice(String id, String name, boolean chosen) {}

    @GetMapping("/jobs/{id}/safety")
    String safety(@PathVariable long id, Model model) {
        Job job = jobs.get(id);
        rooms.open(model, job, "safety").ifPresent(plan -> {
            List<Finding> all = gate.findings(job, plan);
            Map<String, String> lifted = gate.lifted(job);
            model.addAttribute("blocks", lines(all, Kind.BLOCKS, lifted));
            List<Line> warns = lines(all, Kind.WARNS, lifted);
            List<SafetyTable.TestRow> table = SafetyTable.rows(
                    gate.toTest(job, plan), all, tests(job.performer().care()));
            model.addAttribute("warns", warns);
            model.addAttribute("groups", SafetyTable.groups(warns));
            model.addAttribute("said", lines(all, Kind.SAID, lifted));
            model.addAttribute("table", table);
            Set<String> needed = table.stream().map(SafetyTable.TestRow::family).collect(Collectors.toSet());
            model.addAttribute(
                    "besides",
                    tests(job.performer().care()).stream()
                            .filter(t -> !needed.contains(t.family()))
                            .toList());
            Set<String> open = all.stream().map(Finding::key).collect(Collectors.toSet());
            model.addAttribute(
                    "families",
                    gate.tested().stream()
                            .sorted(Comparator.comparing(m -> !open.contains("patch " + m.id())))
                            .toList());
            model.addAttribute("asked", asked(job, plan));
            model.addAttribute("closed", Gate.closed(all, lifted).size());
        });
        HealthRecord care = job.performer().care();
        model.addAttribute("care", care);
        model.addAttribute("reactions", reactions(job));
        model.addAttribute("wasCare", typed.text(StandingCare.fields(care)));
        model.addAttribute("wasAgreed", typed.text(consents.fields(job)));
        model.addAttribute("tests", tests(care));
        if (!model.containsAttribute("families")) {
            model.addAttribute("families", gate.tested());
        }
        model.addAttribute("results", Result.values());
        model.addAttribute(
                "zones",
                trade.body().zones().stream()
                        .filter(z -> z.isSkin())
                        .map(z -> new Choice(z.id(), z.name(), care.broken().contains(z.id())))
                        .toList());
        return "rooms/safety/safety";
    }

    private static List<Line> lines(List<Finding> all, Kind kind, Map<String, String> lifted) {
        return all.stream()
                .filter(f -> f.kind() == kind)
                .map(f -> new Line(f.key(), f.what(), f.remedy(), f.mayBeLifted(), lifted.getOrDefault(f.key(), "")))
                .toList();
    }

    /** What has to be agreed to, and whether it is. */
    private List<Choice> asked(Job job, Plan plan) {
        return gate.procedures(plan).stream()
                .map(p -> new Choice(p.id(), p.say(), job.consents().contains(p.id())))
                .toList();
    }

    /** A reaction that is known. */
    record Known(String id, String name, String caution) {}

    private List<Known> reactions(Job job) {
        return trade.materials().reactions(job.brief().performer().reactsTo()).stream()
                .map(r -> new Known(r.id(), r.name(), r.caution()))
                .toList();
    }

    private List<Test> tests(HealthRecord care) {
        List<Test> tests = new ArrayList<>();
        for (PatchTest test : care.tests()) {
            tests.add(new Test(
                    test.family(),
                    test.put().toString(),
                    trade.materials().has(test.family())
                            ? trade.materials().family(test.family()).name()
                            : test.family(),
                    Words.moment(test.put()),
                    SkinWords.word(test.result())));
        }
        return tests;
    }

    @PostMapping("/jobs/{id}/safety")
    String care(
            @PathVariable long id,
            @RequestParam(defaultValue = "0") int lensHours,
            @RequestParam(defaultValue = "false") boolean panics,
            @RequestParam(defaultValue = "false") boolean minor,
            @RequestParam(defaultValue = "false") boolean guardian,
            @RequestParam(defaultValue = "") Set<String> broken,
            RedirectAttributes after) {
        if (lensHours < 0 || lensHours > 24) {
            return say(id, "Lenses are fitted for 1 to 24 hours; 0 where nobody said. Nothing was changed.", after);
        }
        Set<String> known = trade.body().zones().stream().map(z -> z.id()).collect(Collectors.toSet());
        Set<String> zones = broken.stream().filter(known::contains).collect(Collectors.toSet());
        jobs.change(
                id,
                j -> j.performer()
                        .careFor(new HealthRecord(
                                lensHours,
                                panics,
                                minor,
                                guardian,
                                zones,
                                j.performer().care().tests())));
        return say(id, "It is kept.", after);
    }

    /** A reaction that turned out not to be one; there is no other way to take one out. */
    @PostMapping("/jobs/{id}/safety/reactions/remove")
    String noReaction(@PathVariable long id, @RequestParam String reaction, RedirectAttributes after) {
        boolean known = jobs.get(id).performer().facts().reactsTo().contains(reaction);
        if (!known) {
            return say(id, "That reaction is not written down any more. Nothing was changed.", after);
        }
        String said = plans.change(jobs.get(id), j -> j.performer().noLongerReactsTo(reaction))
                .said();
        after.addFlashAttribute(
                TakeBack.OFFER,
                TakeBack.of(
                        "Take back: a reaction taken out",
                        "/jobs/" + id + "/safety/reactions",
                        Map.of("reaction", reaction)));
        return say(id, "It is taken out: " + said, after);
    }

    @PostMapping("/jobs/{id}/safety/reactions")
    String reaction(@PathVariable long id, @RequestParam String reaction, RedirectAttributes after) {
        if (trade.materials().reactions().stream().noneMatch(r -> r.id().equals(reaction))) {
            return say(id, "'" + reaction + "' is nothing people react to here. Nothing was changed.", after);
        }
        String said = plans.change(jobs.get(id), j -> j.performer().alsoReactsTo(Set.of(reaction)))
                .said();
        return say(id, "It is written down: " + said, after);
    }

    /** Keeps what the performer agreed to, of what is asked for now. */
    @PostMapping("/jobs/{id}/safety/consent")
    String consent(
            @PathVariable long id, @RequestParam(defaultValue = "") Set<String> agreed, RedirectAttributes after) {
        Set<String> asked = consents.asked(jobs.get(id));
        jobs.change(id, j -> {
            // what is not asked for now is not on the page, and stays
            Set<String> all = new HashSet<>(j.consents());
            all.removeAll(asked);
            asked.stream().filter(agreed::contains).forEach(all::add);
            j.agreedTo(all);
        });
        return say(id, "It is written down what was agreed to.", after);
    }

    @PostMapping("/jobs/{id}/safety/tests")
    String test(
            @PathVariable long id,
            @RequestParam String family,
            @RequestParam(defaultValue = "") String put,
            @RequestParam Result result,
            RedirectAttributes after) {
        if (gate.tested().stream().noneMatch(m -> m.id().equals(family))) {
            return say(id, "'" + family + "' is nothing that is patch-tested. Nothing was changed.", after);
        }
        if (jobs.get(id).performer().care().tests().size() >= MOST_TESTS) {
            return say(id, "There are " + MOST_TESTS + " tests already. Take one out first.", after);
        }
        try {
            LocalDateTime then = put.isBlank()
                    ? LocalDateTime.now(clock).truncatedTo(ChronoUnit.MINUTES)
                    : TypedDay.moment(put, LocalDate.now(clock))
                            .orElseThrow(() -> new DateTimeParseException("No such moment", put, 0));
            PatchTest test = new PatchTest(family, then, result);
            change(id, tests -> {
                tests.removeIf(t -> t.family().equals(family) && t.put().equals(test.put()));
                tests.add(test);
            });
            return say(id, "The patch test is written down.", after);
        } catch (DateTimeParseException e) {
            return say(id, "'" + put + "' is no day and hour; write 25 Nov 18:00. Nothing was changed.", after);
        }
    }

    /** Takes out the test that says so: of this family, put on then; whatever came in or went meanwhile. */
    @PostMapping("/jobs/{id}/safety/tests/remove")
    String remove(
            @PathVariable long id, @RequestParam String family, @RequestParam String put, RedirectAttributes after) {
        try {
            LocalDateTime then = LocalDateTime.parse(put.strip());
            Optional<PatchTest> there = jobs.get(id).performer().care().tests().stream()
                    .filter(t -> t.family().equals(family) && t.put().equals(then))
                    .findFirst();
            if (there.isEmpty()) {
                return say(id, "That test is not there any more. Nothing was changed.", after);
            }
            after.addFlashAttribute(
                    TakeBack.OFFER,
                    TakeBack.of(
                            "Take back: a patch test taken out",
                            "/jobs/" + id + "/safety/tests",
                            Map.of(
                                    "family", family,
                                    "put", put.strip(),
                                    "result", there.get().result().name())));
            change(
                    id,
                    tests -> tests.removeIf(
                            t -> t.family().equals(family) && t.put().equals(then)));
            return say(id, "The patch test is taken out.", after);
        } catch (DateTimeParseException e) {
            return say(id, "'" + put + "' is no day and hour. Nothing was changed.", after);
        }
    }

    private void change(long id, Consumer<List<PatchTest>> change) {
        jobs.change(id, j -> {
            HealthRecord care = j.performer().care();
            List<PatchTest> tests = new ArrayList<>(care.tests());
            change.accept(tests);
            j.performer()
                    .careFor(new HealthRecord(
                            care.lensHours(), care.panics(), care.minor(), care.guardian(), care.broken(), tests));
        });
    }

    @PostMapping("/jobs/{id}/safety/lift")
    String lift(
            @PathVariable long id,
            @RequestParam String key,
            @RequestParam(defaultValue = "") String reason,
            Principal who,
            RedirectAttributes after) {
        Job job = jobs.get(id);
        String why = reason.strip();
        if (why.length() < 8 || why.length() > 400) {
            return say(id, "Write down why, in 8 to 400 letters. Nothing was lifted.", after);
        }
        Optional<Finding> finding = plans.of(job).plan().stream()
                .flatMap(p -> gate.findings(job, p).stream())
                .filter(f -> f.key().equals(key) && f.mayBeLifted())
                .findFirst();
        if (finding.isEmpty()) {
            return say(id, "That cannot be lifted by anybody. Nothing was changed.", after);
        }
        gate.lift(job, finding.get(), why, who.getName());
        return say(id, "It is lifted, with your reason.", after);
    }

    private static String say(long id, String said, RedirectAttributes after) {
        after.addFlashAttribute(Rooms.CHANGE, said);
        return "redirect:/jobs/" + id + "/safety";
    }

    /** The sheet that is gone through together and signed. */
    @GetMapping("/jobs/{id}/safety.pdf")
    ResponseEntity<byte[]> sheet(@PathVariable long id) {
        Job job = jobs.get(id);
        Optional<Plan> plan = plans.of(job).plan();
        if (plan.isEmpty()) {
            return Files.elsewhere("/jobs/" + id + "/safety");
        }
        List<Finding> all = gate.findings(job, plan.get());
        Map<String, String> lifted = gate.lifted(job);
        byte[] pdf = sheets.readable(
                "rooms/safety/sheet",
                Map.of(
                        "title", job.title(),
                        "performer", job.brief().performer().name(),
                        "day", Words.day(plan.get().brief().call()),
                        "reactions", reactions(job),
                        "asked", asked(job, plan.get()),
                        "tests", tests(job.performer().care()),
                        "blocks", lines(all, Kind.BLOCKS, lifted),
                        "warns", lines(all, Kind.WARNS, lifted),
                        "said", lines(all, Kind.SAID, lifted)));
        return Files.sheet("safety-" + id + ".pdf", pdf);
    }
}
