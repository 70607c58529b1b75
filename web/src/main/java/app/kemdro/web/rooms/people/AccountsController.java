package app.kemdro.web.rooms.people;

import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.account.Account;
import app.kemdro.web.records.account.Accounts;
import app.kemdro.web.records.account.SignedIn;
import app.kemdro.web.records.deed.Deed;
import app.kemdro.web.records.deed.Deed.About;
import app.kemdro.web.records.deed.Deeds;
import app.kemdro.web.records.habit.Habits;
import app.kemdro.web.rooms.Rooms;
import java.security.Principal;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** What a lead does with accounts that are there: another password, another role, no account any more; and the record of who did what. */
@Controller
class AccountsController {
    private final Accounts accounts;
    private final SignedIn signedIn;
    private final Habits habits;
    private final Deeds deeds;

    AccountsController(Accounts accounts, SignedIn signedIn, Habits habits, Deeds deeds) {
        this.accounts = accounts;
        this.signedIn = signedIn;
        this.habits = habits;
        this.deeds = deeds;
    }

    @PostMapping("/people/accounts/{name}/password")
    String reset(@PathVariable String name, @RequestParam String password, RedirectAttributes after) {
        return done(after, () -> {
            accounts.resetPassword(name, password);
            signedIn.end(name);
            deeds.did(About.ACCOUNT, "gave " + name + " another password");
            return called(name)
                    + " signs in with the new password from now on; where they were signed in, they no longer are.";
        });
    }

    @PostMapping("/people/accounts/{name}/role")
    String role(@PathVariable String name, @RequestParam Account.Role role, RedirectAttributes after) {
        return done(after, () -> {
            accounts.changeRole(name, role);
            signedIn.end(name);
            String says = role.name().toLowerCase(Locale.ROOT);
            deeds.did(About.ACCOUNT, "made " + name + " " + says);
            return called(name) + " is " + says + " from now on, and signs in again.";
        });
    }

    @PostMapping("/people/accounts/{name}/names")
    String names(@PathVariable String name, @RequestParam boolean allowed, RedirectAttributes after) {
        return done(after, () -> {
            accounts.allowNames(name, allowed);
            deeds.did(
                    About.ACCOUNT,
                    allowed ? "let " + name + " read who sits" : "let " + name + " no longer read who sits");
            return called(name)
                    + (allowed ? " reads on the shelf who sits." : " no longer reads who sits, only the times.");
        });
    }

    @PostMapping("/people/accounts/{name}/remove")
    String remove(@PathVariable String name, Principal who, RedirectAttributes after) {
        return done(after, () -> {
            String called = called(name);
            if (who.getName().equals(name)) {
                throw new IllegalArgumentException(
                        "Nobody takes their own account away; ask another lead, so that somebody is left who knows.");
            }
            accounts.remove(name);
            signedIn.end(name);
            habits.forget(name);
            deeds.did(About.ACCOUNT, "took the account of " + name + " away");
            return called + " can no longer sign in. What they did stays under their name.";
        });
    }

    private static String done(RedirectAttributes after, Supplier<String> change) {
        try {
            after.addFlashAttribute(Rooms.CHANGE, change.get());
        } catch (IllegalArgumentException wrong) {
            after.addFlashAttribute("refused", wrong.getMessage());
        }
        return "redirect:/people";
    }

    private String called(String name) {
        return accounts.known(name).getDisplayName();
    }

    /** Something that was done, in a line. */
    record Line(String when, String who, String what) {}

    @GetMapping("/people/record")
    String record(@RequestParam Optional<About> about, Model model) {
        model.addAttribute("kinds", About.values());
        model.addAttribute("about", about.orElse(null));
        model.addAttribute("lines", lines(deeds.latest(about)));
        return "rooms/people/record";
    }

    private static List<Line> lines(List<Deed> deeds) {
        return deeds.stream()
                .map(d -> new Line(Words.moment(d.doneAt()), d.who(), d.what()))
                .toList();
    }
}
