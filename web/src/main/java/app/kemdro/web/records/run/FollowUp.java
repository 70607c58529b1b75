package app.kemdro.web.records.run;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.LocalDateTime;
import org.jspecify.annotations.Nullable;

/** Something that follows from a report and is still to be done. */
@Entity
class FollowUp {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long seq;

    private long runId;
    private String press = "";
    private String follower = "";
    private int tries;
    private LocalDateTime dueAt = LocalDateTime.MIN;

    protected FollowUp() {}

    FollowUp(long runId, String press, String follower, LocalDateTime dueAt) {
        this.runId = runId;
        this.press = press;
        this.follower = follower;
        this.dueAt = dueAt;
    }

    long seq() {
        if (seq == null) {
            throw new IllegalStateException("It is not stored yet");
        }
        return seq;
    }

    long runId() {
        return runId;
    }

    String press() {
        return press;
    }

    String follower() {
        return follower;
    }

    int tries() {
        return tries;
    }

    void failed(LocalDateTime again) {
        this.tries++;
        this.dueAt = again;
    }
}
