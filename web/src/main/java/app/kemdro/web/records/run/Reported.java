package app.kemdro.web.records.run;

import app.kemdro.core.run.RunEvent;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.MappedSuperclass;
import java.time.LocalDateTime;
import org.jspecify.annotations.Nullable;

/** An event as stored; rows are only ever added. */
@MappedSuperclass
public abstract class Reported {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long seq;

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

    protected Reported() {}

    /** An event that this account reported. */
    protected Reported(RunEvent event, String byAccount) {
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

    public RunEvent event() {
        return new RunEvent(eventId, atTime, hands, type, step, seconds, mode, text, device);
    }
}
