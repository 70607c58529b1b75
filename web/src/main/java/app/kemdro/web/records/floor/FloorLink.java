package app.kemdro.web.records.floor;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.LocalDateTime;
import org.jspecify.annotations.Nullable;

/** A secret address at which anybody may read when it will be ready, until it is taken back. */
@Entity
public class FloorLink {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    private long jobId;
    private String secret = "";
    private boolean names;
    private LocalDateTime madeAt = LocalDateTime.MIN;
    private @Nullable LocalDateTime revokedAt;

    protected FloorLink() {}

    FloorLink(long jobId, String secret, boolean names, LocalDateTime madeAt) {
        this.jobId = jobId;
        this.secret = secret;
        this.names = names;
        this.madeAt = madeAt;
    }

    public long id() {
        return id == null ? 0 : id;
    }

    public long jobId() {
        return jobId;
    }

    public String secret() {
        return secret;
    }

    /** Whether character and performer are named; else their initials stand there. */
    public boolean names() {
        return names;
    }

    public LocalDateTime madeAt() {
        return madeAt;
    }

    boolean isOpen() {
        return revokedAt == null;
    }

    void revoke(LocalDateTime at) {
        revokedAt = at;
    }
}
