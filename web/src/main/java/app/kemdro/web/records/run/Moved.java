package app.kemdro.web.records.run;

import app.kemdro.web.records.run.Runs.Standing;

/**
 * A run has moved on; whoever shows it listens.
 *
 * @param press the id of the report that moved it
 */
public record Moved(Standing standing, String press) {
    public long jobId() {
        return standing.run().jobId();
    }
}
