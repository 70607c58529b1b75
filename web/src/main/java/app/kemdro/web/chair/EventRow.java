package app.kemdro.web.chair;

import app.kemdro.core.run.RunEvent;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDateTime;
import org.jspecify.annotations.Nullable;

/** An event of a run as stored. */
@Entity
@Table(name = "run_event")
class EventRow {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long seq;

    private long runId;
    private String eventId = "";
    private LocalDateTime atTime = LocalDateTime.MIN;
    private String hands = "";

    @Enumerated(EnumType.STRING)
    private RunEvent.Type type = RunEvent.Type.NOTE;

    private String step = "";
    private int seconds;
    private int mode;
    private String text = "";
    private String byAccount = "";
    private String device = "";

    protected EventRow() {}

    EventRow(long runId, RunEvent event, String byAccount) {
        this.runId = runId;
        this.eventId = event.id();
        this.atTime = event.at();
        this.hands = event.hands();
        this.type = event.type();
        this.step = event.step();
        this.seconds = event.seconds();
        this.mode = event.mode();
        this.text = event.text();
        this.byAccount = byAccount;
        this.device = event.device();
    }

    void say(String other) {
        this.text = other;
    }

    RunEvent event() {
        return new RunEvent(eventId, atTime, hands, type, step, seconds, mode, text, device);
    }
}
