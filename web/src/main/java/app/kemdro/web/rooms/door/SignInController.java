package app.kemdro.web.rooms.door;

import app.kemdro.web.records.account.Accounts;
import app.kemdro.web.records.account.DemoAccounts;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Signing in, and the first lead of an empty installation. */
@Controller
class SignInController {
    private final Accounts accounts;
    private final DemoAccounts demo;
    private final boolean ownCertificate;

    SignInController(Accounts accounts, DemoAccounts demo, @Value("${kemdro.certificate}") String certificate) {
        this.accounts = accounts;
        this.demo = demo;
        this.ownCertificate = !certificate.isEmpty();
    }

    @GetMapping("/sign-in")
    String signIn(@RequestParam(defaultValue = "0") int wait, Model model) {
        if (accounts.isEmpty()) {
            return "redirect:/first-lead";
        }
        model.addAttribute("wait", wait < 60 ? wait + " s" : (wait + 59) / 60 + " min");
        model.addAttribute("ownCertificate", ownCertificate);
        model.addAttribute("offers", demo.offers());
        model.addAttribute("demoPassword", DemoAccounts.PASSWORD);
        return "rooms/door/sign-in";
    }

    @GetMapping("/first-lead")
    String firstLead() {
        return accounts.isEmpty() ? "rooms/door/first-lead" : "redirect:/sign-in";
    }

    @PostMapping("/first-lead")
    String createFirstLead(
            @RequestParam String name, @RequestParam String displayName, @RequestParam String password, Model model) {
        try {
            accounts.addFirstLead(name, displayName, password);
            return "redirect:/sign-in";
        } catch (IllegalArgumentException wrong) {
            model.addAttribute("wrong", wrong.getMessage());
            model.addAttribute("name", name);
            model.addAttribute("displayName", displayName);
            return "rooms/door/first-lead";
        }
    }
}
