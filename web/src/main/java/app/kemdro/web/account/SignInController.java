package app.kemdro.web.account;

import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Signing in, the first lead of an empty installation, and adding people. */
@Controller
class SignInController {
    private final Accounts accounts;
    private final Optional<DemoAccounts> demo;

    SignInController(Accounts accounts, Optional<DemoAccounts> demo) {
        this.accounts = accounts;
        this.demo = demo;
    }

    @GetMapping("/sign-in")
    String signIn(Model model) {
        if (accounts.isEmpty()) {
            return "redirect:/first-lead";
        }
        model.addAttribute("offers", demo.map(DemoAccounts::offers).orElse(List.of()));
        model.addAttribute("demoPassword", DemoAccounts.PASSWORD);
        return "account/sign-in";
    }

    @GetMapping("/first-lead")
    String firstLead() {
        return accounts.isEmpty() ? "account/first-lead" : "redirect:/sign-in";
    }

    @PostMapping("/first-lead")
    String createFirstLead(
            @RequestParam String name, @RequestParam String displayName, @RequestParam String password, Model model) {
        if (!accounts.isEmpty()) {
            return "redirect:/sign-in";
        }
        return add(name, displayName, password, Account.Role.LEAD, model, "redirect:/sign-in", "account/first-lead");
    }

    @GetMapping("/accounts")
    String people(Model model) {
        model.addAttribute("accounts", accounts.all());
        return "account/people";
    }

    @PostMapping("/accounts")
    String addPerson(
            @RequestParam String name,
            @RequestParam String displayName,
            @RequestParam String password,
            @RequestParam Account.Role role,
            Model model) {
        model.addAttribute("accounts", accounts.all());
        return add(name, displayName, password, role, model, "redirect:/accounts", "account/people");
    }

    private String add(
            String name,
            String displayName,
            String password,
            Account.Role role,
            Model model,
            String done,
            String again) {
        try {
            accounts.add(name, displayName, password, role);
            return done;
        } catch (IllegalArgumentException wrong) {
            model.addAttribute("wrong", wrong.getMessage());
            model.addAttribute("name", name);
            model.addAttribute("displayName", displayName);
            model.addAttribute("role", role);
            return again;
        }
    }
}
