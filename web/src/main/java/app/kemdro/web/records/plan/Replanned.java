package app.kemdro.web.records.plan;

import app.kemdro.web.records.job.Job;

/** Somebody changed a job, and its plan is another than before. */
public record Replanned(Job job, Plans.Answer answer) {}
