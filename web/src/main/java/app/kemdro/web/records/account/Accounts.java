package app.kemdro.web.records.account;

import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.userdetails.User;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsPasswordService;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps accounts and checks what a new one must satisfy. */
@Service
public class Accounts implements UserDetailsService, UserDetailsPasswordService {
    private final AccountRepository repository;
    private final PasswordEncoder encoder;
    private final PasswordRules rules;

    Accounts(AccountRepository repository, PasswordEncoder encoder, PasswordRules rules) {
        this.repository = repository;
        this.encoder = encoder;
        this.rules = rules;
    }

    @Override
    public UserDetails loadUserByUsername(String name) {
        Account account =
                repository.findByName(key(name)).orElseThrow(() -> new UsernameNotFoundException("No such account"));
        return User.withUsername(account.getName())
                .password(account.getPasswordHash())
                .roles(account.getRole().name())
                .build();
    }

    /** The name an account goes by, however it was typed. */
    public static String key(String typed) {
        return typed.strip().toLowerCase(Locale.ROOT);
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

    /** Whether somebody reads who sits for jobs they do not work on. */
    public boolean readsNames(Authentication who) {
        return isLead(who)
                || has(who, Account.Role.FLOOR)
                        && repository
                                .findByName(who.getName())
                                .filter(Account::isNamesAllowed)
                                .isPresent();
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
        String key = key(name);
        if (!key.matches("[a-z0-9._-]{2,40}")) {
            throw new IllegalArgumentException(
                    "The sign-in name takes 2 to 40 letters, digits, dots or dashes; write it without spaces.");
        }
        if (displayName.isBlank() || displayName.length() > 80) {
            throw new IllegalArgumentException("Say the name people call this person, up to 80 letters.");
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
        rules.check(password, own(key, displayName));
        save(key, displayName.strip(), encoded(password), role);
    }

    /**
     * Adds the first lead of an empty house, whatever happens at the same moment.
     *
     * @return whether this became the first; false where there was one already
     * @throws IllegalArgumentException saying what is wrong with the name or the password
     */
    public synchronized boolean addFirstLead(String name, String displayName, String password) {
        if (!isEmpty()) {
            return false;
        }
        add(name, displayName, password, Account.Role.LEAD);
        return true;
    }

    /**
     * Changes one's own password.
     *
     * @throws IllegalArgumentException saying what is wrong with the old or the new one
     */
    @Transactional
    public void changePassword(String name, String old, String wanted) {
        Account account = known(name);
        if (!encoder.matches(old, account.getPasswordHash())) {
            throw new IllegalArgumentException("That is not the password you sign in with; nothing was changed.");
        }
        if (old.equals(wanted)) {
            throw new IllegalArgumentException("The new password is the old one; choose another, or leave it.");
        }
        give(account, wanted);
    }

    /**
     * Gives somebody another password, as a lead may.
     *
     * @throws IllegalArgumentException saying what is wrong
     */
    @Transactional
    public void resetPassword(String name, String wanted) {
        give(known(name), wanted);
    }

    private void give(Account account, String password) {
        rules.check(password, own(account.getName(), account.getDisplayName()));
        account.passwordIs(encoded(password));
        repository.save(account);
    }

    private static List<String> own(String name, String displayName) {
        return Stream.concat(
                        Stream.of(name, displayName.strip(), "kemdro"),
                        Stream.of(displayName.strip().split("\\s+")))
                .toList();
    }

    /**
     * Lets somebody do more or less than before.
     *
     * @throws IllegalArgumentException where no lead would be left
     */
    public synchronized void changeRole(String name, Account.Role role) {
        Account account = known(name);
        if (role != Account.Role.LEAD) {
            leadIsLeft(account);
        }
        account.roleIs(role);
        repository.save(account);
    }

    /**
     * Lets somebody of the floor read who sits, or no longer.
     *
     * @throws IllegalArgumentException where this is nobody of the floor
     */
    @Transactional
    public void allowNames(String name, boolean allowed) {
        Account account = known(name);
        if (account.getRole() != Account.Role.FLOOR) {
            throw new IllegalArgumentException(account.getDisplayName()
                    + " is not of the floor; leads and hands read the names of the jobs they see.");
        }
        account.namesAre(allowed);
        repository.save(account);
    }

    /**
     * Takes an account away. What they did stays, under the name they had.
     *
     * @throws IllegalArgumentException where no lead would be left
     */
    public synchronized void remove(String name) {
        Account account = known(name);
        leadIsLeft(account);
        repository.delete(account);
    }

    private void leadIsLeft(Account without) {
        if (without.getRole() == Account.Role.LEAD && repository.countByRole(Account.Role.LEAD) < 2) {
            throw new IllegalArgumentException(without.getDisplayName()
                    + " is the only lead; let somebody else lead first, or nobody could let anybody in.");
        }
    }

    /**
     * The account that signs in with this name.
     *
     * @throws IllegalArgumentException where there is none
     */
    public Account known(String name) {
        return repository
                .findByName(name)
                .orElseThrow(() -> new IllegalArgumentException("Nobody signs in as " + name + " any more."));
    }

    /** A hash made as it is made today, in place of one that was made otherwise; the password is the same. */
    @Override
    @Transactional
    public UserDetails updatePassword(UserDetails user, @Nullable String hash) {
        repository.findByName(user.getUsername()).ifPresent(a -> {
            a.passwordIs(String.valueOf(hash));
            repository.save(a);
        });
        return loadUserByUsername(user.getUsername());
    }

    /** What is kept of a password; slow on purpose. */
    String encoded(String password) {
        return String.valueOf(encoder.encode(password));
    }

    @Transactional
    void save(String key, String displayName, String hash, Account.Role role) {
        repository.save(new Account(key, displayName, hash, role));
    }
}
