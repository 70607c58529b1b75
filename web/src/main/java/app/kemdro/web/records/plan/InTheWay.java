package app.kemdro.web.records.plan;

import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Problem;
import app.kemdro.web.records.job.Job;
import java.util.List;

/** A room that knows of things that stand in the way of a job; the shelf gathers them. */
public interface InTheWay {
    /** What stands in its way, in a line or two, the worst first. */
    List<Problem> of(Job job, Plan plan);
}
