package app.kemdro.web.records.run;

import app.kemdro.core.look.Look;
import app.kemdro.core.plan.Plan;
import java.util.Set;

/**
 * A day in the chair is over. Told once, after it is stored; rehearsals are not told of.
 *
 * @param plan what was carried out in the end
 * @param done steps that were done
 */
public record RunEnded(long job, long run, Plan plan, Look look, Set<String> done) {}
