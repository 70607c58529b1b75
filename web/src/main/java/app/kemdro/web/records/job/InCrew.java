package app.kemdro.web.records.job;

/** Hands that work on a job, by the name that stands in its brief. */
public record InCrew(long job, String hands) {}
