package app.kemdro.web.chair;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import java.time.LocalDateTime;
import org.jspecify.annotations.Nullable;

/** One morning in the chair. */
@Entity
public class Run {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    private long jobId;
    private LocalDateTime beganAt = LocalDateTime.MIN;
    private LocalDateTime callAt = LocalDateTime.MIN;
    private @Nullable LocalDateTime endedAt;

    /** Look, brief and schedule as they were when it began, as JSON. */
    @Lob
    private String look = "";

    @Lob
    private String brief = "";

    @Lob
    private String planned = "";

    /** The schedule people have in mind now, as JSON. */
    @Lob
    private String standing = "";

    protected Run() {}

    Run(long jobId, LocalDateTime beganAt, LocalDateTime callAt, String look, String brief, String planned) {
        this.jobId = jobId;
        this.beganAt = beganAt;
        this.callAt = callAt;
        this.look = look;
        this.brief = brief;
        this.planned = planned;
        this.standing = planned;
    }

    public long id() {
        if (id == null) {
            throw new IllegalStateException("The run is not stored yet");
        }
        return id;
    }

    public long jobId() {
        return jobId;
    }

    public LocalDateTime beganAt() {
        return beganAt;
    }

    /** The call it works towards. */
    public LocalDateTime callAt() {
        return callAt;
    }

    public @Nullable LocalDateTime endedAt() {
        return endedAt;
    }

    String look() {
        return look;
    }

    String brief() {
        return brief;
    }

    String planned() {
        return planned;
    }

    String standing() {
        return standing;
    }

    void stand(String standing) {
        this.standing = standing;
    }

    void end(LocalDateTime at) {
        this.endedAt = at;
    }
}
