package app.kemdro.web.rooms.door;

import app.kemdro.web.records.account.Accounts;
import app.kemdro.web.records.account.SignedIn;
import app.kemdro.web.records.deed.Deed.About;
import app.kemdro.web.records.deed.Deeds;
import jakarta.servlet.http.HttpServletRequest;
import java.security.Principal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** One's own password. */
@Controller
class PasswordController {
    private final Accounts accounts;
    private final SignedIn signedIn;
    private final Deeds deeds;

    PasswordController(Accounts accounts, SignedIn signedIn, Deeds deeds) {
        this.accounts = accounts;
        this.signedIn = signedIn;
        this.deeds = deeds;
    }

    @GetMapping("/password")
    String password(Principal who, Model model) {
        model.addAttribute("name", who.getName());
        return "rooms/door/password";
    }

    @PostMapping("/password")
    String change(
            @RequestParam String old,
            @RequestParam String wanted,
            Principal who,
            HttpServletRequest request,
            Model model) {
        try {
            accounts.changePassword(who.getName(), old, wanted);
            signedIn.endBut(who.getName(), request.getSession().getId());
            deeds.did(About.ACCOUNT, "changed their own password");
            model.addAttribute(
                    "done", "The new password counts from now on. Everywhere else you have to sign in again.");
        } catch (IllegalArgumentException wrong) {
            model.addAttribute("wrong", wrong.getMessage());
        }
        return password(who, model);
    }
}
