package app.kemdro.web.records.job;

import app.kemdro.core.look.Brief.Hands;
import app.kemdro.core.look.Brief.Skill;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.time.LocalDateTime;

/** A pair of hands as stored. */
@Embeddable
record HandsRow(
        String name,
        @Enumerated(EnumType.STRING) Skill skill,
        LocalDateTime fromAt,
        LocalDateTime untilAt,
        double factor) {
    Hands hands() {
        return new Hands(name, skill, fromAt, untilAt, factor);
    }
}
