package app.kemdro.web.records.run;

import app.kemdro.core.look.Brief;
import app.kemdro.core.plan.Plan;
import java.time.Duration;
import java.time.LocalDateTime;

/** What the brief becomes when the performer sits down at another time than planned. */
final class Seating {
    /** Begun no earlier than this before the planned chair-in, a run is meant for the job's own call. */
    private static final Duration EARLY = Duration.ofHours(4);

    private Seating() {}

    /** The job's call, or as far from now as it was from the planned chair-in when now is another day: a rehearsal. */
    static LocalDateTime call(Plan plan, LocalDateTime now) {
        LocalDateTime call = plan.brief().call();
        boolean meant = !now.isBefore(plan.chairIn().minus(EARLY)) && now.isBefore(call);
        return meant ? call : now.plus(Duration.between(plan.chairIn(), call));
    }

    /** The brief for this chair-in and call; the crew's hours move along with the call. */
    static Brief brief(Brief brief, LocalDateTime chairIn, LocalDateTime call) {
        return brief.moved(Duration.between(brief.call(), call)).seated(chairIn);
    }
}
