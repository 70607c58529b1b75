package app.kemdro.web.records.run;

import app.kemdro.core.run.RunEvent;
import app.kemdro.web.records.run.Runs.Standing;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;

/** Takes in what is reported of a run, wherever it was pressed, and says to everybody that it has moved on. */
@Component
public class Reports {
    private final Runs runs;
    private final ApplicationEventPublisher told;

    Reports(Runs runs, ApplicationEventPublisher told) {
        this.runs = runs;
        this.told = told;
    }

    /** Takes in a report and says where the run stands then. */
    public Standing take(long jobId, RunEvent event, String account) {
        Standing standing = runs.report(jobId, event, account);
        told.publishEvent(new Moved(standing, event.id()));
        return standing;
    }

    /** Ends a run from elsewhere. */
    public void end(Run run, String press, String account) {
        take(run.jobId(), new RunEvent(press, runs.now(run), "", RunEvent.Type.END, "", 0, 0, ""), account);
    }
}
