package app.kemdro.web.records.plan;

import app.kemdro.web.records.job.Job;

/**
 * Somebody points at a press, and this is what would be planned: whoever works more out from a plan may do so now.
 *
 * @param job as it would be then, and is nowhere stored
 */
public record PlannedAhead(Plans.Answer answer, Job job) {}
