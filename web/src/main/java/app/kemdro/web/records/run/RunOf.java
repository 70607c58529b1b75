package app.kemdro.web.records.run;

import java.time.LocalDateTime;

/**
 * A run in a line.
 *
 * @param pace 0 where it is no rehearsal
 */
public record RunOf(long run, long job, String title, LocalDateTime beganAt, int pace) {}
