package app.kemdro.web.rooms.shelf;

import app.kemdro.web.parts.mishap.NotPossible;
import app.kemdro.web.parts.typed.TypedDay;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.account.Accounts;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.jobfile.Again;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.product.Products;
import app.kemdro.web.records.run.OnTheJob;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.sample.ColdCasting;
import app.kemdro.web.records.shelf.OnShelf;
import app.kemdro.web.records.shelf.Place;
import app.kemdro.web.records.shelf.Shelf;
import app.kemdro.web.records.shelf.Shelf.Page;
import app.kemdro.web.records.shelf.TimesOnly;
import app.kemdro.web.rooms.Rooms;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriComponentsBuilder;

/** The shelf: jobs by their call, with when to start and what stands in their way. */
@Controller
class ShelfController {
    private static final int ASIDE = 30;

    private final Shelf shelf;
    private final Jobs jobs;
    private final Plans plans;
    private final Runs runs;
    private final Clock clock;
    private final OnTheJob onTheJob;
    private final Again again;
    private final Products products;
    private final TimesOnly timesOnly;
    private final Accounts accounts;

    ShelfController(
            Shelf shelf,
            Jobs jobs,
            Plans plans,
            Runs runs,
            Clock clock,
            OnTheJob onTheJob,
            Again again,
            Products products,
            TimesOnly timesOnly,
            Accounts accounts) {
        this.accounts = accounts;
        this.timesOnly = timesOnly;
        this.products = products;
        this.shelf = shelf;
        this.again = again;
        this.onTheJob = onTheJob;
        this.jobs = jobs;
        this.plans = plans;
        this.runs = runs;
        this.clock = clock;
    }

    /** A job, under its day. */
    record Stands(OnShelf job, String day, boolean newDay, boolean past, boolean sees) {}

    /** A job that was taken off the shelf, and until when it can be put back. */
    record SetAside(long id, String title, String until) {}

    @GetMapping("/")
    String home() {
        return "redirect:/shelf";
    }

    /**
     * @param from a day, or a place
     * @param before a place
     * @param find words of a job's name, its production or its performer
     */
    @GetMapping("/shelf")
    String shelf(
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") String before,
            @RequestParam(defaultValue = "") String find,
            Model model,
            Authentication who) {
        LocalDateTime now = LocalDateTime.now(clock);
        String words = find.strip();
        Optional<Place> start = Place.of(
                TypedDay.read(from, now.toLocalDate()).map(LocalDate::toString).orElse(from));
        if (start.isEmpty() && !from.isBlank()) {
            model.addAttribute(
                    Rooms.CHANGE, "“" + from.strip() + "” is no day; write it as 3 Dec, 2026-12-03 or Thursday.");
        }
        Optional<Place> end = Place.of(before);
        boolean names = accounts.readsNames(who);
        boolean isToday = words.isEmpty() && start.isEmpty() && end.isEmpty();
        Page page = isToday ? shelf.today() : page(words, start, end, names);
        model.addAttribute("jobs", byDay(page.jobs(), now, who, names));
        model.addAttribute("isToday", isToday);
        // all there is stands on one page: nothing has to be looked for
        model.addAttribute(
                "whole", isToday && page.earlier().isEmpty() && page.later().isEmpty());
        model.addAttribute("kitEmpty", isToday && page.jobs().isEmpty() && products.isEmpty());
        model.addAttribute("find", words);
        model.addAttribute(
                "earlier", page.earlier().map(p -> link("before", p, words)).orElse(null));
        model.addAttribute("later", page.later().map(p -> link("from", p, "")).orElse(null));
        model.addAttribute("laterFrom", page.later().map(p -> Words.day(p.at())).orElse(""));
        model.addAttribute("today", Words.day(now) + ", " + Words.hour(now));
        model.addAttribute("next", next(isToday && page.jobs().isEmpty()));
        model.addAttribute(
                "aside",
                jobs.aside(now, ASIDE).stream()
                        .map(a -> new SetAside(a.id(), a.title(), Words.day(a.until())))
                        .toList());
        return "rooms/shelf/shelf";
    }

    private Page page(String words, Optional<Place> start, Optional<Place> end, boolean names) {
        if (!words.isEmpty()) {
            return shelf.holding(words, names, end.orElse(Place.LAST));
        }
        return end.map(shelf::before).orElseGet(() -> shelf.from(start.orElseThrow()));
    }

    private static String link(String way, Place place, String find) {
        UriComponentsBuilder link = UriComponentsBuilder.fromPath("/shelf").queryParam(way, place);
        return (find.isEmpty() ? link : link.queryParam("find", "{find}"))
                .build(find)
                .toString();
    }

    /** Sets the bell-founder on the shelf, for tomorrow morning; with a walk, what to press first is said along the way. */
    @PostMapping("/jobs/sample")
    String sample(@RequestParam(defaultValue = "false") boolean walk) {
        LocalDateTime call = LocalDateTime.now(clock).toLocalDate().plusDays(1).atTime(7, 45);
        return "redirect:/jobs/"
                + plans.add(ColdCasting.founder("Orrin Vask", call)).id() + "/look" + (walk ? "#walk" : "");
    }

    /** A copy of a job for the next day, with everything but what happened. */
    @PostMapping("/jobs/{id}/again")
    String again(@PathVariable long id) {
        return "redirect:/jobs/" + again.of(jobs.get(id), b -> b).id() + "/brief";
    }

    /** Takes a job off the shelf; not while somebody sits for it. */
    @PostMapping("/jobs/{id}/remove")
    String remove(@PathVariable long id) {
        if (runs.open(id).isPresent()) {
            throw new NotPossible(
                    "The run is on: a job is not taken off the shelf while somebody sits for it. End it in the chair first.");
        }
        jobs.setAside(id, LocalDateTime.now(clock));
        return "redirect:/shelf";
    }

    @PostMapping("/jobs/{id}/put-back")
    String putBack(@PathVariable long id) {
        jobs.putBack(id);
        return "redirect:/shelf";
    }

    private List<Stands> byDay(List<OnShelf> shown, LocalDateTime now, Authentication who, boolean names) {
        Set<Long> seen = onTheJob.seen(who, shown.stream().map(OnShelf::id).collect(Collectors.toSet()));
        List<Stands> all = new ArrayList<>();
        String day = "";
        for (OnShelf job : shown) {
            boolean past = job.call().isBefore(now);
            String own = past ? "Past " + Words.day(job.call()) : Words.day(job.call());
            boolean sees = seen.contains(job.id());
            all.add(new Stands(sees ? job : timesOnly.of(job, names), own, !own.equals(day), past, sees));
            day = own;
        }
        return all;
    }

    private String next(boolean nothing) {
        return shelf.untilChairIn()
                .map(t -> Words.span(t.toMinutes()) + " until the next chair-in.")
                .orElse(nothing ? "Nothing stands here yet." : "No chair-in is due.");
    }
}
