package app.kemdro.web.records.account;

import java.util.List;
import java.util.Locale;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.userdetails.User;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps accounts and checks what a new one must satisfy. */
@Service
public class Accounts implements UserDetailsService {
    private static final int SHORTEST_PASSWORD = 8;

    private final AccountRepository repository;
    private final PasswordEncoder passwords;

    Accounts(AccountRepository repository, PasswordEncoder passwords) {
        this.repository = repository;
        this.passwords = passwords;
    }

    @Override
    public UserDetails loadUserByUsername(String name) {
        Account account = repository
                .findByName(name.strip().toLowerCase(Locale.ROOT))
                .orElseThrow(() -> new UsernameNotFoundException("No such account"));
        return User.withUsername(account.getName())
                .password(account.getPasswordHash())
                .roles(account.getRole().name())
                .build();
    }

    /** Whether this is a lead, who may everything. */
    public static boolean isLead(Authentication who) {
        return has(who, Account.Role.LEAD);
    }

    /** Whether these are hands. */
    public static boolean isHands(Authentication who) {
        return has(who, Account.Role.HANDS);
    }

    private static boolean has(Authentication who, Account.Role role) {
        return who.getAuthorities().stream().anyMatch(a -> ("ROLE_" + role).equals(a.getAuthority()));
    }

    /** Who is called how, as it is now. */
    public Called called() {
        return new Called(all());
    }

    /** Whether anybody signs in under this name. */
    public boolean isThere(String account) {
        return repository.findByName(account).isPresent();
    }

    public boolean isEmpty() {
        return repository.count() == 0;
    }

    public List<Account> all() {
        return repository.findAllByOrderByName();
    }

    /**
     * Adds an account.
     *
     * @throws IllegalArgumentException saying what is wrong with the name or the password
     */
    @Transactional
    public void add(String name, String displayName, String password, Account.Role role) {
        String key = name.strip().toLowerCase(Locale.ROOT);
        if (!key.matches("[a-z0-9._-]{2,40}")) {
            throw new IllegalArgumentException(
                    "The sign-in name takes 2 to 40 letters, digits, dots or dashes; write it without spaces.");
        }
        if (displayName.isBlank() || displayName.length() > 80) {
            throw new IllegalArgumentException("Say the name people call this person, up to 80 letters.");
        }
        if (password.length() < SHORTEST_PASSWORD || password.length() > 100) {
            throw new IllegalArgumentException("The password needs 8 to 100 characters.");
        }
        if (repository.findByName(key).isPresent()) {
            throw new IllegalArgumentException("Somebody already signs in as " + key + "; choose another name.");
        }
        Called house = called();
        if (house.who(displayName.strip()).isPresent()
                || all().stream().anyMatch(a -> a.getDisplayName().equalsIgnoreCase(key))) {
            throw new IllegalArgumentException("Somebody is already called " + displayName.strip()
                    + "; jobs go by that name, so give this one another.");
        }
        save(key, displayName.strip(), encoded(password), role);
    }

    /** What is kept of a password; slow on purpose. */
    String encoded(String password) {
        return String.valueOf(passwords.encode(password));
    }

    @Transactional
    void save(String key, String displayName, String hash, Account.Role role) {
        repository.save(new Account(key, displayName, hash, role));
    }
}
