package app.kemdro.core.plan;

import java.util.List;

/** What came of planning a look: a plan, or what stands in its way. */
public sealed interface Planning {

    /** It can be done. */
    record Done(Plan plan) implements Planning {}

    /** It cannot be planned until these are mended. */
    record Refused(List<Problem> problems) implements Planning {}
}
