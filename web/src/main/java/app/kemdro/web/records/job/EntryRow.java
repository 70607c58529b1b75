package app.kemdro.web.records.job;

import app.kemdro.core.look.LookEntry.Strength;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;

/** A look entry as stored; zones are joined by commas. */
@Embeddable
record EntryRow(
        String entryKey,
        String technique,
        String zones,
        int coats,
        int items,
        @Enumerated(EnumType.STRING) Strength strength,
        int coverage,
        String overEntry) {}
