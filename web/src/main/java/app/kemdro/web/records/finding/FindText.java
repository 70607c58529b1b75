package app.kemdro.web.records.finding;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;

/** Everything that can be found in one job. */
@Entity
class FindText {
    @Id
    private long jobId;

    /** Build and versions of the job and of who sits. */
    private String madeOf = "";

    /** Whether something was said or mixed since. */
    private boolean stale;

    /** All of it in small letters. */
    private String low = "";

    /** Its lines as they are said, as JSON. */
    @Lob
    private String lines = "";

    protected FindText() {}

    FindText(long jobId) {
        this.jobId = jobId;
    }
}
