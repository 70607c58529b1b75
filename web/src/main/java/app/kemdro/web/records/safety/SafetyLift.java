package app.kemdro.web.records.safety;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.LocalDateTime;
import org.jspecify.annotations.Nullable;

/** A block that a lead lifted, and why. */
@Entity
class SafetyLift {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    private long jobId;
    private String finding = "";
    private String reason = "";
    private String liftedBy = "";
    private @Nullable LocalDateTime liftedAt;

    protected SafetyLift() {}

    SafetyLift(long jobId, String finding, String reason, String liftedBy, LocalDateTime liftedAt) {
        this.jobId = jobId;
        this.finding = finding;
        this.reason = reason;
        this.liftedBy = liftedBy;
        this.liftedAt = liftedAt;
    }

    String finding() {
        return finding;
    }

    /** "Ines, 26 November 09:12: both nostrils are open." */
    String said() {
        return "%s, %te %<tB %<tR: %s".formatted(liftedBy, liftedAt, reason);
    }
}
