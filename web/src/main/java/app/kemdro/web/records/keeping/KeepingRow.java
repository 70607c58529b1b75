package app.kemdro.web.records.keeping;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** How the house keeps itself, as stored; there is one row or none. */
@Entity
@Table(name = "keeping")
class KeepingRow {
    static final int ONLY = 1;

    /** How many backups are kept where nobody says otherwise: two weeks of nights. */
    static final int USUAL = 14;

    @Id
    private int id = ONLY;

    private int backups;

    protected KeepingRow() {}

    KeepingRow(int backups) {
        this.backups = backups;
    }

    int backups() {
        return backups;
    }
}
