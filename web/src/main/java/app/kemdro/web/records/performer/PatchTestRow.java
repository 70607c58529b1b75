package app.kemdro.web.records.performer;

import app.kemdro.core.safety.HealthRecord.PatchTest;
import app.kemdro.core.safety.HealthRecord.Result;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.time.LocalDateTime;

/** A patch test as stored. */
@Embeddable
record PatchTestRow(
        String family,
        LocalDateTime putAt,
        @Enumerated(EnumType.STRING) Result result) {
    static PatchTestRow of(PatchTest test) {
        return new PatchTestRow(test.family(), test.put(), test.result());
    }

    PatchTest test() {
        return new PatchTest(family, putAt, result);
    }
}
