package app.kemdro.core.run;

import app.kemdro.core.plan.Plan;
import app.kemdro.core.schedule.Schedule;

/**
 * Where a run stands.
 *
 * @param plan what is carried out now
 * @param changes what has become of look and brief
 * @param schedule the order people have in mind
 */
public record Standing(Plan plan, Changes changes, RunState state, Schedule schedule) {}
