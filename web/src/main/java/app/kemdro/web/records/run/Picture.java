package app.kemdro.web.records.run;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import java.time.LocalDateTime;

/** A picture of a run. */
@Entity
@Table(name = "run_picture")
public class Picture {
    @Id
    private String id = "";

    private long runId;
    private LocalDateTime takenAt = LocalDateTime.MIN;
    private String kind = "";

    @Lob
    private byte[] image = new byte[0];

    @Enumerated(EnumType.STRING)
    private RunPictures.Shows shows = RunPictures.Shows.CHAIR;

    private String zone = "";

    protected Picture() {}

    Picture(String id, long runId, LocalDateTime takenAt, byte[] image, RunPictures.Shows shows, String zone) {
        this.id = id;
        this.runId = runId;
        this.takenAt = takenAt;
        this.kind = "image/jpeg";
        this.image = image.clone();
        this.shows = shows;
        this.zone = zone;
    }

    public String kind() {
        return kind;
    }

    public byte[] image() {
        return image.clone();
    }
}
