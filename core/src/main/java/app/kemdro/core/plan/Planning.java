package app.kemdro.core.plan;

import app.kemdro.core.look.Wish;
import java.util.List;

/** What came of planning a look: a plan, or what stands in its way. */
public sealed interface Planning {

    /** It can be done. */
    record Done(Plan plan) implements Planning {}

    /**
     * It cannot be planned until these are mended.
     *
     * @param clash the smallest set of wishes that cannot all be kept, where wishes stand in the way; else empty
     */
    record Refused(List<Problem> problems, List<Wish> clash) implements Planning {
        /** No wish stands in the way. */
        public Refused(List<Problem> problems) {
            this(problems, List.of());
        }
    }
}
