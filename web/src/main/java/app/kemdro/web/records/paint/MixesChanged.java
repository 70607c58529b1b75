package app.kemdro.web.records.paint;

/** Mixes of a job were kept or thrown away. */
public record MixesChanged(long job) {}
