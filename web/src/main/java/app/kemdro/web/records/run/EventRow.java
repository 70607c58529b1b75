package app.kemdro.web.records.run;

import app.kemdro.core.run.RunEvent;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;

/** An event of a run as stored. */
@Entity
@Table(name = "run_event")
class EventRow extends Reported {
    private long runId;

    protected EventRow() {}

    EventRow(long runId, RunEvent event, String byAccount) {
        super(event, byAccount);
        this.runId = runId;
    }
}
