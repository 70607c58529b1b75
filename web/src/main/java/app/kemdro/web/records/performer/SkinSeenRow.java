package app.kemdro.web.records.performer;

import app.kemdro.core.safety.HealthRecord.Skin;
import app.kemdro.core.safety.HealthRecord.SkinSeen;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.time.LocalDateTime;

/**
 * A look at a zone of skin as stored.
 *
 * @param under families that had been stuck there
 * @param note what was seen, in words
 */
@Embeddable
public record SkinSeenRow(
        String zone,
        LocalDateTime seenAt,
        @Enumerated(EnumType.STRING) Skin skin,
        String under,
        String note,
        String byAccount) {
    SkinSeen seen() {
        return new SkinSeen(zone, seenAt, skin, Joined.split(under));
    }
}
