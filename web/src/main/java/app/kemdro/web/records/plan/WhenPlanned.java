package app.kemdro.web.records.plan;

import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.plan.Plans.Answer;

/** Is told when a version of a job has been planned. It answers at once, and works beside it where there is work. */
public interface WhenPlanned {
    void planned(Job job, Answer answer);
}
