package app.kemdro.web.records.performer;

/** Somebody who sits is called otherwise from now on; said in the transaction in which they are. */
public record PerformerRenamed(long performer) {}
