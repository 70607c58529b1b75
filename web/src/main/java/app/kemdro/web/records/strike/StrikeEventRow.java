package app.kemdro.web.records.strike;

import app.kemdro.core.run.RunEvent;
import app.kemdro.web.records.run.Reported;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;

/** Something that happened while it came off. */
@Entity
@Table(name = "strike_event")
class StrikeEventRow extends Reported {
    private long strikeId;

    protected StrikeEventRow() {}

    StrikeEventRow(long strikeId, RunEvent event, String byAccount) {
        super(event, byAccount);
        this.strikeId = strikeId;
    }
}
