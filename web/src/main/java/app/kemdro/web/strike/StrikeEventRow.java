package app.kemdro.web.strike;

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

/** Something that happened while it came off; only ever added. */
@Entity
@Table(name = "strike_event")
class StrikeEventRow {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long seq;

    private long strikeId;
    private String eventId = "";
    private LocalDateTime atTime = LocalDateTime.MIN;
    private String hands = "";

    @Enumerated(EnumType.STRING)
    private RunEvent.Type type = RunEvent.Type.NOTE;

    private String step = "";
    private int seconds;
    private String text = "";
    private String byAccount = "";

    protected StrikeEventRow() {}

    StrikeEventRow(long strikeId, RunEvent event, String byAccount) {
        this.strikeId = strikeId;
        this.eventId = event.id();
        this.atTime = event.at();
        this.hands = event.hands();
        this.type = event.type();
        this.step = event.step();
        this.seconds = event.seconds();
        this.text = event.text();
        this.byAccount = byAccount;
    }

    RunEvent event() {
        return new RunEvent(eventId, atTime, hands, type, step, seconds, 0, text);
    }
}
