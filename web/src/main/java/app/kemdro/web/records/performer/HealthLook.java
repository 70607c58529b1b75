package app.kemdro.web.records.performer;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.LocalDateTime;
import org.jspecify.annotations.Nullable;

/** Somebody looked at what is known of a performer's health. */
@Entity
public class HealthLook {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    private long performerId;
    private String account = "";
    private String place = "";
    private LocalDateTime seenAt = LocalDateTime.MIN;

    protected HealthLook() {}

    HealthLook(long performerId, String account, String place, LocalDateTime seenAt) {
        this.performerId = performerId;
        this.account = account;
        this.place = place;
        this.seenAt = seenAt;
    }

    public String account() {
        return account;
    }

    public String place() {
        return place;
    }

    public LocalDateTime seenAt() {
        return seenAt;
    }
}
