package app.kemdro.web.records.habit;

import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import org.jspecify.annotations.Nullable;

/** What one account chose, or the house. */
@Entity
@Table(name = "habit")
class HabitRow {
    /** The house's own row: no account is called so. */
    static final String HOUSE = "";

    @Id
    private String account = HOUSE;

    @Embedded
    private @Nullable Choice choice;

    protected HabitRow() {}

    HabitRow(String account, Choice choice) {
        this.account = account;
        this.choice = choice;
    }

    String account() {
        return account;
    }

    /** None chosen is none stored. */
    Choice choice() {
        return choice == null ? Choice.NONE : choice;
    }
}
