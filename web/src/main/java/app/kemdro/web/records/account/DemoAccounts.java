package app.kemdro.web.records.account;

import app.kemdro.web.records.account.Account.Role;
import java.util.List;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** The invented accounts of the demo, offered on its sign-in page; outside the demo there are none. */
@Component
public class DemoAccounts {
    /** One password for all: the demo holds nothing worth guarding. */
    public static final String PASSWORD = "bell-founder";

    private static final List<Offer> OFFERS = List.of(
            new Offer("ines", "Ines Dorval", "leads: can do everything", Role.LEAD),
            new Offer("pell", "Pell Okonra", "hands: runs the chair, sees the plan", Role.HANDS),
            new Offer("floor", "The floor", "sees the shelf only", Role.FLOOR));

    private final Accounts accounts;
    private final boolean demo;

    DemoAccounts(Accounts accounts, @Value("${kemdro.demo}") boolean demo) {
        this.accounts = accounts;
        this.demo = demo;
    }

    /** An account as it is offered. */
    public record Offer(String name, String displayName, String says, Role role) {}

    public List<Offer> offers() {
        return demo ? OFFERS : List.of();
    }

    /** Makes them if they are missing. */
    public void ensure() {
        if (demo && accounts.isEmpty()) {
            String hash = accounts.encoded(PASSWORD);
            OFFERS.forEach(o -> accounts.save(o.name(), o.displayName(), hash, o.role()));
        }
    }
}
