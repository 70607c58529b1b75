package app.kemdro.web.records.job;

import java.time.LocalDateTime;

/** A job that was taken off the shelf, and when. */
public record Aside(long id, String title, LocalDateTime since) {
    /** Until then it can be put back. */
    public LocalDateTime until() {
        return since.plusDays(Jobs.DAYS_ASIDE);
    }
}
