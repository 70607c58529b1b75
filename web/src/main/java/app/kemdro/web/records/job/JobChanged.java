package app.kemdro.web.records.job;

/** A job was added or changed; said in the transaction in which it was. */
public record JobChanged(long job) {}
