package app.kemdro.web.records.account;

import java.util.List;
import java.util.Optional;

/**
 * Who of the house is called how: by the name they sign in with, by their full name, or by their first name where nobody else has
 * it.
 *
 * @param house everybody who signs in
 */
public record Called(List<Account> house) {
    /** Whether somebody who signs in with this name is who is called so. */
    public boolean is(String account, String name) {
        return account.equalsIgnoreCase(name)
                || house.stream()
                        .filter(a -> a.getName().equals(account))
                        .findFirst()
                        .map(a -> a.getDisplayName().equalsIgnoreCase(name) || isFirstNameOfOne(a, name))
                        .orElse(false);
    }

    /** Whoever is called so. */
    public Optional<Account> who(String name) {
        return house.stream().filter(a -> is(a.getName(), name)).findFirst();
    }

    /** The full name of whoever is called so; the name itself where nobody is. */
    public String fullName(String name) {
        return who(name).map(Account::getDisplayName).orElse(name);
    }

    /** Whether somebody is meant by their first name, and nobody else of the house has it. */
    private boolean isFirstNameOfOne(Account account, String name) {
        return isFirstName(account, name)
                && house.stream().filter(a -> isFirstName(a, name)).count() == 1;
    }

    private static boolean isFirstName(Account account, String name) {
        return account.getDisplayName().split(" ")[0].equalsIgnoreCase(name.strip());
    }
}
