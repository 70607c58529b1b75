package app.kemdro.web.records.run;

import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.Stamp;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDateTime;
import org.jspecify.annotations.Nullable;

/** An event of a run, or of a strike, as stored; rows are only ever added. */
@Entity
@Table(name = "run_event")
class EventRow {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long seq;

    private @Nullable Long runId;
    private @Nullable Long strikeId;
    private String eventId = "";
    private LocalDateTime atTime = LocalDateTime.MIN;
    private String hands = "";
    private String kind = "";
    private int version = EventFormat.VERSION;

    /** The fields of its kind, as JSON in that version. */
    private String fields = "";

    private String byAccount = "";
    private String device = "";

    protected EventRow() {}

    EventRow(Course course, RunEvent event, EventFormat format, String byAccount) {
        this.runId = course.run();
        this.strikeId = course.strike();
        this.eventId = event.id();
        this.atTime = event.at();
        this.hands = event.hands();
        this.device = event.device();
        this.byAccount = byAccount;
        this.kind = EventFormat.kind(event);
        this.fields = format.text(format.fields(event));
    }

    /** Says the same thing in other words, in today's form. */
    void say(RunEvent other, EventFormat format) {
        this.version = EventFormat.VERSION;
        this.fields = format.text(format.fields(other));
    }

    RunEvent event(EventFormat format) {
        return format.stored(kind, version, new Stamp(eventId, atTime, hands, device), fields);
    }
}
