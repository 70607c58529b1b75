package app.kemdro.web.records.finding;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;

/** Everything that can be found in one job. */
@Entity
class FindText {
    @Id
    private long jobId;

    /** The build that read it. */
    private String build = "";

    /** How often the job was changed, or something was said or mixed, since it was read. */
    private int unread = 1;

    /** All of it in small letters. */
    private String low = "";

    /** Its lines as they are said, as JSON. */
    @Lob
    private String lines = "[]";

    protected FindText() {}

    FindText(long jobId) {
        this.jobId = jobId;
    }
}
