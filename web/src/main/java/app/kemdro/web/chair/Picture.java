package app.kemdro.web.chair;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import java.time.LocalDateTime;

/** A picture taken in the chair. */
@Entity
@Table(name = "run_picture")
class Picture {
    @Id
    private String id = "";

    private long runId;
    private LocalDateTime takenAt = LocalDateTime.MIN;
    private String kind = "";

    @Lob
    private byte[] image = new byte[0];

    protected Picture() {}

    Picture(String id, long runId, LocalDateTime takenAt, String kind, byte[] image) {
        this.id = id;
        this.runId = runId;
        this.takenAt = takenAt;
        this.kind = kind;
        this.image = image.clone();
    }

    long runId() {
        return runId;
    }

    String kind() {
        return kind;
    }

    byte[] image() {
        return image.clone();
    }
}
