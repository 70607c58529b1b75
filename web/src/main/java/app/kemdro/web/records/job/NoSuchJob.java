package app.kemdro.web.records.job;

import app.kemdro.web.parts.mishap.NotThere;

/** A job was asked for that is not on the shelf. */
public final class NoSuchJob extends NotThere {
    private static final long serialVersionUID = 1L;

    NoSuchJob(long id) {
        super("No job " + id + " stands on the shelf.");
    }
}
