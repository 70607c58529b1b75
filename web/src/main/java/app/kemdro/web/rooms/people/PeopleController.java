package app.kemdro.web.rooms.people;

import app.kemdro.core.learn.Pace;
import app.kemdro.core.look.Brief.Hands;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.account.Account;
import app.kemdro.web.records.account.Accounts;
import app.kemdro.web.records.account.Called;
import app.kemdro.web.records.deed.Deed.About;
import app.kemdro.web.records.deed.Deeds;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.job.SitsFor;
import app.kemdro.web.records.learning.OwnPace;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Everybody of the house: who sits, whose hands there are, who may sign in. */
@Controller
class PeopleController {
    private static final int A_DAY = 20;

    private final Jobs jobs;
    private final Accounts accounts;
    private final OwnPace paces;
    private final Deeds deeds;

    PeopleController(Jobs jobs, Accounts accounts, OwnPace paces, Deeds deeds) {
        this.deeds = deeds;
        this.jobs = jobs;
        this.accounts = accounts;
        this.paces = paces;
    }

    /** Somebody who sits, in a line; what is known of their health is on a page of its own. */
    record Sitter(long id, String name, String sitsFor) {
        private static final int NAMED = 3;

        static Sitter of(List<SitsFor> one) {
            List<String> titles =
                    one.stream().flatMap(s -> Stream.ofNullable(s.title())).toList();
            int first = Math.max(0, titles.size() - NAMED);
            return new Sitter(
                    one.get(0).performer(),
                    one.get(0).name(),
                    titles.isEmpty()
                            ? "sits for no job"
                            : String.join("; ", titles.subList(first, titles.size()))
                                    + (first == 0 ? "" : "; and " + first + " before"));
        }
    }

    /** Somebody who works, in a line: skill and hours as the last job has them. */
    record Artist(String name, String skill, String signsIn, String jobs, String pace) {}

    @GetMapping("/people")
    String people(Model model) {
        Map<Long, List<SitsFor>> sitting = jobs.sitting().stream()
                .collect(Collectors.groupingBy(SitsFor::performer, LinkedHashMap::new, Collectors.toList()));
        model.addAttribute("sitters", sitting.values().stream().map(Sitter::of).toList());
        model.addAttribute("artists", artists());
        model.addAttribute("accounts", accounts.all());
        model.addAttribute("roles", Account.Role.values());
        return "rooms/people/people";
    }

    /** Hands of any job, under the name of their account where they have one, with what jobs say of their skill and hours. */
    private List<Artist> artists() {
        Called called = accounts.called();
        Map<String, List<Hands>> known = new TreeMap<>(String.CASE_INSENSITIVE_ORDER);
        jobs.working()
                .forEach(h -> known.computeIfAbsent(called.fullName(h.name()), k -> new ArrayList<>())
                        .add(h));
        List<Pace> believed = paces.of(List.copyOf(known.keySet()));
        List<Artist> artists = new ArrayList<>();
        known.forEach((name, hands) -> artists.add(new Artist(
                name,
                skills(hands) + ", " + hours(hands.get(hands.size() - 1)),
                called.who(name).map(a -> "signs in as " + a.getName()).orElse("does not sign in"),
                hands.size() == 1 ? "one job" : hands.size() + " jobs",
                OwnPace.says(believed.get(artists.size())))));
        return artists;
    }

    /** Every skill that a brief gives them; which of them counts, the job says. */
    private static String skills(List<Hands> hands) {
        return hands.stream()
                .map(h -> h.skill().name().toLowerCase(Locale.ROOT))
                .distinct()
                .collect(Collectors.joining(
                        " or ", "", hands.stream().map(Hands::skill).distinct().count() > 1 ? ", by the job" : ""));
    }

    /** Blank hours in a brief are a whole day; an hour each would say nothing. */
    private static String hours(Hands hands) {
        return Duration.between(hands.from(), hands.until()).toHours() >= A_DAY
                ? "any hour"
                : Words.hour(hands.from()) + " to " + Words.hour(hands.until());
    }

    @PostMapping("/people/accounts")
    String letIn(
            @RequestParam String name,
            @RequestParam String displayName,
            @RequestParam String password,
            @RequestParam Account.Role role,
            Model model) {
        try {
            accounts.add(name, displayName, password, role);
            deeds.did(
                    About.ACCOUNT,
                    "let " + name.strip() + " in as " + role.name().toLowerCase(Locale.ROOT));
            return "redirect:/people";
        } catch (IllegalArgumentException wrong) {
            Map<String, Object> typed = new LinkedHashMap<>();
            typed.put("wrong", wrong.getMessage());
            typed.put("name", name);
            typed.put("displayName", displayName);
            typed.put("role", role);
            model.addAllAttributes(typed);
            return people(model);
        }
    }
}
