package app.kemdro.web.records.job;

import app.kemdro.core.look.LookEntry;
import app.kemdro.core.look.LookEntry.Strength;
import app.kemdro.web.records.performer.Joined;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.util.List;

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
        String overEntry) {
    static EntryRow of(LookEntry e) {
        return new EntryRow(
                e.id(),
                e.techniqueId(),
                Joined.join(e.zones()),
                e.coats(),
                e.items(),
                e.strength(),
                e.coverage(),
                e.over());
    }

    LookEntry entry() {
        return new LookEntry(
                entryKey, technique, List.copyOf(Joined.split(zones)), coats, items, strength, coverage, overEntry);
    }
}
