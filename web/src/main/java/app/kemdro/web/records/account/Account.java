package app.kemdro.web.records.account;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import org.jspecify.annotations.Nullable;

/** Somebody who may sign in. */
@Entity
public class Account {
    /** What an account may do. */
    public enum Role {
        LEAD,
        HANDS,
        FLOOR
    }

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    private String name = "";
    private String displayName = "";
    private String passwordHash = "";

    @Enumerated(EnumType.STRING)
    private Role role = Role.HANDS;

    private boolean names;

    protected Account() {}

    Account(String name, String displayName, String passwordHash, Role role) {
        this.name = name;
        this.displayName = displayName;
        this.passwordHash = passwordHash;
        this.role = role;
    }

    public String getName() {
        return name;
    }

    public String getDisplayName() {
        return displayName;
    }

    String getPasswordHash() {
        return passwordHash;
    }

    public Role getRole() {
        return role;
    }

    /** Whether somebody of the floor reads on the shelf who sits; leads and hands need no leave for what they see. */
    public boolean isNamesAllowed() {
        return role == Role.FLOOR && names;
    }

    void passwordIs(String hash) {
        passwordHash = hash;
    }

    void roleIs(Role other) {
        role = other;
        names = false;
    }

    void namesAre(boolean allowed) {
        names = allowed;
    }
}
