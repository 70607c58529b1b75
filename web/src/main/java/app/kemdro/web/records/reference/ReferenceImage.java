package app.kemdro.web.records.reference;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import org.jspecify.annotations.Nullable;

/** The picture of a reference: all of it, and what is shown of it where that is less. */
@Entity
@Table(name = "reference_image")
class ReferenceImage {
    @Id
    private long referenceId;

    @Lob
    private byte[] whole = new byte[0];

    @Lob
    private byte @Nullable [] shown;

    protected ReferenceImage() {}

    ReferenceImage(long referenceId, byte[] whole) {
        this.referenceId = referenceId;
        this.whole = whole.clone();
    }

    byte[] whole() {
        return whole.clone();
    }

    byte[] shown() {
        return shown == null ? whole() : shown.clone();
    }

    void show(byte @Nullable [] cropped) {
        shown = cropped == null ? null : cropped.clone();
    }
}
