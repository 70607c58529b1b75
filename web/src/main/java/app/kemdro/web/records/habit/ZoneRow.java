package app.kemdro.web.records.habit;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.ZoneId;

/** Where the house is, as stored; there is one row or none. */
@Entity
@Table(name = "house_zone")
class ZoneRow {
    static final int ONLY = 1;

    @Id
    private int id = ONLY;

    private String zone = "";

    protected ZoneRow() {}

    ZoneRow(ZoneId zone) {
        this.zone = zone.getId();
    }

    ZoneId zone() {
        return ZoneId.of(zone);
    }
}
