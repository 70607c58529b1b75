package app.kemdro.web.job;

import jakarta.persistence.Embeddable;

/** A look entry as stored; zones are joined by commas. */
@Embeddable
record EntryRow(String entryKey, String technique, String zones, int coats) {}
