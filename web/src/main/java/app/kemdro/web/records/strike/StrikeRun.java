package app.kemdro.web.records.strike;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import java.time.LocalDateTime;
import org.jspecify.annotations.Nullable;

/** One taking off, as it really went. */
@Entity
public class StrikeRun {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    private long jobId;
    private @Nullable Long runId;
    private LocalDateTime beganAt = LocalDateTime.MIN;
    private @Nullable LocalDateTime endedAt;
    private boolean urgent;

    /** Look and brief that come off, as JSON; empty where a run says it. */
    @Lob
    private String look = "";

    @Lob
    private String brief = "";

    /** The schedule people have in mind now, as JSON. */
    @Lob
    private String standing = "";

    private @Nullable Long performerId;

    protected StrikeRun() {}

    StrikeRun(long jobId, @Nullable Long runId, LocalDateTime beganAt, boolean urgent, String look, String brief) {
        this.jobId = jobId;
        this.runId = runId;
        this.beganAt = beganAt;
        this.urgent = urgent;
        this.look = look;
        this.brief = brief;
    }

    long id() {
        if (id == null) {
            throw new IllegalStateException("The strike is not stored yet");
        }
        return id;
    }

    void takenOff(long performer) {
        this.performerId = performer;
    }

    long jobId() {
        return jobId;
    }

    @Nullable
    Long runId() {
        return runId;
    }

    public LocalDateTime beganAt() {
        return beganAt;
    }

    public @Nullable LocalDateTime endedAt() {
        return endedAt;
    }

    public boolean urgent() {
        return urgent;
    }

    String look() {
        return look;
    }

    String brief() {
        return brief;
    }

    void forget(String newBrief) {
        this.brief = newBrief;
    }

    String standing() {
        return standing;
    }

    void stand(String schedule) {
        this.standing = schedule;
    }

    void end(LocalDateTime at) {
        this.endedAt = at;
    }
}
